package ebauche.exchange.design;

import ebauche.core.feature.Feature;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.exchange.field.Field;
import java.util.Optional;
import tools.jackson.databind.node.ObjectNode;

/** Another part in the place of a feature's, in a design's JSON. */
public final class PartExchange {
    private PartExchange() {}

    /** The kind of part that a feature takes. */
    public static PartKind usualKind(Feature feature) {
        return DesignCatalogue.ELEMENTS.stream()
                .filter(e -> e.feature().filter(feature::is).isPresent())
                .flatMap(e -> e.slot().stream())
                .map(Element.Slot::usual)
                .findFirst()
                .orElse(PartKind.POT);
    }

    /** Puts a part into the place of a feature's; what was drawn for it goes. False if there is no such feature. */
    public static boolean put(ObjectNode design, Feature feature, Part part) {
        Optional<Element.Place> found =
                DesignCatalogue.place(design, feature).filter(p -> p.partKey().isPresent());
        found.ifPresent(place -> {
            ObjectNode element = (ObjectNode) place.node();
            Element of = place.element();
            of.fields().stream().filter(f -> f.with() == Field.With.DRAWN).forEach(f -> element.remove(f.key()));
            of.slot().orElseThrow().after().accept(element, part);
            element.set(of.slot().orElseThrow().key(), PartFile.write(part));
        });
        return found.isPresent();
    }
}
