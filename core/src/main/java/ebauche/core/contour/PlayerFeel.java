package ebauche.core.contour;

import ebauche.core.design.Contour;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import java.util.List;
import java.util.stream.DoubleStream;

/**
 * How a contour feels at one of the usual depths: what a player's arm or ribs meet.
 *
 * @param share of the body's thickness that it takes at its deepest
 * @param depth mm
 * @param slope from the face
 * @param left of the edge under it
 */
public record PlayerFeel(double share, double depth, Reckoning slope, Reckoning left) {
    /** Slight, usual and deep, as shares of the body's thickness: common practice. */
    private static final double[] USUAL = {0.25, 0.38, 0.5};

    /** Half millimetres, as a rule reads them. */
    private static final double ROUND = 2;

    /** The three usual depths on this body, off the same line. */
    public static List<PlayerFeel> of(Build build, Contour.Laid laid) {
        double thick = build.faces().thickness();
        double width = laid.profile().width();
        return DoubleStream.of(USUAL)
                .mapToObj(share -> {
                    double depth = Math.rint(share * thick * ROUND) / ROUND;
                    return new PlayerFeel(
                            share,
                            depth,
                            Reckoning.of("slope", Quantity.ANGLE)
                                    .length("deepest, d", depth)
                                    .length("width there, w", width)
                                    .is(Math.toDegrees(Math.atan2(depth, width)), "arctan(d / w)"),
                            Reckoning.of("edge left under it", Quantity.LENGTH)
                                    .length("finished thickness", Fact.typed(thick))
                                    .length("deepest", depth)
                                    .is(thick - depth, "finished thickness − deepest"));
                })
                .toList();
    }
}
