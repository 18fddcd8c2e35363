package ebauche.app.whatif;

import ebauche.app.box.Box;
import ebauche.app.design.DesignEdit;
import ebauche.app.words.Words;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Jack;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.design.FeatureMove;
import ebauche.exchange.design.PartExchange;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A what-if as it is asked: fields of an address, so that it is stored nowhere and can be opened again or sent to another.
 *
 * <p>{@code thickness}, {@code heel}, {@code saddle} are lengths, {@code floor.ID} the depth of a cavity or the wood that it leaves, {@code angle} degrees,
 * {@code channel.ID.PLACE} a channel's own words, such as {@code channel.wires.from.x}, which begins one that is not there,
 * {@code jack.PLACE} the jack's own, such as {@code jack.entry.x},
 * {@code part.FEATURE} a part's key in the box, {@code open.FEATURE} yes or no: whether it is left undecided, {@code move.FEATURE} millimetres to the treble side and to the neck.
 *
 * @param fields those that ask for a change
 * @param troubles what cannot be read, by field
 */
public record WhatIfQuestion(Map<String, String> fields, Map<String, String> troubles) {
    private static final Map<String, String> LENGTHS = Map.of(
            "thickness", "thickness",
            "heel", "neck/heelThickness",
            "saddle", "bridge/wantedSaddle");

    /** How deep a cavity is, by its id: the wood that it leaves, or its depth, whichever the design has. */
    static final String FLOOR = "floor.";

    /** As addresses said it when a body had one cavity. */
    private static final String ONLY_FLOOR = "wood-over";

    public static final String CHANNEL = "channel.";
    private static final Pattern OF_CHANNEL = Pattern.compile(
            "channel\\.([a-z0-9-]{1,40})\\.(from\\.x|from\\.y|fromUnder|to\\.x|to\\.y|toUnder|diameter|held)");

    private static final String JACK = "jack.";
    private static final Pattern OF_JACK =
            Pattern.compile("jack\\.(entry\\.x|entry\\.y|aim\\.x|aim\\.y|fromFront|diameter)");

    private static final Pattern NUMBER = Pattern.compile("-?\\d{1,3}(\\.\\d{1,4})?");

    /** Farthest that a cavity is moved at once, mm. */
    private static final double FARTHEST = 600;

    private static final int MOST_FIELDS = 80;

    /** Reads what is asked for out of a form's fields; those that are left empty ask for nothing. */
    public static WhatIfQuestion of(Map<String, String> typed) {
        Map<String, String> fields = new LinkedHashMap<>();
        typed.forEach((typedKey, value) -> {
            String key = typedKey.equals(ONLY_FLOOR) ? FLOOR + FeatureKind.ELDEST : typedKey;
            boolean known = LENGTHS.containsKey(key)
                    || key.equals("angle")
                    || key.startsWith(FLOOR)
                    || OF_CHANNEL.matcher(key).matches()
                    || OF_JACK.matcher(key).matches()
                    || key.startsWith("part.")
                    || key.startsWith("open.")
                    || key.startsWith("move.");
            if (known && !value.isBlank() && value.length() <= 120 && fields.size() < MOST_FIELDS) {
                fields.put(key, value.strip());
            }
        });
        return new WhatIfQuestion(fields, new LinkedHashMap<>());
    }

    public boolean isEmpty() {
        return fields.isEmpty();
    }

    /** Puts what is asked for into a design; what cannot be read is named. */
    void into(ObjectNode design, Box box, LengthUnit bare) {
        fields.forEach((key, value) -> {
            if (LENGTHS.containsKey(key)) {
                length(design, key, value, bare);
            } else if (key.startsWith(FLOOR)) {
                floor(design, key, value, bare);
            } else if (key.startsWith(CHANNEL)) {
                channel(design, key, value, bare);
            } else if (key.startsWith(JACK)) {
                place(design.withObject("/jack"), key.substring(JACK.length()), key, value, bare);
            } else if (key.equals("angle")) {
                angle(design, value);
            } else if (key.startsWith("part.")) {
                part(design, key, value, box);
            } else if (key.startsWith("open.")) {
                open(design, key, value);
            } else {
                move(design, key, value);
            }
        });
    }

    /** The feature that a field is about: what follows the first dot. */
    private static Feature named(String key) {
        return Feature.mentioned(key.substring(key.indexOf('.') + 1));
    }

    private void length(ObjectNode design, String key, String value, LengthUnit bare) {
        String[] path = LENGTHS.get(key).split("/");
        if (path.length == 2 && !design.has(path[0])) {
            troubles.put(key, Words.say("what-if-question.this-design-has-none"));
            return;
        }
        put(path.length == 1 ? design : (ObjectNode) design.get(path[0]), path[path.length - 1], key, value, bare);
    }

    private void floor(ObjectNode design, String key, String value, LengthUnit bare) {
        Optional<JsonNode> cavity = design.path("cavities")
                .valueStream()
                .filter(c -> c.path("id").asString("").equals(key.substring(FLOOR.length())))
                .findFirst();
        if (cavity.isPresent()) {
            put((ObjectNode) cavity.get(), cavity.get().has("woodOver") ? "woodOver" : "depth", key, value, bare);
        } else {
            troubles.put(key, Words.say("what-if-question.this-design-has-none"));
        }
    }

    private void put(ObjectNode parent, String field, String key, String value, LengthUnit bare) {
        try {
            parent.put(field, Length.parse(value, bare).toString());
        } catch (LengthFormatException e) {
            troubles.put(key, e.getMessage());
        }
    }

    /** The fields that ask for a channel as it is, to the tenth of a millimetre. */
    public static Map<String, String> channel(Channel channel) {
        Map<String, String> asked = new LinkedHashMap<>();
        String its = CHANNEL + channel.id() + ".";
        asked.put(its + "from.x", tenth(channel.from().x()));
        asked.put(its + "from.y", tenth(channel.from().y()));
        asked.put(its + "fromUnder", tenth(channel.fromUnder()));
        asked.put(its + "to.x", tenth(channel.to().x()));
        asked.put(its + "to.y", tenth(channel.to().y()));
        asked.put(its + "toUnder", tenth(channel.toUnder()));
        asked.put(its + "diameter", Length.ofMillimetres(channel.diameter()).toString());
        return asked;
    }

    private static String tenth(double millimetres) {
        return Decimals.plain(millimetres, 1) + " mm";
    }

    private void channel(ObjectNode design, String key, String value, LengthUnit bare) {
        Matcher asked = OF_CHANNEL.matcher(key);
        if (!asked.matches()) {
            return;
        }
        ObjectNode channel = design.withArray("/channels")
                .valueStream()
                .filter(c -> c.path("id").asString("").equals(asked.group(1)))
                .map(ObjectNode.class::cast)
                .findFirst()
                .orElseGet(() -> design.withArray("/channels").addObject().put("id", asked.group(1)));
        if (asked.group(2).equals("held")) {
            channel.put("held", value);
        } else {
            place(channel, asked.group(2), key, value, bare);
        }
    }

    /** A length of a thing, or of a place of it, such as {@code from.x}. */
    private void place(ObjectNode thing, String its, String key, String value, LengthUnit bare) {
        String[] path = its.split("\\.");
        put(path.length == 1 ? thing : thing.withObject("/" + path[0]), path[path.length - 1], key, value, bare);
    }

    /**
     * The fields that ask for a jack elsewhere, to the tenth of a millimetre.
     *
     * @param stands one that the design has already keeps its own hole
     */
    public static Map<String, String> jack(Jack jack, boolean stands) {
        Map<String, String> asked = new LinkedHashMap<>();
        asked.put(JACK + "entry.x", tenth(jack.entry().x()));
        asked.put(JACK + "entry.y", tenth(jack.entry().y()));
        asked.put(JACK + "aim.x", tenth(jack.aim().x()));
        asked.put(JACK + "aim.y", tenth(jack.aim().y()));
        asked.put(JACK + "fromFront", tenth(jack.fromFront()));
        if (!stands) {
            asked.put(JACK + "diameter", Length.ofMillimetres(jack.diameter()).toString());
        }
        return asked;
    }

    /** The field that asks for a feature elsewhere on its face. */
    public static Map<String, String> move(Feature feature, double dx, double dy) {
        return Map.of("move." + feature.word(), Decimals.plain(dx, 1) + "," + Decimals.plain(dy, 1));
    }

    private void angle(ObjectNode design, String value) {
        String plain = value.replace("°", "").replace(',', '.').strip();
        if (NUMBER.matcher(plain).matches()) {
            design.withObject("/neck").put("angle", Double.parseDouble(plain));
        } else {
            troubles.put("angle", Words.say("what-if-question.is-no-angle-write-degrees-like", value));
        }
    }

    private void part(ObjectNode design, String key, String value, Box box) {
        Optional<Box.InBox> found = box.find(value);
        if (found.isEmpty()) {
            troubles.put(key, Words.say("what-if-question.that-part-is-no-longer-in"));
        } else if (!PartExchange.put(design, named(key), found.get().part())) {
            troubles.put(key, Words.say("what-if-question.this-design-has-nothing-to-put"));
        }
    }

    private void open(ObjectNode design, String key, String value) {
        Feature feature = named(key);
        if (feature.is(FeatureKind.UNKNOWN)) {
            troubles.put(key, Words.say("what-if-question.there-is-nothing-of-that-name"));
        } else if (!value.equals("yes") && !value.equals("no")) {
            troubles.put(key, Words.say("what-if-question.say-yes-to-leave-it-open"));
        } else {
            DesignEdit.undecided(design, feature, value.equals("yes"));
        }
    }

    private void move(ObjectNode design, String key, String value) {
        String[] by = value.split(",");
        boolean numbers = by.length == 2
                && NUMBER.matcher(by[0]).matches()
                && NUMBER.matcher(by[1]).matches();
        if (!numbers || Math.hypot(Double.parseDouble(by[0]), Double.parseDouble(by[1])) > FARTHEST) {
            troubles.put(key, Words.say("what-if-question.is-no-move-write-millimetres-across", value));
        } else if (!FeatureMove.move(design, named(key), Double.parseDouble(by[0]), Double.parseDouble(by[1]))) {
            troubles.put(key, Words.say("what-if-question.there-is-nothing-of-that-name-2"));
        }
    }
}
