package ebauche.core.timber;

import ebauche.core.measure.Decimals;
import ebauche.core.measure.Refusal;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A board or offcut on the rack. Frame: u along it from its near end, v across it from its marked edge, depth down from
 * face A. Millimetres.
 *
 * @param name what is chalked on it
 * @param offcut whether it is left over from another
 * @param rings how they stand in its end
 * @param heart the face towards the pith, where it is known; quartered boards have none
 * @param rise which way its fibres climb
 * @param grainAngle degrees by which the grain runs off its length, towards higher v as u grows
 * @param price of the whole board, in the shop's money
 * @param readings of its moisture, oldest first
 */
public record Board(
        String name,
        Species species,
        boolean offcut,
        double length,
        double width,
        double thickness,
        Rings rings,
        Optional<Side> heart,
        Rise rise,
        double grainAngle,
        OptionalDouble price,
        List<MoistureReading> readings,
        List<Defect> defects) {

    public static final double LONGEST = 6000;
    public static final double WIDEST = 1200;
    public static final double THICKEST = 200;
    private static final int MOST_DEFECTS = 60;

    public Board {
        Refusal.unless(!name.isBlank() && name.length() <= 40, "name", "needs a name of at most 40 letters");
        Refusal.between(length, 20, LONGEST, "length");
        Refusal.between(width, 5, WIDEST, "width");
        Refusal.between(thickness, 1, THICKEST, "thickness");
        Refusal.between(grainAngle, -45, 45, "grainAngle");
        Refusal.unless(defects.size() <= MOST_DEFECTS, "defects", "more than " + MOST_DEFECTS + " are not kept");
        price.ifPresent(p -> Refusal.between(p, 0, 1e6, "price"));
        readings = List.copyOf(readings);
        defects = List.copyOf(defects);
        for (Defect d : defects) {
            Refusal.unless(
                    d.fromEnd() + d.along() <= length + 0.01
                            && d.fromEdge() + d.across() <= width + 0.01
                            && d.bottom() <= thickness + 0.01,
                    "defects",
                    "the " + d.kind().words() + " at " + Decimals.plain(d.fromEnd(), 1) + ", "
                            + Decimals.plain(d.fromEdge(), 1) + " mm lies outside the board of "
                            + Decimals.plain(length, 1) + " x " + Decimals.plain(width, 1) + " x "
                            + Decimals.plain(thickness, 1) + " mm");
        }
    }

    /** mm³. */
    public double volume() {
        return length * width * thickness;
    }

    /** The newest reading. */
    public Optional<MoistureReading> moisture() {
        return readings.isEmpty() ? Optional.empty() : Optional.of(readings.get(readings.size() - 1));
    }
}
