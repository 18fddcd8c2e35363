package ebauche.core.gluing;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

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

    /** All of it: what it takes, then what it would want. */
    public String words() {
        return Stream.concat(grips.stream().map(g -> g.count() + " × " + g.thing()), Stream.of(lacking))
                .filter(w -> !w.isEmpty())
                .collect(Collectors.joining(", "));
    }
}
