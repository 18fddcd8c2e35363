package ebauche.exchange.takeon;

import ebauche.core.design.EndsAs;
import ebauche.core.design.NeckJoint;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.PathData;
import ebauche.core.geometry.PathFormatException;
import ebauche.core.geometry.Placing;
import ebauche.core.geometry.Segment;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.measure.LengthUnit;
import ebauche.core.measure.Refusal;
import ebauche.core.takeon.NeckInHand;
import ebauche.core.takeon.OnTheBench;
import ebauche.core.takeon.PickupPlace;
import ebauche.core.takeon.PlainOutline;
import ebauche.core.takeon.Strung;
import ebauche.exchange.drawn.NeckPoints;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;

/**
 * What was typed and picked on the take-on page, read field by field: all that is wrong is named at once. A field that is empty, or not
 * there, is as usual; {@value #OPEN} is "not decided".
 */
public final class Answers {
    /** The answer that decides nothing and keeps the wood. */
    public static final String OPEN = "open";

    /** No such thing on this body. */
    public static final String NONE = "none";

    /** What is usual for these strings. */
    public static final String USUAL = "usual";

    /** The outline is the maker's own. */
    public static final String OWN = "own";

    /** Pots on a body: more have no room on one. */
    public static final int MOST_POTS = 5;

    private static final int MOST_NAME = 120;

    private final Map<String, String> typed;
    private final LengthUnit bare;
    private final Function<String, Optional<Part>> box;
    private final Map<String, String> troubles = new LinkedHashMap<>();

    /**
     * Answers as they came.
     *
     * @param typed by field
     * @param bare unit of a length without one
     * @param box finds a part by its key
     */
    public Answers(Map<String, String> typed, LengthUnit bare, Function<String, Optional<Part>> box) {
        this.typed = Map.copyOf(typed);
        this.bare = bare;
        this.box = box;
    }

    /** What is wrong, by field. */
    public Map<String, String> troubles() {
        return troubles;
    }

    /** Whether all could be read that the layout follows from: a name may come last. */
    boolean canBeLaidOut() {
        return troubles.keySet().stream().allMatch("name"::equals);
    }

    LengthUnit bare() {
        return bare;
    }

    /** A field as it was typed, or what it is where it is empty. */
    String text(String field, String otherwise) {
        String text = typed.getOrDefault(field, "").strip();
        return text.isEmpty() ? otherwise : text;
    }

    boolean is(String field, String word) {
        return text(field, "").equals(word);
    }

    boolean ticked(String field) {
        return !text(field, "").isEmpty();
    }

    /** The body's name; a body needs one. */
    String name() {
        String name = text("name", "");
        if (name.isEmpty() || name.length() > MOST_NAME) {
            troubles.put("name", "a body needs a name of up to " + MOST_NAME + " letters");
            return "Untitled";
        }
        return name;
    }

    /** A length as it was typed, with its unit. */
    Optional<Length> length(String field) {
        String text = text(field, "");
        if (text.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(Length.parse(text, bare));
        } catch (LengthFormatException e) {
            troubles.put(field, e.getMessage());
            return Optional.empty();
        }
    }

    private OptionalDouble millimetres(String field) {
        return length(field).map(l -> OptionalDouble.of(l.millimetres())).orElse(OptionalDouble.empty());
    }

    int whole(String field, int otherwise, int least, int most) {
        String text = text(field, Integer.toString(otherwise));
        if (!text.matches("\\d{1,3}") || Integer.parseInt(text) < least || Integer.parseInt(text) > most) {
            troubles.put(field, "must be a whole number from " + least + " to " + most);
            return otherwise;
        }
        return Integer.parseInt(text);
    }

    Strung strung() {
        return is("strung", Strung.BASS.key()) ? Strung.BASS : Strung.GUITAR;
    }

    int strings() {
        return whole("strings", strung() == Strung.BASS ? 4 : 6, OnTheBench.FEWEST_STRINGS, OnTheBench.MOST_STRINGS);
    }

    boolean left() {
        return is("hand", "left");
    }

    /** As what it leaves the shop. */
    EndsAs endsAs() {
        return Arrays.stream(EndsAs.values())
                .filter(e -> is("endsAs", e.key()))
                .findFirst()
                .orElse(EndsAs.FINISHED);
    }

    NeckJoint.Kind joint() {
        return is("joint", NeckJoint.Kind.SET.key()) ? NeckJoint.Kind.SET : NeckJoint.Kind.BOLT_ON;
    }

    OnTheBench.Mounting mounting() {
        return Arrays.stream(OnTheBench.Mounting.values())
                .filter(m -> is("mounting", m.key()))
                .findFirst()
                .orElse(OnTheBench.Mounting.THROUGH_WOOD);
    }

    /** A part by its key in the box; the usual one where nothing was picked or nothing is decided. */
    Part part(String field, PartKind like, Part usual) {
        String key = text(field, USUAL);
        if (key.equals(USUAL) || key.equals(OPEN)) {
            return usual;
        }
        Optional<Part> found = box.apply(key).filter(p -> stands(p.kind(), like));
        if (found.isEmpty()) {
            troubles.put(field, "the box has no such part any more; pick another");
        }
        return found.orElse(usual);
    }

    private static boolean stands(PartKind kind, PartKind like) {
        if (like == PartKind.JACK) {
            return kind == PartKind.JACK || kind == PartKind.JACK_DISH;
        }
        return like.isBridge() ? kind.isBridge() : like.isControl() ? kind.isControl() : kind == like;
    }

    /** Whether there is one, chosen or not decided on. */
    boolean has(String field, boolean usually) {
        return !text(field, usually ? USUAL : NONE).equals(NONE);
    }

    boolean open(String field) {
        return is(field, OPEN);
    }

    Map<PickupPlace, Part> pickups() {
        Map<PickupPlace, Part> pickups = new EnumMap<>(PickupPlace.class);
        for (PickupPlace place : PickupPlace.values()) {
            if (has(pickup(place), place != PickupPlace.MIDDLE)) {
                pickups.put(place, part(pickup(place), PartKind.PICKUP, Usual.pickup(strung(), strings())));
            }
        }
        return pickups;
    }

    /** The field that asks for the pickup of a place. */
    public static String pickup(PickupPlace place) {
        return "pickup-" + place.id();
    }

    /** How many pots; two where nobody has decided. */
    private int pots() {
        return open("pots") ? 2 : whole("pots", 2, 0, MOST_POTS);
    }

    /** Ids and parts of the controls, from the neck to the tail: the switch first, then volume, then tone. */
    Map<String, Part> controls() {
        Map<String, Part> controls = new LinkedHashMap<>();
        if (has("switch", false)) {
            controls.put("switch", part("switch", PartKind.TOGGLE_SWITCH, Usual.toggle()));
        }
        Part pot = part("pot", PartKind.POT, Usual.pot());
        int pots = pots();
        for (int i = 0; i < pots; i++) {
            controls.put(potName(i, pots), pot);
        }
        return controls;
    }

    /** One or two: volume, then tone; more are numbered, the volumes first. */
    private static String potName(int i, int pots) {
        int volumes = (pots + 1) / 2;
        boolean volume = i < volumes;
        boolean several = volume ? volumes > 1 : pots - volumes > 1;
        return (volume ? "volume" : "tone") + (several ? "-" + (volume ? i + 1 : i - volumes + 1) : "");
    }

    /** What is asked, as core lays it out; right-handed. */
    OnTheBench onTheBench(double scale) {
        NeckInHand neck = new NeckInHand(
                joint(),
                whole("frets", strung().frets(), 12, 36),
                millimetres("nutToEnd"),
                millimetres("heelWidth"),
                millimetres("heelLength"),
                millimetres("heelThickness"),
                millimetres("boardThickness"));
        return new OnTheBench(
                strung(),
                strings(),
                scale,
                neck,
                part("bridge", PartKind.FLAT_BRIDGE, Usual.bridge(strung(), strings())),
                ticked("stringsThrough"),
                pickups(),
                new ArrayList<>(controls().values()),
                mounting(),
                line());
    }

    private OnTheBench.Line line() {
        if (!is("outline", OWN)) {
            PlainOutline shape = PlainOutline.of(text("outline", "")).orElse(PlainOutline.PEAR);
            OptionalDouble width = millimetres("width");
            return new OnTheBench.Line.Plain(
                    shape, width.isPresent() ? Optional.of(width.getAsDouble()) : Optional.empty());
        }
        try {
            return new OnTheBench.Line.Own(drawn());
        } catch (PathFormatException | Refusal e) {
            troubles.put("path", e.getMessage());
            return new OnTheBench.Line.Plain(PlainOutline.PEAR, Optional.empty());
        }
    }

    /** The maker's own line: turned neck up, seen from the front, its middle or what was said on the centre line; for the left hand mirrored. */
    private List<Segment> drawn() {
        String path = text("path", "");
        Refusal.unless(!path.isEmpty(), "path", "bring in a drawing, or paste a path");
        List<Segment> segments = PathData.parse(path, perUnit());
        List<Placing> ways = new ArrayList<>();
        ways.add(new Placing(false, 1, NeckPoints.of(text("neckPoints", "")).turned(), 0, 0));
        if (ticked("fromBack")) {
            ways.add(Placing.fromTheBack());
        }
        List<Segment> up = placed(segments, ways);
        var region = Outline.of(up).region();
        double off = millimetres("centreOff").orElse(0);
        List<Placing> on = new ArrayList<>();
        on.add(Placing.moved(-(region.minX() + region.maxX()) / 2 - off, 0));
        if (left()) {
            on.add(Placing.fromTheBack());
        }
        return placed(up, on);
    }

    private static List<Segment> placed(List<Segment> segments, List<Placing> ways) {
        List<Segment> there = segments;
        for (Placing way : ways) {
            there = there.stream().map(s -> s.placed(way)).toList();
        }
        return there;
    }

    private double perUnit() {
        String text = text("perUnit", "1").replace(',', '.');
        if (!text.matches("\\d{1,6}(\\.\\d{1,8})?") || Double.parseDouble(text) <= 0) {
            throw new Refusal("path", "the drawing's unit is a number of millimetres");
        }
        return Double.parseDouble(text);
    }
}
