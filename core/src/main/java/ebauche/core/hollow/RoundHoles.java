package ebauche.core.hollow;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.ArrayList;
import java.util.List;

/** Round holes in rows, each row shifted by half a hole against the next, so that six stand round each: shifted and turned to where most fit in. */
public final class RoundHoles {
    /** Rows along the body and across it; each shifted by so many parts of a hole's room either way. */
    private static final double[] TURNS = {0, 90};

    private static final int SHIFTS = 12;

    private RoundHoles() {}

    /**
     * The most that fit.
     *
     * @param room where they may lie
     * @param diameter mm
     * @param web wood between two, mm
     */
    static List<Region> in(Region room, double diameter, double web) {
        Region middles = room.grown(-diameter / 2);
        List<Point> best = List.of();
        if (!middles.isEmpty()) {
            double apart = diameter + web;
            for (double turn : TURNS) {
                for (int i = 0; i < SHIFTS; i++) {
                    for (int j = 0; j < SHIFTS; j++) {
                        List<Point> rows = rows(middles, apart, turn, apart * i / SHIFTS, apart * j / SHIFTS);
                        best = rows.size() > best.size() ? rows : best;
                    }
                }
            }
        }
        return best.stream().map(p -> Region.disc(p, diameter)).toList();
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

    /** The middles of one pattern that lie in a region. */
    static List<Point> rows(Region middles, double apart, double turn, double across, double along) {
        double step = apart * Math.sqrt(3) / 2;
        boolean upright = turn == 90;
        double left = upright ? middles.minY() : middles.minX();
        double right = upright ? middles.maxY() : middles.maxX();
        double low = upright ? middles.minX() : middles.minY();
        double high = upright ? middles.maxX() : middles.maxY();
        List<Point> in = new ArrayList<>();
        int row = 0;
        for (double y = low - step + along * step / apart; y <= high; y += step) {
            double shift = row++ % 2 == 0 ? 0 : apart / 2;
            for (double x = left - apart + across + shift; x <= right; x += apart) {
                Point p = upright ? new Point(y, x) : new Point(x, y);
                if (middles.contains(p)) {
                    in.add(p);
                }
            }
        }
        return in;
    }
}
