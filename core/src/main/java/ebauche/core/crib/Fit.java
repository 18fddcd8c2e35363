package ebauche.core.crib;

/** How a part or a screw sits in its hole, and so by how much a drill may differ from the hole that is wanted, mm: common practice. */
public enum Fit {
    /** Pressed or driven in and held by the wood: never wider than the part. */
    PRESS("pressed in", 0.15, 0.02),
    /** Goes through freely. */
    CLEAR("with room", 0.1, 0.6),
    /** Room for a screw's core, its thread cuts into the wood. */
    PILOT("as a pilot", 0.4, 0.2);

    private final String words;
    private final double narrower;
    private final double wider;

    Fit(String words, double narrower, double wider) {
        this.words = words;
        this.narrower = narrower;
        this.wider = wider;
    }

    public String words() {
        return words;
    }

    /** The narrowest drill for a hole that is wanted so wide. */
    public double least(double wanted) {
        return wanted - narrower;
    }

    /** The widest. */
    public double most(double wanted) {
        return wanted + wider;
    }

    boolean takes(double drill, double wanted) {
        return drill >= least(wanted) - 1e-9 && drill <= most(wanted) + 1e-9;
    }
}
