package ebauche.core.job;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Cover;
import ebauche.core.operation.Condition;
import java.util.List;

/** Covers out of the body's own back: what the blank and the cavities that they close must both know of them. */
public final class OwnBack {
    /** Holds once their wood is off the back of the blank's pieces. */
    public static final Condition.Mark SLICED = new Condition.Mark(
            StepKey.of(Feature.of(FeatureKind.BLANK), StepKind.SLICE), "the cover's wood sliced off the back");

    private OwnBack() {}

    /** The cavities so closed, without those whose cover is left open. */
    public static List<Cavity> cavities(Build build) {
        return build.design().cavities().stream()
                .filter(OwnBack::closes)
                .filter(c -> !build.design().leavesOpen(c.recess()))
                .toList();
    }

    /** Whether a cavity's cover comes out of the back. */
    public static boolean closes(Cavity cavity) {
        return cavity.cover().kind() == Cover.Kind.OWN_BACK && cavity.cover().isLetIn();
    }
}
