package ebauche.app.body;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Placing;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.ControlCavity;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.PartFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Changes to a design's JSON that more than one screen makes: another part, a cavity moved. */
public final class Altered {
    /** How far a pickup stands over the front until the maker says otherwise: common practice. */
    private static final String USUAL_PROUD = "4 mm";

    private static final List<String> DRAWN_PICKUP = List.of("across", "along", "cornerRadius", "depth");
    private static final List<String> DRAWN_CONTROL =
            List.of("kind", "opening", "slot", "thinnestTop", "thickestTop", "across", "along", "below");
    private static final List<String> DRAWN_BRIDGE =
            List.of("lowestSaddle", "highestSaddle", "saddleTravel", "across", "along", "recess");

    /** Keys of an element that a part brings with it or takes away. */
    static final List<String> GOES_WITH_PART = Stream.of(
                    DRAWN_PICKUP,
                    DRAWN_CONTROL,
                    DRAWN_BRIDGE,
                    List.of("part", "cover", "coverThickness", "diameter", "proud", "studs", "vibrato"))
            .flatMap(List::stream)
            .distinct()
            .toList();

    private Altered() {}

    /** Features whose part can be another, or can be one where none was. */
    public static List<Feature> fitted(JsonNode design) {
        List<Feature> features = new ArrayList<>(List.of(Bridge.FEATURE));
        design.path("pickups")
                .forEach(p ->
                        features.add(Feature.of(FeatureKind.PICKUP, p.path("id").asString(""))));
        design.path("controls")
                .forEach(c -> features.add(
                        Feature.of(FeatureKind.CONTROL, c.path("id").asString(""))));
        if (design.has("controlCavity")) {
            features.add(ControlCavity.COVER);
        }
        if (design.has("jack")) {
            features.add(Jack.FEATURE);
        }
        return features;
    }

    /** The kind of part that a feature takes. */
    public static PartKind kind(Feature feature) {
        return switch (feature.kind()) {
            case BRIDGE -> PartKind.FLAT_BRIDGE;
            case COVER -> PartKind.COVER;
            case JACK -> PartKind.JACK;
            case PICKUP -> PartKind.PICKUP;
            default -> PartKind.POT;
        };
    }

    /** Puts a part into the place of a feature's; what was drawn for it goes. False if there is no such feature. */
    public static boolean part(ObjectNode design, Feature feature, Part part) {
        Optional<ObjectNode> found = element(design, feature);
        found.ifPresent(e -> {
            String key = feature.is(FeatureKind.COVER) ? "cover" : "part";
            switch (feature.kind()) {
                case BRIDGE -> {
                    DRAWN_BRIDGE.forEach(e::remove);
                    bridge(e, part);
                }
                case COVER -> e.remove("coverThickness");
                case JACK -> e.remove("diameter");
                case PICKUP -> {
                    DRAWN_PICKUP.forEach(e::remove);
                    if (!e.has("proud")) {
                        e.put("proud", USUAL_PROUD);
                    }
                }
                default -> DRAWN_CONTROL.forEach(e::remove);
            }
            e.set(key, PartFile.write(part));
        });
        return found.isPresent();
    }

    /** A bridge's studs and vibrato come and go with the part; where they stand is asked for once and then kept. */
    private static void bridge(ObjectNode bridge, Part part) {
        if (part.has(PartSize.STUD_SPACING)) {
            String y = bridge.path("studs").path("y").asString("4 mm");
            bridge.putObject("studs").put("y", y);
        } else {
            bridge.remove("studs");
        }
        if (part.kind().isVibrato()) {
            ObjectNode route = bridge.withObject("/vibrato");
            List.of("blockLength", "routeAcross", "routeAlong").forEach(route::remove);
            NewParts.vibratoPlace(route);
        } else {
            bridge.remove("vibrato");
        }
    }

    /** The object of the design that a feature is cut for. */
    private static Optional<ObjectNode> element(ObjectNode design, Feature feature) {
        JsonNode found = switch (feature.kind()) {
            case BRIDGE -> design.path("bridge");
            case COVER, CONTROLS -> design.path("controlCavity");
            case JACK -> design.path("jack");
            default -> listed(design, feature);
        };
        return found instanceof ObjectNode object ? Optional.of(object) : Optional.empty();
    }

    private static JsonNode listed(ObjectNode design, Feature feature) {
        for (JsonNode part : design.path(feature.kind().word() + "s")) {
            if (part.path("id").asString("").equals(feature.id())) {
                return part;
            }
        }
        return design.path("nothing");
    }

    /** Leaves a feature undecided, or decides on it. */
    public static void undecided(ObjectNode design, Feature feature, boolean open) {
        List<String> all = new ArrayList<>();
        design.path("undecided").forEach(f -> all.add(f.asString("")));
        all.remove(feature.word());
        if (open) {
            all.add(feature.word());
        }
        if (all.isEmpty()) {
            design.remove("undecided");
        } else {
            ArrayNode list = design.putArray("undecided");
            all.forEach(list::add);
        }
    }

    /**
     * Moves what a feature is cut for; a cavity takes its cover with it, a bridge all that belongs to it.
     *
     * @param dx to the treble side, mm
     * @param dy to the neck, mm
     */
    public static boolean move(ObjectNode design, Feature feature, double dx, double dy) {
        if (!feature.kind().movable()) {
            return false;
        }
        if (feature.is(FeatureKind.SPRINGS)) {
            JsonNode vibrato = design.path("bridge").path("vibrato");
            if (vibrato instanceof ObjectNode route) {
                add(route, "springsY", dy);
            }
            return vibrato instanceof ObjectNode;
        }
        Feature of = feature.owner();
        Optional<ObjectNode> found = element(design, of);
        found.ifPresent(e -> {
            switch (of.kind()) {
                case CONTROLS -> moveOutline(e.withObject("/outline"), dx, dy);
                case JACK -> {
                    point(e.withObject("/entry"), dx, dy);
                    point(e.withObject("/aim"), dx, dy);
                }
                case BRIDGE -> moveBridge(e, dx, dy);
                default -> {
                    point(e.withObject("/at"), dx, dy);
                    if (e.get("aim") instanceof ObjectNode aim) {
                        point(aim, dx, dy);
                    }
                }
            }
        });
        return found.isPresent();
    }

    private static void moveBridge(ObjectNode bridge, double dx, double dy) {
        add(bridge, "offCentre", dx);
        add(bridge, "footprintY", dy);
        add(bridge, "saddleForward", dy);
        if (bridge.get("studs") instanceof ObjectNode studs) {
            add(studs, "y", dy);
        }
        if (bridge.get("vibrato") instanceof ObjectNode vibrato) {
            add(vibrato, "routeY", dy);
        }
    }

    private static void point(ObjectNode point, double dx, double dy) {
        add(point, "x", dx);
        add(point, "y", dy);
    }

    /** Adds to a length; one that is missing counts as nought, one that cannot be read is left for the reader to refuse. */
    private static void add(ObjectNode of, String key, double more) {
        if (more == 0) {
            return;
        }
        try {
            Length now = Length.parse(of.path(key).asString("0 mm"));
            of.put(key, Length.ofMillimetres(now.millimetres() + more).toString());
        } catch (LengthFormatException unreadable) {
            // The design's reader says where it stands and why.
        }
    }

    private static void moveOutline(ObjectNode outline, double dx, double dy) {
        double unit = outline.path("unit").asString("mm").equals("in") ? LengthUnit.INCH.millimetres() : 1;
        Outline drawn = Outline.parse(outline.path("path").asString(""), unit);
        Placing by = Placing.moved(dx, dy);
        Outline moved =
                Outline.of(drawn.segments().stream().map(s -> s.placed(by)).toList());
        outline.put("unit", "mm").put("path", moved.toString());
    }
}
