package ebauche.app.body;

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
    private static final Pattern LIST_PART = Pattern.compile("(pickups|controls|holes)\\.(\\d+)(\\..+)?");
    private static final List<String> OBJECT_PARTS = List.of(
            "controlCavity",
            "jack",
            "bridge.studs",
            "bridge.vibrato",
            "bridge.stringThrough",
            "neck.heel",
            "neck.ferrule",
            "neck.scratchPlate");

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
        for (String element : elements(mine)) {
            samePlace(mine, from, element)
                    .filter(was -> !kind(from, was).equals(kind(mine, element)))
                    .ifPresent(was -> merge.exchange(element));
        }
        return merge.merged;
    }

    /** Paths in {@code to} whose text differs from the same part's in {@code from}. */
    private static List<String> changes(ObjectNode from, ObjectNode to) {
        List<String> changed = new ArrayList<>();
        for (DesignFields.Section section : DesignFields.of(to)) {
            for (DesignFields.Field field : section.fields()) {
                Optional<String> there = samePlace(to, from, field.path());
                if (there.isEmpty() || !DesignEdit.at(from, there.get()).equals(DesignEdit.at(to, field.path()))) {
                    changed.add(field.path());
                }
            }
        }
        return changed;
    }

    private void carry(String path) {
        Optional<String> there = samePlace(mine, merged, path);
        if (there.isPresent()) {
            put(there.get(), DesignEdit.find(mine, path));
        } else if (wholeParts.add(partOf(path))) {
            bringBack(partOf(path));
        }
    }

    /** What a part can be put into. */
    private static List<String> elements(ObjectNode design) {
        List<String> elements = new ArrayList<>(List.of("bridge", "controlCavity", "jack"));
        for (String list : List.of("pickups", "controls", "holes")) {
            for (int i = 0; i < design.path(list).size(); i++) {
                elements.add(list + "." + i);
            }
        }
        return elements;
    }

    /** The kind of part in an element, empty where its sizes are drawn. */
    private static String kind(ObjectNode design, String element) {
        JsonNode of = DesignEdit.find(design, element);
        return of.path(of.has("cover") ? "cover" : "part").path("kind").asString("");
    }

    /** A part exchanged here stands whole, with what comes and goes with it; where it stands is left as it is. */
    private void exchange(String element) {
        Optional<String> there = samePlace(mine, merged, element);
        if (there.isPresent()
                && DesignEdit.find(merged, there.get()) instanceof ObjectNode theirs
                && DesignEdit.find(mine, element) instanceof ObjectNode own) {
            for (String key : Altered.GOES_WITH_PART) {
                if (own.has(key)) {
                    theirs.set(key, own.get(key).deepCopy());
                } else {
                    theirs.remove(key);
                }
            }
        }
    }

    private void bringBack(String part) {
        JsonNode whole = DesignEdit.find(mine, part).deepCopy();
        Matcher list = LIST_PART.matcher(part);
        if (list.matches()) {
            ArrayNode parts = merged.get(list.group(1)) instanceof ArrayNode a ? a : merged.putArray(list.group(1));
            parts.add(whole);
        } else {
            put(part, whole);
        }
    }

    private void put(String path, JsonNode value) {
        int dot = path.lastIndexOf('.');
        JsonNode parent = dot < 0 ? merged : DesignEdit.find(merged, path.substring(0, dot));
        if (parent instanceof ObjectNode object) {
            if (value.isMissingNode()) {
                object.remove(path.substring(dot + 1));
            } else {
                object.set(path.substring(dot + 1), value);
            }
        }
    }

    /** Where a path of one design stands in another; empty if its part is not there. */
    static Optional<String> samePlace(ObjectNode one, ObjectNode other, String path) {
        Matcher list = LIST_PART.matcher(path);
        if (list.matches()) {
            String id = DesignEdit.at(one, list.group(1) + "." + list.group(2) + ".id");
            JsonNode parts = other.path(list.group(1));
            for (int i = 0; i < parts.size(); i++) {
                if (parts.get(i).path("id").asString("").equals(id)) {
                    return Optional.of(list.group(1) + "." + i + (list.group(3) == null ? "" : list.group(3)));
                }
            }
            return Optional.empty();
        }
        String part = partOf(path);
        return part.isEmpty() || DesignEdit.find(other, part).isObject() ? Optional.of(path) : Optional.empty();
    }

    /** The optional part that a path belongs to, empty for the rest of the design. */
    private static String partOf(String path) {
        Matcher list = LIST_PART.matcher(path);
        if (list.matches()) {
            return list.group(1) + "." + list.group(2);
        }
        return OBJECT_PARTS.stream()
                .filter(p -> path.equals(p) || path.startsWith(p + "."))
                .findFirst()
                .orElse("");
    }
}
