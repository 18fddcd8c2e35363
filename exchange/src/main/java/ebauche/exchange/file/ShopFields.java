package ebauche.exchange.file;

import ebauche.core.crib.Aid;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Drill;
import ebauche.core.crib.Drum;
import ebauche.core.crib.HoldDown;
import ebauche.core.crib.Machine;
import ebauche.core.crib.Router;
import ebauche.core.crib.Saw;
import ebauche.core.hardware.Channel;
import ebauche.core.logbook.Astray;
import ebauche.core.shop.Bands;
import ebauche.core.shop.Caul;
import ebauche.core.shop.Clamp;
import ebauche.core.shop.Clearances;
import ebauche.core.shop.Cutting;
import ebauche.core.shop.Glue;
import ebauche.core.shop.Gluing;
import ebauche.core.shop.Habit;
import ebauche.core.shop.HouseRule;
import ebauche.core.shop.HouseRules;
import ebauche.core.shop.Limits;
import ebauche.core.shop.LongHoles;
import ebauche.core.shop.Practice;
import ebauche.core.shop.ShieldStock;
import ebauche.core.shop.Shop;
import ebauche.core.shop.Stage;
import ebauche.core.shop.WireStock;
import ebauche.core.shop.Worth;
import ebauche.exchange.field.Field;
import ebauche.exchange.field.RecordFields;
import ebauche.exchange.json.Words;
import java.util.Map;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a shop is made of, said once: from it come reading and writing, the forms of the crib and of the shop's ways, and the file's
 * schema. Of a tool only its main sizes are needed; what is left out is as such tools usually have it.
 */
public final class ShopFields {
    static final int MOST_TOOLS = 500;
    private static final int MOST_THICKNESSES = 20;
    private static final int MOST_CLAMPS = 60;
    private static final int MOST_RULES = 30;
    private static final int MOST_TURNS = 60_000;

    private static final Field<String> CALLED = Field.text("name", "what you call it", 80);

    private static final Field<Router.Kind> ROUTER_KIND = Field.word(
                    "kind",
                    "kind",
                    Words.usualFirst(Router.Kind::key, Router.Kind.PLUNGE, Router.Kind.values()),
                    Router.Kind::words)
            .ifAny();
    private static final Field<Double> BASE = Field.length("baseDiameter", "base's diameter");
    private static final Field<Double> PLUNGE = Field.length("plunge", "travel");

    public static final RecordFields<Router> ROUTERS = RecordFields.of(
            Router.class,
            said -> Router.usual(said.of(CALLED), said.of(BASE), said.of(PLUNGE)),
            CALLED,
            ROUTER_KIND,
            BASE,
            PLUNGE,
            Field.lengths("collets", "collets, parted by semicolons", 1, 8).ifAny(),
            Field.length("flat", "axis to the base's flat side").ifAny(),
            Field.length("colletGap", "collet to sole, all the way down").ifAny(),
            Field.word("power", "power", Words.of(Router.Power::key, Router.Power.values()), Router.Power::words)
                    .ifAny(),
            Field.whole("leastTurns", "slowest, rpm", 1000, MOST_TURNS).ifAny(),
            Field.whole("mostTurns", "fastest, rpm", 1000, MOST_TURNS).ifAny());

    private static final Field<Bit.Bearing> BEARING = Field.word(
            "bearing",
            "bearing",
            Words.usualFirst(Bit.Bearing::key, Bit.Bearing.AT_SHANK, Bit.Bearing.values()),
            Bit.Bearing::words);
    private static final Field<Double> CUTTER = Field.length("diameter", "cutter's diameter");
    private static final Field<Double> CUTTER_LENGTH = Field.length("cutterLength", "cutter's length");
    private static final Field<Double> SHANK = Field.length("shank", "shank's diameter");

    public static final RecordFields<Bit> BITS = RecordFields.of(
            Bit.class,
            said -> Bit.usual(
                    said.of(CALLED), said.of(BEARING), said.of(CUTTER), said.of(CUTTER_LENGTH), said.of(SHANK)),
            CALLED,
            BEARING,
            CUTTER,
            CUTTER_LENGTH,
            SHANK,
            Field.length("overallLength", "overall length").ifAny(),
            Field.length("bearingDiameter", "bearing's diameter").ifAny(),
            Field.length("bearingWidth", "bearing's width").ifAny(),
            Field.word("profile", "profile", Words.of(Bit.Profile::key, Bit.Profile.values()), Bit.Profile::words)
                    .ifAny(),
            Field.whole("flutes", "flutes", 1, 12).ifAny(),
            Field.word("spiral", "flutes' spiral", Words.of(Bit.Spiral::key, Bit.Spiral.values()), Bit.Spiral::words)
                    .ifAny(),
            Field.word("centreCutting", "can be plunged", Words.YES_NO).ifAny(),
            Field.whole("mostTurns", "stamped rpm", 0, MOST_TURNS).ifAny(),
            Field.word("edge", "edge", Words.of(Bit.Edge::key, Bit.Edge.values()), Bit.Edge::words)
                    .ifAny(),
            Field.word("bearingSound", "bearing without play", Words.YES_NO).ifAny(),
            Field.text("sharpSince", "sharp since (year-month-day)", 10).ifAny());

    private static final Field<Drill.Kind> DRILL_KIND =
            Field.word("kind", "kind", Words.of(Drill.Kind::key, Drill.Kind.values()), Drill.Kind::words);
    private static final Field<Double> DRILL = Field.length("diameter", "diameter");
    private static final Field<Double> SPUR =
            Field.length("spur", "point or rim reaches beyond").usually(1.0);

    public static final RecordFields<Drill> DRILLS = RecordFields.of(
            Drill.class,
            said -> Drill.usual(said.of(CALLED), said.of(DRILL_KIND), said.of(DRILL), said.of(SPUR)),
            CALLED,
            DRILL_KIND,
            DRILL,
            SPUR,
            Field.length("reach", "drills as deep as").ifAny());

    private static final Field<Saw.Kind> SAW_KIND =
            Field.word("kind", "kind", Words.of(Saw.Kind::key, Saw.Kind.values()), Saw.Kind::words);
    private static final Field<Double> BLADE = Field.length("blade", "width of its blade");

    public static final RecordFields<Saw> SAWS = RecordFields.of(
            Saw.class,
            said -> Saw.usual(said.of(CALLED), said.of(SAW_KIND), said.of(BLADE)),
            CALLED,
            SAW_KIND,
            BLADE,
            Field.length("kerf", "kerf").ifAny());

    public static final RecordFields<Drum> DRUMS = RecordFields.of(
            Drum.class,
            CALLED,
            Field.length("diameter", "diameter with its sleeve"),
            Field.length("height", "height that sands"));

    public static final RecordFields<Aid> AIDS = RecordFields.of(
            Aid.class,
            CALLED,
            Field.word("kind", "kind", Words.of(Aid.Kind::key, Aid.Kind.values()), Aid.Kind::words),
            Field.length("size", "size that counts: diameter, bit to knob, width, reach or length"));

    public static final RecordFields<Machine> MACHINES = RecordFields.of(
            Machine.class,
            CALLED,
            Field.word("kind", "kind", Words.of(Machine.Kind::key, Machine.Kind.values()), Machine.Kind::words),
            Field.length("size", "size that counts: widest edge, highest cut, widest board, column to bit"));

    /** Thicknesses that templates are made of. */
    public static final Field<?> TEMPLATES = Field.lengths("templates", "templates", 1, MOST_THICKNESSES);

    /** Thicknesses of what is laid under a template. */
    public static final Field<?> SPACERS = Field.lengths("spacers", "spacers", 0, MOST_THICKNESSES);

    /** Outside diameters of spare bearings. */
    public static final Field<?> BEARINGS = Field.lengths("bearings", "spare bearings", 0, MOST_THICKNESSES)
            .described("outside diameters of the spare bearings in the drawer");

    public static final RecordFields<Crib> CRIB = RecordFields.settings(
            Crib.class,
            Field.list("routers", MOST_TOOLS, ROUTERS),
            Field.list("bits", MOST_TOOLS, BITS),
            Field.list("drills", MOST_TOOLS, DRILLS),
            TEMPLATES,
            SPACERS,
            Field.list("saws", MOST_TOOLS, SAWS),
            Field.list("drums", MOST_TOOLS, DRUMS),
            Field.list("aids", MOST_TOOLS, AIDS)
                    .described(
                            "what steadies or leads a router; size is its base's diameter, the way from bit to knob, its"
                                    + " width, reach or length"),
            Field.list("machines", MOST_TOOLS, MACHINES)
                    .described(
                            "machines; size is the widest edge, highest cut, widest board, or the way from column to bit"),
            BEARINGS);

    /** What hands may be trusted with, by its word in a file. */
    private static final Map<String, Practice.Skill> SKILL = Words.of(Practice.Skill::key, Practice.Skill.values());

    private static final Map<String, Habit> HABIT = Words.of(Habit::key, Habit.values());

    public static final RecordFields<Practice> PRACTICE = RecordFields.settings(
            Practice.class,
            Field.word(
                    "thicknessing",
                    "blanks are brought to thickness by",
                    Words.of(Practice.Thicknessing::key, Practice.Thicknessing.values()),
                    Practice.Thicknessing::words),
            Field.word("holdDown", "templates are held with", Words.HOLD_DOWN, HoldDown::words),
            Field.word(
                    "edge",
                    "outlines are",
                    Words.of(Practice.EdgeSchool::key, Practice.EdgeSchool.values()),
                    Practice.EdgeSchool::words),
            Field.word(
                    "hand",
                    "the hand at the saw is",
                    Words.of(Practice.Hand::key, Practice.Hand.values()),
                    Practice.Hand::words),
            Field.word(
                    "waste",
                    "a pocket's waste is",
                    Words.of(Practice.Waste::key, Practice.Waste.values()),
                    Practice.Waste::words),
            Field.word(
                    "shaping",
                    "at the edge come",
                    Words.of(Practice.Shaping::key, Practice.Shaping.values()),
                    Practice.Shaping::words),
            Field.length("sawAllowance", "sawn outside the line by"),
            Field.length("laidOutTo", "things are moved on a drawing by")
                    .described("the finest that things are laid out to: what one press of an arrow moves"),
            Field.length("frontSanding", "").unasked(),
            Field.length("backSanding", "").unasked(),
            Field.length("wasteShy", "").unasked(),
            Field.length("lastPass", "").unasked(),
            Field.number("glueHours", "", 0, 400).unasked(),
            Field.number("hollowMinutes", "a litre of a hollow takes to rout, minutes", 1, 600),
            Field.words("skills", SKILL)
                    .described("what its hands are trusted with where no machine does it; all of them if left out"),
            Field.words("habits", HABIT).described("small habits that it keeps; all of them if left out"));

    public static final RecordFields<Limits> LIMITS = RecordFields.settings(
            Limits.class,
            Field.length("thinnestFloor", "thinnest floor"),
            Field.length("stopsFloor", "a floor under this stops the build")
                    .described("less wood under a cavity stops the build"),
            Field.length("thinnestWall", "thinnest wall"),
            Field.length("stopsWall", "a wall under this stops the build")
                    .described("less wood between cavities, or to the edge, stops the build"),
            Field.length("pocketPass", "deepest pass in a pocket, by hand")
                    .described("deepest pass in a pocket, the router in the hand"),
            Field.length("edgePass", "deepest pass at an outline or on the table")
                    .described("deepest pass on a table or round an outline"),
            Field.length("depthTolerance", "a floor that a part sits on is hit within"),
            Field.length("bridgeOffCentre", "the bridge off the centre line by at most"),
            Field.length("thicknessTolerance", "readings of one part agree within"),
            Field.number("angleTolerance", "").unasked().described("degrees"),
            Field.number("edgeLasts", "a bit's edge is looked at after, metres of cut", 1, 100_000)
                    .described("metres of cut after which a bit's edge is looked at"));

    public static final RecordFields<Clearances> CLEARANCES = RecordFields.settings(
            Clearances.class,
            Field.length("pickupSide", "round a pickup, on each side"),
            Field.length("pickupUnder", "under a pickup"),
            Field.length("bushing", "a bushing's hole wider by"),
            Field.length("block", "round a vibrato's block"),
            Field.length("control", "round a pot's or switch's body"),
            Field.length("neck", "a pocket wider than the heel in hand by"));

    public static final RecordFields<Bands> BANDS = RecordFields.settings(
            Bands.class,
            Field.length("threads", "a floor that threads go through"),
            Field.length("room", "a floor that only gives room"),
            Field.length("pass", "a depth between passes"),
            Field.length("thickness", "a thickness before sanding"),
            Field.length("flat", "a face that counts as flat"),
            Field.length("bridge", "the saddle line, and the bridge's holes"),
            Field.length("shaped", "wood shaped by hand"));

    public static final RecordFields<Cutting> CUTTING = RecordFields.settings(
            Cutting.class,
            Field.length("ripKerf", "kerf, ripping and cross-cutting"),
            Field.length("resawKerf", "kerf, resawing"),
            Field.length("resawHeight", "widest strip the resaw takes")
                    .described("widest strip the resaw takes; 0: none"),
            Field.length("jointing", "jointing takes off each edge"),
            Field.length("endTrim", "trimmed off a board's ends"),
            Field.length("margin", "blank round the outline"),
            Field.length("sliver", "narrowest strip outside a seam"),
            Field.length("flattening", "flattening both faces takes"),
            Field.length("snipe", "snipe at each end"),
            Field.length("leastOffcutLength", "shortest offcut kept"),
            Field.length("leastOffcutWidth", "narrowest offcut kept"),
            Field.length("leastOffcutThickness", "thinnest offcut kept"),
            Field.number("moistureApart", "boards glued together may differ by, %", 0.1, 20),
            Field.number("readyWithin", "ready within, % of the air's", 0.1, 10));

    private static final Field<String> KIND_OF_CLAMP = Field.text("name", "kind", 60);
    private static final Field<Integer> COUNT = Field.whole("count", "how many", 0, 200);

    public static final RecordFields<Clamp> CLAMPS = RecordFields.of(
            Clamp.class,
            KIND_OF_CLAMP,
            COUNT,
            Field.length("opening", "opens"),
            Field.length("reach", "reaches in"),
            Field.length("jaw", "jaw"),
            Field.number("force", "force in newtons", 50, 40_000).described("newtons"));

    public static final RecordFields<Caul> CAULS = RecordFields.of(
            Caul.class,
            KIND_OF_CLAMP,
            COUNT,
            Field.length("length", "long"),
            Field.length("width", "wide"),
            Field.length("thickness", "thick"),
            Field.word("crowned", "crowned", Words.YES_NO).usually(false));

    public static final RecordFields<Gluing> GLUING = RecordFields.settings(
            Gluing.class,
            Field.word("glue", "glue", Words.of(Glue::key, Glue.values()), Glue::words),
            Field.word(
                    "edges",
                    "mating edges are cut by",
                    Words.of(Gluing.Edges::key, Gluing.Edges.values()),
                    Gluing.Edges::words),
            Field.number("outOfSquare", "measured off square, degrees", 0, 5).described("degrees"),
            Field.word(
                    "complementary",
                    "neighbours cut one face up, one face down",
                    Words.YES_NO,
                    yes -> yes ? "yes, the error cancels" : "no, all the same face up"),
            Field.list("clamps", MOST_CLAMPS, CLAMPS),
            Field.list("cauls", MOST_CLAMPS, CAULS));

    public static final RecordFields<WireStock> WIRE = RecordFields.settings(
            WireStock.class,
            Field.length("slack", "more at each end of a wire"),
            Field.length("cable", "a cable's diameter, a pickup's or the jack's"),
            Field.length("single", "a single wire's diameter"));

    public static final RecordFields<ShieldStock> SHIELDING = RecordFields.settings(
            ShieldStock.class,
            Field.number("spread", "paint, mL for a square metre and coat", 10, 2000)
                    .described("millilitres for a square metre and coat"),
            Field.whole("coats", "coats of paint", 1, 10),
            Field.number("drying", "hours to dry after each coat", 0, 240).described("hours"),
            Field.length("roll", "roll of foil, width"),
            Field.length("overlap", "foil laps over by"),
            Field.word("conductingGlue", "the foil's glue conducts", Words.YES_NO),
            Field.word(
                    "grounding",
                    "grounds are joined as",
                    Words.of(ShieldStock.Grounding::key, ShieldStock.Grounding.values()),
                    ShieldStock.Grounding::words));

    private static final Map<String, Channel.Held> HELD = Words.of(
            Channel.Held::key, Channel.Held.FREE_HAND, Channel.Held.SQUARE, Channel.Held.JIG, Channel.Held.PRESS);

    public static final RecordFields<LongHoles.Own> OWN_HOLES = RecordFields.of(
            LongHoles.Own.class,
            Field.word("held", "how the drill was held", HELD, Channel.Held::words),
            Field.whole("holes", "holes that were read", 1, 100_000),
            Field.number("spread", "root of the mean of their squared misses, degrees", 0, 90)
                    .described("degrees"));

    /** Of a reading: how far a long hole went off. */
    public static final RecordFields<Astray> ASTRAY = RecordFields.of(
            Astray.class,
            Field.word("held", "how the drill was held", HELD, Channel.Held::words),
            Field.number("degrees", "off the angle it was meant to have, down positive", -90, 90)
                    .described("degrees"));

    public static final RecordFields<LongHoles> LONG_HOLES = RecordFields.settings(
            LongHoles.class,
            Field.number("freeHand", "free hand, degrees", 0.05, 20).described("degrees, standard deviation"),
            Field.number("square", "beside a square, degrees", 0.05, 20).described("degrees, standard deviation"),
            Field.number("jig", "in a jig, degrees", 0.05, 20).described("degrees, standard deviation"),
            Field.number("press", "at the press, degrees", 0.05, 20).described("degrees, standard deviation"),
            Field.whole("counts", "that counts for so many own holes", 1, 1000),
            Field.list("own", 4, OWN_HOLES).unasked().described("the shop's own holes that were read"));

    public static final RecordFields<Worth> WORTH = RecordFields.settings(
            Worth.class,
            Field.number("hour", "an hour of work, in the shop's money", 1, 1e6)
                    .described("an hour of work, in the shop's money"),
            Field.number("litre", "a litre of rough timber (a board foot is 2.36)", 0, 1e6)
                    .described("a litre of rough timber, in the shop's money; a board foot is 2.36 litres"));

    private static final Map<String, Stage> STAGE = Words.of(Stage::key, Stage.values());

    public static final RecordFields<HouseRule> HOUSE_RULE = RecordFields.of(
            HouseRule.class,
            Field.word("first", "first", STAGE, Stage::words),
            Field.word("then", "then", STAGE, Stage::words));

    public static final RecordFields<HouseRules> RULES = RecordFields.settings(
            HouseRules.class,
            Field.word(
                            "templateDay",
                            "work on templates",
                            Words.YES_NO,
                            yes -> yes ? "in one stretch if that costs little" : "wherever it costs least")
                    .described("whether work on templates is done in one stretch if that costs little"),
            Field.list("order", MOST_RULES, HOUSE_RULE));

    private ShopFields() {}

    /** The definition {@code shop}. */
    public static ObjectNode schema() {
        ObjectNode shop = JsonNodeFactory.instance.objectNode().put("type", "object");
        shop.put("additionalProperties", false);
        ObjectNode properties = shop.putObject("properties");
        properties.putObject("starter").put("const", Shop.STARTER);
        properties.set("crib", CRIB.schema());
        properties.set("practice", PRACTICE.schema());
        properties.set("limits", LIMITS.schema());
        properties.set("clearances", CLEARANCES.schema());
        properties.set("bands", BANDS.schema());
        properties.set("cutting", CUTTING.schema());
        properties.set("gluing", GLUING.schema());
        properties.set("wire", WIRE.schema());
        properties.set("shielding", SHIELDING.schema());
        properties.set("longHoles", LONG_HOLES.schema());
        properties.set("worth", WORTH.schema());
        properties.set("rules", RULES.schema());
        properties.putObject("printing").put("$ref", "#/$defs/printing");
        list(
                properties,
                "timbers",
                "Timbers of the shop's own, each value with its source.",
                OwnTimbers.MOST,
                "timber");
        list(properties, "box", "the shop's own parts, to be put into designs", MOST_TOOLS, "part");
        return shop;
    }

    private static void list(ObjectNode properties, String key, String words, int most, String definition) {
        ObjectNode list = properties
                .putObject(key)
                .put("description", words)
                .put("type", "array")
                .put("maxItems", most);
        list.putObject("items").put("$ref", "#/$defs/" + definition);
    }
}
