package ebauche.core.timber;

import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Refusal;
import java.util.regex.Pattern;

/**
 * A timber, each of its values with its source.
 *
 * @param key as files name it: small letters, digits, dashes
 * @param name as people say it
 * @param density kg/m³ at 12 % moisture
 * @param tangential share by which it moves along the rings, per per cent of moisture
 * @param radial the same across the rings
 * @param sideHardness newtons to press a ball of 11.28 mm in to its half
 * @param dust what its dust and splinters do, empty if nothing beyond the usual is known here
 * @param brittle whether it chips rather than bends, as heat-treated wood does
 */
public record Species(
        String key,
        String name,
        Fact density,
        Fact tangential,
        Fact radial,
        Fact sideHardness,
        String dust,
        boolean brittle) {
    private static final Pattern KEY = Pattern.compile("[a-z0-9-]{1,40}");

    /** Moisture at which densities are given, per cent. */
    public static final double AT_MOISTURE = 12;

    public Species {
        Refusal.unless(KEY.matcher(key).matches(), "key", "“" + key + "” may hold small letters, digits and dashes");
        Refusal.unless(!name.isBlank() && name.length() <= 60, "name", "needs a name of at most 60 letters");
        Refusal.between(density.value(), 80, 1400, "density");
        Refusal.between(tangential.value(), 0.0002, 0.01, "tangential");
        Refusal.between(radial.value(), 0.0001, 0.01, "radial");
        Refusal.between(sideHardness.value(), 100, 30_000, "hardness");
    }

    public Hardness hardness() {
        return Hardness.of(sideHardness.value());
    }

    /** What a router takes it for: what chips is cut in bites of the next harder class, common practice. */
    public Hardness cutAs() {
        return brittle ? hardness().harder() : hardness();
    }

    /**
     * Mass of a piece at a moisture, g. The wood of the piece at 12 % is taken as given, so the piece at another moisture
     * is heavier or lighter by its water alone; its swelling is left out (under 1 % between 6 and 14 %).
     *
     * @param volume mm³
     * @param moisture per cent
     */
    public Reckoning mass(double volume, Fact moisture) {
        double value = density.value() * volume * 1e-6 * (100 + moisture.value()) / (100 + AT_MOISTURE);
        return Reckoning.of("mass", Quantity.MASS)
                .term("volume, dm³", new Fact(volume * 1e-6, moisture.source(), "its sizes"), Quantity.NUMBER)
                .term("density at 12 %, kg/m³", density, Quantity.NUMBER)
                .term("moisture, %", moisture, Quantity.NUMBER)
                .is(value, "volume x density at 12 % x (100 + moisture) / 112");
    }
}
