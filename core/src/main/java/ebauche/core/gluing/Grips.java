package ebauche.core.gluing;

import ebauche.core.shop.Gluing;
import java.util.LinkedHashMap;
import java.util.Map;

/** Gathers which of the shop's clamps and cauls a glue-up takes; all stay on for as long as its glue is to be clamped. */
public final class Grips {
    /** On every caul, one at each end. */
    private static final int CLAMPS_ON_A_CAUL = 2;

    private final Gluing gluing;
    private final Map<String, Integer> taken = new LinkedHashMap<>();

    private String lacking = "";

    /** None yet. */
    public Grips(Gluing gluing) {
        this.gluing = gluing;
    }

    /** So many more of a kind. */
    public Grips take(String thing, int count) {
        taken.merge(thing, count, Integer::sum);
        return this;
    }

    /** All that presses a top. */
    public Grips take(TopPress press) {
        press.cauls()
                .forEach(laid -> take(laid.caul().name(), 1).take(laid.clamp().name(), CLAMPS_ON_A_CAUL));
        press.spine()
                .ifPresent(
                        spine -> take(spine.caul().name(), 1).take(spine.clamp().name(), CLAMPS_ON_A_CAUL));
        press.presses().forEach(p -> take(p.clamp().name(), 1));
        return this;
    }

    /** What it would want besides, in words; empty if it has enough. */
    public Grips lacks(String what) {
        lacking = what;
        return this;
    }

    /** All of it. */
    public Clamping clamping() {
        int minutes = gluing.glue().clampMinutes();
        return new Clamping(
                taken.entrySet().stream()
                        .map(e -> new Grip(e.getKey(), e.getValue(), minutes))
                        .toList(),
                lacking);
    }
}
