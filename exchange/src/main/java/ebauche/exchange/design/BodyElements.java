package ebauche.exchange.design;

import ebauche.core.crib.HoldDown;
import ebauche.core.crib.TemplateMaterial;
import ebauche.core.design.Binding;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.CarveSchool;
import ebauche.core.design.Contour;
import ebauche.core.design.EdgeDepths;
import ebauche.core.design.EndsAs;
import ebauche.core.design.Hand;
import ebauche.core.design.Hanging;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.design.Recap;
import ebauche.core.design.RoundOver;
import ebauche.core.design.Tab;
import ebauche.core.design.TemplateMade;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.measure.LengthUnit;
import ebauche.core.stock.Profile;
import ebauche.core.timber.Timbers;
import ebauche.exchange.field.Field;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.json.Words;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** The body itself, its blank, its contours and how its templates are made. */
final class BodyElements {
    private static final int MOST_TEXT = 120;

    static final Field<String> NAME = Field.text("name", "name", MOST_TEXT);
    static final Field<Hand> HAND = Field.word(
                    "hand", "strung for the hand", Words.of(Hand::word, Hand.RIGHT, Hand.LEFT))
            .described(
                    "Which side the bass strings lie on: to the left of the centre line, seen from the front with the nut up, for right; to the right of it for left. Places stay as the wood lies.")
            .usually(Hand.RIGHT);
    static final Field<Double> THICKNESS =
            Field.length("thickness", "finished thickness").measured(Dimension.BODY_THICKNESS);
    static final Field<Double> SCALE = Field.length("scale", "scale length");
    /** Steps that a maker's own order may list. */
    private static final int MOST_STEPS = 1000;

    static final Field<Outline> OUTLINE =
            Field.outline("outline", "outline as an SVG path, x to the right as seen from the front, y to the nut");
    static final Field<Set<Feature>> UNDECIDED = Field.features("undecided", Element.MOST_MEMBERS)
            .described("features not decided on yet: their wood is kept");

    static final Field<EndsAs> ENDS_AS = Field.word(
                    "endsAs", "leaves the shop as", Words.of(EndsAs::key, EndsAs.values()), EndsAs::words)
            .described("what comes after that is another's work, and nothing is cut for it")
            .usually(EndsAs.FINISHED);

    static final Field<List<StepKey>> ORDER = Field.steps("order", MOST_STEPS)
            .described("the steps in the maker's own order; where it is left out the plan orders them");

    private static final Field<Void> SPECIES = Field.timber("species", "timber");
    private static final Field<Void> PIECES = Field.elsewhere(
            Field.whole("pieces", "pieces", 1, BlankLayer.MOST_STRIPS).ifAny());
    private static final Field<Void> GRAIN =
            Field.elsewhere(Field.number("grainAngle", "grain off the body's length, degrees", -45, 45)
                    .described(
                            "degrees off the body's length, towards the treble side as it nears the neck; where strips are listed each has its own")
                    .ifAny());
    private static final Field<Void> STRIPS = Field.defined("strips", "strips");
    private static final Field<Void> FLAWS = Field.defined("flaws", "flaws");

    private static final Field<String> ID = Field.id();
    private static final Field<Face> FACE = Field.word("face", "face", SurfaceFile.FACES);
    private static final Field<Double> WIDTH = Field.length("width", "all round, so wide");
    private static final Field<Double> FADE = Field.length("fade", "fades out over");
    private static final Field<Double> DEPTH = Field.length("depth", "deepest");
    private static final Field<Profile.Shape> SHAPE =
            Field.word("shape", "shape", SurfaceFile.SHAPES).usually(Profile.Shape.STRAIGHT);
    private static final Field<OptionalDouble> RADIUS = Field.lengthIfAny("radius", "radius");
    private static final Field<OptionalDouble> DEFINITE = Field.lengthIfAny("edge", "definite edge (empty: feathered)");
    private static final Field<Point> DISC_AT = Field.point("at", "x, from the centre line", "y, from the saddles");
    private static final Field<Double> DISC_WIDE = Field.length("diameter", "diameter");
    private static final Field<Optional<CarveSchool>> BY = Field.word(
                    "by", "brought out with", Words.of(CarveSchool::word, CarveSchool.values()), CarveSchool::words)
            .orNone();
    private static final Field<List<Point>> THROUGH = Field.points("through", 8);
    private static final Field<String> ALONG = Field.word(
                    "along", "deep along the edge", Words.of(String::toString, "wedge", "even", "leaned", "typed"))
            .usually("wedge");
    private static final Field<Double> EVEN_FADE =
            Field.length("fade", "if even: fades out over").usually(60.0);
    private static final Field<Double> LEAN = Field.number("lean", "if leaned: to its other end by (−1 to 1)", -1, 1)
            .usually(0.5);
    private static final Field<List<Double>> DEPTHS = Field.lengths(
                    "depths", "if typed: depths at places evenly apart", 0, 12)
            .usually(List.of());

    private static final Field<Feature> TEMPLATE_OF = Field.feature("feature");
    private static final Field<OptionalDouble> TEMPLATE_THICKNESS = Field.lengthIfAny("thickness", "thickness");
    private static final Field<TemplateMaterial> MATERIAL =
            Field.word("material", "made of", Words.MATERIAL).usually(TemplateMaterial.MDF);
    private static final Field<Optional<HoldDown>> HOLD =
            Field.word("hold", "held with", Words.HOLD_DOWN).orNone();

    static final Element BODY = Element.of("", "Body")
            .fields(NAME, HAND, THICKNESS, OUTLINE, ENDS_AS)
            .build();

    static final Element BLANK = Element.of("blank", "Blank")
            .feature(FeatureKind.BLANK)
            .fields(
                    SPECIES,
                    PIECES,
                    GRAIN,
                    Field.elsewhere(Field.length("across", "width")),
                    Field.elsewhere(Field.length("along", "length")),
                    Field.elsewhere(Field.length("thickness", "rough thickness")),
                    Field.elsewhere(Field.length("middleX", "its middle from the centre line (empty: on it)")
                            .ifAny()),
                    Field.elsewhere(Field.length("middleY", "its middle from the saddle line (empty: the outline's)")
                            .ifAny()),
                    Field.elsewhere(Field.length("sawnFront", "front plate, sawn off it and glued back (empty: none)")
                            .described(
                                    "thickness of the front plate as it is glued back: it closes the hollows of the core")
                            .ifAny()),
                    Field.elsewhere(Field.length("sawnBack", "back plate, sawn off it and glued back (empty: none)")
                            .described(
                                    "thickness of the back plate as it is glued back, before supports in the hollows are cut away")
                            .ifAny()),
                    STRIPS,
                    FLAWS)
            .build();

    static final Element STRIPS_LAID = Element.of("blank.strips", "Strips of the blank, from the left")
            .optional()
            .members(
                    Field.elsewhere(Field.length("width", "width")),
                    Field.timberIfOther("species", "timber", "the blank’s"))
            .begins("strips", "strips of different timbers", BodyElements::evenStrips)
            .where(BodyElements::isGlued)
            .build();

    static final Element TOP = Element.of("blank.top", "Top over the blank")
            .optional()
            .fields(
                    SPECIES,
                    PIECES,
                    GRAIN.unasked(),
                    Field.elsewhere(Field.length("thickness", "thickness when it goes on")),
                    STRIPS,
                    FLAWS)
            .build();

    static final Element CONTOURS = Element.of("contours", "Contour")
            .many()
            .asksNothing()
            .feature(FeatureKind.CONTOUR)
            .described("carved parts of front and back: off a line across a face, or so wide inside the edge")
            .fields(ID, FACE, WIDTH.ifAny(), DEPTH, SHAPE, RADIUS, BY, DEFINITE)
            .oneOf("line", "width")
            .notBoth("line", "disc")
            .notBoth("stretch", "disc")
            .notBoth("line", "stretch")
            .build();

    /** The line that a contour starts from, across a face. */
    static final Element LINE = Element.of("contours.line", "Line")
            .asksNothing()
            .optional()
            .fields(
                    Field.point("from", "from x", "from y"),
                    Field.point("to", "to x", "to y"),
                    THROUGH,
                    ALONG,
                    EVEN_FADE,
                    LEAN,
                    DEPTHS)
            .build();

    /** The part of the edge that a contour which lies so far inside it runs along. */
    static final Element STRETCH = Element.of("contours.stretch", "Stretch of the edge")
            .asksNothing()
            .optional()
            .described("walked anticlockwise as seen from the front; beyond its ends the contour fades out")
            .fields(Field.point("from", "from x", "from y"), Field.point("to", "to x", "to y"), FADE)
            .build();

    /** The circle that a contour falls inward from. */
    static final Element DISC = Element.of("contours.disc", "Disc")
            .asksNothing()
            .optional()
            .described("a recess inside a circle: it falls from the rim over the width to a level floor")
            .fields(DISC_AT, DISC_WIDE)
            .build();

    private static final Field<Double> ROUNDED = Field.length("radius", "radius");

    static final Element ROUND_OVERS = Element.of("roundOvers", "Round-over")
            .many()
            .feature(FeatureKind.ROUND_OVER)
            .described(
                    "corners between a face and the edge, rounded over: all round but for the neck's mouth, or along a stretch")
            .fields(ID, FACE, ROUNDED)
            .begins("round-over", "round-over of an edge", """
                    {"id": "front", "face": "front", "radius": "1/4 in"}""")
            .build();

    /** The part of the edge that a round-over runs along. */
    static final Element ROUNDED_STRETCH = Element.of("roundOvers.stretch", "Stretch of the edge")
            .asksNothing()
            .optional()
            .described("walked anticlockwise as seen from the front; beyond its ends the round-over fades out")
            .fields(Field.point("from", "from x", "from y"), Field.point("to", "to x", "to y"), FADE)
            .build();

    private static final Field<Double> PLANED = Field.length("planed", "planed off the old front");
    private static final Field<Double> CAP = Field.length("cap", "thickness when it goes on");

    private static final Field<Double> STRIP_THICK = Field.length("thickness", "strip's thickness");
    private static final Field<Double> STRIP_HIGH = Field.length("height", "down the edge");
    private static final Field<Void> STRIP_OF = Field.timberIfOther("species", "timber (empty: plastic)", "plastic");

    private static final Field<OptionalDouble> PURFLING =
            Field.lengthIfAny("purfling", "purfling inside it, thick (empty: none)");
    private static final Field<OptionalDouble> PURFLING_DEEP =
            Field.lengthIfAny("purflingDepth", "purfling's ledge, deep");
    private static final Field<String> ROUNDED_WHEN = Field.word(
                    "rounded", "a round-over of its corner is cut", Words.of(String::toString, "after", "before"))
            .usually("after");
    private static final Field<Point> BOUND_FROM =
            Field.point("from", "along a part only, from x", "from y").ifAny();
    private static final Field<Point> BOUND_TO =
            Field.point("to", "anticlockwise to x", "to y").ifAny();

    static final Element BINDINGS = Element.of("bindings", "Binding")
            .many()
            .feature(FeatureKind.BINDING)
            .described(
                    "strips let into the corner between a face and the edge, all round but for the neck's mouth, or along a part of it, with a purfling or without")
            .fields(
                    ID,
                    FACE,
                    STRIP_THICK,
                    STRIP_HIGH,
                    STRIP_OF,
                    PURFLING,
                    PURFLING_DEEP,
                    BOUND_FROM,
                    BOUND_TO,
                    ROUNDED_WHEN)
            .begins("binding", "binding of an edge", """
                    {"id": "front", "face": "front", "thickness": "1/16 in", "height": "1/4 in", "species": "maple"}""")
            .build();

    static final Element NEW_CAP = Element.of("newCap", "New cap on the built body")
            .optional()
            .feature(FeatureKind.NEW_CAP)
            .described("a new cap glued over the front when the body is built already")
            .fields(SPECIES, PLANED, CAP)
            .begins("new-cap", "new cap on the built body", """
                    {"species": "maple", "planed": "0 mm", "cap": "5 mm"}""")
            .build();

    static final Element TEMPLATES = Element.of("templates", "Template")
            .many()
            .asksNothing()
            .described("templates that are not made or held as the shop usually does it, one a feature")
            .fields(TEMPLATE_OF, TEMPLATE_THICKNESS, MATERIAL, HOLD)
            .build();

    private static final Field<String> TAB_ID = Field.id();
    private static final Field<Point> TAB_AT = Field.point("at", "x, from the centre line", "y, from the saddles");
    private static final Field<Double> TAB_WIDTH = Field.length("width", "wide along the edge");
    private static final Field<Double> TAB_REACH = Field.length("reach", "stands out by");

    static final Element TABS = Element.of("tabs", "Tab or flat")
            .many()
            .described("wood left outside the outline until everything is located from it")
            .fields(TAB_ID, TAB_AT, TAB_WIDTH, TAB_REACH)
            .begins("tab", "tab or flat on the edge", """
                    {"id": "tail", "at": {"x": "0 mm", "y": "-150 mm"}, "width": "60 mm", "reach": "8 mm"}""")
            .build();

    private static final Field<OptionalDouble> NECK_GRAMS =
            Field.numberIfAny("neck", "neck without tuners, g (empty: the usual)", 50, 5000);
    private static final Field<OptionalDouble> NECK_BALANCE =
            Field.lengthIfAny("neckBalance", "it balances so far from the nut, to the body (empty: the usual)");
    private static final Field<OptionalDouble> TUNER_GRAMS =
            Field.numberIfAny("tuner", "one tuner, g (empty: the usual)", 1, 500);
    private static final Field<OptionalDouble> BRIDGE_GRAMS =
            Field.numberIfAny("bridge", "bridge with all that belongs to it, g (empty: the usual)", 1, 3000);
    private static final Field<OptionalDouble> PICKUP_GRAMS =
            Field.numberIfAny("pickup", "one pickup, g (empty: the usual)", 1, 1000);
    private static final Field<OptionalDouble> CONTROL_GRAMS =
            Field.numberIfAny("control", "one pot or switch with its knob, g (empty: the usual)", 1, 1000);
    private static final Field<Double> STRAP =
            Field.length("strap", "strap, from button to button along it").usually(Hanging.USUAL.strap());
    private static final Field<Double> PLAYED = Field.number(
                    "played", "the neck is to stay over level by, degrees", -45, 80)
            .usually(Hanging.USUAL.played());

    static final Element HANGING = Element.of("hanging", "What it carries, and its strap")
            .optional()
            .described("what the guitar weighs besides its wood, as it was weighed, and the strap that it hangs from")
            .fields(NECK_GRAMS, NECK_BALANCE, TUNER_GRAMS, BRIDGE_GRAMS, PICKUP_GRAMS, CONTROL_GRAMS, STRAP, PLAYED)
            .begins("hanging", "weights and strap", """
                    {"strap": "1100 mm", "played": 15}""")
            .build();

    private BodyElements() {}

    static Hanging hanging(JsonPlace spot) {
        return new Hanging(
                NECK_GRAMS.of(spot),
                NECK_BALANCE.of(spot),
                TUNER_GRAMS.of(spot),
                BRIDGE_GRAMS.of(spot),
                PICKUP_GRAMS.of(spot),
                CONTROL_GRAMS.of(spot),
                STRAP.of(spot),
                PLAYED.of(spot));
    }

    static Tab tab(JsonPlace spot) {
        return new Tab(TAB_ID.of(spot), TAB_AT.of(spot), TAB_WIDTH.of(spot), TAB_REACH.of(spot));
    }

    static TemplateMade template(JsonPlace spot) {
        return new TemplateMade(TEMPLATE_OF.of(spot), TEMPLATE_THICKNESS.of(spot), MATERIAL.of(spot), HOLD.of(spot));
    }

    private static Contour.Start.Stretch stretch(JsonPlace spot) {
        return new Contour.Start.Stretch(spot.point("from"), spot.point("to"), FADE.of(spot));
    }

    static Binding binding(JsonPlace spot, Timbers timbers) {
        together(spot, "from", "to", "a part of the edge wants both its ends");
        together(spot, "purfling", "purflingDepth", "a purfling wants its thickness and the depth of its ledge");
        OptionalDouble thick = PURFLING.of(spot);
        OptionalDouble deep = PURFLING_DEEP.of(spot);
        return new Binding(
                ID.of(spot),
                FACE.of(spot),
                STRIP_THICK.of(spot),
                STRIP_HIGH.of(spot),
                spot.has("species") ? Optional.of(BlankReader.species(spot, timbers)) : Optional.empty(),
                spot.has("from")
                        ? Optional.of(new Binding.Along(spot.point("from"), spot.point("to")))
                        : Optional.empty(),
                thick.isPresent()
                        ? Optional.of(new Binding.Purfling(thick.getAsDouble(), deep.getAsDouble()))
                        : Optional.empty(),
                ROUNDED_WHEN.of(spot).equals("before"));
    }

    /** Two that mean something only both. */
    private static void together(JsonPlace spot, String one, String other, String wanted) {
        if (spot.has(one) != spot.has(other)) {
            throw spot.at(spot.has(one) ? one : other).trouble(wanted);
        }
    }

    static Recap recap(JsonPlace spot, Timbers timbers) {
        return new Recap(PLANED.of(spot), CAP.of(spot), BlankReader.species(spot, timbers));
    }

    static RoundOver roundOver(JsonPlace spot) {
        return new RoundOver(
                ID.of(spot), FACE.of(spot), ROUNDED.of(spot), spot.optionalObject("stretch", BodyElements::stretch));
    }

    private static Contour.Start.Across across(JsonPlace spot) {
        return new Contour.Start.Across(spot.point("from"), spot.point("to"), THROUGH.of(spot), depths(spot));
    }

    private static EdgeDepths depths(JsonPlace spot) {
        double fade = EVEN_FADE.of(spot);
        double lean = LEAN.of(spot);
        List<Double> typed = DEPTHS.of(spot);
        return switch (ALONG.of(spot)) {
            case "even" -> new EdgeDepths.Even(fade);
            case "leaned" -> new EdgeDepths.Leaned(lean);
            case "typed" -> new EdgeDepths.Typed(typed);
            default -> EdgeDepths.WEDGE;
        };
    }

    private static Contour.Start start(JsonPlace spot) {
        if (spot.has("line")) {
            return spot.object("line", BodyElements::across);
        }
        double width = WIDTH.of(spot);
        return spot.has("disc")
                ? spot.object("disc", s -> new Contour.Start.Disc(DISC_AT.of(s), DISC_WIDE.of(s), width))
                : new Contour.Start.Round(width, spot.optionalObject("stretch", BodyElements::stretch));
    }

    /** A contour that can be laid on the outline; which one cannot is told at its place. */
    static Contour contour(JsonPlace spot, Outline outline) {
        Contour contour = new Contour(
                ID.of(spot),
                FACE.of(spot),
                start(spot),
                DEPTH.of(spot),
                SHAPE.of(spot),
                RADIUS.of(spot),
                BY.of(spot),
                DEFINITE.of(spot));
        contour.on(outline);
        return contour;
    }

    /** The pieces of a blank as strips of even width, in a list; an empty one where its width cannot be read. */
    private static String evenStrips(JsonNode design) {
        JsonNode blank = design.path("blank");
        int pieces = blank.path("pieces").asInt(1);
        ArrayNode strips = JsonNodeFactory.instance.arrayNode();
        try {
            Length across = Length.parse(blank.path("across").asString(""), LengthUnit.MILLIMETRE);
            for (int i = 0; i < pieces; i++) {
                strips.addObject().put("width", Decimals.plain(across.millimetres() / pieces, 2) + " mm");
            }
        } catch (LengthFormatException typedWrong) {
            return "[]"; // the form tells of the width itself
        }
        return strips.toString();
    }

    /** Whether there is more than one strip to choose a timber for. */
    private static boolean isGlued(JsonNode design) {
        return design.path("blank").path("pieces").asInt(1) > 1;
    }
}
