package ebauche.app.shielding;

import ebauche.app.drawing.Frame;
import ebauche.app.drawing.Svg;
import ebauche.app.drawing.Voids;
import ebauche.app.words.Words;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.plan.BuildPlan;
import ebauche.core.shielding.Ground;
import ebauche.core.shielding.Roll;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What is grounded, drawn on the body; and the foil on its roll. */
final class ShieldingDrawing {
    private static final double WIDTH = 800;
    private static final double HEIGHT = 400;
    private static final double MARGIN = 20;
    private static final double RADIUS = 11;

    private ShieldingDrawing() {}

    /** The body with every node, numbered as the list of nodes has them, and what joins them; suspects stand out. */
    static String ground(BuildPlan plan, Ground ground, Set<Ground.Bond> suspects) {
        Region body = plan.build().design().outline().region();
        Frame frame = Frame.holding(body, WIDTH, HEIGHT - 2 * MARGIN, MARGIN, Face.FRONT);
        Svg svg = new Svg(
                WIDTH,
                frame.height(body, MARGIN),
                "wires ground-graph",
                Words.say("shielding-drawing.what-is-grounded"));
        svg.path("body-wood", frame.path(body));
        for (Voids.Hollow v : Voids.of(plan, plan.steps().size(), Face.FRONT)) {
            boolean lined = plan.build().design().shields().stream()
                    .anyMatch(s -> s.space().equals(v.feature()));
            if (!v.feature().is(FeatureKind.CHANNEL)) {
                svg.path(lined ? "void lined" : "void " + (v.opensUp() ? "open" : "far"), frame.path(v.area()));
            }
        }
        Map<String, double[]> places = places(ground.nodes(), frame);
        ground.bonds().forEach(b -> bond(svg, b, places, suspects.contains(b) ? "bond suspect" : "bond", ground));
        ground.leftOut().forEach(b -> bond(svg, b, places, "bond left-out", ground));
        int number = 1;
        for (Ground.Node node : ground.nodes()) {
            double[] at = places.get(node.key());
            svg.open("g", "class", node.key().equals(Ground.SLEEVE) ? "node sleeve" : "node");
            svg.title(number + ": " + node.said());
            svg.circle("ring", at[0], at[1], RADIUS);
            svg.text("number", at[0], at[1] + 5, "middle", String.valueOf(number++));
            svg.close();
        }
        return svg.done();
    }

    private static void bond(Svg svg, Ground.Bond bond, Map<String, double[]> places, String cssClass, Ground ground) {
        double[] a = places.get(bond.one());
        double[] b = places.get(bond.other());
        svg.open("g");
        svg.title(ground.said(bond.one()) + ", " + ground.said(bond.other()) + ": " + bond.how());
        svg.line(cssClass, a[0], a[1], b[0], b[1]);
        svg.close();
    }

    /** Where each stands in the drawing: at its place, or beside it where another stands there. */
    private static Map<String, double[]> places(List<Ground.Node> nodes, Frame frame) {
        Map<String, double[]> places = new LinkedHashMap<>();
        for (Ground.Node node : nodes) {
            Point at = node.at();
            double[] there = {frame.x(at), frame.y(at)};
            for (int i = 0; i < 24 && taken(places, there); i++) {
                double angle = Math.PI / 4 * i;
                double far = 2.3 * RADIUS * (1 + i / 8);
                there = new double[] {frame.x(at) + far * Math.cos(angle), frame.y(at) + far * Math.sin(angle)};
            }
            places.put(node.key(), there);
        }
        return places;
    }

    private static boolean taken(Map<String, double[]> places, double[] there) {
        return places.values().stream().anyMatch(p -> Math.hypot(p[0] - there[0], p[1] - there[1]) < 2.2 * RADIUS);
    }

    /** The roll with its pieces; in millimetres where it is to be cut by. */
    static String roll(Roll roll, boolean trueSize) {
        Svg svg =
                new Svg(roll.length() + 2, roll.width() + 2, "roll", Words.say("shielding-drawing.pieces-on-the-roll"));
        if (trueSize) {
            svg.attribute("width", Svg.n(roll.length() + 2) + "mm").attribute("height", Svg.n(roll.width() + 2) + "mm");
        }
        svg.open("rect", "class", "sheet", "x", "1", "y", "1", "fill", "none", "stroke", "gray", "stroke-width", "0.3");
        svg.attribute("width", Svg.n(roll.length())).attribute("height", Svg.n(roll.width()));
        svg.close();
        int number = 1;
        for (Roll.Placed placed : roll.pieces()) {
            Roll.Piece piece = placed.piece();
            svg.open("g", "class", "piece");
            svg.title(piece.said());
            svg.open("rect", "fill", "none", "stroke", "currentColor", "stroke-width", "0.5");
            svg.attribute("x", Svg.n(1 + placed.along())).attribute("y", Svg.n(1 + placed.across()));
            svg.attribute("width", Svg.n(piece.length())).attribute("height", Svg.n(piece.wide()));
            svg.close();
            svg.open("g", "fill", "currentColor", "font-size", "9");
            double x = 1 + placed.along() + piece.length() / 2;
            svg.text("number", x, 4 + placed.across() + piece.wide() / 2, "middle", String.valueOf(number++));
            svg.close();
            svg.close();
        }
        return svg.done();
    }
}
