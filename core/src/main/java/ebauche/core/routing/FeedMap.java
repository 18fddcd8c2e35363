package ebauche.core.routing;

import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.geometry.Segment;
import java.util.ArrayList;
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
        WITH("with the grain"),
        ALONG("along the grain"),
        MILD("a little against the grain"),
        TEAR_OUT("against the grain, tears out"),
        END_GRAIN("end grain, breaks out at the exit");

        private final String words;

        Band(String words) {
            this.words = words;
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
     * @param phi degrees
     */
    public record Edge(Point from, Point to, Point outward, double phi, Band band) {
        public double length() {
            return from.distance(to);
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
     * @param grainDegrees by which the grain runs off the body's length, towards x as y grows
     */
    public static FeedMap of(Outline outline, double grainDegrees, Face up) {
        double angle = Math.toRadians(grainDegrees);
        Point grain = new Point(Math.sin(angle), Math.cos(angle));
        double turn = Math.signum(
                outline.segments().stream().mapToDouble(Segment::areaShare).sum());
        // Anticlockwise seen from above: as drawn with the front up, the other way round with the back up.
        double feed = up == Face.FRONT ? 1 : -1;
        List<Edge> edges = new ArrayList<>();
        for (Segment piece : outline.segments()) {
            int steps = (int) Math.max(1, Math.ceil(piece.length() / STEP));
            for (int i = 0; i < steps; i++) {
                Point along = unit(piece.tangent((i + 0.5) / steps));
                Point outward = new Point(along.y() * turn, -along.x() * turn);
                Point e = new Point(along.x() * turn * feed, along.y() * turn * feed);
                double phi = phi(grain, e, outward);
                edges.add(new Edge(piece.at((double) i / steps), piece.at((i + 1.0) / steps), outward, phi, band(phi)));
            }
        }
        return new FeedMap(up, turn * feed > 0 ? edges : backwards(edges));
    }

    private static List<Edge> backwards(List<Edge> edges) {
        List<Edge> turned = new ArrayList<>();
        for (int i = edges.size() - 1; i >= 0; i--) {
            Edge e = edges.get(i);
            turned.add(new Edge(e.to(), e.from(), e.outward(), e.phi(), e.band()));
        }
        return turned;
    }

    private static Point unit(Point p) {
        double length = Math.hypot(p.x(), p.y());
        return new Point(p.x() / length, p.y() / length);
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

    /** The edges to be cut with this face up, the rest being left for the other: none against the grain. */
    public List<Edge> share() {
        return edges.stream()
                .filter(e -> e.phi() > ALONG
                        // What does not care is cut with the front up, in one go with the rest.
                        || face == Face.FRONT && (e.band() == Band.ALONG || e.band() == Band.END_GRAIN))
                .filter(e -> face == Face.FRONT || e.band() != Band.END_GRAIN)
                .toList();
    }

    /**
     * How long the fibres are that are cut so deep inside an edge: short ones, as in the tip of a horn, break.
     *
     * @param inside mm from the edge
     * @return mm of the fibre that runs through there, within the wood
     */
    public static double fibre(Region wood, Edge edge, double grainDegrees, double inside) {
        double angle = Math.toRadians(grainDegrees);
        Point middle = edge.from().towards(edge.to(), 0.5);
        Point at = middle.plus(-edge.outward().x() * inside, -edge.outward().y() * inside);
        return wood.contains(at) ? wood.chord(at, Math.sin(angle), Math.cos(angle)) : 0;
    }
}
