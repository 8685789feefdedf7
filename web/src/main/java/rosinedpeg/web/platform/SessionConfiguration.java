package rosinedpeg.web.platform;

import javax.sql.DataSource;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.datasource.DelegatingDataSource;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.jdbc.PostgreSqlJdbcIndexedSessionRepositoryCustomizer;
import org.springframework.session.jdbc.config.annotation.SpringSessionDataSource;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.SessionRepositoryFilter;
import org.springframework.transaction.support.TransactionOperations;

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

    /** Spring's filter, with {@link SessionsToTheMinute} and {@link SessionIdsOnce}; Spring Boot makes it of the repository alone. */
    @Bean
    static BeanPostProcessor sessionFilter(
            ObjectProvider<JdbcIndexedSessionRepository> sessions, ObjectProvider<CookieSerializer> cookies) {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof SessionRepositoryFilter<?>
                        ? filter(sessions.getObject(), cookies.getObject())
                        : bean;
            }
        };
    }

    private static <S extends Session> SessionRepositoryFilter<?> filter(
            SessionRepository<S> sessions, CookieSerializer cookies) {
        SessionRepositoryFilter<?> filter = new SessionRepositoryFilter<>(new SessionsToTheMinute<>(sessions));
        filter.setHttpSessionIdResolver(new SessionIdsOnce(cookies));
        return filter;
    }

    /**
     * Sessions are read outside Hibernate: opening a Hibernate session asks which workshop is in force, and that is only known once the
     * web session has been read. Each statement is for itself: of a session that came to be half, nobody knows the id yet.
     */
    @Bean(defaultCandidate = false)
    static TransactionOperations springSessionTransactionOperations() {
        return TransactionOperations.withoutTransaction();
    }
}
