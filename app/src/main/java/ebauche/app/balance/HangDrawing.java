package ebauche.app.balance;

import ebauche.app.drawing.Svg;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.balance.Balance;
import ebauche.core.balance.Guitar;
import ebauche.core.balance.Hang;
import ebauche.core.design.BodyDesign;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.plan.BuildPlan;
import java.util.List;
import java.util.Optional;

/** The guitar as it hangs with its neck as high as it stays, upright is up; the strap over the shoulder, the plumb line through its centre of mass. */
final class HangDrawing {
    private static final double WIDTH = 854;
    private static final double HEIGHT = 520;
    private static final double MARGIN = 34;

    /** Neck and head, as wide as they are drawn, mm. */
    private static final double NECK = 25;

    private static final double HEAD_WIDE = 42;

    private final BodyDesign design;
    private final Balance balance;
    private final double angle;
    private final int treble;
    private final double scale;
    private final double left;
    private final double top;

    private HangDrawing(BuildPlan plan, Balance balance) {
        this.design = plan.build().design();
        this.balance = balance;
        this.treble = balance.hang().map(Hang::trebleX).orElse(1);
        this.angle = Math.toRadians(balance.range().map(Hang.Range::most).orElse(0.0));
        double[] box = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
        design.outline().region().forEachRing(ring -> {
            for (int i = 0; i < ring.length; i += 2) {
                grow(box, new Point(ring[i], ring[i + 1]));
            }
        });
        grow(box, new Point(0, design.scale() + Guitar.HEAD));
        standing().ifPresent(s -> grow(box, s.shoulder()));
        this.scale = Math.min((WIDTH - 2 * MARGIN) / (box[2] - box[0]), (HEIGHT - 2 * MARGIN) / (box[3] - box[1]));
        this.left = (WIDTH - (box[0] + box[2]) * scale) / 2;
        this.top = (HEIGHT - (box[1] + box[3]) * scale) / 2;
    }

    private Optional<Hang.Standing> standing() {
        return balance.hang().flatMap(h -> h.at(Math.toDegrees(angle)));
    }

    private void grow(double[] box, Point p) {
        box[0] = Math.min(box[0], across(p));
        box[1] = Math.min(box[1], down(p));
        box[2] = Math.max(box[2], across(p));
        box[3] = Math.max(box[3], down(p));
    }

    /** Level, to the right, mm. */
    private double across(Point p) {
        return p.y() * Math.cos(angle) + treble * p.x() * Math.sin(angle);
    }

    /** Downwards, mm. */
    private double down(Point p) {
        return treble * p.x() * Math.cos(angle) - p.y() * Math.sin(angle);
    }

    private double x(Point p) {
        return left + across(p) * scale;
    }

    private double y(Point p) {
        return top + down(p) * scale;
    }

    static String of(BuildPlan plan, Balance balance, Figures fig) {
        return new HangDrawing(plan, balance).drawn(fig);
    }

    private String drawn(Figures fig) {
        Svg svg = new Svg(WIDTH, HEIGHT, "hang", Words.say("balance.drawn", design.name()));
        Point centre = balance.guitar().centre();
        wedge(svg, centre);
        svg.path(
                "neck",
                ring(List.of(
                        new Point(-NECK, design.neck().pocket().minY()),
                        new Point(NECK, design.neck().pocket().minY()),
                        new Point(NECK * 0.85, design.scale()),
                        new Point(HEAD_WIDE, design.scale() + 20),
                        new Point(HEAD_WIDE * 0.8, design.scale() + Guitar.HEAD),
                        new Point(-HEAD_WIDE * 0.8, design.scale() + Guitar.HEAD),
                        new Point(-HEAD_WIDE, design.scale() + 20),
                        new Point(-NECK * 0.85, design.scale()))));
        svg.path("body-wood", path(design.outline().region()));
        standing().ifPresent(s -> strap(svg, s, centre));
        svg.circle("centre-of-mass", x(centre), y(centre), 9);
        svg.line("cross", x(centre) - 13, y(centre), x(centre) + 13, y(centre));
        svg.line("cross", x(centre), y(centre) - 13, x(centre), y(centre) + 13);
        svg.text(
                "figure",
                x(centre) - 18,
                y(centre) + 26,
                "end",
                fig.mass(balance.guitar().grams()));
        return svg.done();
    }

    private void strap(Svg svg, Hang.Standing standing, Point centre) {
        Hang hang = balance.hang().orElseThrow();
        Point shoulder = standing.shoulder();
        svg.line("plumb", x(shoulder), y(shoulder), x(centre), y(centre));
        svg.line("strap", x(hang.low()), y(hang.low()), x(shoulder), y(shoulder));
        svg.line("strap", x(hang.high()), y(hang.high()), x(shoulder), y(shoulder));
        svg.circle("shoulder", x(shoulder), y(shoulder), 12);
        svg.circle("button", x(hang.low()), y(hang.low()), 6);
        svg.circle("button", x(hang.high()), y(hang.high()), 6);
    }

    /** From level to where the neck stays, and where the maker wants it. */
    private void wedge(Svg svg, Point centre) {
        double reach = (design.scale() + Guitar.HEAD - centre.y()) * scale;
        double x = x(centre);
        double y = y(centre);
        svg.line("level", x, y, x + reach, y);
        double wanted = Math.toRadians(balance.played());
        svg.line("wanted", x, y, x + reach * Math.cos(wanted), y - reach * Math.sin(wanted));
    }

    private String path(Region region) {
        StringBuilder data = new StringBuilder();
        region.forEachRing(ring -> {
            for (int i = 0; i < ring.length - 2; i += 2) {
                data.append(i == 0 ? 'M' : 'L').append(place(new Point(ring[i], ring[i + 1])));
            }
            data.append('Z');
        });
        return data.toString();
    }

    private String ring(List<Point> points) {
        StringBuilder data = new StringBuilder();
        points.forEach(p -> data.append(data.isEmpty() ? 'M' : 'L').append(place(p)));
        return data.append('Z').toString();
    }

    private String place(Point p) {
        return Svg.n(x(p)) + " " + Svg.n(y(p));
    }
}
