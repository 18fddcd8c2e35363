package ebauche.app.design;

import ebauche.core.feature.Feature;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.design.DesignCatalogue;
import ebauche.exchange.field.Field;
import ebauche.exchange.json.JsonPaths;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Carries what was typed into a design's JSON, and reads what stands there. Nothing typed is lost, right or wrong. */
public final class DesignEdit {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private DesignEdit() {}

    /**
     * A copy of the design with every field that was typed put in its place; an empty one is taken out, so that its usual
     * value stands.
     *
     * @param bare the unit of a number typed without one
     */
    static ObjectNode apply(ObjectNode design, Map<String, String> typed, LengthUnit bare) {
        ObjectNode out = design.deepCopy();
        for (DesignCatalogue.Section section : DesignCatalogue.sections(design)) {
            begun(out, section, typed);
            for (Field.Input field : section.fields()) {
                String text = typed.get(field.path());
                if (text != null) {
                    put(out, field, text.strip(), bare);
                }
            }
            emptied(out, section);
        }
        DesignCatalogue.settle(out);
        return out;
    }

    /** What may be left out whole is there once something of it is typed. */
    private static void begun(ObjectNode design, DesignCatalogue.Section section, Map<String, String> typed) {
        for (Field.Input field : section.fields()) {
            boolean typedNow = field.kind() != Field.Kind.CHOICE
                    && !typed.getOrDefault(field.path(), "").isBlank();
            String whole = JsonPaths.parentPath(field.path());
            if (field.ofAPart()
                    && typedNow
                    && JsonPaths.find(design, whole).isMissingNode()
                    && JsonPaths.parent(design, whole) instanceof ObjectNode holder) {
                ObjectNode begun = holder.putObject(JsonPaths.key(whole));
                section.fields().stream()
                        .filter(f -> f.kind() == Field.Kind.CHOICE
                                && JsonPaths.parentPath(f.path()).equals(whole))
                        .forEach(f -> begun.put(
                                JsonPaths.key(f.path()), f.options().get(0).word()));
            }
        }
    }

    /** What may be left out whole, and of which nothing is said any more but a choice, is left out. */
    private static void emptied(ObjectNode design, DesignCatalogue.Section section) {
        Map<String, Boolean> said = new LinkedHashMap<>();
        for (Field.Input field : section.fields()) {
            if (field.ofAPart()) {
                boolean there = field.kind() != Field.Kind.CHOICE
                        && !JsonPaths.find(design, field.path()).isMissingNode();
                said.merge(JsonPaths.parentPath(field.path()), there, Boolean::logicalOr);
            }
        }
        said.forEach((whole, there) -> {
            if (!there && !JsonPaths.find(design, whole).isMissingNode()) {
                JsonPaths.remove(design, whole);
            }
        });
    }

    private static void put(ObjectNode design, Field.Input field, String text, LengthUnit bare) {
        JsonNode parent = JsonPaths.parent(design, field.path());
        String key = JsonPaths.key(field.path());
        if (!(parent instanceof ObjectNode object)) {
            return;
        }
        // A browser sends the first of a choice where nothing was chosen: that is its usual value, and stays unsaid.
        boolean unsaid = field.kind() == Field.Kind.CHOICE
                && !object.has(key)
                && text.equals(field.options().get(0).word());
        if (text.isEmpty()) {
            object.remove(key);
        } else if (!unsaid) {
            object.set(key, value(field, text, bare));
        }
    }

    private static JsonNode value(Field.Input field, String text, LengthUnit bare) {
        return switch (field.kind()) {
            case LENGTH -> {
                try {
                    yield JSON.stringNode(Length.parse(text, bare).toString());
                } catch (LengthFormatException e) {
                    yield JSON.stringNode(text);
                }
            }
            case NUMBER -> {
                try {
                    double number = Double.parseDouble(text.replace(',', '.'));
                    yield Double.isFinite(number) && number == Math.rint(number) && Math.abs(number) < 1e9
                            ? JSON.numberNode((int) number)
                            : Double.isFinite(number) ? JSON.numberNode(number) : JSON.stringNode(text);
                } catch (NumberFormatException e) {
                    yield JSON.stringNode(text);
                }
            }
            case LENGTHS, TEXT, LONG_TEXT, CHOICE -> JSON.stringNode(text);
        };
    }

    /** Lengths that are none, by field: all of them at once, before anything is reckoned. */
    static Map<String, String> troubles(ObjectNode design, Map<String, String> typed, LengthUnit bare) {
        Map<String, String> troubles = new LinkedHashMap<>();
        for (DesignCatalogue.Section section : DesignCatalogue.sections(design)) {
            for (Field.Input field : section.fields()) {
                String text = typed.getOrDefault(field.path(), "").strip();
                if (field.kind() == Field.Kind.LENGTH && !text.isEmpty()) {
                    try {
                        Length.parse(text, bare);
                    } catch (LengthFormatException e) {
                        troubles.put(field.path(), e.getMessage());
                    }
                }
            }
        }
        return troubles;
    }

    /** The form's name of a place in a build file: {@code design.pickups[1].depth} is {@code pickups.0.depth}. */
    static String field(String place) {
        String path = place.startsWith("design.") ? place.substring("design.".length()) : place;
        Matcher m = Pattern.compile("\\[(\\d+)]").matcher(path);
        return m.replaceAll(r -> "." + (Integer.parseInt(r.group(1)) - 1));
    }

    /** A copy without some of its optional parts; what is no such part is left alone. */
    static ObjectNode without(ObjectNode design, Collection<String> parts) {
        ObjectNode out = design.deepCopy();
        List<DesignCatalogue.Section> sections = new ArrayList<>(DesignCatalogue.sections(design));
        Collections.reverse(sections); // later entries of a list first, so that none moves before it is taken out
        for (DesignCatalogue.Section section : sections) {
            if (section.optional() && parts.contains(section.path())) {
                JsonPaths.remove(out, section.path());
            }
        }
        return out;
    }

    /** Leaves a feature undecided, or decides on it. */
    public static void undecided(ObjectNode design, Feature feature, boolean open) {
        List<String> all = new ArrayList<>();
        design.path("undecided").forEach(f -> all.add(f.asString("")));
        all.remove(feature.word());
        if (open) {
            all.add(feature.word());
        }
        if (all.isEmpty()) {
            design.remove("undecided");
        } else {
            all.forEach(design.putArray("undecided")::add);
        }
    }
}
