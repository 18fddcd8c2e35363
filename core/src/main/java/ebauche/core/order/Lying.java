package ebauche.core.order;

import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.passes.PassPlan;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;

/** Which steps want the body lying flat, and which take that away: a carved back no longer carries a body that is routed from the front. */
public final class Lying {
    /** Minutes to prop up a body that does not lie flat: another set-up, as the pass plan counts it. */
    static final int PROPPED = PassPlan.A_SET_UP;

    /** A carve that is smaller lets the body lie as it was, mm²: common practice. */
    private static final double LEAST = 2000;

    private Lying() {}

    /** Whether it works straight down into a body that lies on its other face; what is bored on a slant or into the edge is held otherwise. */
    public static boolean flat(Operation step) {
        Setting setting = step.setting();
        boolean presses = setting instanceof Setting.Routed
                || setting instanceof Setting.Drilled
                || setting instanceof Setting.Fixed
                || setting instanceof Setting.Sawn;
        return presses
                && !step.onCore()
                && step.changes().stream().map(Change::solid).allMatch(Solid.Prism.class::isInstance);
    }

    /** Whether it carves the face that is up, so that the body no longer lies flat on it. */
    public static boolean carves(Operation step) {
        return step.setting() instanceof Setting.Carved
                && step.changes().stream()
                        .filter(Change.Remove.class::isInstance)
                        .anyMatch(c -> c.solid().plan().area() >= LEAST);
    }

    /** Whether a step no longer finds the body lying flat once another is done. */
    static boolean propped(Operation step, Operation once) {
        return step.face() != once.face() && carves(once) && flat(step);
    }
}
