package ebauche.core.design;

import ebauche.core.crib.HoldDown;
import ebauche.core.crib.TemplateMaterial;
import ebauche.core.feature.Feature;
import ebauche.core.measure.Refusal;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How the template of one feature is made and held, where it is not as the shop usually does it.
 *
 * @param feature whose template it is, such as {@code outline}
 * @param thickness mm; empty for the shop's usual
 * @param hold empty for the shop's usual
 */
public record TemplateMade(
        Feature feature, OptionalDouble thickness, TemplateMaterial material, Optional<HoldDown> hold) {
    private static final double THINNEST = 2;
    private static final double THICKEST = 60;

    public TemplateMade {
        thickness.ifPresent(t -> Refusal.between(t, THINNEST, THICKEST, "thickness"));
    }

    /** As the shop usually makes and holds them. */
    public static TemplateMade usual(Feature feature) {
        return new TemplateMade(feature, OptionalDouble.empty(), TemplateMaterial.MDF, Optional.empty());
    }
}
