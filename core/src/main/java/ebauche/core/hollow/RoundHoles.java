package ebauche.core.hollow;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Round holes in rows, each row shifted by half a hole against the next, so that six stand round each: shifted and turned to where most fit in. */
public final class RoundHoles {
    /** Rows along the body and across it; each shifted by so many parts of a hole's room either way. */
    private static final double[] TURNS = {0, 90};

    private static final int SHIFTS = 12;

    /** A line that is off by less lies on another, mm. */
    private static final double NEAR = 1e-6;

    private RoundHoles() {}

    /**
     * The most that fit. Each pattern is counted on straight lines along its rows first, which can tell no fewer than fit; one place after
     * the other is looked at only in those that may hold more than the best so far.
     *
     * @param room where they may lie
     * @param diameter mm
     * @param web wood between two, mm
     */
    static List<Region> in(Region room, double diameter, double web) {
        Region middles = room.grown(-diameter / 2);
        List<Point> best = List.of();
        if (!middles.isEmpty()) {
            for (Pattern pattern : patterns(middles, diameter + web)) {
                if (pattern.most() > best.size()) {
                    List<Point> rows = rows(middles, diameter + web, pattern.turn(), pattern.across(), pattern.along());
                    best = rows.size() > best.size() ? rows : best;
                }
            }
        }
        return best.stream().map(p -> Region.disc(p, diameter)).toList();
    }

    /** One way to lay the rows, and how many it holds at the most. */
    private record Pattern(double turn, double across, double along, int most) {}

    /** All of them, those that may hold the most first. */
    private static List<Pattern> patterns(Region middles, double apart) {
        List<Pattern> all = new ArrayList<>();
        for (double turn : TURNS) {
            for (int j = 0; j < SHIFTS; j++) {
                double along = apart * j / SHIFTS;
                List<Row> rows = new ArrayList<>();
                int number = 0;
                for (double at : levels(middles, apart, turn, along)) {
                    rows.add(new Row(middles, turn == 90, at, first(middles, apart, turn) + shift(number++, apart)));
                }
                for (int i = 0; i < SHIFTS; i++) {
                    double across = apart * i / SHIFTS;
                    int most =
                            rows.stream().mapToInt(r -> r.holds(across, apart)).sum();
                    all.add(new Pattern(turn, across, along, most));
                }
            }
        }
        all.sort(Comparator.comparingInt(Pattern::most).reversed());
        return all;
    }

    /**
     * A row, looked at a hair to either side of it, since it may lie on an edge.
     */
    private static final class Row {
        /** From where to where it runs inside, over it and under it. */
        private final double[] over;

        private final double[] under;

        /** Its first place before it is shifted. */
        private final double first;

        Row(Region middles, boolean upright, double at, double first) {
            this.over = middles.chords(upright, at + NEAR);
            this.under = middles.chords(upright, at - NEAR);
            this.first = first;
        }

        int holds(double across, double apart) {
            return Math.max(holds(over, first + across, apart), holds(under, first + across, apart));
        }

        private static int holds(double[] chords, double from, double apart) {
            int holds = 0;
            for (int i = 0; i + 1 < chords.length; i += 2) {
                double one = Math.max(0, Math.ceil((chords[i] - NEAR - from) / apart));
                double last = Math.floor((chords[i + 1] + NEAR - from) / apart);
                holds += (int) Math.max(0, last - one + 1);
            }
            return holds;
        }
    }

    /** Straight across about its middle, as one drills waste: not the most that fit. */
    public static List<Region> inRows(Region room, double diameter, double web) {
        Region middles = room.grown(-diameter / 2);
        if (middles.isEmpty()) {
            return List.of();
        }
        double apart = diameter + web;
        double wide = middles.maxX() - middles.minX();
        double beside = (wide - apart * Math.floor(wide / apart)) / 2;
        return rows(middles, apart, 0, beside, 0).stream()
                .map(p -> Region.disc(p, diameter))
                .toList();
    }

    /** Where the rows of one pattern lie. */
    private static List<Double> levels(Region middles, double apart, double turn, double along) {
        double step = apart * Math.sqrt(3) / 2;
        boolean upright = turn == 90;
        double low = upright ? middles.minX() : middles.minY();
        double high = upright ? middles.maxX() : middles.maxY();
        List<Double> levels = new ArrayList<>();
        for (double y = low - step + along * step / apart; y <= high; y += step) {
            levels.add(y);
        }
        return levels;
    }

    private static double first(Region middles, double apart, double turn) {
        return (turn == 90 ? middles.minY() : middles.minX()) - apart;
    }

    private static double shift(int row, double apart) {
        return row % 2 == 0 ? 0 : apart / 2;
    }

    /** The middles of one pattern that lie in a region. */
    static List<Point> rows(Region middles, double apart, double turn, double across, double along) {
        boolean upright = turn == 90;
        double right = upright ? middles.maxY() : middles.maxX();
        List<Point> in = new ArrayList<>();
        int row = 0;
        for (double y : levels(middles, apart, turn, along)) {
            for (double x = first(middles, apart, turn) + across + shift(row, apart); x <= right; x += apart) {
                Point p = upright ? new Point(y, x) : new Point(x, y);
                if (middles.contains(p)) {
                    in.add(p);
                }
            }
            row++;
        }
        return in;
    }
}
