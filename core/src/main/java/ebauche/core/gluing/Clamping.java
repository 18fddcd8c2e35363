package ebauche.core.gluing;

import java.util.List;

/**
 * With what of the shop's a glue-up is pressed.
 *
 * @param grips what it takes
 * @param lacking what it would want besides, in words; empty if it has enough
 */
public record Clamping(List<Grip> grips, String lacking) {
    /** Of what is not glued. */
    public static final Clamping NONE = new Clamping(List.of(), "");

    public Clamping {
        grips = List.copyOf(grips);
    }
}
