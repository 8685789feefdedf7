package rosinedpeg.web.platform;

import javax.sql.DataSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.datasource.DelegatingDataSource;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.session.jdbc.PostgreSqlJdbcIndexedSessionRepositoryCustomizer;
import org.springframework.session.jdbc.config.annotation.SpringSessionDataSource;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

/** Sessions are kept in the database. */
@Configuration
class SessionConfiguration {

    /**
     * Sessions have connections of their own. On that of a transaction that is under way, whatever is done to a session would end
     * the transaction before its time.
     */
    @Bean(defaultCandidate = false)
    @SpringSessionDataSource
    DataSource sessionDataSource(DataSource dataSource) {
        return new DelegatingDataSource(dataSource);
    }

    /** Two pages of one session may leave a message at one moment; the later one stays. */
    @Bean
    static PostgreSqlJdbcIndexedSessionRepositoryCustomizer twoAtOneMoment() {
        return new PostgreSqlJdbcIndexedSessionRepositoryCustomizer();
    }

    /**
     * Sessions are read outside Hibernate: opening a Hibernate session asks which workshop is in force, and that is only
     * known once the web session has been read.
     */
    @Bean(defaultCandidate = false)
    TransactionOperations springSessionTransactionOperations(@SpringSessionDataSource DataSource sessionDataSource) {
        TransactionTemplate template = new TransactionTemplate(new JdbcTransactionManager(sessionDataSource));
        template.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        return template;
    }
}
