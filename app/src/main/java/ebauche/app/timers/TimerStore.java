package ebauche.app.timers;

import ebauche.app.body.Body;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Timers of a shop: set and taken off by rows that are only added. */
@Repository
public class TimerStore {
    private final JdbcClient sql;

    public TimerStore(JdbcClient sql) {
        this.sql = sql;
    }

    /**
     * A timer that runs, or is up and was not taken off yet.
     *
     * @param id by which it is taken off
     * @param body address of the body that it is for; empty where it is for none
     * @param says what waits
     * @param ends when it is up, milliseconds since 1970
     */
    public record Timer(String id, String body, String says, long ends) {}

    /** The timers of a shop, the next to be up first. */
    public List<Timer> running(long shop) {
        return sql.sql("""
                select t.client_id as id, coalesce(b.public_id, '') as body, t.says, t.ends_at as ends
                from timer t left join body b on b.shop = t.shop and b.id = t.body
                where t.shop = :shop
                    and not exists (select 1 from timer_off o where o.shop = t.shop and o.timer = t.id)
                order by t.ends_at, t.id limit 200
                """).param("shop", shop).query(Timer.class).list();
    }

    /** Sets a timer; one that was set under the same id stays as it is. */
    public void set(long shop, UUID id, Optional<Body> body, String says, Instant ends, String by) {
        sql.sql("""
                insert ignore into timer (shop, client_id, body, says, ends_at, set_by)
                values (:shop, :id, :body, :says, :ends, :by)
                """)
                .param("shop", shop)
                .param("id", id.toString())
                .param("body", body.map(Body::id).orElse(null))
                .param("says", says)
                .param("ends", ends.toEpochMilli())
                .param("by", by)
                .update();
    }

    /** Takes a timer off; one that is off already, or another shop's, is none. */
    public void off(long shop, UUID id, String by) {
        sql.sql("""
                insert ignore into timer_off (shop, timer, taken_by)
                select shop, id, :by from timer where shop = :shop and client_id = :id
                """)
                .param("shop", shop)
                .param("id", id.toString())
                .param("by", by)
                .update();
    }
}
