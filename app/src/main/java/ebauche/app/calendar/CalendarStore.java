package ebauche.app.calendar;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import ebauche.app.account.MakerStore;
import ebauche.app.body.Body;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.calendar.Block;
import ebauche.core.calendar.Hand;
import ebauche.core.calendar.Hours;
import ebauche.core.calendar.ShopWeek;
import ebauche.core.calendar.Trade;
import ebauche.exchange.calendar.WeekFile;
import ebauche.exchange.json.JsonText;
import java.nio.charset.StandardCharsets;
import java.sql.Date;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.node.ObjectNode;

/** Who works in a shop when, and what was said of its bodies' dates by hand: rows that are only ever added. */
@Repository
public class CalendarStore {
    private final JdbcClient sql;
    private final MakerStore makers;
    private final Cache<Key, ShopWeek> weeks =
            Caffeine.newBuilder().maximumSize(200).build();

    private record Key(long shop, int number) {}

    /**
     * A shop's week in one of its states.
     *
     * @param number 0 before anything was kept
     */
    public record Week(int number, ShopWeek week) {}

    CalendarStore(JdbcClient sql, MakerStore makers) {
        this.sql = sql;
        this.makers = makers;
    }

    /** The newest week; before one was kept, its makers with the usual hours, trusted with everything. */
    public Week week(long shop) {
        int number = sql.sql("select coalesce(max(number), 0) from shop_week where shop = :shop")
                .param("shop", shop)
                .query(Integer.class)
                .single();
        return new Week(number, number == 0 ? usual(shop) : weeks.get(new Key(shop, number), this::read));
    }

    private ShopWeek usual(long shop) {
        List<Hand> hands = makers.people(shop).stream()
                .map(p -> new Hand(
                        "maker-" + p.id(), p.name(), EnumSet.allOf(Trade.class), Hours.USUAL, Set.of(), Set.of()))
                .toList();
        return new ShopWeek(ZoneId.systemDefault(), Set.of(), hands, Map.of());
    }

    private ShopWeek read(Key key) {
        String json = sql.sql("select week from shop_week where shop = :shop and number = :number")
                .param("shop", key.shop())
                .param("number", key.number())
                .query(String.class)
                .single();
        return WeekFile.read((ObjectNode) JsonText.tree(json.getBytes(StandardCharsets.UTF_8)));
    }

    /**
     * Keeps the next week.
     *
     * @param basedOn the state that was edited
     * @throws Stale if it is no longer the newest
     */
    public void keep(long shop, int basedOn, ShopWeek week, String by) {
        if (week(shop).number() != basedOn) {
            throw new Stale(Words.say("calendar.week-was-changed"));
        }
        try {
            sql.sql("""
                    insert into shop_week (shop, number, based_on, week, made_by)
                    values (:shop, :number, nullif(:basedOn, 0), :week, :by)
                    """)
                    .param("shop", shop)
                    .param("number", basedOn + 1)
                    .param("basedOn", basedOn)
                    .param("week", WeekFile.write(week).toString())
                    .param("by", by)
                    .update();
        } catch (DuplicateKeyException sameMoment) {
            throw new Stale(Words.say("calendar.week-was-changed"));
        }
    }

    private record Row(Marks.Of of, Mark mark) {}

    /** All that was said by hand and counts. */
    Marks marks(long shop) {
        Map<Marks.Of, Mark> all = new LinkedHashMap<>();
        sql.sql("""
                select m.id, m.body, m.about, m.step, m.kind, m.on_day, m.hand, m.at_minute, m.made_by
                from calendar_mark m
                where m.shop = :shop and m.id in (
                    select max(l.id) from calendar_mark l where l.shop = :shop group by l.body, l.about, l.step)
                order by m.id
                """).param("shop", shop).query(CalendarStore::row).list().forEach(r -> all.put(r.of(), r.mark()));
        return new Marks(all);
    }

    private static Row row(ResultSet row, int n) throws SQLException {
        Mark.About about = Mark.About.valueOf(row.getString("about"));
        Mark.Kind kind = Mark.Kind.valueOf(row.getString("kind"));
        Date day = row.getDate("on_day");
        Optional<Block.Pin> pin = kind == Mark.Kind.PUT
                ? Optional.of(new Block.Pin(row.getString("hand"), row.getLong("at_minute")))
                : Optional.empty();
        return new Row(
                new Marks.Of(row.getLong("body"), about, row.getString("step")),
                new Mark(
                        row.getLong("id"),
                        about,
                        kind,
                        Optional.ofNullable(day).map(Date::toLocalDate),
                        pin,
                        row.getString("made_by")));
    }

    /**
     * Says something by hand.
     *
     * @param step empty for a whole body
     * @param basedOn id of the last word on it that whoever says it has seen; 0 for none
     * @throws Stale if somebody said something else meanwhile; nothing is kept then
     */
    public void say(Body body, String step, Mark mark, long basedOn, String by) {
        LocalDate day = mark.day().orElse(null);
        try {
            int added = sql.sql("""
                    insert into calendar_mark (shop, body, about, step, kind, on_day, hand, at_minute, based_on, made_by)
                    select :shop, :body, :about, :step, :kind, :day, :hand, :at, :basedOn, :by
                    from (select coalesce(max(id), 0) as newest from calendar_mark
                        where shop = :shop and body = :body and about = :about and step = :step) l
                    where l.newest = :basedOn
                    """)
                    .param("shop", body.shop())
                    .param("body", body.id())
                    .param("about", mark.about().name())
                    .param("step", step)
                    .param("kind", mark.kind().name())
                    .param("day", day)
                    .param("hand", mark.pin().map(Block.Pin::hand).orElse(null))
                    .param("at", mark.pin().map(Block.Pin::at).orElse(null))
                    .param("basedOn", basedOn)
                    .param("by", by)
                    .update();
            if (added == 0) {
                throw meanwhile(body, mark.about(), step);
            }
        } catch (DuplicateKeyException sameMoment) {
            throw meanwhile(body, mark.about(), step);
        }
    }

    private Stale meanwhile(Body body, Mark.About about, String step) {
        return new Stale(Words.say(
                "calendar.said-meanwhile",
                marks(body.shop()).of(body.id(), about, step).by()));
    }
}
