package ebauche.app.ways;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.exchange.file.ShopPart;
import ebauche.exchange.json.JsonText;
import java.nio.charset.StandardCharsets;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The ways of each shop, as numbered states that are only ever added. */
@Repository
public class WaysStore {
    private final JdbcClient sql;
    private final Cache<Key, Ways> known =
            Caffeine.newBuilder().maximumSize(200).build();

    private record Key(long shop, int number) {}

    public WaysStore(JdbcClient sql) {
        this.sql = sql;
    }

    /** The newest; the starter shop's if nothing was kept yet. */
    public Ways of(long shop) {
        int number = sql.sql("select coalesce(max(number), 0) from ways where shop = :shop")
                .param("shop", shop)
                .query(Integer.class)
                .single();
        return known.get(new Key(shop, number), this::read);
    }

    private Ways read(Key key) {
        ObjectNode json = key.number() == 0
                ? JsonNodeFactory.instance.objectNode()
                : (ObjectNode) JsonText.tree(sql.sql("select ways from ways where shop = :shop and number = :number")
                        .param("shop", key.shop())
                        .param("number", key.number())
                        .query(String.class)
                        .single()
                        .getBytes(StandardCharsets.UTF_8));
        return Ways.of(key.number(), json);
    }

    /**
     * Keeps the next state.
     *
     * @param basedOn the one that was edited
     * @throws Stale if it is no longer the newest
     */
    public void keep(long shop, int basedOn, ObjectNode ways, String by) {
        if (of(shop).number() != basedOn) {
            throw new Stale(Words.say("ways-store.somebody-changed-the-shop-settings-tool"));
        }
        try {
            sql.sql("""
                    insert into ways (shop, number, based_on, ways, made_by)
                    values (:shop, :number, nullif(:basedOn, 0), :ways, :by)
                    """)
                    .param("shop", shop)
                    .param("number", basedOn + 1)
                    .param("basedOn", basedOn)
                    .param("ways", ways.toString())
                    .param("by", by)
                    .update();
        } catch (DuplicateKeyException sameMoment) {
            throw new Stale(Words.say("ways-store.somebody-changed-the-shop-settings-tool-2"));
        }
    }

    /**
     * Keeps one more rule about what comes first, as the file writes its stages, after all others.
     *
     * @throws ebauche.exchange.json.BuildFileException if there is no such stage, or the rule goes in a circle with those that are there
     * @throws Stale if somebody changed the settings at this moment
     */
    public void keepRule(long shop, String first, String then, String by) {
        Ways now = of(shop);
        ObjectNode more = now.json().deepCopy();
        more.withObject("/rules")
                .withArray("/order")
                .addObject()
                .put("first", first)
                .put("then", then);
        ShopPart.read(more);
        keep(shop, now.number(), more, by);
    }
}
