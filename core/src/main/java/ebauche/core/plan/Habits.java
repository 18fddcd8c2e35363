package ebauche.core.plan;

import ebauche.core.crib.Bit;
import ebauche.core.crib.HoldDown;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.job.Build;
import ebauche.core.job.FinishedFaces;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.passes.Pass;
import ebauche.core.shop.Habit;
import ebauche.core.stock.Change;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The small habits that a shop keeps: steps that only prove or prepare, each left out where the shop does without it or where what it
 * prepares is done; and lines on the cards of other steps.
 */
final class Habits {
    private static final Map<StepKind, Habit> STEPS = new EnumMap<>(Map.of(
            StepKind.TRIAL, Habit.TRIAL,
            StepKind.TRY_PARTS, Habit.TRY_PARTS,
            StepKind.RECHECK, Habit.RECHECK,
            StepKind.READ_EDGE, Habit.READ_EDGE,
            StepKind.SMOOTH, Habit.SMOOTH));

    /** What is looked at once more before the body is finish sanded. */
    private static final Set<StepKind> BEFORE_SANDING = EnumSet.of(StepKind.TRY_PARTS, StepKind.RECHECK);

    private static final Set<StepKey> FACES = Set.of(FinishedFaces.finish(Face.FRONT), FinishedFaces.finish(Face.BACK));

    /** From so wide on a hole that shows is drilled in steps, mm: common practice. */
    private static final double LARGE = 8;

    private final Build build;

    private Habits(Build build) {
        this.build = build;
    }

    /** The stations' steps with those of the shop's habits, and without those that it does not keep. */
    static List<Operation> kept(Build build, List<Operation> steps) {
        Habits habits = new Habits(build);
        return habits.withoutIdle(habits.uneven(
                habits.brittle(habits.tabs(habits.edgeRead(habits.beforeSanding(habits.smoothing(steps)))))));
    }

    /** Before a bearing rides on a wall that was cut, that wall is smoothed. */
    private List<Operation> smoothing(List<Operation> steps) {
        List<Operation> all = new ArrayList<>();
        Set<Feature> smoothed = new HashSet<>();
        for (Operation step : steps) {
            boolean onWall = step.setting().passes().stream()
                    .limit(1)
                    .anyMatch(p -> p.guide().isWall());
            if (!onWall || step.key().kind().isAgain() || !smoothed.add(step.feature())) {
                all.add(step);
                continue;
            }
            StepKey key = StepKey.of(step.feature(), StepKind.SMOOTH);
            String wall = step.feature().equals(Feature.OUTLINE)
                    ? "the routed edge"
                    : "the wall of the " + step.feature().said();
            Condition.Mark smooth = new Condition.Mark(key, wall + " smoothed");
            // Once it is done it needs nothing more, whichever step is then the first to ride on that wall.
            List<Condition> marks = build.isDone(key)
                    ? List.of()
                    : step.needs().stream()
                            .filter(Condition.Mark.class::isInstance)
                            .toList();
            all.add(Operation.of(step.work(), key, "Smooth " + wall + " before the bearing rides on it")
                    .face(step.face())
                    .set(new Setting.ByHand(
                            "sanding stick or scraper along the wall: the next pass copies every ridge"))
                    .needs(marks.toArray(Condition[]::new))
                    .gives(smooth)
                    .joins(step.joins())
                    .takes(5, 0, 0.001)
                    .build());
            all.add(step.needing(smooth));
        }
        return all;
    }

    private List<Operation> beforeSanding(List<Operation> steps) {
        List<Condition> looked = steps.stream()
                .filter(s ->
                        BEFORE_SANDING.contains(s.key().kind()) || s.feature().is(FeatureKind.CHANNEL))
                .filter(s -> !build.design().leavesOpen(s.feature()))
                .flatMap(s -> s.gives().stream())
                .toList();
        return steps.stream()
                .map(s -> s.key().equals(FinishedFaces.finish(Face.FRONT)) ? s.needing(looked) : s)
                .toList();
    }

    /** What follows the edge waits until it is known where the edge is. */
    private List<Operation> edgeRead(List<Operation> steps) {
        List<Condition> read = steps.stream()
                .filter(s -> s.key().is(StepKind.READ_EDGE))
                .flatMap(s -> s.gives().stream())
                .toList();
        return read.isEmpty()
                ? steps
                : steps.stream().map(s -> followsEdge(s) ? s.needing(read) : s).toList();
    }

    private static boolean followsEdge(Operation step) {
        return step.work() == Work.CONTOUR
                || step.feature().is(FeatureKind.JACK)
                || step.feature().is(FeatureKind.HOLE)
                || step.key().equals(FinishedFaces.finish(Face.FRONT));
    }

    /** Where a layer of the blank chips, whatever is routed says so. */
    private List<Operation> brittle(List<Operation> steps) {
        return build.design().blank().isBrittle()
                ? steps.stream()
                        .map(s -> s.setting() instanceof Setting.Routed ? s.minding(List.of(Caution.BRITTLE)) : s)
                        .toList()
                : steps;
    }

    /** Where a routed cut crosses a seam of hard and soft, it says so. */
    private List<Operation> uneven(List<Operation> steps) {
        List<Double> seams = build.design().blank().unevenSeams();
        return steps.stream()
                .map(s -> s.setting() instanceof Setting.Routed && crosses(s, seams)
                        ? s.minding(List.of(Caution.UNEVEN))
                        : s)
                .toList();
    }

    private static boolean crosses(Operation step, List<Double> seams) {
        return step.changes().stream()
                .filter(c -> c instanceof Change.Remove)
                .flatMap(c -> c.solid().plan().parts().stream())
                .anyMatch(p -> seams.stream().anyMatch(x -> x > p.minX() && x < p.maxX()));
    }

    /** Whatever is marked out or lies under a template is located while the tabs stand; sanding waits until they are off. */
    private List<Operation> tabs(List<Operation> steps) {
        Optional<Operation> off =
                steps.stream().filter(s -> s.key().is(StepKind.TABS_OFF)).findFirst();
        if (off.isEmpty()) {
            return steps;
        }
        List<Condition> standing = off.get().changes().stream()
                .map(c -> c.solid().plan())
                .flatMap(p -> p.parts().stream())
                .<Condition>map(p -> new Condition.Wood(
                        p, build.faces().frontFinished(), build.faces().backFinished()))
                .toList();
        List<Condition> gone = off.get().gives();
        return steps.stream()
                .map(s -> isLocated(s) ? s.needing(standing) : s.work() == Work.SANDING ? s.needing(gone) : s)
                .toList();
    }

    private static boolean isLocated(Operation step) {
        boolean marks = !step.places().isEmpty() && step.work() != Work.OUTLINE && step.work() != Work.CONTOUR;
        boolean template = step.key().is(StepKind.FIT) && !step.feature().equals(Feature.OUTLINE);
        return marks || template || step.key().is(StepKind.BRIDGE) || step.key().is(StepKind.LOCATE);
    }

    private List<Operation> withoutIdle(List<Operation> steps) {
        Set<StepKey> idle = new HashSet<>();
        Set<Condition> never = new HashSet<>();
        for (Operation step : steps) {
            if (isIdle(step, steps)) {
                idle.add(step.key());
                never.addAll(step.gives());
            }
        }
        return idle.isEmpty()
                ? steps
                : steps.stream()
                        .filter(s -> !idle.contains(s.key()))
                        .map(s -> s.needs().stream().anyMatch(never::contains) ? s.notNeeding(never) : s)
                        .toList();
    }

    /** Not done, and not kept by the shop, or everything that it prepares is done already. */
    private boolean isIdle(Operation step, List<Operation> steps) {
        Optional<Habit> habit = Optional.ofNullable(STEPS.get(step.key().kind()));
        if (habit.isEmpty() || build.isDone(step.key())) {
            return false;
        }
        return !build.shop().practice().keeps(habit.get())
                || steps.stream()
                        .filter(s -> s.needs().stream()
                                .anyMatch(n -> step.gives().stream().anyMatch(g -> g.answers(n))))
                        .allMatch(s -> build.isDone(s.key()));
    }

    /** The steps in their order, their cards saying what the shop likes to be reminded of. */
    static List<Operation> reminded(Build build, List<Operation> ordered) {
        Habits habits = new Habits(build);
        List<Operation> reminded = new ArrayList<>();
        Set<Bit> used = new HashSet<>();
        Optional<Face> up = Optional.empty();
        boolean bevelled = false;
        for (Operation step : ordered) {
            List<Habit> of = new ArrayList<>(habits.of(step));
            for (Pass pass : step.setting().passes()) {
                if (used.add(pass.cutter().bit()) && !of.contains(Habit.TEST_PIECE)) {
                    of.add(Habit.TEST_PIECE);
                }
            }
            if (!bevelled && step.key().is(StepKind.CARVE)) {
                of.add(Habit.TEST_BEVEL);
                bevelled = true;
            }
            boolean onTheBench = step.work() != Work.BLANK && step.work() != Work.THICKNESS;
            if (onTheBench && up.filter(f -> f != step.face()).isPresent()) {
                of.add(Habit.PAD);
            }
            up = Optional.of(step.face());
            of.removeIf(h -> !build.shop().practice().keeps(h));
            reminded.add(of.isEmpty() || build.isDone(step.key()) ? step : step.remindingOf(of));
        }
        return reminded;
    }

    /** Whether any template of the body is held with tape and CA. */
    private boolean isTaped() {
        return Stations.templates(build).stream().anyMatch(t -> build.hold(t.feature()) == HoldDown.TAPE_AND_CA);
    }

    private List<Habit> of(Operation step) {
        List<Habit> of = new ArrayList<>();
        if (step.key().is(StepKind.FIT)) {
            of.add(Habit.SMOOTH);
        }
        if (step.setting().passes().stream()
                .anyMatch(p -> p.cutter().bit().bearing().atTip())) {
            of.add(Habit.RAISE);
        }
        if (step.work() == Work.OUTLINE && !step.setting().passes().isEmpty()) {
            of.add(Habit.CHIP);
        }
        if (step.key().is(StepKind.TOP)) {
            of.add(Habit.EDGE_CAUL);
        }
        if (FACES.contains(step.key()) && isTaped()) {
            of.add(Habit.CA_RESIDUE);
        }
        if (step.setting() instanceof Setting.Sawn || step.setting() instanceof Setting.CutOut) {
            of.add(Habit.COOL_BLADE);
        }
        if (step.feature().is(FeatureKind.COVER) && step.setting() instanceof Setting.Routed) {
            of.add(Habit.ZERO_ON_COVER);
        }
        if (shows(step)
                && step.setting() instanceof Setting.Drilled drilled
                && drilled.hole().filter(h -> h.wide() >= LARGE).isPresent()) {
            of.add(Habit.STEPPED);
        }
        return of;
    }

    /** A hole that is seen on the finished guitar, not one that a plate or a bridge covers. */
    private static boolean shows(Operation step) {
        return step.feature().is(FeatureKind.CONTROL)
                || step.feature().is(FeatureKind.JACK)
                || step.feature().is(FeatureKind.HOLE);
    }
}
