package ebauche.app.calendar;

import ebauche.core.calendar.Block;
import java.time.LocalDate;
import java.util.Optional;

/**
 * What somebody said of a body's dates by hand.
 *
 * @param id 0 where nothing was said yet
 * @param day of {@code ON}
 * @param pin of {@code PUT}
 * @param by who said it
 */
public record Mark(long id, About about, Kind kind, Optional<LocalDate> day, Optional<Block.Pin> pin, String by) {
    /** What it is said of. */
    public enum About {
        DUE,
        BLOCK,
        ANSWER
    }

    /** What is said. */
    public enum Kind {
        ON,
        PUT,
        OUT,
        FREE
    }

    static final Mark NONE = new Mark(0, About.BLOCK, Kind.FREE, Optional.empty(), Optional.empty(), "");

    static Mark on(About about, Optional<LocalDate> day) {
        return new Mark(0, about, day.isPresent() ? Kind.ON : Kind.FREE, day, Optional.empty(), "");
    }

    static Mark put(Block.Pin pin) {
        return new Mark(0, About.BLOCK, Kind.PUT, Optional.empty(), Optional.of(pin), "");
    }

    static Mark block(Kind kind) {
        return new Mark(0, About.BLOCK, kind, Optional.empty(), Optional.empty(), "");
    }
}
