package ebauche.core.balance;

import ebauche.core.geometry.Point;
import ebauche.core.memo.Memo;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A guitar that hangs from a strap over a shoulder.
 *
 * <p>Frame: the body's plan, y to the neck, the treble side down; the neck's angle is how far it points over level. The shoulder S is
 * one place, so that the strap's two parts and the weight meet there: S stands upright over the centre of mass G, with |SA| + |SB| the
 * strap's length. The two pulls follow from the balance of forces. The strap does not slip while the larger pull is at most
 * e<sup>&mu;&beta;</sup> times the smaller, &beta; the angle that it wraps (Euler and Eytelwein's formula for a rope round a post).
 *
 * @param low the button at the tail
 * @param high the button at the horn
 * @param strap from button to button along it, mm
 * @param centre centre of mass of the whole guitar
 * @param trebleX 1 where the treble side lies on the side of growing x, else -1
 */
public record Hang(Point low, Point high, double strap, Point centre, int trebleX) {
    /** Strap on cloth: common practice. */
    public static final double FRICTION = 0.3;

    /** It is looked at from degree to degree between the neck straight down and straight up. */
    private static final int STEEPEST = 89;

    /** Where it begins to slip is known so well, degrees. */
    private static final double CLOSE = 1e-4;

    private static final int HALVINGS = 80;

    /**
     * How it stands at one angle of the neck.
     *
     * @param shoulder where the strap lies over it, on the body's plan
     * @param pullLow share of the weight in the part to the button at the tail
     * @param pullHigh in the other
     * @param wrap how far the strap goes round, degrees
     */
    public record Standing(Point shoulder, double pullLow, double pullHigh, double wrap) {
        /** Whether it stays there by itself. */
        public boolean stays() {
            double larger = Math.max(pullLow, pullHigh);
            double smaller = Math.min(pullLow, pullHigh);
            return smaller > 0 && larger <= smaller * Math.exp(FRICTION * Math.toRadians(wrap));
        }
    }

    /**
     * Angles at which it stays, degrees over level.
     *
     * @param least the lowest that the neck may be put to
     * @param most the highest
     */
    public record Range(double least, double most) {}

    /** How it stands with the neck at an angle, degrees over level; empty where the strap is too short for it to hang so. */
    public Optional<Standing> at(double angle) {
        double upX = -trebleX * Math.cos(Math.toRadians(angle));
        double upY = Math.sin(Math.toRadians(angle));
        double shortest = shortest(upX, upY);
        if (along(shortest, upX, upY) > strap) {
            return Optional.empty();
        }
        double under = shortest;
        double over = 2 * strap;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (under + over) / 2;
            if (along(middle, upX, upY) < strap) {
                under = middle;
            } else {
                over = middle;
            }
        }
        return Optional.of(standing(centre.plus(over * upX, over * upY), upX, upY));
    }

    /** Length of a strap over a shoulder so far over the centre. */
    private double along(double over, double upX, double upY) {
        Point shoulder = centre.plus(over * upX, over * upY);
        return shoulder.distance(low) + shoulder.distance(high);
    }

    /** Where that is least: the sum of two ways falls and then rises, so it is closed in on by thirds. */
    private double shortest(double upX, double upY) {
        double from = -strap;
        double to = strap;
        for (int i = 0; i < HALVINGS; i++) {
            double one = from + (to - from) / 3;
            double other = to - (to - from) / 3;
            if (along(one, upX, upY) < along(other, upX, upY)) {
                to = other;
            } else {
                from = one;
            }
        }
        return (from + to) / 2;
    }

    /** The pulls hold the weight: their parts along the strap add up to it. */
    private Standing standing(Point shoulder, double upX, double upY) {
        double toLow = shoulder.distance(low);
        double toHigh = shoulder.distance(high);
        double lowX = (shoulder.x() - low.x()) / toLow;
        double lowY = (shoulder.y() - low.y()) / toLow;
        double highX = (shoulder.x() - high.x()) / toHigh;
        double highY = (shoulder.y() - high.y()) / toHigh;
        double cross = lowX * highY - lowY * highX;
        double between = Math.acos(Math.max(-1, Math.min(1, lowX * highX + lowY * highY)));
        return new Standing(
                shoulder,
                (upX * highY - upY * highX) / cross,
                (lowX * upY - lowY * upX) / cross,
                180 - Math.toDegrees(between));
    }

    private boolean stays(double angle) {
        return at(angle).filter(Standing::stays).isPresent();
    }

    private record Asked(Hang hang) {}

    /** The angles at which it stays by itself, from the lowest on. */
    public List<Range> ranges() {
        return Memo.here().get(new Asked(this), this::searched, r -> 64L * r.size());
    }

    private List<Range> searched() {
        List<Range> all = new ArrayList<>();
        double since = Double.NaN;
        for (int angle = -STEEPEST; angle <= STEEPEST; angle++) {
            boolean stays = stays(angle);
            if (stays && Double.isNaN(since)) {
                since = angle == -STEEPEST ? angle : edge(angle - 1, angle);
            }
            if (!stays && !Double.isNaN(since)) {
                all.add(new Range(since, edge(angle, angle - 1)));
                since = Double.NaN;
            }
        }
        if (!Double.isNaN(since)) {
            all.add(new Range(since, STEEPEST));
        }
        return List.copyOf(all);
    }

    /** Between an angle at which it slips and one at which it stays. */
    private double edge(double slips, double stays) {
        double bad = slips;
        double good = stays;
        while (Math.abs(good - bad) > CLOSE) {
            double middle = (good + bad) / 2;
            if (stays(middle)) {
                good = middle;
            } else {
                bad = middle;
            }
        }
        return good;
    }

    /** The highest angle at which it stays; empty where it stays at none. */
    public Optional<Range> highest() {
        List<Range> all = ranges();
        return all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1));
    }

    /** The same with the centre of mass elsewhere. */
    public Hang balancing(Point elsewhere) {
        return new Hang(low, high, strap, elsewhere, trebleX);
    }

    /** The same with the button at the horn elsewhere. */
    public Hang from(Point elsewhere) {
        return new Hang(low, elsewhere, strap, centre, trebleX);
    }
}
