package ebauche.exchange;

import ebauche.core.crib.TemplateMaterial;
import ebauche.core.design.BodyDesign;
import ebauche.core.design.Contour;
import ebauche.core.design.Hand;
import ebauche.core.design.Heel;
import ebauche.core.design.NeckJoint;
import ebauche.core.design.ScratchPlate;
import ebauche.core.design.StringSetup;
import ebauche.core.design.TemplateMade;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Outline;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.ControlCavity;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartHole;
import ebauche.core.hardware.PartSize;
import ebauche.core.hardware.Pickup;
import ebauche.core.measure.LengthUnit;
import ebauche.core.stock.Profile;
import ebauche.core.timber.Timbers;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/** The {@code design} part of a build file. Every value left out has its usual value named here. */
final class DesignReader {
    private static final Map<String, Heel.Made> MADE =
            Map.of("neck-first", Heel.Made.NECK_FIRST, "drawing-first", Heel.Made.DRAWING_FIRST);

    private static final Map<String, Heel.Jig> JIG =
            Map.of("drawn", Heel.Jig.DRAWN, "three-strips", Heel.Jig.THREE_STRIPS, "traced-neck", Heel.Jig.TRACED_NECK);

    private static final Map<String, Control.Kind> CONTROL = Map.of(
            "pot", Control.Kind.POT,
            "toggle-switch", Control.Kind.TOGGLE_SWITCH,
            "blade-switch", Control.Kind.BLADE_SWITCH);

    private static final Map<String, PartHole.Side> SIDE =
            Map.of("front", PartHole.Side.FRONT, "back", PartHole.Side.BACK, "edge", PartHole.Side.EDGE);

    private static final int MOST_TEXT = 120;
    private static final int MOST_PARTS = 40;

    /** Strings need to be a little longer than the scale, the bass more: common practice, mm. */
    private static final double COMPENSATION_TREBLE = 1.5;

    private static final double COMPENSATION_BASS = 4.0;

    private static final double FLAT_FINGERBOARD = Double.POSITIVE_INFINITY;

    /** Usual clearing hole for a neck screw, 3/16 in: common practice. */
    private static final double SCREW_HOLE = 25.4 * 3 / 16;

    /** Room behind a vibrato's block: common practice. */
    private static final double BLOCK_CLEARANCE = 2;

    private static final Map<String, Hand> HANDS = Map.of(Hand.RIGHT.word(), Hand.RIGHT, Hand.LEFT.word(), Hand.LEFT);

    private DesignReader() {}

    static BodyDesign read(Spot spot, Timbers timbers) {
        Outline outline = spot.object("outline", DesignReader::outline);
        Hand hand = spot.has("hand") ? spot.word("hand", HANDS) : Hand.RIGHT;
        return new BodyDesign(
                spot.text("name", MOST_TEXT),
                spot.object("blank", s -> BlankReader.read(s, outline, timbers)),
                spot.length("thickness"),
                outline,
                spot.length("scale"),
                spot.object("neck", DesignReader::neck),
                spot.object("strings", s -> strings(s, hand)),
                spot.object("bridge", DesignReader::bridge),
                distinct(spot, spot.list("pickups", MOST_PARTS, s -> s.asObject(DesignReader::pickup)), Pickup::id),
                distinct(spot, spot.list("controls", MOST_PARTS, s -> s.asObject(DesignReader::control)), Control::id),
                spot.optionalObject("controlCavity", DesignReader::cavity),
                spot.optionalObject("jack", DesignReader::jack),
                distinct(
                        spot,
                        spot.list("templates", MOST_PARTS, s -> s.asObject(DesignReader::template)),
                        t -> t.feature().word()),
                distinct(spot, spot.list("holes", MOST_PARTS, s -> s.asObject(DesignReader::hole)), PartHole::id),
                distinct(
                        spot,
                        spot.list("contours", MOST_PARTS, s -> s.asObject(c -> contour(c, outline))),
                        Contour::id),
                mentioned(spot, "undecided"));
    }

    /** Features named in a list; a word that is none is kept. */
    private static Set<Feature> mentioned(Spot spot, String list) {
        return spot.list(list, MOST_PARTS, s -> s.asText(60)).stream()
                .map(Feature::mentioned)
                .collect(Collectors.toUnmodifiableSet());
    }

    private static <T> List<T> distinct(Spot spot, List<T> parts, Function<T, String> id) {
        Set<String> seen = new HashSet<>();
        for (T part : parts) {
            if (!seen.add(id.apply(part))) {
                throw spot.trouble("two parts are called “" + id.apply(part) + "”; give each its own id");
            }
        }
        return parts;
    }

    private static Outline outline(Spot spot) {
        LengthUnit unit = spot.word("unit", Map.of("mm", LengthUnit.MILLIMETRE, "in", LengthUnit.INCH));
        return spot.parsed("path", Integer.MAX_VALUE, text -> Outline.parse(text, unit.millimetres()));
    }

    private static NeckJoint neck(Spot spot) {
        return new NeckJoint(
                spot.word("kind", Map.of("bolt-on", NeckJoint.Kind.BOLT_ON, "set", NeckJoint.Kind.SET)),
                spot.length("heelThickness"),
                spot.length("fingerboardThickness"),
                spot.length("fretHeight"),
                spot.length("fingerboardRadius", FLAT_FINGERBOARD),
                spot.number("angle", 0),
                spot.length("plateUnderHeel", 0),
                spot.length("plateUnderBridge", 0),
                spot.length("endWallToSaddle"),
                spot.length("pocketLength"),
                spot.length("widthAtEnd"),
                spot.length("widthAtMouth"),
                spot.length("cornerRadius"),
                spot.list("screws", MOST_PARTS, Spot::asPoint),
                spot.length("screwHole", SCREW_HOLE),
                spot.has("screwLength") ? OptionalDouble.of(spot.length("screwLength")) : OptionalDouble.empty(),
                spot.optionalObject("ferrule", PartFile::read),
                spot.optionalObject("heel", DesignReader::heel),
                spot.optionalObject(
                        "scratchPlate",
                        s -> new ScratchPlate(
                                s.length("thickness"),
                                s.word("runs", Map.of("under-fingerboard", true, "beside", false)))));
    }

    private static Heel heel(Spot spot) {
        return new Heel(
                spot.length("widthAtEnd"),
                spot.length("widthAtMouth"),
                spot.length("length"),
                spot.has("made") ? spot.word("made", MADE) : Heel.Made.DRAWING_FIRST,
                spot.has("jig") ? spot.word("jig", JIG) : Heel.Jig.DRAWN);
    }

    private static StringSetup strings(Spot spot, Hand hand) {
        return new StringSetup(
                spot.whole("count"),
                spot.length("spread"),
                spot.length("actionTreble"),
                spot.length("actionBass"),
                spot.length("nutHeight"),
                spot.length("compensationTreble", COMPENSATION_TREBLE),
                spot.length("compensationBass", COMPENSATION_BASS),
                spot.has("nutSpread") ? OptionalDouble.of(spot.length("nutSpread")) : OptionalDouble.empty(),
                hand);
    }

    private static Bridge bridge(Spot spot) {
        if (spot.has("part")) {
            return bridge(spot, spot.object("part", PartFile::read));
        }
        return new Bridge(
                spot.text("name", MOST_TEXT, "bridge"),
                spot.length("lowestSaddle"),
                spot.length("highestSaddle"),
                spot.has("wantedSaddle") ? OptionalDouble.of(spot.length("wantedSaddle")) : OptionalDouble.empty(),
                spot.length("saddleForward", 0),
                spot.length("saddleTravel"),
                spot.length("offCentre", 0),
                spot.length("across"),
                spot.length("along"),
                spot.length("footprintY"),
                spot.length("recess", 0),
                spot.optionalObject("studs", DesignReader::studs),
                spot.optionalObject("vibrato", DesignReader::vibrato),
                spot.optionalObject("stringThrough", DesignReader::stringThrough),
                Optional.empty());
    }

    /** A bridge whose sizes are its part's: the file says only where it stands. */
    private static Bridge bridge(Spot spot, Part part) {
        return new Bridge(
                spot.text("name", MOST_TEXT, part.name()),
                bare(spot, part, PartSize.LOWEST_SADDLE),
                bare(spot, part, PartSize.HIGHEST_SADDLE),
                spot.has("wantedSaddle") ? OptionalDouble.of(spot.length("wantedSaddle")) : OptionalDouble.empty(),
                spot.length("saddleForward", 0),
                bare(spot, part, PartSize.SADDLE_TRAVEL),
                spot.length("offCentre", 0),
                bare(spot, part, PartSize.ACROSS),
                bare(spot, part, PartSize.ALONG),
                spot.length("footprintY"),
                part.size(PartSize.RECESS).orElse(0),
                spot.optionalObject(
                        "studs",
                        s -> new Bridge.Studs(
                                bare(s, part, PartSize.STUD_SPACING),
                                s.length("y"),
                                bare(s, part, PartSize.STUD_DIAMETER),
                                bare(s, part, PartSize.STUD_DEPTH))),
                spot.optionalObject(
                        "vibrato",
                        s -> new Bridge.Vibrato(
                                bare(s, part, PartSize.BLOCK_LENGTH),
                                s.length("blockClearance", BLOCK_CLEARANCE),
                                bare(s, part, PartSize.BLOCK_ACROSS),
                                bare(s, part, PartSize.BLOCK_ALONG),
                                s.length("routeY"),
                                s.length("springsAcross"),
                                s.length("springsAlong"),
                                s.length("springsY"),
                                s.length("springsDepth"))),
                spot.optionalObject("stringThrough", DesignReader::stringThrough),
                Optional.of(part));
    }

    private static Bridge.StringThrough stringThrough(Spot spot) {
        return new Bridge.StringThrough(
                spot.length("y"), spot.length("diameter"), spot.optionalObject("ferrule", PartFile::read));
    }

    private static double bare(Spot spot, Part part, PartSize size) {
        return part.size(size)
                .orElseThrow(() -> spot.trouble(
                        "a " + part.kind().word() + " has none, or its part lacks “" + size.words() + "”"));
    }

    private static Bridge.Studs studs(Spot spot) {
        return new Bridge.Studs(
                spot.length("spacing"), spot.length("y"), spot.length("diameter"), spot.length("depth"));
    }

    private static Bridge.Vibrato vibrato(Spot spot) {
        return new Bridge.Vibrato(
                spot.length("blockLength"),
                spot.length("blockClearance", BLOCK_CLEARANCE),
                spot.length("routeAcross"),
                spot.length("routeAlong"),
                spot.length("routeY"),
                spot.length("springsAcross"),
                spot.length("springsAlong"),
                spot.length("springsY"),
                spot.length("springsDepth"));
    }

    private static Pickup pickup(Spot spot) {
        Set<Feature> joins = mentioned(spot, "joins");
        if (spot.has("part")) {
            return Pickup.of(
                    id(spot),
                    spot.point("at"),
                    spot.number("turned", 0),
                    joins,
                    spot.length("proud", 0),
                    spot.object("part", PartFile::read));
        }
        return new Pickup(
                id(spot),
                spot.point("at"),
                spot.length("across"),
                spot.length("along"),
                spot.length("cornerRadius"),
                spot.number("turned", 0),
                spot.length("depth"),
                joins);
    }

    private static Control control(Spot spot) {
        OptionalDouble woodOver =
                spot.has("woodOver") ? OptionalDouble.of(spot.length("woodOver")) : OptionalDouble.empty();
        if (spot.has("part")) {
            return Control.of(id(spot), spot.point("at"), woodOver, spot.object("part", PartFile::read));
        }
        Control.Kind kind = spot.word("kind", CONTROL);
        return new Control(
                id(spot),
                kind,
                spot.point("at"),
                spot.length("opening"),
                kind == Control.Kind.BLADE_SWITCH ? spot.length("slot") : spot.length("slot", 0),
                spot.length("thinnestTop", 0),
                spot.length("thickestTop"),
                spot.length("across"),
                spot.length("along"),
                spot.length("below"),
                woodOver);
    }

    private static ControlCavity cavity(Spot spot) {
        Optional<Part> cover = spot.optionalObject("cover", PartFile::read);
        return new ControlCavity(
                spot.object("outline", DesignReader::outline),
                spot.length("woodOver"),
                cover.isPresent() ? cover.get().size(PartSize.THICKNESS).orElse(0) : spot.length("coverThickness", 0),
                spot.length("coverLip", 0),
                spot.list("coverScrews", MOST_PARTS, Spot::asPoint),
                cover);
    }

    private static TemplateMade template(Spot spot) {
        return new TemplateMade(
                spot.parsed("feature", 60, Feature::mentioned),
                spot.has("thickness") ? OptionalDouble.of(spot.length("thickness")) : OptionalDouble.empty(),
                spot.has("material") ? spot.word("material", ShopPart.MATERIAL) : TemplateMaterial.MDF,
                spot.has("hold") ? Optional.of(spot.word("hold", ShopPart.HOLD_DOWN)) : Optional.empty());
    }

    private static PartHole hole(Spot spot) {
        return new PartHole(
                id(spot),
                spot.object("part", PartFile::read),
                spot.point("at"),
                spot.word("from", SIDE),
                spot.has("aim") && !spot.at("aim").node().isEmpty()
                        ? Optional.of(spot.point("aim"))
                        : Optional.empty());
    }

    /** A contour that can be laid on the outline; which one cannot is told at its place. */
    private static Contour contour(Spot spot, Outline outline) {
        Contour contour = contour(spot);
        contour.on(outline);
        return contour;
    }

    private static Contour contour(Spot spot) {
        return new Contour(
                id(spot),
                spot.word("face", SurfaceFile.FACES),
                spot.has("line")
                        ? spot.object("line", s -> new Contour.Start.Across(s.point("from"), s.point("to")))
                        : new Contour.Start.Round(spot.length("width")),
                spot.length("depth"),
                spot.has("shape") ? spot.word("shape", SurfaceFile.SHAPES) : Profile.Shape.STRAIGHT,
                spot.has("radius") ? OptionalDouble.of(spot.length("radius")) : OptionalDouble.empty());
    }

    private static Jack jack(Spot spot) {
        Optional<Part> part = spot.optionalObject("part", PartFile::read);
        return new Jack(
                spot.point("entry"),
                spot.point("aim"),
                part.isPresent() ? part.get().size(PartSize.HOLE).orElse(0) : spot.length("diameter"),
                spot.length("fromFront"),
                part);
    }

    private static String id(Spot spot) {
        String id = spot.text("id", 30);
        if (!id.matches("[a-z0-9-]+")) {
            throw spot.at("id").trouble("“" + id + "” may hold small letters, digits and dashes only");
        }
        return id;
    }
}
