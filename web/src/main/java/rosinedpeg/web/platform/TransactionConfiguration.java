package rosinedpeg.web.platform;

import org.springframework.boot.transaction.autoconfigure.TransactionManagerCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.support.AbstractPlatformTransactionManager;

/**
 * What pages ask of the database. A page that asks many questions and writes nothing asks them in one transaction that only reads: each
 * by itself would be a transaction by itself, and take twice as many messages to the database.
 */
@Configuration(proxyBeanMethods = false)
class TransactionConfiguration {

    /** Whatever was written within one that only reads would be lost without a word: it is refused. */
    @Bean
    TransactionManagerCustomizer<AbstractPlatformTransactionManager> nothingIsWrittenByReading() {
        return transactions -> transactions.setValidateExistingTransaction(true);
    }
}
