package ebauche.exchange.design;

import ebauche.core.feature.FeatureKind;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.exchange.field.Field;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.json.JsonText;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import tools.jackson.databind.node.ObjectNode;

/** The bridge of a design: drawn, or its sizes its part's, so that the file says only where it stands. */
final class BridgeElements {
    private static final int MOST_TEXT = 120;

    /** Room behind a vibrato's block: common practice. */
    private static final double BLOCK_CLEARANCE = 2;

    private static final Field<String> NAME =
            Field.text("name", "called", MOST_TEXT).ifAny();
    private static final Field<Double> LOWEST =
            Field.length("lowestSaddle", "lowest saddle").drawn();
    private static final Field<Double> HIGHEST =
            Field.length("highestSaddle", "highest saddle").drawn();
    private static final Field<Double> TRAVEL =
            Field.length("saddleTravel", "saddle travel backward").drawn();
    private static final Field<Double> ACROSS =
            Field.length("across", "footprint across").drawn();
    private static final Field<Double> ALONG =
            Field.length("along", "footprint along").drawn();
    private static final Field<Double> RECESS =
            Field.length("recess", "let into the front by").usually(0.0).drawn();
    private static final Field<OptionalDouble> WANTED =
            Field.lengthIfAny("wantedSaddle", "saddle to aim for (empty: middle)");
    private static final Field<Double> FORWARD = Field.length(
                    "saddleForward", "saddles fully forward, from the scale line")
            .usually(0.0);
    private static final Field<Double> OFF_CENTRE =
            Field.length("offCentre", "off the centre line").usually(0.0);
    private static final Field<Double> FOOTPRINT_Y =
            Field.length("footprintY", "footprint's middle from the saddle line");

    private static final Field<Double> SPACING =
            Field.length("spacing", "spacing").drawn();
    private static final Field<Double> STUDS_Y = Field.length("y", "from the saddle line");
    private static final Field<Double> STUD_HOLE =
            Field.length("diameter", "hole").drawn();
    private static final Field<Double> STUD_DEPTH =
            Field.length("depth", "depth").drawn();

    private static final Field<Double> BLOCK =
            Field.length("blockLength", "block reaches under its plate").drawn();
    private static final Field<Double> ROUTE_ACROSS =
            Field.length("routeAcross", "route across").drawn();
    private static final Field<Double> ROUTE_ALONG =
            Field.length("routeAlong", "route along").drawn();
    private static final Field<Double> CLEARANCE =
            Field.length("blockClearance", "room behind the block").usually(BLOCK_CLEARANCE);
    private static final Field<Double> ROUTE_Y = Field.length("routeY", "route's middle");
    private static final Field<Double> SPRINGS_ACROSS = Field.length("springsAcross", "spring cavity across");
    private static final Field<Double> SPRINGS_ALONG = Field.length("springsAlong", "spring cavity along");
    private static final Field<Double> SPRINGS_Y = Field.length("springsY", "spring cavity's middle");
    private static final Field<Double> SPRINGS_DEPTH = Field.length("springsDepth", "spring cavity's depth");

    private static final Field<Double> ROW_Y = Field.length("y", "row from the saddle line");
    private static final Field<Double> STRING_HOLE = Field.length("diameter", "hole");
    private static final Field<Optional<Part>> FERRULE = Field.object("ferrule", PartFile::read, "part");

    /** Where a vibrato route and springs lie until the maker says otherwise: common practice. */
    private static final String ROUTE_PLACE =
            "\"routeY\": \"-2 mm\", \"springsAcross\": \"56 mm\", \"springsAlong\": \"92 mm\", \"springsY\": \"60 mm\", \"springsDepth\": \"16 mm\"";

    static final Element BRIDGE = Element.of("bridge", "Bridge")
            .feature(FeatureKind.BRIDGE)
            .part("part", PartKind.FLAT_BRIDGE, BridgeElements::comesWith)
            .fields(NAME, LOWEST, HIGHEST, TRAVEL, ACROSS, ALONG, RECESS, WANTED, FORWARD, OFF_CENTRE, FOOTPRINT_Y)
            .moves(new Element.Moves(
                    FeatureKind.BRIDGE,
                    List.of(),
                    List.of("offCentre"),
                    List.of("footprintY", "saddleForward", "studs.y", "vibrato.routeY"),
                    List.of()))
            .build();

    static final Element STUDS = Element.of("bridge.studs", "Bridge studs")
            .comesWithPart()
            .feature(FeatureKind.BRIDGE_STUDS)
            .fields(SPACING, STUDS_Y, STUD_HOLE, STUD_DEPTH)
            .begins("studs", "studs", """
                    {"spacing": "74 mm", "y": "4 mm", "diameter": "10 mm", "depth": "20 mm"}""")
            .build();

    static final Element VIBRATO = Element.of("bridge.vibrato", "Vibrato")
            .comesWithPart()
            .feature(FeatureKind.VIBRATO)
            .cutsToo(FeatureKind.SPRINGS)
            .fields(
                    BLOCK,
                    ROUTE_ACROSS,
                    ROUTE_ALONG,
                    CLEARANCE,
                    ROUTE_Y,
                    SPRINGS_ACROSS,
                    SPRINGS_ALONG,
                    SPRINGS_Y,
                    SPRINGS_DEPTH)
            .begins(
                    "vibrato",
                    "vibrato",
                    "{\"blockLength\": \"42 mm\", \"routeAcross\": \"56 mm\", \"routeAlong\": \"24 mm\", " + ROUTE_PLACE
                            + "}")
            .moves(new Element.Moves(FeatureKind.SPRINGS, List.of(), List.of(), List.of("springsY"), List.of()))
            .build();

    static final Element STRING_THROUGH = Element.of("bridge.stringThrough", "Strings through the body")
            .optional()
            .feature(FeatureKind.FERRULES)
            .cutsToo(FeatureKind.STRING_HOLES)
            .holds("ferrule", PartKind.FERRULE)
            .fields(ROW_Y, STRING_HOLE)
            .begins("stringThrough", "strings through", """
                    {"y": "-24 mm", "diameter": "3.2 mm", "ferrule": "ferrule-8"}""")
            .build();

    private BridgeElements() {}

    /** A bridge's studs and vibrato come and go with the part; where they stand is asked for once and then kept. */
    private static void comesWith(ObjectNode bridge, Part part) {
        if (part.has(PartSize.STUD_SPACING)) {
            String y = bridge.path("studs").path("y").asString("4 mm");
            bridge.putObject("studs").put("y", y);
        } else {
            bridge.remove("studs");
        }
        if (part.kind().isVibrato()) {
            ObjectNode route = bridge.withObject("/vibrato");
            List.of(BLOCK, ROUTE_ACROSS, ROUTE_ALONG).forEach(f -> route.remove(f.key()));
            ObjectNode usual = (ObjectNode) JsonText.tree("{" + ROUTE_PLACE + "}");
            usual.propertyStream()
                    .filter(p -> !route.has(p.getKey()))
                    .forEach(p -> route.set(p.getKey(), p.getValue()));
        } else {
            bridge.remove("vibrato");
        }
    }

    static Bridge bridge(JsonPlace spot) {
        if (spot.has("part")) {
            return bridge(spot, spot.object("part", PartFile::read));
        }
        return new Bridge(
                spot.text("name", MOST_TEXT, "bridge"),
                LOWEST.of(spot),
                HIGHEST.of(spot),
                WANTED.of(spot),
                FORWARD.of(spot),
                TRAVEL.of(spot),
                OFF_CENTRE.of(spot),
                ACROSS.of(spot),
                ALONG.of(spot),
                FOOTPRINT_Y.of(spot),
                RECESS.of(spot),
                spot.optionalObject(
                        "studs",
                        s -> new Bridge.Studs(SPACING.of(s), STUDS_Y.of(s), STUD_HOLE.of(s), STUD_DEPTH.of(s))),
                spot.optionalObject(
                        "vibrato",
                        s -> vibrato(s, BLOCK.of(s), CLEARANCE.of(s), ROUTE_ACROSS.of(s), ROUTE_ALONG.of(s))),
                spot.optionalObject("stringThrough", BridgeElements::stringThrough),
                Optional.empty());
    }

    private static Bridge bridge(JsonPlace spot, Part part) {
        return new Bridge(
                spot.text("name", MOST_TEXT, part.name()),
                bare(spot, part, PartSize.LOWEST_SADDLE),
                bare(spot, part, PartSize.HIGHEST_SADDLE),
                WANTED.of(spot),
                FORWARD.of(spot),
                bare(spot, part, PartSize.SADDLE_TRAVEL),
                OFF_CENTRE.of(spot),
                bare(spot, part, PartSize.ACROSS),
                bare(spot, part, PartSize.ALONG),
                FOOTPRINT_Y.of(spot),
                part.size(PartSize.RECESS).orElse(0),
                spot.optionalObject(
                        "studs",
                        s -> new Bridge.Studs(
                                bare(s, part, PartSize.STUD_SPACING),
                                STUDS_Y.of(s),
                                bare(s, part, PartSize.STUD_DIAMETER),
                                bare(s, part, PartSize.STUD_DEPTH))),
                spot.optionalObject(
                        "vibrato",
                        s -> vibrato(
                                s,
                                bare(s, part, PartSize.BLOCK_LENGTH),
                                CLEARANCE.of(s),
                                bare(s, part, PartSize.BLOCK_ACROSS),
                                bare(s, part, PartSize.BLOCK_ALONG))),
                spot.optionalObject("stringThrough", BridgeElements::stringThrough),
                Optional.of(part));
    }

    private static Bridge.Vibrato vibrato(JsonPlace spot, double block, double clearance, double across, double along) {
        return new Bridge.Vibrato(
                block,
                clearance,
                across,
                along,
                ROUTE_Y.of(spot),
                SPRINGS_ACROSS.of(spot),
                SPRINGS_ALONG.of(spot),
                SPRINGS_Y.of(spot),
                SPRINGS_DEPTH.of(spot));
    }

    private static Bridge.StringThrough stringThrough(JsonPlace spot) {
        return new Bridge.StringThrough(ROW_Y.of(spot), STRING_HOLE.of(spot), FERRULE.of(spot));
    }

    private static double bare(JsonPlace spot, Part part, PartSize size) {
        return part.size(size)
                .orElseThrow(() -> spot.trouble(
                        "a " + part.kind().word() + " has none, or its part lacks “" + size.words() + "”"));
    }
}
