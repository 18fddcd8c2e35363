package ebauche.exchange.design;

import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Plates;
import ebauche.core.design.Strip;
import ebauche.core.geometry.Outline;
import ebauche.core.timber.Flaw;
import ebauche.core.timber.Rings;
import ebauche.core.timber.Side;
import ebauche.core.timber.Species;
import ebauche.core.timber.Timbers;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.json.Lengths;
import ebauche.exchange.json.Words;
import ebauche.exchange.rack.BoardFile;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The {@code blank} of a design: a core, perhaps a top; each of even pieces, or strip by strip with its faults. */
public final class BlankReader {
    private static final int MOST_TEXT = 120;
    private static final int MOST_FLAWS = 200;
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private static final Map<String, Side> SIDES = Words.of(Side::key, Side.values());
    private static final Map<String, Boolean> FAR_END_TO_NECK = Map.of("far", true, "near", false);
    private static final Map<String, Boolean> HEART_UP = Map.of("up", true, "down", false);
    private static final Map<String, Integer> PLANED = Map.of("towards-neck", 1, "from-neck", -1, "either", 0);

    private BlankReader() {}

    static Blank read(JsonPlace spot, Outline outline, Timbers timbers) {
        double middle = (outline.region().minY() + outline.region().maxY()) / 2;
        double across = spot.length("across");
        return new Blank(
                across,
                spot.length("along"),
                spot.length("middleX", 0),
                spot.length("middleY", middle),
                layer(spot, across, timbers),
                spot.optionalObject("top", s -> layer(s, across, timbers)),
                new Plates(spot.length("sawnFront", 0), spot.length("sawnBack", 0)));
    }

    private static BlankLayer layer(JsonPlace spot, double across, Timbers timbers) {
        Species species = species(spot, timbers);
        List<Strip> strips =
                spot.list("strips", BlankLayer.MOST_STRIPS, s -> s.asObject(strip -> strip(strip, timbers)));
        int pieces = strips.isEmpty() || spot.has("pieces") ? spot.whole("pieces") : strips.size();
        double thickness = spot.length("thickness");
        if (!strips.isEmpty() && pieces != strips.size()) {
            throw spot.at("pieces")
                    .trouble("says " + pieces + ", and there are " + strips.size()
                            + " strips. Lay the blank out anew, or leave its strips out");
        }
        return strips.isEmpty()
                ? BlankLayer.even(species, pieces, across, thickness, spot.number("grainAngle", 0))
                : new BlankLayer(
                        species, strips, thickness, spot.list("flaws", MOST_FLAWS, s -> s.asObject(BlankReader::flaw)));
    }

    static Species species(JsonPlace spot, Timbers timbers) {
        return spot.parsed("species", MOST_TEXT, timbers::of);
    }

    private static Strip strip(JsonPlace spot, Timbers timbers) {
        return new Strip(
                spot.length("width"),
                spot.text("board", 40, ""),
                spot.has("up") ? spot.word("up", SIDES) : Side.A,
                !spot.has("neckEnd") || spot.word("neckEnd", FAR_END_TO_NECK),
                spot.has("rings") ? spot.word("rings", BoardFile.RINGS) : Rings.FLAT,
                spot.has("heart") ? Optional.of(spot.word("heart", HEART_UP)) : Optional.empty(),
                spot.has("planed") ? spot.word("planed", PLANED) : 0,
                spot.number("grainAngle", 0),
                spot.has("species") ? Optional.of(species(spot, timbers)) : Optional.empty());
    }

    private static Flaw flaw(JsonPlace spot) {
        return new Flaw(
                spot.word("kind", BoardFile.DEFECTS),
                spot.length("minX"),
                spot.length("maxX"),
                spot.length("minY"),
                spot.length("maxY"),
                spot.length("top"),
                spot.length("bottom"));
    }

    /** Writes a blank as this reads it. */
    public static ObjectNode write(Blank blank) {
        ObjectNode out = JSON.objectNode();
        write(blank.core(), out);
        out.put("across", length(blank.across())).put("along", length(blank.along()));
        out.put("middleX", length(blank.middleX())).put("middleY", length(blank.middleY()));
        blank.top().ifPresent(t -> write(t, out.putObject("top")));
        writePlate(out, "sawnFront", blank.sawn().front());
        writePlate(out, "sawnBack", blank.sawn().back());
        return out;
    }

    private static void writePlate(ObjectNode out, String key, double thickness) {
        if (thickness > 0) {
            out.put(key, length(thickness));
        }
    }

    private static void write(BlankLayer layer, ObjectNode out) {
        out.put("species", layer.species().key());
        out.put("pieces", layer.strips().size());
        out.put("thickness", length(layer.thickness()));
        ArrayNode strips = out.putArray("strips");
        layer.strips().forEach(s -> strips.add(strip(s)));
        if (!layer.flaws().isEmpty()) {
            ArrayNode flaws = out.putArray("flaws");
            layer.flaws().forEach(f -> flaws.add(flaw(f)));
        }
    }

    private static ObjectNode strip(Strip strip) {
        ObjectNode out = JSON.objectNode().put("width", length(strip.width()));
        if (!strip.board().isEmpty()) {
            out.put("board", strip.board());
        }
        out.put("up", strip.up().key()).put("neckEnd", Words.word(FAR_END_TO_NECK, strip.farEndToNeck()));
        out.put("rings", strip.rings().key());
        strip.heartUp().ifPresent(up -> out.put("heart", Words.word(HEART_UP, up)));
        out.put("planed", Words.word(PLANED, strip.planedTowardsNeck()));
        strip.species().ifPresent(s -> out.put("species", s.key()));
        return out.put("grainAngle", strip.grainAngle());
    }

    private static ObjectNode flaw(Flaw flaw) {
        return JSON.objectNode()
                .put("kind", flaw.kind().key())
                .put("minX", length(flaw.minX()))
                .put("maxX", length(flaw.maxX()))
                .put("minY", length(flaw.minY()))
                .put("maxY", length(flaw.maxY()))
                .put("top", length(flaw.top()))
                .put("bottom", length(flaw.bottom()));
    }

    private static String length(double millimetres) {
        return Lengths.written(millimetres);
    }
}
