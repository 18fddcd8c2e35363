package ebauche.app.design;

import ebauche.exchange.design.DesignCatalogue;
import ebauche.exchange.field.Field;
import ebauche.exchange.json.JsonPaths;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * One maker's changes put over another's: where only one of them changed a field, that change stands; where both did, mine
 * does. Pickups and controls are known by their ids, not by their places, so that a part taken out or added by the
 * other does not move mine onto its neighbour; a part that is gone over there and was changed here comes back whole.
 */
final class DesignMerge {
    private static final Pattern LIST_PART = Pattern.compile("(\\w+)\\.(\\d+)(\\..+)?");
    private final ObjectNode mine;
    private final ObjectNode merged;
    private final Set<String> wholeParts = new LinkedHashSet<>();

    private DesignMerge(ObjectNode mine, ObjectNode theirs) {
        this.mine = mine;
        this.merged = theirs.deepCopy();
    }

    /**
     * @param from what both started from
     * @param mine the fields changed here
     * @param theirs the fields changed there
     */
    static ObjectNode of(ObjectNode from, ObjectNode mine, ObjectNode theirs) {
        DesignMerge merge = new DesignMerge(mine, theirs);
        changes(from, mine).forEach(merge::carry);
        DesignCatalogue.slots(mine)
                .forEach((element, key) -> samePlace(mine, from, element)
                        .filter(was -> !kind(from, was, key).equals(kind(mine, element, key)))
                        .ifPresent(was -> merge.exchange(element)));
        return merge.merged;
    }

    /** Paths in {@code to} whose text differs from the same part's in {@code from}. */
    private static List<String> changes(ObjectNode from, ObjectNode to) {
        List<String> changed = new ArrayList<>();
        for (DesignCatalogue.Section section : DesignCatalogue.sections(to)) {
            for (Field.Input field : section.fields()) {
                Optional<String> there = samePlace(to, from, field.path());
                if (there.isEmpty() || !JsonPaths.text(from, there.get()).equals(JsonPaths.text(to, field.path()))) {
                    changed.add(field.path());
                }
            }
        }
        return changed;
    }

    private void carry(String path) {
        Optional<String> there = samePlace(mine, merged, path);
        if (there.isPresent()) {
            put(there.get(), JsonPaths.find(mine, path));
        } else if (wholeParts.add(DesignCatalogue.optionalPart(path))) {
            bringBack(DesignCatalogue.optionalPart(path));
        }
    }

    /** The kind of part in an element, empty where its sizes are drawn. */
    private static String kind(ObjectNode design, String element, String key) {
        return JsonPaths.find(design, element).path(key).path("kind").asString("");
    }

    /** A part exchanged here stands whole, with what comes and goes with it; where it stands is left as it is. */
    private void exchange(String element) {
        Optional<String> there = samePlace(mine, merged, element);
        if (there.isPresent()
                && JsonPaths.find(merged, there.get()) instanceof ObjectNode theirs
                && JsonPaths.find(mine, element) instanceof ObjectNode own) {
            for (String key : DesignCatalogue.goWithPart(mine, element)) {
                if (own.has(key)) {
                    theirs.set(key, own.get(key).deepCopy());
                } else {
                    theirs.remove(key);
                }
            }
        }
    }

    private void bringBack(String part) {
        JsonNode whole = JsonPaths.find(mine, part).deepCopy();
        Matcher list = LIST_PART.matcher(part);
        if (isMember(list)) {
            ArrayNode parts = merged.get(list.group(1)) instanceof ArrayNode a ? a : merged.putArray(list.group(1));
            parts.add(whole);
        } else {
            put(part, whole);
        }
    }

    private void put(String path, JsonNode value) {
        JsonNode parent = JsonPaths.parent(merged, path);
        if (parent instanceof ObjectNode object) {
            if (value.isMissingNode()) {
                object.remove(JsonPaths.key(path));
            } else {
                object.set(JsonPaths.key(path), value);
            }
        }
    }

    private static boolean isMember(Matcher place) {
        return place.matches() && DesignCatalogue.isList(place.group(1));
    }

    /** Where a path of one design stands in another; empty if its part is not there. */
    static Optional<String> samePlace(ObjectNode one, ObjectNode other, String path) {
        Matcher list = LIST_PART.matcher(path);
        if (isMember(list)) {
            String id = JsonPaths.text(one, list.group(1) + "." + list.group(2) + ".id");
            JsonNode parts = other.path(list.group(1));
            for (int i = 0; i < parts.size(); i++) {
                if (parts.get(i).path("id").asString("").equals(id)) {
                    return Optional.of(list.group(1) + "." + i + (list.group(3) == null ? "" : list.group(3)));
                }
            }
            return Optional.empty();
        }
        String part = DesignCatalogue.optionalPart(path);
        return part.isEmpty() || JsonPaths.find(other, part).isObject() ? Optional.of(path) : Optional.empty();
    }
}
