package ebauche.core.order;

import java.util.Map;

/**
 * What an order costs, in minutes.
 *
 * @param setUps how often each thing is set up anew
 * @param slips what slips cost on the average: each step's chance of one, times what is in the body by then
 * @param propped how often a step that wants the body flat finds it carved on the side that it lies on, each carve counted
 */
public record Price(Map<SetUp, Integer> setUps, double slips, int propped) {
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

    public double total() {
        return settingUp() + slips + propping();
    }
}
