package ebauche.core.stock;

import ebauche.core.measure.Refusal;

/**
 * What wood in the stock is made of.
 *
 * @param timber the timber's key
 * @param density kg/m³ at 12 % moisture; kept beside the key, so that what was done can be weighed whatever the table says
 */
public record Material(String timber, double density) {
    public Material {
        Refusal.between(density, 1, 3000, "density");
    }
}
