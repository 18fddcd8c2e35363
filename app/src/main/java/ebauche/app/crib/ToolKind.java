package ebauche.app.crib;

import ebauche.app.words.Words;
import ebauche.exchange.field.Field;
import ebauche.exchange.field.RecordFields;
import ebauche.exchange.file.ShopFields;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** A kind of tool as the crib's pages name it, with the fields that are typed for it. */
@SuppressWarnings("ImmutableEnumChecker") // its fields are the JDK's unmodifiable lists
public enum ToolKind {
    BITS("bits", ShopFields.BITS),
    ROUTERS("routers", ShopFields.ROUTERS),
    DRILLS("drills", ShopFields.DRILLS),
    SAWS("saws", ShopFields.SAWS),
    DRUMS("drums", ShopFields.DRUMS),
    AIDS("aids", ShopFields.AIDS),
    MACHINES("machines", ShopFields.MACHINES);

    private final String many;
    private final List<Field.Input> fields;
    private final int needed;

    ToolKind(String many, RecordFields<?> of) {
        this.many = many;
        this.fields = of.inputs();
        // What may be left out but stands among the needed is asked with them: a router's kind.
        List<Field.Input> needed = of.needed();
        this.needed = fields.indexOf(needed.get(needed.size() - 1)) + 1;
    }

    public String one() {
        return Words.say("tool-kind." + many);
    }

    /** Its place in a shop's crib, and in an address. */
    public String many() {
        return many;
    }

    public List<Field.Input> fields() {
        return fields;
    }

    /** The fields that cannot be left empty; the others are then as such tools usually are. */
    public List<Field.Input> needed() {
        return fields.subList(0, needed);
    }

    public List<Field.Input> others() {
        return fields.subList(needed, fields.size());
    }

    static Optional<ToolKind> of(String many) {
        return Arrays.stream(values()).filter(k -> k.many.equals(many)).findFirst();
    }
}
