package ebauche.core.plan;

import ebauche.core.build.Build;
import ebauche.core.build.History;
import ebauche.core.cavity.CavityStation;
import ebauche.core.crib.HoldDown;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Placing;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.geometry.Segment;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.ControlCavity;
import ebauche.core.hardware.Jack;
import ebauche.core.neck.NeckStation;
import ebauche.core.outline.OutlineStation;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.stock.Change;
import java.util.ArrayList;
import java.util.List;

/**
 * One template: the line that its bearing follows, drawn as it lies on its face.
 *
 * <p>A template for the back is mirrored about the centre line, so that it is drawn as it is seen with the back up.
 *
 * @param feature whose cavity or edge it guides
 * @param name in words
 * @param face it lies on
 * @param rings closed lines, curves as they are where the design has curves; as seen with that face up
 * @param holes places that locate it or hold it, as seen with that face up
 * @param seats places for screws or pins in wood that a later cut takes away, with the longest screw
 * @param thickness of its board, mm
 */
public record TemplateSheet(
        String feature,
        String name,
        Face face,
        List<List<Segment>> rings,
        List<Point> holes,
        List<Seat> seats,
        double thickness,
        HoldDown hold) {

    /** A screw's middle stays so far off what is cut, mm: common practice. */
    private static final double SCREW_CLEARS = 4;

    /** Left under a screw's tip, mm: common practice. */
    private static final double UNDER_TIP = 1;

    /**
     * Where a screw or pin may go.
     *
     * @param at as seen with the template's face up
     * @param waste the feature that takes the hole away
     * @param longest screw: template and the depth that is cut there, less a little, mm
     * @param met whether the bit would meet it while it cuts along this template
     */
    public record Seat(Point at, String waste, double longest, boolean met) {}

    public TemplateSheet {
        rings = List.copyOf(rings);
        holes = List.copyOf(holes);
        seats = List.copyOf(seats);
    }

    /** Whether it is drawn mirrored: as seen from the back. */
    public boolean mirrored() {
        return face == Face.BACK;
    }

    /** The seats that a screw can use: the bit does not meet it there. */
    public List<Seat> offered() {
        return seats.stream().filter(s -> !s.met()).toList();
    }

    /** Whether it can be held as it is meant to be: screws and pins want two places. */
    public boolean holds() {
        return !hold.inWaste() || offered().size() >= 2;
    }

    /** Every template of a plan, the outline's first. */
    public static List<TemplateSheet> of(BuildPlan plan) {
        Build build = plan.build();
        List<GuidedPocket> pockets = new ArrayList<>();
        pockets.add(NeckStation.pocket(build));
        pockets.addAll(CavityStation.pockets(build));
        List<TemplateSheet> sheets = new ArrayList<>();
        sheets.add(new TemplateSheet(
                OutlineStation.FEATURE,
                "outline",
                Face.FRONT,
                List.of(build.design().outline().segments()),
                List.of(),
                seats(plan, OutlineStation.FEATURE, Face.FRONT, pockets),
                build.templateThickness(OutlineStation.FEATURE),
                build.hold(OutlineStation.FEATURE)));
        for (GuidedPocket p : pockets) {
            sheets.add(new TemplateSheet(
                    p.feature(),
                    p.noun(),
                    p.face(),
                    seen(rings(build, p), p.face()),
                    seenAt(located(build, p), p.face()),
                    seats(plan, p.feature(), p.face(), pockets),
                    build.templateThickness(p.feature()),
                    build.hold(p.feature())));
        }
        return sheets;
    }

    /** The drawn curve where the design has one, else the area's edge. */
    private static List<List<Segment>> rings(Build build, GuidedPocket pocket) {
        if (pocket.feature().equals(ControlCavity.FEATURE)) {
            return List.of(
                    build.design().controlCavity().orElseThrow().outline().segments());
        }
        return rings(pocket.plan());
    }

    private static List<List<Segment>> rings(Region region) {
        List<List<Segment>> rings = new ArrayList<>();
        region.forEachRing(ring -> {
            List<Segment> lines = new ArrayList<>();
            for (int i = 0; i + 3 < ring.length; i += 2) {
                Point a = new Point(ring[i], ring[i + 1]);
                Point b = new Point(ring[i + 2], ring[i + 3]);
                if (!a.equals(b)) {
                    lines.add(new Segment.Line(a, b));
                }
            }
            rings.add(lines);
        });
        return rings;
    }

    private static List<List<Segment>> seen(List<List<Segment>> rings, Face face) {
        if (face == Face.FRONT) {
            return rings;
        }
        return rings.stream()
                .map(r -> r.stream().map(s -> s.placed(Placing.fromTheBack())).toList())
                .toList();
    }

    private static Point seen(Point p, Face face) {
        return face == Face.FRONT ? p : Placing.fromTheBack().of(p);
    }

    private static List<Point> seenAt(List<Point> places, Face face) {
        return places.stream().map(p -> seen(p, face)).toList();
    }

    /** The through holes that locate a rear template. */
    private static List<Point> located(Build build, GuidedPocket pocket) {
        boolean controls = pocket.face() == Face.BACK && pocket.joins().contains(Jack.FEATURE);
        return controls ? build.design().controls().stream().map(Control::at).toList() : List.of();
    }

    /** Pockets of the same face that are cut after this template goes on. */
    private static List<Seat> seats(BuildPlan plan, String feature, Face face, List<GuidedPocket> pockets) {
        int on = indexOf(plan, feature, true);
        Region cut = pockets.stream()
                .filter(p -> p.feature().equals(feature))
                .findFirst()
                .map(p -> p.plan().grown(SCREW_CLEARS))
                .orElse(Region.EMPTY);
        List<Seat> seats = new ArrayList<>();
        for (GuidedPocket p : pockets) {
            if (p.face() == face && !p.feature().equals(feature) && indexOf(plan, p.feature(), false) > on) {
                Point at = p.plan().centroid();
                double longest =
                        plan.build().templateThickness(feature) + p.depthNow().value() - UNDER_TIP;
                seats.add(new Seat(seen(at, face), p.feature(), longest, cut.contains(at)));
            }
        }
        return seats;
    }

    /** The step at which a feature's template is fixed, or at which it is first cut. */
    private static int indexOf(BuildPlan plan, String feature, boolean fixed) {
        List<History.Step> steps = plan.history().steps();
        for (int i = 0; i < steps.size(); i++) {
            boolean its = steps.get(i).operation().feature().equals(feature);
            boolean cuts = steps.get(i).changes().stream().anyMatch(Change.Remove.class::isInstance);
            boolean fits = steps.get(i).operation().key().equals(feature + ":fit");
            if (its && (fixed ? fits : cuts)) {
                return i;
            }
        }
        return steps.size();
    }
}
