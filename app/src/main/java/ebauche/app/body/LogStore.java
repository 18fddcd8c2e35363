package ebauche.app.body;

import ebauche.core.logbook.AsBuilt;
import java.util.List;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The shop's log: the entries of all its bodies, read over all of them. They are added through {@link BodyStore}. */
@Repository
public class LogStore {
    private static final String LOGGED = """
            select e.id, e.entry, e.logged_at, b.id as body, b.public_id, b.number
            from entry e join body b on b.shop = e.shop and b.id = e.body""";

    private final JdbcClient sql;
    private final BodyStore bodies;

    public LogStore(JdbcClient sql, BodyStore bodies) {
        this.sql = sql;
        this.bodies = bodies;
    }

    /** One line of the shop's log. */
    public record Logged(long id, Body body, AsBuilt.Entry entry, String at) {}

    /**
     * A page of the shop's log, narrowed where something is said.
     *
     * @param bodies their keys; null for all
     * @param kind of entry, empty for all
     * @param hand who logged it, empty for all
     * @param before entries older than this one; null from the newest
     */
    public record LogPage(List<Long> bodies, String kind, String hand, Long before, int most) {}

    /** A page of the shop's entries, newest first. */
    public List<Logged> logged(long shop, LogPage page) {
        // Only what is asked is said, so that the database goes by the index of it.
        String narrowed = (page.bodies() == null ? "" : " and e.body in (:bodies)")
                + (page.kind().isEmpty() ? "" : " and e.kind = :kind")
                + (page.hand().isEmpty() ? "" : " and e.hand = :hand")
                + (page.before() == null ? "" : " and e.id < :before");
        return logged(
                shop,
                sql.sql(LOGGED + " where e.shop = :shop" + narrowed + " order by e.id desc limit :most")
                        .param("shop", shop)
                        .param("bodies", page.bodies())
                        .param("kind", page.kind())
                        .param("hand", page.hand())
                        .param("before", page.before())
                        .param("most", page.most()));
    }

    /**
     * An entry that a later one withdrew.
     *
     * @param entry its id
     */
    public record Withdrawal(long body, String entry) {}

    /** What was withdrawn of some bodies, wherever in the log that stands. */
    public Set<Withdrawal> withdrawn(long shop, Set<Long> bodies) {
        return bodies.isEmpty()
                ? Set.of()
                : sql.sql("""
                        select e.body, json_value(e.entry, '$.entry') as entry from entry e
                        where e.shop = :shop and e.kind = 'withdrawn' and e.body in (:bodies)
                        """)
                        .param("shop", shop)
                        .param("bodies", bodies)
                        .query(Withdrawal.class)
                        .set();
    }

    /** Everybody who logged something in a shop. */
    public List<String> hands(long shop) {
        return sql.sql("select name from hand where shop = :shop order by name")
                .param("shop", shop)
                .query(String.class)
                .list();
    }

    /** The bodies with a mishap that is, or was, to be made good or a step that waits, or waited, for a yes. */
    public List<Body> bodiesUnsettled(long shop) {
        return sql.sql("""
                select b.shop, b.id, b.public_id, b.number from body b
                where b.shop = :shop and b.id in (select e.body from entry e where e.shop = b.shop and e.unsettled = true)
                order by b.number
                """).param("shop", shop).query(Body.class).list();
    }

    /** All entries of one body, newest first. */
    public List<Logged> logged(Body body) {
        return logged(
                body.shop(),
                sql.sql(LOGGED + " where e.shop = :shop and e.body = :body order by e.id desc")
                        .param("shop", body.shop())
                        .param("body", body.id()));
    }

    private List<Logged> logged(long shop, JdbcClient.StatementSpec asked) {
        return asked.query((row, n) -> new Logged(
                        row.getLong("id"),
                        new Body(shop, row.getLong("body"), row.getString("public_id"), row.getInt("number")),
                        bodies.entry(row.getLong("id"), row.getString("entry")),
                        row.getTimestamp("logged_at").toInstant().toString()))
                .list();
    }
}
