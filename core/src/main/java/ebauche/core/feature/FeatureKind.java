package ebauche.core.feature;

import java.util.Arrays;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What sorts of feature a body has. Each knows the word that files and addresses use, how it is said, and what it is to the wood. A body
 * has one feature of most kinds; of those that are {@link #many} it has as many as its maker wants, each with an id.
 */
public enum FeatureKind {
    FRONT("front", Role.FACE, "front"),
    BACK("back", Role.FACE, "back"),
    EDGE("edge", Role.FACE, "edge"),

    BLANK("blank", Role.WHOLE_BODY, "blank"),
    THICKNESS("thickness", Role.WHOLE_BODY, "thickness"),
    OUTLINE("outline", Role.WHOLE_BODY, "outline"),
    SANDING("sanding", Role.WHOLE_BODY, "sanding"),
    NEW_CAP("new-cap", Role.WHOLE_BODY, "new cap"),

    CONTOUR("contour", Role.SHAPE, null, false, "%s contour", "contour %s"),
    ROUND_OVER("rounding", Role.SHAPE, null, false, "%s round-over", "round-over %s"),

    BINDING("binding", Role.FILL, null, false, "%s binding", "binding %s"),

    NECK("neck", Role.VOID, "neck pocket"),
    NECK_SCREWS("neck-screws", NECK, "neck screw holes"),
    NECK_FERRULES("neck-ferrules", NECK, "neck ferrule seats"),
    NECK_INSERTS("neck-inserts", NECK, "heel inserts"),

    BRIDGE("bridge", Role.VOID, "bridge", true),
    BRIDGE_STUDS("bridge-studs", BRIDGE, "bridge stud holes", true),
    BRIDGE_RECESS("bridge-recess", BRIDGE, "bridge recess", true),
    STRING_HOLES("string-holes", BRIDGE, "string holes"),
    FERRULES("ferrules", BRIDGE, "ferrule seats"),
    VIBRATO("vibrato", BRIDGE, "vibrato route", true),
    SPRINGS("springs", BRIDGE, "spring cavity", true),

    PICKUP("pickup", Role.VOID, "%s pickup cavity", "%s pickup"),
    LEGS("legs", PICKUP, "%s pickup leg pockets"),
    SCRATCH_PLATE("scratch-plate", Role.VOID, "scratch plate"),

    CAVITY("cavity", Role.VOID, "%s cavity", "%s cavity", "controls", "control cavity"),
    COVER("recess", CAVITY, true, "%s cavity cover recess", "%s cavity cover", "cover", "cover recess"),
    COVER_SCREWS(
            "screws", CAVITY, false, "%s cover screw holes", "%s cover screws", "cover-screws", "cover screw holes"),
    CONTROL("control", Role.VOID, "%s hole", "%s"),
    STEP("step", CONTROL, "step under the %s"),

    JACK("jack", Role.VOID, "jack hole", true),
    HOLE("hole", Role.VOID, "%s hole", "%s"),
    CHANNEL("channel", Role.VOID, "%s channel", "%s channel"),
    CHAMBER("chamber", Role.VOID, null, false, "%s chamber", "%s chamber"),
    SOUND_HOLES("soundholes", CHAMBER, "%s chamber sound holes"),

    REPAIR("repair", Role.FILL, "%s repair", "%s repair"),

    /** Of an earlier or a later program: a word in a record that none of the others explains. It is kept as it stands. */
    UNKNOWN("", Role.VOID, null, false, "%s", "%s");

    /** What a feature is to the wood. */
    public enum Role {
        /** A face or the edge of the body, which voids lie under or open into. */
        FACE,
        /** Work on the body as a whole. */
        WHOLE_BODY,
        /** What gives a face its shape. */
        SHAPE,
        /** Wood that is put back into it. */
        FILL,
        /** What is cut into the body. */
        VOID
    }

    /** What the floor of what is cut for it does, and so how closely its depth is wanted. */
    public enum Floor {
        SEAT("a floor that a part sits on"),
        THREADS("a floor that threads go through"),
        ROOM("a floor that only gives room");

        private final String words;

        Floor(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** The id of what a body once had only one of: the cavity of its controls, and what belongs to it. */
    public static final String ELDEST = "controls";

    /** Where its id stands in what is said of a kind of which a body has many. */
    private static final String ID = "%s";

    private static final Map<String, FeatureKind> BY_WORD =
            Arrays.stream(values()).collect(Collectors.toMap(k -> k.word, Function.identity()));

    private static final Map<String, FeatureKind> BY_ELDEST = Arrays.stream(values())
            .filter(k -> !k.eldestWord.isEmpty())
            .collect(Collectors.toMap(k -> k.eldestWord, Function.identity()));

    private final String word;
    private final Role role;
    private final FeatureKind owner;
    private final boolean many;
    private final boolean movable;
    private final String said;
    private final String part;
    /** Of a kind of which a body once had only one, the whole word of that one, without an id; else empty. */
    private final String eldestWord;

    private final String eldestSaid;

    /** A kind of which a body has one. */
    FeatureKind(String word, Role role, String said) {
        this(word, role, said, false);
    }

    FeatureKind(String word, Role role, String said, boolean movable) {
        this(word, role, null, movable, said, word.replace('-', ' '));
    }

    /** A kind that comes with another. */
    FeatureKind(String word, FeatureKind owner, String said) {
        this(word, owner, said, false);
    }

    FeatureKind(String word, FeatureKind owner, String said, boolean movable) {
        this(word, owner.role, owner, movable, said, word.replace('-', ' ') + (owner.many ? " %s" : ""));
    }

    /** A kind of which a body has many, each cut for a part and moved by hand. */
    FeatureKind(String word, Role role, String said, String part) {
        this(word, role, null, true, said, part);
    }

    /** A kind of which a body once had one. */
    FeatureKind(String word, Role role, String said, String part, String eldestWord, String eldestSaid) {
        this(word, role, null, true, said, part, eldestWord, eldestSaid);
    }

    /** A kind that comes with one of which a body once had one. */
    FeatureKind(
            String word,
            FeatureKind owner,
            boolean movable,
            String said,
            String part,
            String eldestWord,
            String eldestSaid) {
        this(word, owner.role, owner, movable, said, part, eldestWord, eldestSaid);
    }

    FeatureKind(String word, Role role, FeatureKind owner, boolean movable, String said, String part) {
        this(word, role, owner, movable, said, part, "", "");
    }

    FeatureKind(
            String word,
            Role role,
            FeatureKind owner,
            boolean movable,
            String said,
            String part,
            String eldestWord,
            String eldestSaid) {
        this.word = word;
        this.role = role;
        this.owner = owner;
        this.many = said.contains(ID);
        this.movable = movable;
        this.said = said;
        this.part = part;
        this.eldestWord = eldestWord;
        this.eldestSaid = eldestSaid;
    }

    /** What the words of its features begin with, but for one that a body once had alone; of a kind that a body has once the whole word. */
    public String word() {
        return word;
    }

    /** As files and addresses write the one with an id; of a kind that a body has once the id is empty. */
    String word(String id) {
        if (isEldest(id)) {
            return eldestWord;
        }
        return word.isEmpty() || id.isEmpty() ? word + id : word + "-" + id;
    }

    private boolean isEldest(String id) {
        return !eldestWord.isEmpty() && id.equals(ELDEST);
    }

    public Role role() {
        return role;
    }

    /** The kind of feature that it comes with, and moves with; itself where it stands alone. */
    public FeatureKind owner() {
        return owner == null ? this : owner;
    }

    /** Whether a body may have several, each with an id. */
    public boolean many() {
        return many;
    }

    /** Whether a maker may move it by hand. */
    public boolean movable() {
        return movable;
    }

    /** What its floor does, where it is cut from behind; from the front the parts of a cavity hang on the plate over it. */
    public Floor floor() {
        return switch (this) {
            case CAVITY -> Floor.THREADS;
            case PICKUP, LEGS, VIBRATO, SPRINGS, SCRATCH_PLATE, CHAMBER -> Floor.ROOM;
            default -> Floor.SEAT;
        };
    }

    String said(String id) {
        return isEldest(id) ? eldestSaid : said.replace(ID, id.replace('-', ' '));
    }

    String part(String id) {
        return isEldest(id) ? eldestWord.replace('-', ' ') : part.replace(ID, id.replace('-', ' '));
    }

    /** The id in a word of this kind. */
    String idIn(String name) {
        return BY_ELDEST.get(name) == this ? ELDEST : name.substring(word.length() + 1);
    }

    /** The kind of which a body has one, by its whole name, else the one that the name begins with. */
    static FeatureKind of(String name) {
        if (BY_ELDEST.containsKey(name)) {
            return BY_ELDEST.get(name);
        }
        FeatureKind whole = BY_WORD.get(name);
        if (whole != null && !whole.many) {
            return whole;
        }
        int dash = name.indexOf('-');
        FeatureKind first = dash > 0 && dash < name.length() - 1 ? BY_WORD.get(name.substring(0, dash)) : null;
        return first != null && first.many ? first : UNKNOWN;
    }
}
