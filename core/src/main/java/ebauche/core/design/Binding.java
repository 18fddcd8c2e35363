package ebauche.core.design;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Refusal;
import ebauche.core.timber.Species;
import java.util.Optional;

/**
 * A strip let into the corner between a face and the edge, all round but for the neck's mouth.
 *
 * @param id short and lasting, such as {@code front}
 * @param face whose corner it is
 * @param thickness of the strip, as far as its ledge goes in, mm
 * @param height down the edge, mm
 * @param timber what it is made of; empty of plastic
 */
public record Binding(String id, Face face, double thickness, double height, Optional<Species> timber) {
    public Binding {
        Refusal.between(thickness, 0.5, 8, "thickness");
        Refusal.between(height, 1, 30, "height");
    }

    public Feature feature() {
        return Feature.of(FeatureKind.BINDING, id);
    }

    /** What it takes of the plan of a body which a neck enters at its pocket. */
    public Region on(Outline outline, Region pocket) {
        Region body = outline.region();
        Region mouth = pocket.isEmpty() ? Region.EMPTY : pocket.grown(0.2);
        return body.minus(body.grown(-thickness)).minus(mouth);
    }
}
