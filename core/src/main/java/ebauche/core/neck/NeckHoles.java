package ebauche.core.neck;

import ebauche.core.crib.Fit;
import ebauche.core.design.NeckJoint;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.PartSize;
import ebauche.core.job.Build;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Place;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.routing.Drilling;
import ebauche.core.routing.Pilot;
import ebauche.core.routing.SeatedHoles;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import ebauche.core.stock.Surface;
import ebauche.core.timber.Hardness;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The holes that the neck screws pass, the seats of their ferrules, and the pilots in the heel. */
record NeckHoles(Build build) {
    /** By how much a body's hole is wider than the screw that passes it: common practice. */
    private static final double CLEARS = 0.5;

    /** Necks are made of hard timbers: common practice. */
    private static final Hardness HEEL = Hardness.HARD;

    private static final Condition.Mark HEEL_DRILLED =
            new Condition.Mark(StepKey.of(NeckJoint.SCREWS, StepKind.HEEL), "the heel's pilots drilled");

    private static final Condition.Mark INSERTS_IN =
            new Condition.Mark(StepKey.of(NeckJoint.INSERTS, StepKind.INSERT), "the inserts in the heel");

    List<Operation> operations(Condition neckIn, Condition pocketCut) {
        NeckJoint neck = build.design().neck();
        Optional<NeckScrews> window = NeckScrews.of(build);
        if (window.isEmpty()) {
            return List.of();
        }
        SeatedHoles holes = new SeatedHoles(
                build,
                Work.NECK,
                NeckJoint.SCREWS,
                "neck screws",
                places(),
                neck.screwHole(),
                build.fitting().neckFerrule(neck));
        List<Operation> steps = new ArrayList<>(holes.operations(
                "Drill the neck screw holes",
                (key, title, wide) -> drill(key, title, wide).needs(neckIn, pocketCut)));
        if (neck.insert().isPresent()) {
            steps.addAll(inserts(neckIn, holes.done()));
        } else {
            steps.add(heel(window.get(), neckIn, holes.done()));
        }
        steps.add(recheck());
        return steps;
    }

    private List<Place> places() {
        return Place.numbered("screw", build.design().neck().screws());
    }

    /** Drilled in the pocket with the flat back on scrap; holes that seats lie over are opened through these, where the back may be carved. */
    private Operation.Builder drill(StepKind of, String title, double wide) {
        NeckJoint neck = build.design().neck();
        Surface floor = NeckStation.pocket(build).floor();
        double highest =
                neck.screws().stream().mapToDouble(floor::depthAt).min().orElseThrow();
        double back = build.faces().backNow();
        Reckoning depth = Reckoning.of("through the pocket's floor", Quantity.LENGTH)
                .length("back now", back)
                .length("pocket's floor where it lies highest at a screw", highest)
                .is(back - highest, "back now − pocket's floor where it lies highest at a screw");
        Operation.Builder step = Operation.of(Work.NECK, NeckJoint.SCREWS, of, title)
                .set(Drilling.through(build, wide, Fit.CLEAR, depth))
                .joins(Set.of(NeckJoint.FEATURE, NeckJoint.FERRULES, Feature.FRONT, Feature.BACK))
                .caution(Caution.drilling(wide))
                .takes(20, 0, 0.006);
        if (neck.ferrule().isPresent() && of != StepKind.LOCATE) {
            step.face(Face.BACK);
        } else {
            step.needs(Datum.flat(build, Face.BACK, neck.pocket()));
        }
        double finished = build.faces().backFinished();
        double seats =
                build.fitting().neckFerrule(neck).map(f -> f.depth().value()).orElse(0.0);
        for (Place place : places()) {
            Region hole = Region.disc(place.at(), wide);
            boolean inPocket = neck.pocket().contains(hole);
            double top = inPocket ? floor.shallowest(hole) : build.faces().frontNow();
            Solid bore = Solid.Prism.between(hole, top, back);
            step.at(place)
                    .cuts(Change.Remove.fromBody(NeckJoint.SCREWS, bore))
                    .needs(new Condition.Wood(hole, finished - seats - 1, finished - seats));
        }
        return step;
    }

    /** Screws pull a neck aside by what their holes are off: the line is looked along once more with all of them in. */
    private Operation recheck() {
        return Operation.of(
                        Work.NECK,
                        NeckJoint.SCREWS,
                        StepKind.RECHECK,
                        "Screw the neck on and look along the centre line again")
                .set(new Setting.ByHand(
                        "straightedge or string from nut to bridge; the gap at the heel the same on both sides"))
                .needs(build.design().neck().insert().isPresent() ? INSERTS_IN : HEEL_DRILLED)
                .gives(new Condition.Mark(
                        StepKey.of(NeckJoint.SCREWS, StepKind.RECHECK), "the screwed neck on the centre line"))
                .inspect(NeckStation.onLine(build))
                .takes(8, 0, 0.004)
                .build();
    }

    /** Holes for the inserts, marked through the body's holes; then the inserts, flush or a hair under: what stands proud lifts the neck. */
    private List<Operation> inserts(Condition neckIn, Condition holes) {
        Reckoning depth = NeckScrews.insertHole(build).orElseThrow();
        double wide = build.fitting()
                .heelInsert(build.design().neck(), PartSize.HOLE)
                .orElseThrow()
                .value();
        Operation.Builder drill = Operation.of(
                        Work.NECK,
                        NeckJoint.SCREWS,
                        StepKind.HEEL,
                        "Clamp the neck, mark its heel through the body's holes, drill for the inserts")
                .set(Drilling.to(
                        build, wide, Fit.PRESS, depth, "deep in the heel, upright, a flag of tape on the drill"))
                .needs(holes, neckIn)
                .gives(HEEL_DRILLED)
                .caution(Caution.drilling(wide))
                .takes(25, 0, 0.006);
        places().forEach(drill::at);
        Operation insert = Operation.of(
                        Work.NECK,
                        NeckJoint.INSERTS,
                        StepKind.INSERT,
                        "Turn or press the inserts into the heel, just under flush")
                .set(
                        new Setting.ByHand(
                                "a bolt with two nuts in the drill press, turned by hand, keeps them upright; a magnet lifts one out again"))
                .needs(HEEL_DRILLED)
                .gives(INSERTS_IN)
                .takes(15, 0, 0.002)
                .build();
        return List.of(drill.build(), insert);
    }

    /** The heel's pilots, marked through the body's holes, as deep as the screws go in and never up to the fingerboard. */
    private Operation heel(NeckScrews window, Condition neckIn, Condition holes) {
        NeckJoint neck = build.design().neck();
        Pilot pilot = new Pilot(build, Math.max(1, neck.screwHole() - CLEARS), HEEL);
        double chosen = neck.screwLength().orElse(window.shortest().value());
        double most = window.longest().value();
        boolean tooLong = chosen > most;
        Reckoning body = window.leastUnderHead();
        String screw = tooLong ? "longest neck screw" : "neck screw";
        Reckoning depth = Reckoning.of("pilot holes in the heel", Quantity.LENGTH)
                .length(screw, Math.min(chosen, most))
                .length(body.what(), body.asFact())
                .is(Math.min(chosen, most) - body.value(), screw + " − " + body.what());
        Operation.Builder step = Operation.of(
                        Work.NECK,
                        NeckJoint.SCREWS,
                        StepKind.HEEL,
                        "Clamp the neck, mark its heel through the body's holes, drill the pilots")
                .set(pilot.to(depth, "deep in the heel, a flag of tape on the drill"))
                .needs(holes, neckIn)
                .gives(HEEL_DRILLED)
                .caution(Caution.DRILL)
                .takes(20, 0, 0.004);
        places().forEach(step::at);
        return step.build();
    }
}
