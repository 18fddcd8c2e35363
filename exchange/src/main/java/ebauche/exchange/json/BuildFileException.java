package ebauche.exchange.json;

/** A build file that cannot be read: where, and why, in words. */
public final class BuildFileException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final String place;

    public BuildFileException(String place, String reason) {
        super(reason);
        this.place = place;
    }

    /** The place in the file, such as {@code design.neck.heelThickness}; empty for the whole file. */
    public String place() {
        return place;
    }

    /** Place and reason in one line. */
    public String inWords() {
        return place.isEmpty() ? getMessage() : place + ": " + getMessage();
    }
}
