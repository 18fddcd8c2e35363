package ebauche.exchange.file;

import ebauche.core.crib.Aid;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Drill;
import ebauche.core.crib.Drum;
import ebauche.core.crib.Machine;
import ebauche.core.crib.Router;
import ebauche.core.crib.Saw;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.json.Lengths;
import ebauche.exchange.json.Words;
import java.util.Map;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * The tools of a shop as the build file and the shop's ways hold them. Of each only its main sizes are needed; what is left
 * out is as such tools usually have it.
 */
public final class CribFile {
    private static final int MOST_COLLETS = 8;
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    static final Map<String, Bit.Bearing> BEARING = Words.of(Bit.Bearing::key, Bit.Bearing.values());
    static final Map<String, Bit.Profile> PROFILE = Words.of(Bit.Profile::key, Bit.Profile.values());
    static final Map<String, Bit.Spiral> SPIRAL = Words.of(Bit.Spiral::key, Bit.Spiral.values());
    static final Map<String, Bit.Edge> EDGE = Words.of(Bit.Edge::key, Bit.Edge.values());
    static final Map<String, Router.Kind> ROUTER = Words.of(Router.Kind::key, Router.Kind.values());
    static final Map<String, Router.Power> POWER = Words.of(Router.Power::key, Router.Power.values());
    static final Map<String, Drill.Kind> DRILL = Words.of(Drill.Kind::key, Drill.Kind.values());
    static final Map<String, Saw.Kind> SAW = Words.of(Saw.Kind::key, Saw.Kind.values());
    static final Map<String, Aid.Kind> AID = Words.of(Aid.Kind::key, Aid.Kind.values());
    static final Map<String, Machine.Kind> MACHINE = Words.of(Machine.Kind::key, Machine.Kind.values());

    private CribFile() {}

    static Router router(JsonPlace spot) {
        Router usual = Router.usual(spot.text("name", 80), spot.length("baseDiameter"), spot.length("plunge"));
        return new Router(
                usual.name(),
                word(spot, "kind", ROUTER, usual.kind()),
                word(spot, "power", POWER, usual.power()),
                usual.baseDiameter(),
                spot.length("flat", usual.flat()),
                usual.plunge(),
                spot.has("collets") ? spot.list("collets", MOST_COLLETS, JsonPlace::asLength) : usual.collets(),
                spot.length("colletGap", usual.colletGap()),
                spot.has("leastTurns") ? spot.whole("leastTurns") : usual.leastTurns(),
                spot.has("mostTurns") ? spot.whole("mostTurns") : usual.mostTurns());
    }

    static Bit bit(JsonPlace spot) {
        Bit usual = Bit.usual(
                spot.text("name", 80),
                spot.word("bearing", BEARING),
                spot.length("diameter"),
                spot.length("cutterLength"),
                spot.length("shank"));
        return new Bit(
                usual.name(),
                word(spot, "profile", PROFILE, usual.profile()),
                usual.bearing(),
                usual.diameter(),
                usual.cutterLength(),
                spot.length("overallLength", usual.overallLength()),
                usual.shank(),
                spot.length("bearingDiameter", usual.bearingDiameter()),
                spot.length("bearingWidth", usual.bearingWidth()),
                spot.has("flutes") ? spot.whole("flutes") : usual.flutes(),
                word(spot, "spiral", SPIRAL, usual.spiral()),
                word(spot, "centreCutting", Words.YES_NO, usual.centreCutting()),
                spot.has("mostTurns") ? spot.whole("mostTurns") : usual.mostTurns(),
                word(spot, "edge", EDGE, usual.edge()),
                word(spot, "bearingSound", Words.YES_NO, usual.bearingSound()));
    }

    static Drill drill(JsonPlace spot) {
        Drill usual = Drill.usual(
                spot.text("name", 80), spot.word("kind", DRILL), spot.length("diameter"), spot.length("spur", 1));
        return new Drill(
                usual.name(), usual.kind(), usual.diameter(), usual.spur(), spot.length("reach", usual.reach()));
    }

    static Saw saw(JsonPlace spot) {
        Saw usual = Saw.usual(spot.text("name", 80), spot.word("kind", SAW), spot.length("blade"));
        return new Saw(usual.name(), usual.kind(), usual.blade(), spot.length("kerf", usual.kerf()));
    }

    static Drum drum(JsonPlace spot) {
        return new Drum(spot.text("name", 80), spot.length("diameter"), spot.length("height"));
    }

    static Aid aid(JsonPlace spot) {
        return new Aid(spot.text("name", 80), spot.word("kind", AID), spot.length("size"));
    }

    static Machine machine(JsonPlace spot) {
        return new Machine(spot.text("name", 80), spot.word("kind", MACHINE), spot.length("size"));
    }

    private static <T> T word(JsonPlace spot, String key, Map<String, T> words, T usual) {
        return spot.has(key) ? spot.word(key, words) : usual;
    }

    /** A whole crib, every size of every tool written out. */
    public static ObjectNode write(Crib crib) {
        ObjectNode out = JSON.objectNode();
        ArrayNode routers = out.putArray("routers");
        crib.routers().forEach(r -> routers.add(write(r)));
        ArrayNode bits = out.putArray("bits");
        crib.bits().forEach(b -> bits.add(write(b)));
        ArrayNode drills = out.putArray("drills");
        crib.drills().forEach(d -> drills.add(write(d)));
        ArrayNode templates = out.putArray("templates");
        crib.templates().forEach(t -> templates.add(Lengths.written(t)));
        ArrayNode spacers = out.putArray("spacers");
        crib.spacers().forEach(s -> spacers.add(Lengths.written(s)));
        ArrayNode saws = out.putArray("saws");
        crib.saws().forEach(s -> saws.add(write(s)));
        ArrayNode drums = out.putArray("drums");
        crib.drums().forEach(d -> drums.add(write(d)));
        ArrayNode aids = out.putArray("aids");
        crib.aids().forEach(a -> aids.add(write(a)));
        ArrayNode machines = out.putArray("machines");
        crib.machines().forEach(m -> machines.add(write(m)));
        return out;
    }

    private static ObjectNode write(Saw s) {
        return JSON.objectNode()
                .put("name", s.name())
                .put("kind", s.kind().key())
                .put("blade", Lengths.written(s.blade()))
                .put("kerf", Lengths.written(s.kerf()));
    }

    private static ObjectNode write(Drum d) {
        return JSON.objectNode()
                .put("name", d.name())
                .put("diameter", Lengths.written(d.diameter()))
                .put("height", Lengths.written(d.height()));
    }

    private static ObjectNode write(Aid a) {
        return JSON.objectNode()
                .put("name", a.name())
                .put("kind", a.kind().key())
                .put("size", Lengths.written(a.size()));
    }

    private static ObjectNode write(Machine m) {
        return JSON.objectNode()
                .put("name", m.name())
                .put("kind", m.kind().key())
                .put("size", Lengths.written(m.size()));
    }

    private static ObjectNode write(Router r) {
        ObjectNode out = JSON.objectNode()
                .put("name", r.name())
                .put("kind", r.kind().key())
                .put("power", r.power().key())
                .put("baseDiameter", Lengths.written(r.baseDiameter()))
                .put("flat", Lengths.written(r.flat()))
                .put("plunge", Lengths.written(r.plunge()))
                .put("colletGap", Lengths.written(r.colletGap()))
                .put("leastTurns", r.leastTurns())
                .put("mostTurns", r.mostTurns());
        ArrayNode collets = out.putArray("collets");
        r.collets().forEach(c -> collets.add(Lengths.written(c)));
        return out;
    }

    private static ObjectNode write(Bit b) {
        return JSON.objectNode()
                .put("name", b.name())
                .put("profile", b.profile().key())
                .put("bearing", b.bearing().key())
                .put("diameter", Lengths.written(b.diameter()))
                .put("cutterLength", Lengths.written(b.cutterLength()))
                .put("overallLength", Lengths.written(b.overallLength()))
                .put("shank", Lengths.written(b.shank()))
                .put("bearingDiameter", Lengths.written(b.bearingDiameter()))
                .put("bearingWidth", Lengths.written(b.bearingWidth()))
                .put("flutes", b.flutes())
                .put("spiral", b.spiral().key())
                .put("centreCutting", Words.word(Words.YES_NO, b.centreCutting()))
                .put("mostTurns", b.mostTurns())
                .put("edge", b.edge().key())
                .put("bearingSound", Words.word(Words.YES_NO, b.bearingSound()));
    }

    private static ObjectNode write(Drill d) {
        return JSON.objectNode()
                .put("name", d.name())
                .put("kind", d.kind().key())
                .put("diameter", Lengths.written(d.diameter()))
                .put("spur", Lengths.written(d.spur()))
                .put("reach", Lengths.written(d.reach()));
    }
}
