package ebauche.app.wires;

import ebauche.app.drawing.Frame;
import ebauche.app.drawing.Svg;
import ebauche.app.drawing.Voids;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.channel.BoreLook;
import ebauche.core.channel.DishPlaces;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Jack;
import ebauche.core.measure.Decimals;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Bore;
import ebauche.core.wires.Run;
import ebauche.core.wires.Spot;
import ebauche.core.wires.WireWays;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The body with its channels and the ways of its wires, front up. Three sheets lie on each other: what stands still, the chosen channel,
 * and its two ends, which the hand takes; the script moves the last by its scale while the second is asked for.
 */
final class WiresDrawing {
    private static final double WIDTH = 800;
    private static final double HEIGHT = 340;
    private static final double MARGIN = 20;

    /** A number stands so far off the edge, mm. */
    private static final double NUMBER = 9;

    private final BuildPlan plan;
    private final Figures fig;
    private final Frame frame;
    private final Region body;

    WiresDrawing(BuildPlan plan, Figures fig) {
        this.plan = plan;
        this.fig = fig;
        this.body = plan.build().design().outline().region();
        this.frame = Frame.holding(body, WIDTH, HEIGHT - 2 * MARGIN, MARGIN, Face.FRONT);
    }

    private Svg sheet(String cssClass, String words) {
        return new Svg(WIDTH, frame.height(body, MARGIN), cssClass, words);
    }

    /** What stands still: the body, what is cut, the ways of the wires, the channels that are not chosen. */
    String still(WireWays ways, Optional<Channel> chosen, Offered offered, String here) {
        Svg svg = sheet(
                "wires",
                Words.say(
                        "wires-drawing.the-body-with-its-channels",
                        plan.build().design().name()));
        svg.attribute("data-scale", Decimals.plain(frame.scale(), 6));
        svg.attribute("data-left", Decimals.plain(frame.x(0), 4));
        svg.attribute("data-middle", Decimals.plain(frame.y(0), 4));
        svg.path("body-wood", frame.path(body));
        plan.build().design().plateLines().forEach(line -> svg.path("plate", frame.path(line)));
        svg.line("centre", frame.x(body.minY()) - 8, frame.y(0), frame.x(body.maxY()) + 8, frame.y(0));
        List<Voids.Hollow> voids = new ArrayList<>(Voids.of(plan, plan.steps().size(), Face.FRONT));
        voids.sort((a, b) -> Double.compare(b.area().area(), a.area().area()));
        for (Voids.Hollow v : voids) {
            if (!v.feature().is(FeatureKind.CHANNEL)) {
                svg.open("g");
                svg.title(v.feature().said());
                svg.path("void " + (v.opensUp() ? "open" : "far"), frame.path(v.area()));
                svg.close();
            }
        }
        for (Channel channel : plan.build().design().channels()) {
            if (chosen.filter(channel::equals).isEmpty()) {
                svg.open("a", "class", "bore other", "href", here + "/wires?channel=" + channel.id());
                svg.title(channel.feature().said());
                svg.path("hole", frame.path(Run.of(plan.build(), channel).bore().plan()));
                svg.close();
            }
        }
        ways.ways().forEach(way -> way(svg, way));
        offered.slots().forEach(s -> svg.path("slot-place", frame.path(s.plan())));
        for (int i = 0; i < offered.jacks().size(); i++) {
            jack(svg, offered.jacks().get(i).place().jack(), String.valueOf(i + 1));
        }
        for (int i = 0; i < offered.dishes().size(); i++) {
            dish(svg, offered.dishes().get(i).place(), String.valueOf(i + 1));
        }
        return svg.done();
    }

    /** A place that a jack can take, numbered as in its list: its hole, and its number off the edge. */
    private void jack(Svg svg, Jack jack, String number) {
        svg.path(
                "jack-place",
                frame.path(Bore.level(jack.entry(), jack.aim(), jack.fromFront(), jack.diameter())
                        .plan()));
        Point off = jack.aim().towards(jack.entry(), 1 + NUMBER / jack.entry().distance(jack.aim()));
        svg.text("jack-number", frame.x(off), frame.y(off) + NUMBER / 2, "middle", number);
    }

    /** A place that the jack's dish can take, numbered as in its list. */
    private void dish(Svg svg, DishPlaces.Place place, String number) {
        plan.build().design().jackDish().ifPresent(dish -> {
            svg.path("jack-place", frame.path(dish.plan().moved(place.dx(), place.dy())));
            svg.text("jack-number", frame.x(place.at()), frame.y(place.at()) + NUMBER / 2, "middle", number);
        });
    }

    private void way(Svg svg, WireWays.Way way) {
        StringBuilder data = new StringBuilder();
        for (Spot spot : way.spots()) {
            data.append(data.isEmpty() ? 'M' : 'L')
                    .append(Svg.n(frame.x(spot.at())))
                    .append(' ')
                    .append(Svg.n(frame.y(spot.at())));
        }
        svg.open("g", "class", way.wire().isGround() ? "way ground" : "way");
        svg.title(way.wire().said());
        svg.path("wire", data.toString());
        Spot first = way.spots().get(0);
        Spot last = way.spots().get(way.spots().size() - 1);
        svg.circle("joint", frame.x(first.at()), frame.y(first.at()), 3);
        svg.circle("joint", frame.x(last.at()), frame.y(last.at()), 3);
        svg.close();
    }

    /** The chosen channel: its hole, the drill and its chuck behind it, its thinnest wood. */
    String chosen(BoreLook look) {
        Svg svg = sheet("wires bore-now", Words.say("wires-drawing.the-chosen-channel"));
        Run run = look.run();
        Channel channel = run.channel();
        svg.path("hole", frame.path(run.bore().plan()));
        look.heldOut().stream().filter(held -> !look.isFact()).forEach(held -> {
            double in = run.entersAt();
            double lean = channel.across() / channel.length();
            svg.path("drill", strip(channel, in - held, in, channel.diameter() / 2, lean));
            svg.path("chuck", strip(channel, in - held - BoreLook.CHUCK_LONG, in - held, BoreLook.CHUCK, lean));
        });
        look.beside().stream().limit(1).forEach(t -> {
            svg.circle("thin", frame.x(t.at()), frame.y(t.at()), 6);
            svg.figure(
                    "figure", frame.x(t.at()), frame.y(t.at()) - 10, "middle", Figures.parts(fig.brief(t.thickness())));
        });
        return svg.done();
    }

    /** A strip along the axis between two places along it, so wide, on the plan. */
    private String strip(Channel channel, double from, double to, double half, double lean) {
        double dx = (channel.to().x() - channel.from().x()) / channel.across();
        double dy = (channel.to().y() - channel.from().y()) / channel.across();
        Point a = channel.from().plus(dx * from * lean, dy * from * lean);
        Point b = channel.from().plus(dx * to * lean, dy * to * lean);
        return frame.path(Region.quadrilateral(
                a.plus(-dy * half, dx * half),
                a.plus(dy * half, -dx * half),
                b.plus(dy * half, -dx * half),
                b.plus(-dy * half, dx * half)));
    }

    /** Its ends, for the hand. */
    String ends(Channel channel) {
        Svg svg = sheet("wires bore-ends", Words.say("wires-drawing.the-ends-of-the-chosen-channel"));
        svg.attribute("data-scale", Decimals.plain(frame.scale(), 6));
        svg.attribute("data-flip", "1");
        end(svg, "from", channel.from(), "1");
        end(svg, "to", channel.to(), "2");
        return svg.done();
    }

    private void end(Svg svg, String name, Point at, String number) {
        svg.open("g", "class", "end", "data-end", name, "tabindex", "0", "role", "button");
        svg.attribute("data-x", Svg.n(at.x())).attribute("data-y", Svg.n(at.y()));
        svg.attribute("aria-label", Words.say("wires-drawing.end-" + name));
        svg.circle("grab", frame.x(at), frame.y(at), 24);
        svg.circle("grip", frame.x(at), frame.y(at), 9);
        svg.text("letter", frame.x(at), frame.y(at) + 4.5, "middle", number);
        svg.close();
    }
}
