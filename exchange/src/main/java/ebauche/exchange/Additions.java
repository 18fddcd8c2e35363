package ebauche.exchange;

import ebauche.core.design.Hand;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What can be added to a design, with usual sizes of its kind (common practice) at a place to be moved from. */
public final class Additions {
    private Additions() {}

    /**
     * Something that can be added.
     *
     * @param name short, as forms send it
     * @param words as a button says it
     */
    public record Addition(String name, String words) {}

    /** What can be added to a design as it stands. */
    public static List<Addition> to(JsonNode design) {
        return DesignCatalogue.ELEMENTS.stream()
                .filter(e -> e.canBegin(design))
                .flatMap(e -> e.beginnings().stream())
                .map(b -> new Addition(b.name(), b.words()))
                .toList();
    }

    /** Adds what has that name; does nothing for a name that is not known, or for what the design cannot have more of. */
    public static void add(ObjectNode design, String name) {
        for (Element element : DesignCatalogue.ELEMENTS) {
            for (Element.Beginning beginning : element.beginnings()) {
                if (beginning.name().equals(name) && element.canBegin(design)) {
                    begin(design, element, beginning);
                }
            }
        }
    }

    private static void begin(ObjectNode design, Element element, Element.Beginning beginning) {
        JsonNode begun = withParts(json(beginning.json()), element);
        if (Hand.LEFT.word().equals(design.path("hand").asString(""))) {
            Mirrored.inPlace(begun);
        }
        if (element.many()) {
            ArrayNode list =
                    design.get(element.path()) instanceof ArrayNode there ? there : design.putArray(element.path());
            ((ObjectNode) begun).put("id", freeId(list, begun.path("id").asString("")));
            list.add(begun);
        } else if (JsonPaths.parent(design, element.path()) instanceof ObjectNode parent) {
            parent.set(JsonPaths.key(element.path()), begun);
        }
    }

    /** Parts named by their keys in the library that ships, put in whole. */
    private static JsonNode withParts(JsonNode begun, Element element) {
        if (element.isPart()) {
            return generic(begun.asString(""));
        }
        element.slot()
                .filter(s -> begun.path(s.key()).isString())
                .ifPresent(s -> ((ObjectNode) begun)
                        .set(s.key(), generic(begun.path(s.key()).asString(""))));
        return begun;
    }

    private static ObjectNode generic(String key) {
        return BoxFile.SHIPPED.stream()
                .filter(g -> g.key().equals(key))
                .findFirst()
                .map(g -> PartFile.write(g.part()))
                .orElseThrow();
    }

    private static String freeId(ArrayNode list, String wanted) {
        Set<String> taken = new HashSet<>();
        list.forEach(p -> taken.add(p.path("id").asString("")));
        String id = wanted;
        for (int i = 2; taken.contains(id); i++) {
            id = wanted + "-" + i;
        }
        return id;
    }

    /** A copy of a design with what a form shows and the design has not yet, so that its fields have a place. */
    public static ObjectNode shown(ObjectNode design, Map<String, String> typed) {
        ObjectNode out = design.deepCopy();
        for (Element element : DesignCatalogue.ELEMENTS) {
            if (element.beginnings().isEmpty()) {
                continue;
            }
            if (element.many()) {
                shownMembers(out, element, typed);
            } else if (typed.keySet().stream().anyMatch(k -> k.startsWith(element.path() + "."))) {
                add(out, element.beginnings().get(0).name());
            }
        }
        return out;
    }

    private static void shownMembers(ObjectNode design, Element element, Map<String, String> typed) {
        String first = element.beginnings().get(0).name();
        for (int i = design.path(element.path()).size(); i < Element.MOST_MEMBERS; i++) {
            String place = element.path() + "." + i;
            if (!typed.containsKey(place + ".id")) {
                return;
            }
            String kind = typed.getOrDefault(place + ".part.kind", first);
            Optional<String> known = element.beginnings().stream()
                    .map(Element.Beginning::name)
                    .filter(kind::equals)
                    .findFirst();
            add(design, known.orElse(first));
        }
    }

    static JsonNode json(String text) {
        return BuildFile.tree(text.getBytes(StandardCharsets.UTF_8));
    }
}
