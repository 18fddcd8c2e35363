package ebauche.app.body;

import ebauche.core.design.Measurand.Dimension;
import ebauche.core.timber.Species;
import ebauche.core.timber.Timbers;
import ebauche.exchange.TimberFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
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
    static final Map<String, Dimension> MEASURED = Map.of(
            "thickness", Dimension.BODY_THICKNESS,
            "neck.heelThickness", Dimension.HEEL_THICKNESS,
            "neck.fingerboardThickness", Dimension.FINGERBOARD_THICKNESS,
            "neck.fretHeight", Dimension.FRET_HEIGHT,
            "neck.angle", Dimension.NECK_ANGLE,
            "neck.endWallToSaddle", Dimension.END_WALL_TO_SADDLE,
            "strings.actionTreble", Dimension.ACTION_TREBLE,
            "strings.actionBass", Dimension.ACTION_BASS,
            "strings.nutHeight", Dimension.NUT_HEIGHT);

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
                Field.length("strings.compensationBass", "compensation, bass"));
        section(
                "Bridge",
                "bridge",
                false,
                new Field("bridge.name", "called", Kind.TEXT, List.of()),
                Field.length("bridge.lowestSaddle", "lowest saddle"),
                Field.length("bridge.highestSaddle", "highest saddle"),
                Field.length("bridge.wantedSaddle", "saddle to aim for (empty: middle)"),
                Field.length("bridge.saddleForward", "saddles fully forward, from the scale line"),
                Field.length("bridge.saddleTravel", "saddle travel backward"),
                Field.length("bridge.offCentre", "off the centre line"),
                Field.length("bridge.across", "footprint across"),
                Field.length("bridge.along", "footprint along"),
                Field.length("bridge.footprintY", "footprint's middle from the saddle line"),
                Field.length("bridge.recess", "let into the front by"));
        if (design.path("bridge").has("studs")) {
            section(
                    "Bridge studs",
                    "bridge.studs",
                    true,
                    Field.length("bridge.studs.spacing", "spacing"),
                    Field.length("bridge.studs.y", "from the saddle line"),
                    Field.length("bridge.studs.diameter", "hole"),
                    Field.length("bridge.studs.depth", "depth"));
        }
        if (design.path("bridge").has("vibrato")) {
            section(
                    "Vibrato",
                    "bridge.vibrato",
                    true,
                    Field.length("bridge.vibrato.blockLength", "block reaches down"),
                    Field.length("bridge.vibrato.blockClearance", "room behind the block"),
                    Field.length("bridge.vibrato.routeAcross", "route across"),
                    Field.length("bridge.vibrato.routeAlong", "route along"),
                    Field.length("bridge.vibrato.routeY", "route's middle"),
                    Field.length("bridge.vibrato.springsAcross", "spring cavity across"),
                    Field.length("bridge.vibrato.springsAlong", "spring cavity along"),
                    Field.length("bridge.vibrato.springsY", "spring cavity's middle"),
                    Field.length("bridge.vibrato.springsDepth", "spring cavity's depth"));
        }
    }

    private void bodyAndBlank() {
        section(
                "Body",
                "",
                false,
                new Field("name", "name", Kind.TEXT, List.of()),
                Field.length("thickness", "finished thickness"),
                new Field("outline.unit", "outline's unit", Kind.CHOICE, List.of("mm", "in")),
                new Field(
                        "outline.path",
                        "outline as path data, x to the treble side, y to the nut",
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
            String p = "pickups." + i;
            section(
                    "Pickup " + design.path("pickups").get(i).path("id").asString(""),
                    p,
                    true,
                    new Field(p + ".id", "called", Kind.TEXT, List.of()),
                    Field.length(p + ".at.x", "x"),
                    Field.length(p + ".at.y", "y"),
                    Field.length(p + ".across", "across"),
                    Field.length(p + ".along", "along"),
                    Field.length(p + ".cornerRadius", "corner radius"),
                    Field.number(p + ".turned", "turned, degrees"),
                    Field.length(p + ".depth", "depth"));
        }
        for (int i = 0; i < design.path("controls").size(); i++) {
            String p = "controls." + i;
            section(
                    "Control " + design.path("controls").get(i).path("id").asString(""),
                    p,
                    true,
                    new Field(p + ".id", "called", Kind.TEXT, List.of()),
                    new Field(p + ".kind", "kind", Kind.CHOICE, List.of("pot", "blade-switch")),
                    Field.length(p + ".at.x", "x"),
                    Field.length(p + ".at.y", "y"),
                    Field.length(p + ".opening", "hole or slot width"),
                    Field.length(p + ".slot", "slot length"),
                    Field.length(p + ".thinnestTop", "wants at least this top"),
                    Field.length(p + ".thickestTop", "passes at most this top"),
                    Field.length(p + ".across", "across"),
                    Field.length(p + ".along", "along"),
                    Field.length(p + ".below", "reaches below"),
                    Field.length(p + ".woodOver", "wood over it (empty: the cavity's)"));
        }
        if (design.has("controlCavity")) {
            section(
                    "Control cavity, from the back",
                    "controlCavity",
                    true,
                    Field.length("controlCavity.woodOver", "wood left over it"),
                    Field.length("controlCavity.coverThickness", "cover thickness"),
                    Field.length("controlCavity.coverLip", "cover lip"),
                    new Field("controlCavity.outline.unit", "outline's unit", Kind.CHOICE, List.of("mm", "in")),
                    new Field(
                            "controlCavity.outline.path",
                            "outline as path data, seen from the front",
                            Kind.LONG_TEXT,
                            List.of()));
        }
        if (design.has("jack")) {
            section(
                    "Jack",
                    "jack",
                    true,
                    Field.length("jack.entry.x", "enters at x"),
                    Field.length("jack.entry.y", "enters at y"),
                    Field.length("jack.aim.x", "ends at x"),
                    Field.length("jack.aim.y", "ends at y"),
                    Field.length("jack.diameter", "hole"),
                    Field.length("jack.fromFront", "middle from the front"));
        }
    }

    private void section(String title, String path, boolean optional, Field... fields) {
        sections.add(new Section(title, path, optional, List.of(fields)));
    }
}
