package ebauche.app.feed;

import ebauche.app.drawing.Frame;
import ebauche.app.drawing.Svg;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.design.Blank;
import ebauche.core.feed.FeedMap;
import ebauche.core.feed.FeedMap.Edge;
import ebauche.core.feed.FeedPlan;
import ebauche.core.feed.FeedPlan.Bite;
import ebauche.core.feed.ReliefCuts;
import ebauche.core.feed.Steadying;
import ebauche.core.feed.Steadying.Place;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.passes.BaseSupport.Footing;
import java.util.List;
import java.util.Locale;

/**
 * An outline with its grain: how each stretch meets the router, the bites of one face in their order with the way of the feed,
 * where the base tips, short grain, and the relief cuts for the saw.
 */
public final class FeedDrawing {
    private static final double WIDTH = 780;
    private static final double MOST_HEIGHT = 520;
    private static final double MARGIN = 34;

    /** The band runs inside the edge, the base's stand outside, units of the drawing. */
    private static final double INSIDE = 5;

    private static final double OUTSIDE = 9;
    private static final double NUMBER_OUT = 22;
    private static final double GRAIN_LINES = 24;

    private final Frame frame;
    private final Svg svg;
    private final Figures fig;
    private final Region body;

    /**
     * What is drawn.
     *
     * @param up the face that is seen
     * @param map of the face towards the router, with the bites that are taken with it so
     * @param grain degrees at the middle of the body, as the arrow shows it
     */
    public record Shown(
            Region body,
            Blank blank,
            Face up,
            FeedMap map,
            List<Bite> bites,
            FeedPlan plan,
            Steadying stands,
            ReliefCuts relief,
            double grain) {}

    private FeedDrawing(Shown shown, Figures fig) {
        this.fig = fig;
        this.body = shown.body();
        Region sheet = body.union(shown.blank().plan());
        double scale = Math.min(
                (WIDTH - 2 * MARGIN) / (sheet.maxY() - sheet.minY()),
                (MOST_HEIGHT - 2 * MARGIN) / (sheet.maxX() - sheet.minX()));
        double middle = shown.up() == Face.FRONT ? MARGIN - sheet.minX() * scale : MARGIN + sheet.maxX() * scale;
        double left = WIDTH / 2 - (sheet.maxY() + sheet.minY()) / 2 * scale;
        this.frame = new Frame(scale, left, middle, shown.up());
        this.svg = new Svg(
                WIDTH,
                (sheet.maxX() - sheet.minX()) * scale + 2 * MARGIN,
                "feed",
                Words.say(
                        "feed-drawing.the-outline-up-bites-in-their",
                        shown.up().word(),
                        shown.bites().size()));
        svg.attribute("data-mirrored", shown.up() == Face.BACK ? "true" : "false");
    }

    public static String of(Shown shown, Figures fig) {
        FeedDrawing drawing = new FeedDrawing(shown, fig);
        drawing.wood(shown);
        drawing.bands(shown.map());
        drawing.stands(shown.stands());
        drawing.relief(shown.relief());
        shown.plan().uneven().forEach(drawing::uneven);
        shown.plan().tips().forEach(drawing::tip);
        shown.bites().forEach(drawing::bite);
        drawing.arrow(shown.grain());
        return drawing.svg.done();
    }

    private void wood(Shown shown) {
        svg.path("blank-edge", frame.path(shown.blank().plan()));
        svg.open("clipPath", "id", "feed-body").path("clip", frame.path(body)).close();
        svg.path("wood", frame.path(body));
        svg.open("g", "clip-path", "url(#feed-body)", "aria-hidden", "true");
        double reach = Math.max(body.maxX() - body.minX(), body.maxY() - body.minY());
        Point middle = body.centroid();
        double a = Math.toRadians(shown.grain());
        for (double off = -reach; off <= reach; off += GRAIN_LINES) {
            Point at = middle.plus(off * Math.cos(a), -off * Math.sin(a));
            line(
                    "grain-line",
                    at.plus(-reach * Math.sin(a), -reach * Math.cos(a)),
                    at.plus(reach * Math.sin(a), reach * Math.cos(a)));
        }
        svg.close();
        for (double seam : shown.blank().seams()) {
            line("seam", new Point(seam, body.minY() - 6), new Point(seam, body.maxY() + 6));
        }
    }

    private void line(String cssClass, Point a, Point b) {
        svg.line(cssClass, frame.x(a), frame.y(a), frame.x(b), frame.y(b));
    }

    /** A place so many units of the drawing outside the edge. */
    private Point out(Edge e, double units) {
        return e.outside(units / frame.scale());
    }

    private void bands(FeedMap map) {
        for (FeedMap.Arc arc : map.arcs()) {
            String name = arc.band().name().toLowerCase(Locale.ROOT).replace('_', '-');
            svg.open("g", "class", "band " + name);
            svg.title(arc.band().words() + ", " + fig.length(arc.length()));
            svg.path("", along(arc.edges(), -INSIDE));
            svg.close();
        }
    }

    private String along(List<Edge> edges, double units) {
        StringBuilder data = new StringBuilder();
        double in = units / frame.scale();
        for (Edge e : edges) {
            for (Point p : List.of(e.from(), e.to())) {
                Point at = p.plus(e.outward().x() * in, e.outward().y() * in);
                data.append(data.isEmpty() ? 'M' : 'L')
                        .append(Svg.n(frame.x(at)))
                        .append(' ')
                        .append(Svg.n(frame.y(at)));
            }
        }
        return data.toString();
    }

    private void stands(Steadying stands) {
        for (Place place : stands.places()) {
            Footing footing = place.support().footing();
            if (footing != Footing.STEADY) {
                Point at = out(place.edge(), OUTSIDE);
                svg.open(
                        "circle",
                        "class",
                        "stand " + footing.name().toLowerCase(Locale.ROOT),
                        "cx",
                        Svg.n(frame.x(at)),
                        "cy",
                        Svg.n(frame.y(at)),
                        "r",
                        footing == Footing.TIPS ? "5" : "3.5");
                svg.title(Words.say(
                        "feed-drawing.the-base-here-it-stands-within",
                        footing.words(),
                        fig.length(Math.max(0, place.support().stand()))));
                svg.close();
            }
        }
    }

    private void relief(ReliefCuts relief) {
        for (ReliefCuts.Cut cut : relief.cuts()) {
            line("relief", cut.from(), cut.to());
        }
        for (ReliefCuts.Hole hole : relief.holes()) {
            svg.circle(
                    "relief",
                    frame.x(hole.at()),
                    frame.y(hole.at()),
                    hole.drill().diameter() / 2 * frame.scale());
        }
    }

    private void uneven(FeedPlan.Run run) {
        svg.open("g", "class", "uneven");
        svg.title(Words.say("feed-drawing.hard-and-soft-wood-meet-here", fig.length(run.length())));
        svg.path("mark", along(run.edges(), OUTSIDE));
        svg.close();
    }

    private void tip(FeedPlan.Tip tip) {
        svg.open("g", "class", "short-grain");
        svg.title(Words.say("feed-drawing.short-grain-of-fibre-hold-here", fig.length(tip.fibre())));
        svg.path("mark", along(tip.run().edges(), -2 * INSIDE - 4));
        svg.close();
    }

    private void bite(Bite bite) {
        List<Edge> edges = bite.run().edges();
        Edge middle = edges.get(edges.size() / 2);
        Point at = out(middle, NUMBER_OUT);
        double x = frame.x(at);
        double y = frame.y(at);
        Edge first = edges.get(0);
        Edge last = edges.get(edges.size() - 1);
        Point start = first.from()
                .plus(
                        first.outward().x() * OUTSIDE / frame.scale(),
                        first.outward().y() * OUTSIDE / frame.scale());
        Point end = last.to()
                .plus(
                        last.outward().x() * OUTSIDE / frame.scale(),
                        last.outward().y() * OUTSIDE / frame.scale());
        svg.open("g", "class", "bite");
        svg.title(Words.say(
                "feed-drawing.bite", bite.number(), fig.length(bite.run().length())));
        svg.path("way", along(edges, OUTSIDE));
        head(end, start, edges);
        svg.circle("ring", x, y, 10);
        svg.text("number", x, y + 4.5, "middle", String.valueOf(bite.number()));
        svg.close();
    }

    /** An arrow's head at the end of a bite, the way its last edges run. */
    private void head(Point end, Point start, List<Edge> edges) {
        Edge last = edges.get(edges.size() - 1);
        double dx = frame.x(last.to()) - frame.x(last.from());
        double dy = frame.y(last.to()) - frame.y(last.from());
        double size = Math.hypot(dx, dy);
        if (size < 1e-9 || start.equals(end)) {
            return;
        }
        double ux = dx / size;
        double uy = dy / size;
        double x = frame.x(end);
        double y = frame.y(end);
        svg.path(
                "head",
                "M" + Svg.n(x - 8 * ux - 4 * uy) + " " + Svg.n(y - 8 * uy + 4 * ux) + "L" + Svg.n(x) + " " + Svg.n(y)
                        + "L" + Svg.n(x - 8 * ux + 4 * uy) + " " + Svg.n(y - 8 * uy - 4 * ux));
    }

    /** The grain's arrow in the middle: it is turned by the hand, or with the arrow keys. */
    private void arrow(double grain) {
        Point middle = body.centroid();
        double half = 70 / frame.scale();
        double a = Math.toRadians(grain);
        Point tip = middle.plus(half * Math.sin(a), half * Math.cos(a));
        Point tail = middle.plus(-half * Math.sin(a), -half * Math.cos(a));
        svg.open("g", "class", "grain-arrow", "tabindex", "0", "role", "slider");
        svg.attribute("aria-label", Words.say("feed-drawing.the-grains-angle-off-the-bodys"));
        svg.attribute("aria-valuemin", "-90").attribute("aria-valuemax", "90");
        svg.attribute("aria-valuenow", Svg.n(grain));
        svg.attribute("data-x", Svg.n(frame.x(middle))).attribute("data-y", Svg.n(frame.y(middle)));
        svg.open("line", "class", "grip");
        svg.attribute("x1", Svg.n(frame.x(tail))).attribute("y1", Svg.n(frame.y(tail)));
        svg.attribute("x2", Svg.n(frame.x(tip)))
                .attribute("y2", Svg.n(frame.y(tip)))
                .close();
        line("shaft", tail, tip);
        svg.circle("knob", frame.x(tip), frame.y(tip), 8);
        svg.circle("knob", frame.x(tail), frame.y(tail), 8);
        svg.text(
                "figure",
                frame.x(middle),
                frame.y(middle) - 12,
                "middle",
                Words.say("feed-drawing.grain", fig.decimal(grain, Math.abs(grain - Math.rint(grain)) < 0.05 ? 0 : 1)));
        svg.close();
    }
}
