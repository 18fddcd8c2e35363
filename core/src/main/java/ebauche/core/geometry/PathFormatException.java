package ebauche.core.geometry;

/** Path data that is no closed outline. The message says where and what would cure it. */
public final class PathFormatException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    PathFormatException(String message) {
        super(message);
    }
}
