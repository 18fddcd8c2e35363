package ebauche.core.calendar;

import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;

/**
 * Steps of one body that one hand does in one go.
 *
 * @param job the body's place among those of the calendar
 * @param name lasting within its body: the key of its first step
 * @param pieces the steps; none is torn by the end of a stretch if it fits into one
 * @param trades what the hand must be trusted with
 * @param uses what it takes
 * @param after blocks that must be done before it
 * @param from no sooner, minutes since 1970; empty while nobody can say when
 * @param pin where it was put by hand
 */
public record Block(
        int job,
        String name,
        List<Piece> pieces,
        Set<Trade> trades,
        List<Use> uses,
        List<After> after,
        OptionalLong from,
        Optional<Pin> pin) {

    /**
     * One step.
     *
     * @param key as files write it
     * @param title an instruction
     * @param minutes hands-on
     * @param rests minutes that glue or paint rests after it
     * @param glues whether it is a glue-up
     */
    public record Piece(String key, String title, int minutes, int rests, boolean glues) {}

    /**
     * What it takes of a thing.
     *
     * @param thing its place among the things
     * @param count how many of it
     * @param after minutes that it keeps them when its hands are done: clamps hold while glue sets
     * @param first how it wants it set up; empty where that does not matter
     * @param last how it leaves it set up
     * @param setUp minutes that it takes to set it up so
     */
    public record Use(int thing, int count, int after, String first, String last, int setUp) {}

    /**
     * A block that must be done before.
     *
     * @param block its place
     * @param rest least minutes between its end and the start of this
     */
    public record After(int block, int rest) {}

    /**
     * Where it was put by hand.
     *
     * @param hand key of the hand
     * @param at minutes since 1970
     */
    public record Pin(String hand, long at) {}

    public Block {
        pieces = List.copyOf(pieces);
        trades = Set.copyOf(trades);
        uses = List.copyOf(uses);
        after = List.copyOf(after);
    }

    /** Hands-on minutes, its set-ups not counted. */
    public int minutes() {
        return pieces.stream().mapToInt(Piece::minutes).sum();
    }

    /** Minutes of all that must be set up for it, where nothing is. */
    public int setUp() {
        return uses.stream().mapToInt(Use::setUp).sum();
    }

    /** The same put elsewhere by hand, or nowhere. */
    public Block pinned(Optional<Pin> elsewhere) {
        return new Block(job, name, pieces, trades, uses, after, from, elsewhere);
    }

    /** The same while nobody can say when it may be done. */
    public Block waiting() {
        return new Block(job, name, pieces, trades, uses, after, OptionalLong.empty(), pin);
    }
}
