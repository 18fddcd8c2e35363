package ebauche.core.cavity;

import ebauche.core.crib.Fit;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Cover;
import ebauche.core.hardware.Jack;
import ebauche.core.job.Build;
import ebauche.core.job.OwnBack;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Place;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.routing.Drilling;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.routing.Pilot;
import ebauche.core.stock.Change;
import ebauche.core.stock.Plane;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * One cavity for controls. From the back: its controls' holes drilled first from the front, so that they locate its template; the
 * cavity until the wanted top remains; a step in its floor where a control wants less; its cover's recess. From the front: placed by
 * the plate that will lie over it and carries the controls.
 */
final class CavityWork {
    private final Build build;
    private final Cavity pit;
    private final CavityFloor floor;
    private final List<Control> controls;
    private final Condition.Access holes;

    private CavityWork(Build build, CavityFloor floor) {
        this.build = build;
        this.floor = floor;
        this.pit = floor.cavity();
        this.controls = floor.controls();
        this.holes =
                new Condition.Access(StepKey.of(pit.feature(), StepKind.DRILL), "controls' holes through the body");
    }

    /** The work on each cavity of a body. */
    static List<CavityWork> all(Build build) {
        return CavityFloor.all(build).stream()
                .map(floor -> new CavityWork(build, floor))
                .toList();
    }

    private Set<Feature> joins() {
        Set<Feature> joined = new HashSet<>(List.of(pit.feature(), pit.recess(), pit.screwHoles()));
        joined.addAll(pit.joins());
        build.design().pickups().stream()
                .filter(p -> pit.joins().contains(p.feature()))
                .forEach(p -> joined.add(p.legs()));
        build.design()
                .jack()
                .filter(j -> build.design()
                        .cavityOf(j)
                        .filter(c -> c.id().equals(pit.id()))
                        .isPresent())
                .ifPresent(j -> joined.add(Jack.FEATURE));
        controls.forEach(c -> joined.add(c.feature()));
        controls.forEach(c -> joined.add(CavityFloor.step(c)));
        return joined;
    }

    /** What holds once it is cut, if it lies under the scratch plate. */
    List<Condition> underScratchPlate() {
        return pit.cover().kind() == Cover.Kind.SCRATCH_PLATE
                ? pockets().stream().<Condition>map(GuidedPocket::atDepth).toList()
                : List.of();
    }

    Reckoning depth() {
        return floor.cavityDepth();
    }

    List<GuidedPocket> pockets() {
        List<GuidedPocket> pockets = new ArrayList<>();
        double corner = Math.min(pit.outline().smallestInsideCorner(), 50);
        GuidedPocket whole =
                pocket(pit.feature(), pit.feature().said(), pit.plan(), floor.cavityDepth(), corner, pit.throughWood());
        List<GuidedPocket> steps = new ArrayList<>();
        for (Control control : controls) {
            if (floor.stepped(control)) {
                steps.add(pocket(
                        CavityFloor.step(control),
                        CavityFloor.step(control).said(),
                        floor.stepArea(control),
                        floor.stepDepth(control),
                        CavityFloor.STEP_CORNER,
                        true));
            }
        }
        for (GuidedPocket step : steps) {
            whole = whole.afterCavity(step);
        }
        pockets.addAll(steps);
        pockets.add(whole);
        if (pit.cover().isLetIn()) {
            GuidedPocket recess = pocket(
                    pit.recess(),
                    pit.recess().said(),
                    pit.recessPlan(),
                    build.fitting()
                            .coverThickness(pit)
                            .orElseGet(() -> Reckoning.typed(
                                    pit.recess().said() + " depth", pit.cover().thickness())),
                    corner + pit.cover().lip(),
                    false);
            pockets.add(recess.afterCavity(whole));
        }
        return pockets;
    }

    private GuidedPocket pocket(
            Feature feature, String noun, Region plan, Reckoning depth, double corner, boolean floorIsTop) {
        GuidedPocket pocket = new GuidedPocket(
                build,
                Work.CAVITY,
                feature,
                noun,
                pit.face(),
                plan,
                Plane.at(build.faces().planeUnderFinished(pit.face(), depth.value())),
                depth,
                corner,
                joins(),
                located(),
                floorIsTop,
                GuidedPocket.CutBefore.NOTHING);
        if (!drilled()) {
            return pocket;
        }
        Region through = controls.stream().map(this::hole).reduce(Region.EMPTY, Region::union);
        return pocket.afterHoles(through, holes);
    }

    /** Whether its controls' holes are drilled through the body. */
    private boolean drilled() {
        return pit.throughWood() && !controls.isEmpty();
    }

    /** What shows where its template goes: the controls' holes, the plate's marks, else the centre line. */
    private Condition located() {
        if (drilled()) {
            return holes;
        }
        return pit.cover().kind().liesOnTheFace() ? PlateMarks.of(pit) : Datum.centreLine(pit.face());
    }

    List<Operation> operations() {
        List<Operation> steps = new ArrayList<>();
        if (drilled()) {
            steps.addAll(drillHoles());
        }
        boolean ownBack = OwnBack.closes(pit);
        if (ownBack) {
            steps.add(cutCover());
        }
        for (GuidedPocket pocket : pockets()) {
            boolean followsCover = ownBack && pocket.feature().equals(pit.recess());
            pocket.operations().forEach(o -> steps.add(followsCover ? o.needing(coverCut()) : o));
        }
        if (drilled()) {
            steps.add(tryParts());
        }
        if (!pit.cover().screws().isEmpty()
                && pit.cover().kind() != Cover.Kind.OPEN
                && pit.cover().kind() != Cover.Kind.SCRATCH_PLATE) {
            steps.add(coverScrews());
        }
        return steps;
    }

    /** As soon as the top over them has its thickness, on a carved top after the carve: what does not fit is cheap to change now. */
    private Operation tryParts() {
        boolean lever = controls.stream().anyMatch(c -> c.kind() != Control.Kind.POT);
        Operation.Builder step = Operation.of(
                        Work.CAVITY,
                        pit.feature(),
                        StepKind.TRY_PARTS,
                        "Try the control parts in the " + pit.feature().said())
                .face(pit.face())
                .set(new Setting.ByHand("each nut on by hand, threads through"
                        + (lever ? "; the switch thrown to both ends" : "; each shaft turned")))
                .needs(holes)
                .gives(new Condition.Mark(
                        StepKey.of(pit.feature(), StepKind.TRY_PARTS),
                        "the control parts tried in the " + pit.feature().said()))
                .joins(joins())
                .takes(10, 0, 0.004);
        for (GuidedPocket p : pockets()) {
            if (!p.feature().equals(pit.recess())) {
                step.needs(p.atDepth());
            }
        }
        Datum.carvesToCome(build, pit.face().other(), pit.plan()).forEach(step::needs);
        return step.build();
    }

    /** Out of the slice that was kept, before its recess, which is cut to fit it. */
    private Operation cutCover() {
        return Operation.of(
                        Work.CAVITY,
                        pit.recess(),
                        StepKind.CUT,
                        "Plane the slice and cut the " + pit.recess().said() + " out of it")
                .face(pit.face())
                .set(new Setting.Surfaced(
                        "hand plane or sander",
                        Reckoning.typed("cover", pit.cover().thickness()),
                        "thick, its grain as the back's"))
                .needs(OwnBack.SLICED)
                .gives(coverCut())
                .caution(Caution.DUST)
                .takes(40, 0, 0.002)
                .build();
    }

    private Condition coverCut() {
        return new Condition.Mark(
                StepKey.of(pit.recess(), StepKind.CUT), "the " + pit.recess().said() + " cut out");
    }

    /** Pilot holes for the cover's screws: in its recess, once that shows where they stand, or through a plate that lies on the face. */
    private Operation coverScrews() {
        boolean letIn = pit.cover().isLetIn();
        double sunk = letIn ? pit.cover().thickness() : 0;
        double floorPlane = build.faces().planeUnderFinished(pit.face(), sunk);
        Pilot pilot = Pilot.small(build);
        Reckoning depth = pilot.smallDepth(build.faces().thickness() - sunk);
        Operation.Builder step = Operation.of(
                        Work.CAVITY,
                        pit.screwHoles(),
                        StepKind.DRILL,
                        "Drill the pilot holes for the " + (pit.cover().kind().liesOnTheFace() ? "plate's" : "cover's")
                                + " screws" + ofWhich())
                .face(pit.face())
                .set(pilot.to(
                        depth,
                        letIn
                                ? "deep from the floor of the cover's recess"
                                : "deep from the " + pit.face().word()))
                .needs(letIn ? recessCut() : located())
                .joins(Set.of(pit.recess()))
                .caution(Caution.DRILL)
                .takes(8, 0, 0.002);
        for (Place place : Place.numbered("screw", pit.cover().screws())) {
            Region hole = Region.disc(place.at(), pilot.wide());
            step.at(place)
                    .cuts(Change.Remove.fromBody(
                            pit.screwHoles(),
                            pit.face() == Face.BACK
                                    ? Solid.Prism.between(
                                            hole,
                                            floorPlane - depth.value(),
                                            build.faces().backNow())
                                    : Solid.Prism.between(hole, build.faces().frontNow(), floorPlane + depth.value())));
        }
        return step.build();
    }

    /** Which cavity's: nothing is said where it is the one that every body has. */
    private String ofWhich() {
        return pit.feature().equals(Cavity.ELDEST)
                ? ""
                : " over the " + pit.feature().said();
    }

    private Condition recessCut() {
        return new Condition.Mark(
                StepKey.of(pit.recess(), StepKind.ROUT), "the " + pit.recess().said() + " at depth");
    }

    /** A switch slot is begun with two small holes just past its top, where others place the rear template. */
    private boolean isSlot(Control control) {
        return control.kind() == Control.Kind.BLADE_SWITCH
                && control.slot() > control.opening()
                && controls.stream().anyMatch(c -> c.kind() != Control.Kind.BLADE_SWITCH);
    }

    private Region hole(Control control) {
        return isSlot(control) ? SwitchSlot.ends(control) : Region.disc(control.at(), control.opening());
    }

    /** One step per control; the round ones give the holes that locate the rear template. */
    private List<Operation> drillHoles() {
        List<Operation> steps = new ArrayList<>();
        for (Control control : controls) {
            if (isSlot(control)) {
                steps.addAll(new SwitchSlot(build, control, floorOf(control), joins()).operations());
            } else {
                steps.add(drillThrough(control));
            }
        }
        return steps;
    }

    /** The pocket whose floor a control stands on. */
    private GuidedPocket floorOf(Control control) {
        Feature feature = floor.stepped(control) ? CavityFloor.step(control) : pit.feature();
        return pockets().stream()
                .filter(p -> p.feature().equals(feature))
                .findFirst()
                .orElseThrow();
    }

    private Operation drillThrough(Control control) {
        double front = build.faces().frontNow();
        double back = build.faces().backNow();
        Region opening = hole(control);
        return Operation.of(
                        Work.CAVITY,
                        control.feature(),
                        StepKind.DRILL,
                        "Drill the " + control.said() + " hole through the body")
                .set(Drilling.through(build, control.opening(), Fit.CLEAR, Drilling.throughBody(build)))
                .at(control.id() + " " + control.kind().word(), control.at())
                .cuts(Change.Remove.fromBody(control.feature(), Solid.Prism.between(opening, front, back)))
                .needs(
                        Datum.centreLine(Face.FRONT),
                        Datum.flat(
                                build,
                                Face.FRONT,
                                opening.grown(10)
                                        .intersection(build.design().outline().region())),
                        Datum.wood(build, opening))
                .gives(holes)
                .joins(joins())
                .joins(Set.of(Feature.BACK))
                .caution(Caution.DRILL)
                .takes(6, 0, 0.003)
                .build();
    }
}
