package ebauche.core.geometry;

/** The two faces of a body. */
public enum Face {
    FRONT,
    BACK;

    public Face other() {
        return this == FRONT ? BACK : FRONT;
    }

    /** {@code front} or {@code back}. */
    public String word() {
        return this == FRONT ? "front" : "back";
    }
}
