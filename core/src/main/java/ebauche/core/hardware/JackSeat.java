package ebauche.core.hardware;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;

/**
 * The edge under a jack's plate: what stands out over a straight line across it must come off for the plate to lie, and a hollow under it
 * shows as a gap.
 *
 * @param middle where the jack's axis meets the edge
 * @param bulge how far the edge stands out over the plate's two ends, mm
 * @param gap how far it stays back of them, mm
 * @param off what would come off: the bulge
 */
public record JackSeat(Point middle, double bulge, double gap, Region off) {
    /** A plate that rocks by less, or gapes by less, is drawn down by its screws, mm: common practice. */
    public static final double LIES = 0.3;

    /** Beyond the plate's ends so much is levelled with it, mm. */
    public static final double BESIDE = 1;

    /** The edge under a plate so long, where a jack stands. */
    public static JackSeat of(Region body, Jack jack, double plate) {
        double along = jack.entry().distance(jack.aim());
        double inX = (jack.aim().x() - jack.entry().x()) / along;
        double inY = (jack.aim().y() - jack.entry().y()) / along;
        double reach = plate / 2 + BESIDE;
        // As far out from the aim as the edge lies, on the axis and at both ends of the plate.
        double onAxis = body.wayOut(jack.aim(), -inX, -inY);
        Point middle = jack.aim().plus(-onAxis * inX, -onAxis * inY);
        Region strip = Region.quadrilateral(
                jack.aim().plus(-reach * inY, reach * inX),
                jack.aim().plus(reach * inY, -reach * inX),
                jack.aim().plus(reach * inY - (onAxis + plate) * inX, -reach * inX - (onAxis + plate) * inY),
                jack.aim().plus(-reach * inY - (onAxis + plate) * inX, reach * inX - (onAxis + plate) * inY));
        double left = out(body, jack.aim(), inX, inY, reach);
        double right = out(body, jack.aim(), inX, inY, -reach);
        double flat = Math.min(left, right);
        Region beyond = strip.intersection(body)
                .minus(Region.quadrilateral(
                        jack.aim().plus(-2 * reach * inY - flat * inX, 2 * reach * inX - flat * inY),
                        jack.aim().plus(2 * reach * inY - flat * inX, -2 * reach * inX - flat * inY),
                        jack.aim().plus(2 * reach * inY + plate * inX, -2 * reach * inX + plate * inY),
                        jack.aim().plus(-2 * reach * inY + plate * inX, 2 * reach * inX + plate * inY)));
        double farthest = beyond.isEmpty() ? flat : reach(beyond, jack.aim(), -inX, -inY);
        return new JackSeat(middle, Math.max(0, farthest - flat), Math.max(0, Math.max(left, right) - onAxis), beyond);
    }

    /** How far out the edge lies beside the axis; nothing where the plate would hang in the air. */
    private static double out(Region body, Point aim, double inX, double inY, double aside) {
        Point from = aim.plus(-aside * inY, aside * inX);
        return body.contains(from) ? body.wayOut(from, -inX, -inY) : 0;
    }

    private static double reach(Region area, Point from, double x, double y) {
        Point farthest = area.farthest(x, y);
        return (farthest.x() - from.x()) * x + (farthest.y() - from.y()) * y;
    }

    /** Whether a plate would rock on it. */
    public boolean bulges() {
        return bulge > LIES;
    }

    /** Whether a plate would gape over it. */
    public boolean gapes() {
        return gap > LIES;
    }
}
