package ebauche.exchange.file;

import ebauche.core.crib.Crib;
import ebauche.core.shop.Clearances;
import ebauche.core.shop.Limits;
import ebauche.core.shop.Practice;
import ebauche.core.shop.Shop;
import ebauche.exchange.design.PartFile;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.json.Lengths;
import ebauche.exchange.json.Words;
import ebauche.exchange.paper.Scale;
import ebauche.exchange.table.TimberFile;
import java.util.Set;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The {@code shop} part of a build file; what it leaves out comes from the starter shop whose version it names. */
final class ShopReader {
    private static final int MOST_TOOLS = 500;

    private static final int MOST_THICKNESSES = 20;

    private ShopReader() {}

    static ShopPart read(JsonPlace spot) {
        int version = spot.has("starter") ? spot.whole("starter") : Shop.STARTER;
        if (version != Shop.STARTER) {
            throw spot.at("starter").trouble("there is no starter shop " + version + "; the newest is " + Shop.STARTER);
        }
        Shop starter = Shop.starter(version);
        Shop shop = new Shop(
                spot.optionalObject("crib", s -> crib(s, starter.crib())).orElse(starter.crib()),
                spot.optionalObject("practice", s -> practice(s, starter.practice()))
                        .orElse(starter.practice()),
                spot.optionalObject("limits", s -> limits(s, starter.limits())).orElse(starter.limits()),
                spot.optionalObject("cutting", s -> BlankShop.cutting(s, starter.cutting()))
                        .orElse(starter.cutting()),
                spot.optionalObject("gluing", s -> BlankShop.gluing(s, starter.gluing()))
                        .orElse(starter.gluing()),
                spot.optionalObject("clearances", s -> clearances(s, starter.clearances()))
                        .orElse(starter.clearances()));
        // Judged here with the rest; it changes no plan, only what is printed.
        spot.optionalObject("printing", s -> new Scale(s.number("across", 1), s.number("along", 1)));
        return new ShopPart(
                shop,
                TimberFile.SHIPPED.with(BlankShop.timbers(spot)),
                spot.list("box", MOST_TOOLS, s -> s.asObject(PartFile::read)));
    }

    private static Crib crib(JsonPlace spot, Crib starter) {
        return new Crib(
                spot.has("routers")
                        ? spot.list("routers", MOST_TOOLS, s -> s.asObject(CribFile::router))
                        : starter.routers(),
                spot.has("bits") ? spot.list("bits", MOST_TOOLS, s -> s.asObject(CribFile::bit)) : starter.bits(),
                spot.has("drills")
                        ? spot.list("drills", MOST_TOOLS, s -> s.asObject(CribFile::drill))
                        : starter.drills(),
                spot.has("templates")
                        ? spot.list("templates", MOST_THICKNESSES, JsonPlace::asLength)
                        : starter.templates(),
                spot.has("spacers") ? spot.list("spacers", MOST_THICKNESSES, JsonPlace::asLength) : starter.spacers(),
                spot.has("saws") ? spot.list("saws", MOST_TOOLS, s -> s.asObject(CribFile::saw)) : starter.saws(),
                spot.has("drums") ? spot.list("drums", MOST_TOOLS, s -> s.asObject(CribFile::drum)) : starter.drums(),
                spot.has("aids") ? spot.list("aids", MOST_TOOLS, s -> s.asObject(CribFile::aid)) : starter.aids(),
                spot.has("machines")
                        ? spot.list("machines", MOST_TOOLS, s -> s.asObject(CribFile::machine))
                        : starter.machines());
    }

    private static Practice practice(JsonPlace spot, Practice usual) {
        return new Practice(
                spot.has("thicknessing") ? spot.word("thicknessing", ShopPart.THICKNESSING) : usual.thicknessing(),
                spot.has("holdDown") ? spot.word("holdDown", Words.HOLD_DOWN) : usual.holdDown(),
                spot.length("frontSanding", usual.frontSanding()),
                spot.length("backSanding", usual.backSanding()),
                spot.length("sawAllowance", usual.sawAllowance()),
                spot.length("wasteShy", usual.wasteShy()),
                spot.length("lastPass", usual.lastPass()),
                spot.number("glueHours", usual.glueHours()),
                spot.has("edge") ? spot.word("edge", ShopPart.EDGE) : usual.edge(),
                spot.has("hand") ? spot.word("hand", ShopPart.HAND) : usual.hand(),
                spot.has("skills")
                        ? Set.copyOf(spot.list("skills", ShopPart.SKILL.size(), s -> s.asWord(ShopPart.SKILL)))
                        : usual.skills());
    }

    static ObjectNode write(Practice practice) {
        ObjectNode out = JsonNodeFactory.instance
                .objectNode()
                .put("thicknessing", practice.thicknessing().key())
                .put("holdDown", practice.holdDown().key())
                .put("frontSanding", Lengths.written(practice.frontSanding()))
                .put("backSanding", Lengths.written(practice.backSanding()))
                .put("sawAllowance", Lengths.written(practice.sawAllowance()))
                .put("wasteShy", Lengths.written(practice.wasteShy()))
                .put("lastPass", Lengths.written(practice.lastPass()))
                .put("glueHours", practice.glueHours())
                .put("edge", practice.edge().key())
                .put("hand", practice.hand().key());
        ArrayNode skills = out.putArray("skills");
        practice.skills().stream().sorted().forEach(s -> skills.add(s.key()));
        return out;
    }

    private static Clearances clearances(JsonPlace spot, Clearances usual) {
        return new Clearances(
                spot.length("pickupSide", usual.pickupSide()),
                spot.length("pickupUnder", usual.pickupUnder()),
                spot.length("bushing", usual.bushing()),
                spot.length("block", usual.block()),
                spot.length("control", usual.control()),
                spot.length("neck", usual.neck()));
    }

    static ObjectNode write(Clearances room) {
        return JsonNodeFactory.instance
                .objectNode()
                .put("pickupSide", Lengths.written(room.pickupSide()))
                .put("pickupUnder", Lengths.written(room.pickupUnder()))
                .put("bushing", Lengths.written(room.bushing()))
                .put("block", Lengths.written(room.block()))
                .put("control", Lengths.written(room.control()))
                .put("neck", Lengths.written(room.neck()));
    }

    private static Limits limits(JsonPlace spot, Limits usual) {
        return new Limits(
                spot.length("thinnestFloor", usual.thinnestFloor()),
                spot.length("thinnestWall", usual.thinnestWall()),
                spot.length("bridgeOffCentre", usual.bridgeOffCentre()),
                spot.length("depthTolerance", usual.depthTolerance()),
                spot.length("thicknessTolerance", usual.thicknessTolerance()),
                spot.number("angleTolerance", usual.angleTolerance()),
                spot.length("stopsFloor", usual.stopsFloor()),
                spot.length("stopsWall", usual.stopsWall()),
                spot.length("pocketPass", usual.pocketPass()),
                spot.length("edgePass", usual.edgePass()));
    }

    static ObjectNode write(Limits limits) {
        return JsonNodeFactory.instance
                .objectNode()
                .put("thinnestFloor", Lengths.written(limits.thinnestFloor()))
                .put("thinnestWall", Lengths.written(limits.thinnestWall()))
                .put("bridgeOffCentre", Lengths.written(limits.bridgeOffCentre()))
                .put("depthTolerance", Lengths.written(limits.depthTolerance()))
                .put("thicknessTolerance", Lengths.written(limits.thicknessTolerance()))
                .put("angleTolerance", limits.angleTolerance())
                .put("stopsFloor", Lengths.written(limits.stopsFloor()))
                .put("stopsWall", Lengths.written(limits.stopsWall()))
                .put("pocketPass", Lengths.written(limits.pocketPass()))
                .put("edgePass", Lengths.written(limits.edgePass()));
    }
}
