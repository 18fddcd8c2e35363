package ebauche.core.design;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Refusal;
import ebauche.core.memo.Memo;
import ebauche.core.stock.Profile;
import ebauche.core.stock.Ruled;
import java.util.ArrayList;
import java.util.List;

/** A contour's line laid on a body: from each of its places a ray square to it, out to the edge, with the depth that it has there. */
record RuledOff(Ruled course, Profile profile) {
    private record Asked(Region body, Contour.Start.Across line, Contour contour) {}

    /** Its two ends lie so far off the edge that no corner of it lies on it, mm. */
    private static final double TIP = 0.2;

    /** At an end the rays swing round by so many steps to the right angle. */
    private static final int SWINGS = 20;

    /** A place of its line that lies nearer to the edge lies on it, mm. */
    private static final double ON = 0.05;

    /** One side's rays, not yet with their depths. */
    private record Fan(List<Point> line, List<Point> edge) {
        double area() {
            double twice = 0;
            for (int i = 0; i + 1 < line.size(); i++) {
                twice += Math.abs(quad(i));
            }
            return twice / 2;
        }

        /** Twice the area between two rays, by its sense. */
        double quad(int i) {
            Point a = line.get(i);
            Point b = line.get(i + 1);
            Point c = edge.get(i + 1);
            Point d = edge.get(i);
            return cross(a, c, b, d);
        }

        private static double cross(Point a, Point c, Point b, Point d) {
            return (c.x() - a.x()) * (d.y() - b.y()) - (c.y() - a.y()) * (d.x() - b.x());
        }

        double width(int i) {
            return line.get(i).distance(edge.get(i));
        }
    }

    /** @throws Refusal where its line does not cross the body, leaves it on the way, or its rays cross */
    static RuledOff of(Region body, Contour.Start.Across across, Contour contour) {
        return Memo.here().get(new Asked(body, across, contour), () -> laid(body, across, contour), r -> 10_000);
    }

    private static RuledOff laid(Region body, Contour.Start.Across across, Contour contour) {
        across.through()
                .forEach(p -> Refusal.unless(
                        body.contains(p), "through", "a place that its line is to pass lies off the body"));
        List<Point> line = onBody(body, across.line());
        Fan left = fan(body, line, 1);
        Fan right = fan(body, line, -1);
        boolean onTheLeft = left.area() <= right.area();
        Fan fan = onTheLeft ? left : right;
        for (int i = 0; i + 1 < fan.line().size(); i++) {
            boolean crossed = fan.quad(i) * (onTheLeft ? 1 : -1) < -1e-6;
            Refusal.unless(
                    !crossed,
                    "through",
                    "square to it its rays cross before they reach the edge: pull the line flatter");
        }
        double widest = 0;
        for (int i = 0; i < fan.line().size(); i++) {
            widest = Math.max(widest, fan.width(i));
        }
        Refusal.unless(
                fan.area() >= 100 && widest >= 3,
                "contours",
                "its line does not cross the body; draw it from edge to edge");
        return ruled(fan, widest, across, contour);
    }

    /** With the deepest place as deep as is wanted, the profile over the width there. */
    private static RuledOff ruled(Fan fan, double widest, Contour.Start.Across across, Contour contour) {
        List<Point> line = fan.line();
        double length = 0;
        double[] way = new double[line.size()];
        for (int i = 1; i < line.size(); i++) {
            length += line.get(i - 1).distance(line.get(i));
            way[i] = length;
        }
        double[] depths = new double[line.size()];
        int deepest = 0;
        for (int i = 0; i < line.size(); i++) {
            depths[i] = fan.width(i) == 0
                    ? 0
                    : across.depths().at(way[i] / length, Math.min(way[i], length - way[i]), fan.width(i) / widest);
            deepest = depths[i] > depths[deepest] ? i : deepest;
        }
        Profile profile = contour.profile(fan.width(deepest));
        List<Ruled.Ray> rays = new ArrayList<>();
        for (int i = 0; i < line.size(); i++) {
            double depth = contour.depth() * depths[i] / depths[deepest];
            double reach = depth <= 0 ? 0 : depth >= contour.depth() ? profile.width() : profile.across(depth);
            rays.add(new Ruled.Ray(line.get(i), fan.edge().get(i), reach));
        }
        return new RuledOff(new Ruled(rays), profile);
    }

    /** The part of a line from where it first comes onto the body to where it last leaves it. */
    private static List<Point> onBody(Region body, List<Point> line) {
        int first = 0;
        int last = line.size() - 1;
        while (first <= last && body.outside(line.get(first)) > -ON) {
            first++;
        }
        while (last >= first && body.outside(line.get(last)) > -ON) {
            last--;
        }
        Refusal.unless(last - first >= 2, "contours", "its line does not cross the body; draw it from edge to edge");
        List<Point> on = new ArrayList<>();
        on.add(first == 0 ? out(body, line.get(1), line.get(0)) : border(body, line.get(first), line.get(first - 1)));
        for (int i = first; i <= last; i++) {
            Refusal.unless(
                    body.contains(line.get(i)),
                    "through",
                    "its line leaves the body on its way and comes back: pull it in");
            if (on.get(on.size() - 1).distance(line.get(i)) > 1e-6) {
                on.add(line.get(i));
            }
        }
        Point end = last == line.size() - 1
                ? out(body, line.get(last - 1), line.get(last))
                : border(body, line.get(last), line.get(last + 1));
        if (on.get(on.size() - 1).distance(end) > 1e-6) {
            on.add(end);
        }
        return on;
    }

    /** From its last place straight on to the edge. */
    private static Point out(Region body, Point before, Point end) {
        double size = before.distance(end);
        double dx = (end.x() - before.x()) / size;
        double dy = (end.y() - before.y()) / size;
        double more = body.wayOut(end, dx, dy);
        return more < 60 ? end.plus(dx * (more + TIP), dy * (more + TIP)) : end;
    }

    /** Where the way from a place on the body to one off it crosses the edge. */
    private static Point border(Region body, Point on, Point off) {
        double size = on.distance(off);
        double way = body.wayOut(on, (off.x() - on.x()) / size, (off.y() - on.y()) / size);
        return on.towards(off, way / size + TIP / size);
    }

    /** Square to the line at each of its places; at its two ends swung round to the edge, so that no wood stands between them. */
    private static Fan fan(Region body, List<Point> line, int side) {
        List<Point> from = new ArrayList<>();
        List<Point> edge = new ArrayList<>();
        int last = line.size() - 1;
        for (int i = 0; i <= last; i++) {
            if (i == 0 || i == last) {
                from.add(line.get(i));
                edge.add(line.get(i));
                continue;
            }
            Point way = square(line, i, side);
            if (i == 1) {
                for (int k = SWINGS - 1; k > 0; k--) {
                    ray(body, line.get(i), turned(way, side * k * 90.0 / SWINGS), from, edge);
                }
            }
            ray(body, line.get(i), way, from, edge);
            if (i == last - 1) {
                for (int k = 1; k < SWINGS; k++) {
                    ray(body, line.get(i), turned(way, -side * k * 90.0 / SWINGS), from, edge);
                }
            }
        }
        return new Fan(from, edge);
    }

    private static void ray(Region body, Point at, Point way, List<Point> from, List<Point> edge) {
        double out = body.wayOut(at, way.x(), way.y());
        from.add(at);
        edge.add(at.plus(way.x() * out, way.y() * out));
    }

    private static Point square(List<Point> line, int i, int side) {
        Point before = line.get(i - 1);
        Point after = line.get(i + 1);
        double size = before.distance(after);
        return new Point(-side * (after.y() - before.y()) / size, side * (after.x() - before.x()) / size);
    }

    private static Point turned(Point way, double degrees) {
        double c = Math.cos(Math.toRadians(degrees));
        double s = Math.sin(Math.toRadians(degrees));
        return new Point(way.x() * c - way.y() * s, way.x() * s + way.y() * c);
    }
}
