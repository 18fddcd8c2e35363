package ebauche.exchange.design;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Outline;
import ebauche.core.hardware.Chamber;
import ebauche.core.measure.Decimals;
import ebauche.exchange.field.Field;
import ebauche.exchange.json.JsonPlace;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Hollows in the core, under its top. */
public final class ChamberElements {
    private static final Field<String> ID = Field.id();

    private static final Field<List<Outline>> PARTS =
            Field.outlines("outline", "its parts as SVG paths, seen from the front: each begins with M and is closed");
    private static final Field<Double> FLOOR = Field.length("floor", "wood left to the finished back");
    private static final Field<Set<Feature>> JOINS =
            Field.features("joins", Element.MOST_MEMBERS).described("features it may break into");

    private static final Field<Optional<List<Outline>>> SUPPORTS = Field.outlines(
                    "supports",
                    "wood left standing while it is routed, cut away afterwards, as SVG paths (empty: none)")
            .orNone();
    private static final Field<Optional<List<Outline>>> SOUND_HOLES = Field.outlines(
                    "soundHoles", "openings through the top over it, as SVG paths (empty: none)")
            .orNone();

    static final Element CHAMBERS = Element.of("chambers", "Chamber")
            .many()
            .described(
                    "hollows that are routed or drilled into the core before its top is glued on, all parts of one to one depth")
            .feature(FeatureKind.CHAMBER)
            .fields(ID, FLOOR, PARTS, SUPPORTS, SOUND_HOLES, JOINS)
            .begins("chamber", "chamber under the top", """
                    {"id": "bass", "floor": "8 mm", "outline": {"unit": "mm", "path": "M -110 -60 L -70 -60 A 10 10 0 0 1 -60 -50 L -60 40 A 10 10 0 0 1 -70 50 L -110 50 A 10 10 0 0 1 -120 40 L -120 -50 A 10 10 0 0 1 -110 -60 Z"}}""")
            .build();

    private ChamberElements() {}

    static Chamber chamber(JsonPlace spot) {
        return new Chamber(
                ID.of(spot),
                PARTS.of(spot),
                FLOOR.of(spot),
                JOINS.of(spot),
                SUPPORTS.of(spot).orElse(List.of()),
                SOUND_HOLES.of(spot).orElse(List.of()));
    }

    /** As a design's file has it. */
    public static ObjectNode written(Chamber chamber) {
        ObjectNode out = JsonNodeFactory.instance.objectNode();
        out.put("id", chamber.id()).put("floor", Decimals.plain(chamber.floor(), 3) + " mm");
        lines(out, "outline", chamber.parts());
        lines(out, "supports", chamber.supports());
        lines(out, "soundHoles", chamber.soundHoles());
        if (!chamber.joins().isEmpty()) {
            ArrayNode joins = out.putArray("joins");
            chamber.joins().stream().map(Feature::word).sorted().forEach(joins::add);
        }
        return out;
    }

    private static void lines(ObjectNode out, String key, List<Outline> lines) {
        if (!lines.isEmpty()) {
            out.putObject(key).put("unit", "mm").put("path", Outline.writeAll(lines));
        }
    }
}
