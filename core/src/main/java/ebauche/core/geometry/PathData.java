package ebauche.core.geometry;

import ebauche.core.measure.Decimals;
import java.util.ArrayList;
import java.util.List;

/**
 * Reads and writes one closed path in the letters of SVG path data, as {@link PathReader} reads them.
 *
 * <p>At most {@value #MOST_CHARACTERS} characters and {@value #MOST_SEGMENTS} pieces, so that a hostile file costs no more than a long
 * one. Arcs must be circular. The axes are the body's (y up).
 */
public final class PathData implements PathReader.Pen {
    public static final int MOST_CHARACTERS = 200_000;
    public static final int MOST_SEGMENTS = 5_000;
    /** Ends nearer than this are one point, mm. */
    /** An arc that turns by more is written in pieces, radians. */
    private static final double LONG_ARC = 2.5;

    private static final double SAME = 1e-6;

    /** A coordinate beyond this belongs to no body, mm. */
    private static final double FARTHEST = 1e5;

    private final PathReader reader;
    private final List<Segment> segments = new ArrayList<>();
    private Point from;
    private Point first;
    private boolean closed;

    private PathData(String text, double scale) {
        this.reader = new PathReader(text, scale, FARTHEST, this);
    }

    /**
     * Parses one closed path.
     *
     * @param millimetresPerUnit what one unit of the data measures
     * @throws PathFormatException naming the place, if it is no single closed path
     */
    public static List<Segment> parse(String text, double millimetresPerUnit) {
        if (text.length() > MOST_CHARACTERS) {
            throw new PathFormatException("the path has " + text.length() + " characters; at most " + MOST_CHARACTERS
                    + " are read. Simplify the curve");
        }
        return new PathData(text, millimetresPerUnit).segments();
    }

    /** Writes the path in millimetres, absolute letters, to a hundredth of {@link Segment#FLATNESS}. */
    public static String write(List<Segment> segments) {
        return write(segments, 4);
    }

    /** The same in the units of the segments, to so many decimals. */
    public static String write(List<Segment> segments, int decimals) {
        StringBuilder out = new StringBuilder("M").append(at(segments.get(0).start(), decimals));
        for (Segment segment : segments) {
            if (segment instanceof Segment.Cubic c) {
                out.append(" C").append(at(c.first(), decimals)).append(' ').append(at(c.second(), decimals));
                out.append(' ').append(at(c.end(), decimals));
            } else if (segment instanceof Segment.Arc a) {
                arc(a, decimals, out);
            } else {
                out.append(" L").append(at(segment.end(), decimals));
            }
        }
        return out.append(" Z").toString();
    }

    /**
     * By its end and radius. From half a circle's ends nothing tells how far off its centre lies: the last digit of a radius would move it by
     * hundredths of a millimetre. So what is nearly one, or more, is written in quarters.
     */
    private static void arc(Segment.Arc arc, int decimals, StringBuilder out) {
        double turn = Math.abs(arc.sweep());
        int pieces = turn > LONG_ARC ? (int) Math.ceil(turn / (Math.PI / 2)) : 1;
        String radius = Decimals.plain(arc.radius(), decimals);
        for (int i = 1; i <= pieces; i++) {
            Point end = i == pieces ? arc.end() : arc.at((double) i / pieces);
            out.append(" A").append(radius).append(' ').append(radius).append(" 0 0 ");
            out.append(arc.sweep() > 0 ? '1' : '0').append(' ').append(at(end, decimals));
        }
    }

    private static String at(Point p, int decimals) {
        return Decimals.plain(p.x(), decimals) + " " + Decimals.plain(p.y(), decimals);
    }

    private List<Segment> segments() {
        reader.read();
        if (!closed && from.distance(first) > SAME) {
            throw reader.trouble("the path is open: end it with Z, or bring it back to its first point");
        }
        if (segments.size() < 2) {
            throw reader.trouble("the path encloses nothing");
        }
        return List.copyOf(segments);
    }

    private void unlessClosed() {
        if (closed) {
            throw reader.trouble("an outline is one closed path; something follows its Z");
        }
    }

    @Override
    public void move(Point to) {
        unlessClosed();
        if (first != null) {
            throw reader.trouble("an outline is one closed path; a second M begins another");
        }
        from = to;
        first = to;
    }

    @Override
    public void line(Point to) {
        unlessClosed();
        if (to.distance(from) > SAME) {
            add(new Segment.Line(from, to));
        }
    }

    @Override
    public void cubic(Point one, Point two, Point to) {
        unlessClosed();
        add(new Segment.Cubic(from, one, two, to));
    }

    @Override
    public void close() {
        line(first);
        closed = true;
    }

    private void add(Segment segment) {
        if (segments.size() >= MOST_SEGMENTS) {
            throw new PathFormatException(
                    "the path has more than " + MOST_SEGMENTS + " pieces. Draw it with fewer, longer curves");
        }
        segments.add(segment);
        from = segment.end();
    }

    /** The end-point form of an arc turned into centre and angles, SVG 1.1 appendix F.6.5, for equal radii. */
    @Override
    public void arc(double rx, double ry, double turned, boolean large, boolean left, Point to) {
        unlessClosed();
        if (Math.abs(rx - ry) > 1e-9 * Math.max(rx, ry)) {
            throw reader.trouble("an arc here is part of a circle: both radii alike");
        }
        double chord = from.distance(to);
        if (chord < SAME || rx == 0) {
            line(to);
            return;
        }
        double radius = Math.max(rx, chord / 2);
        double rise = Math.sqrt(Math.max(0, radius * radius - chord * chord / 4));
        double side = large == left ? -1 : 1;
        Point middle = from.towards(to, 0.5);
        double ux = (to.x() - from.x()) / chord;
        double uy = (to.y() - from.y()) / chord;
        Point centre = middle.plus(-uy * rise * side, ux * rise * side);
        double a0 = Math.atan2(from.y() - centre.y(), from.x() - centre.x());
        double sweep = Math.atan2(to.y() - centre.y(), to.x() - centre.x()) - a0;
        if (left && sweep <= 0) {
            sweep += 2 * Math.PI;
        } else if (!left && sweep >= 0) {
            sweep -= 2 * Math.PI;
        }
        add(new Segment.Arc(centre, radius, a0, sweep));
        from = to;
    }
}
