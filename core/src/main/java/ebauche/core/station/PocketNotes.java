package ebauche.core.station;

import ebauche.core.measure.Reckoning;
import java.util.List;
import java.util.Optional;

/**
 * What a kind of work says of one of its pockets besides its depth.
 *
 * @param mouth depth where a tilted floor comes out of the edge
 * @param tops what is left over each control that stands on its floor
 */
public record PocketNotes(Optional<Reckoning> mouth, List<ControlTop> tops) {
    public static final PocketNotes NONE = new PocketNotes(Optional.empty(), List.of());

    public PocketNotes {
        tops = List.copyOf(tops);
    }
}
