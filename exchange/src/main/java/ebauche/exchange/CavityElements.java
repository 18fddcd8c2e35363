package ebauche.exchange;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.ControlCavity;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartHole;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.hardware.Pickup;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import tools.jackson.databind.node.ObjectNode;

/** Pickups, controls with their cavity, the jack, single holes of a design. */
final class CavityElements {
    /** How far a pickup stands over the front until the maker says otherwise: common practice. */
    private static final String USUAL_PROUD = "4 mm";

    private static final Field<String> ID = Field.id();
    private static final Field<Point> AT = Field.point("at", "x", "y");

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
    private static final Field<Set<Feature>> JOINS = Field.features("joins").described("features it may break into");

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

    private static final Field<Outline> OUTLINE = Field.outline("outline", "outline as path data, seen from the front");
    private static final Field<Double> WOOD_LEFT = Field.length("woodOver", "wood left over it");
    private static final Field<Double> COVER_LIP =
            Field.length("coverLip", "cover lip").usually(0.0);
    private static final Field<Double> COVER_THICKNESS =
            Field.length("coverThickness", "cover thickness").usually(0.0).drawn();
    private static final Field<List<Point>> COVER_SCREWS = Field.points("coverScrews");

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
            .fields(ID, AT, WOOD_OVER, KIND, OPENING, SLOT, THINNEST, THICKEST, ACROSS, ALONG, BELOW)
            .begins("pot", "pot", """
                    {"id": "pot", "at": {"x": "100 mm", "y": "-50 mm"}, "part": "pot-metric"}""")
            .begins("toggle-switch", "toggle switch", """
                    {"id": "switch", "at": {"x": "80 mm", "y": "-30 mm"}, "part": "toggle"}""")
            .begins("blade-switch", "blade switch", """
                    {"id": "switch", "at": {"x": "80 mm", "y": "-10 mm"}, "woodOver": "4 mm", "part": "blade-three"}""")
            .moves(Element.Moves.points(FeatureKind.CONTROL, "at"))
            .build();

    static final Element CAVITY = Element.of("controlCavity", "Control cavity, from the back")
            .optional()
            .feature(FeatureKind.COVER)
            .part("cover", PartKind.COVER)
            .fields(WOOD_LEFT, COVER_LIP, COVER_THICKNESS, OUTLINE, COVER_SCREWS)
            .begins("controlCavity", "control cavity", """
                    {"outline": {"unit": "mm", "path": "M 75 -80 L 120 -80 A 10 10 0 0 1 130 -70 L 130 -25 A 10 10 0 0 1 120 -15 L 75 -15 A 10 10 0 0 1 65 -25 L 65 -70 A 10 10 0 0 1 75 -80 Z"},
                    "woodOver": "6 mm", "coverLip": "5 mm", "cover": "cover-plastic"}""")
            .moves(new Element.Moves(FeatureKind.CONTROLS, List.of(), List.of(), List.of(), List.of("outline")))
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

    private CavityElements() {}

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
            return Control.of(ID.of(spot), AT.of(spot), woodOver, spot.object("part", PartFile::read));
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
                woodOver);
    }

    static ControlCavity cavity(JsonPlace spot) {
        Optional<Part> cover = spot.optionalObject("cover", PartFile::read);
        return new ControlCavity(
                OUTLINE.of(spot),
                WOOD_LEFT.of(spot),
                cover.isPresent() ? cover.get().size(PartSize.THICKNESS).orElse(0) : COVER_THICKNESS.of(spot),
                COVER_LIP.of(spot),
                COVER_SCREWS.of(spot),
                cover);
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
