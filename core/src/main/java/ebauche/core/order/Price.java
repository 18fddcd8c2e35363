package ebauche.core.order;

import ebauche.core.passes.PassPlan;
import java.util.Map;

/**
 * What an order costs, in minutes.
 *
 * @param setUps how often each thing is set up anew
 * @param slips what slips cost on the average: each step's chance of one, times what is in the body by then
 * @param propped how often a step that wants the body flat finds it carved on the side that it lies on, each carve counted
 * @param loose templates that find no waste any more for the screws or pins that the shop means to hold them with
 */
public record Price(Map<SetUp, Integer> setUps, double slips, int propped, int loose) {
    /** Minutes that it counts if a template is held otherwise than is meant: it does not go back to its place. As long as to take it off and fix it. */
    static final int LOOSE = 2 * PassPlan.A_SET_UP;

    public Price {
        setUps = Map.copyOf(setUps);
    }

    /** How often something is set up anew. */
    public int times(SetUp what) {
        return setUps.getOrDefault(what, 0);
    }

    /** Minutes of all set-ups. */
    public int settingUp() {
        return setUps.entrySet().stream()
                .mapToInt(e -> e.getKey().minutes() * e.getValue())
                .sum();
    }

    /** Minutes of propping a body up that does not lie flat. */
    public int propping() {
        return propped * Lying.PROPPED;
    }

    /** Minutes that templates count which are held otherwise than is meant. */
    public int holding() {
        return loose * LOOSE;
    }

    public double total() {
        return settingUp() + slips + propping() + holding();
    }
}
