package ebauche.core.neck;

import ebauche.core.design.Measurand.Dimension;
import ebauche.core.design.NeckJoint;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.gluing.Clamping;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Band;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.station.PocketNotes;
import ebauche.core.station.Station;
import ebauche.core.stock.Plane;
import ebauche.core.stock.WoodLeft;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The neck pocket: depth, cut, the neck fitted and aligned, its screw holes, the bridge located from it. */
public final class NeckStation implements Station {
    private static final Condition.Mark NECK_IN =
            new Condition.Mark(StepKey.of(NeckJoint.FEATURE, StepKind.CHECK), "the neck fitted and on the centre line");

    @Override
    public Work work() {
        return Work.NECK;
    }

    @Override
    public List<Finding> check(Build build) {
        List<Finding> found = new ArrayList<>(PocketPlace.of(build).check());
        found.addAll(NeckScrews.place(build));
        found.addAll(pocket(build).check());
        return found;
    }

    @Override
    public List<Rule> rules(Build build) {
        return NeckRules.of(build);
    }

    @Override
    public List<GuidedPocket> pockets(Build build) {
        return List.of(pocket(build));
    }

    /** The pocket as it is to be routed. */
    public static GuidedPocket pocket(Build build) {
        return pocket(build, PocketState.of(build));
    }

    /** The floor is tilted with the neck: deeper, or shallower, at its mouth. */
    @Override
    public PocketNotes notes(GuidedPocket pocket) {
        if (pocket.floor().isLevel()) {
            return PocketNotes.NONE;
        }
        Build build = pocket.build();
        NeckJoint neck = build.design().neck();
        Fact angle = PocketState.of(build).geometry().angle();
        double deeper = neck.pocketLength() * Math.tan(Math.toRadians(angle.value()));
        Reckoning mouth = Reckoning.of("depth at the mouth", Quantity.LENGTH)
                .length("depth at the end wall, p", pocket.depthFinished().asFact())
                .length("pocket length, l", Fact.typed(neck.pocketLength()))
                .angle("neck angle, α", angle)
                .is(pocket.depthFinished().value() + deeper, "p + l tan α");
        return new PocketNotes(Optional.of(mouth), List.of());
    }

    private static GuidedPocket pocket(Build build, PocketState state) {
        NeckJoint neck = build.design().neck();
        double floor =
                build.faces().planeUnderFinished(Face.FRONT, state.target().value());
        return new GuidedPocket(
                build,
                Work.NECK,
                NeckJoint.FEATURE,
                "neck pocket",
                Face.FRONT,
                neck.pocket(),
                Plane.tilted(
                        floor, neck.endWallToSaddle(), state.geometry().angle().value()),
                state.target(),
                neck.cornerRadius(),
                Set.of(NeckJoint.SCREWS),
                NeckJig.located(build),
                false,
                GuidedPocket.CutBefore.NOTHING);
    }

    @Override
    public List<Operation> operations(Build build) {
        PocketState state = PocketState.of(build);
        GuidedPocket pocket = pocket(build, state);
        List<Operation> steps = new ArrayList<>(new NeckJig(build).operations());
        Optional<WoodLeft.Opening> mouth = PocketPlace.of(build).mouth();
        for (Operation step : pocket.operations()) {
            Operation wedged = NeckJig.onWedge(build, withWidths(build, step));
            steps.add(mouth.map(wedged::opening).orElse(wedged));
        }
        steps.add(Operation.of(Work.NECK, NeckJoint.FEATURE, StepKind.CHECK, "Fit the neck, check the centre line")
                .set(new Setting.ByHand("straightedge or string from nut to bridge"))
                .needs(pocket.atDepth(), Datum.centreLine(Face.FRONT))
                .gives(NECK_IN)
                .inspect(onLine(build))
                .takes(20, 0, 0.008)
                .build());
        steps.addAll(new NeckHoles(build).operations(NECK_IN, pocket.atDepth()));
        steps.add(Operation.of(Work.NECK, NeckJoint.FEATURE, StepKind.BRIDGE, "Mark the bridge's place from the neck")
                .set(new Setting.ByHand("rule from fret 12, twine along the outer strings"))
                .needs(NECK_IN)
                .gives(Datum.BRIDGE_MARKED)
                .inspect(new Inspection(
                        Dimension.FRET_12_TO_SADDLE,
                        fret12(build),
                        Band.shops(
                                "the saddle line, which the bridge's holes follow",
                                build.shop().bands().bridge()),
                        "rule from fret 12"))
                .takes(15, 0, 0.004)
                .build());
        SetNeck.glued(build, NECK_IN).ifPresent(steps::add);
        return steps;
    }

    @Override
    public Clamping clamping(Build build, StepKey step) {
        return step.equals(StepKey.of(NeckJoint.FEATURE, StepKind.GLUE))
                ? JointClamps.of(build).map(JointClamps::clamping).orElse(Clamping.NONE)
                : Clamping.NONE;
    }

    private static Operation withWidths(Build build, Operation step) {
        if (!step.key().is(StepKind.ROUT)) {
            return step;
        }
        List<Inspection> all = new ArrayList<>(step.inspections());
        all.addAll(NeckFit.widths(build));
        return step.measuring(all);
    }

    /** Half the scale: fret 12 of twelve equal semitones. */
    private static Reckoning fret12(Build build) {
        double scale = build.design().scale();
        return Reckoning.of("fret 12 to the saddle line", Quantity.LENGTH)
                .length("scale", Fact.typed(scale))
                .is(scale / 2, "scale / 2");
    }

    static Inspection onLine(Build build) {
        Reckoning permitted = CentreLine.of(build).permitted();
        Reckoning none = Reckoning.typed("neck's line at the bridge, off the centre line", 0);
        return new Inspection(Dimension.CENTRE_AT_BRIDGE, none, Band.either(permitted), "laser line or string");
    }

    @Override
    public List<Reckoning> reckonings(Build build) {
        PocketState state = PocketState.of(build);
        List<Reckoning> sums = new ArrayList<>();
        sums.add(state.target());
        state.found().ifPresent(sums::add);
        state.stillToCut().ifPresent(sums::add);
        sums.add(state.saddleHeight());
        sums.add(state.proud());
        NeckFit.of(build)
                .ifPresent(fit -> sums.addAll(List.of(
                        fit.pocketEnd(),
                        fit.pocketMouth(),
                        fit.atEnd(),
                        fit.atMouth(),
                        fit.jig(true),
                        fit.jig(false))));
        CentreLine line = CentreLine.of(build);
        line.atBridge().ifPresent(sums::add);
        sums.add(line.permitted());
        JointClamps.of(build).map(JointClamps::opening).ifPresent(sums::add);
        return sums;
    }
}
