package ebauche.exchange.file;

import ebauche.core.measure.Fact;
import ebauche.core.timber.Species;
import ebauche.exchange.json.JsonPlace;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The shop's own {@code timbers}. */
public final class OwnTimbers {
    static final int MOST = 60;
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private static final Map<String, Boolean> YES_OR_NO = Map.of("yes", true, "no", false);

    private OwnTimbers() {}

    static Species timber(JsonPlace spot) {
        return new Species(
                spot.text("key", 40),
                spot.text("name", 60),
                sourced(spot, "density", "densityFrom"),
                sourced(spot, "tangential", "movementFrom"),
                sourced(spot, "radial", "movementFrom"),
                sourced(spot, "hardness", "hardnessFrom"),
                spot.text("dust", 400, ""),
                spot.has("brittle") && spot.word("brittle", YES_OR_NO));
    }

    private static Fact sourced(JsonPlace spot, String value, String from) {
        return Fact.rule(spot.number(value), spot.text(from, 200));
    }

    /** Writes a timber of the shop's own, so that a build file that uses it can be read anywhere. */
    public static ObjectNode write(Species s) {
        ObjectNode timber = JSON.objectNode()
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
        return s.brittle() ? timber.put("brittle", "yes") : timber;
    }

    /** What a list of the shop's own timbers means. */
    static List<Species> timbers(JsonPlace spot) {
        return spot.list("timbers", MOST, s -> s.asObject(OwnTimbers::timber));
    }
}
