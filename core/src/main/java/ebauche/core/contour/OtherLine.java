package ebauche.core.contour;

import ebauche.core.design.Contour;
import ebauche.core.geometry.EdgeWalk;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.stock.Course;
import ebauche.core.stock.Ruled;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The line that a contour's surface makes on the edge, which follows from the one on its face: square to that line, place by place, the
 * depth where the ray comes out.
 *
 * @param places from one end of the line to the other, close together
 */
public record OtherLine(Contour.Laid laid, List<Place> places) {
    /** Close together, mm along the line. */
    private static final double STEP = 2;

    private static final double HALF = 0.5;

    /**
     * A place of it.
     *
     * @param line on the face
     * @param edge square to the line, on the edge
     * @param along the edge from where the contour begins, mm
     * @param down from the finished face along the edge, mm
     */
    public record Place(Point line, Point edge, double along, double down) {
        /** Square to the line, over the face to the edge, mm. */
        public double across() {
            return line.distance(edge);
        }
    }

    /** Of a contour off a line; empty where it runs all round, its depth the same everywhere. */
    public static Optional<OtherLine> of(Build build, Contour.Laid laid) {
        if (!(laid.contour().start() instanceof Contour.Start.Across)) {
            return Optional.empty();
        }
        Region body = build.design().outline().region();
        List<Point[]> rays = laid.course() instanceof Ruled ruled ? ruled(ruled) : straight(laid, body);
        EdgeWalk walk = new EdgeWalk(body);
        double begins = walk.nearest(rays.get(0)[1]);
        double ends = walk.nearest(rays.get(rays.size() - 1)[1]);
        double middle = walk.nearest(rays.get(rays.size() / 2)[1]);
        boolean forward = ahead(walk, begins, middle) <= ahead(walk, begins, ends);
        List<Place> places = new ArrayList<>();
        for (Point[] ray : rays) {
            double at = walk.nearest(ray[1]);
            double along = forward ? ahead(walk, begins, at) : ahead(walk, at, begins);
            // An end that falls a hair behind the beginning is the beginning.
            along = along > walk.length() - 1 ? 0 : along;
            places.add(new Place(ray[0], ray[1], along, laid.under(0).fall(ray[1])));
        }
        return Optional.of(new OtherLine(laid, places));
    }

    private static double ahead(EdgeWalk walk, double from, double to) {
        return to >= from ? to - from : to - from + walk.length();
    }

    private static List<Point[]> ruled(Ruled ruled) {
        return ruled.rays().stream().map(r -> new Point[] {r.line(), r.edge()}).toList();
    }

    /** Off a straight line: from where it comes onto the body to where it leaves it. */
    private static List<Point[]> straight(Contour.Laid laid, Region body) {
        Course.Line line = (Course.Line) laid.course();
        double length = line.from().distance(line.to());
        double dx = (line.to().x() - line.from().x()) / length;
        double dy = (line.to().y() - line.from().y()) / length;
        List<Point[]> rays = new ArrayList<>();
        Point middle = line.from().towards(line.to(), 0.5);
        double first = 0;
        double last = 0;
        for (double way = -1000; way <= 1000; way += STEP / 2) {
            if (laid.plan().contains(middle.plus(dx * way - dy * 0.05, dy * way + dx * 0.05))) {
                first = rays.isEmpty() ? way : first;
                last = way;
                rays.add(new Point[0]);
            }
        }
        rays.clear();
        int pieces = (int) Math.max(4, Math.ceil((last - first) / STEP));
        for (int i = 0; i <= pieces; i++) {
            double way = first + (last - first) * i / pieces;
            Point on = middle.plus(dx * way, dy * way);
            double out = body.wayOut(on.plus(-dy * 0.01, dx * 0.01), -dy, dx);
            rays.add(new Point[] {on, Double.isInfinite(out) ? on : on.plus(-dy * out, dx * out)});
        }
        return rays;
    }

    /** So many places evenly apart along the line, its ends left out: what is marked with a square. */
    public List<Place> stations(int count) {
        double[] way = new double[places.size()];
        for (int i = 1; i < way.length; i++) {
            way[i] =
                    way[i - 1] + places.get(i - 1).line().distance(places.get(i).line());
        }
        List<Place> stations = new ArrayList<>();
        int at = 0;
        for (int i = 1; i <= count; i++) {
            double wanted = way[way.length - 1] * i / (count + 1);
            while (at + 1 < way.length && way[at + 1] <= wanted + HALF) {
                at++;
            }
            stations.add(places.get(at));
        }
        return stations;
    }

    /** The deepest of it. */
    public Place deepest() {
        return places.stream().max(Comparator.comparingDouble(Place::down)).orElseThrow();
    }

    /** What a square finds at a place, with what it follows from. */
    public static Reckoning down(Contour.Laid laid, Place place) {
        double angle = laid.profile().depth() / laid.profile().width();
        return Reckoning.of("down the edge", Quantity.LENGTH)
                .length("from the line square to the edge", Fact.typed(place.across()))
                .length("deepest", Fact.typed(laid.profile().depth()))
                .length("wide there", laid.profile().width())
                .is(
                        place.down(),
                        Math.abs(place.across() * angle - place.down()) < 0.01
                                ? "from the line square to the edge × deepest / wide there"
                                : "by its shape across and its depth along the edge");
    }
}
