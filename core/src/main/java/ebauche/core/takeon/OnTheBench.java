package ebauche.core.takeon;

import ebauche.core.geometry.Segment;
import ebauche.core.hardware.Part;
import ebauche.core.measure.Refusal;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a maker says lies there before anything is drawn. Right-handed: the other hand is the mirror of it. Millimetres.
 *
 * @param scale string length
 * @param bridge the bridge in hand, or such a one as it will be where nobody has decided
 * @param stringsThrough whether the strings come through the body
 * @param pickups by their places
 * @param controls in the order in which they shall stand, from the neck to the tail
 * @param mounting how the controls are mounted
 * @param outline the maker's own or a plain one
 */
public record OnTheBench(
        Strung strung,
        int strings,
        double scale,
        NeckInHand neck,
        Part bridge,
        boolean stringsThrough,
        Map<PickupPlace, Part> pickups,
        List<Part> controls,
        Mounting mounting,
        Line outline) {
    /** A body that carries fewer or more strings than this is another instrument's. */
    public static final int FEWEST_STRINGS = 4;

    public static final int MOST_STRINGS = 12;

    /** How controls are mounted: the schools. */
    public enum Mounting {
        THROUGH_WOOD("through-wood"),
        CONTROL_PLATE("control-plate"),
        SCRATCH_PLATE("scratch-plate");

        private final String key;

        Mounting(String key) {
            this.key = key;
        }

        /** The word that files and addresses use. */
        public String key() {
            return key;
        }
    }

    /** An outline to begin with. */
    public sealed interface Line {
        /**
         * One of ours.
         *
         * @param width at its widest, where the maker said
         */
        record Plain(PlainOutline shape, Optional<Double> width) implements Line {}

        /**
         * The maker's own, the neck up, seen from the front, its centre line at x 0: it is moved along until its edge meets the neck's mouth.
         */
        record Own(List<Segment> segments) implements Line {
            public Own {
                segments = List.copyOf(segments);
            }
        }
    }

    public OnTheBench {
        Refusal.between(strings, FEWEST_STRINGS, MOST_STRINGS, "strings");
        Refusal.between(scale, 300, 1000, "scale");
        Refusal.unless(bridge.kind().isBridge(), "bridge", "a " + bridge.kind().word() + " is no bridge");
        pickups = Map.copyOf(pickups);
        controls = List.copyOf(controls);
        if (outline instanceof Line.Plain plain) {
            plain.width().ifPresent(w -> Refusal.between(w, 200, 500, "width"));
        }
    }
}
