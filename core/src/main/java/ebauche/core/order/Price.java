package ebauche.core.order;

import ebauche.core.passes.PassPlan;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
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

    /** Less than this is no difference that anybody is told of, minutes. */
    private static final double NOTICED = 0.05;

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

    /** What sets this price apart from another, in words with minutes: what it costs more first, then what it saves. */
    public List<Difference> besides(Price other) {
        List<Difference> differences = new ArrayList<>();
        for (SetUp what : SetUp.values()) {
            differences.add(new Difference(what.words(), (times(what) - other.times(what)) * (double) what.minutes()));
        }
        differences.add(new Difference("what a slip costs by then", slips - other.slips));
        differences.add(
                new Difference("propping up a body that does not lie flat", propping() - (double) other.propping()));
        differences.add(
                new Difference("templates that cannot be held as you mean to", holding() - (double) other.holding()));
        differences.removeIf(d -> Math.abs(d.minutes()) < NOTICED);
        differences.sort(Comparator.comparingDouble(Difference::minutes).reversed());
        return differences;
    }

    /**
     * One thing that two prices differ by.
     *
     * @param minutes more than the other; less than nothing where it is less
     */
    public record Difference(String what, double minutes) {}
}
