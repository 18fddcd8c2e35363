package ebauche.core.contour;

import ebauche.core.design.Contour;
import ebauche.core.design.NeckJoint;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.ControlCavity;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.stock.WoodLeft;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What a contour runs into, and what it leaves of the body at its edge. */
public final class ContourChecks {
    /** Least room between a contour's line and hardware on the surface, 5/8 in: common practice. */
    public static final double CLEAR_OF_HARDWARE = 25.4 * 5 / 8;

    /** A contour usually ends at half the body's depth at most: common practice. */
    public static final double USUAL_SHARE = 0.5;

    /** A fall that a part's foot does not notice, mm: a pencil line's unevenness. */
    static final double LEVEL = 0.05;

    /** Areas that share less only touch, mm². */
    private static final double TOUCH = 1;

    private final Build build;
    private final List<Finding> found = new ArrayList<>();

    ContourChecks(Build build) {
        this.build = build;
    }

    List<Finding> findings() {
        for (Contour.Laid laid : build.contours()) {
            hardware(build, laid).forEach((feature, foot) -> foot(laid, near(laid, feature, foot)));
            tooDeep(laid);
            throughTheTop(laid);
        }
        edgeBands();
        return found;
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
            build.design().controlCavity().ifPresent(pit -> on.put(ControlCavity.COVER, pit.coverPlan()));
            Bridge bridge = build.design().bridge();
            bridge.vibrato()
                    .ifPresent(v -> on.put(
                            Feature.of(FeatureKind.SPRINGS),
                            Region.rectangle(
                                    new Point(bridge.offCentre(), v.springsY()),
                                    v.springsAcross(),
                                    v.springsAlong(),
                                    0,
                                    0)));
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
    public record Near(String part, Reckoning clear, double fall, Point at) {}

    /** The hardware that a contour comes nearest to, if any stands on the face that it carves. */
    public static Optional<Near> nearest(Build build, Contour.Laid laid) {
        return hardware(build, laid).entrySet().stream()
                .map(on -> near(laid, on.getKey(), on.getValue()))
                .min(Comparator.comparingDouble((Near n) -> n.clear().value() - n.fall()));
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

    private void foot(Contour.Laid laid, Near near) {
        String contour = laid.contour().feature().said();
        if (near.fall() > LEVEL) {
            found.add(Finding.thinkAgain("contour", "not-flat")
                    .on(laid.contour().feature())
                    .at(near.at())
                    .length("falls", near.fall())
                    .says(
                            "The " + contour + " takes the flat of the " + near.part() + ": the "
                                    + laid.contour().face().word() + " falls {0} there.",
                            "Begin the contour farther out, or keep a flat under it."));
        } else if (near.clear().value() < CLEAR_OF_HARDWARE) {
            found.add(Finding.goodToKnow("contour", "near-hardware")
                    .on(laid.contour().feature())
                    .at(near.at())
                    .length("clear", near.clear().value())
                    .length("usual", CLEAR_OF_HARDWARE)
                    .says(
                            "The line of the " + contour + " passes {0} from the " + near.part() + "; {1} is usual.",
                            "Begin the contour farther out, or move the part."));
        }
    }

    private void tooDeep(Contour.Laid laid) {
        double thick = build.faces().thickness();
        if (laid.contour().depth() > USUAL_SHARE * thick) {
            found.add(Finding.goodToKnow("contour", "deep")
                    .on(laid.contour().feature())
                    .at(laid.plan().inner())
                    .length("deep", laid.contour().depth())
                    .length("half the body", USUAL_SHARE * thick)
                    .says(
                            "The " + laid.contour().feature().said()
                                    + " takes {0} at its deepest; half the body, {1}, is the usual most.",
                            "Less depth, unless the edge that is left is as you want it."));
        }
    }

    /** A carve that goes deeper than a glued-on top shows the glue line and the wood under it. */
    private void throughTheTop(Contour.Laid laid) {
        build.topReaches().ifPresent(top -> {
            if (laid.contour().face() == Face.FRONT && laid.contour().depth() > top) {
                found.add(Finding.goodToKnow("contour", "through-top")
                        .on(laid.contour().feature())
                        .at(laid.course().farthest(laid.plan()))
                        .length("deep", laid.contour().depth())
                        .length("top", top)
                        .says(
                                "The " + laid.contour().feature().said()
                                        + " goes {0} deep; the top is {1} thick there, so its glue line shows.",
                                "A shallower carve, a thicker top, or a glue line that is meant to be seen."));
            }
        });
    }

    /** The wood between a contour of the front and one of the back, where they lie over each other. */
    private void edgeBands() {
        for (EdgeBand band : EdgeBand.of(build)) {
            double least = band.thickness().value();
            if (least < build.shop().limits().least(WoodLeft.Kind.WALL)) {
                Finding.Builder finding = least <= 0
                        ? Finding.stops("contour", "contours-meet")
                        : Finding.thinkAgain("contour", "thin-edge");
                found.add(finding.on(band.front().feature())
                        .at(band.at())
                        .length("left", least)
                        .length("least", build.shop().limits().least(WoodLeft.Kind.WALL))
                        .says(
                                "Between the " + band.front().feature().said() + " and the "
                                        + band.back().feature().said()
                                        + (least <= 0
                                                ? " no edge is left: they meet."
                                                : " the edge comes down to {0}; the shop leaves {1}."),
                                "Make one of them shallower, or draw their lines apart."));
            }
        }
    }
}
