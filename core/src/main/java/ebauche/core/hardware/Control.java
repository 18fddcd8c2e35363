package ebauche.core.hardware;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Refusal;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A pot or a switch, mounted through the wood that is left over the rear cavity.
 *
 * @param id short and lasting, such as {@code volume}
 * @param kind pot or blade switch
 * @param at where its shaft or lever comes through
 * @param opening diameter of a pot's hole, width of a blade's slot
 * @param slot length of a blade's slot, 0 for a pot
 * @param thinnestTop least wood that it wants under it
 * @param thickestTop most wood that its thread or lever passes
 * @param across its body along x
 * @param along its body along y
 * @param below how far its body reaches under the top
 * @param woodOver wood left over it where that is not the cavity's own: a step in the floor
 * @param cavity id of the cavity that it stands in; empty for the one that it is drawn in
 * @param part the pot or switch itself; with it, the sizes here are the bare part's until the build adds the shop's room
 */
public record Control(
        String id,
        Kind kind,
        Point at,
        double opening,
        double slot,
        double thinnestTop,
        double thickestTop,
        double across,
        double along,
        double below,
        OptionalDouble woodOver,
        Optional<String> cavity,
        Optional<Part> part) {
    public enum Kind {
        POT("pot", "pot"),
        TOGGLE_SWITCH("toggle-switch", "toggle switch"),
        BLADE_SWITCH("blade-switch", "blade switch");

        private final String key;
        private final String word;

        Kind(String key, String word) {
            this.key = key;
            this.word = word;
        }

        public String word() {
            return word;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    public Control {
        Refusal.positive(opening, "opening");
        Refusal.notNegative(thinnestTop, "thinnestTop");
        Refusal.unless(thickestTop > thinnestTop, "thickestTop", "must be more than the thinnest top");
        Refusal.positive(across, "across");
        Refusal.positive(along, "along");
        Refusal.positive(below, "below");
    }

    /** A control whose sizes are given. */
    public Control(
            String id,
            Kind kind,
            Point at,
            double opening,
            double slot,
            double thinnestTop,
            double thickestTop,
            double across,
            double along,
            double below,
            OptionalDouble woodOver) {
        this(
                id,
                kind,
                at,
                opening,
                slot,
                thinnestTop,
                thickestTop,
                across,
                along,
                below,
                woodOver,
                Optional.empty(),
                Optional.empty());
    }

    /** A control whose sizes follow from the part: bare, without any room round it. */
    public static Control of(String id, Point at, OptionalDouble woodOver, Part part) {
        Refusal.unless(part.kind().isControl(), "part", "a " + part.kind().word() + " is no control");
        boolean blade = part.kind() == PartKind.BLADE_SWITCH;
        return new Control(
                id,
                blade ? Kind.BLADE_SWITCH : part.kind() == PartKind.POT ? Kind.POT : Kind.TOGGLE_SWITCH,
                at,
                part.get(blade ? PartSize.SLOT_WIDTH : PartSize.BUSHING),
                blade ? part.get(PartSize.SLOT_LENGTH) : 0,
                blade ? part.get(PartSize.THINNEST_TOP) : 0,
                blade
                        ? part.get(PartSize.THICKEST_TOP)
                        : part.get(PartSize.THREAD) - part.size(PartSize.NUT).orElse(0),
                part.get(PartSize.ACROSS),
                part.get(PartSize.ALONG),
                part.get(PartSize.BELOW),
                woodOver,
                Optional.empty(),
                Optional.of(part));
    }

    /** The same, standing in the cavity with an id; in the one that it is drawn in where none is said. */
    public Control in(Optional<String> otherCavity) {
        return with(at, otherCavity);
    }

    /** The same elsewhere. */
    public Control standing(Point elsewhere) {
        return with(elsewhere, cavity);
    }

    private Control with(Point place, Optional<String> inCavity) {
        return new Control(
                id,
                kind,
                place,
                opening,
                slot,
                thinnestTop,
                thickestTop,
                across,
                along,
                below,
                woodOver,
                inCavity,
                part);
    }

    /** What goes through the top. */
    public Region passage() {
        return kind == Kind.BLADE_SWITCH ? Region.rectangle(at, opening, slot, 0, 0) : Region.disc(at, opening);
    }

    /** What its body covers under the top. */
    public Region footprint() {
        return Region.rectangle(at, across, along, 0, 0);
    }

    /** As it is said at the bench: {@code volume potentiometer}. */
    public String said() {
        return id.replace('-', ' ') + " " + kind.word();
    }

    public Feature feature() {
        return Feature.of(FeatureKind.CONTROL, id);
    }
}
