package ebauche.app.crib;

import ebauche.exchange.design.Field;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A kind of tool as the crib's pages name it, with the fields that are typed for it. */
@SuppressWarnings("ImmutableEnumChecker") // its fields are the JDK's unmodifiable lists
public enum ToolKind {
    BITS(
            "bit",
            "bits",
            List.of(
                    Field.text("name", "what you call it"),
                    Field.choice("bearing", "bearing", "at-shank", "at-tip", "both", "none"),
                    Field.length("diameter", "cutter's diameter"),
                    Field.length("cutterLength", "cutter's length"),
                    Field.length("shank", "shank's diameter"),
                    Field.length("overallLength", "overall length"),
                    Field.length("bearingDiameter", "bearing's diameter"),
                    Field.length("bearingWidth", "bearing's width"),
                    Field.choice(
                            "profile", "profile", "straight", "round-over", "bowl", "rabbet", "bevel", "surfacing"),
                    Field.number("flutes", "flutes"),
                    Field.choice("spiral", "flutes send chips", "none", "to-shank", "from-shank", "both-ways"),
                    Field.choice("centreCutting", "can be plunged", "yes", "no"),
                    Field.number("mostTurns", "stamped turns a minute"),
                    Field.choice("edge", "edge", "sharp", "worn", "dull"),
                    Field.choice("bearingSound", "bearing without play", "yes", "no")),
            5),
    ROUTERS(
            "router",
            "routers",
            List.of(
                    Field.text("name", "what you call it"),
                    Field.choice("kind", "kind", "plunge", "trimmer", "hand", "table"),
                    Field.length("baseDiameter", "base's diameter"),
                    Field.length("plunge", "travel"),
                    Field.lengths("collets", "collets, parted by semicolons"),
                    Field.length("flat", "axis to the base's flat side"),
                    Field.length("colletGap", "collet to sole, all the way down"),
                    Field.choice("power", "power", "light", "middle", "strong"),
                    Field.number("leastTurns", "slowest, turns a minute"),
                    Field.number("mostTurns", "fastest, turns a minute")),
            4),
    DRILLS(
            "drill",
            "drills",
            List.of(
                    Field.text("name", "what you call it"),
                    Field.choice("kind", "kind", "forstner", "brad-point", "twist", "long"),
                    Field.length("diameter", "diameter"),
                    Field.length("spur", "point or rim reaches beyond"),
                    Field.length("reach", "drills as deep as")),
            3),
    SAWS(
            "saw",
            "saws",
            List.of(
                    Field.text("name", "what you call it"),
                    Field.choice("kind", "kind", "band", "jig", "coping"),
                    Field.length("blade", "width of its blade"),
                    Field.length("kerf", "kerf")),
            3),
    DRUMS(
            "drum",
            "drums",
            List.of(
                    Field.text("name", "what you call it"),
                    Field.length("diameter", "diameter with its sleeve"),
                    Field.length("height", "height that sands")),
            3),
    AIDS(
            "guide",
            "aids",
            List.of(
                    Field.text("name", "what you call it"),
                    Field.choice(
                            "kind", "kind", "large-base", "offset-base", "support-block", "edge-guide", "straightedge"),
                    Field.length("size", "size that counts: diameter, bit to knob, width, reach or length")),
            3),
    MACHINES(
            "machine",
            "machines",
            List.of(
                    Field.text("name", "what you call it"),
                    Field.choice("kind", "kind", "jointer", "table-saw", "planer", "drum-sander", "drill-press"),
                    Field.length("size", "size that counts: widest edge, highest cut, widest board, column to bit")),
            3);

    /** How a field is read. */
    public enum Reading {
        TEXT,
        LENGTH,
        LENGTHS,
        NUMBER,
        CHOICE
    }

    /** One field of a tool: its name in the file, its label, and its words where it is a choice. */
    public record Field(String name, String label, Reading reading, List<String> words) {
        static Field text(String name, String label) {
            return new Field(name, label, Reading.TEXT, List.of());
        }

        static Field length(String name, String label) {
            return new Field(name, label, Reading.LENGTH, List.of());
        }

        static Field lengths(String name, String label) {
            return new Field(name, label, Reading.LENGTHS, List.of());
        }

        static Field number(String name, String label) {
            return new Field(name, label, Reading.NUMBER, List.of());
        }

        static Field choice(String name, String label, String... words) {
            return new Field(name, label, Reading.CHOICE, List.of(words));
        }

        /** A choice's word as it is read. */
        public String said(String word) {
            return SAID.getOrDefault(word, word.replace('-', ' '));
        }
    }

    private static final Map<String, String> SAID = Map.of(
            "at-shank", "at the shank",
            "at-tip", "at the tip",
            "both", "at both ends",
            "to-shank", "to the shank",
            "from-shank", "from the shank",
            "forstner", "Forstner",
            "band", "band saw",
            "jig", "jigsaw",
            "coping", "coping saw");

    private final String one;
    private final String many;
    private final List<Field> fields;
    private final int needed;

    ToolKind(String one, String many, List<Field> fields, int needed) {
        this.one = one;
        this.many = many;
        this.fields = fields;
        this.needed = needed;
    }

    public String one() {
        return one;
    }

    /** Its place in a shop's crib, and in an address. */
    public String many() {
        return many;
    }

    public List<Field> fields() {
        return fields;
    }

    /** The fields that cannot be left empty; the others are then as such tools usually are. */
    public List<Field> needed() {
        return fields.subList(0, needed);
    }

    public List<Field> others() {
        return fields.subList(needed, fields.size());
    }

    static Optional<ToolKind> of(String many) {
        return Arrays.stream(values()).filter(k -> k.many.equals(many)).findFirst();
    }
}
