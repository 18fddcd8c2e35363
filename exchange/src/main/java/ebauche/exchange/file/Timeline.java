package ebauche.exchange.file;

import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Point;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.Quantity;
import ebauche.core.stock.Bore;
import ebauche.core.stock.Change;
import ebauche.core.stock.Material;
import ebauche.core.stock.Solid;
import ebauche.core.stock.Workpiece;
import ebauche.core.timber.Species;
import ebauche.exchange.design.SurfaceFile;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.json.Lengths;
import ebauche.exchange.json.Words;
import ebauche.exchange.table.TimberFile;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * One line of the record of what was done and measured, to and from JSON. The changes of a finished step are written as
 * exact solids in millimetres of the stock, rounded to a micrometre.
 */
public final class Timeline {
    private static final int MOST_CHANGES = 200;

    /** Of a tool, as the crib has them. */
    private static final int LONGEST_NAME = 80;

    /** A key of what is measured: of a meter's reading it names two. */
    private static final int LONGEST_MEASURE = 120;

    /** The shortest and the widest bore that can be meant, mm. */
    private static final double SHORTEST = 0.01;

    private static final double WIDEST = 200;
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private Timeline() {}

    static AsBuilt.Entry read(JsonPlace entry) {
        return entry.asObject(Timeline::entry);
    }

    private static AsBuilt.Entry entry(JsonPlace spot) {
        String id = spot.text("id", 80);
        String at = spot.moment("at");
        String by = spot.text("by", 80, "");
        return switch (spot.text("kind", 20)) {
            case "reading" -> reading(spot, id, at, by);
            case "done" ->
                new AsBuilt.Done(
                        id,
                        at,
                        by,
                        spot.parsed("operation", 80, StepKey::parse),
                        spot.text("title", 200, ""),
                        spot.word("face", SurfaceFile.FACES),
                        spot.list("changes", MOST_CHANGES, s -> s.asObject(Timeline::change)),
                        spot.has("expected") ? spot.object("expected", Timeline::expected) : Map.of(),
                        spot.has("routed") ? spot.object("routed", Timeline::routed) : Map.of());
            case "mishap" ->
                new AsBuilt.Mishap(
                        id,
                        at,
                        by,
                        operationIfAny(spot),
                        spot.text("what", 2000),
                        spot.has("minutes") ? spot.whole("minutes") : 0,
                        spot.has("open") && spot.word("open", Words.YES_NO));
            case "asked" ->
                new AsBuilt.Asked(
                        id, at, by, spot.parsed("operation", 80, StepKey::parse), spot.text("whom", LONGEST_NAME));
            case "settled" -> new AsBuilt.Settled(id, at, by, spot.text("entry", 80));
            case "withdrawn" -> new AsBuilt.Withdrawn(id, at, by, spot.text("entry", 80));
            default -> throw spot.at("kind").trouble("must be reading, done, mishap, asked, settled or withdrawn");
        };
    }

    private static Optional<StepKey> operationIfAny(JsonPlace spot) {
        return spot.text("operation", 80, "").isEmpty()
                ? Optional.empty()
                : Optional.of(spot.parsed("operation", 80, StepKey::parse));
    }

    private static String written(Optional<StepKey> operation) {
        return operation.map(StepKey::written).orElse("");
    }

    private static AsBuilt.Reading reading(JsonPlace spot, String id, String at, String by) {
        Measurand measures = spot.parsed("measures", LONGEST_MEASURE, Measurand::parse);
        double value = measures.quantity() == Quantity.LENGTH ? spot.length("value") : spot.number("value");
        return new AsBuilt.Reading(
                id,
                at,
                by,
                operationIfAny(spot),
                measures,
                value,
                spot.optionalObject("astray", ShopFields.ASTRAY::read));
    }

    private static Map<Measurand, Double> expected(JsonPlace spot) {
        Map<Measurand, Double> expected = new LinkedHashMap<>();
        for (String key : spot.keys()) {
            try {
                expected.put(Measurand.parse(key), spot.number(key, -SurfaceFile.FARTHEST, SurfaceFile.FARTHEST));
            } catch (IllegalArgumentException e) {
                throw spot.at(key).trouble(e.getMessage());
            }
        }
        return expected;
    }

    /** How far each router bit cut, by its name. */
    private static Map<String, Double> routed(JsonPlace spot) {
        Map<String, Double> routed = new LinkedHashMap<>();
        for (String bit : spot.keys()) {
            double way = spot.way(bit);
            if (way < 0) {
                throw spot.at(bit).trouble("cannot be less than zero");
            }
            if (bit.length() > LONGEST_NAME) {
                throw spot.at(bit).trouble("is longer than a tool's name may be: " + LONGEST_NAME + " letters");
            }
            routed.put(bit, way);
        }
        return routed;
    }

    private static Change change(JsonPlace spot) {
        Feature feature = spot.parsed("feature", 60, Feature::parse);
        Workpiece piece = spot.has("workpiece")
                ? spot.word(
                        "workpiece",
                        Map.of("body", Workpiece.BODY, "cap", Workpiece.CAP, "back-plate", Workpiece.BACK_PLATE))
                : Workpiece.BODY;
        Solid solid = spot.object("solid", Timeline::solid);
        return switch (spot.text("kind", 20)) {
            case "remove" -> new Change.Remove(feature, piece, solid);
            case "add" -> new Change.Add(feature, piece, solid, material(spot));
            default -> throw spot.at("kind").trouble("must be remove or add");
        };
    }

    /** The timber with its density; a record from before densities were kept takes the table's. */
    private static Material material(JsonPlace spot) {
        if (spot.has("density")) {
            return new Material(spot.text("species", 60), spot.number("density", 1, 3000));
        }
        Species species = spot.parsed("species", 60, TimberFile.SHIPPED::of);
        return new Material(species.key(), species.density().value());
    }

    private static Solid solid(JsonPlace spot) {
        return switch (spot.text("kind", 20)) {
            case "prism" ->
                new Solid.Prism(
                        SurfaceFile.region(spot, "rings"),
                        SurfaceFile.read(spot.at("top")),
                        SurfaceFile.read(spot.at("bottom")));
            case "bore" -> bore(spot);
            default -> throw spot.at("kind").trouble("must be prism or bore");
        };
    }

    private static Solid bore(JsonPlace spot) {
        Point from = point(spot.at("from"));
        Point to = point(spot.at("to"));
        double depth = spot.number("depth", -SurfaceFile.FARTHEST, SurfaceFile.FARTHEST);
        double end = spot.has("toDepth") ? spot.number("toDepth", -SurfaceFile.FARTHEST, SurfaceFile.FARTHEST) : depth;
        if (Math.hypot(from.distance(to), end - depth) < SHORTEST) {
            throw spot.at("to").trouble("lies where the bore begins");
        }
        return new Bore(from, depth, to, end, spot.number("diameter", SHORTEST, WIDEST));
    }

    private static Point point(JsonPlace spot) {
        double[] p = spot.numbers(2, SurfaceFile.FARTHEST);
        if (p.length != 2) {
            throw spot.trouble("must be x and y");
        }
        return new Point(p[0], p[1]);
    }

    /** Writes an entry. */
    public static ObjectNode write(AsBuilt.Entry entry) {
        ObjectNode out = JSON.objectNode().put("id", entry.id());
        if (entry instanceof AsBuilt.Reading r) {
            out.put("kind", "reading").put("at", r.at()).put("by", r.by());
            out.put("operation", written(r.operation()))
                    .put("measures", r.measures().key());
            if (r.measures().quantity() == Quantity.LENGTH) {
                out.put("value", Decimals.plain(r.value(), 4) + " mm");
            } else {
                out.put("value", r.value());
            }
            r.astray().ifPresent(a -> out.set("astray", ShopFields.ASTRAY.write(a)));
        } else if (entry instanceof AsBuilt.Done d) {
            out.put("kind", "done").put("at", d.at()).put("by", d.by());
            out.put("operation", d.operation().written())
                    .put("title", d.title())
                    .put("face", d.face().word());
            ArrayNode changes = out.putArray("changes");
            d.changes().forEach(c -> changes.add(write(c)));
            ObjectNode expected = out.putObject("expected");
            d.expected().forEach((m, v) -> expected.put(m.key(), v));
            if (!d.routed().isEmpty()) {
                ObjectNode routed = out.putObject("routed");
                new TreeMap<>(d.routed()).forEach((bit, way) -> routed.put(bit, Lengths.written(Math.rint(way))));
            }
        } else if (entry instanceof AsBuilt.Mishap m) {
            out.put("kind", "mishap").put("at", m.at()).put("by", m.by());
            out.put("operation", written(m.operation())).put("what", m.what());
            if (m.minutes() > 0) {
                out.put("minutes", m.minutes());
            }
            if (m.open()) {
                out.put("open", Words.word(Words.YES_NO, true));
            }
        } else if (entry instanceof AsBuilt.Asked a) {
            out.put("kind", "asked").put("at", a.at()).put("by", a.by());
            out.put("operation", a.operation().written()).put("whom", a.whom());
        } else if (entry instanceof AsBuilt.Settled s) {
            out.put("kind", "settled").put("at", s.at()).put("by", s.by()).put("entry", s.entry());
        } else if (entry instanceof AsBuilt.Withdrawn w) {
            out.put("kind", "withdrawn").put("at", w.at()).put("by", w.by()).put("entry", w.entry());
        }
        return out;
    }

    private static ObjectNode write(Change change) {
        ObjectNode out = JSON.objectNode();
        out.put("kind", change instanceof Change.Add ? "add" : "remove")
                .put("feature", change.feature().word());
        if (change.workpiece() != Workpiece.BODY) {
            out.put("workpiece", change.workpiece() == Workpiece.CAP ? "cap" : "back-plate");
        }
        if (change instanceof Change.Add add) {
            out.put("species", add.material().timber());
            out.put("density", add.material().density());
        }
        out.set("solid", write(change.solid()));
        return out;
    }

    private static ObjectNode write(Solid solid) {
        ObjectNode out = JSON.objectNode();
        if (solid instanceof Bore bore) {
            out.put("kind", "bore");
            out.set("from", SurfaceFile.numbers(bore.from().x(), bore.from().y()));
            out.set("to", SurfaceFile.numbers(bore.to().x(), bore.to().y()));
            out.put("depth", bore.fromDepth());
            if (bore.toDepth() != bore.fromDepth()) {
                out.put("toDepth", bore.toDepth());
            }
            return out.put("diameter", bore.diameter());
        }
        Solid.Prism prism = (Solid.Prism) solid;
        out.put("kind", "prism");
        out.set("rings", SurfaceFile.rings(prism.plan()));
        out.set("top", SurfaceFile.write(prism.top()));
        out.set("bottom", SurfaceFile.write(prism.bottom()));
        return out;
    }
}
