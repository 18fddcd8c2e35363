package ebauche.core.timber;

import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Refusal;

/**
 * The air of the shop, and the moisture that wood comes to in it.
 *
 * @param celsius degrees
 * @param humidity relative, a share of 1
 */
public record Climate(double celsius, double humidity) {
    public Climate {
        Refusal.between(celsius, -10, 60, "celsius");
        Refusal.between(humidity, 0.02, 0.98, "humidity");
    }

    /**
     * Equilibrium moisture content, per cent: Wood Handbook, equation 4-5, the sorption model of Hailwood and Horrobin
     * fitted to Sitka spruce; other timbers lie within about one per cent of it.
     */
    public Reckoning equilibriumMoisture() {
        double t = celsius;
        double w = 349 + 1.29 * t + 0.0135 * t * t;
        double k = 0.805 + 0.000736 * t - 0.00000273 * t * t;
        double k1 = 6.27 - 0.00938 * t - 0.000303 * t * t;
        double k2 = 1.91 + 0.0407 * t - 0.000293 * t * t;
        double kh = k * humidity;
        double bound = k1 * kh + 2 * k1 * k2 * kh * kh;
        double emc = 1800 / w * (kh / (1 - kh) + bound / (1 + k1 * kh + k1 * k2 * kh * kh));
        return Reckoning.of("equilibrium moisture, %", Quantity.NUMBER)
                .term("temperature, °C", Fact.measured(t, "the shop's air"), Quantity.NUMBER)
                .term("relative humidity, %", Fact.measured(humidity * 100, "the shop's air"), Quantity.NUMBER)
                .term("W", Fact.rule(w, "349 + 1.29 T + 0.0135 T²"), Quantity.NUMBER)
                .term("K", Fact.rule(k, "0.805 + 0.000736 T - 0.00000273 T²"), Quantity.NUMBER)
                .term("K1", Fact.rule(k1, "6.27 - 0.00938 T - 0.000303 T²"), Quantity.NUMBER)
                .term("K2", Fact.rule(k2, "1.91 + 0.0407 T - 0.000293 T²"), Quantity.NUMBER)
                .is(emc, "1800/W x (KH/(1 - KH) + (K1KH + 2 K1K2K²H²)/(1 + K1KH + K1K2K²H²)), Wood Handbook eq. 4-5");
    }
}
