package ebauche.core.stock;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.memo.Memo;
import java.util.ArrayList;
import java.util.List;

/**
 * From a line on the face along rays to the edge, as a rasp goes: on each ray the carve begins at the line and is so far in at the
 * edge. Between two rays it lies evenly between them.
 *
 * <p>Along a ray it only ever goes farther in, so that over an area the most and the least of it lie on that area's edge.
 */
public final class Ruled implements Course {
    /** An area's edge is looked at so closely, mm. */
    private static final double LOOK = 0.5;

    /** Cells of the table that finds the rays beside a place, mm. */
    private static final double CELL = 4;

    /** So far beyond the edge a place still lies on its ray, mm: the wood's cells reach over the edge. */
    private static final double OVER = 4;

    /** Two rays so near end in one point, mm. */
    private static final double THINNEST = 1e-9;

    /**
     * One ray.
     *
     * @param line where it begins, on the face
     * @param edge where it ends
     * @param reach how far in the carve is there, mm, as its profile counts it
     */
    public record Ray(Point line, Point edge, double reach) {
        double length() {
            return line.distance(edge);
        }
    }

    private final List<Ray> rays;
    private final double steepest;
    private final Region plan;
    private final int hash;
    private final double left;
    private final double low;
    private final int columns;
    private final int[][] cells;

    private record Farthest(Ruled of, Region over) {}

    private record Nearest(Ruled of, Region over) {}

    /** @param rays side by side, none crossing another */
    public Ruled(List<Ray> rays) {
        if (rays.size() < 2) {
            throw new IllegalArgumentException("a ruled carve needs rays");
        }
        this.rays = List.copyOf(rays);
        this.hash = this.rays.hashCode();
        double least = Double.POSITIVE_INFINITY;
        double bottom = Double.POSITIVE_INFINITY;
        double right = Double.NEGATIVE_INFINITY;
        double top = Double.NEGATIVE_INFINITY;
        for (Ray ray : rays) {
            for (Point p : List.of(ray.line(), over(ray))) {
                least = Math.min(least, p.x());
                right = Math.max(right, p.x());
                bottom = Math.min(bottom, p.y());
                top = Math.max(top, p.y());
            }
        }
        this.left = least;
        this.low = bottom;
        this.columns = (int) ((right - left) / CELL) + 1;
        this.cells = cells((int) ((top - low) / CELL) + 1);
        this.steepest = steepest(this.rays);
        this.plan = plan(this.rays);
    }

    private static Point over(Ray ray) {
        double length = ray.length();
        return length < THINNEST ? ray.edge() : ray.line().towards(ray.edge(), 1 + OVER / length);
    }

    /** Which pairs of rays may lie beside the places of each cell. */
    private int[][] cells(int rows) {
        List<List<Integer>> found = new ArrayList<>();
        for (int i = 0; i < columns * rows; i++) {
            found.add(new ArrayList<>());
        }
        for (int i = 0; i + 1 < rays.size(); i++) {
            Point[] from = {rays.get(i).line(), rays.get(i + 1).line()};
            Point[] to = {over(rays.get(i)), over(rays.get(i + 1))};
            int along = (int) Math.ceil(Math.max(from[0].distance(to[0]), from[1].distance(to[1])) / (CELL / 4)) + 1;
            int beside = (int) Math.ceil(Math.max(from[0].distance(from[1]), to[0].distance(to[1])) / (CELL / 4)) + 1;
            for (int k = 0; k <= along; k++) {
                Point one = from[0].towards(to[0], (double) k / along);
                Point other = from[1].towards(to[1], (double) k / along);
                for (int b = 0; b <= beside; b++) {
                    put(found, rows, one.towards(other, (double) b / beside), i);
                }
            }
        }
        return found.stream()
                .map(l -> l.stream().mapToInt(Integer::intValue).toArray())
                .toArray(int[][]::new);
    }

    /** Into its cell and those that begin within a place's step of it. */
    private void put(List<List<Integer>> found, int rows, Point at, int pair) {
        for (int r = row(at.y() - CELL / 4); r <= row(at.y() + CELL / 4); r++) {
            for (int c = column(at.x() - CELL / 4); c <= column(at.x() + CELL / 4); c++) {
                if (r >= 0 && c >= 0 && r < rows && c < columns) {
                    List<Integer> cell = found.get(r * columns + c);
                    if (cell.isEmpty() || cell.get(cell.size() - 1) != pair) {
                        cell.add(pair);
                    }
                }
            }
        }
    }

    private int column(double x) {
        return (int) Math.floor((x - left) / CELL);
    }

    private int row(double y) {
        return (int) Math.floor((y - low) / CELL);
    }

    public List<Ray> rays() {
        return rays;
    }

    /** All that lies between the line and the edge, and a little over it, so that no two edges run into one. */
    public Region plan() {
        return plan;
    }

    private static Region plan(List<Ray> rays) {
        List<Point> ring = new ArrayList<>();
        rays.forEach(r -> ring.add(r.line()));
        for (int i = rays.size() - 1; i >= 0; i--) {
            ring.add(over(rays.get(i)));
        }
        return area(ring);
    }

    private static Region area(List<Point> ring) {
        List<Point> clean = new ArrayList<>();
        for (Point p : ring) {
            if (clean.isEmpty() || clean.get(clean.size() - 1).distance(p) > THINNEST) {
                clean.add(p);
            }
        }
        while (clean.size() > 1 && clean.get(0).distance(clean.get(clean.size() - 1)) <= THINNEST) {
            clean.remove(clean.size() - 1);
        }
        return clean.size() < 3 ? Region.EMPTY : Region.round(clean);
    }

    @Override
    public double across(double x, double y) {
        int column = column(x);
        int row = row(y);
        if (column < 0 || row < 0 || column >= columns || row * columns + column >= cells.length) {
            return 0;
        }
        double found = 0;
        for (int i : cells[row * columns + column]) {
            found = Math.max(found, between(rays.get(i), rays.get(i + 1), x, y));
        }
        return found;
    }

    /** Between two rays: nought where the place does not lie there. */
    private static double between(Ray a, Ray b, double x, double y) {
        double toA = side(a, b, x, y);
        double toB = side(b, a, x, y);
        if (toA < -THINNEST || toB < -THINNEST || !(toA + toB > 0)) {
            return 0;
        }
        double share = toA / (toA + toB);
        Point line = a.line().towards(b.line(), share);
        Point edge = a.edge().towards(b.edge(), share);
        double dx = edge.x() - line.x();
        double dy = edge.y() - line.y();
        double size = dx * dx + dy * dy;
        if (size < THINNEST) {
            return 0;
        }
        double along = ((x - line.x()) * dx + (y - line.y()) * dy) / size;
        double most = 1 + OVER / Math.sqrt(size);
        double reach = a.reach() + share * (b.reach() - a.reach());
        return along > 0 && along <= most ? Math.min(1, along) * reach : 0;
    }

    /** How far a place lies off a ray, towards the other: a ray of no length is taken to run as the other does. */
    private static double side(Ray ray, Ray other, double x, double y) {
        Ray as = ray.length() < THINNEST ? other : ray;
        double length = as.length();
        if (length < THINNEST) {
            return 0;
        }
        double dx = (as.edge().x() - as.line().x()) / length;
        double dy = (as.edge().y() - as.line().y()) / length;
        double off = dx * (y - ray.line().y()) - dy * (x - ray.line().x());
        Point beside = other.line().towards(other.edge(), 0.5);
        double where = dx * (beside.y() - ray.line().y())
                - dy * (beside.x() - ray.line().x());
        return where < 0 ? -off : off;
    }

    /** The way back to the line from a place, of length one. */
    public Point inward(Point at) {
        Ray nearest = rays.get(0);
        double best = Double.POSITIVE_INFINITY;
        for (Ray ray : rays) {
            double off = ray.edge().distance(at);
            if (ray.length() > THINNEST && off < best) {
                best = off;
                nearest = ray;
            }
        }
        double length = nearest.length();
        return new Point(
                (nearest.line().x() - nearest.edge().x()) / length,
                (nearest.line().y() - nearest.edge().y()) / length);
    }

    @Override
    public double steepest() {
        return steepest;
    }

    /** By slopes of the surface itself, near the line and near the edge, between every two rays. */
    private static double steepest(List<Ray> rays) {
        double most = 0;
        for (int i = 0; i + 1 < rays.size(); i++) {
            Ray a = rays.get(i);
            Ray b = rays.get(i + 1);
            for (double share : new double[] {0.25, 0.75}) {
                Point line = a.line().towards(b.line(), share);
                Point edge = a.edge().towards(b.edge(), share);
                double length = line.distance(edge);
                if (length < LOOK) {
                    continue;
                }
                for (double along : new double[] {0.1, 0.95}) {
                    Point at = line.towards(edge, along);
                    double h = 1e-4;
                    double dx = (between(a, b, at.x() + h, at.y()) - between(a, b, at.x() - h, at.y())) / (2 * h);
                    double dy = (between(a, b, at.x(), at.y() + h) - between(a, b, at.x(), at.y() - h)) / (2 * h);
                    most = Math.max(most, Math.hypot(dx, dy));
                }
            }
        }
        return Math.max(1, most);
    }

    @Override
    public Point farthest(Region over) {
        return Memo.here().get(new Farthest(this, over), () -> extreme(over.intersection(plan), over, 1), p -> 0);
    }

    @Override
    public Point nearest(Region over) {
        return Memo.here()
                .get(
                        new Nearest(this, over),
                        () -> {
                            Region beside = over.minus(plan);
                            return beside.isEmpty() ? extreme(over, over, -1) : beside.inner();
                        },
                        p -> 0);
    }

    /** Where it is most, or least, along an area's edge: looked at closely, then closed in on. */
    private Point extreme(Region within, Region otherwise, int sign) {
        if (within.isEmpty()) {
            return otherwise.inner();
        }
        Point[] best = {within.inner()};
        double[] most = {sign * across(best[0].x(), best[0].y())};
        within.forEachRing(ring -> {
            for (int i = 0; i + 3 < ring.length; i += 2) {
                Point a = new Point(ring[i], ring[i + 1]);
                Point b = new Point(ring[i + 2], ring[i + 3]);
                int pieces = (int) Math.max(1, Math.ceil(a.distance(b) / LOOK));
                for (int k = 0; k <= pieces; k++) {
                    Point at = a.towards(b, (double) k / pieces);
                    double is = sign * across(at.x(), at.y());
                    if (is > most[0]) {
                        most[0] = is;
                        best[0] = closed(a, b, (k - 1.0) / pieces, (k + 1.0) / pieces, sign);
                        most[0] = Math.max(is, sign * across(best[0].x(), best[0].y()));
                        if (is >= most[0]) {
                            best[0] = at;
                        }
                    }
                }
            }
        });
        return best[0];
    }

    private Point closed(Point a, Point b, double from, double to, int sign) {
        double least = Math.max(0, from);
        double most = Math.min(1, to);
        for (int i = 0; i < 30; i++) {
            double one = least + (most - least) / 3;
            double other = most - (most - least) / 3;
            Point p = a.towards(b, one);
            Point q = a.towards(b, other);
            if (sign * across(p.x(), p.y()) > sign * across(q.x(), q.y())) {
                most = other;
            } else {
                least = one;
            }
        }
        return a.towards(b, (least + most) / 2);
    }

    /** Between its line of one depth and the edge: run by run of the rays that get so far in. */
    @Override
    public Region beyond(Region over, double across) {
        if (across <= 0) {
            return over.intersection(plan);
        }
        List<Region> runs = new ArrayList<>();
        List<Point> inner = new ArrayList<>();
        List<Point> outer = new ArrayList<>();
        for (int i = 0; i < rays.size(); i++) {
            Ray ray = rays.get(i);
            boolean in = ray.reach() > across;
            if (i > 0 && in != rays.get(i - 1).reach() > across) {
                Ray before = rays.get(i - 1);
                double share = (across - before.reach()) / (ray.reach() - before.reach());
                inner.add(before.edge().towards(ray.edge(), share));
                outer.add(over(before).towards(over(ray), share));
            }
            if (in) {
                inner.add(ray.line().towards(ray.edge(), across / ray.reach()));
                outer.add(over(ray));
            }
            if (!in || i == rays.size() - 1) {
                List<Point> ring = new ArrayList<>(inner);
                for (int k = outer.size() - 1; k >= 0; k--) {
                    ring.add(outer.get(k));
                }
                Region run = area(ring);
                if (!run.isEmpty()) {
                    runs.add(run);
                }
                inner.clear();
                outer.clear();
            }
        }
        return over.intersection(Region.union(runs));
    }

    @Override
    public boolean equals(Object other) {
        return other == this || (other instanceof Ruled r && r.hash == hash && r.rays.equals(rays));
    }

    @Override
    public int hashCode() {
        return hash;
    }
}
