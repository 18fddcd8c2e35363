package ebauche.app.web;

/**
 * Somebody else was quicker: what was to be saved rests on a state that is no longer the newest. Nothing was saved. The
 * message says what they did, to begin a sentence.
 */
public final class Stale extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public Stale(String message) {
        super(message);
    }
}
