package ebauche.app.ways;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import ebauche.core.channel.Straying;
import ebauche.core.logbook.Astray;
import ebauche.core.shop.LongHoles;
import ebauche.exchange.file.ShopFields;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.json.JsonText;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** How far the shop's long holes went off, by the records of all its bodies; what was withdrawn does not count. */
@Repository
public class HoleStore {
    private final JdbcClient sql;

    /** Entries are only ever added, so the number of those that count names the state of them all. */
    private final Cache<Key, Holes> known =
            Caffeine.newBuilder().maximumSize(200).build();

    private record Key(long shop, int entries) {}

    private record Row(long body, String id, String measures, String astray) {}

    private record Hole(long body, String channel) {}

    /** The holes of a shop that were read, each as it was read last. */
    public static final class Holes {
        private final Map<Hole, Astray> last;

        private Holes(Map<Hole, Astray> last) {
            this.last = Map.copyOf(last);
        }

        /** Those of all bodies. */
        public List<LongHoles.Own> ofAll() {
            return Straying.gathered(List.copyOf(last.values()));
        }

        /** Those of all bodies but one, whose own are told by its own record. */
        public List<LongHoles.Own> besides(long body) {
            return last.isEmpty()
                    ? List.of()
                    : Straying.gathered(last.entrySet().stream()
                            .filter(e -> e.getKey().body() != body)
                            .map(Map.Entry::getValue)
                            .toList());
        }
    }

    HoleStore(JdbcClient sql) {
        this.sql = sql;
    }

    public Holes of(long shop) {
        int entries = sql.sql("""
                select (select count(*) from entry where shop = :shop and strays = true)
                    + (select count(*) from entry where shop = :shop and kind = 'withdrawn')
                """).param("shop", shop).query(Integer.class).single();
        return known.get(new Key(shop, entries), key -> read(key.shop()));
    }

    private Holes read(long shop) {
        List<Row> rows = sql.sql("""
                select body, json_value(entry, '$.id') as id, json_value(entry, '$.measures') as measures,
                    json_query(entry, '$.astray') as astray
                from entry where shop = :shop and strays = true order by entry.id
                """).param("shop", shop).query(Row.class).list();
        Map<Hole, Astray> last = new LinkedHashMap<>();
        if (!rows.isEmpty()) {
            Set<String> withdrawn = sql.sql("""
                    select concat(body, '/', json_value(entry, '$.entry')) from entry
                    where shop = :shop and kind = 'withdrawn'
                    """).param("shop", shop).query(String.class).list().stream()
                    .collect(Collectors.toUnmodifiableSet());
            for (Row row : rows) {
                if (!withdrawn.contains(row.body() + "/" + row.id())) {
                    last.put(
                            new Hole(row.body(), row.measures().replaceFirst("^[^:]*:", "")),
                            JsonPlace.root(JsonText.tree(row.astray().getBytes(StandardCharsets.UTF_8)))
                                    .asObject(ShopFields.ASTRAY::read));
                }
            }
        }
        return new Holes(last);
    }
}
