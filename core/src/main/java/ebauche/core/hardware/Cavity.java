package ebauche.core.hardware;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Placing;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Refusal;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * A cavity for controls and wires, routed from the back or from the front.
 *
 * @param id short and lasting; {@link FeatureKind#ELDEST} the one that a body had when it could have one only
 * @param face it is cut from
 * @param outline seen from the front
 * @param floor how deep it goes
 * @param cover what closes it
 * @param joins features that it may break into on purpose
 */
public record Cavity(String id, Face face, Outline outline, Floor floor, Cover cover, Set<Feature> joins) {
    /** The one that a body had when it could have one only. */
    public static final Feature ELDEST = feature(FeatureKind.ELDEST);

    public Cavity {
        Refusal.unless(
                face == Face.FRONT || !(floor instanceof Floor.ForParts),
                "depth",
                "say how deep a cavity from the back goes, or how much wood it leaves");
        Refusal.unless(
                face == Face.FRONT || cover.kind() != Cover.Kind.SCRATCH_PLATE,
                "closed",
                "the scratch plate lies on the front; this cavity is cut from the back");
        Refusal.unless(
                face == Face.FRONT || cover.kind() != Cover.Kind.JACK_DISH,
                "closed",
                "a jack's dish lies on the front; this cavity is cut from the back");
        Refusal.unless(
                face == Face.BACK || cover.kind() != Cover.Kind.OWN_BACK,
                "closed",
                "a cover sliced off the back closes a cavity in the back");
        joins = Set.copyOf(joins);
    }

    /** How deep a cavity goes. */
    public sealed interface Floor {
        /**
         * Wood is left between its floor and the finished face on the other side.
         *
         * @param wood mm
         */
        record Leaving(double wood) implements Floor {
            public Leaving {
                Refusal.positive(wood, "woodOver");
            }
        }

        /**
         * A depth from the finished face that it is cut from.
         *
         * @param depth mm
         */
        record Deep(double depth) implements Floor {
            public Deep {
                Refusal.positive(depth, "depth");
            }
        }

        /**
         * As deep as the deepest of its controls, or its jack's dish, reaches under the plate that carries them, and the shop's room.
         *
         * @param depth what that comes to, mm; empty as it is drawn
         */
        record ForParts(OptionalDouble depth) implements Floor {
            public ForParts() {
                this(OptionalDouble.empty());
            }
        }
    }

    /** The feature of the cavity with an id. */
    public static Feature feature(String id) {
        return Feature.of(FeatureKind.CAVITY, id);
    }

    /** The cavity itself. */
    public Feature feature() {
        return feature(id);
    }

    /** The recess that its cover is let into. */
    public Feature recess() {
        return Feature.of(FeatureKind.COVER, id);
    }

    /** The pilot holes of its cover's screws. */
    public Feature screwHoles() {
        return Feature.of(FeatureKind.COVER_SCREWS, id);
    }

    /** Whether its controls are mounted through the wood over its floor, and not through a plate. */
    public boolean throughWood() {
        return face == Face.BACK;
    }

    /** Its area. */
    public Region plan() {
        return outline.region();
    }

    /** What a recess for its cover takes: the cavity, its lip, and an ear round every screw. */
    public Region recessPlan() {
        Region plan = plan().grown(cover.lip());
        for (var screw : cover.screws()) {
            plan = plan.union(Region.disc(screw, Cover.EAR));
        }
        return plan;
    }

    /** The same elsewhere on its face, its cover with it. */
    public Cavity moved(double dx, double dy) {
        return new Cavity(id, face, outline.placed(Placing.moved(dx, dy)), floor, cover.moved(dx, dy), joins);
    }

    /** The same with another cover. */
    public Cavity with(Cover other) {
        return new Cavity(id, face, outline, floor, other, joins);
    }

    /** The same with another floor. */
    public Cavity with(Floor other) {
        return new Cavity(id, face, outline, other, cover, joins);
    }
}
