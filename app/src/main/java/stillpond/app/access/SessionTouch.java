package stillpond.app.access;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * That somebody is still there is written at most once a minute. With each request it would be one more wait for the disk with each fill, for a moment that is shown by the day and ends a session
 * after a month.
 */
@Configuration
class SessionTouch {

    private static final long EVERY_MS = 60_000;

    /** As Spring Session writes it, in the order of its parameters; a session that nothing else changed is left alone while its last moment is near. */
    private static final String UPDATE = """
            UPDATE %TABLE_NAME% AS kept
            SET SESSION_ID = now.session_id, LAST_ACCESS_TIME = now.last_access_time,
                MAX_INACTIVE_INTERVAL = now.max_inactive_interval, EXPIRY_TIME = now.expiry_time, PRINCIPAL_NAME = now.principal_name
            FROM (SELECT CAST(? AS CHAR(36)) AS session_id, CAST(? AS BIGINT) AS last_access_time,
                         CAST(? AS INTEGER) AS max_inactive_interval, CAST(? AS BIGINT) AS expiry_time,
                         CAST(? AS VARCHAR) AS principal_name, CAST(? AS CHAR(36)) AS primary_id) AS now
            WHERE kept.PRIMARY_ID = now.primary_id
              AND (kept.SESSION_ID <> now.session_id OR kept.MAX_INACTIVE_INTERVAL <> now.max_inactive_interval
                   OR kept.PRINCIPAL_NAME IS DISTINCT FROM now.principal_name
                   OR now.last_access_time - kept.LAST_ACCESS_TIME >= """ + EVERY_MS + ")";

    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> touchedNowAndThen() {
        return sessions -> sessions.setUpdateSessionQuery(UPDATE);
    }

    /**
     * Each statement about a session stands for itself: a transaction around it would be two more messages with each request, and a session of which a part is missing is that of nobody. For sessions
     * alone: whoever else asks for a template gets the usual one.
     */
    @Bean(defaultCandidate = false)
    TransactionOperations springSessionTransactionOperations(PlatformTransactionManager transactions) {
        TransactionTemplate apart = new TransactionTemplate(transactions);
        apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_NOT_SUPPORTED);
        return apart;
    }
}
