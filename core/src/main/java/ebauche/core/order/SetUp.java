package ebauche.core.order;

import ebauche.core.passes.PassPlan;

/** What has to be set up anew between two steps, and the minutes that each counts: as the pass plan counts them, the rest by common practice. */
public enum SetUp {
    /** The body turned over and held again. */
    FACE(PassPlan.A_SET_UP, "turning the body over"),
    /** The body carried from one machine to another. */
    MACHINE(PassPlan.A_SET_UP, "going to another machine"),
    /** A template that is on the body taken off for a step that it is in the way of, or put back on: it must find its place again. */
    TEMPLATE(2 * PassPlan.A_SET_UP, "taking a template off for it or putting one back"),
    /** Another bit in a router. */
    BIT(PassPlan.A_BIT, "changing the bit"),
    /** Another drill in its chuck: no collet, no depth of a router's to set. */
    DRILL(2, "changing the drill"),
    /** Templates and routers put away for other work or got out again, where the shop wants one day of templates. */
    TEMPLATE_DAY(5 * PassPlan.A_SET_UP, "putting the templates away between or getting them out again");

    private final int minutes;
    private final String words;

    SetUp(int minutes, String words) {
        this.minutes = minutes;
        this.words = words;
    }

    /** What one of them counts. */
    public int minutes() {
        return minutes;
    }

    /** As in {@code saves changing the bit}. */
    public String words() {
        return words;
    }
}
