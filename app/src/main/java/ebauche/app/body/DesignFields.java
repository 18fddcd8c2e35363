package ebauche.app.body;

import ebauche.core.design.Measurand;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.measure.Refusal;
import ebauche.core.timber.Species;
import ebauche.core.timber.Timbers;
import ebauche.exchange.TimberFile;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** The fields of a design, as its form shows them: which place of the build file each stands for, and its label. */
final class DesignFields {
    enum Kind {
        LENGTH,
        NUMBER,
        TEXT,
        LONG_TEXT,
        CHOICE
    }

    /**
     * One field.
     *
     * @param path its place in the design, such as {@code neck.heelThickness} or {@code pickups.0.depth}
     * @param options what can be chosen
     */
    public record Field(String path, String label, Kind kind, List<String> options) {
        static Field length(String path, String label) {
            return new Field(path, label, Kind.LENGTH, List.of());
        }

        static Field number(String path, String label) {
            return new Field(path, label, Kind.NUMBER, List.of());
        }
    }

    /**
     * A part of the form.
     *
     * @param path the object or list entry it shows, empty for the body itself
     * @param optional whether it can be left out of the design
     */
    public record Section(String title, String path, boolean optional, List<Field> fields) {}

    /** The sizes that a reading at the bench replaces, by their field. */
    static final Map<String, Dimension> MEASURED = Map.ofEntries(
            Map.entry("neck.heel.widthAtEnd", Dimension.HEEL_WIDTH_END),
            Map.entry("neck.heel.widthAtMouth", Dimension.HEEL_WIDTH_MOUTH),
            Map.entry("neck.heel.length", Dimension.HEEL_LENGTH),
            Map.entry("thickness", Dimension.BODY_THICKNESS),
            Map.entry("neck.heelThickness", Dimension.HEEL_THICKNESS),
            Map.entry("neck.fingerboardThickness", Dimension.FINGERBOARD_THICKNESS),
            Map.entry("neck.fretHeight", Dimension.FRET_HEIGHT),
            Map.entry("neck.angle", Dimension.NECK_ANGLE),
            Map.entry("neck.endWallToSaddle", Dimension.END_WALL_TO_SADDLE),
            Map.entry("strings.actionTreble", Dimension.ACTION_TREBLE),
            Map.entry("strings.actionBass", Dimension.ACTION_BASS),
            Map.entry("strings.nutHeight", Dimension.NUT_HEIGHT));

    private final JsonNode design;
    private final Timbers timbers;
    private final List<Section> sections = new ArrayList<>();

    private DesignFields(JsonNode design, Timbers timbers) {
        this.design = design;
        this.timbers = timbers;
    }

    /** The sections of a design, for those who ask only for its fields' places and labels. */
    static List<Section> of(JsonNode design) {
        return of(design, TimberFile.SHIPPED);
    }

    /** The sections of a design, with the parts that it has and the timbers that can be chosen. */
    static List<Section> of(JsonNode design, Timbers timbers) {
        DesignFields fields = new DesignFields(design, timbers);
        fields.neckAndBridge();
        fields.stringThrough();
        fields.bodyAndBlank();
        fields.laidOut();
        fields.parts();
        return List.copyOf(fields.sections);
    }

    private void neckAndBridge() {
        section(
                "Neck",
                "neck",
                false,
                new Field("neck.kind", "joint", Kind.CHOICE, List.of("bolt-on", "set")),
                Field.length("neck.heelThickness", "heel thickness, without fingerboard"),
                Field.length("neck.fingerboardThickness", "fingerboard thickness"),
                Field.length("neck.fretHeight", "fret height"),
                Field.length("neck.fingerboardRadius", "fingerboard radius (empty: flat)"),
                Field.number("neck.angle", "neck angle, degrees"),
                Field.length("neck.endWallToSaddle", "end wall to saddle line"),
                Field.length("neck.pocketLength", "pocket length"),
                Field.length("neck.widthAtEnd", "pocket width at its end"),
                Field.length("neck.widthAtMouth", "pocket width at its mouth"),
                Field.length("neck.cornerRadius", "pocket corner radius"),
                Field.length("neck.screwHole", "neck screws' clearing holes"),
                Field.length("neck.screwLength", "neck screws under their heads (if chosen)"),
                Field.length("neck.plateUnderHeel", "plate under the heel"),
                Field.length("neck.plateUnderBridge", "plate under the bridge"));
        section(
                "Strings",
                "strings",
                false,
                Field.number("strings.count", "how many"),
                Field.length("scale", "scale length"),
                Field.length("strings.spread", "spread at the saddles"),
                Field.length("strings.actionTreble", "action at fret 12, treble"),
                Field.length("strings.actionBass", "action at fret 12, bass"),
                Field.length("strings.nutHeight", "over the frets at the nut"),
                Field.length("strings.compensationTreble", "compensation, treble"),
                Field.length("strings.compensationBass", "compensation, bass"),
                Field.length("strings.nutSpread", "spread at the nut (if known)"));
        heel();
        bridge();
    }

    private void heel() {
        if (design.path("neck").has("heel")) {
            section(
                    "The heel in its pocket",
                    "neck.heel",
                    true,
                    Field.length("neck.heel.widthAtEnd", "heel width at its end"),
                    Field.length("neck.heel.widthAtMouth", "heel width at the mouth"),
                    Field.length("neck.heel.length", "heel length in the pocket"),
                    new Field("neck.heel.made", "pocket made", Kind.CHOICE, List.of("drawing-first", "neck-first")),
                    new Field("neck.heel.jig", "jig", Kind.CHOICE, List.of("drawn", "three-strips", "traced-neck")));
        }
        JsonNode ferrule = design.path("neck").path("ferrule");
        if (ferrule.isObject()) {
            sections.add(new Section(
                    "Ferrules under the neck's screws", "neck.ferrule", true, partFields("neck.ferrule", ferrule)));
        }
        if (design.path("neck").has("scratchPlate")) {
            section(
                    "Scratch plate",
                    "neck.scratchPlate",
                    true,
                    Field.length("neck.scratchPlate.thickness", "thickness"),
                    new Field("neck.scratchPlate.runs", "runs", Kind.CHOICE, List.of("beside", "under-fingerboard")));
        }
    }

    private void bridge() {
        boolean part = design.path("bridge").has("part");
        List<Field> fields = new ArrayList<>(List.of(new Field("bridge.name", "called", Kind.TEXT, List.of())));
        if (!part) {
            fields.addAll(List.of(
                    Field.length("bridge.lowestSaddle", "lowest saddle"),
                    Field.length("bridge.highestSaddle", "highest saddle"),
                    Field.length("bridge.saddleTravel", "saddle travel backward"),
                    Field.length("bridge.across", "footprint across"),
                    Field.length("bridge.along", "footprint along"),
                    Field.length("bridge.recess", "let into the front by")));
        }
        fields.addAll(List.of(
                Field.length("bridge.wantedSaddle", "saddle to aim for (empty: middle)"),
                Field.length("bridge.saddleForward", "saddles fully forward, from the scale line"),
                Field.length("bridge.offCentre", "off the centre line"),
                Field.length("bridge.footprintY", "footprint's middle from the saddle line")));
        fields.addAll(partFields("bridge.part", design.path("bridge").path("part")));
        sections.add(new Section("Bridge", "bridge", false, List.copyOf(fields)));
        if (design.path("bridge").has("studs")) {
            Field y = Field.length("bridge.studs.y", "from the saddle line");
            List<Field> studs = part
                    ? List.of(y)
                    : List.of(
                            Field.length("bridge.studs.spacing", "spacing"),
                            y,
                            Field.length("bridge.studs.diameter", "hole"),
                            Field.length("bridge.studs.depth", "depth"));
            sections.add(new Section("Bridge studs", "bridge.studs", !part, studs));
        }
        if (design.path("bridge").has("vibrato")) {
            List<Field> vibrato = new ArrayList<>();
            if (!part) {
                vibrato.addAll(List.of(
                        Field.length("bridge.vibrato.blockLength", "block reaches under its plate"),
                        Field.length("bridge.vibrato.routeAcross", "route across"),
                        Field.length("bridge.vibrato.routeAlong", "route along")));
            }
            vibrato.addAll(List.of(
                    Field.length("bridge.vibrato.blockClearance", "room behind the block"),
                    Field.length("bridge.vibrato.routeY", "route's middle"),
                    Field.length("bridge.vibrato.springsAcross", "spring cavity across"),
                    Field.length("bridge.vibrato.springsAlong", "spring cavity along"),
                    Field.length("bridge.vibrato.springsY", "spring cavity's middle"),
                    Field.length("bridge.vibrato.springsDepth", "spring cavity's depth")));
            sections.add(new Section("Vibrato", "bridge.vibrato", !part, List.copyOf(vibrato)));
        }
    }

    private void stringThrough() {
        JsonNode through = design.path("bridge").path("stringThrough");
        if (through.isObject()) {
            List<Field> fields = new ArrayList<>(List.of(
                    Field.length("bridge.stringThrough.y", "row from the saddle line"),
                    Field.length("bridge.stringThrough.diameter", "hole")));
            fields.addAll(partFields("bridge.stringThrough.ferrule", through.path("ferrule")));
            sections.add(new Section("Strings through the body", "bridge.stringThrough", true, List.copyOf(fields)));
        }
    }

    private void bodyAndBlank() {
        section(
                "Body",
                "",
                false,
                new Field("name", "name", Kind.TEXT, List.of()),
                new Field("hand", "strung for the hand", Kind.CHOICE, List.of("right", "left")),
                Field.length("thickness", "finished thickness"),
                new Field("outline.unit", "outline's unit", Kind.CHOICE, List.of("mm", "in")),
                new Field(
                        "outline.path",
                        "outline as path data, x to the right as seen from the front, y to the nut",
                        Kind.LONG_TEXT,
                        List.of()));
        section(
                "Blank",
                "blank",
                false,
                new Field("blank.species", "timber", Kind.CHOICE, timberKeys()),
                Field.number("blank.pieces", "pieces"),
                Field.number("blank.grainAngle", "grain off the body's length, degrees"),
                Field.length("blank.across", "width"),
                Field.length("blank.along", "length"),
                Field.length("blank.thickness", "rough thickness"),
                Field.length("blank.middleX", "its middle from the centre line (empty: on it)"),
                Field.length("blank.middleY", "its middle from the saddle line (empty: the outline's)"));
    }

    private void laidOut() {
        if (design.path("blank").has("strips")) {
            sections.add(new Section("Strips as laid out on the rack", "blank.strips", true, List.of()));
        }
        if (design.path("blank").has("top")) {
            section(
                    "Top over the blank",
                    "blank.top",
                    true,
                    new Field("blank.top.species", "timber", Kind.CHOICE, timberKeys()),
                    Field.number("blank.top.pieces", "pieces"),
                    Field.length("blank.top.thickness", "thickness when it goes on"));
        }
    }

    private List<String> timberKeys() {
        return timbers.all().stream().map(Species::key).toList();
    }

    private void parts() {
        for (int i = 0; i < design.path("pickups").size(); i++) {
            pickup("pickups." + i, design.path("pickups").get(i));
        }
        for (int i = 0; i < design.path("controls").size(); i++) {
            control("controls." + i, design.path("controls").get(i));
        }
        if (design.has("controlCavity")) {
            controlCavity();
        }
        if (design.has("jack")) {
            jack();
        }
        for (int i = 0; i < design.path("holes").size(); i++) {
            hole("holes." + i, design.path("holes").get(i));
        }
    }

    private void pickup(String p, JsonNode pickup) {
        List<Field> fields = new ArrayList<>(List.of(
                new Field(p + ".id", "called", Kind.TEXT, List.of()),
                Field.length(p + ".at.x", "x"),
                Field.length(p + ".at.y", "y"),
                Field.number(p + ".turned", "turned, degrees")));
        if (pickup.has("part")) {
            fields.add(Field.length(p + ".proud", "stands over the front by"));
            fields.addAll(partFields(p + ".part", pickup.path("part")));
        } else {
            fields.addAll(List.of(
                    Field.length(p + ".across", "across"),
                    Field.length(p + ".along", "along"),
                    Field.length(p + ".cornerRadius", "corner radius"),
                    Field.length(p + ".depth", "depth")));
        }
        sections.add(new Section("Pickup " + pickup.path("id").asString(""), p, true, List.copyOf(fields)));
    }

    private void control(String p, JsonNode control) {
        List<Field> fields = new ArrayList<>(List.of(
                new Field(p + ".id", "called", Kind.TEXT, List.of()),
                Field.length(p + ".at.x", "x"),
                Field.length(p + ".at.y", "y"),
                Field.length(p + ".woodOver", "wood over it (empty: the cavity's)")));
        if (control.has("part")) {
            fields.addAll(partFields(p + ".part", control.path("part")));
        } else {
            fields.addAll(List.of(
                    new Field(p + ".kind", "kind", Kind.CHOICE, List.of("pot", "toggle-switch", "blade-switch")),
                    Field.length(p + ".opening", "hole or slot width"),
                    Field.length(p + ".slot", "slot length"),
                    Field.length(p + ".thinnestTop", "wants at least this top"),
                    Field.length(p + ".thickestTop", "passes at most this top"),
                    Field.length(p + ".across", "across"),
                    Field.length(p + ".along", "along"),
                    Field.length(p + ".below", "reaches below")));
        }
        sections.add(new Section("Control " + control.path("id").asString(""), p, true, List.copyOf(fields)));
    }

    private void controlCavity() {
        List<Field> fields = new ArrayList<>(List.of(
                Field.length("controlCavity.woodOver", "wood left over it"),
                Field.length("controlCavity.coverLip", "cover lip")));
        JsonNode cover = design.path("controlCavity").path("cover");
        if (cover.isObject()) {
            fields.addAll(partFields("controlCavity.cover", cover));
        } else {
            fields.add(Field.length("controlCavity.coverThickness", "cover thickness"));
        }
        fields.addAll(List.of(
                new Field("controlCavity.outline.unit", "outline's unit", Kind.CHOICE, List.of("mm", "in")),
                new Field(
                        "controlCavity.outline.path",
                        "outline as path data, seen from the front",
                        Kind.LONG_TEXT,
                        List.of())));
        sections.add(new Section("Control cavity, from the back", "controlCavity", true, List.copyOf(fields)));
    }

    private void jack() {
        List<Field> fields = new ArrayList<>(List.of(
                Field.length("jack.entry.x", "enters at x"),
                Field.length("jack.entry.y", "enters at y"),
                Field.length("jack.aim.x", "ends at x"),
                Field.length("jack.aim.y", "ends at y"),
                Field.length("jack.fromFront", "middle from the front")));
        JsonNode part = design.path("jack").path("part");
        if (part.isObject()) {
            fields.addAll(partFields("jack.part", part));
        } else {
            fields.add(Field.length("jack.diameter", "hole"));
        }
        sections.add(new Section("Jack", "jack", true, List.copyOf(fields)));
    }

    private void hole(String p, JsonNode hole) {
        List<Field> fields = new ArrayList<>(List.of(
                new Field(p + ".id", "called", Kind.TEXT, List.of()),
                new Field(p + ".from", "drilled from", Kind.CHOICE, List.of("front", "back", "edge")),
                Field.length(p + ".at.x", "x"),
                Field.length(p + ".at.y", "y"),
                Field.length(p + ".aim.x", "in the edge, points to x"),
                Field.length(p + ".aim.y", "in the edge, points to y")));
        fields.addAll(partFields(p + ".part", hole.path("part")));
        sections.add(new Section("Hole " + hole.path("id").asString(""), p, true, List.copyOf(fields)));
    }

    /** The nominal sizes of a part; kinds that have the same sizes can stand for each other. */
    private static List<Field> partFields(String path, JsonNode part) {
        Optional<PartKind> found = PartKind.of(part.path("kind").asString(""));
        if (found.isEmpty()) {
            return List.of();
        }
        PartKind kind = found.get();
        List<Field> fields = new ArrayList<>();
        List<String> alike = Arrays.stream(PartKind.values())
                .filter(k -> k.sizes().equals(kind.sizes()))
                .map(PartKind::key)
                .toList();
        fields.add(new Field(path + ".kind", "kind of part", Kind.CHOICE, alike));
        fields.add(new Field(path + ".name", "the part is called", Kind.TEXT, List.of()));
        kind.needed().forEach(s -> fields.add(Field.length(path + ".sizes." + s.key(), s.words())));
        kind.others().forEach(s -> fields.add(Field.length(path + ".sizes." + s.key(), s.words() + " (if it has it)")));
        return fields;
    }

    /** What a reading replaces, by the field that it stands in the place of. */
    static Map<String, Measurand> measurable(JsonNode design) {
        Map<String, Measurand> all = new LinkedHashMap<>(MEASURED);
        for (Section section : of(design)) {
            for (Field field : section.fields()) {
                int at = field.path().indexOf(".sizes.");
                if (at > 0) {
                    PartSize.of(field.path().substring(at + ".sizes.".length()))
                            .flatMap(size -> sizeOf(design, section.path(), size))
                            .ifPresent(measured -> all.put(field.path(), measured));
                }
            }
        }
        return all;
    }

    /** Empty for a name that no feature can have: the form that holds it says so at its field. */
    private static Optional<Measurand> sizeOf(JsonNode design, String section, PartSize size) {
        try {
            return Optional.of(new Measurand.SizeOf(feature(design, section), size));
        } catch (Refusal noName) {
            return Optional.empty();
        }
    }

    private static Feature feature(JsonNode design, String section) {
        String id = DesignEdit.find(design, section).path("id").asString("");
        String list = section.replaceFirst("[.].*", "");
        return switch (list) {
            case "pickups" -> Feature.of(FeatureKind.PICKUP, id);
            case "controls" -> Feature.of(FeatureKind.CONTROL, id);
            case "holes" -> Feature.of(FeatureKind.HOLE, id);
            case "controlCavity" -> Feature.of(FeatureKind.COVER);
            default ->
                switch (section) {
                    case "neck.ferrule" -> Feature.of(FeatureKind.NECK_FERRULES);
                    case "bridge.stringThrough" -> Feature.of(FeatureKind.FERRULES);
                    default -> Feature.parse(section);
                };
        };
    }

    private void section(String title, String path, boolean optional, Field... fields) {
        sections.add(new Section(title, path, optional, List.of(fields)));
    }
}
