package ebauche.app.body;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import ebauche.app.web.NotHere;
import ebauche.app.web.PublicIds;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.logbook.AsBuilt;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.Timeline;
import ebauche.exchange.json.BuildFileException;
import java.nio.charset.StandardCharsets;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.ObjectNode;

/**
 * Bodies, the revisions of their designs and the record of what was done and measured. Revisions and entries are only
 * ever added; the database grants no more. A method that returns has committed, and the database flushes each commit.
 */
@Repository
public class BodyStore {
    private static final String STANDING = """
            select b.shop, b.id, b.public_id, b.number, f.revision, f.name, f.entries
            from body b join how_far f on f.shop = b.shop and f.body = b.id
            where b.shop = :shop""";

    private final JdbcClient sql;

    /** Rows that never change once they are there, as read; by the row's own key. */
    private final Cache<RevisionKey, Revision> revisions =
            Caffeine.newBuilder().maximumSize(500).build();

    private final Cache<Long, AsBuilt.Entry> entries =
            Caffeine.newBuilder().maximumSize(10_000).build();

    private record RevisionKey(long shop, long body, int number) {}

    public BodyStore(JdbcClient sql) {
        this.sql = sql;
    }

    /**
     * A body with how far it has come: both numbers only ever grow, so together they name its state.
     *
     * @param revision the newest
     * @param name in it
     * @param entries of its record
     */
    public record Standing(Body body, int revision, String name, int entries) {
        /** Whether its number or name holds what is sought, in whatever case. */
        public boolean isCalled(String sought) {
            return ("No. " + body.number() + " " + name)
                    .toLowerCase(Locale.ROOT)
                    .contains(sought.strip().toLowerCase(Locale.ROOT));
        }
    }

    /** Every body of a shop with how far it has come, the newest first. */
    public List<Standing> standing(long shop) {
        return sql.sql(STANDING + " order by b.number desc")
                .param("shop", shop)
                .query(BodyStore::standing)
                .list();
    }

    /**
     * The body at an address of this shop with how far it has come.
     *
     * @throws NotHere if there is none, another shop's included
     */
    public Standing standing(long shop, String publicId) {
        return sql.sql(STANDING + " and b.public_id = :id")
                .param("shop", shop)
                .param("id", PublicIds.read(publicId))
                .query(BodyStore::standing)
                .optional()
                .orElseThrow(NotHere::new);
    }

    /** How far a body has come by now. */
    public Standing standing(Body body) {
        return sql.sql(STANDING + " and b.id = :id")
                .param("shop", body.shop())
                .param("id", body.id())
                .query(BodyStore::standing)
                .single();
    }

    private static Standing standing(ResultSet row, int n) throws SQLException {
        Body body = new Body(row.getLong("shop"), row.getLong("id"), row.getString("public_id"), row.getInt("number"));
        return new Standing(body, row.getInt("revision"), row.getString("name"), row.getInt("entries"));
    }

    /**
     * The body at an address of this shop.
     *
     * @throws NotHere if there is none, another shop's included
     */
    public Body find(long shop, String publicId) {
        return at(shop, PublicIds.read(publicId)).orElseThrow(NotHere::new);
    }

    private Optional<Body> at(long shop, String publicId) {
        return sql.sql("select shop, id, public_id, number from body where shop = :shop and public_id = :id")
                .param("shop", shop)
                .param("id", publicId)
                .query(Body.class)
                .optional();
    }

    /** Takes a new body on with its first revision and what its file says was done. */
    @Transactional
    public Body add(long shop, ObjectNode file, AsBuilt record, String by) {
        return add(shop, PublicIds.next(), file, record, by);
    }

    /** The same under an address that the page was given beforehand: pressed twice, it is one body. */
    @Transactional
    public Body addOnce(long shop, String publicId, ObjectNode file, AsBuilt record, String by) {
        queue(shop);
        return at(shop, PublicIds.read(publicId)).orElseGet(() -> add(shop, publicId, file, record, by));
    }

    private Body add(long shop, String publicId, ObjectNode file, AsBuilt record, String by) {
        queue(shop);
        int number = sql.sql("select coalesce(max(number), 0) + 1 from body where shop = :shop")
                .param("shop", shop)
                .query(Integer.class)
                .single();
        GeneratedKeyHolder key = new GeneratedKeyHolder();
        sql.sql("insert into body (shop, public_id, number) values (:shop, :publicId, :number)")
                .param("shop", shop)
                .param("publicId", publicId)
                .param("number", number)
                .update(key, "id");
        Body body = new Body(shop, key.getKey().longValue(), publicId, number);
        insert(body, 1, 0, file, by);
        record.timeline().forEach(e -> insert(body, body.publicId() + "/" + e.id(), e));
        return body;
    }

    /** The newest revision. */
    public Revision head(Body body) {
        int newest = sql.sql("select max(number) from revision where shop = :shop and body = :body")
                .param("shop", body.shop())
                .param("body", body.id())
                .query(Integer.class)
                .single();
        return revision(body, newest).orElseThrow();
    }

    public Optional<Revision> revision(Body body, int number) {
        RevisionKey key = new RevisionKey(body.shop(), body.id(), number);
        return Optional.ofNullable(revisions.get(
                key,
                k -> sql.sql("""
                select number, based_on, file, made_by, made_at from revision
                where shop = :shop and body = :body and number = :number
                """)
                        .param("shop", k.shop())
                        .param("body", k.body())
                        .param("number", k.number())
                        .query(BodyStore::revision)
                        .optional()
                        .orElse(null)));
    }

    private static Revision revision(ResultSet row, int n) throws SQLException {
        ObjectNode file = BuildFile.stored(row.getString("file").getBytes(StandardCharsets.UTF_8));
        return new Revision(
                row.getInt("number"),
                row.getInt("based_on"),
                file,
                row.getString("made_by"),
                row.getTimestamp("made_at").toInstant().toString());
    }

    /**
     * Saves the next revision.
     *
     * @param basedOn the revision that was edited
     * @throws Stale if it is no longer the newest; nothing is saved
     */
    public int save(Body body, int basedOn, ObjectNode file, String by) {
        Revision head = head(body);
        if (head.number() != basedOn) {
            throw new Stale(Words.say("body-store.saved-revision-meanwhile", head.madeBy(), head.number()));
        }
        try {
            insert(body, basedOn + 1, basedOn, file, by);
        } catch (DuplicateKeyException sameMoment) {
            throw new Stale(Words.say("body-store.somebody-saved-revision-at-the-same", basedOn + 1));
        }
        return basedOn + 1;
    }

    private void insert(Body body, int number, int basedOn, ObjectNode file, String by) {
        sql.sql("""
                insert into revision (shop, body, number, based_on, file, made_by)
                values (:shop, :body, :number, nullif(:basedOn, 0), :file, :by)
                """)
                .param("shop", body.shop())
                .param("body", body.id())
                .param("number", number)
                .param("basedOn", basedOn)
                .param("file", file.toString())
                .param("by", by)
                .update();
    }

    /** Everything done and measured on a body, in order. */
    public AsBuilt record(Body body) {
        return new AsBuilt(sql.sql("select id, entry from entry where shop = :shop and body = :body order by id")
                .param("shop", body.shop())
                .param("body", body.id())
                .query((row, n) -> entry(row.getLong("id"), row.getString("entry")))
                .list());
    }

    /** An entry as read, by its row. */
    AsBuilt.Entry entry(long id, String json) {
        return entries.get(id, i -> BuildFile.stored(json, "row-" + id));
    }

    /**
     * Adds an entry; an entry whose id the body already has is not added again.
     *
     * @return the entry that stands under that id: this one, or the first
     * @throws BuildFileException if it could not be read back; nothing is kept
     * @throws Stale if the id belongs to another body's entry; nothing is kept
     */
    public AsBuilt.Entry log(Body body, AsBuilt.Entry entry) {
        BuildFile.entry(Timeline.write(entry));
        Optional<AsBuilt.Entry> first = standing(body, entry.id(), "");
        if (first.isPresent()) {
            return first.get();
        }
        try {
            insert(body, entry.id(), entry);
            return entry;
        } catch (DuplicateKeyException sameMoment) {
            // A transaction's own snapshot may be older than what was quicker; a locking read is not.
            return standing(body, entry.id(), "for update").orElseThrow(() -> sameMoment);
        }
    }

    /** Adds a step that is done, unless it is done already: two at once are one event. Whether it was added. */
    @Transactional
    public boolean logOnce(Body body, AsBuilt.Done done) {
        queue(body.shop());
        boolean first = record(body).done(done.operation()).isEmpty();
        if (first) {
            log(body, done);
        }
        return first;
    }

    /** The shop's row is the queue for what may happen once. */
    private void queue(long shop) {
        sql.sql("select id from shop where id = :shop for update")
                .param("shop", shop)
                .query(Long.class)
                .single();
    }

    /** Adds several entries, all or none. */
    @Transactional
    public void log(Body body, List<? extends AsBuilt.Entry> entries) {
        entries.forEach(e -> log(body, e));
    }

    /** The entry that has this id in the shop, or came with the body's file under it. */
    private Optional<AsBuilt.Entry> standing(Body body, String id, String locking) {
        Optional<Kept> kept = sql.sql("""
                select id, body, entry from entry
                where shop = :shop and client_id in (:id, concat(:imported, '/', :id)) limit 1
                """ + locking)
                .param("shop", body.shop())
                .param("id", id)
                .param("imported", body.publicId())
                .query(Kept.class)
                .optional();
        if (kept.isPresent() && kept.get().body() != body.id()) {
            throw new Stale(Words.say("body-store.that-entry-was-sent-for-another"));
        }
        return kept.map(k -> entry(k.id(), k.entry()));
    }

    /** A row of the record. */
    private record Kept(long id, long body, String entry) {}

    private void insert(Body body, String clientId, AsBuilt.Entry entry) {
        sql.sql("insert into entry (shop, body, client_id, entry) values (:shop, :body, :client, :entry)")
                .param("shop", body.shop())
                .param("body", body.id())
                .param("client", clientId)
                .param("entry", Timeline.write(entry).toString())
                .update();
    }
}
