package ebauche.core.geometry;

import ebauche.core.measure.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A closed path by its points, as a hand edits it: each with the handles of the curves that meet there. Arcs become cubics.
 *
 * @param points in order; the last goes on to the first
 */
public record Nodes(List<Node> points) {
    /**
     * A point of the path.
     *
     * @param into handle of the piece that comes to it; empty where that is a straight line
     * @param out handle of the piece that leaves it
     */
    public record Node(Point at, Optional<Point> into, Optional<Point> out) {
        /** Moved with its handles. */
        private Node moved(Point to) {
            double dx = to.x() - at.x();
            double dy = to.y() - at.y();
            return new Node(to, into.map(p -> p.plus(dx, dy)), out.map(p -> p.plus(dx, dy)));
        }
    }

    /** What of a point is moved. */
    public enum Grip {
        POINT,
        INTO,
        OUT
    }

    public Nodes {
        points = List.copyOf(points);
    }

    public static Nodes of(List<Segment> segments) {
        List<Segment> plain = new ArrayList<>();
        for (Segment s : segments) {
            if (s instanceof Segment.Arc arc) {
                plain.addAll(arc.cubics());
            } else {
                plain.add(s);
            }
        }
        List<Node> nodes = new ArrayList<>();
        for (int i = 0; i < plain.size(); i++) {
            Segment before = plain.get((i + plain.size() - 1) % plain.size());
            Segment after = plain.get(i);
            nodes.add(new Node(
                    after.start(),
                    before instanceof Segment.Cubic c ? Optional.of(c.second()) : Optional.empty(),
                    after instanceof Segment.Cubic c ? Optional.of(c.first()) : Optional.empty()));
        }
        return new Nodes(nodes);
    }

    public List<Segment> segments() {
        List<Segment> out = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            Node a = points.get(i);
            Node b = points.get((i + 1) % points.size());
            if (a.out().isPresent() || b.into().isPresent()) {
                out.add(new Segment.Cubic(
                        a.at(), a.out().orElse(a.at()), b.into().orElse(b.at()), b.at()));
            } else if (!a.at().equals(b.at())) {
                out.add(new Segment.Line(a.at(), b.at()));
            }
        }
        return out;
    }

    /**
     * With one point, or one of its handles, elsewhere; a point takes its handles along.
     *
     * @throws Refusal if there is no such point or handle
     */
    public Nodes moved(int place, Grip grip, Point to) {
        Refusal.between(place, 0, points.size() - 1, "point");
        Node node = points.get(place);
        boolean there = switch (grip) {
            case POINT -> true;
            case INTO -> node.into().isPresent();
            case OUT -> node.out().isPresent();
        };
        Refusal.unless(there, "grip", "the point has no such handle");
        List<Node> all = new ArrayList<>(points);
        all.set(
                place,
                switch (grip) {
                    case POINT -> node.moved(to);
                    case INTO -> new Node(node.at(), Optional.of(to), node.out());
                    case OUT -> new Node(node.at(), node.into(), Optional.of(to));
                });
        return new Nodes(all);
    }
}
