package ebauche.exchange.design;

import ebauche.core.design.Hand;
import ebauche.core.design.Heel;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.design.NeckJoint;
import ebauche.core.design.ScratchPlate;
import ebauche.core.design.StringSetup;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.exchange.field.Field;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.json.Words;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Neck, heel, scratch plate and strings of a design. */
final class NeckElements {
    private static final double FLAT_FINGERBOARD = Double.POSITIVE_INFINITY;

    /** Usual clearing hole for a neck screw, 3/16 in: common practice. */
    private static final double SCREW_HOLE = 25.4 * 3 / 16;

    /** Strings need to be a little longer than the scale, the bass more: common practice, mm. */
    private static final double COMPENSATION_TREBLE = 1.5;

    private static final double COMPENSATION_BASS = 4.0;

    private static final Field<NeckJoint.Kind> KIND =
            Field.word("kind", "joint", Words.of(NeckJoint.Kind::key, NeckJoint.Kind.BOLT_ON, NeckJoint.Kind.SET));
    private static final Field<Double> HEEL_THICKNESS =
            Field.length("heelThickness", "heel thickness, without fingerboard").measured(Dimension.HEEL_THICKNESS);
    private static final Field<Double> FINGERBOARD_THICKNESS =
            Field.length("fingerboardThickness", "fingerboard thickness").measured(Dimension.FINGERBOARD_THICKNESS);
    private static final Field<Double> FRET_HEIGHT =
            Field.length("fretHeight", "fret height").measured(Dimension.FRET_HEIGHT);
    private static final Field<Double> FINGERBOARD_RADIUS = Field.length(
                    "fingerboardRadius", "fingerboard radius (empty: flat)")
            .usually(FLAT_FINGERBOARD)
            .measured(Dimension.FINGERBOARD_RADIUS);
    private static final Field<Double> ANGLE = Field.number("angle", "neck angle, degrees", -10, 10)
            .described("degrees, tilt back positive")
            .usually(0.0)
            .measured(Dimension.NECK_ANGLE);
    private static final Field<Double> END_WALL =
            Field.length("endWallToSaddle", "end wall to saddle line").measured(Dimension.END_WALL_TO_SADDLE);
    private static final Field<Double> POCKET_LENGTH = Field.length("pocketLength", "pocket length");
    private static final Field<Double> WIDTH_AT_END = Field.length("widthAtEnd", "pocket width at its end");
    private static final Field<Double> WIDTH_AT_MOUTH = Field.length("widthAtMouth", "pocket width at its mouth");
    private static final Field<Double> CORNER = Field.length("cornerRadius", "pocket corner radius");
    private static final Field<List<Point>> SCREWS = Field.points("screws", Element.MOST_MEMBERS);
    private static final Field<Double> SCREW =
            Field.length("screwHole", "neck screws' clearing holes").usually(SCREW_HOLE);
    private static final Field<OptionalDouble> SCREW_LENGTH =
            Field.lengthIfAny("screwLength", "neck screws under their heads (if chosen)");
    private static final Field<Double> PLATE_UNDER_HEEL =
            Field.length("plateUnderHeel", "plate under the heel").usually(0.0);
    private static final Field<Double> PLATE_UNDER_BRIDGE =
            Field.length("plateUnderBridge", "plate under the bridge").usually(0.0);
    private static final Field<Optional<Part>> FERRULE = Field.object("ferrule", PartFile::read, "part");
    private static final Field<Optional<Part>> INSERT = Field.object("insert", PartFile::read, "part");

    private static final Field<Double> HEEL_AT_END =
            Field.length("widthAtEnd", "heel width at its end").measured(Dimension.HEEL_WIDTH_END);
    private static final Field<Double> HEEL_AT_MOUTH =
            Field.length("widthAtMouth", "heel width at the mouth").measured(Dimension.HEEL_WIDTH_MOUTH);
    private static final Field<Double> HEEL_LENGTH =
            Field.length("length", "heel length in the pocket").measured(Dimension.HEEL_LENGTH);
    private static final Field<Heel.Made> MADE = Field.word(
                    "made", "pocket made", Words.of(Heel.Made::key, Heel.Made.DRAWING_FIRST, Heel.Made.NECK_FIRST))
            .usually(Heel.Made.DRAWING_FIRST);
    private static final Field<Heel.Jig> JIG = Field.word(
                    "jig", "jig", Words.of(Heel.Jig::key, Heel.Jig.DRAWN, Heel.Jig.THREE_STRIPS, Heel.Jig.TRACED_NECK))
            .usually(Heel.Jig.DRAWN);

    private static final Field<Double> PLATE_THICKNESS = Field.length("thickness", "thickness");
    private static final Field<Optional<Outline>> PLATE_OUTLINE = Field.outline(
                    "outline", "outline as an SVG path, as it lies on the front (empty: nobody drew it)")
            .orNone();
    private static final Field<List<Point>> PLATE_SCREWS = Field.points("screws", Element.MOST_MEMBERS);
    private static final Field<Boolean> PLATE_RUNS =
            Field.word("runs", "runs", Words.of(under -> under ? "under-fingerboard" : "beside", false, true));

    private static final Field<Integer> COUNT = Field.whole("count", "how many", 1, 24);
    private static final Field<Double> SPREAD = Field.length("spread", "spread at the saddles");
    private static final Field<Double> ACTION_TREBLE =
            Field.length("actionTreble", "action at fret 12, treble").measured(Dimension.ACTION_TREBLE);
    private static final Field<Double> ACTION_BASS =
            Field.length("actionBass", "action at fret 12, bass").measured(Dimension.ACTION_BASS);
    private static final Field<Double> NUT_HEIGHT =
            Field.length("nutHeight", "over the frets at the nut").measured(Dimension.NUT_HEIGHT);
    private static final Field<Double> TREBLE_BEHIND =
            Field.length("compensationTreble", "compensation, treble").usually(COMPENSATION_TREBLE);
    private static final Field<Double> BASS_BEHIND =
            Field.length("compensationBass", "compensation, bass").usually(COMPENSATION_BASS);
    private static final Field<OptionalDouble> NUT_SPREAD =
            Field.lengthIfAny("nutSpread", "spread at the nut (if known)");

    static final Element NECK = Element.of("neck", "Neck")
            .feature(FeatureKind.NECK)
            .fields(
                    KIND,
                    HEEL_THICKNESS,
                    FINGERBOARD_THICKNESS,
                    FRET_HEIGHT,
                    FINGERBOARD_RADIUS,
                    ANGLE,
                    END_WALL,
                    POCKET_LENGTH,
                    WIDTH_AT_END,
                    WIDTH_AT_MOUTH,
                    CORNER,
                    SCREWS,
                    SCREW,
                    SCREW_LENGTH,
                    PLATE_UNDER_HEEL,
                    PLATE_UNDER_BRIDGE,
                    FERRULE,
                    INSERT)
            .build();

    static final Element STRINGS = Element.of("strings", "Strings")
            .asksToo(BodyElements.SCALE)
            .fields(COUNT, SPREAD, ACTION_TREBLE, ACTION_BASS, NUT_HEIGHT, TREBLE_BEHIND, BASS_BEHIND, NUT_SPREAD)
            .build();

    static final Element HEEL = Element.of("neck.heel", "The heel in its pocket")
            .optional()
            .fields(HEEL_AT_END, HEEL_AT_MOUTH, HEEL_LENGTH, MADE, JIG)
            .begins("heel", "the heel", """
                    {"widthAtEnd": "55.9 mm", "widthAtMouth": "55.9 mm", "length": "76 mm", "made": "neck-first"}""")
            .build();

    /** The part itself stands here: its fields are its sizes. */
    static final Element FERRULES = Element.of("neck.ferrule", "Ferrules under the neck screws")
            .optional()
            .feature(FeatureKind.NECK_FERRULES)
            .isPart(PartKind.NECK_FERRULE)
            .wants("neck.screws")
            .begins("neckFerrules", "ferrules under the neck screws", "\"neck-ferrule-14\"")
            .build();

    static final Element INSERTS = Element.of("neck.insert", "Threaded inserts in the heel")
            .optional()
            .feature(FeatureKind.NECK_INSERTS)
            .isPart(PartKind.HEEL_INSERT)
            .wants("neck.screws")
            .begins("heelInserts", "threaded inserts in the heel", "\"heel-insert-4\"")
            .build();

    static final Element SCRATCH_PLATE = Element.of("neck.scratchPlate", "Scratch plate")
            .optional()
            .feature(FeatureKind.SCRATCH_PLATE)
            .fields(PLATE_THICKNESS, PLATE_RUNS, PLATE_OUTLINE, PLATE_SCREWS)
            .begins("scratchPlate", "scratch plate", """
                    {"thickness": "1.6 mm", "runs": "beside"}""")
            .build();

    private NeckElements() {}

    static NeckJoint neck(JsonPlace spot) {
        return new NeckJoint(
                KIND.of(spot),
                HEEL_THICKNESS.of(spot),
                FINGERBOARD_THICKNESS.of(spot),
                FRET_HEIGHT.of(spot),
                FINGERBOARD_RADIUS.of(spot),
                ANGLE.of(spot),
                PLATE_UNDER_HEEL.of(spot),
                PLATE_UNDER_BRIDGE.of(spot),
                END_WALL.of(spot),
                POCKET_LENGTH.of(spot),
                WIDTH_AT_END.of(spot),
                WIDTH_AT_MOUTH.of(spot),
                CORNER.of(spot),
                SCREWS.of(spot),
                SCREW.of(spot),
                SCREW_LENGTH.of(spot),
                FERRULE.of(spot),
                INSERT.of(spot),
                spot.optionalObject("heel", NeckElements::heel),
                spot.optionalObject(
                        "scratchPlate",
                        s -> new ScratchPlate(
                                PLATE_THICKNESS.of(s), PLATE_RUNS.of(s), PLATE_OUTLINE.of(s), PLATE_SCREWS.of(s))));
    }

    private static Heel heel(JsonPlace spot) {
        return new Heel(
                HEEL_AT_END.of(spot), HEEL_AT_MOUTH.of(spot), HEEL_LENGTH.of(spot), MADE.of(spot), JIG.of(spot));
    }

    static StringSetup strings(JsonPlace spot, Hand hand) {
        return new StringSetup(
                COUNT.of(spot),
                SPREAD.of(spot),
                ACTION_TREBLE.of(spot),
                ACTION_BASS.of(spot),
                NUT_HEIGHT.of(spot),
                TREBLE_BEHIND.of(spot),
                BASS_BEHIND.of(spot),
                NUT_SPREAD.of(spot),
                hand);
    }
}
