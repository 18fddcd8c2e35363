package ebauche.core.job;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Cover;
import ebauche.core.hardware.Pickup;
import ebauche.core.logbook.AsBuilt;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;

/**
 * What lies under a plate, put where the plate in hand has it: pickups and controls at the openings as they were read, the plate's own
 * line and the rout under it moved by as much as they were in the mean. A plate is stiff: what was read of some of its openings goes for those that nobody
 * read.
 */
record PlateReadings(BodyDesign design, AsBuilt asBuilt) {
    /** The plate of one that is no control plate. */
    private static final String SCRATCH_PLATE = "";

    BodyDesign followed() {
        Map<Feature, Point> ways = new HashMap<>();
        plates().values().forEach(openings -> ways.putAll(ways(openings)));
        if (ways.values().stream().allMatch(w -> w.x() == 0 && w.y() == 0)) {
            return design;
        }
        List<Pickup> pickups = design.pickups().stream()
                .map(p -> p.standing(moved(p.at(), ways.get(p.feature()))))
                .toList();
        List<Control> controls = design.controls().stream()
                .map(c -> moved(c, ways.get(c.feature())))
                .toList();
        List<Cavity> cavities =
                design.cavities().stream().map(c -> moved(c, ways)).toList();
        Point way = mean(scratchPlate(ways));
        BodyDesign followed = design.with(design.bridge(), pickups, controls, cavities, design.jack());
        return design.neck()
                .scratchPlate()
                .map(plate -> followed.with(design.neck().withScratchPlate(plate.moved(way.x(), way.y()))))
                .orElse(followed);
    }

    private static Point moved(Point drawn, Point way) {
        return way == null ? drawn : drawn.plus(way.x(), way.y());
    }

    /** It stays in the cavity that it is drawn in. */
    private Control moved(Control control, Point way) {
        return way == null
                ? control
                : control.standing(moved(control.at(), way))
                        .in(design.cavityOf(control).map(Cavity::id));
    }

    private Cavity moved(Cavity cavity, Map<Feature, Point> ways) {
        if (!cavity.cover().kind().liesOnTheFace()) {
            return cavity;
        }
        List<Point> own = design.controlsIn(cavity).stream()
                .map(c -> ways.get(c.feature()))
                .filter(Objects::nonNull)
                .toList();
        boolean asThePlate = own.isEmpty() && cavity.cover().kind() == Cover.Kind.SCRATCH_PLATE;
        Point way = mean(asThePlate ? scratchPlate(ways) : own);
        return way.x() == 0 && way.y() == 0 ? cavity : cavity.moved(way.x(), way.y());
    }

    /** How far the openings of the scratch plate are off, those that nobody read as the rest. */
    private List<Point> scratchPlate(Map<Feature, Point> ways) {
        return plates().getOrDefault(SCRATCH_PLATE, Map.of()).keySet().stream()
                .map(ways::get)
                .filter(Objects::nonNull)
                .toList();
    }

    private static Point mean(List<Point> ways) {
        return new Point(
                mean(ways.stream().map(Point::x).toList()).orElse(0),
                mean(ways.stream().map(Point::y).toList()).orElse(0));
    }

    /** The openings of each plate where they are drawn: those of the scratch plate, and of each control plate by its cavity. */
    private Map<String, Map<Feature, Point>> plates() {
        Map<String, Map<Feature, Point>> plates = new LinkedHashMap<>();
        design.onPlates()
                .forEach((feature, at) -> plates.computeIfAbsent(plate(feature), k -> new LinkedHashMap<>())
                        .put(feature, at));
        return plates;
    }

    private String plate(Feature feature) {
        return design.controls().stream()
                .filter(c -> c.feature().equals(feature))
                .flatMap(c -> design.cavityOf(c).stream())
                .filter(c -> c.cover().kind().isOfItsOwn())
                .map(Cavity::id)
                .findFirst()
                .orElse(SCRATCH_PLATE);
    }

    /** How far each opening of one plate lies off where it is drawn; none where nobody read any. */
    private Map<Feature, Point> ways(Map<Feature, Point> openings) {
        List<Double> across = new ArrayList<>();
        List<Double> along = new ArrayList<>();
        openings.forEach((feature, at) -> {
            off(feature, at, false).ifPresent(across::add);
            off(feature, at, true).ifPresent(along::add);
        });
        Map<Feature, Point> ways = new HashMap<>();
        if (!across.isEmpty() || !along.isEmpty()) {
            openings.forEach((feature, at) -> ways.put(
                    feature,
                    new Point(
                            off(feature, at, false).orElse(mean(across).orElse(0)),
                            off(feature, at, true).orElse(mean(along).orElse(0)))));
        }
        return ways;
    }

    /** As it was read, if it was: to the right as seen from the front, or to the neck. */
    private OptionalDouble off(Feature feature, Point drawn, boolean along) {
        return asBuilt.latest(new Measurand.OpeningAt(feature, along)).stream()
                .mapToDouble(r -> along
                        ? r.value() - drawn.y()
                        : r.value() * design.hand().treble() - drawn.x())
                .findFirst();
    }

    private static OptionalDouble mean(Collection<Double> values) {
        return values.stream().mapToDouble(v -> v).average();
    }
}
