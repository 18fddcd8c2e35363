package ebauche.core.logbook;

import ebauche.core.design.Measurand;
import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Face;
import ebauche.core.measure.Refusal;
import ebauche.core.stock.Change;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What was done and measured, in the order in which it happened. Nothing is ever taken out: a slip of the pen is
 * withdrawn by a later entry.
 */
public final class AsBuilt {
    /** A month of days at the bench: more is a slip of the unit. */
    public static final int MOST_MINUTES = 20_000;

    public static final AsBuilt NOTHING_YET = new AsBuilt(List.of());

    private final List<Entry> timeline;
    private final List<Entry> standing;
    private final Map<StepKey, Done> steps = new LinkedHashMap<>();
    private final Map<Measurand, Reading> latest = new HashMap<>();

    public AsBuilt(List<? extends Entry> timeline) {
        this.timeline = List.copyOf(timeline);
        Set<String> ids = new HashSet<>();
        Set<String> gone = new HashSet<>();
        for (Entry entry : timeline) {
            Refusal.unless(ids.add(entry.id()), "id", "the entry “" + entry.id() + "” stands twice in the record");
            if (entry instanceof Withdrawn w) {
                gone.add(w.entry());
            }
        }
        this.standing = this.timeline.stream()
                .filter(e -> !(e instanceof Withdrawn) && !gone.contains(e.id()))
                .toList();
        for (Entry entry : standing) {
            if (entry instanceof Done d) {
                steps.remove(d.operation());
                steps.put(d.operation(), d);
            } else if (entry instanceof Reading r) {
                latest.put(r.measures(), r);
            }
        }
    }

    /** Every entry, withdrawn ones and withdrawals too, in the order in which they were made. */
    public List<Entry> timeline() {
        return timeline;
    }

    /** One line of the record. */
    public sealed interface Entry {
        /** What sort of entry it is, in a word. */
        String kind();

        /** Made by whoever enters it, so that sending it twice is no harm. */
        String id();

        /** When, as written by the one who entered it (ISO 8601). */
        String at();

        /** Who. */
        String by();
    }

    /**
     * A number read off a gauge.
     *
     * @param operation the step it was read at, if it was read at one
     * @param value mm or degrees, as the measurand says
     * @param astray how far a long hole went off, where that was read
     */
    public record Reading(
            String id,
            String at,
            String by,
            Optional<StepKey> operation,
            Measurand measures,
            double value,
            Optional<Astray> astray)
            implements Entry {
        /** One that tells of no long hole. */
        public Reading(String id, String at, String by, Optional<StepKey> operation, Measurand measures, double value) {
            this(id, at, by, operation, measures, value, Optional.empty());
        }

        @Override
        public String kind() {
            return "reading";
        }

        public Reading {
            measures.check(value);
        }

        /** The same, read at another moment. */
        public Reading readAt(String moment) {
            return new Reading(id, moment, by, operation, measures, value, astray);
        }

        /** Whether it was read at that step. */
        public boolean isAt(StepKey step) {
            return operation.filter(step::equals).isPresent();
        }
    }

    /**
     * A step that is done: a fact that no later design changes.
     *
     * @param face which face was up
     * @param changes what it did to the wood
     * @param expected what the plan expected its inspections to read, by measurand
     * @param routed how far each router bit cut, by its name, mm; empty in records from before that was kept
     */
    public record Done(
            String id,
            String at,
            String by,
            StepKey operation,
            String title,
            Face face,
            List<Change> changes,
            Map<Measurand, Double> expected,
            Map<String, Double> routed)
            implements Entry {
        @Override
        public String kind() {
            return "done";
        }

        public Done {
            changes = List.copyOf(changes);
            expected = Map.copyOf(expected);
            routed = Map.copyOf(routed);
            routed.values().forEach(way -> Refusal.notNegative(way, "routed"));
        }

        /** A step that no router bit cut in. */
        public Done(
                String id,
                String at,
                String by,
                StepKey operation,
                String title,
                Face face,
                List<Change> changes,
                Map<Measurand, Double> expected) {
            this(id, at, by, operation, title, face, changes, expected, Map.of());
        }
    }

    /**
     * Something went wrong at a step.
     *
     * @param minutes of work that it cost, nought where nobody said
     * @param open whether it is still to be made good
     */
    public record Mishap(
            String id, String at, String by, Optional<StepKey> operation, String what, int minutes, boolean open)
            implements Entry {
        public Mishap {
            Refusal.between(minutes, 0, MOST_MINUTES, "minutes");
        }

        /** One that cost nothing more and is made good. */
        public Mishap(String id, String at, String by, Optional<StepKey> operation, String what) {
            this(id, at, by, operation, what, 0, false);
        }

        @Override
        public String kind() {
            return "mishap";
        }
    }

    /**
     * A step that waits for somebody's yes: the client's, an older hand's.
     *
     * @param whom it is asked of
     */
    public record Asked(String id, String at, String by, StepKey operation, String whom) implements Entry {
        @Override
        public String kind() {
            return "asked";
        }
    }

    /**
     * An earlier entry is settled: a mishap made good, a yes given.
     *
     * @param entry its id
     */
    public record Settled(String id, String at, String by, String entry) implements Entry {
        @Override
        public String kind() {
            return "settled";
        }
    }

    /** An earlier entry that should not have been made. */
    public record Withdrawn(String id, String at, String by, String entry) implements Entry {
        @Override
        public String kind() {
            return "withdrawn";
        }
    }

    /**
     * An entry that is kept and cannot be read: it counts for nothing until it is withdrawn or a later program reads it.
     *
     * @param why it cannot be read
     */
    public record Unreadable(String id, String at, String by, String why) implements Entry {
        @Override
        public String kind() {
            return "unreadable";
        }
    }

    /** The entries that stand: neither withdrawn nor withdrawals. */
    public List<Entry> standing() {
        return standing;
    }

    /** What is not settled yet, in the order of asking: mishaps to be made good, and steps that wait for a yes. */
    public List<Entry> unsettled() {
        Set<String> settled = new HashSet<>();
        for (Entry entry : standing) {
            if (entry instanceof Settled s) {
                settled.add(s.entry());
            }
        }
        return standing.stream()
                .filter(e -> e instanceof Asked || (e instanceof Mishap m && m.open()))
                .filter(e -> !settled.contains(e.id()))
                .toList();
    }

    /** The yes that a step waits for, if it does. */
    public Optional<Asked> awaited(StepKey operation) {
        return unsettled().stream()
                .filter(e -> e instanceof Asked a && a.operation().equals(operation))
                .map(Asked.class::cast)
                .findFirst();
    }

    /** The step's last record, if it is done and stands. */
    public Optional<Done> done(StepKey operation) {
        return Optional.ofNullable(steps.get(operation));
    }

    /** The latest standing reading of a measurand. */
    public Optional<Reading> latest(Measurand measurand) {
        return Optional.ofNullable(latest.get(measurand));
    }

    /**
     * Wood that came off a face from entry {@code from} (included) to the end of the standing entries. Readings count as
     * they stand; a finished sanding step without a reading of its own counts as planned.
     */
    public double sandedOff(Face face, int from) {
        List<Entry> entries = standing();
        Measurand off = new Measurand.SandedOff(face);
        double sum = 0;
        for (Entry entry : entries.subList(from, entries.size())) {
            if (entry instanceof Reading r && r.measures().equals(off)) {
                sum += r.value();
            } else if (entry instanceof Done d && d.expected().containsKey(off) && !hasReadingAt(d, off)) {
                sum += d.expected().get(off);
            }
        }
        return sum;
    }

    private boolean hasReadingAt(Done done, Measurand measurand) {
        return !readingsAt(done.operation(), measurand).isEmpty();
    }

    /** The standing readings of a measurand that were taken at a step, before or after it was called done. */
    public List<Reading> readingsAt(StepKey operation, Measurand measurand) {
        return standing().stream()
                .filter(e -> e instanceof Reading r && r.measures().equals(measurand) && r.isAt(operation))
                .map(Reading.class::cast)
                .toList();
    }

    /** Every standing step by its key, in the order of doing; the last record of a step counts. */
    public Map<StepKey, Done> steps() {
        return Collections.unmodifiableMap(steps);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof AsBuilt that && that.timeline.equals(timeline);
    }

    @Override
    public int hashCode() {
        return timeline.hashCode();
    }
}
