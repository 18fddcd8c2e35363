package ebauche.app.body;

import java.util.HashSet;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Which bodies of a shop are put by. */
@Repository
public class PutByStore {
    private final JdbcClient sql;

    PutByStore(JdbcClient sql) {
        this.sql = sql;
    }

    /** Ids of the bodies that are put by. */
    public Set<Long> putBy(long shop) {
        return new HashSet<>(sql.sql("""
                select p.body from body_put_by p
                where p.shop = :shop and p.put_by
                    and p.id = (select max(l.id) from body_put_by l where l.shop = p.shop and l.body = p.body)
                """).param("shop", shop).query(Long.class).list());
    }

    /** Puts a body by, or takes it up again. */
    public void put(Body body, boolean by, String who) {
        sql.sql("insert into body_put_by (shop, body, put_by, made_by) values (:shop, :body, :by, :who)")
                .param("shop", body.shop())
                .param("body", body.id())
                .param("by", by)
                .param("who", who)
                .update();
    }
}
