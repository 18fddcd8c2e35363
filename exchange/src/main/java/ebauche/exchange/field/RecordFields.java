package ebauche.exchange.field;

import ebauche.exchange.json.JsonPlace;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A record of core as a file holds it: a field for each of its components, of the same name.
 *
 * @param <T> the record
 */
public final class RecordFields<T extends Record> {
    private final Constructor<T> constructor;
    private final List<RecordComponent> components;
    private final Map<String, Field<?>> fields = new LinkedHashMap<>();
    private final Optional<Function<Said, T>> usual;

    private RecordFields(Class<T> type, Optional<Function<Said, T>> usual, List<Field<?>> fields) {
        this.components = List.of(type.getRecordComponents());
        this.usual = usual;
        fields.forEach(f -> this.fields.put(f.key(), f));
        List<String> names =
                components.stream().map(RecordComponent::getName).sorted().toList();
        List<String> keys = this.fields.keySet().stream().sorted().toList();
        if (!names.equals(keys)) {
            throw new IllegalArgumentException(type.getSimpleName() + " has " + names + ", and its fields are " + keys);
        }
        try {
            constructor = type.getConstructor(
                    components.stream().map(RecordComponent::getType).toArray(Class[]::new));
        } catch (NoSuchMethodException e) {
            throw new IllegalArgumentException(e);
        }
    }

    /** What was read of a thing's needed fields. */
    public static final class Said {
        private final Map<String, Object> values = new LinkedHashMap<>();

        /** The value of a field that must be there, or is as usual. */
        @SuppressWarnings("unchecked") // the field under this key made it
        public <V> V of(Field<V> field) {
            return (V) values.get(field.key());
        }
    }

    /** A thing of which every field must be there, or has what it usually is. */
    public static <T extends Record> RecordFields<T> of(Class<T> type, Field<?>... fields) {
        return new RecordFields<>(type, Optional.empty(), List.of(fields));
    }

    /**
     * A thing of which some fields must be there.
     *
     * @param usual what the others are, as such things usually have them
     */
    public static <T extends Record> RecordFields<T> of(Class<T> type, Function<Said, T> usual, Field<?>... fields) {
        return new RecordFields<>(type, Optional.of(usual), List.of(fields));
    }

    /** Settings: whatever is left out is as it was, so that no field must be there. */
    public static <T extends Record> RecordFields<T> settings(Class<T> type, Field<?>... fields) {
        return new RecordFields<>(
                type,
                Optional.empty(),
                Arrays.stream(fields).<Field<?>>map(Field::ifAny).toList());
    }

    /** Reads a thing. */
    public T read(JsonPlace spot) {
        Said said = new Said();
        for (Field<?> field : fields.values()) {
            if (field.needed() || field.hasUsual()) {
                said.values.put(field.key(), field.of(spot));
            }
        }
        return read(spot, said, usual.map(u -> u.apply(said)));
    }

    /** Reads settings over others. */
    public T read(JsonPlace spot, T others) {
        return read(spot, new Said(), Optional.of(others));
    }

    private T read(JsonPlace spot, Said said, Optional<T> others) {
        Object[] values = new Object[components.size()];
        for (int i = 0; i < values.length; i++) {
            RecordComponent component = components.get(i);
            Field<?> field = fields.get(component.getName());
            if (said.values.containsKey(field.key())) {
                values[i] = said.values.get(field.key());
            } else if (others.isPresent() && !spot.has(field.key())) {
                values[i] = value(component, others.get());
            } else {
                values[i] = field.of(spot);
            }
        }
        return made(values);
    }

    private T made(Object... values) {
        try {
            return constructor.newInstance(values);
        } catch (InvocationTargetException e) {
            throw own(e);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Object value(RecordComponent component, Record record) {
        try {
            return component.getAccessor().invoke(record);
        } catch (InvocationTargetException e) {
            throw own(e);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    /** What a record itself threw: it says what is wrong with a value. */
    private static RuntimeException own(InvocationTargetException e) {
        return e.getCause() instanceof RuntimeException refused ? refused : new IllegalStateException(e.getCause());
    }

    /** Writes a thing, every field of it. */
    public ObjectNode write(T record) {
        ObjectNode out = JsonNodeFactory.instance.objectNode();
        Map<String, RecordComponent> byName = new LinkedHashMap<>();
        components.forEach(c -> byName.put(c.getName(), c));
        fields.values().forEach(f -> out.set(f.key(), written(f, value(byName.get(f.key()), record))));
        return out;
    }

    @SuppressWarnings("unchecked") // the component under this key holds what the field makes
    private static <V> JsonNode written(Field<V> field, Object value) {
        return field.written((V) value);
    }

    /** What the file's schema says of it. */
    public ObjectNode schema() {
        ObjectNode schema = JsonNodeFactory.instance.objectNode().put("type", "object");
        ArrayNode required = JsonNodeFactory.instance.arrayNode();
        ObjectNode properties = JsonNodeFactory.instance.objectNode();
        for (Field<?> field : fields.values()) {
            properties.set(field.key(), field.schema());
            if (field.needed()) {
                required.add(field.key());
            }
        }
        if (!required.isEmpty()) {
            schema.set("required", required);
        }
        schema.put("additionalProperties", false);
        schema.set("properties", properties);
        return schema;
    }

    /** What a form asks of it, in order. */
    public List<Field.Input> inputs() {
        return fields.values().stream().flatMap(f -> f.inputs().stream()).toList();
    }

    /** What a form must have of it. */
    public List<Field.Input> needed() {
        return fields.values().stream()
                .filter(Field::needed)
                .flatMap(f -> f.inputs().stream())
                .toList();
    }
}
