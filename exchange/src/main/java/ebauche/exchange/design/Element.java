package ebauche.exchange.design;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.measure.Refusal;
import ebauche.exchange.field.Field;
import ebauche.exchange.json.JsonPaths;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * One thing that a design is made of, or one sort of thing of which it has as many as its maker wants: where it stands in the file,
 * its fields, the feature that is cut for it, the part that it may follow, what it is begun with, what moves with it.
 */
public final class Element {
    /** Members of one list that a file may hold. */
    static final int MOST_MEMBERS = 40;

    /**
     * Where it holds a bought part.
     *
     * @param usual kind of part that goes there
     * @param exchanged whether another can be put into its place as a whole
     * @param after what else comes and goes with a part
     */
    record Slot(String key, PartKind usual, boolean exchanged, BiConsumer<ObjectNode, Part> after) {}

    /**
     * What moves with a feature.
     *
     * @param with the kind of feature
     * @param points places with x and y, or lists of them
     * @param across lengths across, along lengths to the neck; one that is missing counts as nought
     * @param outlines closed lines
     */
    record Moves(
            FeatureKind with, List<String> points, List<String> across, List<String> along, List<String> outlines) {
        static Moves points(FeatureKind with, String... points) {
            return new Moves(with, List.of(points), List.of(), List.of(), List.of());
        }
    }

    /**
     * What an element is usually begun with.
     *
     * @param name short, as forms send it
     * @param words as a button says it
     * @param json the element, the parts in it by their keys in the library that ships, for a design
     */
    record Beginning(String name, String words, Function<JsonNode, String> json) {}

    private final String path;
    private final String title;
    private final List<Field<?>> fields;
    private final boolean many;
    private final Optional<FeatureKind> feature;
    private final Set<FeatureKind> cutsToo;
    private final boolean optional;
    private final boolean comesWithPart;
    private final Optional<Slot> slot;
    private final List<Beginning> beginnings;
    private final Optional<Moves> moves;
    private final List<Field.Input> asksToo;
    private final Optional<String> wants;
    private final Optional<PartKind> isPart;
    private final boolean asked;
    private final boolean alwaysFitted;
    private final Optional<String> description;
    private final List<String> oneOf;
    private final List<String> notBoth;
    private final List<Field<?>> members;
    private final Predicate<JsonNode> where;
    private final Consumer<ObjectNode> settles;
    private final Function<JsonNode, List<Field.Option>> features;

    private Element(Builder of) {
        path = of.path;
        title = of.title;
        fields = List.copyOf(of.fields);
        many = of.many;
        feature = Optional.ofNullable(of.feature);
        cutsToo = Set.copyOf(of.cutsToo);
        optional = of.optional;
        comesWithPart = of.comesWithPart;
        slot = Optional.ofNullable(of.slot);
        beginnings = List.copyOf(of.beginnings);
        moves = Optional.ofNullable(of.moves);
        asksToo = List.copyOf(of.asksToo);
        wants = Optional.ofNullable(of.wants);
        isPart = Optional.ofNullable(of.isPart);
        asked = of.asked;
        alwaysFitted = of.alwaysFitted;
        description = Optional.ofNullable(of.description);
        oneOf = List.copyOf(of.oneOf);
        notBoth = List.copyOf(of.notBoth);
        members = List.copyOf(of.members);
        where = of.where;
        settles = of.settles;
        features = of.features;
    }

    static Builder of(String path, String title) {
        return new Builder(path, title);
    }

    /**
     * One that is there.
     *
     * @param path its place in the design, such as {@code neck} or {@code pickups.0}
     */
    public record Place(Element element, String path, JsonNode node) {
        /** What it is called in a form. */
        public String title() {
            return element.many ? element.title + " " + node.path("id").asString("") : element.title;
        }

        /** Whether its maker may leave it out: not what comes with a bought part. */
        public boolean optional(JsonNode design) {
            return element.optional
                    && !(element.comesWithPart && element.parent(design).has("part"));
        }

        /** What a form asks for it, sizes of its part by the part's kind. */
        public List<Field.Input> inputs(JsonNode design) {
            List<Field.Input> asked = new ArrayList<>();
            asked.addAll(element.asksToo);
            boolean fitted = element.alwaysFitted || element.follows(design, node);
            for (Field<?> field : element.fields) {
                if (field.with() == Field.With.ALWAYS || (field.with() == Field.With.FITTED) == fitted) {
                    field.inputs()
                            .forEach(i -> asked.add(element.choosing(i, design).under(path)));
                }
            }
            for (int i = 0; i < node.size() && !element.members.isEmpty(); i++) {
                for (Field<?> field : element.members) {
                    for (Field.Input input : field.inputs()) {
                        asked.add(input.numbered(i + 1).under(path + "." + i));
                    }
                }
            }
            if (element.isPart.isPresent()) {
                asked.addAll(PartFile.inputs(path, node));
            }
            part().ifPresent(p -> asked.addAll(PartFile.inputs(p, node.path(JsonPaths.key(p)))));
            return asked;
        }

        /** The feature that is cut for it; empty for a name that no feature can have. */
        public Optional<Feature> feature() {
            try {
                return element.feature.map(
                        k -> k.many() ? Feature.of(k, node.path("id").asString("")) : Feature.of(k));
            } catch (Refusal noName) {
                return Optional.empty();
            }
        }

        /** Whether a feature is cut for it beside its own. */
        boolean cutsToo(Feature other) {
            return element.cutsToo.contains(other.kind())
                    && (!element.many || node.path("id").asString("").equals(other.id()));
        }

        /** The place of the bought part that it holds, if it holds one. */
        public Optional<String> part() {
            return element.slot
                    .filter(s -> node.path(s.key()).isObject())
                    .map(s -> (path.isEmpty() ? "" : path + ".") + s.key());
        }

        /** The key that its part stands under, if another can be put there. */
        public Optional<String> partKey() {
            return element.slot.filter(Slot::exchanged).map(Slot::key);
        }
    }

    /** Those of it that a design has. */
    List<Place> places(JsonNode design) {
        JsonNode here = JsonPaths.find(design, path);
        if (!many) {
            return here.isMissingNode() ? List.of() : List.of(new Place(this, path, here));
        }
        List<Place> places = new ArrayList<>();
        for (int i = 0; i < here.size(); i++) {
            places.add(new Place(this, path + "." + i, here.get(i)));
        }
        return places;
    }

    private boolean follows(JsonNode design, JsonNode node) {
        return comesWithPart
                ? parent(design).has("part")
                : slot.filter(s -> node.path(s.key()).isObject()).isPresent();
    }

    private JsonNode parent(JsonNode design) {
        return JsonPaths.parent(design, path);
    }

    /** Whether one more of it can be begun in a design: it is not there yet, and what it goes with is. */
    boolean canBegin(JsonNode design) {
        boolean there = !many && !JsonPaths.find(design, path).isMissingNode();
        boolean brought = comesWithPart && parent(design).has("part");
        boolean lacks = wants.filter(w -> JsonPaths.find(design, w).isEmpty()).isPresent();
        return !there && !brought && !lacks && where.test(design);
    }

    String path() {
        return path;
    }

    boolean many() {
        return many;
    }

    boolean optional() {
        return optional;
    }

    boolean comesWithPart() {
        return comesWithPart;
    }

    Optional<FeatureKind> feature() {
        return feature;
    }

    boolean isPart() {
        return isPart.isPresent();
    }

    boolean asked() {
        return asked;
    }

    boolean alwaysFitted() {
        return alwaysFitted;
    }

    Optional<String> description() {
        return description;
    }

    List<String> oneOf() {
        return oneOf;
    }

    List<String> notBoth() {
        return notBoth;
    }

    Optional<Slot> slot() {
        return slot;
    }

    private Field.Input choosing(Field.Input input, JsonNode design) {
        List<Field.Option> among = features.apply(design);
        return input.kind() == Field.Kind.CHOICE && input.options().isEmpty() && !among.isEmpty()
                ? new Field.Input(input.path(), input.label(), input.kind(), among, input.measured(), input.ofAPart())
                : input;
    }

    /** Takes out of one of it what cannot stay beside what was chosen. */
    void settle(ObjectNode element) {
        settles.accept(element);
    }

    List<Field<?>> fields() {
        return fields;
    }

    List<Beginning> beginnings() {
        return beginnings;
    }

    Optional<Moves> moves() {
        return moves;
    }

    /** Keys that come and go with its part: the part itself, what is drawn in its place, what is asked only of a part. */
    Set<String> goWithPart() {
        Set<String> keys = new LinkedHashSet<>();
        slot.ifPresent(s -> {
            keys.add(s.key());
            fields.stream()
                    .filter(f -> f.with() != Field.With.ALWAYS)
                    .map(Field::key)
                    .forEach(keys::add);
        });
        return keys;
    }

    /** Gathers an element. */
    static final class Builder {
        private final String path;
        private final String title;
        private final List<Field<?>> fields = new ArrayList<>();
        private final List<Beginning> beginnings = new ArrayList<>();
        private final List<Field.Input> asksToo = new ArrayList<>();
        private boolean many;
        private FeatureKind feature;
        private final Set<FeatureKind> cutsToo = new LinkedHashSet<>();
        private boolean optional;
        private boolean comesWithPart;
        private Slot slot;
        private String wants;
        private Moves moves;
        private PartKind isPart;
        private boolean asked = true;
        private boolean alwaysFitted;
        private String description;
        private List<String> oneOf = List.of();
        private List<String> notBoth = List.of();
        private final List<Field<?>> members = new ArrayList<>();
        private Predicate<JsonNode> where = design -> true;
        private Function<JsonNode, List<Field.Option>> features = design -> List.of();
        private Consumer<ObjectNode> settles = element -> {};

        private Builder(String path, String title) {
            this.path = path;
            this.title = title;
        }

        Builder fields(Field<?>... all) {
            fields.addAll(List.of(all));
            return this;
        }

        /** A design has as many of it as its maker wants, told apart by their ids. */
        Builder many() {
            many = true;
            optional = true;
            return this;
        }

        /** It may be left out. */
        Builder optional() {
            optional = true;
            return this;
        }

        /** It belongs to a bought part where its parent follows one, and is drawn where it does not. */
        Builder comesWithPart() {
            optional = true;
            comesWithPart = true;
            return this;
        }

        Builder feature(FeatureKind kind) {
            feature = kind;
            return this;
        }

        /** What else is cut for it. */
        Builder cutsToo(FeatureKind kind) {
            cutsToo.add(kind);
            return this;
        }

        /** It can follow a bought part, kept under a key. */
        Builder part(String key, PartKind usual) {
            return part(key, usual, (element, part) -> {});
        }

        Builder part(String key, PartKind usual, BiConsumer<ObjectNode, Part> after) {
            slot = new Slot(key, usual, true, after);
            return this;
        }

        /** It holds a part, whose sizes alone are asked for. */
        Builder holds(String key, PartKind usual) {
            slot = new Slot(key, usual, false, (element, part) -> {});
            return this;
        }

        Builder begins(String name, String words, String json) {
            return begins(name, words, design -> json);
        }

        Builder begins(String name, String words, Function<JsonNode, String> json) {
            beginnings.add(new Beginning(name, words, json));
            return this;
        }

        /** It is a list, shown as one: what is asked of each of its members. */
        Builder members(Field<?>... all) {
            members.addAll(List.of(all));
            return this;
        }

        /** It can only be begun in such a design. */
        Builder where(Predicate<JsonNode> such) {
            where = such;
            return this;
        }

        /** Its choices that have no options of their own are of these features of the design. */
        Builder chooses(Function<JsonNode, List<Field.Option>> among) {
            features = among;
            return this;
        }

        /** What goes of it when something else of it is chosen. */
        Builder settles(Consumer<ObjectNode> what) {
            settles = what;
            return this;
        }

        Builder moves(Moves all) {
            moves = all;
            return this;
        }

        /** The form of the design does not show it: it has a page of its own. */
        Builder asksNothing() {
            asked = false;
            return this;
        }

        /** It cannot be without its part. */
        Builder alwaysFitted() {
            alwaysFitted = true;
            return this;
        }

        Builder described(String words) {
            description = words;
            return this;
        }

        /** One of these keys it has, and only one. */
        Builder oneOf(String... keys) {
            oneOf = List.of(keys);
            return this;
        }

        /** Of two keys it has one at the most. */
        Builder notBoth(String one, String other) {
            notBoth = List.of(one, other);
            return this;
        }

        /** It is itself a bought part: its fields are that part's sizes. */
        Builder isPart(PartKind kind) {
            isPart = kind;
            return this;
        }

        /** Asked for beside its own fields, though it stands elsewhere in the design. */
        Builder asksToo(Field<?> elsewhere) {
            asksToo.addAll(elsewhere.inputs());
            return this;
        }

        /** It can only be begun where a list holds something. */
        Builder wants(String list) {
            wants = list;
            return this;
        }

        Element build() {
            return new Element(this);
        }
    }
}
