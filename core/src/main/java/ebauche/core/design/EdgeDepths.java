package ebauche.core.design;

import ebauche.core.measure.Refusal;
import java.util.List;

/** How deep a contour is along the edge, between the two ends of its line. */
public sealed interface EdgeDepths {
    /** One slope all along: as deep as it is wide, nothing at the ends. A saw's plane on a straight line. */
    record Wedge() implements EdgeDepths {
        static final Wedge ONE = new Wedge();

        @Override
        public double at(double at, double way, double width) {
            return width;
        }
    }

    /**
     * As deep all along, but where it fades out towards the ends.
     *
     * @param fade how far from an end it is that deep, mm along the line
     */
    record Even(double fade) implements EdgeDepths {
        public Even {
            Refusal.between(fade, 5, 300, "fade");
        }

        @Override
        public double at(double at, double way, double width) {
            return eased(Math.min(1, way / fade));
        }
    }

    /**
     * A wedge whose deepest leans towards one end.
     *
     * @param by from -1, quite to the line's first end, to 1
     */
    record Leaned(double by) implements EdgeDepths {
        public Leaned {
            Refusal.between(by, -1, 1, "lean");
        }

        @Override
        public double at(double at, double way, double width) {
            return width * (1 + by * (2 * at - 1));
        }
    }

    /** As it was typed at places evenly apart between the ends, mm; nothing at the ends. */
    record Typed(List<Double> depths) implements EdgeDepths {
        public Typed {
            depths = List.copyOf(depths);
            Refusal.unless(!depths.isEmpty() && depths.size() <= 12, "depths", "wants one to twelve depths");
            depths.forEach(d -> Refusal.between(d, 0, 60, "depths"));
            Refusal.unless(
                    depths.stream().anyMatch(d -> d >= 0.5), "depths", "is no carve: its deepest is under 0.5 mm");
        }

        @Override
        public double at(double at, double way, double width) {
            return between(depths, at);
        }
    }

    EdgeDepths WEDGE = Wedge.ONE;

    /**
     * The depth of a place, up to a factor that is the same for all of them.
     *
     * @param at share of the way along the line, from its first end
     * @param way from the nearer end along the line, mm
     * @param width of the contour there, as a share of its widest
     */
    double at(double at, double way, double width);

    private static double eased(double share) {
        return share * share * (3 - 2 * share);
    }

    private static double between(List<Double> depths, double at) {
        double place = at * (depths.size() + 1);
        int i = (int) Math.min(Math.floor(place), depths.size());
        double one = i == 0 ? 0 : depths.get(i - 1);
        double other = i == depths.size() ? 0 : depths.get(i);
        return one + (place - i) * (other - one);
    }
}
