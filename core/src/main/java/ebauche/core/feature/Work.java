package ebauche.core.feature;

/** Kinds of work on a body, each with a station of its own, and what belongs to none of them. */
public enum Work {
    BLANK("blank"),
    CHAMBER("chamber"),
    THICKNESS("thickness"),
    OUTLINE("outline"),
    NECK("neck"),
    CAVITY("cavity"),
    CHANNEL("channel"),
    SHIELDING("shielding"),
    EDGE("edge"),
    CONTOUR("contour"),
    SANDING("sanding"),
    CAP("cap"),

    /** What only the whole plan can tell. */
    PLAN("plan"),

    /** What must precede what. */
    ORDER("order"),

    /** Done once, and no part of the plan any more. */
    EARLIER("earlier");

    private final String word;

    Work(String word) {
        this.word = word;
    }

    /** Its word in files and on pages. */
    public String word() {
        return word;
    }
}
