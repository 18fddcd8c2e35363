package ebauche.exchange.design;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Cover;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartHole;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.hardware.Pickup;
import ebauche.core.hardware.Shield;
import ebauche.core.hardware.Wire;
import ebauche.exchange.field.Field;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.json.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Pickups, controls and cavities for them, the jack, single holes of a design. */
final class CavityElements {
    /** How far a pickup stands over the front until the maker says otherwise: common practice. */
    private static final String USUAL_PROUD = "4 mm";

    private static final Field<String> ID = Field.id();
    private static final Field<Point> AT = Field.point("at", "x, from the centre line", "y, from the saddles");

    private static final Field<Double> PICKUP_ACROSS =
            Field.length("across", "across").drawn();
    private static final Field<Double> PICKUP_ALONG =
            Field.length("along", "along").drawn();
    private static final Field<Double> PICKUP_CORNER =
            Field.length("cornerRadius", "corner radius").drawn();
    private static final Field<Double> PICKUP_DEPTH =
            Field.length("depth", "depth").drawn();
    private static final Field<Double> TURNED = Field.number("turned", "turned, degrees")
            .described("degrees anticlockwise")
            .usually(0.0);
    private static final Field<Double> PROUD = Field.length("proud", "stands over the front by")
            .described("how far the pickup's top stands over the finished front; with a part only")
            .usually(0.0)
            .fitted();
    private static final Field<Set<Feature>> JOINS =
            Field.features("joins", Element.MOST_MEMBERS).described("features it may break into");

    private static final Field<Control.Kind> KIND = Field.word(
                    "kind", "kind", Words.of(Control.Kind::key, Control.Kind.values()))
            .drawn();
    private static final Field<Double> OPENING =
            Field.length("opening", "hole or slot width").drawn();
    private static final Field<Double> SLOT =
            Field.length("slot", "slot length").ifAny().drawn();
    private static final Field<Double> THINNEST =
            Field.length("thinnestTop", "wants at least this top").usually(0.0).drawn();
    private static final Field<Double> THICKEST =
            Field.length("thickestTop", "passes at most this top").drawn();
    private static final Field<Double> ACROSS = Field.length("across", "across").drawn();
    private static final Field<Double> ALONG = Field.length("along", "along").drawn();
    private static final Field<Double> BELOW =
            Field.length("below", "reaches below").drawn();
    private static final Field<OptionalDouble> WOOD_OVER =
            Field.lengthIfAny("woodOver", "wood over it (empty: the cavity's)");

    private static final Field<Optional<String>> STANDS_IN = Field.id(
                    "cavity", "in the cavity called (empty: the one it is drawn in)")
            .orNone();

    private static final Field<Outline> OUTLINE =
            Field.outline("outline", "outline as an SVG path, seen from the front");
    private static final Field<Face> CUT_FROM = Field.word(
                    "from", "cut from", Words.of(Face::word, Face.BACK, Face.FRONT))
            .usually(Face.BACK);
    private static final Field<OptionalDouble> WOOD_LEFT = Field.lengthIfAny("woodOver", "wood left to the other face");
    private static final Field<OptionalDouble> CAVITY_DEPTH =
            Field.lengthIfAny("depth", "or its depth (from the front with neither: what its parts need)");
    private static final Field<Cover.Kind> CLOSED = Field.word(
                    "closed", "closed by", Words.of(Cover.Kind::key, Cover.Kind.values()), Cover.Kind::word)
            .usually(Cover.Kind.LET_IN);
    private static final Field<Double> COVER_LIP =
            Field.length("coverLip", "cover lip, of one let in").usually(0.0);
    private static final Field<Double> COVER_THICKNESS = Field.length(
                    "coverThickness", "thickness of the cover, control plate or dish")
            .usually(0.0)
            .drawn();
    private static final Field<Optional<Outline>> PLATE = Field.outline(
                    "plate", "outline of its control plate or dish as an SVG path (empty: nobody drew it)")
            .orNone();
    private static final Field<List<Point>> COVER_SCREWS = Field.points("coverScrews", Element.MOST_MEMBERS);
    private static final Field<Set<Feature>> CAVITY_JOINS =
            Field.features("joins", Element.MOST_MEMBERS).described("features it may break into");

    private static final Field<Point> CHANNEL_FROM = Field.point("from", "drill set at x", "drill set at y");
    private static final Field<Double> FROM_UNDER =
            Field.length("fromUnder", "its middle at the start, under the front");
    private static final Field<Point> CHANNEL_TO = Field.point("to", "comes out at x", "comes out at y");
    private static final Field<Double> TO_UNDER = Field.length("toUnder", "its middle at the end, under the front");
    private static final Field<Double> WIDE = Field.length("diameter", "diameter");
    private static final Field<Channel.Held> HELD = Field.word(
                    "held",
                    "the drill is held",
                    Words.of(Channel.Held::key, Channel.Held.values()),
                    Channel.Held::words)
            .usually(Channel.Held.AS_USUAL);

    private static final Field<Point> ENTRY = Field.point("entry", "enters at x", "enters at y");
    private static final Field<Point> AIM = Field.point("aim", "ends at x", "ends at y");
    private static final Field<Double> FROM_FRONT = Field.length("fromFront", "middle from the front");
    private static final Field<Double> JACK_HOLE =
            Field.length("diameter", "hole").drawn();

    private static final Field<PartHole.Side> FROM =
            Field.word("from", "drilled from", Words.of(PartHole.Side::key, PartHole.Side.values()));
    private static final Field<Point> HOLE_AIM = Field.point(
                    "aim", "in the edge, points to x", "in the edge, points to y")
            .ifAny();

    static final Element PICKUPS = Element.of("pickups", "Pickup")
            .many()
            .feature(FeatureKind.PICKUP)
            .part("part", PartKind.PICKUP, CavityElements::standsProud)
            .fields(ID, AT, TURNED, PROUD, PICKUP_ACROSS, PICKUP_ALONG, PICKUP_CORNER, PICKUP_DEPTH, JOINS)
            .begins("pickup", "pickup", """
                    {"id": "pickup", "at": {"x": "0 mm", "y": "80 mm"}, "proud": "4 mm", "part": "coil-wide"}""")
            .moves(Element.Moves.points(FeatureKind.PICKUP, "at"))
            .build();

    static final Element CONTROLS = Element.of("controls", "Control")
            .many()
            .feature(FeatureKind.CONTROL)
            .part("part", PartKind.POT)
            .fields(ID, AT, STANDS_IN, WOOD_OVER, KIND, OPENING, SLOT, THINNEST, THICKEST, ACROSS, ALONG, BELOW)
            .begins("pot", "pot", """
                    {"id": "pot", "at": {"x": "100 mm", "y": "-50 mm"}, "part": "pot-metric"}""")
            .begins("toggle-switch", "toggle switch", """
                    {"id": "switch", "at": {"x": "80 mm", "y": "-30 mm"}, "part": "toggle"}""")
            .begins("blade-switch", "blade switch", """
                    {"id": "switch", "at": {"x": "80 mm", "y": "-10 mm"}, "woodOver": "4 mm", "part": "blade-three"}""")
            .moves(Element.Moves.points(FeatureKind.CONTROL, "at"))
            .build();

    static final Element CAVITIES = Element.of("cavities", "Cavity")
            .many()
            .described("cavities for controls and wires, from the back or from the front")
            .feature(FeatureKind.COVER)
            .part("cover", PartKind.COVER, CavityElements::closedBy)
            .settles(CavityElements::notBought)
            .fields(
                    ID,
                    CUT_FROM,
                    WOOD_LEFT,
                    CAVITY_DEPTH,
                    CLOSED,
                    COVER_LIP,
                    COVER_THICKNESS,
                    OUTLINE,
                    COVER_SCREWS,
                    PLATE,
                    CAVITY_JOINS)
            .notBoth("woodOver", "depth")
            .begins("control-cavity", "control cavity", """
                    {"id": "controls", "outline": {"unit": "mm", "path": "M 75 -80 L 120 -80 A 10 10 0 0 1 130 -70 L 130 -25 A 10 10 0 0 1 120 -15 L 75 -15 A 10 10 0 0 1 65 -25 L 65 -70 A 10 10 0 0 1 75 -80 Z"},
                    "woodOver": "6 mm", "coverLip": "5 mm", "cover": "cover-plastic"}""")
            .begins("switch-cavity", "switch cavity, from the back", """
                    {"id": "switch", "outline": {"unit": "mm", "path": "M -105 120 L -75 120 A 10 10 0 0 1 -65 130 L -65 150 A 10 10 0 0 1 -75 160 L -105 160 A 10 10 0 0 1 -115 150 L -115 130 A 10 10 0 0 1 -105 120 Z"},
                    "woodOver": "6 mm", "coverLip": "5 mm", "cover": "cover-plastic"}""")
            .begins("front-rout", "rout under the scratch plate", """
                    {"id": "wiring", "from": "front", "closed": "scratch-plate", "outline": {"unit": "mm", "path": "M 75 -80 L 120 -80 A 10 10 0 0 1 130 -70 L 130 -25 A 10 10 0 0 1 120 -15 L 75 -15 A 10 10 0 0 1 65 -25 L 65 -70 A 10 10 0 0 1 75 -80 Z"},
                    "depth": "32 mm"}""")
            .begins("plate-rout", "rout under a control plate", """
                    {"id": "control-plate", "from": "front", "closed": "control-plate", "outline": {"unit": "mm", "path": "M 82 -95 L 108 -95 A 8 8 0 0 1 116 -87 L 116 -3 A 8 8 0 0 1 108 5 L 82 5 A 8 8 0 0 1 74 -3 L 74 -87 A 8 8 0 0 1 82 -95 Z"},
                    "depth": "32 mm", "coverThickness": "1.5 mm"}""")
            .begins("jack-dish", "jack in a dish on the front", """
                    {"id": "dish", "from": "front", "closed": "jack-dish", "outline": {"unit": "mm", "path": "M 120 -118.5 L 140 -118.5 A 12.5 12.5 0 0 1 140 -93.5 L 120 -93.5 A 12.5 12.5 0 0 1 120 -118.5 Z"},
                    "plate": {"unit": "mm", "path": "M 115 -123 L 145 -123 A 17 17 0 0 1 145 -89 L 115 -89 A 17 17 0 0 1 115 -123 Z"},
                    "coverScrews": [{"x": "102 mm", "y": "-106 mm"}, {"x": "158 mm", "y": "-106 mm"}], "cover": "jack-dish"}""")
            .moves(new Element.Moves(
                    FeatureKind.CAVITY, List.of("coverScrews"), List.of(), List.of(), List.of("outline", "plate")))
            .build();

    static final Element JACK = Element.of("jack", "Jack")
            .optional()
            .feature(FeatureKind.JACK)
            .part("part", PartKind.JACK)
            .fields(ENTRY, AIM, FROM_FRONT, JACK_HOLE)
            .oneOf("part", "diameter")
            .begins("jack", "jack", """
                    {"entry": {"x": "170 mm", "y": "-50 mm"}, "aim": {"x": "110 mm", "y": "-50 mm"},
                    "fromFront": "22 mm", "part": "jack-cup"}""")
            .moves(Element.Moves.points(FeatureKind.JACK, "entry", "aim"))
            .build();

    static final Element HOLES = Element.of("holes", "Hole")
            .many()
            .described("single holes for threaded inserts and strap buttons")
            .feature(FeatureKind.HOLE)
            .part("part", PartKind.INSERT)
            .alwaysFitted()
            .fields(ID, FROM, AT, HOLE_AIM)
            .begins("strap-button", "strap button", """
                    {"id": "strap", "from": "edge", "at": {"x": "0 mm", "y": "-150 mm"}, "aim": {"x": "0 mm", "y": "-100 mm"},
                    "part": "strap"}""")
            .begins("insert", "insert", """
                    {"id": "insert", "from": "back", "at": {"x": "0 mm", "y": "180 mm"}, "aim": {"x": "0 mm", "y": "100 mm"},
                    "part": "insert-8"}""")
            .moves(Element.Moves.points(FeatureKind.HOLE, "at", "aim"))
            .build();

    static final Element CHANNELS = Element.of("channels", "Wire channel")
            .many()
            .described(
                    "straight holes for wires, from one space of the body into another; depths are their middle's, under the finished front")
            .feature(FeatureKind.CHANNEL)
            .fields(ID, CHANNEL_FROM, FROM_UNDER, CHANNEL_TO, TO_UNDER, WIDE, HELD)
            .begins("channel", "wire channel", """
                    {"id": "pickups", "from": {"x": "20 mm", "y": "160 mm"}, "fromUnder": "10 mm",
                    "to": {"x": "90 mm", "y": "-30 mm"}, "toUnder": "24 mm", "diameter": "8 mm"}""")
            .moves(Element.Moves.points(FeatureKind.CHANNEL, "from", "to"))
            .build();

    private static final Field<Feature> WIRED_FROM = Field.feature("from", "from");
    private static final Field<Feature> WIRED_TO = Field.feature("to", "to");
    private static final Field<OptionalDouble> WIRE_DIAMETER =
            Field.lengthIfAny("diameter", "diameter (empty: the shop's usual)");

    static final Element WIRES = Element.of("wires", "Wire")
            .many()
            .described("what is wired to what; none of them: the usual for these parts")
            .fields(ID, WIRED_FROM, WIRED_TO, WIRE_DIAMETER)
            .chooses(CavityElements::wired)
            .begins("wire", "wire", """
                    {"id": "wire", "from": "bridge", "to": "jack"}""")
            .build();

    private static final Field<Feature> SHIELDED = Field.feature("space", "what is shielded");
    private static final Field<Shield.By> LINED_BY =
            Field.word("by", "with", Words.of(Shield.By::key, Shield.By.values()), Shield.By::words);

    private static final Field<Shield.Joined> GROUNDED_BY = Field.word(
                    "joined",
                    "its ground by",
                    Words.of(Shield.Joined::key, Shield.Joined.values()),
                    Shield.Joined::words)
            .usually(Shield.Joined.AS_USUAL);

    static final Element SHIELDS = Element.of("shields", "Shield")
            .many()
            .described("cavities and pickups' routs that are lined against hum")
            .fields(ID, SHIELDED, LINED_BY, GROUNDED_BY)
            .chooses(CavityElements::lined)
            .begins("shield", "shield", """
                    {"id": "controls", "space": "controls", "by": "paint"}""")
            .build();

    /** What of a design can be shielded. */
    private static List<Field.Option> lined(JsonNode design) {
        List<Feature> spaces = new ArrayList<>();
        CAVITIES.places(design).forEach(p -> p.feature().map(Feature::owner).ifPresent(spaces::add));
        PICKUPS.places(design).forEach(p -> p.feature().ifPresent(spaces::add));
        return spaces.stream().map(f -> new Field.Option(f.word(), f.said())).toList();
    }

    static Shield shield(JsonPlace spot) {
        return new Shield(ID.of(spot), SHIELDED.of(spot), LINED_BY.of(spot), GROUNDED_BY.of(spot));
    }

    /** The parts of a design that wires go to. */
    private static List<Field.Option> wired(JsonNode design) {
        List<Feature> parts = new ArrayList<>();
        PICKUPS.places(design).forEach(p -> p.feature().ifPresent(parts::add));
        CONTROLS.places(design).forEach(p -> p.feature().ifPresent(parts::add));
        JACK.places(design).forEach(p -> p.feature().ifPresent(parts::add));
        parts.add(Bridge.FEATURE);
        CAVITIES.places(design).forEach(p -> p.feature().map(Feature::owner).ifPresent(parts::add));
        return parts.stream().map(f -> new Field.Option(f.word(), f.part())).toList();
    }

    static Wire wire(JsonPlace spot) {
        return new Wire(ID.of(spot), WIRED_FROM.of(spot), WIRED_TO.of(spot), WIRE_DIAMETER.of(spot));
    }

    private CavityElements() {}

    private static boolean isClosedBy(Cover.Kind kind, ObjectNode cavity) {
        return cavity.path("closed").asString("").equals(kind.key());
    }

    /** A dish closes its cavity as a dish; a bought cover is let in where the body's own back or a dish closed the cavity before. */
    private static void closedBy(ObjectNode cavity, Part bought) {
        if (bought.kind() == PartKind.JACK_DISH) {
            cavity.put("closed", Cover.Kind.JACK_DISH.key());
        } else if (isClosedBy(Cover.Kind.OWN_BACK, cavity) || isClosedBy(Cover.Kind.JACK_DISH, cavity)) {
            cavity.remove("closed");
        }
    }

    /** What closes a cavity otherwise, the body's own back say, takes the place of a bought part, as thick as that was. */
    private static void notBought(ObjectNode cavity) {
        boolean dish = isClosedBy(Cover.Kind.JACK_DISH, cavity);
        boolean isDish = cavity.path("cover").path("kind").asString("").equals(PartKind.JACK_DISH.key());
        if ((isClosedBy(Cover.Kind.OWN_BACK, cavity) || dish != isDish)
                && cavity.remove("cover") instanceof ObjectNode bought) {
            cavity.set("coverThickness", bought.path("sizes").path(PartSize.THICKNESS.key()));
        }
    }

    private static void standsProud(ObjectNode pickup, Part part) {
        if (!pickup.has("proud")) {
            pickup.put("proud", USUAL_PROUD);
        }
    }

    static Pickup pickup(JsonPlace spot) {
        Set<Feature> joins = JOINS.of(spot);
        if (spot.has("part")) {
            return Pickup.of(
                    ID.of(spot),
                    AT.of(spot),
                    TURNED.of(spot),
                    joins,
                    PROUD.of(spot),
                    spot.object("part", PartFile::read));
        }
        return new Pickup(
                ID.of(spot),
                AT.of(spot),
                PICKUP_ACROSS.of(spot),
                PICKUP_ALONG.of(spot),
                PICKUP_CORNER.of(spot),
                TURNED.of(spot),
                PICKUP_DEPTH.of(spot),
                joins);
    }

    static Control control(JsonPlace spot) {
        OptionalDouble woodOver = WOOD_OVER.of(spot);
        if (spot.has("part")) {
            return Control.of(ID.of(spot), AT.of(spot), woodOver, spot.object("part", PartFile::read))
                    .in(STANDS_IN.of(spot));
        }
        Control.Kind kind = KIND.of(spot);
        return new Control(
                        ID.of(spot),
                        kind,
                        AT.of(spot),
                        OPENING.of(spot),
                        kind == Control.Kind.BLADE_SWITCH || spot.has("slot") ? SLOT.of(spot) : 0,
                        THINNEST.of(spot),
                        THICKEST.of(spot),
                        ACROSS.of(spot),
                        ALONG.of(spot),
                        BELOW.of(spot),
                        woodOver)
                .in(STANDS_IN.of(spot));
    }

    static Cavity cavity(JsonPlace spot) {
        Optional<Part> plate = spot.optionalObject("cover", PartFile::read);
        double thickness =
                plate.isPresent() ? plate.get().size(PartSize.THICKNESS).orElse(0) : COVER_THICKNESS.of(spot);
        return new Cavity(
                ID.of(spot),
                CUT_FROM.of(spot),
                OUTLINE.of(spot),
                floor(spot),
                new Cover(CLOSED.of(spot), thickness, COVER_LIP.of(spot), COVER_SCREWS.of(spot), plate, PLATE.of(spot)),
                CAVITY_JOINS.of(spot));
    }

    private static Cavity.Floor floor(JsonPlace spot) {
        OptionalDouble wood = WOOD_LEFT.of(spot);
        OptionalDouble depth = CAVITY_DEPTH.of(spot);
        if (wood.isPresent() && depth.isPresent()) {
            throw spot.at("depth").trouble("say either how deep it goes or how much wood it leaves, not both");
        }
        if (wood.isPresent()) {
            return new Cavity.Floor.Leaving(wood.getAsDouble());
        }
        return depth.isPresent() ? new Cavity.Floor.Deep(depth.getAsDouble()) : new Cavity.Floor.ForParts();
    }

    static Channel channel(JsonPlace spot) {
        return new Channel(
                ID.of(spot),
                CHANNEL_FROM.of(spot),
                FROM_UNDER.of(spot),
                CHANNEL_TO.of(spot),
                TO_UNDER.of(spot),
                WIDE.of(spot),
                HELD.of(spot));
    }

    static PartHole hole(JsonPlace spot) {
        return new PartHole(
                ID.of(spot),
                spot.object("part", PartFile::read),
                AT.of(spot),
                FROM.of(spot),
                spot.has("aim") && !spot.at("aim").node().isEmpty()
                        ? Optional.of(HOLE_AIM.of(spot))
                        : Optional.empty());
    }

    static Jack jack(JsonPlace spot) {
        Optional<Part> part = spot.optionalObject("part", PartFile::read);
        return new Jack(
                ENTRY.of(spot),
                AIM.of(spot),
                part.isPresent() ? part.get().size(PartSize.HOLE).orElse(0) : JACK_HOLE.of(spot),
                FROM_FRONT.of(spot),
                part);
    }
}
