package ebauche.app.timber;

import ebauche.core.timber.Board;
import java.time.Instant;
import java.util.List;
import tools.jackson.databind.node.ObjectNode;

/**
 * A board with its place in the shop.
 *
 * @param publicId what its address shows
 * @param state number of its newest state
 * @param file as it was typed; shared, so copied before anything is changed
 * @param readings of its moisture, oldest first
 */
public record Shelved(
        long shop,
        long id,
        String publicId,
        int state,
        Place place,
        ObjectNode file,
        Board board,
        List<Measured> readings) {

    /** Where a board is. */
    public enum Place {
        RACK,
        CUT,
        GONE
    }

    /** One reading of the moisture meter. */
    public record Measured(long id, double percent, Instant at, String by) {}
}
