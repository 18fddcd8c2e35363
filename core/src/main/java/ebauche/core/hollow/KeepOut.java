package ebauche.core.hollow;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.NeckJoint;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.PartHole;
import ebauche.core.hardware.PartSize;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Build;
import ebauche.core.stock.Bore;
import ebauche.core.stock.Profile;
import ebauche.core.stock.Relief;
import java.util.ArrayList;
import java.util.List;

/**
 * Wood that a hollow leaves standing, and why.
 *
 * @param feature what needs it
 * @param why in the trade's words, such as {@code the bridge stands on it}
 * @param bare what stands on it or is cut there
 * @param margin wood that stays round that, mm
 */
public record KeepOut(Feature feature, String why, Region bare, double margin) {
    /** Wood round what stands or screws on the front, and round the joint that carries the strings, mm: common practice. */
    private static final double UNDER = 6;

    private static final double ROUND_SCREWS = 8;
    private static final double JOINT = 12;

    /** A contour is followed to where it leaves the wood that is wanted so closely, mm. */
    private static final double CLOSE = 0.01;

    /**
     * All of a body.
     *
     * @param wall least wood between the hollow and any other hollow, mm
     * @param over wood over the hollow, and under it, as the maker wants it, mm: a contour may take of it no more than it leaves
     * @param edge how far in an edge will be taken that the design does not have yet, mm
     */
    static List<KeepOut> of(Build build, double wall, double over, double under, double edge) {
        BodyDesign design = build.design();
        List<KeepOut> all = new ArrayList<>();
        Bridge bridge = design.bridge();
        all.add(new KeepOut(Bridge.FEATURE, "the bridge stands on it", bridge.footprint(), UNDER));
        bridge.studs()
                .ifPresent(s -> all.add(
                        new KeepOut(Bridge.STUDS, "the studs pull on it", s.holes(bridge.offCentre()), ROUND_SCREWS)));
        bridge.vibrato()
                .ifPresent(v -> all.add(new KeepOut(
                        Bridge.SPRINGS,
                        "the vibrato's route and its springs",
                        v.route(bridge.offCentre()).union(v.springs(bridge.offCentre())),
                        wall)));
        bridge.stringThrough()
                .ifPresent(s -> all.add(
                        new KeepOut(Bridge.FERRULES, "the strings pull through it", bridge.footprint(), ROUND_SCREWS)));
        Region joint = design.neck().pocket();
        for (Point screw : design.neck().screws()) {
            joint = joint.union(Region.disc(screw, design.neck().screwHole()));
        }
        all.add(new KeepOut(NeckJoint.FEATURE, "the neck is joined to it", joint, JOINT));
        for (Pickup pickup : design.pickups()) {
            all.add(new KeepOut(pickup.feature(), "the pickup's rout and its screws", pickup.rim(), wall));
        }
        for (Cavity cavity : design.cavities()) {
            Region plan = cavity.cover().isLetIn() ? cavity.recessPlan() : cavity.plan();
            all.add(new KeepOut(cavity.feature(), "its walls, and its cover's screws", plan, wall));
        }
        for (Control control : design.controls()) {
            // One that is drawn in no cavity will stand in the hollow, under the cap.
            boolean inCavity = control.cavity().isPresent()
                    || design.cavities().stream().anyMatch(c -> c.plan().contains(control.at()));
            if (!inCavity) {
                continue;
            }
            all.add(new KeepOut(control.feature(), "its nut is tightened on it", control.passage(), ROUND_SCREWS));
        }
        design.jack()
                .ifPresent(
                        j -> all.add(new KeepOut(Jack.FEATURE, "the jack is screwed into it", hole(j), ROUND_SCREWS)));
        for (PartHole hole : design.holes()) {
            all.add(new KeepOut(hole.feature(), "its screw holds in it", hole(hole), ROUND_SCREWS));
        }
        for (Relief relief : build.surfaces()) {
            double wood = relief.face() == Face.FRONT ? over : under;
            Region deep = deeper(relief, wood - build.shop().limits().thinnestFloor());
            all.add(new KeepOut(relief.feature(), "the contour leaves too little over a hollow", deep, wall));
        }
        if (edge > 0) {
            Region body = design.outline().region();
            double least = build.shop().limits().thinnestWall();
            all.add(new KeepOut(
                    Feature.OUTLINE,
                    "its edge is still to be rounded, bevelled or bound",
                    body.minus(body.grown(-edge)),
                    least));
        }
        all.removeIf(k -> k.bare().isEmpty() || design.leavesOpen(k.feature()));
        return all;
    }

    /** The wood, its margin with it. */
    public Region region() {
        return bare.grown(margin);
    }

    /** The same with another margin; less than nought lets the hollow under what stands there. */
    KeepOut within(double other) {
        return new KeepOut(feature, why, bare, other);
    }

    private static Region hole(Jack jack) {
        return Bore.level(jack.entry(), jack.aim(), jack.fromFront(), jack.diameter())
                .plan();
    }

    /** In the edge as long as its part is and a little, else round it. */
    private static Region hole(PartHole hole) {
        double wide = hole.part().get(PartSize.HOLE);
        double deep = hole.part().get(PartSize.LENGTH);
        return hole.aim()
                .map(aim -> Bore.level(
                                hole.at(),
                                hole.at().towards(aim, deep / hole.at().distance(aim)),
                                0,
                                wide)
                        .plan())
                .orElseGet(() -> Region.disc(hole.at(), wide));
    }

    /** Where a contour takes more than so much. */
    static Region deeper(Relief relief, double most) {
        Profile profile = relief.profile();
        if (profile.depth() <= most) {
            return Region.EMPTY;
        }
        double shallow = 0;
        double deep = profile.width();
        while (most > 0 && deep - shallow > CLOSE) {
            double middle = (shallow + deep) / 2;
            if (profile.fall(middle) > most) {
                deep = middle;
            } else {
                shallow = middle;
            }
        }
        return most > 0 ? relief.beyond(shallow) : relief.plan();
    }
}
