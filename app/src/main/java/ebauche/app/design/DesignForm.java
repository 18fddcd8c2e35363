package ebauche.app.design;

import ebauche.app.body.Bodies;
import ebauche.app.web.PageModel;
import ebauche.core.feature.Feature;
import ebauche.core.logbook.AsBuilt;
import ebauche.exchange.design.Additions;
import ebauche.exchange.design.DesignCatalogue;
import ebauche.exchange.field.Field;
import ebauche.exchange.json.JsonPaths;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.ui.Model;

/**
 * The form of a design: its parts, each folded, the one in hand beside the drawing.
 *
 * @param parts in the order of the catalogue
 * @param held key of the part in hand, empty for none
 * @param values as they are shown, by the places of their fields
 * @param measured what was read at the bench in their stead
 * @param untouched whether it shows the design as it was saved last, and nothing else
 */
record DesignForm(
        Bodies.Current current,
        int base,
        int from,
        List<Part> parts,
        String held,
        Map<String, String> values,
        Map<String, String> troubles,
        List<Map.Entry<String, String>> troublesElsewhere,
        Map<String, AsBuilt.Reading> measured,
        List<String> leaveOut,
        List<Additions.Addition> addable,
        boolean noWay,
        boolean untouched) {

    /** The key of the body itself, whose place in a design is empty. */
    private static final String BODY = "body";

    /**
     * A part of the form.
     *
     * @param key as addresses name it
     * @param few its own numbers
     * @param rest lines as path data and the sizes of its bought part, which seldom change
     */
    public record Part(DesignCatalogue.Section section, String key, List<Field.Input> few, List<Field.Input> rest) {
        static Part of(DesignCatalogue.Section section) {
            List<Field.Input> rest =
                    section.fields().stream().filter(f -> seldom(section, f)).toList();
            List<Field.Input> few =
                    section.fields().stream().filter(f -> !rest.contains(f)).toList();
            return few.isEmpty()
                    ? new Part(section, DesignForm.key(section.path()), rest, List.of())
                    : new Part(section, DesignForm.key(section.path()), few, rest);
        }

        private static boolean seldom(DesignCatalogue.Section section, Field.Input field) {
            boolean ofALine = field.path().endsWith(".unit") || field.kind() == Field.Kind.LONG_TEXT;
            return ofALine
                    || section.part()
                            .filter(p -> field.path().startsWith(p + "."))
                            .isPresent();
        }
    }

    static String key(String path) {
        return path.isEmpty() ? BODY : path;
    }

    /** Whether a part is marked to be left out. */
    public boolean leavesOut(Part part) {
        return leaveOut.contains(part.section().path());
    }

    /** Whether something is wrong in a part. */
    public boolean troubled(Part part) {
        return part.section().fields().stream().anyMatch(f -> troubles.containsKey(f.path()));
    }

    /** Whether something is wrong in what of it seldom changes. */
    public boolean troubledDeep(Part part) {
        return part.rest().stream().anyMatch(f -> troubles.containsKey(f.path()));
    }

    /**
     * The form of a draft.
     *
     * @param wanted key of the part to have in hand, or a feature that it asks for; one where something is wrong goes first
     */
    static DesignForm of(Bodies.Current current, Draft draft, String wanted) {
        List<Part> parts = DesignCatalogue.sections(
                        draft.design(), current.ways().timbers())
                .stream()
                .map(Part::of)
                .toList();
        Map<String, String> values = new LinkedHashMap<>();
        parts.stream()
                .flatMap(p -> p.section().fields().stream())
                .forEach(f -> values.put(
                        f.path(),
                        draft.troubles().containsKey(f.path())
                                ? draft.typed().getOrDefault(f.path(), "")
                                : JsonPaths.text(draft.design(), f.path())));
        Optional<Part> wrong = parts.stream()
                .filter(p -> p.section().fields().stream()
                        .anyMatch(f -> draft.troubles().containsKey(f.path())))
                .findFirst();
        String held = wrong.map(Part::key)
                .or(() -> parts.stream().map(Part::key).filter(wanted::equals).findFirst())
                .or(() -> DesignCatalogue.partWith(draft.design(), Feature.mentioned(wanted))
                        .map(DesignForm::key))
                .orElse("");
        Map<String, AsBuilt.Reading> measured = new LinkedHashMap<>();
        AsBuilt record = current.plan().build().asBuilt();
        DesignCatalogue.measurable(draft.design())
                .forEach((path, size) -> record.latest(size).ifPresent(reading -> measured.put(path, reading)));
        return new DesignForm(
                current,
                draft.base(),
                draft.from().number(),
                parts,
                held,
                values,
                draft.troubles(),
                draft.troubles().entrySet().stream()
                        .filter(t -> !values.containsKey(t.getKey()))
                        .toList(),
                measured,
                draft.leaveOut(),
                Additions.to(draft.design()),
                current.plan().findings().stream().anyMatch(f -> f.rule().equals("no-way-for-wires")),
                draft.isUntouched(current));
    }

    void show(Model model) {
        PageModel.put(model, this);
        model.addAttribute("form", this);
    }
}
