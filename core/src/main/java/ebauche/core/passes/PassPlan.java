package ebauche.core.passes;

import java.util.List;

/**
 * Passes in order, with what they cost: the weights are a scale of this program's own, minutes as common practice has them.
 *
 * @param bitChanges times that another bit, or another router, is taken up, the first included
 * @param setUps times that the template or a spacer comes off, or the work is flipped
 */
public record PassPlan(List<Pass> passes, int bitChanges, int setUps) {
    public static final int A_BIT = 4;
    public static final int A_PASS = 2;
    public static final int A_SET_UP = 3;

    /** What a pass ridden on the shank costs more: its template wears and burns, so that any bearing comes first. */
    public static final int RIDDEN = 8;

    public PassPlan {
        passes = List.copyOf(passes);
    }

    /** Minutes that it counts. */
    public int cost() {
        int ridden = (int) passes.stream().filter(Pass::isRidden).count();
        return A_BIT * bitChanges + A_PASS * passes.size() + A_SET_UP * setUps + RIDDEN * ridden;
    }

    /** Bits by name, in the order of their first use. */
    public List<String> bits() {
        return passes.stream().map(p -> p.cutter().bit().name()).distinct().toList();
    }
}
