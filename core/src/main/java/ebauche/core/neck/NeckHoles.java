package ebauche.core.neck;

import ebauche.core.build.Build;
import ebauche.core.crib.Fit;
import ebauche.core.design.NeckJoint;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.routing.Datum;
import ebauche.core.routing.Drilling;
import ebauche.core.routing.Pilot;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import ebauche.core.stock.Surface;
import ebauche.core.stock.WoodLeft;
import ebauche.core.timber.Hardness;
import java.util.Optional;
import java.util.Set;

/** The holes that the neck's screws pass. */
record NeckHoles(Build build) {
    private static final Condition.Access HOLES = new Condition.Access("neck screws' holes");

    /** By how much a body's hole is wider than the screw that passes it: common practice. */
    private static final double CLEARS = 0.5;

    /** Necks are made of hard timbers: common practice. */
    private static final Hardness HEEL = Hardness.HARD;

    Optional<Operation> operation(Condition neckIn, Condition pocketCut) {
        NeckJoint neck = build.design().neck();
        if (neck.screws().isEmpty()) {
            return Optional.empty();
        }
        Surface floor = NeckStation.pocket(build).floor();
        double highest =
                neck.screws().stream().mapToDouble(floor::depthAt).min().orElseThrow();
        double back = build.faces().backNow();
        Reckoning depth = Reckoning.of("through the pocket's floor", Quantity.LENGTH)
                .length("back now", back)
                .length("pocket's floor where it lies highest at a screw", highest)
                .is(back - highest, "back now − pocket's floor where it lies highest at a screw");
        Operation.Builder step = Operation.of("neck", NeckJoint.SCREWS, "drill", "Drill the neck screws' holes")
                .set(Drilling.through(build, neck.screwHole(), Fit.CLEAR, depth))
                .needs(neckIn, pocketCut, Datum.flat(build, Face.BACK, neck.pocket()))
                .gives(HOLES)
                .joins(Set.of(NeckJoint.FEATURE, WoodLeft.BACK))
                .caution(Caution.drilling(neck.screwHole()))
                .takes(20, 0, 0.006);
        for (Point at : neck.screws()) {
            Region hole = Region.disc(at, neck.screwHole());
            Solid bore = Solid.Prism.between(
                    hole, build.faces().frontNow(), build.faces().backNow());
            step.cuts(Change.Remove.fromBody(NeckJoint.SCREWS, bore))
                    .needs(new Condition.Wood(
                            hole,
                            build.faces().backFinished() - 1,
                            build.faces().backFinished()));
        }
        return Optional.of(step.build());
    }

    /** The heel's pilots, marked through the body's holes, as deep as the screws go in and never up to the fingerboard. */
    Optional<Operation> heel(Condition neckIn) {
        return NeckScrews.of(build).map(window -> {
            NeckJoint neck = build.design().neck();
            Pilot pilot = new Pilot(build, Math.max(1, neck.screwHole() - CLEARS), HEEL);
            double chosen = neck.screwLength().orElse(window.shortest().value());
            double most = window.longest().value();
            boolean tooLong = chosen > most;
            double under = window.leastWood().value();
            Reckoning.Builder sum = Reckoning.of("pilot holes in the heel", Quantity.LENGTH)
                    .length(tooLong ? "longest neck screw" : "neck screw", tooLong ? most : chosen)
                    .length(window.leastWood().what(), window.leastWood().asFact());
            Reckoning depth = sum.is(
                    Math.min(chosen, most) - under,
                    (tooLong ? "longest neck screw" : "neck screw") + " − "
                            + window.leastWood().what());
            return Operation.of(
                            "neck",
                            NeckJoint.SCREWS,
                            "heel",
                            "Clamp the neck, mark its heel through the body's holes, drill the pilots")
                    .set(pilot.to(depth, "deep in the heel, a flag of tape on the drill"))
                    .needs(HOLES, neckIn)
                    .caution(Caution.DRILL)
                    .takes(20, 0, 0.004)
                    .build();
        });
    }
}
