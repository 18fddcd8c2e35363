package ebauche.app.timber;

import ebauche.core.timber.Climate;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Readings of each shop's air, only ever added. */
@Repository
public class ClimateStore {
    private final JdbcClient sql;

    public ClimateStore(JdbcClient sql) {
        this.sql = sql;
    }

    /** Where a reading comes from. */
    public enum Source {
        HYGROMETER,
        TYPED
    }

    /** One reading of the air. */
    public record Reading(Climate climate, Source source, Instant at, String by) {}

    /** The newest readings, newest first. */
    public List<Reading> newest(long shop, int most) {
        return sql.sql("""
                select celsius, humidity, source, measured_at, made_by from climate
                where shop = :shop order by id desc limit :most
                """)
                .param("shop", shop)
                .param("most", most)
                .query((row, n) -> new Reading(
                        new Climate(row.getDouble("celsius"), row.getDouble("humidity") / 100),
                        Source.valueOf(row.getString("source")),
                        row.getTimestamp("measured_at").toInstant(),
                        row.getString("made_by")))
                .list();
    }

    public Optional<Reading> latest(long shop) {
        return newest(shop, 1).stream().findFirst();
    }

    public void add(long shop, Climate climate, Source source, String by) {
        sql.sql("""
                insert into climate (shop, celsius, humidity, source, made_by)
                values (:shop, :celsius, :humidity, :source, :by)
                """)
                .param("shop", shop)
                .param("celsius", climate.celsius())
                .param("humidity", climate.humidity() * 100)
                .param("source", source.name())
                .param("by", by)
                .update();
    }
}
