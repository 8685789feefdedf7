package rosinedpeg.web.platform;

import javax.sql.DataSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.datasource.DelegatingDataSource;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.jdbc.PostgreSqlJdbcIndexedSessionRepositoryCustomizer;
import org.springframework.session.jdbc.config.annotation.SpringSessionDataSource;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

/** Sessions are kept in the database. */
@Configuration
class SessionConfiguration {

    /**
     * What {@code spring-session} updates, unless nothing has changed but the moment it was used, and that by less than a minute: a page
     * that is looked at shall not have to wait until PostgreSQL has written to its disk.
     */
    private static final String UPDATE = """
            update %TABLE_NAME% kept
            set session_id = used.session_id, last_access_time = used.last_access_time,
              max_inactive_interval = used.max_inactive_interval, expiry_time = used.expiry_time, principal_name = used.principal_name
            from (select cast(? as char(36)) as session_id, cast(? as bigint) as last_access_time,
              cast(? as integer) as max_inactive_interval, cast(? as bigint) as expiry_time,
              cast(? as varchar(100)) as principal_name, cast(? as char(36)) as primary_id) used
            where kept.primary_id = used.primary_id
              and (abs(used.last_access_time - kept.last_access_time) >= 60000
                or row(used.session_id, used.max_inactive_interval, used.principal_name)
                  is distinct from row(kept.session_id, kept.max_inactive_interval, kept.principal_name))
            """;

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

    @Bean
    static SessionRepositoryCustomizer<JdbcIndexedSessionRepository> usedToTheMinute() {
        return sessions -> sessions.setUpdateSessionQuery(UPDATE);
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
