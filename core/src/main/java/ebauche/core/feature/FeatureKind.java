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

    CONTOUR("contour", Role.SHAPE, null, false, "%s contour", "contour %s"),

    NECK("neck", Role.VOID, "neck pocket"),
    NECK_SCREWS("neck-screws", NECK, "neck screw holes"),
    NECK_FERRULES("neck-ferrules", NECK, "neck ferrules' seats"),

    BRIDGE("bridge", Role.VOID, "bridge", true),
    BRIDGE_STUDS("bridge-studs", BRIDGE, "bridge stud holes", true),
    BRIDGE_RECESS("bridge-recess", BRIDGE, "bridge recess", true),
    STRING_HOLES("string-holes", BRIDGE, "strings' holes"),
    FERRULES("ferrules", BRIDGE, "ferrules' seats"),
    VIBRATO("vibrato", BRIDGE, "vibrato route", true),
    SPRINGS("springs", BRIDGE, "spring cavity", true),

    PICKUP("pickup", Role.VOID, "%s pickup cavity", "%s pickup"),
    LEGS("legs", PICKUP, "%s pickup's leg pockets"),
    SCRATCH_PLATE("scratch-plate", Role.VOID, "scratch plate"),

    CONTROLS("controls", Role.VOID, "control cavity", true),
    COVER("cover", CONTROLS, "cover recess", true),
    COVER_SCREWS("cover-screws", CONTROLS, "cover's screw holes"),
    CONTROL("control", Role.VOID, "%s hole", "%s"),
    STEP("step", CONTROL, "step under the %s"),

    JACK("jack", Role.VOID, "jack hole", true),
    HOLE("hole", Role.VOID, "%s hole", "%s"),

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
        /** What is cut into the body. */
        VOID
    }

    /** Where its id stands in what is said of a kind of which a body has many. */
    private static final String ID = "%s";

    private static final Map<String, FeatureKind> BY_WORD =
            Arrays.stream(values()).collect(Collectors.toMap(FeatureKind::word, Function.identity()));

    private final String word;
    private final Role role;
    private final FeatureKind owner;
    private final boolean many;
    private final boolean movable;
    private final String said;
    private final String part;

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

    FeatureKind(String word, Role role, FeatureKind owner, boolean movable, String said, String part) {
        this.word = word;
        this.role = role;
        this.owner = owner;
        this.many = said.contains(ID);
        this.movable = movable;
        this.said = said;
        this.part = part;
    }

    /** Of one that a body has once its whole name; else the first part of it. */
    public String word() {
        return word;
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

    String said(String id) {
        return said.replace(ID, id.replace('-', ' '));
    }

    String part(String id) {
        return part.replace(ID, id.replace('-', ' '));
    }

    /** The kind of which a body has one, by its whole name, else the one that the name begins with. */
    static FeatureKind of(String name) {
        FeatureKind whole = BY_WORD.get(name);
        if (whole != null && !whole.many) {
            return whole;
        }
        int dash = name.indexOf('-');
        FeatureKind first = dash > 0 && dash < name.length() - 1 ? BY_WORD.get(name.substring(0, dash)) : null;
        return first != null && first.many ? first : UNKNOWN;
    }
}
