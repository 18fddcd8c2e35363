package ebauche.core.calendar;

import ebauche.core.feature.StepKey;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.plan.Schedule;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;

/**
 * What is still to be done of a body, in blocks that one hand does in one go, in the order of its plan. Small: kept of hundreds of bodies without their plans.
 *
 * <p>A block ends where glue or paint rests, where the machine changes, before and after a step that somebody is asked about, and at a glue-up, which stands
 * alone so that it can be done before going home. While a template is on the body nothing is parted: nobody else has it. Blocks follow each other as the plan has
 * them; only one that waits for a rest or for somebody is passed by those that do not need it.
 *
 * @param resting what steps that are done have put on and a block waits for, whether it has rested by now or not
 */
public record BodyWork(List<Part> parts, List<Schedule.Rest> resting) {
    /**
     * One block before the shop has a place for it.
     *
     * @param pieces its steps
     * @param trades what the hand must be trusted with
     * @param uses what it takes
     * @param after blocks of the same body, by their places, each with the least rest after it
     * @param rested when what was done before has rested, minutes since 1970; 0 where nothing rests
     * @param asked what somebody is asked about
     * @param lacking clamps that its glue-up would want besides those that the shop has, in words; empty if it has enough
     */
    public record Part(
            List<Block.Piece> pieces,
            Set<Trade> trades,
            List<Wanted> uses,
            Map<Integer, Integer> after,
            long rested,
            Optional<AsBuilt.Asked> asked,
            String lacking) {
        public Part {
            pieces = List.copyOf(pieces);
            trades = Set.copyOf(trades);
            uses = List.copyOf(uses);
            after = Map.copyOf(after);
        }

        /** Lasting within its body. */
        public String name() {
            return pieces.get(0).key();
        }
    }

    /**
     * What a block takes, by its name.
     *
     * @param said what it is called: one of several templates of the same name is told by its shape
     * @param there how many of it there are where the shop says nothing else
     * @param count how many are taken
     * @param after minutes that they stay when the hands are done
     * @param first how it wants it set up; empty where that does not matter
     * @param last how it leaves it
     * @param setUp minutes
     */
    public record Wanted(
            String thing, String said, int there, int count, int after, String first, String last, int setUp) {
        Wanted(String thing, int there, int count, int after, String first, String last, int setUp) {
            this(thing, thing, there, count, after, first, last, setUp);
        }
    }

    public BodyWork {
        parts = List.copyOf(parts);
        resting = List.copyOf(resting);
    }

    /** The first full minute since 1970 when something has rested. */
    static long minute(Schedule.Rest rest) {
        return Math.floorDiv(rest.until().getEpochSecond() + 59, 60);
    }

    /** The blocks of what is not done yet. */
    public static BodyWork of(Schedule schedule) {
        return new Gathering(schedule).work();
    }

    /** The steps that somebody is asked about. */
    public List<StepKey> asked() {
        return parts.stream()
                .flatMap(p -> p.asked().stream())
                .map(AsBuilt.Asked::operation)
                .toList();
    }

    /** Hands-on minutes. */
    public int minutes() {
        return parts.stream()
                .flatMap(p -> p.pieces().stream())
                .mapToInt(Block.Piece::minutes)
                .sum();
    }

    /** The block that a step lies in, by its place. */
    public Optional<Part> with(String step) {
        return parts.stream()
                .filter(p -> p.pieces().stream().anyMatch(s -> s.key().equals(step)))
                .findFirst();
    }

    /** A block and all that must be done before it. */
    BodyWork upTo(String block) {
        boolean[] kept = new boolean[parts.size()];
        for (int i = parts.size() - 1; i >= 0; i--) {
            kept[i] |= parts.get(i).name().equals(block);
            if (kept[i]) {
                parts.get(i).after().keySet().forEach(b -> kept[b] = true);
            }
        }
        int[] place = new int[parts.size()];
        List<Part> left = new ArrayList<>();
        for (int i = 0; i < place.length; i++) {
            place[i] = left.size();
            if (kept[i]) {
                Part part = parts.get(i);
                Map<Integer, Integer> after = new LinkedHashMap<>();
                part.after().forEach((b, rest) -> after.put(place[b], rest));
                left.add(new Part(
                        part.pieces(), part.trades(), part.uses(), after, part.rested(), part.asked(), part.lacking()));
            }
        }
        return new BodyWork(left, resting);
    }

    /**
     * The blocks as the calendar has them.
     *
     * @param job the body's place
     * @param offset blocks that are there already
     * @param things places of all things
     * @param from of each step that somebody is asked about, from when it may be done; empty while nobody knows
     * @param pins of blocks that were put somewhere by hand, by one of their steps
     */
    List<Block> blocks(
            int job,
            int offset,
            Map<String, Integer> things,
            Map<StepKey, OptionalLong> from,
            Map<String, Block.Pin> pins) {
        return parts.stream()
                .map(part -> new Block(
                        job,
                        part.name(),
                        part.pieces(),
                        part.trades(),
                        part.uses().stream()
                                .map(u -> new Block.Use(
                                        things.get(u.thing()), u.count(), u.after(), u.first(), u.last(), u.setUp()))
                                .toList(),
                        part.after().entrySet().stream()
                                .sorted(Map.Entry.comparingByKey())
                                .map(e -> new Block.After(e.getKey() + offset, e.getValue()))
                                .toList(),
                        from(part, from),
                        part.pieces().stream()
                                .filter(p -> pins.containsKey(p.key()))
                                .map(p -> pins.get(p.key()))
                                .findFirst()))
                .toList();
    }

    private static OptionalLong from(Part part, Map<StepKey, OptionalLong> from) {
        OptionalLong asked = part.asked().map(a -> from.get(a.operation())).orElse(OptionalLong.of(0));
        return asked.isEmpty() ? asked : OptionalLong.of(Math.max(asked.getAsLong(), part.rested()));
    }
}
