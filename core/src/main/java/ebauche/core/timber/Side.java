package ebauche.core.timber;

/** The two faces of a board, as the maker marks them. */
public enum Side {
    A("A"),
    B("B");

    private final String key;

    Side(String key) {
        this.key = key;
    }

    /** As files write it. */
    public String key() {
        return key;
    }

    public Side other() {
        return this == A ? B : A;
    }
}
