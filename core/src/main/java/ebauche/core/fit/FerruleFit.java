package ebauche.core.fit;

import ebauche.core.feature.Feature;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartSize;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Reckoning;
import java.util.List;

/**
 * The seat that a ferrule wants in the back, for a string or for a neck screw. Millimetres; each number with its sum.
 *
 * @param feature the seats' feature
 */
public record FerruleFit(PartSizes sizes, Feature feature, Part part) {
    /** Depth of the seat: the ferrule's length, so that it ends flush with the back. */
    public Reckoning depth() {
        Fact length = size(PartSize.LENGTH);
        return PartSizes.sum("ferrule seat depth")
                .length("ferrule's length", length)
                .is(length.value(), "ferrule's length");
    }

    /** Diameter of the seat: a ferrule is pressed in. */
    public Reckoning seat() {
        Fact wide = size(PartSize.DIAMETER);
        return PartSizes.sum("ferrule seat").length("ferrule's diameter", wide).is(wide.value(), "ferrule's diameter");
    }

    /** How far under the back a screw's head comes to lie in it. */
    public Fact headSunk() {
        return size(PartSize.HEAD_SUNK);
    }

    List<Reckoning> sums() {
        return List.of(seat(), depth());
    }

    private Fact size(PartSize size) {
        return sizes.size(feature, part, size);
    }
}
