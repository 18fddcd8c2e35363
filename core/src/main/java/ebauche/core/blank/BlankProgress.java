package ebauche.core.blank;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import java.util.Optional;

/** How far a blank has come by the record. */
public final class BlankProgress {
    private static final Feature BLANK = Feature.of(FeatureKind.BLANK);

    private BlankProgress() {}

    /** Whether its pieces are glued edge to edge. */
    public static boolean isGlued(Build build) {
        return build.isDone(StepKey.of(BLANK, StepKind.GLUE));
    }

    /** Such as {@code glued up already}; nothing if its boards are whole. */
    public static Optional<String> begun(Build build) {
        if (isGlued(build)) {
            return Optional.of("glued up already");
        }
        return build.asBuilt().standing().stream()
                .filter(e ->
                        e instanceof AsBuilt.Done d && d.operation().feature().equals(BLANK))
                .findFirst()
                .map(d -> "cut already");
    }
}
