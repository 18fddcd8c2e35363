package ebauche.core.passes;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Why a crib gives no plan, and the least that would make one.
 *
 * @param cornerTooTight whether no sound bearing bit in the crib turns in the corner
 * @param bit the shortest bit of a usual size that would do, of the largest diameter that turns
 * @param template thickness of another template that would do, nearest to the one there is
 * @param worn a bit of the crib that would do with a new bearing
 */
public record Shortage(boolean cornerTooTight, Optional<Bit> bit, OptionalDouble template, Optional<Bit> worn) {
    private static final double INCH = 25.4;

    /** Sizes that bearing bits are sold in: common practice. */
    private static final List<Double> DIAMETERS = List.of(INCH / 4, INCH * 3 / 8, INCH / 2, INCH * 5 / 8, INCH * 3 / 4);

    private static final List<Double> LENGTHS = List.of(
            INCH / 4, INCH * 3 / 8, INCH / 2, INCH * 5 / 8, INCH * 3 / 4, INCH, INCH * 5 / 4, INCH * 3 / 2, INCH * 2);

    private static final double THINNEST = 3;
    private static final double THICKEST = 30;
    private static final double STEP = 0.1;
    private static final double COARSE = 0.5;

    /** What is missing for a cut that the crib gives no plan for. */
    public static Shortage of(GuidedCut cut, Crib crib) {
        boolean tight = crib.bits().stream().noneMatch(b -> b.copies() && b.corner() <= cut.corner() + 1e-6);
        return new Shortage(
                tight, bit(cut, crib), tight ? OptionalDouble.empty() : template(cut, crib), worn(cut, crib));
    }

    private static Optional<Bit> worn(GuidedCut cut, Crib crib) {
        return crib.bits().stream()
                .filter(b -> b.bearing().turns() && !b.bearingSound())
                .filter(b -> PassPlanner.isFeasible(cut, crib.with(b.withNewBearing())))
                .findFirst();
    }

    private static Optional<Bit> bit(GuidedCut cut, Crib crib) {
        return DIAMETERS.stream()
                .filter(d -> d / 2 <= cut.corner() + 1e-6)
                .sorted(Comparator.reverseOrder())
                .flatMap(d -> LENGTHS.stream().filter(l -> l >= d / 2).flatMap(l -> sold(cut, crib, d, l).stream()))
                .filter(b -> PassPlanner.isFeasible(cut, crib.with(b)))
                .findFirst();
    }

    /** A bit of these sizes on the thickest shank that a router takes and such a bit has. */
    private static List<Bit> sold(GuidedCut cut, Crib crib, double diameter, double length) {
        return crib.routers().stream()
                .flatMap(r -> r.collets().stream())
                .filter(c -> c <= Math.max(diameter, INCH / 4) + 1e-6)
                .max(Comparator.naturalOrder())
                .map(shank -> bearings(cut).stream()
                        .map(b -> Bit.usual("to be bought", b, diameter, length, shank))
                        .toList())
                .orElse(List.of());
    }

    private static List<Bit.Bearing> bearings(GuidedCut cut) {
        return cut.through() ? List.of(Bit.Bearing.AT_SHANK, Bit.Bearing.AT_TIP) : List.of(Bit.Bearing.AT_SHANK);
    }

    /** The nearest thickness that would do, to a tenth: found in half millimetres first. */
    private static OptionalDouble template(GuidedCut cut, Crib crib) {
        for (double off = COARSE; off <= THICKEST; off += COARSE) {
            for (double fine = off - COARSE + STEP; fine <= off + 1e-9; fine += STEP) {
                boolean coarse = fine > off - 1e-9;
                if (!coarse && !either(cut, crib, off)) {
                    continue;
                }
                for (int way : new int[] {-1, 1}) {
                    double thickness = Math.rint((cut.template() + way * fine) / STEP) * STEP;
                    if (does(cut, crib, thickness)) {
                        return OptionalDouble.of(thickness);
                    }
                }
            }
        }
        return OptionalDouble.empty();
    }

    private static boolean either(GuidedCut cut, Crib crib, double off) {
        return does(cut, crib, cut.template() - off) || does(cut, crib, cut.template() + off);
    }

    private static boolean does(GuidedCut cut, Crib crib, double thickness) {
        return thickness >= THINNEST && thickness <= THICKEST && PassPlanner.isFeasible(cut.on(thickness), crib);
    }
}
