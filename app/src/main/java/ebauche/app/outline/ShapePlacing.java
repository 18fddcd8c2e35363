package ebauche.app.outline;

import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Placing;
import ebauche.core.geometry.Region;
import ebauche.core.geometry.Segment;
import java.util.List;

/** A drawn shape laid on the body: at its size, the neck up, seen from the front, its middle where the old outline's was. */
final class ShapePlacing {
    /** Where the neck points in a drawing, and by how much it is turned for it. */
    enum Neck {
        UP("up", 0),
        RIGHT("right", Math.PI / 2),
        DOWN("down", Math.PI),
        LEFT("left", -Math.PI / 2);

        private final String words;
        private final double turned;

        Neck(String words, double turned) {
            this.words = words;
            this.turned = turned;
        }

        public String words() {
            return words;
        }
    }

    private ShapePlacing() {}

    static List<Segment> place(
            List<Segment> shape, double perUnit, Neck neck, boolean fromBack, Region old, double dx, double dy) {
        Placing turned = new Placing(false, perUnit, neck == null ? 0 : neck.turned, 0, 0);
        List<Segment> up = shape.stream().map(s -> s.placed(turned)).toList();
        List<Segment> seen =
                fromBack ? up.stream().map(s -> s.placed(Placing.fromTheBack())).toList() : up;
        Region now = Outline.of(seen).region();
        Placing moved = Placing.moved(
                (old.minX() + old.maxX() - now.minX() - now.maxX()) / 2 + dx,
                (old.minY() + old.maxY() - now.minY() - now.maxY()) / 2 + dy);
        return seen.stream().map(s -> s.placed(moved)).toList();
    }
}
