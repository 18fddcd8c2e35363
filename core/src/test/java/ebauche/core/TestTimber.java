package ebauche.core;

import ebauche.core.measure.Fact;
import ebauche.core.stock.Material;
import ebauche.core.timber.Species;

/** Timbers for core's own tests; the table that ships is checked where it is read. */
public final class TestTimber {
    public static final Species ALDER = species("alder", "red alder", 459.2, 0.00256, 0.00151, 2600);
    public static final Species ASH = species("ash", "white ash", 672, 0.00274, 0.00169, 5900);
    public static final Species WALNUT = species("walnut", "black walnut", 616, 0.00274, 0.00190, 4500);
    /** Half the movement and a tenth lighter than untreated: trade reports, from memory. */
    public static final Species HEAT_TREATED_ASH =
            species("heat-treated-ash", "heat-treated ash", 605, 0.00137, 0.00085, 5000);

    public static final Material MATERIAL =
            new Material("alder", ALDER.density().value());

    private TestTimber() {}

    private static Species species(
            String key, String name, double density, double tangential, double radial, double hardness) {
        return new Species(
                key,
                name,
                from(density),
                from(tangential),
                from(radial),
                from(hardness),
                "Dust: extraction and a mask.",
                key.startsWith("heat-treated"));
    }

    private static Fact from(double value) {
        return Fact.rule(value, "test");
    }
}
