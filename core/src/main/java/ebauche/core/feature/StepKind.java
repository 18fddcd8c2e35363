package ebauche.core.feature;

import java.util.Arrays;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What is done to a feature in one step, each with the word that records and addresses use. The words never change. */
public enum StepKind {
    // The blank.
    CUT("cut"),
    PIECES("pieces"),
    SLICE("slice"),
    JOINT("joint"),
    GLUE("glue"),
    TOP_JOINT("top-joint"),
    TOP_GLUE("top-glue"),
    SAW_FRONT("saw-front"),
    SAW_BACK("saw-back"),
    TOP_LEVEL("top-level"),
    BACKING("backing"),
    TOP("top"),
    // Faces and edge, brought to thickness or sanded.
    FRONT("front"),
    BACK("back"),
    EDGE("edge"),
    // The outline.
    CENTRE("centre"),
    DRAW("draw"),
    SAW("saw"),
    SAND_TO_LINE("sand-to-line"),
    FINISH("finish"),
    READ_EDGE("read-edge"),
    TABS_OFF("tabs-off"),
    // On a template.
    FIT("fit"),
    PURFLE("purfle"),
    BEND("bend"),
    OFF("off"),
    FIT_AGAIN("fit-again"),
    OFF_AGAIN("off-again"),
    WASTE("waste"),
    START("start"),
    ROUGH("rough"),
    ROUT("rout"),
    MEET("meet"),
    WIDEN("widen"),
    DEEPEN("deepen"),
    SMOOTH("smooth"),
    // Holes.
    MARK("mark"),
    LOCATE("locate"),
    FLAT("flat"),
    DRILL("drill"),
    BORE("bore"),
    SLOT("slot"),
    PLUG("plug"),
    SUPPORTS("supports"),
    TRY("try"),
    TRIAL("trial"),
    TRY_PARTS("try-parts"),
    SCREWS("screws"),
    // The neck.
    MEASURE("measure"),
    JIG("jig"),
    WEDGE("wedge"),
    CHECK("check"),
    BRIDGE("bridge"),
    HEEL("heel"),
    RECHECK("recheck"),
    INSERT("insert"),
    // Shielding.
    SHIELD("shield"),
    METER("meter"),
    // Contours.
    LINE("line"),
    CARVE("carve"),

    /** Of an earlier or a later program: a record keeps the word as it stands. */
    UNKNOWN("");

    private static final Map<String, StepKind> BY_WORD =
            Arrays.stream(values()).collect(Collectors.toMap(StepKind::word, Function.identity()));

    private final String word;

    StepKind(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }

    /** Whether it joints edges for gluing. */
    public boolean isJoint() {
        return this == JOINT || this == TOP_JOINT;
    }

    /** Whether it takes more of a cavity that is done, since more is wanted of it now. */
    public boolean isAgain() {
        return this == WIDEN || this == DEEPEN;
    }

    static StepKind of(String word) {
        return BY_WORD.getOrDefault(word, UNKNOWN);
    }
}
