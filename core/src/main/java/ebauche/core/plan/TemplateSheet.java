package ebauche.core.plan;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Placing;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.geometry.Segment;
import ebauche.core.hardware.ControlCavity;
import ebauche.core.job.Build;
import ebauche.core.operation.Condition;
import ebauche.core.outline.OutlineStation;
import ebauche.core.routing.GuidedPocket;
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
 * @param holding how it is held; its seats as seen with that face up
 * @param thickness of its board, mm
 */
public record TemplateSheet(
        Feature feature,
        String name,
        Face face,
        List<List<Segment>> rings,
        List<Point> holes,
        Holding holding,
        double thickness) {

    public TemplateSheet {
        rings = List.copyOf(rings);
        holes = List.copyOf(holes);
    }

    /** Whether it is drawn mirrored: as seen from the back. */
    public boolean mirrored() {
        return face == Face.BACK;
    }

    /** Every template of a plan, the outline's first. */
    public static List<TemplateSheet> of(BuildPlan plan) {
        Build build = plan.build();
        List<GuidedPocket> pockets = Stations.pockets(build);
        List<TemplateSheet> sheets = new ArrayList<>();
        sheets.add(new TemplateSheet(
                OutlineStation.FEATURE,
                "outline",
                Face.FRONT,
                List.of(build.design().outline().segments()),
                List.of(),
                holding(plan, OutlineStation.FEATURE, Face.FRONT, pockets),
                build.templateThickness(OutlineStation.FEATURE)));
        for (GuidedPocket p : pockets) {
            sheets.add(new TemplateSheet(
                    p.feature(),
                    p.noun(),
                    p.face(),
                    seen(rings(build, p), p.face()),
                    seenAt(located(plan, p), p.face()),
                    holding(plan, p.feature(), p.face(), pockets),
                    build.templateThickness(p.feature())));
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

    /** The holes through the body that locate a rear template: those that give what its place hangs on. */
    private static List<Point> located(BuildPlan plan, GuidedPocket pocket) {
        if (pocket.face() == Face.FRONT || !(pocket.located() instanceof Condition.Access)) {
            return List.of();
        }
        return plan.steps().stream()
                .map(BuildPlan.PlanStep::operation)
                .filter(o -> o.gives().contains(pocket.located()))
                .flatMap(o -> o.changes().stream())
                .map(c -> c.solid().plan().centroid())
                .toList();
    }

    private static Holding holding(BuildPlan plan, Feature feature, Face face, List<GuidedPocket> pockets) {
        Holding holding = Holding.of(plan.build(), plan.history(), feature, face, pockets);
        return new Holding(
                holding.meant(),
                holding.seats().stream()
                        .map(s -> new Holding.Seat(seen(s.at(), face), s.waste(), s.longest()))
                        .toList());
    }
}
