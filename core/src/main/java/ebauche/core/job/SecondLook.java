package ebauche.core.job;

import ebauche.core.design.Measurand;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.shop.Limits;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Readings that cannot both be true: the later one is asked for once more before it is kept beside the earlier.
 *
 * <p>A bought part and a neck do not change their size, so two readings of one size agree within the shop's limit. A
 * cavity only gets deeper, but for what is sanded off its face.
 */
public final class SecondLook {
    /** Sizes that stay as they are, whatever is done to the body. */
    private static final Set<Dimension> LASTING = EnumSet.of(
            Dimension.FINGERBOARD_THICKNESS, Dimension.FRET_HEIGHT, Dimension.HEEL_THICKNESS, Dimension.NUT_HEIGHT);

    /** Decimal noise under which a reading lies on the limit, mm. */
    private static final double NOISE = 1e-9;

    private SecondLook() {}

    /**
     * What a reading contradicts.
     *
     * @param earlier the latest reading of the same
     * @param expected what it tells that should be read now
     * @param limit how far apart readings of it may lie
     */
    public record Contradiction(AsBuilt.Reading earlier, double expected, double limit) {}

    /** The reading that a new one contradicts, if it does. */
    public static Optional<Contradiction> at(Build build, Measurand measures, double value) {
        AsBuilt record = build.asBuilt();
        Limits limits = build.shop().limits();
        Optional<AsBuilt.Reading> latest = record.latest(measures);
        if (latest.isEmpty()) {
            return Optional.empty();
        }
        AsBuilt.Reading earlier = latest.get();
        boolean lasting = measures instanceof Measurand.SizeOf
                || (measures instanceof Dimension dimension && LASTING.contains(dimension));
        if (lasting && Math.abs(value - earlier.value()) > limits.thicknessTolerance() + NOISE) {
            return Optional.of(new Contradiction(earlier, earlier.value(), limits.thicknessTolerance()));
        }
        if (measures instanceof Measurand.DepthOf depth) {
            double least = earlier.value() - sanded(build, depth.feature(), earlier);
            if (value < least - limits.depthTolerance() - NOISE) {
                return Optional.of(new Contradiction(earlier, least, limits.depthTolerance()));
            }
        }
        if (measures instanceof Measurand.WoodAt || measures instanceof Measurand.ThicknessAt) {
            double most =
                    earlier.value() - build.sandedSince(Face.FRONT, earlier) - build.sandedSince(Face.BACK, earlier);
            if (value > most + limits.thicknessTolerance() + NOISE) {
                return Optional.of(new Contradiction(earlier, most, limits.thicknessTolerance()));
            }
        }
        return Optional.empty();
    }

    /** Wood that came off the face that a cavity is cut from since a reading: the more of the two, if the face is unknown. */
    private static double sanded(Build build, Feature feature, AsBuilt.Reading since) {
        List<Face> faces = build.asBuilt().standing().stream()
                .filter(e -> e instanceof AsBuilt.Done d
                        && d.changes().stream().anyMatch(c -> c.feature().equals(feature)))
                .map(e -> ((AsBuilt.Done) e).face())
                .distinct()
                .toList();
        return (faces.isEmpty() ? List.of(Face.values()) : faces)
                .stream()
                        .mapToDouble(face -> build.sandedSince(face, since))
                        .max()
                        .orElse(0);
    }
}
