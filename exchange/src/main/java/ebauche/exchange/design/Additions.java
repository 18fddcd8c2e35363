package ebauche.exchange.design;

import ebauche.core.channel.Slots;
import ebauche.core.design.Hand;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Cover;
import ebauche.core.measure.Decimals;
import ebauche.exchange.field.Field;
import ebauche.exchange.json.JsonPaths;
import ebauche.exchange.json.JsonText;
import ebauche.exchange.json.Lengths;
import ebauche.exchange.table.BoxFile;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What can be added to a design, with usual sizes of its kind (common practice) at a place to be moved from. */
public final class Additions {
    /** A field that is asked for and not typed, or the other way round, tells more than any choice. */
    private static final int ASKED = 100;

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

    /** Adds a channel that was found, to the tenth of a millimetre, under a name that is free. */
    public static void add(ObjectNode design, Channel channel) {
        ArrayNode list = design.get("channels") instanceof ArrayNode there ? there : design.putArray("channels");
        ObjectNode added = list.addObject().put("id", freeId(list, channel.id()));
        place(added.putObject("from"), channel.from());
        added.put("fromUnder", tenth(channel.fromUnder()));
        place(added.putObject("to"), channel.to());
        added.put("toUnder", tenth(channel.toUnder())).put("diameter", Lengths.written(channel.diameter()));
    }

    /** Adds a slot that was found, under the scratch plate and open into both its neighbours, under a name that is free. */
    public static void add(ObjectNode design, Slots.Slot slot) {
        ArrayNode list = design.get("cavities") instanceof ArrayNode there ? there : design.putArray("cavities");
        ObjectNode added = list.addObject()
                .put("id", freeId(list, "slot"))
                .put("from", Face.FRONT.word())
                .put("closed", Cover.Kind.SCRATCH_PLATE.key());
        added.putObject("outline").put("unit", "mm").put("path", slot.path());
        added.put("depth", Lengths.written(slot.depth()));
        added.putArray("joins").add(slot.from().word()).add(slot.into().word());
    }

    private static void place(ObjectNode at, Point point) {
        at.put("x", tenth(point.x())).put("y", tenth(point.y()));
    }

    private static String tenth(double millimetres) {
        return Decimals.plain(millimetres, 1) + " mm";
    }

    private static void begin(ObjectNode design, Element element, Element.Beginning beginning) {
        JsonNode begun = withParts(JsonText.tree(beginning.json().apply(design)), element);
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
        return PartFile.write(BoxFile.shipped(key));
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
        for (int i = design.path(element.path()).size(); i < Element.MOST_MEMBERS; i++) {
            String place = element.path() + "." + i;
            if (!typed.containsKey(place + ".id")) {
                return;
            }
            begin(design, element, likest(design, element, place, typed));
        }
    }

    /** The beginning whose form asks what was typed; of several the one whose choices are what was chosen. */
    private static Element.Beginning likest(
            ObjectNode design, Element element, String place, Map<String, String> typed) {
        Comparator<Element.Beginning> like = Comparator.comparingInt(b -> {
            ObjectNode tried = design.deepCopy();
            begin(tried, element, b);
            int alike = 0;
            Set<String> missing = new HashSet<>();
            typed.keySet().stream().filter(k -> k.startsWith(place + ".")).forEach(missing::add);
            for (Field.Input input : element.places(tried)
                    .get(tried.path(element.path()).size() - 1)
                    .inputs(tried)) {
                boolean asked = missing.remove(input.path());
                boolean chosen = input.kind() == Field.Kind.CHOICE
                        && typed.getOrDefault(input.path(), "").equals(chosen(tried, input));
                alike += (asked ? 0 : -ASKED) + (chosen ? 1 : 0);
            }
            return alike - ASKED * missing.size();
        });
        return element.beginnings().stream()
                .reduce((one, other) -> like.compare(other, one) > 0 ? other : one)
                .orElseThrow();
    }

    private static String chosen(ObjectNode design, Field.Input input) {
        String said = JsonPaths.text(design, input.path());
        return said.isEmpty() && !input.options().isEmpty()
                ? input.options().get(0).word()
                : said;
    }
}
