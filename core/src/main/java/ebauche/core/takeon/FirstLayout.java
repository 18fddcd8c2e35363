package ebauche.core.takeon;

import static ebauche.core.takeon.Laid.About.*;

import ebauche.core.design.NeckJoint;
import ebauche.core.geometry.EdgeWalk;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Placing;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.measure.Refusal;
import ebauche.core.shop.Shop;
import ebauche.core.stock.WoodLeft;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where everything goes that lies on the bench: the bridge from the scale, the pocket from the neck, the outline round both, pickups
 * between them, controls along the treble side, strap buttons at both ends, and a blank that all of it comes out of. With each goes why it
 * lies there and what it forecloses; what cannot lie together is told in the same way. Cavities and the jack follow from it (they ask the
 * whole body). Right-handed, mm, from centre line and saddle line.
 */
public final class FirstLayout {
    /** A plain outline's width: common practice, from memory. */
    private static final double USUAL_WIDTH = 332;

    /** It shows so much beside the pocket at the neck's mouth. */
    private static final double SHOULDER = 6;

    /** The body goes on so far behind the bridge, of a guitar and of a bass: common practice, from memory. */
    private static final double BEHIND_BRIDGE = 130;

    private static final double BEHIND_BASS_BRIDGE = 110;

    /** An outline may round off so far towards the neck's mouth. */
    private static final double ROUNDED_OFF = 15;

    /** A cover's lip with a screw's ear stands out so far round its cavity. */
    private static final double COVER_ROOM = 9;

    /** Knobs stay so far off the outer string, and off the bridge and the pickups on the front. */
    private static final double HAND = 20;

    /** The blank is so much larger all round, to be sawn and routed. */
    private static final double ROUND_IT = 10;

    /** A strap button's screw points so far into the wood. */
    private static final double STRAP_SCREW = 30;

    /** A horn's end lies up and a little outward. */
    private static final double HORN_OUT = 0.25;

    private final OnTheBench bench;
    private final Shop shop;
    private final List<Laid> said = new ArrayList<>();

    private final double end;
    private final double length;
    private final double width;
    private final BridgePlace bridge;
    private final Outline outline;
    private final PickupRow pickups;
    private final List<Point> controls;

    private FirstLayout(OnTheBench bench, Shop shop) {
        this.bench = bench;
        this.shop = shop;
        NeckInHand neck = bench.neck();
        this.end = neck.endToSaddle(bench.scale());
        Refusal.unless(end >= 40, "nutToEnd", "the neck would reach past the bridge; check scale and neck");
        this.length = neck.length(bench.strung());
        this.width = neck.width(bench.strung(), bench.strings(), bench.scale());
        this.bridge =
                BridgePlace.of(bench.bridge(), bench.strung(), shop.clearances().block(), wall());
        this.outline = outlined();
        Region taken = bridge.taken(bench.bridge(), shop.clearances().block());
        this.pickups = PickupRow.of(
                bench.pickups(),
                end,
                taken.maxY(),
                bench.scale(),
                shop.clearances().pickupSide(),
                wall());
        sayStrings();
        sayNeck();
        sayBridge();
        sayOutline();
        sayPickups();
        this.controls = placeControls(taken);
        sayWood();
    }

    /**
     * Lays it out.
     *
     * @throws Refusal for a size that no body can have, naming its field
     */
    public static FirstLayout of(OnTheBench bench, Shop shop) {
        return new FirstLayout(bench, shop);
    }

    private double wall() {
        return shop.limits().least(WoodLeft.Kind.WALL);
    }

    /** From the pocket's end wall to the saddle line. */
    public double endWallToSaddle() {
        return end;
    }

    public double pocketLength() {
        return length;
    }

    /** Of the heel, and of its pocket but for the shop's ease. */
    public double heelWidth() {
        return width;
    }

    public double heelThickness() {
        return bench.neck().usualThickness();
    }

    public double boardThickness() {
        return bench.neck().usualBoard();
    }

    /** Where the neck's screws pass. */
    public List<Point> neckScrews() {
        return NeckInHand.screws(bench.neck().kind(), width, end, length);
    }

    /** Of the saddles wound fully forward. */
    public double saddleForward() {
        return bridge.saddleForward();
    }

    public double footprintY() {
        return bridge.footprintY();
    }

    public double studsY() {
        return bridge.studsY();
    }

    public double routeY() {
        return bridge.routeY();
    }

    /** Across, along, middle and depth of a vibrato's springs. */
    public double[] springs() {
        BridgePlace.Springs s = bridge.springs();
        return new double[] {s.across(), s.along(), s.y(), s.depth()};
    }

    /** The row where strings come through the body. */
    public double stringsY() {
        return bridge.stringsY();
    }

    public Outline outline() {
        return outline;
    }

    public Map<PickupPlace, Double> pickups() {
        return Map.copyOf(pickups.at());
    }

    /** Where the controls stand, in the order asked; none where they have no room. */
    public List<Point> controls() {
        return controls;
    }

    /** What is said of all of it. */
    public List<Laid> said() {
        return List.copyOf(said);
    }

    /** Whether everything can lie there. */
    public boolean holds() {
        return said.stream().noneMatch(l -> l.kind() == Laid.Kind.CANNOT);
    }

    private Outline outlined() {
        double mouth = end + length;
        if (bench.outline() instanceof OnTheBench.Line.Own own) {
            Outline drawn = Outline.of(own.segments());
            double top = onCentre(drawn.region(), true);
            return Outline.of(own.segments().stream()
                    .map(s -> s.placed(Placing.moved(0, mouth - top)))
                    .toList());
        }
        OnTheBench.Line.Plain plain = (OnTheBench.Line.Plain) bench.outline();
        boolean bass = bench.strung() == Strung.BASS;
        double back = bridge.footprintY() - bench.bridge().get(PartSize.ALONG) / 2;
        double tail = back - (bass ? BEHIND_BASS_BRIDGE : BEHIND_BRIDGE);
        double shoulder = width / 2 + SHOULDER;
        return plain.shape()
                .made(
                        plain.width().orElse(Math.max(USUAL_WIDTH, 2 * shoulder + 180)),
                        shoulder,
                        Math.rint(tail),
                        mouth);
    }

    /** Where the centre line leaves an area, at the neck's end or at the tail. */
    private static double onCentre(Region body, boolean neckEnd) {
        double[] chords = body.chords(true, 0);
        Refusal.unless(
                chords.length >= 2,
                "drawing",
                "its centre line runs past the outline. Say where the centre line lies, and where the neck points");
        return neckEnd ? chords[chords.length - 1] : chords[0];
    }

    private void sayStrings() {
        Strung strung = bench.strung();
        said.add(Laid.lies(
                STRINGS,
                "The outer strings lie {0} apart at the saddles: " + Strung.gaps(bench.strings())
                        + " spaces of {1}, common practice.",
                strung.spread(bench.strings()),
                strung.pitch(bench.strings())));
    }

    private void sayNeck() {
        double mouth = end + length;
        double fret = NeckInHand.fretAt(bench.scale(), mouth);
        said.add(Laid.lies(
                NECK,
                "The heel ends {0} from the saddle line; its pocket is {1} long and {2} wide, and the neck leaves the body at fret "
                        + Math.round(fret) + ".",
                end,
                length,
                width));
        if (bench.neck().kind() == NeckJoint.Kind.SET) {
            said.add(Laid.forecloses(
                    NECK,
                    "Glued in, its angle and height are what they are at the glue-up: no shim puts them right later."));
        }
    }

    private void sayBridge() {
        Strung strung = bench.strung();
        double travel = bench.bridge().get(PartSize.SADDLE_TRAVEL);
        double behind = strung.compensationBass();
        if (bridge.saddleForward() - travel > -behind) {
            said.add(Laid.cannot(
                    BRIDGE,
                    "Its saddles travel {0}; the bass string wants to be {1} longer than the treble one. Take a bridge whose saddles travel farther.",
                    travel,
                    behind - strung.compensationTreble()));
        } else {
            said.add(Laid.lies(
                    BRIDGE,
                    "Its saddles stand {0} from the saddle line when they are fully forward and go back {1} from there; the bass string wants {2}.",
                    Math.abs(bridge.saddleForward()),
                    travel,
                    behind));
        }
        if (bench.stringsThrough() && bench.bridge().kind() != PartKind.FLAT_BRIDGE) {
            said.add(Laid.cannot(
                    BRIDGE,
                    "Strings come through the body under a flat bridge only; this is a "
                            + bench.bridge().kind().word() + "."));
        }
        if (bench.bridge().kind().isVibrato()) {
            BridgePlace.Springs s = bridge.springs();
            said.add(Laid.forecloses(
                    BRIDGE,
                    "Its block goes through the body and its springs take {0} x {1} of the back: no strings through the body, no chamber there.",
                    s.across(),
                    s.along()));
        } else if (bench.bridge().has(PartSize.STUD_SPACING)) {
            said.add(Laid.forecloses(
                    BRIDGE,
                    "Its posts want {0} of sound wood under the front, {1} apart: no chamber, and no other spacing later.",
                    bench.bridge().get(PartSize.STUD_DEPTH),
                    bench.bridge().get(PartSize.STUD_SPACING)));
        }
    }

    private void sayOutline() {
        Region body = outline.region();
        double mouth = end + length;
        double least = width + 2 * wall();
        double reach = across(body, end + 1);
        if (Math.abs(body.minX()) < 60 || body.maxX() < 60 || body.minY() > -60) {
            said.add(Laid.cannot(
                    OUTLINE,
                    "It leaves {0} of body behind the saddles and {1} to its narrower side. Is the drawing's unit right, and the way the neck points?",
                    Math.max(0, -body.minY()),
                    Math.max(0, Math.min(-body.minX(), body.maxX()))));
        } else if (across(body, mouth - ROUNDED_OFF) < width) {
            said.add(Laid.cannot(
                    OUTLINE,
                    "Where the neck leaves it, it is {0} wide, and the neck is {1}: the neck would stand out beside it. Take a wider outline there, or check the drawing's unit.",
                    across(body, mouth - ROUNDED_OFF),
                    width));
        } else if (reach < least) {
            said.add(Laid.cannot(
                    OUTLINE,
                    "It is {0} wide where the neck ends; the pocket with a wall on each side wants {1}. Take a wider outline, or a neck that reaches less far in.",
                    reach,
                    least));
        } else {
            said.add(Laid.lies(
                    OUTLINE,
                    "{0} across and {1} long: its edge meets the neck's mouth {2} from the saddle line.",
                    body.maxX() - body.minX(),
                    body.maxY() - body.minY(),
                    mouth));
        }
        double spread = bench.strung().spread(bench.strings());
        if (bench.bridge().get(PartSize.ACROSS) < spread) {
            said.add(Laid.cannot(
                    BRIDGE,
                    "It is {0} across, and the outer strings lie {1} apart. Pick a bridge for so many strings.",
                    bench.bridge().get(PartSize.ACROSS),
                    spread));
        }
        Region foot = bridge.taken(bench.bridge(), 0);
        if (!body.grown(-wall()).contains(foot)) {
            said.add(Laid.cannot(
                    BRIDGE, "It does not stand on this outline: it reaches {0} to either side.", foot.maxX()));
        }
    }

    private void sayWood() {
        double[] blank = blank();
        said.add(Laid.lies(
                WOOD,
                "It comes out of a blank {0} across and {1} long, with room to saw and rout round it.",
                blank[0],
                blank[1]));
    }

    /** How wide it is either side of the centre line, both the lesser. */
    private static double across(Region body, double y) {
        double[] chords = body.chords(false, y);
        for (int i = 0; i + 1 < chords.length; i += 2) {
            if (chords[i] < 0 && chords[i + 1] > 0) {
                return 2 * Math.min(-chords[i], chords[i + 1]);
            }
        }
        return 0;
    }

    private void sayPickups() {
        if (pickups.at().isEmpty()) {
            return;
        }
        if (!pickups.fits()) {
            said.add(Laid.cannot(
                    PICKUPS,
                    "They ask for {0} between bridge and neck, with their walls; there are {1}. Leave one out, take narrower ones, or a neck with fewer frets.",
                    pickups.asked(),
                    pickups.run()));
            return;
        }
        said.add(Laid.lies(
                PICKUPS,
                "Between bridge and neck lie {0}; they take {1} of it, walls and all, so {2} are free.",
                pickups.run(),
                pickups.asked(),
                pickups.spare()));
    }

    private List<Point> placeControls(Region taken) {
        if (bench.controls().isEmpty()) {
            return List.of();
        }
        double spread = bench.strung().spread(bench.strings());
        double outer = spread / 2;
        Region allowed = controlRoom(taken);
        Optional<ControlRow> row = ControlRow.of(bench.controls(), outline.region(), allowed, outer);
        if (row.isEmpty()) {
            int most = bench.controls().size() - 1;
            while (most > 0
                    && ControlRow.of(bench.controls().subList(0, most), outline.region(), allowed, outer)
                            .isEmpty()) {
                most--;
            }
            said.add(Laid.cannot(
                    CONTROLS,
                    "They have no room in a row between bridge and edge with {0} of wood round their cavity; "
                            + (most == 0
                                    ? "not one of them has."
                                    : "the first " + most + (most == 1 ? " has." : " have."))
                            + " Leave some out, take smaller ones, or a wider outline.",
                    wall()));
            return List.of();
        }
        List<Point> at = row.get().at();
        said.add(Laid.lies(
                CONTROLS,
                "The first stands {0} beside the outer string"
                        + (at.size() > 1 ? ", the others {1} apart along the edge towards the tail." : "."),
                at.get(0).x() - outer,
                row.get().apart()));
        if (bench.mounting() == OnTheBench.Mounting.THROUGH_WOOD) {
            said.add(Laid.forecloses(
                    CONTROLS,
                    "Their holes are in the front for good; the cavity in the back takes {0} of wood with it.",
                    wall()));
        }
        return at;
    }

    /** Where controls' bodies may lie: inside walls and cover, off all that is routed, off strings and hand. */
    private Region controlRoom(Region taken) {
        boolean fromBack = bench.mounting() == OnTheBench.Mounting.THROUGH_WOOD;
        double wall = wall();
        double lip = fromBack ? COVER_ROOM : wall;
        Region body = outline.region();
        Region allowed = body.grown(-wall - lip);
        double outer = bench.strung().spread(bench.strings()) / 2 + HAND;
        Region strings = Region.rectangle(
                new Point(0, (body.minY() + body.maxY()) / 2), 2 * outer, body.maxY() - body.minY(), 0, 0);
        double room = shop.clearances().control();
        allowed = allowed.minus(strings)
                .minus(taken.grown(wall + room))
                .minus(bridge.springRoom(bench.bridge()).grown(wall + room + lip));
        for (Map.Entry<PickupPlace, Double> pickup : pickups.at().entrySet()) {
            Part part = bench.pickups().get(pickup.getKey());
            double across = Math.max(
                    part.get(PartSize.ACROSS),
                    Math.max(
                            part.size(PartSize.LEGS_ACROSS).orElse(0),
                            part.size(PartSize.RING_ACROSS).orElse(0)));
            double along = Math.max(
                    part.get(PartSize.ALONG), part.size(PartSize.RING_ALONG).orElse(0));
            allowed = allowed.minus(Region.rectangle(new Point(0, pickup.getValue()), across, along, 0, 0)
                    .grown(wall + room));
        }
        return allowed.minus(Region.rectangle(new Point(0, end + length / 2), width, length, 0, 0)
                .grown(wall + room));
    }

    /** A strap button's hole in the edge. */
    public record StrapButton(String id, Point at, Point aim) {}

    /** At the tail on the centre line, and at the far end of the bass side. */
    public List<StrapButton> strapButtons() {
        Region body = outline.region();
        Point tail = new Point(0, onCentre(body, false));
        double beside = -width / 2 - SHOULDER - STRAP_SCREW;
        Region bassSide =
                body.intersection(body.leftOf(new Point(beside, body.minY()), new Point(beside, body.maxY())));
        Point horn = bassSide.isEmpty() ? new Point(0, end + length) : bassSide.farthest(-HORN_OUT, 1);
        return List.of(button("strap-tail", body, tail), button("strap-horn", body, horn));
    }

    private static StrapButton button(String id, Region body, Point at) {
        EdgeWalk edge = new EdgeWalk(body);
        double way = edge.nearest(at);
        return new StrapButton(id, edge.at(way, 0), edge.at(way, -STRAP_SCREW));
    }

    /** Across, along, middle across and middle along of a blank that the body comes out of. */
    public double[] blank() {
        Region body = outline.region();
        return new double[] {
            Math.ceil(body.maxX() - body.minX() + 2 * ROUND_IT),
            Math.ceil(body.maxY() - body.minY() + 2 * ROUND_IT),
            (body.minX() + body.maxX()) / 2,
            (body.minY() + body.maxY()) / 2
        };
    }
}
