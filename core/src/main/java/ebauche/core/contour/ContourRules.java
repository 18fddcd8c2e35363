package ebauche.core.contour;

import ebauche.core.design.Contour;
import ebauche.core.design.NeckJoint;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.stock.WoodLeft;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What a contour runs into, and what it leaves of the body at its edge. */
final class ContourRules {
    /** Least room between a contour's line and hardware on the surface, 5/8 in: common practice. */
    static final double CLEAR_OF_HARDWARE = 25.4 * 5 / 8;

    /** A contour usually ends at half the body's depth at most: common practice. */
    static final double USUAL_SHARE = 0.5;

    /** A fall that a part's foot does not notice, mm: a pencil line's unevenness. */
    static final double LEVEL = 0.05;

    /** Areas that share less only touch, mm². */
    private static final double TOUCH = 1;

    private final Build build;
    private final List<Rule> rules = new ArrayList<>();

    private ContourRules(Build build) {
        this.build = build;
    }

    static List<Rule> of(Build build) {
        ContourRules rules = new ContourRules(build);
        for (Contour.Laid laid : build.contours()) {
            rules.clearOfHardware(laid);
            rules.halfTheBody(laid);
            rules.insideTheTop(laid);
            rules.throughVoids(laid);
        }
        for (EdgeBand band : EdgeBand.of(build)) {
            rules.edgeBand(band);
            rules.evenBand(band);
        }
        return rules.rules;
    }

    private static Rule.Builder rule(String name, Feature feature, Point at) {
        return Rule.of(Work.CONTOUR, name, Rule.About.CONTOURS).on(feature).at(at);
    }

    /** All hardware that a contour comes too near to is told; else only the nearest. */
    private void clearOfHardware(Contour.Laid laid) {
        List<Rule> clear = hardware(build, laid).entrySet().stream()
                .map(on -> near(laid, on.getKey(), on.getValue()))
                .sorted(Comparator.comparingDouble(Near::nearness))
                .map(near -> clear(laid, near))
                .toList();
        List<Rule> broken = clear.stream().filter(r -> r.finding().isPresent()).toList();
        rules.addAll(broken.isEmpty() ? clear.stream().limit(1).toList() : broken);
    }

    private static Rule clear(Contour.Laid laid, Near near) {
        Contour contour = laid.contour();
        String said = contour.feature().said();
        return rule("contour-clear", contour.feature(), near.at())
                .says("The line of the " + said + " keeps clear of the " + near.part() + ".")
                .atLeast(near.clear(), CLEAR_OF_HARDWARE)
                .cure("Begin the contour farther out, or move the part.")
                .fails(() -> near.fall() > LEVEL
                        ? Finding.thinkAgain(Work.CONTOUR, "not-flat")
                                .on(contour.feature())
                                .at(near.at())
                                .length("falls", near.fall())
                                .says(
                                        "The " + said + " takes the flat of the " + near.part() + ": the "
                                                + contour.face().word() + " falls {0} there.",
                                        "Begin the contour farther out, or keep a flat under it.")
                        : Finding.goodToKnow(Work.CONTOUR, "near-hardware")
                                .on(contour.feature())
                                .at(near.at())
                                .length("clear", near.clear().value())
                                .length("usual", CLEAR_OF_HARDWARE)
                                .says(
                                        "The line of the " + said + " passes {0} from the " + near.part()
                                                + "; {1} is usual.",
                                        "Begin the contour farther out, or move the part."))
                .build();
    }

    private void halfTheBody(Contour.Laid laid) {
        Contour contour = laid.contour();
        String said = contour.feature().said();
        double half = USUAL_SHARE * build.faces().thickness();
        Reckoning left = Reckoning.of("half the body less the " + said, Quantity.LENGTH)
                .length(
                        "finished thickness",
                        build.faces().thicknessReckoning(build).asFact())
                .length("deepest", Fact.typed(contour.depth()))
                .is(half - contour.depth(), "finished thickness / 2 − deepest");
        rules.add(rule("contour-half", contour.feature(), laid.course().farthest(laid.plan()))
                .says("The " + said + " takes half the body at most.")
                .atLeast(left, 0)
                .tight(1)
                .cure("Less depth, unless the edge that is left is as you want it.")
                .fails(() -> Finding.goodToKnow(Work.CONTOUR, "deep")
                        .on(contour.feature())
                        .at(laid.plan().inner())
                        .length("deep", contour.depth())
                        .length("half the body", half)
                        .says(
                                "The " + said + " takes {0} at its deepest; half the body, {1}, is the usual most.",
                                "Less depth, unless the edge that is left is as you want it."))
                .build());
    }

    /** What is cut from the face that is carved keeps a wall: a carve that comes down to its floor comes through it. */
    private void throughVoids(Contour.Laid laid) {
        for (Pit pit : pits(laid.face())) {
            Region carved = laid.plan().intersection(pit.plan());
            if (carved.area() <= TOUCH) {
                continue;
            }
            Point at = laid.course().farthest(carved);
            double fall = laid.under(0).fall(at);
            if (fall <= LEVEL) {
                continue;
            }
            double stops = build.shop().limits().stops(WoodLeft.Kind.WALL);
            String said = laid.feature().said();
            String part = pit.feature().said();
            Reckoning left = Reckoning.of("wall that stays of the " + part, Quantity.LENGTH)
                    .length("its depth from the face", pit.depth())
                    .length("carved down there", fall)
                    .is(pit.depth() - fall, "its depth from the face − carved down there");
            String cure = "Begin the contour farther out, make it less deep there, or move what it comes through.";
            rules.add(rule("contour-through", laid.feature(), at)
                    .says("The " + said + " does not come through the " + part + ".")
                    .atLeast(left, stops)
                    .cure(cure)
                    .fails(() -> Finding.stops(Work.CONTOUR, "contour-through")
                            .on(laid.feature())
                            .at(at)
                            .length("falls", fall)
                            .length("deep", pit.depth())
                            .says(
                                    "The " + said + " comes through the " + part
                                            + ": it falls {0} over a floor that lies {1} deep.",
                                    cure))
                    .build());
        }
    }

    /** Something that is cut from a face, so deep. */
    private record Pit(Feature feature, Region plan, double depth) {}

    private List<Pit> pits(Face face) {
        List<Pit> pits = new ArrayList<>();
        double thick = build.faces().thickness();
        build.design().cavities().stream()
                .filter(c -> c.face() == face)
                .forEach(c -> pits.add(new Pit(
                        c.feature(),
                        c.plan(),
                        c.floor() instanceof Cavity.Floor.Leaving leaving
                                ? thick - leaving.wood()
                                : c.floor() instanceof Cavity.Floor.Deep deep ? deep.depth() : thick)));
        if (face == Face.FRONT) {
            build.design().pickups().forEach(p -> pits.add(new Pit(p.feature(), p.footprint(), p.depth())));
        } else {
            build.design()
                    .bridge()
                    .vibrato()
                    .ifPresent(v -> pits.add(new Pit(
                            Feature.of(FeatureKind.SPRINGS),
                            springs(build.design().bridge(), v),
                            v.springsDepth())));
        }
        return pits;
    }

    private static Region springs(Bridge bridge, Bridge.Vibrato vibrato) {
        return Region.rectangle(
                new Point(bridge.offCentre(), vibrato.springsY()),
                vibrato.springsAcross(),
                vibrato.springsAlong(),
                0,
                0);
    }

    /** A carve that goes deeper than a glued-on top shows the glue line and the wood under it. */
    private void insideTheTop(Contour.Laid laid) {
        Contour contour = laid.contour();
        if (contour.face() != Face.FRONT) {
            return;
        }
        String said = contour.feature().said();
        Point at = laid.course().farthest(laid.plan());
        build.topReaches()
                .ifPresent(top -> rules.add(rule("through-top", contour.feature(), at)
                        .says("The " + said + " stays inside the top.")
                        .atLeast(
                                Reckoning.of("top under the " + said, Quantity.LENGTH)
                                        .length("top there", top)
                                        .length("deepest", Fact.typed(contour.depth()))
                                        .is(top - contour.depth(), "top there − deepest"),
                                0)
                        .cure("A shallower carve, a thicker top, or a glue line that is meant to be seen.")
                        .fails(() -> Finding.goodToKnow(Work.CONTOUR, "through-top")
                                .on(contour.feature())
                                .at(at)
                                .length("deep", contour.depth())
                                .length("top", top)
                                .says(
                                        "The " + said
                                                + " goes {0} deep; the top is {1} thick there, so its glue line shows.",
                                        "A shallower carve, a thicker top, or a glue line that is meant to be seen."))
                        .build()));
    }

    /** The wood between a contour of the front and one of the back, where they lie over each other. */
    private void edgeBand(EdgeBand band) {
        double least = build.shop().limits().least(WoodLeft.Kind.WALL);
        double left = band.thickness().value();
        String front = band.front().said();
        String back = band.back().said();
        rules.add(rule("edge-band", band.front(), band.at())
                .says("An even edge stays between the " + front + " and the " + back + "; it never comes to a point.")
                .atLeast(band.thickness(), least)
                .tight(2)
                .cure("Make one of them shallower, or draw their lines apart.")
                .fails(() -> (left <= 0
                                ? Finding.stops(Work.CONTOUR, "contours-meet")
                                : Finding.thinkAgain(Work.CONTOUR, "thin-edge"))
                        .on(band.front())
                        .at(band.at())
                        .length("left", left)
                        .length("least", least)
                        .says(
                                "Between the " + front + " and the " + back
                                        + (left <= 0
                                                ? " no edge is left: they meet."
                                                : " the edge comes down to {0}; the shop leaves {1}."),
                                "Make one of them shallower, or draw their lines apart."))
                .build());
    }

    /** The edge keeps its width from place to place. */
    private void evenBand(EdgeBand band) {
        String front = band.front().said();
        String back = band.back().said();
        rules.add(rule("edge-even", band.front(), band.at())
                .says("The edge between the " + front + " and the " + back + " is as wide from place to place.")
                .atMost(band.evenness(), EdgeBand.EVEN)
                .tight(0.1)
                .cure("Type depths along one of them that leave one band, or draw the lines to follow each other.")
                .fails(
                        () -> Finding.goodToKnow(Work.CONTOUR, "edge-uneven")
                                .on(band.front())
                                .at(band.at())
                                .says(
                                        "Between the " + front + " and the " + back
                                                + " the edge changes its width by more than half within a thumb's reach.",
                                        "Type depths along one of them that leave one band, or draw the lines to follow each other."))
                .build());
    }

    /** What lies on the face that is carved and wants it flat. */
    private static Map<Feature, Region> hardware(Build build, Contour.Laid laid) {
        Map<Feature, Region> on = new LinkedHashMap<>();
        if (laid.contour().face() == Face.FRONT) {
            on.put(Bridge.FEATURE, build.design().bridge().footprint());
            for (Pickup pickup : build.design().pickups()) {
                on.put(pickup.feature(), pickup.footprint());
            }
        } else {
            build.design().cavities().stream()
                    .filter(c -> c.face() == Face.BACK && c.cover().kind().liesInARecess())
                    .forEach(c -> on.put(c.recess(), c.recessPlan()));
            Bridge bridge = build.design().bridge();
            bridge.vibrato().ifPresent(v -> on.put(Feature.of(FeatureKind.SPRINGS), springs(bridge, v)));
            for (Point screw : build.design().neck().screws()) {
                on.merge(
                        NeckJoint.SCREWS,
                        Region.disc(
                                screw,
                                build.fitting().boredForScrew(build.design().neck())),
                        Region::hullWith);
            }
        }
        return on;
    }

    /**
     * How near a contour comes to hardware on the face that it carves.
     *
     * @param part the nearest
     * @param clear between the contour and its foot; nought where it takes the foot's flat
     * @param fall of the face under it
     */
    record Near(String part, Reckoning clear, double fall, Point at) {
        double nearness() {
            return clear.value() - fall;
        }
    }

    private static Near near(Contour.Laid laid, Feature feature, Region foot) {
        String part = feature.said();
        Region carved = laid.plan().intersection(foot);
        double fall = carved.area() > TOUCH ? laid.under(0).mostFall(carved) : 0;
        if (Math.abs(fall) > LEVEL) {
            return new Near(part, clear(part, 0), Math.abs(fall), carved.centroid());
        }
        Point[] ends = foot.nearest(laid.plan());
        return new Near(part, clear(part, carved.area() > TOUCH ? 0 : ends[0].distance(ends[1])), 0, ends[1]);
    }

    private static Reckoning clear(String part, double clear) {
        return Reckoning.of("contour to the " + part, Quantity.LENGTH)
                .length("between them on the face", clear)
                .is(clear, "between them on the face");
    }
}
