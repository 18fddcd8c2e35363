package ebauche.core.operation;

import ebauche.core.crib.Fit;
import ebauche.core.geometry.Face;
import ebauche.core.measure.Division;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Rounding;
import ebauche.core.passes.Pass;
import ebauche.core.passes.Travel;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What is set up for an operation: the tool, and the one figure that matters. */
public sealed interface Setting {
    /** What sort of setting it is, as files write it. */
    String kind();

    /** The tool to reach for, in words. */
    String tool();

    /** The figure to set, if there is one. */
    Optional<Reckoning> figure();

    /** What the figure says, such as {@code deep from the front}. */
    String figureSays();

    /** Which way a hand-held router is fed, seen from above the face that is up. */
    enum Feed {
        CLOCKWISE,
        ANTICLOCKWISE,
        NONE
    }

    default Feed feed() {
        return Feed.NONE;
    }

    /** Which way the figure is rounded on a gauge so that wood is left: less depth, more thickness, more allowance. */
    default Rounding rounding() {
        return Rounding.LESS;
    }

    /** How finely the figure is set. */
    default Division division() {
        return Division.CALLIPER;
    }

    /** The tool and what leads it, as a card says them. */
    default String with() {
        return tool();
    }

    /** Further lengths that it wants at least beside the figure to set, each by its own name. */
    default List<Reckoning> also() {
        return List.of();
    }

    /** What is to be minded about the tool as it is set. */
    default List<Caution> cautions() {
        return List.of();
    }

    /** What it is done by, line by line; none where the setting says it all. */
    default List<LedgerRow> ledger() {
        return List.of();
    }

    /** How far each bit cuts, by its name, mm. */
    default Map<String, Double> routed() {
        return Map.of();
    }

    /** The passes in which it is taken; none where it is not guided. */
    default List<Pass> passes() {
        return List.of();
    }

    /**
     * A router against a guide.
     *
     * @param guide what its bearing runs on, such as {@code wall just cut}; how it is led where it runs on nothing
     * @param passes in order; none if the crib gives none
     * @param travel the way that each pass goes
     */
    record Routed(
            String tool, String guide, Feed feed, Reckoning depth, String figureSays, List<Pass> passes, Travel travel)
            implements Setting {
        /** So begins what guides a router that runs on nothing. */
        public static final String BY_EYE = "by eye";

        @Override
        public String kind() {
            return "routed";
        }

        public Routed {
            passes = List.copyOf(passes);
        }

        @Override
        public String with() {
            if (guide.startsWith(BY_EYE) || passes.stream().anyMatch(p -> p.guide() == Pass.Guide.FREEHAND)) {
                return tool + ", " + guide;
            }
            return tool
                    + (passes.stream().anyMatch(Pass::isRidden) ? ", its shank on the " : ", bearing on the ")
                    + guide;
        }

        @Override
        public Optional<Reckoning> figure() {
            return Optional.of(depth);
        }

        @Override
        public List<Caution> cautions() {
            return passes.stream().anyMatch(Pass::isRidden) ? List.of(Caution.RIDDEN) : List.of();
        }

        @Override
        public Map<String, Double> routed() {
            Map<String, Double> routed = new TreeMap<>();
            passes.stream()
                    .map(p -> p.cutter().bit())
                    .forEach(bit -> routed.merge(bit.name(), travel.of(bit), Double::sum));
            return routed;
        }
    }

    /**
     * A drill to a stop; through holes have a depth too.
     *
     * @param hole that is wanted, where the drill is chosen for it
     */
    record Drilled(String tool, Reckoning depth, String figureSays, Optional<Hole> hole) implements Setting {
        @Override
        public String kind() {
            return "drilled";
        }

        /**
         * A hole that a drill is chosen for.
         *
         * @param wide diameter, mm
         * @param through whether it may be drilled from both faces
         */
        public record Hole(double wide, Fit fit, boolean through) {}

        /** With a drill that is chosen for something else than a hole's width. */
        public Drilled(String tool, Reckoning depth, String figureSays) {
            this(tool, depth, figureSays, Optional.empty());
        }

        @Override
        public Optional<Reckoning> figure() {
            return Optional.of(depth);
        }

        @Override
        public Division division() {
            return hole.isPresent() ? Division.SAID : Division.RULE;
        }
    }

    /** A saw outside a line. */
    record Sawn(String tool, Reckoning outside) implements Setting {
        @Override
        public String kind() {
            return "sawn";
        }

        @Override
        public Optional<Reckoning> figure() {
            return Optional.of(outside);
        }

        @Override
        public String figureSays() {
            return "outside the line";
        }

        @Override
        public Rounding rounding() {
            return Rounding.MORE;
        }

        @Override
        public Division division() {
            return Division.SAW;
        }
    }

    /**
     * A slice sawn off a piece on edge.
     *
     * @param off the face that it comes off
     * @param board how thick the piece is before
     */
    record Resawn(String tool, Face off, Reckoning slice, Reckoning board) implements Setting {
        @Override
        public String kind() {
            return "resawn";
        }

        @Override
        public Optional<Reckoning> figure() {
            return Optional.of(slice);
        }

        @Override
        public String figureSays() {
            return "thick, off its " + off.word() + "; mark where it lay and which end is the neck's";
        }

        @Override
        public List<Reckoning> also() {
            return List.of(board);
        }

        @Override
        public Rounding rounding() {
            return Rounding.MORE;
        }

        @Override
        public Division division() {
            return Division.SAW;
        }
    }

    /** A blank cut out of its board: how wide; how long its drawing says. */
    record CutOut(String tool, Reckoning width) implements Setting {
        @Override
        public String kind() {
            return "cutout";
        }

        @Override
        public Optional<Reckoning> figure() {
            return Optional.of(width);
        }

        @Override
        public String figureSays() {
            return "wide at the least, as long as drawn";
        }

        @Override
        public Rounding rounding() {
            return Rounding.MORE;
        }

        @Override
        public Division division() {
            return Division.SAW;
        }
    }

    /**
     * A blank brought flat or to thickness.
     *
     * @param machine what it is done with: one thing, however it is set
     * @param tool the same with how many passes it takes
     */
    record Surfaced(String machine, String tool, Reckoning thickness, String figureSays) implements Setting {
        /** With a machine of which nothing more is said. */
        public Surfaced(String machine, Reckoning thickness, String figureSays) {
            this(machine, machine, thickness, figureSays);
        }

        @Override
        public String kind() {
            return "surfaced";
        }

        @Override
        public Optional<Reckoning> figure() {
            return Optional.of(thickness);
        }

        @Override
        public Rounding rounding() {
            return Rounding.MORE;
        }
    }

    /** A jig or a template made. */
    record Made(String tool, Reckoning width, String figureSays) implements Setting {
        @Override
        public String kind() {
            return "made";
        }

        @Override
        public Optional<Reckoning> figure() {
            return Optional.of(width);
        }
    }

    /** Boards glued. */
    record Glued(String tool, Reckoning curing) implements Setting {
        @Override
        public String kind() {
            return "glued";
        }

        @Override
        public Optional<Reckoning> figure() {
            return Optional.of(curing);
        }

        @Override
        public String figureSays() {
            return "to leave before machining";
        }
    }

    /**
     * Walls lined with paint or foil.
     *
     * @param amount of it
     */
    record Lined(String tool, Reckoning amount, String figureSays) implements Setting {
        @Override
        public String kind() {
            return "lined";
        }

        @Override
        public Optional<Reckoning> figure() {
            return Optional.of(amount);
        }

        @Override
        public Rounding rounding() {
            return Rounding.MORE;
        }

        @Override
        public Division division() {
            return Division.SAW;
        }
    }

    /** A surface carved by hand and eye, or by the lines of a ledger. */
    record Carved(String tool, Reckoning depth, List<LedgerRow> ledger) implements Setting {
        public Carved {
            ledger = List.copyOf(ledger);
        }

        public Carved(String tool, Reckoning depth) {
            this(tool, depth, List.of());
        }

        @Override
        public String kind() {
            return "carved";
        }

        @Override
        public Optional<Reckoning> figure() {
            return Optional.of(depth);
        }

        @Override
        public String figureSays() {
            return "maximum depth, under the face";
        }

        @Override
        public Division division() {
            return Division.RULE;
        }
    }

    /** Sanding by an amount, grit by grit. */
    record Sanded(String tool, Reckoning off, List<LedgerRow> ledger) implements Setting {
        public Sanded {
            ledger = List.copyOf(ledger);
        }

        @Override
        public String kind() {
            return "sanded";
        }

        @Override
        public Optional<Reckoning> figure() {
            return Optional.of(off);
        }

        @Override
        public String figureSays() {
            return "to come off";
        }
    }

    /**
     * A template fixed.
     *
     * @param longest screw, where it is held with screws or pins
     */
    record Fixed(String tool, Optional<Reckoning> longest) implements Setting {
        @Override
        public String kind() {
            return "fixed";
        }

        @Override
        public Optional<Reckoning> figure() {
            return longest;
        }

        @Override
        public String figureSays() {
            return "long at most, screws or pins";
        }

        @Override
        public Division division() {
            return Division.RULE;
        }
    }

    /** A line or a place marked so far from something. */
    record Marked(String tool, Reckoning from, String figureSays) implements Setting {
        @Override
        public String kind() {
            return "marked";
        }

        @Override
        public Optional<Reckoning> figure() {
            return Optional.of(from);
        }

        @Override
        public Rounding rounding() {
            return Rounding.NEAREST;
        }

        @Override
        public Division division() {
            return Division.SAID;
        }
    }

    /** Marking, fitting, taking off, checking. */
    record ByHand(String tool, List<LedgerRow> ledger) implements Setting {
        public ByHand {
            ledger = List.copyOf(ledger);
        }

        public ByHand(String tool) {
            this(tool, List.of());
        }

        @Override
        public String kind() {
            return "byhand";
        }

        @Override
        public Optional<Reckoning> figure() {
            return Optional.empty();
        }

        @Override
        public String figureSays() {
            return "";
        }
    }
}
