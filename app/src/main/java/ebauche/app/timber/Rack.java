package ebauche.app.timber;

import ebauche.app.account.Maker;
import ebauche.app.ways.Ways;
import ebauche.app.ways.WaysStore;
import ebauche.core.layout.OnRack;
import ebauche.core.timber.Climate;
import ebauche.core.timber.Seasoning;
import ebauche.exchange.rack.RackCsv;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** The rack as the shop's air finds it today. */
@Service
public class Rack {
    /** What a heated shop has if nobody measured: common practice. */
    private static final Climate USUAL = new Climate(20, 0.5);

    private final BoardStore boards;
    private final ClimateStore climates;
    private final WaysStore ways;
    private final Clock clock;

    public Rack(BoardStore boards, ClimateStore climates, WaysStore ways, Clock clock) {
        this.clock = clock;
        this.boards = boards;
        this.climates = climates;
        this.ways = ways;
    }

    /** A board with what its moisture says. */
    public record Held(Shelved shelved, Seasoning seasoning) {
        public OnRack onRack() {
            return OnRack.of(shelved.board(), seasoning);
        }
    }

    public List<Held> all(long shop) {
        Climate climate = climate(shop);
        Ways shopWays = ways.of(shop);
        return boards.rack(shop).stream().map(b -> held(b, climate, shopWays)).toList();
    }

    public Held of(Shelved board) {
        return held(board, climate(board.shop()), ways.of(board.shop()));
    }

    /** To the hour: wood is as dry a minute later, and what is laid out of the rack once is found again. */
    private Held held(Shelved board, Climate climate, Ways shopWays) {
        return new Held(
                board,
                new Seasoning(
                        board.board(),
                        climate,
                        shopWays.cutting().readyWithin(),
                        BoardStore.day(clock.instant().truncatedTo(ChronoUnit.HOURS))));
    }

    /** The air as last read. */
    public Optional<ClimateStore.Reading> air(long shop) {
        return climates.latest(shop);
    }

    /** The air as last read, else a usual one. */
    public Climate climate(long shop) {
        return air(shop).map(ClimateStore.Reading::climate).orElse(USUAL);
    }

    /** The last day on which a table's moisture can have been measured. */
    public LocalDate today() {
        return LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
    }

    private Instant moment(LocalDate day) {
        Instant noon = day.atTime(12, 0).toInstant(ZoneOffset.UTC);
        return day.equals(today()) && noon.isAfter(clock.instant()) ? clock.instant() : noon;
    }

    /** Puts a table's row on the rack, with its reading at noon of its day, or now if it is today and not yet noon. */
    public void take(Maker maker, RackCsv.Row row) {
        String id = boards.add(maker.shop(), row.board(), maker.name());
        row.moisture()
                .ifPresent(m -> boards.measure(
                        boards.find(maker.shop(), id),
                        UUID.randomUUID().toString(),
                        m.percent(),
                        moment(LocalDate.parse(m.day())),
                        maker.name()));
    }
}
