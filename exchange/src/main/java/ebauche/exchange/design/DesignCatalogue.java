package ebauche.exchange.design;

import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.timber.Timbers;
import ebauche.exchange.field.Field;
import ebauche.exchange.json.JsonPaths;
import ebauche.exchange.table.TimberFile;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * All that a design is made of, in one place: from it come what is read, the form and its buttons, what is told of a difference, how two
 * makers' changes are put together, exchanged parts, moves, and the design's part of the file's schema.
 */
public final class DesignCatalogue {
    /** Every element, as the form shows them. */
    static final List<Element> ELEMENTS = List.of(
            NeckElements.NECK,
            NeckElements.STRINGS,
            NeckElements.HEEL,
            NeckElements.FERRULES,
            NeckElements.INSERTS,
            NeckElements.SCRATCH_PLATE,
            BridgeElements.BRIDGE,
            BridgeElements.STUDS,
            BridgeElements.VIBRATO,
            BridgeElements.STRING_THROUGH,
            BodyElements.BODY,
            BodyElements.BLANK,
            BodyElements.STRIPS_LAID,
            BodyElements.TOP,
            CavityElements.PICKUPS,
            CavityElements.CONTROLS,
            CavityElements.CAVITIES,
            CavityElements.JACK,
            CavityElements.HOLES,
            CavityElements.CHANNELS,
            CavityElements.WIRES,
            CavityElements.SHIELDS,
            ChamberElements.CHAMBERS,
            BodyElements.CONTOURS,
            BodyElements.LINE,
            BodyElements.STRETCH,
            BodyElements.DISC,
            BodyElements.ROUND_OVERS,
            BodyElements.ROUNDED_STRETCH,
            BodyElements.BINDINGS,
            BodyElements.NEW_CAP,
            BodyElements.TABS,
            BodyElements.HANGING,
            BodyElements.TEMPLATES);

    private DesignCatalogue() {}

    /**
     * A part of the form.
     *
     * @param path the object or list entry it shows, empty for the body itself
     * @param feature what is cut for it, if anything is
     * @param part place of the bought part that it holds, if it holds one
     * @param optional whether it can be left out of the design
     */
    public record Section(
            String title,
            String path,
            Optional<Feature> feature,
            Optional<String> part,
            boolean optional,
            List<Field.Input> fields) {}

    private static Stream<Element.Place> places(JsonNode design) {
        return ELEMENTS.stream().filter(Element::asked).flatMap(e -> e.places(design).stream());
    }

    /** Takes out what cannot stay beside what was chosen, such as a bought cover beside one of the body's own wood. */
    public static void settle(ObjectNode design) {
        places(design).filter(p -> p.node().isObject()).forEach(p -> p.element().settle((ObjectNode) p.node()));
    }

    /** The sections of a design, for those who ask only for its fields' places and labels. */
    public static List<Section> sections(JsonNode design) {
        return sections(design, TimberFile.SHIPPED);
    }

    /** The sections of a design, with the parts that it has and the timbers that can be chosen. */
    public static List<Section> sections(JsonNode design, Timbers timbers) {
        List<Field.Option> said = timbers.all().stream()
                .map(s -> new Field.Option(s.key(), s.name()))
                .toList();
        return places(design)
                .map(p -> new Section(
                        p.title(),
                        p.path(),
                        p.feature(),
                        p.part(),
                        p.optional(design),
                        p.inputs(design).stream().map(i -> choosing(i, said)).toList()))
                .toList();
    }

    private static Field.Input choosing(Field.Input input, List<Field.Option> timbers) {
        boolean ofTimbers = input.kind() == Field.Kind.CHOICE
                && input.options().stream().allMatch(o -> o.word().isEmpty());
        return ofTimbers
                ? new Field.Input(
                        input.path(),
                        input.label(),
                        input.kind(),
                        Stream.concat(input.options().stream(), timbers.stream())
                                .toList(),
                        input.measured(),
                        input.ofAPart())
                : input;
    }

    /** What a reading replaces, by the place of the field that it stands in. */
    public static Map<String, Measurand> measurable(JsonNode design) {
        Map<String, Measurand> all = new LinkedHashMap<>();
        places(design)
                .forEach(place -> place.inputs(design).forEach(input -> {
                    input.measured().ifPresent(d -> all.put(input.path(), d));
                    PartFile.size(input.path())
                            .flatMap(size -> place.feature().map(f -> new Measurand.SizeOf(f, size)))
                            .ifPresent(size -> all.put(input.path(), size));
                }));
        return all;
    }

    /** Features whose part can be another, or can be one where none was. */
    public static List<Feature> fitted(JsonNode design) {
        return places(design)
                .filter(p -> p.partKey().isPresent() && !p.element().alwaysFitted())
                .flatMap(p -> p.feature().stream())
                .toList();
    }

    /** The place of a design's element that a feature is cut for. */
    static Optional<Element.Place> place(JsonNode design, Feature feature) {
        return places(design)
                .filter(p -> p.feature().filter(feature::equals).isPresent())
                .findFirst();
    }

    /**
     * The place of the part of a design that asks for a feature: its own, else that of what it comes with, such as the cavity's for its
     * cover's screws.
     */
    public static Optional<String> partWith(JsonNode design, Feature feature) {
        return place(design, feature)
                .or(() -> places(design).filter(p -> p.cutsToo(feature)).findFirst())
                .or(() -> places(design)
                        .filter(p -> p.feature()
                                .filter(f -> f.owner().equals(feature.owner()))
                                .isPresent())
                        .findFirst())
                .map(Element.Place::path);
    }

    /** The feature that is cut for the part of a design at a place, if one is. */
    public static Optional<Feature> featureAt(JsonNode design, String path) {
        return places(design).filter(p -> p.path().equals(path)).findFirst().flatMap(Element.Place::feature);
    }

    /** What can be told apart in two designs: members of lists by their ids, the rest by their places. */
    public static boolean isList(String path) {
        return ELEMENTS.stream().anyMatch(e -> e.asked() && e.many() && e.path().equals(path));
    }

    /** The optional element that a place belongs to, empty for the rest of the design. */
    public static String optionalPart(String path) {
        for (Element element : ELEMENTS) {
            String own = element.path();
            if (!element.asked() || !element.optional() || own.equals(BodyElements.STRIPS_LAID.path())) {
                continue;
            }
            if (element.many() && path.startsWith(own + ".")) {
                String rest = path.substring(own.length() + 1);
                return own + "." + rest.split("\\.", 2)[0];
            }
            if (!element.many() && (path.equals(own) || path.startsWith(own + "."))) {
                return own;
            }
        }
        return "";
    }

    /** The places of a design that can follow a part, with the key that the part stands under. */
    public static Map<String, String> slots(JsonNode design) {
        Map<String, String> slots = new LinkedHashMap<>();
        places(design).forEach(p -> p.partKey().ifPresent(key -> slots.put(p.path(), key)));
        return slots;
    }

    /** Keys of the element at a place that come and go with its part. */
    public static List<String> goWithPart(JsonNode design, String path) {
        List<String> keys = new ArrayList<>();
        for (Element element : ELEMENTS) {
            if (element.places(design).stream().anyMatch(p -> p.path().equals(path))) {
                keys.addAll(element.goWithPart());
            }
            if (element.comesWithPart() && JsonPaths.parentPath(element.path()).equals(path)) {
                keys.add(JsonPaths.key(element.path()));
            }
        }
        return keys;
    }
}
