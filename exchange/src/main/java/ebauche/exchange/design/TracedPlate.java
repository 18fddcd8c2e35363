package ebauche.exchange.design;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.PathData;
import ebauche.core.geometry.Point;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.measure.LengthUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A plate traced or drawn, put into a design as it lies: its line, its screws, and whatever comes through it where its openings are.
 * Small round holes are screws, middling ones carry controls, large ones let pickups through: common practice of such plates.
 */
public final class TracedPlate {
    /** No screw of a plate is thicker, mm: common practice. */
    private static final double LARGEST_SCREW = 5.5;

    /** A control's hole is no wider, mm: 3/8 in bushings and 1/2 in nuts, common practice. */
    private static final double LARGEST_CONTROL = 14;

    /** An opening farther than this from what is drawn is of something else, mm. */
    private static final double NEAR = 30;

    /**
     * A closed line inside the plate's.
     *
     * @param middle as it lies on the body
     * @param across its extent along x, mm
     * @param along its extent along y
     */
    public record Opening(Point middle, double across, double along) {
        private boolean isScrew() {
            return Math.max(across, along) <= LARGEST_SCREW;
        }

        private boolean isControl() {
            return !isScrew() && Math.min(across, along) <= LARGEST_CONTROL;
        }
    }

    private TracedPlate() {}

    /**
     * Puts it in.
     *
     * @param plate the scratch plate, or the cavity under a control plate
     * @return whether the design has such a plate
     */
    public static boolean put(ObjectNode design, Feature plate, Outline line, List<Opening> openings) {
        boolean scratchPlate = plate.is(FeatureKind.SCRATCH_PLATE);
        Optional<ObjectNode> node = scratchPlate
                ? object(design.path("neck").path("scratchPlate"))
                : design.path("cavities")
                        .valueStream()
                        .filter(c -> Feature.of(FeatureKind.CAVITY, c.path("id").asString("controls"))
                                .equals(plate))
                        .findFirst()
                        .flatMap(TracedPlate::object);
        node.ifPresent(n -> {
            n.putObject(scratchPlate ? "outline" : "plate")
                    .put("unit", "mm")
                    .put("path", PathData.write(line.segments()));
            List<Point> screws = openings.stream()
                    .filter(Opening::isScrew)
                    .map(Opening::middle)
                    .limit(Element.MOST_MEMBERS)
                    .toList();
            if (!screws.isEmpty()) {
                ArrayNode list = n.putArray(scratchPlate ? "screws" : "coverScrews");
                screws.forEach(s -> at(list.addObject(), s));
            }
            follow(design.path("controls"), openings, Opening::isControl);
            if (scratchPlate) {
                follow(design.path("pickups"), openings, o -> !o.isScrew() && !o.isControl());
            }
        });
        return node.isPresent();
    }

    private static Optional<ObjectNode> object(JsonNode node) {
        return node instanceof ObjectNode object ? Optional.of(object) : Optional.empty();
    }

    /** Each goes to the opening that lies nearest to it. */
    private static void follow(JsonNode members, List<Opening> openings, Predicate<Opening> which) {
        members.valueStream()
                .map(m -> m.path("at"))
                .filter(ObjectNode.class::isInstance)
                .map(ObjectNode.class::cast)
                .forEach(place -> drawn(place)
                        .ifPresent(drawn -> openings.stream()
                                .filter(which)
                                .map(Opening::middle)
                                .filter(o -> o.distance(drawn) <= NEAR)
                                .min(Comparator.comparingDouble(o -> o.distance(drawn)))
                                .ifPresent(o -> at(place, o))));
    }

    private static Optional<Point> drawn(ObjectNode place) {
        try {
            return Optional.of(new Point(
                    Length.parse(place.path("x").asString(""), LengthUnit.MILLIMETRE)
                            .millimetres(),
                    Length.parse(place.path("y").asString(""), LengthUnit.MILLIMETRE)
                            .millimetres()));
        } catch (LengthFormatException e) {
            return Optional.empty(); // the file's reader says so where it stands
        }
    }

    private static void at(ObjectNode place, Point p) {
        place.put("x", typed(p.x())).put("y", typed(p.y()));
    }

    /** To a hundredth: no rule shows less. */
    private static String typed(double mm) {
        return Decimals.plain(Math.round(mm * 100) / 100.0, 2) + " mm";
    }
}
