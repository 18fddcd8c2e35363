package ebauche.exchange.rack;

import ebauche.core.timber.Board;
import ebauche.core.timber.Defect;
import ebauche.core.timber.MoistureReading;
import ebauche.core.timber.Rings;
import ebauche.core.timber.Rise;
import ebauche.core.timber.Side;
import ebauche.core.timber.Timbers;
import ebauche.exchange.json.BuildFileException;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.json.Lengths;
import ebauche.exchange.json.Words;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A board of the rack as JSON, its lengths as they were typed; moisture readings are kept beside it, not in it. */
public final class BoardFile {
    private static final int MOST_DEFECTS = 60;
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    public static final Map<String, Rings> RINGS = Words.of(Rings::key, Rings.values());
    public static final Map<String, Rise> RISE = Words.of(Rise::key, Rise.values());
    public static final Map<String, Side> HEART = Words.of(Side::key, Side.values());
    public static final Map<String, Defect.Kind> DEFECTS = Words.of(Defect.Kind::key, Defect.Kind.values());
    public static final Map<String, Boolean> KINDS = Map.of("board", false, "offcut", true);

    private BoardFile() {}

    /**
     * Reads a board.
     *
     * @throws BuildFileException naming the field and the reason
     */
    public static Board read(ObjectNode json, Timbers timbers, List<MoistureReading> readings) {
        return JsonPlace.root(json).asObject(s -> board(s, timbers, readings));
    }

    private static Board board(JsonPlace spot, Timbers timbers, List<MoistureReading> readings) {
        return new Board(
                spot.text("name", 40),
                spot.parsed("species", 40, timbers::of),
                spot.has("kind") && spot.word("kind", KINDS),
                spot.length("length"),
                spot.length("width"),
                spot.length("thickness"),
                spot.has("rings") ? spot.word("rings", RINGS) : Rings.FLAT,
                spot.has("heart") ? Optional.of(spot.word("heart", HEART)) : Optional.empty(),
                spot.has("rise") ? spot.word("rise", RISE) : Rise.LEVEL,
                spot.number("grainAngle", 0),
                spot.has("price") ? OptionalDouble.of(spot.number("price")) : OptionalDouble.empty(),
                readings,
                spot.list("defects", MOST_DEFECTS, s -> s.asObject(BoardFile::defect)));
    }

    private static Defect defect(JsonPlace spot) {
        return new Defect(
                spot.word("kind", DEFECTS),
                spot.length("fromEnd"),
                spot.length("fromEdge"),
                spot.length("along"),
                spot.length("across"),
                spot.length("top"),
                spot.length("bottom"));
    }

    /** Writes a board that nobody typed, such as an offcut. */
    public static ObjectNode write(Board board) {
        ObjectNode out = JSON.objectNode()
                .put("name", board.name())
                .put("species", board.species().key())
                .put("kind", Words.word(KINDS, board.offcut()))
                .put("length", Lengths.written(board.length()))
                .put("width", Lengths.written(board.width()))
                .put("thickness", Lengths.written(board.thickness()))
                .put("rings", board.rings().key())
                .put("rise", board.rise().key())
                .put("grainAngle", board.grainAngle());
        board.heart().ifPresent(h -> out.put("heart", h.name()));
        board.price().ifPresent(p -> out.put("price", Math.round(p * 100) / 100.0));
        ArrayNode defects = out.putArray("defects");
        board.defects().forEach(d -> defects.add(write(d)));
        return out;
    }

    public static ObjectNode write(Defect d) {
        return JSON.objectNode()
                .put("kind", d.kind().key())
                .put("fromEnd", Lengths.written(d.fromEnd()))
                .put("fromEdge", Lengths.written(d.fromEdge()))
                .put("along", Lengths.written(d.along()))
                .put("across", Lengths.written(d.across()))
                .put("top", Lengths.written(d.top()))
                .put("bottom", Lengths.written(d.bottom()));
    }
}
