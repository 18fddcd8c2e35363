package ebauche.app.crib;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import ebauche.core.crib.EdgeUse;
import ebauche.core.measure.Length;
import ebauche.exchange.json.JsonText;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What the shop's router bits cut, by the records of all its bodies; what was withdrawn does not count. */
@Repository
public class BitCutStore {
    private final JdbcClient sql;

    /** Entries are only ever added, so the number of those that count names the state of them all. */
    private final Cache<Key, List<EdgeUse.Cut>> known =
            Caffeine.newBuilder().maximumSize(20).build();

    private record Key(long shop, int entries) {}

    private record Row(long body, String id, String at, String routed) {}

    BitCutStore(JdbcClient sql) {
        this.sql = sql;
    }

    public List<EdgeUse.Cut> of(long shop) {
        int entries = sql.sql("""
                select (select count(*) from entry where shop = :shop and routs = true)
                    + (select count(*) from entry where shop = :shop and kind = 'withdrawn')
                """).param("shop", shop).query(Integer.class).single();
        return known.get(new Key(shop, entries), key -> read(key.shop()));
    }

    private List<EdgeUse.Cut> read(long shop) {
        Set<String> withdrawn = sql.sql("""
                select concat(body, '/', json_value(entry, '$.entry')) from entry
                where shop = :shop and kind = 'withdrawn'
                """).param("shop", shop).query(String.class).list().stream()
                .collect(Collectors.toUnmodifiableSet());
        List<Row> rows = sql.sql("""
                select body, json_value(entry, '$.id') as id, json_value(entry, '$.at') as at,
                    json_query(entry, '$.routed') as routed
                from entry where shop = :shop and routs = true
                """).param("shop", shop).query(Row.class).list();
        List<EdgeUse.Cut> cuts = new ArrayList<>();
        for (Row row : rows) {
            if (!withdrawn.contains(row.body() + "/" + row.id())) {
                LocalDate day = OffsetDateTime.parse(row.at())
                        .withOffsetSameInstant(ZoneOffset.UTC)
                        .toLocalDate();
                JsonText.tree(row.routed().getBytes(StandardCharsets.UTF_8))
                        .properties()
                        .forEach(bit -> cuts.add(new EdgeUse.Cut(
                                bit.getKey(),
                                day,
                                Length.parseWay(bit.getValue().asString()).millimetres())));
            }
        }
        return List.copyOf(cuts);
    }
}
