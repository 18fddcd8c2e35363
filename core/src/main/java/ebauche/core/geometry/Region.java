package ebauche.core.geometry;

import ebauche.core.memo.Memo;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.locationtech.jts.algorithm.construct.MaximumInscribedCircle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.MultiPolygon;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.geom.util.GeometryFixer;
import org.locationtech.jts.noding.snap.SnappingNoder;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.locationtech.jts.operation.union.UnaryUnionOp;
import org.locationtech.jts.simplify.TopologyPreservingSimplifier;

/**
 * An area on the plan: one or more polygons, perhaps with holes. A thin immutable wall around a JTS geometry, so that
 * the rest of core speaks of regions and not of a library.
 */
public final class Region {
    /** The largest circle inside is found so closely, mm. */
    private static final double WIDEST = 0.05;

    private static final GeometryFactory FACTORY = new GeometryFactory();
    public static final Region EMPTY = new Region(FACTORY.createPolygon());

    /** Chords per quarter circle; an offset of 20 mm is then within 0.02 mm of true. */
    private static final int QUARTER = 24;

    /** Corners nearer than this are one, where the usual overlay fails, mm. */
    private static final double NEARLY_ONE = 1e-9;

    /** Of an area, what may be gone by rounding. */
    private static final double ROUNDING = 1e-12;

    /** What was done to an area, with another or by a distance. */
    private record Made(char what, Region one, Object by) {}

    private record Together(List<Region> all) {}

    private record Disc(Point centre, double diameter) {}

    private record Rectangle(Point centre, double across, double along, double radius, double turned) {}

    /** A corner with its place in the indexes, bytes. */
    private static final int CORNER = 250;

    /** Areas are made of the same others again and again: a body has some hundreds. */
    private static Region remember(Object question, Supplier<Region> made) {
        return Memo.here().get(question, made, r -> (long) CORNER * r.geometry.getNumPoints());
    }

    private final Geometry geometry;
    /** What was taken away to make this region, if it was made so: it shares nothing with that, nor with any part of it. */
    private final Region lacks;

    /** What this region was cut to, if it was made so: it lies wholly inside that. */
    private final Region within;

    /** Indexes for repeated questions, made on demand; a race makes one twice and harms nothing. */
    private volatile PreparedGeometry prepared;

    private volatile double area = Double.NaN;

    private volatile Point inner;

    private final Edges edges;

    private final int hash;

    /** An area that this was found equal to: the next time no corner is compared. A race finds it out twice and harms nothing. */
    private volatile Region standsForAll = this;

    private Region(Geometry geometry) {
        this(geometry, null, null);
    }

    private Region(Geometry geometry, Region lacks, Region within) {
        this.geometry = geometry;
        this.lacks = lacks;
        this.within = within;
        this.edges = new Edges(geometry);
        this.hash = 31 * geometry.getEnvelopeInternal().hashCode() + geometry.getNumPoints();
    }

    private PreparedGeometry prepared() {
        PreparedGeometry index = prepared;
        if (index == null) {
            index = PreparedGeometryFactory.prepare(geometry);
            prepared = index;
        }
        return index;
    }

    static Region of(Geometry geometry) {
        return geometry.isEmpty() ? EMPTY : new Region(geometry);
    }

    static Polygon polygon(List<Point> closed) {
        Coordinate[] ring =
                closed.stream().map(p -> new Coordinate(p.x(), p.y())).toArray(Coordinate[]::new);
        return FACTORY.createPolygon(ring);
    }

    /** What a ring goes round that may touch or cross itself. */
    public static Region round(List<Point> ring) {
        List<Point> closed = new ArrayList<>(ring);
        closed.add(ring.get(0));
        return areas(GeometryFixer.fix(polygon(closed)));
    }

    /** The area inside a ring of points; the first need not be repeated. */
    public static Region ofRing(List<Point> ring) {
        List<Point> closed = new ArrayList<>(ring);
        if (!closed.get(0).equals(closed.get(closed.size() - 1))) {
            closed.add(closed.get(0));
        }
        return of(polygon(closed));
    }

    /** The area inside an odd number of rings, each x0, y0, x1, y1, ..., closed; the reverse of {@link #forEachRing}. */
    public static Region ofRings(List<double[]> rings) {
        Geometry sum = FACTORY.createPolygon();
        for (double[] ring : rings) {
            Coordinate[] at = new Coordinate[ring.length / 2];
            for (int i = 0; i < at.length; i++) {
                at[i] = new Coordinate(ring[2 * i], ring[2 * i + 1]);
            }
            Geometry next = FACTORY.createPolygon(at);
            sum = sum.isEmpty() ? next : sum.symDifference(next);
        }
        return of(sum);
    }

    /** Why rings bound no area: one crosses itself or another, or is only a line. */
    public static Optional<String> troubleOf(List<double[]> rings) {
        List<LinearRing> lines = new ArrayList<>();
        for (double[] ring : rings) {
            Coordinate[] at = new Coordinate[ring.length / 2];
            for (int i = 0; i < at.length; i++) {
                at[i] = new Coordinate(ring[2 * i], ring[2 * i + 1]);
            }
            LinearRing line = FACTORY.createLinearRing(at);
            if (!line.isSimple() || !(FACTORY.createPolygon(line).getArea() > 0)) {
                return Optional.of("a ring crosses itself, or bounds no area");
            }
            lines.add(line);
        }
        for (int i = 0; i < lines.size(); i++) {
            for (int k = i + 1; k < lines.size(); k++) {
                if (lines.get(i).crosses(lines.get(k))) {
                    return Optional.of("two rings cross each other");
                }
            }
        }
        return Optional.empty();
    }

    public static Region disc(Point centre, double diameter) {
        return remember(new Disc(centre, diameter), () -> {
            Geometry at = FACTORY.createPoint(new Coordinate(centre.x(), centre.y()));
            return of(at.buffer(diameter / 2, QUARTER)).remembered();
        });
    }

    /**
     * A rectangle with rounded corners.
     *
     * @param across extent along x before turning
     * @param along extent along y before turning
     * @param radius of the corners, 0 for sharp
     * @param turned degrees anticlockwise about its centre
     */
    public static Region rectangle(Point centre, double across, double along, double radius, double turned) {
        return remember(
                new Rectangle(centre, across, along, radius, turned),
                () -> rounded(centre, across, along, radius, turned));
    }

    private static Region rounded(Point centre, double across, double along, double radius, double turned) {
        double r = Math.max(0, Math.min(radius, Math.min(across, along) / 2 - 1e-6));
        double w = across / 2 - r;
        double h = along / 2 - r;
        Geometry core = polygon(
                List.of(new Point(-w, -h), new Point(w, -h), new Point(w, h), new Point(-w, h), new Point(-w, -h)));
        Geometry round = r > 0 ? core.buffer(r, QUARTER) : core;
        AffineTransformation move = AffineTransformation.rotationInstance(Math.toRadians(turned));
        move.translate(centre.x(), centre.y());
        return of(move.transform(round)).remembered();
    }

    /** All that lies no farther from an open line than a reach, mm. */
    public static Region alongLine(List<Point> line, double reach) {
        Coordinate[] corners =
                line.stream().map(p -> new Coordinate(p.x(), p.y())).toArray(Coordinate[]::new);
        return of(BufferOp.bufferOp(FACTORY.createLineString(corners), reach, new BufferParameters(QUARTER)));
    }

    /** A four-sided area. */
    public static Region quadrilateral(Point a, Point b, Point c, Point d) {
        return of(polygon(List.of(a, b, c, d, a))).remembered();
    }

    public boolean isEmpty() {
        return geometry.isEmpty();
    }

    public double area() {
        double known = area;
        if (Double.isNaN(known)) {
            known = geometry.getArea();
            area = known;
        }
        return known;
    }

    /** Length of all its edges, mm. */
    public double perimeter() {
        return geometry.getLength();
    }

    public Point centroid() {
        Coordinate c = geometry.getCentroid().getCoordinate();
        return new Point(c.x, c.y);
    }

    /** Radius of the largest circle that lies in it, mm. */
    public double widest() {
        return Memo.here()
                .get(
                        new Made('w', this, ""),
                        () -> new MaximumInscribedCircle(geometry, WIDEST)
                                .getRadiusLine()
                                .getLength(),
                        r -> 0);
    }

    /** The middle of the largest circle that lies in it. */
    public Point middleOfWidest() {
        return Memo.here()
                .get(
                        new Made('m', this, ""),
                        () -> {
                            Coordinate c = new MaximumInscribedCircle(geometry, WIDEST)
                                    .getCenter()
                                    .getCoordinate();
                            return new Point(c.x, c.y);
                        },
                        p -> 0);
    }

    /** A point well inside: the centroid where it lies inside, as it does in every cavity that is no ring. */
    public Point inner() {
        Point known = inner;
        if (known == null) {
            known = wellInside();
            inner = known;
        }
        return known;
    }

    private Point wellInside() {
        Point middle = centroid();
        if (contains(middle)) {
            return middle;
        }
        Coordinate c = geometry.getInteriorPoint().getCoordinate();
        return new Point(c.x, c.y);
    }

    public double minX() {
        return geometry.getEnvelopeInternal().getMinX();
    }

    public double maxX() {
        return geometry.getEnvelopeInternal().getMaxX();
    }

    public double minY() {
        return geometry.getEnvelopeInternal().getMinY();
    }

    public double maxY() {
        return geometry.getEnvelopeInternal().getMaxY();
    }

    /** The same area, as the object that stood for it before if there was one: its indexes are made already. */
    Region remembered() {
        return remember(new Made('=', this, ""), () -> this);
    }

    /** Grown (or shrunk, if negative) by a distance, with round corners. */
    public Region grown(double distance) {
        return remember(new Made('g', this, distance), () -> {
            BufferParameters round = new BufferParameters(QUARTER);
            return of(BufferOp.bufferOp(geometry, distance, round));
        });
    }

    /** The same area, its inside corners rounded to what a bit of this diameter can cut. */
    public Region opened(double bitDiameter) {
        return grown(-bitDiameter / 2).grown(bitDiameter / 2);
    }

    /** All of some together. */
    public static Region union(List<Region> some) {
        return remember(
                new Together(List.copyOf(some)),
                () -> of(UnaryUnionOp.union(some.stream().map(r -> r.geometry).toList(), FACTORY)));
    }

    public Region union(Region other) {
        if (isEmpty() || other.isEmpty()) {
            return isEmpty() ? other : this;
        }
        return remember(
                new Made('+', this, other),
                () -> areas(OverlayNGRobust.overlay(geometry, other.geometry, OverlayNG.UNION)));
    }

    public Region minus(Region other) {
        if (isEmpty() || other.isEmpty() || farApart(other)) {
            return this;
        }
        return remember(new Made('-', this, other), () -> {
            if (apart(other)) {
                return this;
            }
            Region rest = areas(OverlayNGRobust.overlay(geometry, other.geometry, OverlayNG.DIFFERENCE));
            if (rest.area() >= area() * (1 - ROUNDING)) {
                rest = areas(snapped(other, OverlayNG.DIFFERENCE));
            }
            return rest.isEmpty() ? EMPTY : new Region(rest.geometry, other, null);
        });
    }

    /**
     * The same once more with corners drawn together that lie nearly in one place. Where edges run into one another by a rounding, the
     * usual overlay may answer that two areas share nothing though one lies in the other: what is not apart and shares nothing is asked
     * again.
     */
    private Geometry snapped(Region other, int operation) {
        return OverlayNG.overlay(geometry, other.geometry, operation, null, new SnappingNoder(NEARLY_ONE));
    }

    private boolean lacksAllOf(Region other) {
        return lacks != null && lacks.contains(other);
    }

    /** The area they share; the questions that an index answers come before the one that needs every edge. */
    public Region intersection(Region other) {
        if (isEmpty() || other.isEmpty() || farApart(other)) {
            return EMPTY;
        }
        return remember(new Made('x', this, other), () -> cutTo(other));
    }

    private Region cutTo(Region other) {
        if (contains(other)) {
            return other;
        }
        if (other.contains(this)) {
            return this;
        }
        if (lacksAllOf(other) || other.lacksAllOf(this) || apart(other)) {
            return EMPTY;
        }
        Region shared = areas(OverlayNGRobust.overlay(geometry, other.geometry, OverlayNG.INTERSECTION));
        if (shared.isEmpty()) {
            shared = areas(snapped(other, OverlayNG.INTERSECTION));
        }
        return shared.isEmpty() ? EMPTY : new Region(shared.geometry, null, other);
    }

    /** The area that two share, mm². */
    public double shared(Region other) {
        return intersection(other).area();
    }

    /**
     * Whether two share more than an area, mm²: as {@link #shared} says, but where a disc of that area lies in both, or their boxes
     * share no more, nothing is cut.
     */
    public boolean sharesMore(Region other, double area) {
        if (isEmpty() || other.isEmpty()) {
            return false;
        }
        Envelope both = geometry.getEnvelopeInternal().intersection(other.geometry.getEnvelopeInternal());
        if (both.getArea() <= area) {
            return false;
        }
        double radius = Math.sqrt(area / Math.PI) * (1 + 1e-9);
        Point middle = new Point(both.centre().x, both.centre().y);
        return holdsDisc(other, middle, radius)
                || holdsDisc(other, inner(), radius)
                || holdsDisc(other, other.inner(), radius)
                || shared(other) > area;
    }

    /** The area that their boxes share, mm²: they share no more. */
    public double boxesShare(Region other) {
        return geometry.getEnvelopeInternal()
                .intersection(other.geometry.getEnvelopeInternal())
                .getArea();
    }

    private boolean holdsDisc(Region other, Point middle, double radius) {
        return contains(middle)
                && other.contains(middle)
                && !edges.nearerThan(middle, radius)
                && !other.edges.nearerThan(middle, radius);
    }

    /** Whether they surely share nothing; the larger one's index is asked. */
    public boolean apart(Region other) {
        if (farApart(other)) {
            return true;
        }
        boolean larger = geometry.getNumPoints() >= other.geometry.getNumPoints();
        return larger
                ? !prepared().intersects(other.geometry)
                : !other.prepared().intersects(geometry);
    }

    /** Whether their boxes lie farther apart than a distance, so that they surely do. */
    public boolean fartherApartThan(Region other, double distance) {
        return geometry.getEnvelopeInternal().distance(other.geometry.getEnvelopeInternal()) > distance;
    }

    private boolean farApart(Region other) {
        return !geometry.getEnvelopeInternal().intersects(other.geometry.getEnvelopeInternal());
    }

    /** Keeps polygons only: where two areas merely touch, JTS answers lines and points too. */
    private static Region areas(Geometry mixed) {
        if (mixed instanceof Polygon || mixed instanceof MultiPolygon) {
            return of(mixed);
        }
        List<Geometry> polygons = new ArrayList<>();
        for (int i = 0; i < mixed.getNumGeometries(); i++) {
            if (mixed.getGeometryN(i) instanceof Polygon p) {
                polygons.add(p);
            }
        }
        return polygons.isEmpty() ? EMPTY : of(FACTORY.buildGeometry(polygons));
    }

    /** Whether it holds all of another; a smaller area or a narrower box cannot. */
    @SuppressWarnings("ReferenceEquality") // the very same area, before its points are compared
    public boolean contains(Region other) {
        boolean may = area() >= other.area() * (1 - 1e-9)
                && geometry.getEnvelopeInternal().covers(other.geometry.getEnvelopeInternal());
        return this == other || this == other.within || (may && holds(other));
    }

    private boolean holds(Region other) {
        return Memo.here().get(new Made('c', this, other), () -> prepared().covers(other.geometry), known -> 0);
    }

    /** Whether a straight line lies in it from end to end. */
    boolean containsLine(Point from, Point to) {
        return contains(from)
                && contains(to)
                && prepared().covers(FACTORY.createLineString(new Coordinate[] {
                    new Coordinate(from.x(), from.y()), new Coordinate(to.x(), to.y())
                }));
    }

    public boolean contains(Point p) {
        return prepared().covers(FACTORY.createPoint(new Coordinate(p.x(), p.y())));
    }

    /** Whether the areas share more than an edge. */
    public boolean overlaps(Region other) {
        return shared(other) > 1e-6;
    }

    /** The closest pair of points of two regions that do not overlap, one on the edge of each. */
    public Point[] nearest(Region other) {
        return edges.nearest(other.geometry);
    }

    /** The closest pair of points on this region's edge and on the edge of another that holds it. */
    public Point[] nearestToEdge(Region around) {
        Point[] found = around.edges.nearest(geometry);
        return new Point[] {found[1], found[0]};
    }

    /** The corner of its edges that lies farthest in a direction. */
    public Point farthest(double dx, double dy) {
        return edges.farthest(dx, dy);
    }

    /** Its pieces, each of one polygon. */
    public List<Region> parts() {
        List<Region> parts = new ArrayList<>();
        for (int i = 0; i < geometry.getNumGeometries(); i++) {
            if (!geometry.getGeometryN(i).isEmpty()) {
                parts.add(of(geometry.getGeometryN(i)));
            }
        }
        return parts;
    }

    /** Length of its edge that runs through another region, mm. */
    public double edgeWithin(Region other) {
        return isEmpty() || other.isEmpty() || farApart(other) ? 0 : edges.within(other.geometry);
    }

    /** Nearly the same with fewer corners: no edge moves by more than a tolerance (Douglas and Peucker, 1973). */
    public Region coarser(double tolerance) {
        return remember(
                new Made('~', this, tolerance), () -> of(TopologyPreservingSimplifier.simplify(geometry, tolerance)));
    }

    /** The smallest convex region that holds both. */
    public Region hullWith(Region other) {
        return of(FACTORY.createGeometryCollection(new Geometry[] {geometry, other.geometry})
                .convexHull());
    }

    /** The smallest convex region that holds some points; empty where they lie on one line. */
    public static Region hullOf(List<Point> points) {
        Geometry hull = FACTORY.createMultiPointFromCoords(
                        points.stream().map(p -> new Coordinate(p.x(), p.y())).toArray(Coordinate[]::new))
                .convexHull();
        return hull instanceof Polygon ? of(hull) : EMPTY;
    }

    /** The smallest convex region that holds it. */
    public Region hull() {
        return of(geometry.convexHull());
    }

    /** How far their boxes lie apart, mm: they lie no nearer. */
    public double boxesApart(Region other) {
        return geometry.getEnvelopeInternal().distance(other.geometry.getEnvelopeInternal());
    }

    /** How far a point lies outside, mm; less than nought inside, by its way to the edge. */
    public double outside(Point p) {
        return contains(p) ? -edges.distance(p) : edges.distance(p);
    }

    /** How far it reaches beyond the edge of another at the most, mm; nought where it lies inside. */
    public double reachesBeyond(Region other) {
        double[] most = {0};
        forEachRing(ring -> {
            for (int i = 0; i < ring.length; i += 2) {
                most[0] = Math.max(most[0], other.outside(new Point(ring[i], ring[i + 1])));
            }
        });
        return most[0];
    }

    /** From where to where the line x = at (upright), or y = at, runs inside: its y, or its x, by pairs. A line along an edge is not told. */
    public double[] chords(boolean upright, double at) {
        return edges.crossings(upright, at);
    }

    /** Length within the region of the line through a point of it, from edge to edge, mm. */
    public double chord(Point through, double dx, double dy) {
        return edges.chord(through, dx, dy);
    }

    /** What lies to the left of a line from one place on to another, as far as this area could need it. */
    public Region leftOf(Point from, Point to) {
        Point middle = new Point((minX() + maxX()) / 2, (minY() + maxY()) / 2);
        double far = 2 * (maxX() - minX() + maxY() - minY() + from.distance(middle)) + from.distance(to);
        double dx = (to.x() - from.x()) / from.distance(to) * far;
        double dy = (to.y() - from.y()) / from.distance(to) * far;
        Point a = from.plus(-dx, -dy);
        Point b = to.plus(dx, dy);
        return ofRing(List.of(a, b, b.plus(-dy, dx), a.plus(-dy, dx)));
    }

    /** The way from a place inside to the edge in a direction of length one, mm; endless where it meets none. */
    public double wayOut(Point from, double dx, double dy) {
        return edges.wayOut(from, dx, dy);
    }

    /** Moved on the plan. */
    public Region moved(double dx, double dy) {
        return of(AffineTransformation.translationInstance(dx, dy).transform(geometry));
    }

    /** Mirrored about the centre line. */
    public Region mirrored() {
        return of(AffineTransformation.scaleInstance(-1, 1).transform(geometry));
    }

    /** Hands every ring, outer and inner, as its coordinates x0, y0, x1, y1, ..., closed. */
    public void forEachRing(Consumer<double[]> ring) {
        edges.forEachRing(ring);
    }

    @Override
    public boolean equals(Object other) {
        return this == other || (other instanceof Region region && isSameAs(region));
    }

    @SuppressWarnings("ReferenceEquality") // one area that stands for all that were found equal
    private boolean isSameAs(Region other) {
        Region standsForOther = other.standsForAll;
        if (standsForAll == standsForOther) {
            return true;
        }
        boolean same = hash == other.hash && geometry.equalsExact(other.geometry);
        if (same) {
            standsForAll = standsForOther;
        }
        return same;
    }

    @Override
    public int hashCode() {
        return hash;
    }

    @Override
    public String toString() {
        return String.format(Locale.ROOT, "region x %.1f..%.1f y %.1f..%.1f", minX(), maxX(), minY(), maxY());
    }
}
