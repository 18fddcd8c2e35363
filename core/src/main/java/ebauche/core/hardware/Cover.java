package ebauche.core.hardware;

import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Placing;
import ebauche.core.geometry.Point;
import ebauche.core.measure.Refusal;
import java.util.List;
import java.util.Optional;

/**
 * What closes a cavity.
 *
 * @param kind how it lies on the body
 * @param thickness of the plate, 0 where there is none or nobody has said
 * @param lip how far the recess of one that is let in stands out beyond the cavity
 * @param screws of the plate; of one that is let in each with an ear of its own round it
 * @param part the plate itself, whose thickness counts
 * @param outline of a control plate or a dish as it lies on the body, where it was drawn or traced
 */
public record Cover(
        Kind kind, double thickness, double lip, List<Point> screws, Optional<Part> part, Optional<Outline> outline) {
    /** Diameter of the ear round a cover's screw: common practice. */
    public static final double EAR = 9;

    /** From a plate's screw to the next void under the plate, mm: common practice. */
    public static final double WOOD_ROUND_A_SCREW = 4;

    /** How a cover lies on the body. */
    public enum Kind {
        /** Let into the face in a recess. */
        LET_IN("let-in", "a cover let in"),
        /** The same, sawn off the body's own back before it was hollowed: its grain runs on. */
        OWN_BACK("own-back", "a cover let in, sliced off the body's own back"),
        /** Under the scratch plate of the body, which lies on the front. */
        SCRATCH_PLATE("scratch-plate", "the scratch plate"),
        /** Under a plate of its own that lies on the face. */
        CONTROL_PLATE("control-plate", "a control plate"),
        /** Under a dish on the front that carries the jack, aslant, so that the plug goes in from above. */
        JACK_DISH("jack-dish", "a dish that carries the jack"),
        OPEN("nothing", "nothing");

        private final String key;
        private final String word;

        Kind(String key, String word) {
            this.key = key;
            this.word = word;
        }

        /** As files write it. */
        public String key() {
            return key;
        }

        public String word() {
            return word;
        }

        /** Whether it lies in a recess. */
        public boolean liesInARecess() {
            return this == LET_IN || this == OWN_BACK;
        }

        /** Whether it is a plate that lies on the face, which shows where the cavity goes and carries what stands in it. */
        public boolean liesOnTheFace() {
            return this == SCRATCH_PLATE || isOfItsOwn();
        }

        /** Whether it lies on the face over this cavity alone. */
        public boolean isOfItsOwn() {
            return this == CONTROL_PLATE || this == JACK_DISH;
        }

        /** The kind of part that closes a cavity so. */
        public PartKind part() {
            return this == JACK_DISH ? PartKind.JACK_DISH : PartKind.COVER;
        }
    }

    public Cover {
        Refusal.notNegative(thickness, "coverThickness");
        Refusal.notNegative(lip, "coverLip");
        screws = List.copyOf(screws);
        part.ifPresent(c -> Refusal.unless(
                c.kind() == kind.part(),
                "cover",
                "a " + c.kind().word() + " is no " + kind.part().word()));
        Refusal.unless(
                part.isEmpty() || kind != Kind.OWN_BACK,
                "closed",
                "a cover from the box is not sliced off the body: take the part out, or say it is let in");
        Refusal.unless(
                outline.isEmpty() || kind.isOfItsOwn(),
                "plate",
                "only a control plate or a jack's dish has an outline of its own; a cover let in follows its cavity");
    }

    /** One that nobody has drawn. */
    public Cover(Kind kind, double thickness, double lip, List<Point> screws, Optional<Part> part) {
        this(kind, thickness, lip, screws, part, Optional.empty());
    }

    /** A cover let in, by its thickness. */
    public static Cover letIn(double thickness, double lip) {
        return new Cover(Kind.LET_IN, thickness, lip, List.of(), Optional.empty());
    }

    /** Whether a recess is cut for it. */
    public boolean isLetIn() {
        return kind.liesInARecess() && thickness > 0;
    }

    /** The same moved over the face. */
    public Cover moved(double dx, double dy) {
        Placing way = Placing.moved(dx, dy);
        return new Cover(
                kind,
                thickness,
                lip,
                screws.stream().map(s -> s.plus(dx, dy)).toList(),
                part,
                outline.map(o -> o.placed(way)));
    }

    /** The same of another thickness. */
    public Cover thick(double other) {
        return new Cover(kind, other, lip, screws, part, outline);
    }
}
