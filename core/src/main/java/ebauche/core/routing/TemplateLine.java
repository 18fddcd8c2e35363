package ebauche.core.routing;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.geometry.Segment;
import ebauche.core.operation.Condition;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The line of a template that a station wants, in the body's frame.
 *
 * @param feature whose cavity or edge it guides
 * @param name in words
 * @param face it lies on
 * @param rings closed lines, curves as they are where the design has curves
 * @param through what gives its place through the body, if holes from the other face do
 */
public record TemplateLine(
        Feature feature, String name, Face face, List<List<Segment>> rings, Optional<Condition.Access> through) {

    public TemplateLine {
        rings = List.copyOf(rings);
    }

    /** The edge of a pocket's area. */
    public static TemplateLine of(GuidedPocket pocket) {
        return of(pocket, edge(pocket.plan()));
    }

    /** The curves that a pocket's area was drawn with. */
    public static TemplateLine of(GuidedPocket pocket, List<List<Segment>> drawn) {
        boolean fromBehind = pocket.face() == Face.BACK && pocket.located() instanceof Condition.Access;
        return new TemplateLine(
                pocket.feature(),
                pocket.noun(),
                pocket.face(),
                drawn,
                fromBehind ? Optional.of((Condition.Access) pocket.located()) : Optional.empty());
    }

    private static List<List<Segment>> edge(Region region) {
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
}
