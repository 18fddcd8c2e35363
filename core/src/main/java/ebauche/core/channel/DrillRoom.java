package ebauche.core.channel;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Jack;
import ebauche.core.job.UnderTop;
import ebauche.core.memo.Memo;
import ebauche.core.stock.Solid;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Whether a drill and its chuck can be held for a hole: behind where it enters the wood they must be in the air, or in the space that it is begun in. */
final class DrillRoom {
    private static final double CHUCK = BoreLook.CHUCK;

    /** A drill is held out at the most so far, mm: common practice. */
    static final double LONGEST_DRILL = 460;

    /** The bit may rest on the edge of what it is begun in: it lies lower by so much, mm. */
    private static final double RESTS = 1;

    /** A bit leans in the jack's hole by what room it has there over this length, mm: the wall it is drilled through. */
    private static final double JACK_WALL = 25;

    private final Around around;

    DrillRoom(Around around) {
        this.around = around;
    }

    /** What the answer for a hole that stays as it is follows from. */
    private record Asked(
            Line line, List<Solid> begunIn, double wide, Region body, double frontDepth, double backDepth) {}

    /** Depth of the front over which the drill is free: out of a chamber it is drilled before the top, so the core's. */
    private double front(Optional<Feature> from) {
        return from.filter(UnderTop::isInCore).isPresent() ? around.coreFront() : around.frontDepth();
    }

    /** As {@link #heldOut}, and remembered: for a channel of the design, which is asked about by every plan. */
    OptionalDouble heldOutOfDrawn(Line line, Optional<Feature> from, double wide) {
        List<Solid> begunIn = from.map(around::of).orElse(List.of());
        return Memo.here()
                .get(
                        new Asked(line, begunIn, wide, around.body(), front(from), around.backDepth()),
                        () -> heldOut(line, from, wide),
                        known -> 0);
    }

    /** How far behind where it enters the chuck must stand so that bit and chuck are in no wood, mm; empty where they always are. */
    OptionalDouble heldOut(Line line, Optional<Feature> from, double wide) {
        double free = 0;
        Beyond beyond = new Beyond();
        for (double back = Around.STRIDE; back <= LONGEST_DRILL; back += Around.STRIDE) {
            Point at = line.at(-back);
            double depth = line.depth(-back);
            // Where the chuck has room the bit has.
            if (!isFree(at, depth, CHUCK, line.lean(), from, beyond)) {
                if (!isFree(at, depth, wide / 2 - RESTS, line.lean(), from, beyond)) {
                    return OptionalDouble.empty();
                }
                free = back + Around.STRIDE;
            }
            if (isOut(at, depth, line, front(from))) {
                break;
            }
        }
        return OptionalDouble.of(free);
    }

    /**
     * Whether so thick a round has no wood in it: over the front, under the back, beyond the edge, or in a space with room for it.
     *
     * @param lean of its axis: what it reaches up and down is its radius by that
     */
    private boolean isFree(Point at, double depth, double radius, double lean, Optional<Feature> from, Beyond beyond) {
        double tall = radius * lean;
        return depth <= front(from) - tall
                || depth >= around.backDepth() + tall
                || from.stream()
                        .flatMap(f -> around.of(f).stream())
                        .anyMatch(s -> isIn(s, front(from), at, depth, radius))
                || beyond.by(at, radius);
    }

    /** How far beyond the edge places along a drill lie: no farther than the last that was looked at and the way from it. */
    private final class Beyond {
        private Point last;
        private double outside;

        boolean by(Point at, double more) {
            if (last == null || outside + last.distance(at) > more) {
                last = at;
                outside = around.body().outside(at);
                return outside > more;
            }
            return false;
        }
    }

    /** Whether farther back all is free. */
    private boolean isOut(Point at, double depth, Line line, double front) {
        boolean over = line.end() >= line.start() && depth < front - CHUCK;
        boolean under = line.end() <= line.start() && depth > around.backDepth() + CHUCK;
        Region body = around.body();
        boolean beside = at.x() < body.minX() - CHUCK
                || at.x() > body.maxX() + CHUCK
                || at.y() < body.minY() - CHUCK
                || at.y() > body.maxY() + CHUCK;
        return over || under || beside;
    }

    private boolean isIn(Solid solid, double front, Point at, double depth, double radius) {
        double[] piece = Line.piece(solid, at);
        if (piece.length == 0) {
            return false;
        }
        boolean openFront = piece[0] <= front + 0.1;
        boolean openBack = piece[1] >= around.backDepth() - 0.1;
        boolean tall =
                (openFront || depth - radius >= piece[0] - 0.01) && (openBack || depth + radius <= piece[1] + 0.01);
        // A bit itself needs no room beside it: it lies in the space that it is set in.
        return tall && (radius < CHUCK - 1 || solid.plan().outside(at) <= -radius);
    }

    /** How far a hole runs off the axis of the jack's, degrees. */
    static double offJack(Line line, Jack jack) {
        Point aim = jack.aim();
        Point in = jack.entry();
        double cos = ((aim.x() - in.x()) * (line.exit().x() - line.entry().x())
                        + (aim.y() - in.y()) * (line.exit().y() - line.entry().y()))
                / (in.distance(aim) * line.length());
        return Math.toDegrees(Math.acos(Math.min(1, cos)));
    }

    /** How far a bit can lean in the jack's hole, degrees: atan(2 (R − r) / L), of the radii and the wall that it is drilled through. */
    static double leanInJack(double jackHole, double wide) {
        return Math.toDegrees(Math.atan2(jackHole - wide, JACK_WALL));
    }
}
