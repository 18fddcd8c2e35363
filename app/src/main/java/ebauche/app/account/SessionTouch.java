package ebauche.app.account;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.transaction.support.TransactionOperations;

/**
 * Every page reads its session and tells it when it was last asked for. By default that is two transactions, of four turns to the
 * database each, and a flush to its disk before the page is answered: as long as all the rest of a short page.
 */
@Configuration
class SessionTouch {
    /**
     * It is told to the minute, so that for most pages the row is the same as before and nothing is written; a session ends up to a
     * minute early.
     */
    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> toTheMinute() {
        return sessions -> sessions.setUpdateSessionQuery("""
                UPDATE %TABLE_NAME%
                SET SESSION_ID = ?, LAST_ACCESS_TIME = ? DIV 60000 * 60000, MAX_INACTIVE_INTERVAL = ?,
                    EXPIRY_TIME = ? DIV 60000 * 60000, PRINCIPAL_NAME = ?
                WHERE PRIMARY_ID = ?""");
    }

    /** Each of its statements stands by itself: a session of which a cut wire left but the row is nobody's, and signs in anew. */
    @Bean(defaultCandidate = false)
    TransactionOperations springSessionTransactionOperations() {
        return TransactionOperations.withoutTransaction();
    }
}
