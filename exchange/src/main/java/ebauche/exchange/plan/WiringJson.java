package ebauche.exchange.plan;

import ebauche.core.channel.BoreLook;
import ebauche.core.design.Passage;
import ebauche.core.geometry.Face;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Wire;
import ebauche.core.plan.BuildPlan;
import ebauche.core.shielding.Ground;
import ebauche.core.shielding.Roll;
import ebauche.core.shielding.Skin;
import ebauche.core.stock.WoodLeft;
import ebauche.core.wires.WireWays;
import java.util.List;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What a plan says of wires, their channels, shields and ground: the wires to cut, how each channel lies, foil to cut, readings to take. */
final class WiringJson {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private WiringJson() {}

    /** All of it. */
    static ObjectNode of(BuildPlan plan) {
        ObjectNode out = JSON.objectNode();
        WireWays ways = WireWays.of(plan.build());
        ArrayNode wires = out.putArray("wires");
        ways.ways().forEach(w -> wires.add(wire(w)));
        ArrayNode without = out.putArray("withoutWay");
        ways.without().forEach(w -> without.add(ends(w)));
        ArrayNode channels = out.putArray("channels");
        for (Channel channel : plan.build().design().channels()) {
            ObjectNode one = channel(BoreLook.of(plan.build(), plan.history(), channel));
            ways.fills().stream()
                    .filter(f -> f.channel().id().equals(channel.id()))
                    .forEach(f -> one.put("mostFilled", f.most()).set("filled", PlanJson.reckoning(f.share())));
            channels.add(one);
        }
        ArrayNode shields = out.putArray("shields");
        Skin.all(plan.build()).forEach(s -> shields.add(shield(s)));
        out.set("ground", ground(Ground.of(plan.build())));
        return out;
    }

    private static ObjectNode ends(Wire wire) {
        return JSON.objectNode()
                .put("id", wire.id())
                .put("from", wire.from().word())
                .put("to", wire.to().word());
    }

    private static ObjectNode wire(WireWays.Way way) {
        ObjectNode out = ends(way.wire()).put("diameter", way.diameter());
        ArrayNode through = out.putArray("through");
        way.through().forEach(f -> through.add(f.word()));
        out.set("cut", PlanJson.reckoning(way.cut()));
        return out;
    }

    private static ObjectNode channel(BoreLook look) {
        Channel channel = look.run().channel();
        Passage passage = look.run().passage();
        ObjectNode out = JSON.objectNode()
                .put("id", channel.id())
                .put("diameter", channel.diameter())
                .put("drilled", look.isFact())
                .put("begun", PlanJson.word(passage.begun()))
                .put("from", passage.from().map(s -> s.feature().word()).orElse(""))
                .put("into", passage.into().map(s -> s.feature().word()).orElse(""));
        out.set("entry", end(channel, passage.entersAt()));
        out.set("exit", end(channel, passage.leavesAt()));
        out.put("wood", passage.wood()).put("slope", channel.pitch()).put("offCentreLine", look.yaw());
        look.drill().ifPresentOrElse(d -> out.set("drill", PlanJson.reckoning(d)), () -> out.putNull("drill"));
        ObjectNode chance = out.putObject("comesOut");
        chance.set("front", PlanJson.reckoning(look.chance(Face.FRONT)));
        chance.set("back", PlanJson.reckoning(look.chance(Face.BACK)));
        ArrayNode beside = out.putArray("beside");
        for (WoodLeft.Thin thin : look.beside()) {
            beside.addObject()
                    .put(
                            "neighbour",
                            thin.feature().equals(channel.feature())
                                    ? thin.neighbour().word()
                                    : thin.feature().word())
                    .put("thickness", thin.thickness());
        }
        return out;
    }

    private static ObjectNode end(Channel channel, double along) {
        return PlanJson.point(channel.at(along)).put("under", channel.under(along));
    }

    private static ObjectNode shield(Skin skin) {
        ObjectNode out = JSON.objectNode()
                .put("space", skin.space().feature().word())
                .put("by", skin.shield().by().key());
        out.set("area", PlanJson.reckoning(skin.area()));
        if (skin.shield().by().isFoil()) {
            Roll roll = skin.foil();
            out.put("rollWidth", roll.width()).put("rollLength", roll.length());
            ArrayNode pieces = out.putArray("pieces");
            roll.pieces()
                    .forEach(p -> pieces.addObject()
                            .put("what", p.piece().said())
                            .put("wide", p.piece().wide())
                            .put("long", p.piece().length())
                            .put("across", p.across())
                            .put("along", p.along()));
        } else {
            out.set("paint", PlanJson.reckoning(skin.paint()));
        }
        return out;
    }

    /** Readings in the order in which they are taken: between what, and at the most how many ohms. */
    private static ObjectNode ground(Ground ground) {
        ObjectNode out = JSON.objectNode();
        out.set("readings", bonds(ground, ground.readings()));
        out.set("leftOut", bonds(ground, ground.leftOut()));
        return out;
    }

    private static ArrayNode bonds(Ground ground, List<Ground.Bond> bonds) {
        ArrayNode out = JSON.arrayNode();
        bonds.forEach(b -> out.addObject()
                .put("between", ground.said(b.one()))
                .put("and", ground.said(b.other()))
                .put("by", b.how())
                .put("mostOhms", ground.most(b.one(), b.other())));
        return out;
    }
}
