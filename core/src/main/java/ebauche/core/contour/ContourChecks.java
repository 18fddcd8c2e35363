package ebauche.core.contour;

import ebauche.core.build.Build;
import ebauche.core.build.Finding;
import ebauche.core.design.Contour;
import ebauche.core.design.FeatureName;
import ebauche.core.design.NeckJoint;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.ControlCavity;
import ebauche.core.hardware.Pickup;
import ebauche.core.stock.WoodLeft;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What a contour runs into, and what it leaves of the body at its edge. */
final class ContourChecks {
    /** Least room between a contour's line and hardware on the surface, 5/8 in: common practice. */
    static final double CLEAR_OF_HARDWARE = 25.4 * 5 / 8;

    /** A contour usually ends at half the body's depth at most: common practice. */
    static final double USUAL_SHARE = 0.5;

    /** A fall that a part's foot does not notice, mm: a pencil line's unevenness. */
    private static final double LEVEL = 0.05;

    private final Build build;
    private final List<Finding> found = new ArrayList<>();

    ContourChecks(Build build) {
        this.build = build;
    }

    List<Finding> findings() {
        for (Contour.Laid laid : build.contours()) {
            hardware(laid).forEach((feature, foot) -> foot(laid, feature, foot));
            tooDeep(laid);
            throughTheTop(laid);
        }
        edgeBands();
        return found;
    }

    /** What lies on the face that is carved and wants it flat. */
    private Map<String, Region> hardware(Contour.Laid laid) {
        Map<String, Region> on = new LinkedHashMap<>();
        if (laid.contour().face() == Face.FRONT) {
            on.put(Bridge.FEATURE, build.design().bridge().footprint());
            for (Pickup pickup : build.design().pickups()) {
                on.put(pickup.feature(), pickup.footprint());
            }
        } else {
            build.design().controlCavity().ifPresent(pit -> on.put(ControlCavity.COVER, pit.coverPlan()));
            for (Point screw : build.design().neck().screws()) {
                on.merge(
                        NeckJoint.SCREWS,
                        Region.disc(screw, build.design().neck().screwHole()),
                        Region::hullWith);
            }
        }
        return on;
    }

    private void foot(Contour.Laid laid, String feature, Region foot) {
        Region carved = laid.plan().intersection(foot);
        String contour = FeatureName.said(laid.contour().feature());
        String part = feature.equals(Bridge.FEATURE) ? "bridge" : FeatureName.said(feature);
        if (carved.area() > 1) {
            double fall = laid.under(0).mostFall(carved);
            if (fall > LEVEL) {
                found.add(Finding.thinkAgain("contour", "not-flat")
                        .on(laid.contour().feature())
                        .at(carved.centroid())
                        .length("falls", fall)
                        .says(
                                "The " + contour + " takes the flat of the " + part + ": the "
                                        + laid.contour().face().word() + " falls {0} there.",
                                "Begin the contour farther out, or keep a flat under it."));
            }
            return;
        }
        Point[] ends = foot.nearest(laid.plan());
        double clear = ends[0].distance(ends[1]);
        if (clear < CLEAR_OF_HARDWARE) {
            found.add(Finding.goodToKnow("contour", "near-hardware")
                    .on(laid.contour().feature())
                    .at(ends[1])
                    .length("clear", clear)
                    .length("usual", CLEAR_OF_HARDWARE)
                    .says(
                            "The line of the " + contour + " passes {0} from the " + part + "; {1} is usual.",
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
                            "The " + FeatureName.said(laid.contour().feature())
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
                                "The " + FeatureName.said(laid.contour().feature())
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
                                "Between the " + FeatureName.said(band.front().feature()) + " and the "
                                        + FeatureName.said(band.back().feature())
                                        + (least <= 0
                                                ? " no edge is left: they meet."
                                                : " the edge comes down to {0}; the shop leaves {1}."),
                                "Make one of them shallower, or draw their lines apart."));
            }
        }
    }
}
