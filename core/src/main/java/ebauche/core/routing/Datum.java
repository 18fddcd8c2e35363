package ebauche.core.routing;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.FinishedFaces;
import ebauche.core.operation.Condition;
import java.util.List;

/** The conditions that more than one station speaks of, so that what one gives is what another needs. */
public final class Datum {
    /** How far round a cavity a router's base or a jig wants flat wood: common practice, half a small base. */
    private static final double BEARING_SURROUND = 40;

    /** Thickness of wall that a cut needs whole beside it. */
    private static final double WALL_RING = 2.0;

    private Datum() {}

    private static StepKey outline(StepKind step) {
        return StepKey.of(Feature.of(FeatureKind.OUTLINE), step);
    }

    public static Condition.Mark centreLine(Face face) {
        return new Condition.Mark(
                StepKey.of(face == Face.FRONT ? Feature.FRONT : Feature.BACK, StepKind.CENTRE),
                "the centre line on the " + face.word());
    }

    public static final Condition.Mark OUTLINE_DRAWN =
            new Condition.Mark(outline(StepKind.DRAW), "the outline drawn on the front");
    public static final Condition.Mark OUTLINE_SAWN = new Condition.Mark(outline(StepKind.SAW), "the outline sawn out");
    public static final Condition.Mark OUTLINE_ROUTED =
            new Condition.Mark(outline(StepKind.FINISH), "the outline cut to its line");
    public static final Condition.Mark BRIDGE_MARKED = new Condition.Mark(
            StepKey.of(Feature.of(FeatureKind.NECK), StepKind.BRIDGE), "the bridge's place marked from the neck");

    /** Holds once a face has its finish sanding. */
    public static Condition.Mark sanded(Face face) {
        return new Condition.Mark(FinishedFaces.finish(face), "the " + face.word() + " sanded");
    }

    /** What shapes a face carved: nothing more comes off the face there but sanding. */
    public static Condition.Mark carved(Feature shape) {
        return new Condition.Mark(StepKey.of(shape, StepKind.CARVE), "the " + shape.said() + " carved");
    }

    /** The carves of a face over a region that are still to come. */
    public static List<Condition.Mark> carvesToCome(Build build, Face face, Region region) {
        return build.surfaces().stream()
                .filter(r -> r.face() == face)
                .filter(r -> !build.isDone(StepKey.of(r.feature(), StepKind.CARVE)))
                .filter(r -> r.plan().intersection(region).area() > Condition.TOUCH_AREA)
                .map(r -> carved(r.feature()))
                .toList();
    }

    /** A face flat over a region. */
    public static Condition.Flat flat(Build build, Face face, Region region) {
        return new Condition.Flat(face, build.faces().now(face), region, Condition.Flat.HALF);
    }

    /** The face round a cavity that carries the base and the jig. */
    public static Condition.Flat surround(Build build, Face face, Region cavity) {
        Region around = cavity.grown(BEARING_SURROUND).minus(cavity);
        return flat(build, face, around.intersection(build.design().outline().region()));
    }

    /** The face along a cavity's line, for template and bearing. */
    public static Condition.Rim rim(Build build, Face face, Region cavity) {
        Region body = build.design().outline().region();
        Region line = cavity.grown(WALL_RING).minus(cavity).intersection(body);
        Region around = cavity.grown(BEARING_SURROUND).minus(cavity).intersection(body);
        return new Condition.Rim(face, build.faces().now(face), line, around);
    }

    /** Wood through the whole body over a region. */
    public static Condition.Wood wood(Build build, Region region) {
        return new Condition.Wood(
                region, build.faces().frontFinished(), build.faces().backFinished());
    }

    /** The wall that a cavity leaves inside the body, between two depths. */
    public static Condition.Wall wall(Build build, String of, Region cavity, double from, double to) {
        Region ring = cavity.grown(WALL_RING).minus(cavity);
        return new Condition.Wall(of, ring.intersection(build.design().outline().region()), from, to);
    }
}
