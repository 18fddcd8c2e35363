package ebauche.exchange.design;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Placing;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.json.JsonPaths;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A feature moved in a design's JSON: a cavity takes its cover with it, a bridge all that belongs to it. */
public final class FeatureMove {
    private final double dx;
    private final double dy;
    private final LengthUnit unit;

    private FeatureMove(double dx, double dy, LengthUnit unit) {
        this.dx = dx;
        this.dy = dy;
        this.unit = unit;
    }

    /**
     * Moves what a feature is cut for; its new place is written in millimetres.
     *
     * @param dx to the right as seen from the front, mm
     * @param dy to the neck, mm
     * @return whether the design has it
     */
    public static boolean move(ObjectNode design, Feature feature, double dx, double dy) {
        return move(design, feature, dx, dy, LengthUnit.MILLIMETRE);
    }

    /**
     * The same.
     *
     * @param unit that its new place is written in
     */
    public static boolean move(ObjectNode design, Feature feature, double dx, double dy, LengthUnit unit) {
        return mover(feature)
                .flatMap(m -> with(m.kind()))
                .filter(e -> new FeatureMove(dx, dy, unit).move(design, e, feature))
                .isPresent();
    }

    /** What moves when a feature is moved: itself, or what it comes with; nothing if no hand may move it. */
    public static Optional<Feature> mover(Feature feature) {
        if (!feature.kind().movable()) {
            return Optional.empty();
        }
        return Stream.of(feature, feature.owner())
                .filter(f -> with(f.kind()).isPresent())
                .findFirst();
    }

    /** The element that moves with a kind of feature. */
    private static Optional<Element> with(FeatureKind kind) {
        return DesignCatalogue.ELEMENTS.stream()
                .filter(e -> e.moves().filter(m -> m.with() == kind).isPresent())
                .findFirst();
    }

    private boolean move(ObjectNode design, Element element, Feature feature) {
        Element.Moves moves = element.moves().orElseThrow();
        for (Element.Place place : element.places(design)) {
            boolean its =
                    !element.many() || place.node().path("id").asString("").equals(feature.id());
            if (its && place.node() instanceof ObjectNode node) {
                moves.points().forEach(p -> point(node, p));
                lengths(node, moves.across(), dx);
                lengths(node, moves.along(), dy);
                moves.outlines().stream()
                        .map(node::path)
                        .filter(ObjectNode.class::isInstance)
                        .forEach(o -> outline((ObjectNode) o));
                return true;
            }
        }
        return false;
    }

    /** A place that is not there stays so; of several each moves. */
    private void point(ObjectNode node, String key) {
        JsonNode there = node.path(key);
        (there.isArray() ? there.valueStream() : Stream.of(there)).forEach(place -> {
            if (place instanceof ObjectNode point) {
                add(point, "x", dx);
                add(point, "y", dy);
            }
        });
    }

    /** Lengths of the element itself count as nought where they are missing; those of a part of it that is not there are none. */
    private void lengths(ObjectNode node, List<String> lengths, double more) {
        for (String length : lengths) {
            JsonNode of = JsonPaths.parent(node, length);
            if (of instanceof ObjectNode object) {
                add(object, JsonPaths.key(length), more);
            }
        }
    }

    /** Adds to a length; one that cannot be read is left for the reader to refuse. */
    private void add(ObjectNode of, String key, double more) {
        if (more == 0) {
            return;
        }
        try {
            Length now = Length.parse(of.path(key).asString("0 mm"));
            of.put(key, Length.of(now.millimetres() + more, unit).toString());
        } catch (LengthFormatException unreadable) {
            // The design's reader says where it stands and why.
        }
    }

    private void outline(ObjectNode outline) {
        double written = outline.path("unit").asString("mm").equals("in") ? LengthUnit.INCH.millimetres() : 1;
        Outline drawn = Outline.parse(outline.path("path").asString(""), written);
        Placing by = Placing.moved(dx, dy);
        Outline moved =
                Outline.of(drawn.segments().stream().map(s -> s.placed(by)).toList());
        outline.put("unit", "mm").put("path", moved.toString());
    }
}
