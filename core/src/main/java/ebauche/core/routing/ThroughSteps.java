package ebauche.core.routing;

import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.job.AsCut;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Band;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.passes.Pass;
import ebauche.core.passes.Pass.Guide;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The steps of a {@link GuidedPocket} that goes through the body: routed from its own face as far as the bits reach on the
 * template and off it, then the body is flipped and the rest is met with a tip bearing on the wall just cut.
 */
final class ThroughSteps extends PocketSteps {
    private static final double NEARLY = 1e-6;

    /** The step that meets it from the other face. */
    ThroughSteps(GuidedPocket of) {
        super(of);
    }

    @Override
    List<Operation> all() {
        AsCut cut = new AsCut(of.build(), of.feature(), of.face());
        List<Operation> steps = cut.isDone(StepKind.MEET) ? made(cut) : toMake();
        if (isWantedWider(cut) || cut.isDone(StepKind.WIDEN)) {
            steps.add(widen());
        }
        return steps;
    }

    @Override
    List<Operation> toMake() {
        List<Operation> steps = new ArrayList<>();
        begin(steps);
        double first = cutTo(of, StepKind.ROUT).orElseGet(() -> deepest(Guide.TEMPLATE, of.thicknessNow()));
        double reach = Math.max(first, cutTo(of, StepKind.DEEPEN).orElseGet(() -> deepest(Guide.WALL, first)));
        steps.add(first(first));
        steps.add(takeOff(started()));
        if (reach > first + NEARLY) {
            steps.add(deepen(first, reach));
        }
        if (reach < of.thicknessNow() - NEARLY) {
            steps.add(meet(reach, reach > first + NEARLY ? deepened() : started()));
        }
        return steps;
    }

    /** Wanted larger once it is through: right through again, on a template as it is wanted now. */
    private Operation widen() {
        Reckoning depth = Reckoning.of("through the body", Quantity.LENGTH)
                .length("body as it is now", of.thicknessNow())
                .is(of.thicknessNow(), "body as it is now");
        return round(StepKind.WIDEN, widening(), of.face(), depth, Guide.TEMPLATE)
                .cuts(slice(0, of.thicknessNow()))
                .needs(of.atDepth())
                .takes(minutes(of.plan(), of.thicknessNow()), 0, 0.012)
                .build();
    }

    /** How deep the rounds from its own face went that are facts. */
    static OptionalDouble cutSoFar(GuidedPocket of) {
        return Stream.of(StepKind.ROUT, StepKind.DEEPEN)
                .flatMap(step -> cutTo(of, step).stream())
                .mapToDouble(d -> d)
                .max();
    }

    /** How deep one of them went from its face as it is now, if it is a fact. */
    private static Optional<Double> cutTo(GuidedPocket of, StepKind step) {
        return of.build().asBuilt().done(StepKey.of(of.feature(), step)).map(of.build()::changes).stream()
                .flatMap(List::stream)
                .map(c -> of.face() == Face.FRONT
                        ? c.solid().deepest()
                        : c.solid().shallowest())
                .map(plane -> of.build().faces().fromFaceNow(of.face(), plane))
                .reduce(Math::max);
    }

    private List<Pass> against(Guide guide) {
        return passes.stream().filter(p -> p.guide() == guide).toList();
    }

    private double deepest(Guide guide, double otherwise) {
        return against(guide).stream().mapToDouble(Pass::to).max().orElse(otherwise);
    }

    private Condition.Mark deepened() {
        return new Condition.Mark(
                StepKey.of(of.feature(), StepKind.DEEPEN), "the " + of.noun() + " routed deeper on its own wall");
    }

    /** From its own face, between two depths. */
    private Change slice(double from, double to) {
        double near = of.build().faces().now(of.face());
        int down = of.face() == Face.FRONT ? 1 : -1;
        double a = near + down * from;
        double b = near + down * to;
        return Change.Remove.fromBody(of.feature(), Solid.Prism.between(of.plan(), Math.min(a, b), Math.max(a, b)));
    }

    private Operation first(double reach) {
        boolean through = reach >= of.thicknessNow() - NEARLY;
        Reckoning depth = Reckoning.of("depth of the first round", Quantity.LENGTH)
                .length("body as it is now", of.thicknessNow())
                .length("as deep as the passes on the template go", reach)
                .is(reach, "as deep as the passes on the template go");
        Operation.Builder step = round(
                        StepKind.ROUT, "Rout the " + of.noun() + " on its template", of.face(), depth, Guide.TEMPLATE)
                .cuts(slice(0, reach))
                .needs(template())
                .gives(started())
                .inspect(new Inspection(
                        new Measurand.DepthOf(of.feature()),
                        depth,
                        Band.shops(
                                "a depth between passes",
                                of.build().shop().bands().pass()),
                        "depth gauge from the " + of.face().word()))
                .takes(minutes(of.plan(), reach), 0, 0.012);
        if (of.drilled().isPresent()) {
            step.needs(wasteOut());
        }
        return through ? step.gives(of.atDepth()).build() : step.build();
    }

    private Operation deepen(double from, double to) {
        Reckoning depth = Reckoning.of("depth with the template off", Quantity.LENGTH)
                .length("routed on the template", from)
                .length("deeper on its own wall", to - from)
                .is(to, "routed on the template + deeper on its own wall");
        Operation.Builder step = round(
                        StepKind.DEEPEN,
                        "Rout the " + of.noun() + " deeper, the bearing on the cut wall",
                        of.face(),
                        depth,
                        Guide.WALL)
                .cuts(slice(from, to))
                .needs(templateOff(), started())
                .gives(deepened())
                .takes(minutes(of.plan(), to - from), 0, 0.012);
        return to >= of.thicknessNow() - NEARLY ? step.gives(of.atDepth()).build() : step.build();
    }

    private Operation meet(double reach, Condition before) {
        Reckoning depth = Reckoning.of(
                        "left to rout from the " + of.face().other().word(), Quantity.LENGTH)
                .length("body as it is now", of.thicknessNow())
                .length("routed from the " + of.face().word(), reach)
                .is(
                        of.thicknessNow() - reach,
                        "body as it is now − routed from the " + of.face().word());
        return round(
                        StepKind.MEET,
                        "Flip, and meet the " + of.noun() + " from the "
                                + of.face().other().word(),
                        of.face().other(),
                        depth,
                        Guide.FAR_WALL)
                .cuts(slice(reach, of.thicknessNow()))
                .needs(
                        before,
                        templateOff(),
                        Datum.surround(of.build(), of.face().other(), of.plan()))
                .gives(of.atDepth())
                .takes(minutes(of.plan(), of.thicknessNow() - reach), 0, 0.012)
                .build();
    }

    private Operation.Builder round(StepKind step, String title, Face up, Reckoning depth, Guide guide) {
        List<Pass> its = against(guide);
        return cutting(step, title)
                .joins(Set.of(Feature.FRONT, Feature.BACK))
                .face(up)
                .set(new Setting.Routed(
                        tool(step, its),
                        guide == Guide.TEMPLATE ? of.noun() + " template" : "wall just cut",
                        Setting.Feed.CLOCKWISE,
                        depth,
                        "deep from the " + up.word(),
                        its,
                        of.travel()))
                .needs(wall)
                .caution(Caution.ROUTER, Caution.DUST);
    }
}
