package ebauche.core.timber;

/** The two faces of a board, as the maker marks them. */
public enum Side {
    A,
    B;

    public Side other() {
        return this == A ? B : A;
    }
}
