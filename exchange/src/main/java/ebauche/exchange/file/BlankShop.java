package ebauche.exchange.file;

import ebauche.core.measure.Fact;
import ebauche.core.shop.Caul;
import ebauche.core.shop.Clamp;
import ebauche.core.shop.Cutting;
import ebauche.core.shop.Glue;
import ebauche.core.shop.Gluing;
import ebauche.core.timber.Species;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.json.Lengths;
import ebauche.exchange.json.Words;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The shop's {@code cutting}, {@code gluing} and own {@code timbers}: what its blanks are cut and joined with. */
public final class BlankShop {
    private static final int MOST = 60;
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    static final Map<String, Glue> GLUES = Words.of(Glue::key, Glue.values());
    static final Map<String, Gluing.Edges> EDGES = Words.of(Gluing.Edges::key, Gluing.Edges.values());

    private BlankShop() {}

    static Cutting cutting(JsonPlace spot, Cutting usual) {
        return new Cutting(
                spot.length("ripKerf", usual.ripKerf()),
                spot.length("resawKerf", usual.resawKerf()),
                spot.length("resawHeight", usual.resawHeight()),
                spot.length("jointing", usual.jointing()),
                spot.length("endTrim", usual.endTrim()),
                spot.length("margin", usual.margin()),
                spot.length("sliver", usual.sliver()),
                spot.length("flattening", usual.flattening()),
                spot.length("snipe", usual.snipe()),
                spot.length("leastOffcutLength", usual.leastOffcutLength()),
                spot.length("leastOffcutWidth", usual.leastOffcutWidth()),
                spot.length("leastOffcutThickness", usual.leastOffcutThickness()),
                spot.number("moistureApart", usual.moistureApart()),
                spot.number("readyWithin", usual.readyWithin()));
    }

    static Gluing gluing(JsonPlace spot, Gluing usual) {
        return new Gluing(
                spot.has("glue") ? spot.word("glue", GLUES) : usual.glue(),
                spot.has("edges") ? spot.word("edges", EDGES) : usual.edges(),
                spot.number("outOfSquare", usual.outOfSquare()),
                spot.has("complementary") ? spot.word("complementary", Words.YES_NO) : usual.complementary(),
                spot.has("clamps") ? spot.list("clamps", MOST, s -> s.asObject(BlankShop::clamp)) : usual.clamps(),
                spot.has("cauls") ? spot.list("cauls", MOST, s -> s.asObject(BlankShop::caul)) : usual.cauls());
    }

    private static Clamp clamp(JsonPlace spot) {
        return new Clamp(
                spot.text("name", 60),
                spot.whole("count"),
                spot.length("opening"),
                spot.length("reach"),
                spot.length("jaw"),
                spot.number("force"));
    }

    private static Caul caul(JsonPlace spot) {
        return new Caul(
                spot.text("name", 60),
                spot.whole("count"),
                spot.length("length"),
                spot.length("width"),
                spot.length("thickness"),
                spot.has("crowned") && spot.word("crowned", Words.YES_NO));
    }

    static Species timber(JsonPlace spot) {
        return new Species(
                spot.text("key", 40),
                spot.text("name", 60),
                sourced(spot, "density", "densityFrom"),
                sourced(spot, "tangential", "movementFrom"),
                sourced(spot, "radial", "movementFrom"),
                sourced(spot, "hardness", "hardnessFrom"),
                spot.text("dust", 400, ""));
    }

    private static Fact sourced(JsonPlace spot, String value, String from) {
        return Fact.rule(spot.number(value), spot.text(from, 200));
    }

    /** Writes a timber of the shop's own, so that a build file that uses it can be read anywhere. */
    public static ObjectNode write(Species s) {
        return JSON.objectNode()
                .put("key", s.key())
                .put("name", s.name())
                .put("density", s.density().value())
                .put("densityFrom", s.density().origin())
                .put("tangential", s.tangential().value())
                .put("radial", s.radial().value())
                .put("movementFrom", s.tangential().origin())
                .put("hardness", s.sideHardness().value())
                .put("hardnessFrom", s.sideHardness().origin())
                .put("dust", s.dust());
    }

    /** Writes into a build file how this one body is glued; clamps, cauls and all else stay the shop's. */
    public static void glueWith(ObjectNode file, Glue glue, boolean complementary) {
        file.withObject("/shop/gluing")
                .put("glue", glue.key())
                .put("complementary", Words.word(Words.YES_NO, complementary));
    }

    public static ObjectNode write(Cutting c) {
        return JSON.objectNode()
                .put("ripKerf", Lengths.written(c.ripKerf()))
                .put("resawKerf", Lengths.written(c.resawKerf()))
                .put("resawHeight", Lengths.written(c.resawHeight()))
                .put("jointing", Lengths.written(c.jointing()))
                .put("endTrim", Lengths.written(c.endTrim()))
                .put("margin", Lengths.written(c.margin()))
                .put("sliver", Lengths.written(c.sliver()))
                .put("flattening", Lengths.written(c.flattening()))
                .put("snipe", Lengths.written(c.snipe()))
                .put("leastOffcutLength", Lengths.written(c.leastOffcutLength()))
                .put("leastOffcutWidth", Lengths.written(c.leastOffcutWidth()))
                .put("leastOffcutThickness", Lengths.written(c.leastOffcutThickness()))
                .put("moistureApart", c.moistureApart())
                .put("readyWithin", c.readyWithin());
    }

    public static ObjectNode write(Gluing g) {
        ObjectNode out = JSON.objectNode()
                .put("glue", g.glue().key())
                .put("edges", g.edges().key())
                .put("outOfSquare", g.outOfSquare())
                .put("complementary", Words.word(Words.YES_NO, g.complementary()));
        ArrayNode clamps = out.putArray("clamps");
        for (Clamp c : g.clamps()) {
            clamps.addObject()
                    .put("name", c.name())
                    .put("count", c.count())
                    .put("opening", Lengths.written(c.opening()))
                    .put("reach", Lengths.written(c.reach()))
                    .put("jaw", Lengths.written(c.jaw()))
                    .put("force", c.force());
        }
        ArrayNode cauls = out.putArray("cauls");
        for (Caul c : g.cauls()) {
            cauls.addObject()
                    .put("name", c.name())
                    .put("count", c.count())
                    .put("length", Lengths.written(c.length()))
                    .put("width", Lengths.written(c.width()))
                    .put("thickness", Lengths.written(c.thickness()))
                    .put("crowned", Words.word(Words.YES_NO, c.crowned()));
        }
        return out;
    }

    /** What a list of the shop's own timbers means. */
    static List<Species> timbers(JsonPlace spot) {
        return spot.list("timbers", MOST, s -> s.asObject(BlankShop::timber));
    }
}
