package ebauche.exchange.drawn;

/** A drawing that cannot be read, with the place and the reason in the maker's words. */
public final class DrawnFileException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public DrawnFileException(String message) {
        super(message);
    }
}
