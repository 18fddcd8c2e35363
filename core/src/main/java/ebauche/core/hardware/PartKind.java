package ebauche.core.hardware;

import static ebauche.core.hardware.PartSize.*;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Kinds of parts, each with the sizes that the wood needs to know and those that it may have besides. */
@SuppressWarnings("ImmutableEnumChecker") // its lists are the JDK's unmodifiable ones
public enum PartKind {
    FLAT_BRIDGE(
            "flat-bridge",
            "bridge that stands on the front",
            List.of(LOWEST_SADDLE, HIGHEST_SADDLE, SADDLE_TRAVEL, ACROSS, ALONG),
            List.of()),
    POST_BRIDGE(
            "post-bridge",
            "bridge on two posts",
            List.of(
                    LOWEST_SADDLE,
                    HIGHEST_SADDLE,
                    SADDLE_TRAVEL,
                    ACROSS,
                    ALONG,
                    STUD_SPACING,
                    STUD_DIAMETER,
                    STUD_DEPTH),
            List.of()),
    VIBRATO_ON_TOP(
            "vibrato-on-top",
            "vibrato on the front",
            List.of(
                    LOWEST_SADDLE,
                    HIGHEST_SADDLE,
                    SADDLE_TRAVEL,
                    ACROSS,
                    ALONG,
                    BLOCK_LENGTH,
                    BLOCK_ACROSS,
                    BLOCK_ALONG,
                    SWING),
            List.of(STUD_SPACING, STUD_DIAMETER, STUD_DEPTH)),
    VIBRATO_LET_IN(
            "vibrato-let-in",
            "vibrato let into the front",
            List.of(
                    LOWEST_SADDLE,
                    HIGHEST_SADDLE,
                    SADDLE_TRAVEL,
                    ACROSS,
                    ALONG,
                    RECESS,
                    BLOCK_LENGTH,
                    BLOCK_ACROSS,
                    BLOCK_ALONG,
                    SWING),
            List.of(STUD_SPACING, STUD_DIAMETER, STUD_DEPTH)),
    PICKUP(
            "pickup",
            "pickup",
            List.of(ACROSS, ALONG, HEIGHT),
            List.of(CORNER, LEGS_ACROSS, LEGS_ALONG, LEGS_BELOW, RING_ACROSS, RING_ALONG)),
    POT("pot", "pot", List.of(BUSHING, THREAD, ACROSS, ALONG, BELOW), List.of(NUT)),
    TOGGLE_SWITCH("toggle-switch", "toggle switch", List.of(BUSHING, THREAD, ACROSS, ALONG, BELOW), List.of(NUT)),
    BLADE_SWITCH(
            "blade-switch",
            "blade switch",
            List.of(SLOT_WIDTH, SLOT_LENGTH, THINNEST_TOP, THICKEST_TOP, ACROSS, ALONG, BELOW),
            List.of()),
    JACK("jack", "jack", List.of(HOLE), List.of(BELOW, ALONG, ACROSS)),
    JACK_DISH("jack-dish", "jack in a dish", List.of(THICKNESS, BELOW), List.of()),
    COVER("cover", "cover plate", List.of(THICKNESS), List.of()),
    FERRULE("ferrule", "string ferrule", List.of(DIAMETER, LENGTH), List.of()),
    NECK_FERRULE("neck-ferrule", "neck screw's ferrule", List.of(DIAMETER, LENGTH, HEAD_SUNK), List.of()),
    HEEL_INSERT("heel-insert", "threaded insert for a neck's heel", List.of(HOLE, LENGTH, SCREW), List.of()),
    INSERT("insert", "threaded insert", List.of(HOLE, LENGTH), List.of()),
    STRAP_BUTTON("strap-button", "strap button's screw", List.of(HOLE, LENGTH), List.of());

    private final String key;
    private final String word;
    private final List<PartSize> needed;
    private final List<PartSize> others;

    PartKind(String key, String word, List<PartSize> needed, List<PartSize> others) {
        this.key = key;
        this.word = word;
        this.needed = needed;
        this.others = others;
    }

    /** The word that files and addresses use. */
    public String key() {
        return key;
    }

    /** As it is said at the bench. */
    public String word() {
        return word;
    }

    /** Sizes without which no cavity can be reckoned. */
    public List<PartSize> needed() {
        return needed;
    }

    /** Sizes that such a part may have. */
    public List<PartSize> others() {
        return others;
    }

    public List<PartSize> sizes() {
        List<PartSize> all = new ArrayList<>(needed);
        all.addAll(others);
        return all;
    }

    /** Whether it carries the saddles. */
    public boolean isBridge() {
        return needed.contains(LOWEST_SADDLE);
    }

    public boolean isVibrato() {
        return needed.contains(BLOCK_LENGTH);
    }

    /** Whether a shaft or a lever comes up through the top. */
    public boolean isControl() {
        return this == POT || this == TOGGLE_SWITCH || this == BLADE_SWITCH;
    }

    /** Whether it closes a cavity. */
    public boolean isCover() {
        return this == COVER || this == JACK_DISH;
    }

    public static Optional<PartKind> of(String key) {
        for (PartKind kind : values()) {
            if (kind.key.equals(key)) {
                return Optional.of(kind);
            }
        }
        return Optional.empty();
    }
}
