package ebauche.core.feed;

import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.geometry.Segment;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * How the grain meets a router that is fed by hand round the outside of a body, anticlockwise seen from above.
 *
 * <p>At an edge point with outward normal n and feed e, the grain g is taken the way that g.e is not negative, and phi =
 * asin(g.n): where phi is positive the fibres leave the edge ahead of the cut, where it is negative they dive into the work. Seen
 * from the front, a body with its back up is fed clockwise: each phi changes its sign.
 *
 * @param face that lies up
 * @param edges in the order of the feed
 */
public record FeedMap(Face face, List<Edge> edges) {
    /** Longest piece of edge that is told as one, mm. */
    private static final double STEP = 3;

    /** Degrees: beside the grain; mild; no longer edge but end. Common practice. */
    private static final double ALONG = 5;

    private static final double MILD = 20;
    private static final double END = 70;

    /** How a cut goes with the grain. */
    public enum Band {
        WITH("with the grain", 0),
        ALONG("along the grain", 1),
        END_GRAIN("end grain, breaks out at the exit", 2),
        MILD("a little against the grain", 3),
        TEAR_OUT("against the grain, tears out", 4);

        private final String words;
        private final int harm;

        Band(String words, int harm) {
            this.words = words;
            this.harm = harm;
        }

        /** Higher is worse. */
        int harm() {
            return harm;
        }

        public String words() {
            return words;
        }

        /** Whether fibres dive into the work. */
        public boolean against() {
            return this == MILD || this == TEAR_OUT;
        }
    }

    /**
     * A short piece of the edge.
     *
     * @param from seen from the front
     * @param outward unit normal, away from the wood
     * @param bend curvature, 1/mm; less than nought where the outline turns inward
     * @param phi degrees
     */
    public record Edge(Point from, Point to, Point outward, double bend, double phi, Band band) {
        public double length() {
            return from.distance(to);
        }

        public Point middle() {
            return from.towards(to, 0.5);
        }

        /** The place so far outside the edge (inside, if negative), mm. */
        public Point outside(double distance) {
            return middle().plus(outward.x() * distance, outward.y() * distance);
        }

        /** Run the other way. */
        private Edge reversed() {
            return new Edge(to, from, outward, bend, phi, band);
        }
    }

    /** Neighbouring edges of one band. */
    public record Arc(Band band, List<Edge> edges) {
        public double length() {
            return edges.stream().mapToDouble(Edge::length).sum();
        }
    }

    public FeedMap {
        edges = List.copyOf(edges);
    }

    /**
     * Maps an outline.
     *
     * @param layers the grain of every layer that the bit cuts at once; at each place the one that fares worst is told
     * @param up the face towards the router: on a table the one that lies down
     */
    public static FeedMap of(Outline outline, List<Grain> layers, Face up) {
        double turn = Math.signum(
                outline.segments().stream().mapToDouble(Segment::areaShare).sum());
        // Anticlockwise seen from above: as drawn with the front up, the other way round with the back up.
        double feed = up == Face.FRONT ? 1 : -1;
        List<Edge> edges = new ArrayList<>();
        List<Step> steps = steps(outline);
        for (int i = 0; i < steps.size(); i++) {
            Step step = steps.get(i);
            double bend = bend(steps, i);
            Point outward = new Point(step.along().y() * turn, -step.along().x() * turn);
            Point e = new Point(step.along().x() * turn * feed, step.along().y() * turn * feed);
            double phi = worst(layers, step.from().towards(step.to(), 0.5), e, outward);
            edges.add(new Edge(step.from(), step.to(), outward, bend * turn, phi, band(phi)));
        }
        return new FeedMap(up, turn * feed > 0 ? edges : backwards(edges));
    }

    /** A stretch of the outline as it is drawn, with its direction. */
    private record Step(Point from, Point to, Point along) {}

    /**
     * How the outline bends to the left there, 1/mm: by how much its direction turns from the middle of the stretch before to the
     * middle of the one after. So a curve that was drawn in short lines bends as it is meant.
     */
    private static double bend(List<Step> steps, int i) {
        int n = steps.size();
        Step before = steps.get((i + n - 1) % n);
        Step after = steps.get((i + 1) % n);
        Point a = before.along();
        Point b = after.along();
        double turned = Math.atan2(a.x() * b.y() - a.y() * b.x(), a.x() * b.x() + a.y() * b.y());
        double way = steps.get(i).from().distance(steps.get(i).to())
                + (before.from().distance(before.to()) + after.from().distance(after.to())) / 2;
        return turned / way;
    }

    /** Long pieces are parted, and runs of pieces much shorter than a step are taken together. */
    private static List<Step> steps(Outline outline) {
        List<Step> steps = new ArrayList<>();
        List<Segment> few = new ArrayList<>();
        double length = 0;
        for (Segment piece : outline.segments()) {
            double size = piece.length();
            if (size >= STEP / 2 || length + size > STEP) {
                together(few, steps);
                few.clear();
                length = 0;
            }
            if (size >= STEP / 2) {
                int count = (int) Math.max(1, Math.ceil(size / STEP));
                for (int i = 0; i < count; i++) {
                    double t = (i + 0.5) / count;
                    steps.add(new Step(
                            piece.at((double) i / count), piece.at((i + 1.0) / count), unit(piece.tangent(t))));
                }
            } else {
                few.add(piece);
                length += size;
            }
        }
        together(few, steps);
        return steps;
    }

    private static void together(List<Segment> few, List<Step> steps) {
        if (few.isEmpty()) {
            return;
        }
        Point from = few.get(0).start();
        Point to = few.get(few.size() - 1).end();
        Point along = from.distance(to) > 0
                ? new Point(to.x() - from.x(), to.y() - from.y())
                : few.get(0).tangent(0);
        steps.add(new Step(from, to, unit(along)));
    }

    private static List<Edge> backwards(List<Edge> edges) {
        List<Edge> turned = new ArrayList<>();
        for (int i = edges.size() - 1; i >= 0; i--) {
            turned.add(edges.get(i).reversed());
        }
        return turned;
    }

    private static Point unit(Point p) {
        double length = Math.hypot(p.x(), p.y());
        return new Point(p.x() / length, p.y() / length);
    }

    private static double worst(List<Grain> layers, Point place, Point feed, Point outward) {
        return layers.stream()
                .map(g -> Math.toRadians(g.at(place)))
                .map(a -> phi(new Point(Math.sin(a), Math.cos(a)), feed, outward))
                .max(Comparator.<Double>comparingInt(phi -> band(phi).harm()).thenComparing(phi -> -phi))
                .orElseThrow();
    }

    /** Degrees between fibre and edge; positive where the fibres leave the edge ahead of the cut. */
    static double phi(Point grain, Point feed, Point outward) {
        double sign = grain.x() * feed.x() + grain.y() * feed.y() >= 0 ? 1 : -1;
        double out = sign * (grain.x() * outward.x() + grain.y() * outward.y());
        return Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, out))));
    }

    /** The band of an angle. */
    public static Band band(double phi) {
        double size = Math.abs(phi);
        if (size <= ALONG) {
            return Band.ALONG;
        }
        if (size > END) {
            return Band.END_GRAIN;
        }
        if (phi > 0) {
            return Band.WITH;
        }
        return size <= MILD ? Band.MILD : Band.TEAR_OUT;
    }

    /** Edges run together where their band stays. */
    public List<Arc> arcs() {
        List<Arc> arcs = new ArrayList<>();
        List<Edge> run = new ArrayList<>();
        for (Edge e : edges) {
            if (!run.isEmpty() && run.get(0).band() != e.band()) {
                arcs.add(new Arc(run.get(0).band(), List.copyOf(run)));
                run.clear();
            }
            run.add(e);
        }
        if (!run.isEmpty()) {
            arcs.add(new Arc(run.get(0).band(), List.copyOf(run)));
        }
        return arcs;
    }

    public double length(Band band) {
        return edges.stream()
                .filter(e -> e.band() == band)
                .mapToDouble(Edge::length)
                .sum();
    }

    /**
     * How long the fibres are that are cut so deep inside an edge: short ones, as in the tip of a horn, break.
     *
     * @param inside mm from the edge
     * @return mm of the fibre that runs through there, within the wood
     */
    public static double fibre(Region wood, Edge edge, Grain grain, double inside) {
        Point at = edge.outside(-inside);
        double angle = Math.toRadians(grain.at(at));
        return wood.contains(at) ? wood.chord(at, Math.sin(angle), Math.cos(angle)) : 0;
    }
}
