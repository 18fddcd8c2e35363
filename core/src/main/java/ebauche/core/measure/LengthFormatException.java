package ebauche.core.measure;

/** Text that is no length. The message says in the maker's words what was read and what would be understood. */
public final class LengthFormatException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    LengthFormatException(String read, String trouble) {
        super("“" + shortened(read) + "” " + trouble + ". Write it like 44.5 mm, 1 3/4 in, 3/64\" or 23 thou.");
    }

    private static String shortened(String read) {
        return read.length() <= 40 ? read : read.substring(0, 37) + "...";
    }
}
