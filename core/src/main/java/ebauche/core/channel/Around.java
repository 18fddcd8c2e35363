package ebauche.core.channel;

import ebauche.core.design.NeckJoint;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.job.Build;
import ebauche.core.job.History;
import ebauche.core.job.UnderTop;
import ebauche.core.stock.Change;
import ebauche.core.stock.FaceShape;
import ebauche.core.stock.Solid;
import ebauche.core.stock.WoodLeft;
import ebauche.core.wires.Run;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/** What lies round a channel: the voids of the body as they are cut in the end, and its faces as they will be. */
final class Around {
    /** Stages of a pocket that its last pass swallows. */
    private static final Set<StepKind> ON_THE_WAY = EnumSet.of(StepKind.WASTE, StepKind.START, StepKind.ROUGH);

    /** It is looked along a hole from place to place, mm. */
    static final double STRIDE = 4;

    private final Build build;
    private final Region body;
    private final FaceShape front;
    private final FaceShape back;
    private final Map<Feature, List<Solid>> voids = new LinkedHashMap<>();

    private final List<Cut> cuts = new ArrayList<>();
    private WoodLeft wood;

    /** Of the spaces that carry wires. */
    private final Map<Feature, Region> plans = new LinkedHashMap<>();

    private record Cut(Feature feature, Face from, Solid solid) {}

    /** All but what is left out, such as the channel that is looked at. */
    Around(Build build, History history, Predicate<Feature> leftOut) {
        this.build = build;
        this.body = build.design().outline().region();
        this.front = build.finished(Face.FRONT);
        this.back = build.finished(Face.BACK);
        for (History.Step step : history.steps()) {
            if (!ON_THE_WAY.contains(step.operation().key().kind())) {
                step.changes().stream()
                        .filter(c -> History.isVoid(c) && !leftOut.test(c.feature()))
                        .forEach(c -> add(step.operation().face(), c));
            }
        }
        voids.forEach((feature, all) -> {
            if (isForWires(feature)) {
                plans.put(feature, plan(all));
            }
        });
    }

    private void add(Face from, Change change) {
        add(from, change.feature(), change.solid());
    }

    /** One more channel, that others are to keep clear of. */
    void add(Run run) {
        add(Face.FRONT, run.channel().feature(), run.bore());
    }

    private void add(Face from, Feature feature, Solid solid) {
        cuts.add(new Cut(feature, from, solid));
        wood = null;
        voids.computeIfAbsent(feature, f -> new ArrayList<>()).add(solid);
    }

    private static Region plan(List<Solid> solids) {
        return solids.stream().map(Solid::plan).reduce(Region.EMPTY, Region::union);
    }

    /** Whether wires lie in it, or a drill is set in it on their behalf. */
    static boolean carriesWires(Feature feature) {
        return feature.is(FeatureKind.PICKUP)
                || feature.is(FeatureKind.CAVITY)
                || feature.equals(Bridge.SPRINGS)
                || feature.equals(NeckJoint.FEATURE);
    }

    /** The same, or a chamber whose hollow is in one piece. */
    boolean isForWires(Feature feature) {
        return carriesWires(feature)
                || (UnderTop.isInCore(feature)
                        && build.spaces().all().stream()
                                        .filter(s -> s.feature().equals(feature))
                                        .count()
                                == 1);
    }

    Region body() {
        return body;
    }

    FaceShape face(Face which) {
        return which == Face.FRONT ? front : back;
    }

    /** Depth of the finished front. */
    double frontDepth() {
        return build.faces().frontFinished();
    }

    /** Depth of the core's front under its top. */
    double coreFront() {
        return UnderTop.front(build);
    }

    double backDepth() {
        return build.faces().backFinished();
    }

    Set<Feature> features() {
        return voids.keySet();
    }

    List<Solid> of(Feature feature) {
        return voids.getOrDefault(feature, List.of());
    }

    Region plan(Feature feature) {
        Region known = plans.get(feature);
        return known != null ? known : plan(of(feature));
    }

    /** Spaces for wires over which a way lies on the plan. */
    Set<Feature> crossed(Point entry, Point exit) {
        Set<Feature> crossed = new LinkedHashSet<>();
        double way = entry.distance(exit);
        plans.forEach((space, plan) -> {
            boolean near = Math.max(entry.x(), exit.x()) > plan.minX()
                    && Math.min(entry.x(), exit.x()) < plan.maxX()
                    && Math.max(entry.y(), exit.y()) > plan.minY()
                    && Math.min(entry.y(), exit.y()) < plan.maxY();
            for (double s = STRIDE; near && s < way; s += 2 * STRIDE) {
                if (plan.contains(entry.towards(exit, s / way))) {
                    crossed.add(space);
                    return;
                }
            }
        });
        return crossed;
    }

    /** Spaces for wires that a hole runs into on its way. */
    Set<Feature> met(Line line) {
        Set<Feature> met = new LinkedHashSet<>();
        for (Feature space : plans.keySet()) {
            if (of(space).stream().anyMatch(s -> line.meets(s, STRIDE))) {
                met.add(space);
            }
        }
        return met;
    }

    /** Whether a hole stays so far from all that it is not meant to open into. */
    boolean keepsClear(Line line, double wide, double clear, Set<Feature> met) {
        return voids.entrySet().stream()
                .filter(e -> !met.contains(e.getKey()) && !isPartOf(e.getKey(), met))
                .noneMatch(e -> e.getValue().stream().anyMatch(s -> line.isNearer(s, wide / 2 + clear, STRIDE)));
    }

    /**
     * The wood beside a channel, exactly as the plan tells it: to the faces, the edge and all that it is not meant to open into.
     *
     * @param most wood to another void that is told of, mm
     */
    List<WoodLeft.Thin> beside(Run run, Set<Feature> met, double most) {
        if (wood == null) {
            wood = new WoodLeft(body, front, back, (one, other) -> true);
            cuts.forEach(c -> wood.add(c.feature(), c.from(), c.solid()));
        }
        return wood.beside(
                run.channel().feature(),
                Face.FRONT,
                run.bore(),
                run.opening(),
                f -> met.contains(f) || isPartOf(f, met),
                most);
    }

    /** Whether a void belongs to one that the channel opens into: a pickup's legs, a cavity's recess, what is drilled into its floor. */
    static boolean isPartOf(Feature other, Set<Feature> met) {
        return switch (other.kind()) {
            case LEGS, COVER -> met.contains(other.owner());
            case CONTROL, STEP -> met.stream().anyMatch(m -> m.is(FeatureKind.CAVITY));
            default -> false;
        };
    }
}
