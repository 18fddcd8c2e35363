package ebauche.app.body;

/** Somebody saved another revision since this one was opened. */
public final class StaleRevision extends RuntimeException {
    private static final long serialVersionUID = 1L;
}
