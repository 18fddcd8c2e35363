package ebauche.core.sheet;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Placing;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import ebauche.core.job.Build;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Holding;
import ebauche.core.plan.Stations;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.routing.TemplateLine;
import java.util.List;
import java.util.stream.Stream;

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

    /**
     * Where a line lies across it that lays it along the body, from the saddle line, towards the neck positive, mm: the saddle line
     * itself where the template reaches over it, else a whole millimetre in its middle.
     */
    public double lineAcross() {
        double least = rings.stream()
                .flatMap(List::stream)
                .mapToDouble(s -> s.start().y())
                .min()
                .orElse(0);
        double most = rings.stream()
                .flatMap(List::stream)
                .mapToDouble(s -> s.start().y())
                .max()
                .orElse(0);
        return least <= 0 && most >= 0 ? 0 : Math.rint((least + most) / 2);
    }

    /** Every template of a plan: by station, the outline's first. */
    public static List<TemplateSheet> of(BuildPlan plan) {
        Build build = plan.build();
        List<GuidedPocket> pockets = Stations.pockets(build);
        return Stations.templates(build).stream()
                .map(t -> new TemplateSheet(
                        t.feature(),
                        t.name(),
                        t.face(),
                        seen(t.rings(), t.face()),
                        seenAt(located(plan, t), t.face()),
                        holding(plan, t.feature(), t.face(), pockets),
                        build.templateThickness(t.feature())))
                .toList();
    }

    /** All that is printed at true size: the templates, then each contour's strip, gauge and nested lines. */
    public static List<TemplateSheet> printed(BuildPlan plan) {
        Build build = plan.build();
        Stream<TemplateSheet> papers = Stations.papers(build).stream()
                .map(p -> new TemplateSheet(
                        p.feature(),
                        p.name(),
                        p.face(),
                        p.rings(),
                        List.of(),
                        new Holding(build.hold(p.feature()), List.of()),
                        build.templateThickness(p.feature())));
        return Stream.concat(of(plan).stream(), papers).toList();
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

    /** The holes through the body that locate a template: those that give what its place hangs on. */
    private static List<Point> located(BuildPlan plan, TemplateLine line) {
        return plan.steps().stream()
                .map(BuildPlan.PlanStep::operation)
                .filter(o -> line.through().filter(o.gives()::contains).isPresent())
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
