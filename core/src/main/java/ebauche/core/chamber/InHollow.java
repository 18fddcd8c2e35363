package ebauche.core.chamber;

import ebauche.core.crib.Fit;
import ebauche.core.design.Space;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Chamber;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.job.UnderTop;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Operation;
import ebauche.core.routing.Datum;
import ebauche.core.routing.Drilling;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A pot or toggle in a hollow, mounted through the top: its hole, the top that its thread passes, the room under it, and the opening that it is
 * put in by once the top is on.
 *
 * @param hollow the piece of the chamber that it stands in
 */
record InHollow(Build build, Control control, Chamber chamber, Space hollow) {
    /** Openings are tried every so far, and every so many degrees. */
    private static final double STEP = 2;

    private static final int TURN = 10;

    /** All of a build. */
    static List<InHollow> all(Build build) {
        List<InHollow> all = new ArrayList<>();
        for (Control control : build.design().controls()) {
            Optional<Chamber> in = build.design()
                    .chamberOf(control)
                    .filter(c -> !build.design().leavesOpen(control.feature())
                            && !build.design().leavesOpen(c.feature()));
            in.ifPresent(c -> build.spaces().all().stream()
                    .filter(s -> s.feature().equals(c.feature()) && s.plan().contains(control.at()))
                    .findFirst()
                    .ifPresent(s -> all.add(new InHollow(build, control, c, s))));
        }
        return all;
    }

    private String said() {
        return control.said();
    }

    private double top() {
        return build.topReaches().orElseThrow();
    }

    /** Drilled from the front into the hollow, once the top is on. */
    Operation drill() {
        Region hole = Region.disc(control.at(), control.opening());
        Reckoning deep = Reckoning.of("through the top at the " + said(), Quantity.LENGTH)
                .length("top in the finished body", top())
                .length("still to be sanded off the front", build.faces().toSand(Face.FRONT))
                .is(
                        top() + build.faces().toSand(Face.FRONT),
                        "top in the finished body + still to be sanded off the front");
        return Operation.of(
                        Work.CHAMBER,
                        control.feature(),
                        StepKind.DRILL,
                        "Drill the " + said() + " hole through the top into the "
                                + chamber.feature().said())
                .set(Drilling.to(build, control.opening(), Fit.CLEAR, deep, "deep, through the top into the hollow"))
                .at(control.id() + " " + control.kind().word(), control.at())
                .cuts(Change.Remove.fromBody(
                        control.feature(),
                        Solid.Prism.between(hole, build.faces().frontNow(), UnderTop.front(build))))
                .needs(
                        UnderTop.CLOSED,
                        Datum.centreLine(Face.FRONT),
                        Datum.flat(
                                build,
                                Face.FRONT,
                                hole.grown(10)
                                        .intersection(build.design().outline().region())))
                .joins(Set.of(chamber.feature()))
                .caution(Caution.DRILL)
                .takes(6, 0, 0.003)
                .build();
    }

    /** Whether its thread passes the top, and its body has room under it. */
    List<Rule> rules() {
        Reckoning thick = Reckoning.of("top at the " + said(), Quantity.LENGTH)
                .length("top in the finished body", top())
                .is(top(), "top in the finished body");
        String cure = "Another top, or another part.";
        Rule thread = Rule.of(Work.CHAMBER, "hollow-control-top", Rule.About.CAVITIES)
                .on(control.feature())
                .at(control.at())
                .says("The " + said() + " can be mounted through the top over the "
                        + chamber.feature().said() + ".")
                .between(thick, control.thinnestTop(), control.thickestTop())
                .cure(cure)
                .fails(() -> Finding.stops(Work.CHAMBER, "hollow-control-top")
                        .on(control.feature())
                        .at(control.at())
                        .length("top", top())
                        .length("passes", control.thickestTop())
                        .says("The top is {0} thick at the " + said() + ", which passes {1}.", cure))
                .build();
        double high = hollow.bottom() - hollow.top();
        Reckoning room = Reckoning.of("room under the " + said(), Quantity.LENGTH)
                .length("height of the " + chamber.feature().said(), high)
                .length("reaches down", Fact.typed(control.below()))
                .is(high - control.below(), "height of the " + chamber.feature().said() + " − reaches down");
        Rule below = Rule.of(Work.CHAMBER, "hollow-control-deep", Rule.About.CAVITIES)
                .on(control.feature())
                .at(control.at())
                .says("The " + said() + " has room under the top in the "
                        + chamber.feature().said() + ".")
                .atLeast(room, 0)
                .cure("Leave a thinner floor, or take a shorter part.")
                .build();
        return List.of(thread, below);
    }

    /** What opens into the hollow by which a part may be put in: sound holes, and cavities and pickups' routs that are to open into it. */
    private List<Region> openings() {
        List<Region> all = new ArrayList<>();
        chamber.soundHoles().forEach(h -> all.add(h.region()));
        Set<Feature> joins = chamber.joins();
        for (Cavity cavity : build.design().cavities()) {
            if (joins.contains(cavity.feature()) || cavity.joins().contains(chamber.feature())) {
                all.add(cavity.plan());
            }
        }
        for (Pickup pickup : build.design().pickups()) {
            if (joins.contains(pickup.feature()) || pickup.joins().contains(chamber.feature())) {
                all.add(pickup.footprint());
            }
        }
        return all.stream()
                .map(o -> o.intersection(hollow.plan()))
                .filter(o -> !o.isEmpty())
                .toList();
    }

    /** Said where no opening lets it pass, turned any way. */
    Optional<Finding> noWayIn() {
        double[] sizes = {control.across(), control.along(), control.below()};
        Arrays.sort(sizes);
        boolean passes =
                openings().stream().flatMap(o -> o.parts().stream()).anyMatch(o -> passes(o, sizes[0], sizes[1]));
        return passes
                ? Optional.empty()
                : Optional.of(
                        Finding.stops(Work.CHAMBER, "hollow-control-no-way")
                                .on(control.feature())
                                .at(control.at())
                                .length("across", sizes[1])
                                .length("by", sizes[0])
                                .says(
                                        "Once the top is on, nothing that opens into the "
                                                + chamber.feature().said() + " lets the " + said()
                                                + " pass, {0} by {1}.",
                                        "Draw a sound hole over it, let a pickup's rout open into it, or give the part a cavity with a cover."));
    }

    /** Whether a box of two sizes passes a hole, turned any way on the plan. */
    static boolean passes(Region hole, double narrow, double wide) {
        Region middles = hole.grown(-narrow / 2);
        for (Region part : middles.parts()) {
            for (double x = part.minX(); x <= part.maxX(); x += STEP) {
                for (double y = part.minY(); y <= part.maxY(); y += STEP) {
                    Point at = new Point(x, y);
                    if (part.contains(at) && fits(hole, at, narrow, wide)) {
                        return true;
                    }
                }
            }
            if (fits(hole, part.inner(), narrow, wide)) {
                return true;
            }
        }
        return false;
    }

    private static boolean fits(Region hole, Point at, double narrow, double wide) {
        for (int turned = 0; turned < 180; turned += TURN) {
            if (hole.contains(Region.rectangle(at, wide, narrow, 0, turned))) {
                return true;
            }
        }
        return false;
    }
}
