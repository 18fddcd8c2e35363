package ebauche.app.design;

import ebauche.app.body.Bodies;
import ebauche.app.drawing.BoardDrawing;
import ebauche.app.drawing.SectionLines;
import ebauche.app.drawing.Voids;
import ebauche.app.web.Figures;
import ebauche.app.web.Kept;
import ebauche.app.web.PageModel;
import ebauche.app.words.Words;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Finding;
import ebauche.core.neck.NeckPocket;
import ebauche.core.neck.PocketState;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.sheet.DepthCard;
import ebauche.core.sheet.Moved;
import ebauche.core.sheet.SideBySide;
import ebauche.exchange.design.DesignCatalogue;
import ebauche.exchange.design.DesignCatalogue.Section;
import ebauche.exchange.design.FeatureMove;
import ebauche.exchange.json.JsonPaths;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.ui.Model;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * What follows from a draft: its plan, drawn with what can be pressed, and what of the part in hand it says.
 *
 * @param cards how deep the part in hand is cut; of the neck more is said
 * @param page of the part in hand, where it has one of its own
 * @param broken what only the draft has wrong, what is about the part in hand first
 * @param stays what was wrong before
 * @param changed keys of the parts that differ from what is kept, parted by spaces
 * @param board the drawing
 */
record DesignTrial(
        BuildPlan plan,
        PocketState pocket,
        NeckPocket.Window window,
        NeckPocket.ErrorBudget budget,
        List<NeckPocket.Sensitivity> sensitivities,
        List<DepthCard> cards,
        boolean ofTheNeck,
        String inHand,
        Optional<String> page,
        List<SideBySide.Row> cavities,
        List<Moved> moved,
        List<Finding> broken,
        List<Finding> stays,
        String changed,
        String board) {

    /**
     * Puts what follows from a draft before a page, or what is wrong with it.
     *
     * @param held key of the part in hand, empty for none
     */
    static void show(Bodies.Current current, Draft draft, String held, Figures fig, Model model) {
        if (draft.isUntouched(current)) {
            BuildPlan plan = current.plan();
            PageModel.put(
                    model,
                    Kept.with(plan)
                            .get(
                                    new Untouched(current.revision().number(), held, fig),
                                    () -> of(current, plan, draft, held, fig)));
            return;
        }
        Draft judged = draft.judged(current);
        if (judged.troubles().isEmpty()) {
            BuildPlan plan = draft.isAsKept(current) ? current.plan() : Planner.plan(draft.build(current));
            PageModel.put(model, of(current, plan, draft, held, fig));
        } else {
            model.addAttribute("unreadable", said(judged));
        }
    }

    /** What is wrong, by the field's name in the form. */
    private static Map<String, String> said(Draft judged) {
        Map<String, String> names = new LinkedHashMap<>();
        DesignCatalogue.sections(judged.design())
                .forEach(s -> s.fields().forEach(f -> names.put(f.path(), s.title() + ", " + f.label())));
        Map<String, String> said = new LinkedHashMap<>();
        judged.troubles().forEach((path, trouble) -> said.put(names.getOrDefault(path, path), trouble));
        return said;
    }

    /** What follows from a revision as it was kept, with a part of it in hand. */
    private record Untouched(int revision, String held, Figures fig) {}

    private static DesignTrial of(Bodies.Current current, BuildPlan plan, Draft draft, String held, Figures fig) {
        List<Section> sections = DesignCatalogue.sections(draft.design());
        Optional<Section> inHand = sections.stream()
                .filter(s -> DesignForm.key(s.path()).equals(held))
                .findFirst();
        PocketState pocket = PocketState.of(plan.build());
        Predicate<Feature> its = feature -> inHand.isPresent()
                && DesignCatalogue.partWith(draft.design(), feature)
                        .filter(inHand.get().path()::equals)
                        .isPresent();
        SideBySide beside = SideBySide.of(current.plan(), plan);
        return new DesignTrial(
                plan,
                pocket,
                pocket.geometry().window(plan.build().design().bridge()),
                pocket.geometry().errorBudget(plan.build().shop().limits()),
                pocket.geometry().sensitivities(),
                DepthCard.of(plan).stream()
                        .filter(c -> its.test(c.feature()) && !c.feature().is(FeatureKind.NECK))
                        .toList(),
                inHand.isEmpty() || aboutTheNeck(held),
                inHand.map(Section::title).orElse(""),
                inHand.flatMap(DesignTrial::page),
                beside.cavities(),
                beside.others().stream().filter(m -> seen(m, fig)).toList(),
                first(beside.appeared(), its),
                first(beside.stay(), its),
                changed(current, draft, sections),
                board(plan, draft, sections, held, fig));
    }

    /** Whether a number differs by as much as is shown of it. */
    private static boolean seen(Moved moved, Figures fig) {
        return moved.before().isEmpty()
                || moved.after().isEmpty()
                || !fig.fine(moved.before().getAsDouble(), moved.quantity())
                        .equals(fig.fine(moved.after().getAsDouble(), moved.quantity()));
    }

    /** How deep the neck goes follows from these, whatever else is in hand. */
    private static boolean aboutTheNeck(String held) {
        return Stream.of("neck", "strings", "bridge").anyMatch(k -> held.equals(k) || held.startsWith(k + "."));
    }

    private static List<Finding> first(List<Finding> found, Predicate<Feature> its) {
        Map<Boolean, List<Finding>> parted = found.stream()
                .collect(Collectors.partitioningBy(f -> f.feature().filter(its).isPresent()));
        return Stream.concat(parted.get(true).stream(), parted.get(false).stream())
                .toList();
    }

    /** The page where a part is laid out by more than its numbers. */
    private static Optional<String> page(Section section) {
        if (section.path().isEmpty()) {
            return Optional.of("/template/outline");
        }
        return section.feature().map(feature -> switch (feature.kind()) {
            case NECK -> "/neck";
            case CAVITY, COVER -> "/cavity?of=" + feature.id();
            case CHANNEL -> "/wires?channel=" + feature.id();
            case CHAMBER -> "/hollow";
            case CONTOUR -> "/contours/" + feature.id();
            case ROUND_OVER, BINDING -> "/edges";
            default -> null;
        });
    }

    private static String changed(Bodies.Current current, Draft draft, List<Section> sections) {
        ObjectNode kept = current.revision().design();
        return sections.stream()
                .filter(s -> s.fields().stream()
                        .anyMatch(f -> DesignMerge.samePlace(draft.design(), kept, f.path())
                                .filter(there ->
                                        JsonPaths.text(kept, there).equals(JsonPaths.text(draft.design(), f.path())))
                                .isEmpty()))
                .map(s -> DesignForm.key(s.path()))
                .collect(Collectors.joining(" "));
    }

    /**
     * What can be pressed.
     *
     * @param path of its part of the form
     * @param mover what moves with it, if a hand may move it
     */
    private record Spot(String path, Optional<Feature> mover) {}

    private static String board(BuildPlan plan, Draft draft, List<Section> sections, String held, Figures fig) {
        Map<Spot, List<Region>> spots = spots(plan, draft);
        List<BoardDrawing.Pressed> pressed = new ArrayList<>();
        for (Section section : sections) {
            spots.forEach((spot, areas) -> {
                if (spot.path().equals(section.path())) {
                    pressed.add(pressed(section, spot, areas, held));
                }
            });
        }
        Optional<Point> middle = pressed.stream()
                .filter(p -> p.held() && !p.key().equals(DesignForm.key("")))
                .map(BoardDrawing.Pressed::middle)
                .findFirst();
        SectionLines lines = SectionLines.within(
                plan,
                plan.steps().size(),
                middle.map(Point::x).orElse(null),
                middle.map(Point::y).orElse(null));
        return BoardDrawing.changing(plan, fig, lines, pressed);
    }

    private static BoardDrawing.Pressed pressed(Section section, Spot spot, List<Region> areas, String held) {
        String title = spot.mover()
                .filter(m -> !section.feature().flatMap(FeatureMove::mover).equals(Optional.of(m)))
                .map(Feature::said)
                .orElse(section.title());
        String key = DesignForm.key(section.path());
        return new BoardDrawing.Pressed(
                key,
                spot.mover().map(Feature::word).orElse(""),
                title,
                spot.mover().isPresent()
                        ? Words.say("design-trial.press-or-move", title)
                        : Words.say("design-trial.press", title),
                areas,
                key.equals(held));
    }

    /** Where everything lies in the plan that a part of the form is about: the body is all of it. */
    private static Map<Spot, List<Region>> spots(BuildPlan plan, Draft draft) {
        Map<Spot, List<Region>> spots = new LinkedHashMap<>();
        Region body = plan.build().design().outline().region();
        spots.put(new Spot("", Optional.empty()), List.of(body));
        plan.build()
                .surfaces()
                .forEach(
                        laid -> put(spots, draft, laid.feature(), laid.beyond(0).intersection(body)));
        Voids.of(plan, plan.steps().size(), Face.FRONT).forEach(v -> put(spots, draft, v.feature(), v.area()));
        return spots;
    }

    /** What no hand moves by itself moves with its part, such as a pickup's leg pockets. */
    private static void put(Map<Spot, List<Region>> spots, Draft draft, Feature feature, Region area) {
        if (!area.isEmpty()) {
            DesignCatalogue.partWith(draft.design(), feature)
                    .map(path -> new Spot(
                            path,
                            FeatureMove.mover(feature)
                                    .or(() -> DesignCatalogue.featureAt(draft.design(), path)
                                            .flatMap(FeatureMove::mover))))
                    .ifPresent(spot ->
                            spots.computeIfAbsent(spot, p -> new ArrayList<>()).add(area));
        }
    }

    /**
     * Fields that a move changed, as the form is to have them.
     *
     * @param before the design as typed
     */
    static String put(ObjectNode before, ObjectNode after) {
        ObjectNode put = JsonNodeFactory.instance.objectNode();
        DesignCatalogue.sections(after)
                .forEach(s -> s.fields().stream()
                        .filter(f -> !JsonPaths.text(before, f.path()).equals(JsonPaths.text(after, f.path())))
                        .forEach(f -> put.put(f.path(), JsonPaths.text(after, f.path()))));
        return put.toString();
    }
}
