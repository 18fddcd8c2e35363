package ebauche.exchange.takeon;

import ebauche.core.geometry.Face;
import ebauche.core.geometry.PathData;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Cover;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.measure.Gauge;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthUnit;
import ebauche.core.measure.Rounding;
import ebauche.core.takeon.FirstLayout;
import ebauche.core.takeon.OnTheBench;
import ebauche.core.takeon.PickupPlace;
import ebauche.core.takeon.Strung;
import ebauche.exchange.design.Additions;
import ebauche.exchange.design.PartFile;
import ebauche.exchange.json.Lengths;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A first layout written as a design: what was typed as it was typed, what follows from it to a mark on the maker's rule. Right-handed. */
final class FirstDesign {
    /** A blade switch wants a top so thin over it, mm: common practice, 1/8 to 3/16 in. */
    private static final String OVER_BLADE = "4 mm";

    /** How far a pickup stands over the front until the maker says otherwise: common practice. */
    private static final String PROUD = "4 mm";

    /** A body's thickness, and by how much the blank is thicker: common practice. */
    private static final double THICK = 44.45;

    private static final double TO_PLANE = 5;

    private static final String SPECIES = "alder";
    private static final int PIECES = 2;

    private static final double FRET_HEIGHT = 1.2;
    private static final double NUT_HEIGHT = 0.5;
    private static final double POCKET_CORNER = 6.4;
    private static final double SCRATCH_PLATE = 1.6;

    /** A cavity from the front is deep enough for a jack in the middle of the edge, and so much more. */
    private static final double BEYOND_JACK = 1;

    /** A metal control plate, mm: common practice. */
    private static final double CONTROL_PLATE = 1.5;

    private final Answers answers;
    private final OnTheBench bench;
    private final FirstLayout layout;
    private final Gauge rule;
    private final ObjectNode design = JsonNodeFactory.instance.objectNode();

    private FirstDesign(Answers answers, OnTheBench bench, FirstLayout layout) {
        this.answers = answers;
        this.bench = bench;
        this.layout = layout;
        this.rule = new Gauge(answers.bare());
    }

    /** Everything but the cavities and what stands in them. */
    static ObjectNode of(Answers answers, OnTheBench bench, FirstLayout layout, Length scale) {
        FirstDesign first = new FirstDesign(answers, bench, layout);
        first.design.put("name", answers.name()).put("scale", scale.toString());
        first.wood();
        first.neck();
        first.strings();
        first.bridge();
        first.pickups();
        first.controls();
        first.holes();
        return first.design;
    }

    /** A length to the nearest mark of the maker's rule. */
    private String marked(double millimetres) {
        return rule.text(millimetres, Rounding.NEAREST);
    }

    private String typed(String field, double otherwise) {
        return answers.length(field).map(Length::toString).orElseGet(() -> marked(otherwise));
    }

    private void place(ObjectNode at, Point point) {
        at.put("x", marked(point.x())).put("y", marked(point.y()));
    }

    private void wood() {
        String thickness = typed("thickness", THICK);
        design.put("thickness", thickness);
        double[] blank = layout.blank();
        double rough = Length.parse(thickness).millimetres() + TO_PLANE;
        design.putObject("blank")
                .put("species", answers.text("species", SPECIES))
                .put("pieces", answers.whole("pieces", PIECES, 1, 12))
                .put("across", marked(blank[0]))
                .put("along", marked(blank[1]))
                .put("middleX", marked(blank[2]))
                .put("middleY", marked(blank[3]))
                .put("thickness", marked(rough));
        design.putObject("outline")
                .put("unit", "mm")
                .put("path", PathData.write(layout.outline().segments()));
        if (answers.ticked("newCap")) {
            Additions.add(design, "new-cap");
        }
    }

    private void neck() {
        ObjectNode neck = design.putObject("neck")
                .put("kind", answers.joint().key())
                .put("heelThickness", typed("heelThickness", layout.heelThickness()))
                .put("fingerboardThickness", typed("boardThickness", layout.boardThickness()))
                .put("fretHeight", Lengths.written(FRET_HEIGHT))
                .put("fingerboardRadius", marked(bench.strung().fingerboardRadius()))
                .put("angle", 0)
                .put("endWallToSaddle", Lengths.written(layout.endWallToSaddle()))
                .put("pocketLength", typed("heelLength", layout.pocketLength()))
                .put("widthAtEnd", typed("heelWidth", layout.heelWidth()))
                .put("widthAtMouth", typed("heelWidth", layout.heelWidth()))
                .put("cornerRadius", Lengths.written(POCKET_CORNER));
        List<Point> screws = layout.neckScrews();
        if (!screws.isEmpty()) {
            ArrayNode list = neck.putArray("screws");
            screws.forEach(s -> place(list.addObject(), s));
        }
        boolean read = answers.ticked("heelWidth");
        neck.putObject("heel")
                .put("widthAtEnd", typed("heelWidth", layout.heelWidth()))
                .put("widthAtMouth", typed("heelWidth", layout.heelWidth()))
                .put("length", typed("heelLength", layout.pocketLength()))
                .put("made", read ? "neck-first" : "drawing-first");
        if (bench.mounting() == OnTheBench.Mounting.SCRATCH_PLATE) {
            neck.putObject("scratchPlate")
                    .put("thickness", Lengths.written(SCRATCH_PLATE))
                    .put("runs", "beside");
        }
    }

    private void strings() {
        Strung strung = bench.strung();
        int count = bench.strings();
        design.putObject("strings")
                .put("count", count)
                .put("spread", Lengths.written(strung.spread(count)))
                .put("nutSpread", Lengths.written(strung.nutSpread(count)))
                .put("actionTreble", Lengths.written(strung.actionTreble()))
                .put("actionBass", Lengths.written(strung.actionBass()))
                .put("nutHeight", Lengths.written(NUT_HEIGHT))
                .put("compensationTreble", Lengths.written(strung.compensationTreble()))
                .put("compensationBass", Lengths.written(strung.compensationBass()));
    }

    private void bridge() {
        Part part = bench.bridge();
        ObjectNode bridge = design.putObject("bridge")
                .put("saddleForward", marked(layout.saddleForward()))
                .put("footprintY", marked(layout.footprintY()));
        bridge.set("part", PartFile.write(part));
        if (part.has(PartSize.STUD_SPACING)) {
            bridge.putObject("studs").put("y", marked(layout.studsY()));
        }
        if (part.kind().isVibrato()) {
            double[] springs = layout.springs();
            bridge.putObject("vibrato")
                    .put("routeY", marked(layout.routeY()))
                    .put("springsAcross", Lengths.written(springs[0]))
                    .put("springsAlong", Lengths.written(springs[1]))
                    .put("springsY", Lengths.written(springs[2]))
                    .put("springsDepth", Lengths.written(springs[3]));
        }
        if (bench.stringsThrough()) {
            Additions.add(design, "stringThrough");
            ((ObjectNode) bridge.get("stringThrough")).put("y", marked(layout.stringsY()));
        }
    }

    private void pickups() {
        Map<PickupPlace, Double> at = layout.pickups();
        ArrayNode list = design.putArray("pickups");
        for (PickupPlace place : PickupPlace.values()) {
            if (at.containsKey(place)) {
                ObjectNode pickup = list.addObject().put("id", place.id()).put("proud", PROUD);
                place(pickup.putObject("at"), new Point(0, at.get(place)));
                pickup.set("part", PartFile.write(bench.pickups().get(place)));
            }
        }
    }

    private void controls() {
        ArrayNode list = design.putArray("controls");
        List<Point> at = layout.controls();
        int i = 0;
        for (Map.Entry<String, Part> control : answers.controls().entrySet()) {
            if (i < at.size()) {
                ObjectNode put = list.addObject().put("id", control.getKey());
                place(put.putObject("at"), at.get(i));
                put.set("part", PartFile.write(control.getValue()));
                if (control.getValue().kind() == PartKind.BLADE_SWITCH
                        && bench.mounting() == OnTheBench.Mounting.THROUGH_WOOD) {
                    put.put("woodOver", OVER_BLADE);
                }
            }
            i++;
        }
    }

    private void holes() {
        if (answers.is("straps", Answers.NONE)) {
            return;
        }
        ArrayNode list = design.putArray("holes");
        layout.strapButtons().forEach(b -> {
            ObjectNode hole = list.addObject().put("id", b.id()).put("from", "edge");
            place(hole.putObject("at"), b.at());
            place(hole.putObject("aim"), b.aim());
            hole.set("part", PartFile.write(Usual.strap()));
        });
    }

    /** A cavity for the controls with that edge; its cover let into the back, or the plate over it. */
    static void cavity(
            ObjectNode design,
            OnTheBench bench,
            String path,
            List<Point> screws,
            double wood,
            double lip,
            LengthUnit unit) {
        ObjectNode cavity = design.putArray("cavities").addObject().put("id", "controls");
        cavity.putObject("outline").put("unit", "mm").put("path", path);
        if (bench.mounting() == OnTheBench.Mounting.THROUGH_WOOD) {
            cavity.put("woodOver", new Gauge(unit).text(wood, Rounding.NEAREST)).put("coverLip", Lengths.written(lip));
            cavity.set("cover", PartFile.write(Usual.cover()));
            ArrayNode list = cavity.putArray("coverScrews");
            screws.forEach(
                    s -> list.addObject().put("x", Lengths.written(s.x())).put("y", Lengths.written(s.y())));
            return;
        }
        double deep = Length.parse(design.path("thickness").asString("")).millimetres() / 2
                + Usual.jack().get(PartSize.HOLE) / 2
                + BEYOND_JACK;
        cavity.put("depth", new Gauge(unit).text(deep, Rounding.MORE));
        boolean own = bench.mounting() == OnTheBench.Mounting.CONTROL_PLATE;
        cavity.put("from", Face.FRONT.word())
                .put("closed", own ? Cover.Kind.CONTROL_PLATE.key() : Cover.Kind.SCRATCH_PLATE.key());
        if (own) {
            cavity.put("coverThickness", Lengths.written(CONTROL_PLATE));
        }
    }
}
