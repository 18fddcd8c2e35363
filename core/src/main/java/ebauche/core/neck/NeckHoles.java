package ebauche.core.neck;

import ebauche.core.build.Build;
import ebauche.core.crib.Drill;
import ebauche.core.design.NeckJoint;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import ebauche.core.stock.Surface;
import ebauche.core.stock.WoodLeft;
import java.util.Optional;
import java.util.Set;

/** The holes that the neck's screws pass. */
record NeckHoles(Build build) {
    /** How near a drill in the crib must come to a wanted clearing hole, mm. */
    private static final double DRILL_MATCH = 0.3;

    Optional<Operation> operation(Condition neckIn, Condition pocketCut) {
        NeckJoint neck = build.design().neck();
        if (neck.screws().isEmpty()) {
            return Optional.empty();
        }
        Surface floor = NeckStation.pocket(build).floor();
        double highest =
                neck.screws().stream().mapToDouble(floor::depthAt).min().orElseThrow();
        double back = build.faces().backNow();
        Optional<Drill> drill = build.shop().crib().drill(neck.screwHole(), DRILL_MATCH);
        Reckoning depth = Reckoning.of("through the pocket's floor", Quantity.LENGTH)
                .length("back now", back)
                .length("pocket's floor where it lies highest at a screw", highest)
                .is(back - highest, "back now − pocket's floor where it lies highest at a screw");
        Operation.Builder step = Operation.of("neck", NeckJoint.SCREWS, "drill", "Drill the neck screws' holes")
                .set(new Setting.Drilled(
                        drill.map(Drill::name).orElse("a drill that the crib lacks"),
                        depth,
                        "of wood to drill through"))
                .needs(neckIn, pocketCut, Datum.flat(build, Face.BACK, neck.pocket()))
                .gives(new Condition.Access("neck screws' holes"))
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
}
