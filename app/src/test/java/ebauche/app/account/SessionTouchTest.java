package ebauche.app.account;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.Visitor;
import ebauche.app.testing.WithApp;
import ebauche.core.measure.LengthUnit;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A session's row in the database, as pages leave it. */
class SessionTouchTest extends WithApp {
    @Autowired
    private JdbcClient sql;

    private long accessed(Maker maker, String column) {
        return sql.sql("select " + column + " from SPRING_SESSION where principal_name = ?")
                .param(maker.name())
                .query(Long.class)
                .single();
    }

    @Test
    void pages_tell_their_session_to_the_minute() {
        Maker maker = openShop(LengthUnit.MILLIMETRE).maker();
        Visitor visitor = new Visitor(address()).signIn(maker.name(), PASSWORD);
        assertThat(visitor.get("/").statusCode()).isEqualTo(200);
        long last = accessed(maker, "last_access_time");
        assertThat(last % 60_000).isZero();
        assertThat(System.currentTimeMillis() - last).isBetween(0L, 120_000L);
        assertThat(accessed(maker, "expiry_time") % 60_000).isZero();
    }

    @Test
    void a_session_of_long_ago_is_brought_up_to_now_by_its_next_page() {
        Maker maker = openShop(LengthUnit.MILLIMETRE).maker();
        Visitor visitor = new Visitor(address()).signIn(maker.name(), PASSWORD);
        long anHourAgo = System.currentTimeMillis() / 60_000 * 60_000 - 3_600_000;
        sql.sql("update SPRING_SESSION set last_access_time = ? where principal_name = ?")
                .param(anHourAgo)
                .param(maker.name())
                .update();
        assertThat(visitor.get("/").statusCode()).isEqualTo(200);
        assertThat(accessed(maker, "last_access_time")).isGreaterThan(anHourAgo + 3_500_000);
    }
}
