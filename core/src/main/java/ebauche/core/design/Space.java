package ebauche.core.design;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Channel;
import ebauche.core.memo.Memo;

/**
 * What a channel may begin or end in, or pass.
 *
 * @param piece which of the feature's hollows that do not meet: nought but for those of a chamber, counted from one
 * @param top its least depth under the finished front, mm
 * @param bottom its greatest
 */
public record Space(Feature feature, int piece, Region plan, double top, double bottom) {
    /** A channel is looked at every so far, mm. */
    private static final double STRIDE = 1;

    /** Of a feature that is in one piece. */
    Space(Feature feature, Region plan, double top, double bottom) {
        this(feature, 0, plan, top, bottom);
    }

    /** Whether a channel's axis lies in it so far along. */
    public boolean holds(Channel channel, double along) {
        double axis = channel.under(along);
        return axis >= top && axis <= bottom && plan.contains(channel.at(along));
    }

    /** Whether a channel's axis passes beside the box that it lies in. */
    private boolean isAwayFrom(Channel channel) {
        Point from = channel.from();
        Point to = channel.to();
        return Math.max(from.x(), to.x()) < plan.minX()
                || Math.min(from.x(), to.x()) > plan.maxX()
                || Math.max(from.y(), to.y()) < plan.minY()
                || Math.min(from.y(), to.y()) > plan.maxY()
                || Math.max(channel.fromUnder(), channel.toUnder()) < top
                || Math.min(channel.fromUnder(), channel.toUnder()) > bottom;
    }

    /** Where a channel's axis goes in and where it comes out again, mm along it; nothing where it never is in it. */
    public double[] met(Channel channel) {
        return isAwayFrom(channel)
                ? new double[0]
                : Memo.here()
                        .get(new Met(this, channel), () -> walked(channel), m -> 0)
                        .clone();
    }

    /** Where a channel's axis meets a space is asked. */
    private record Met(Space space, Channel channel) {}

    private double[] walked(Channel channel) {
        double first = Double.NaN;
        double last = Double.NaN;
        for (double s = 0; s <= channel.length(); s += STRIDE) {
            if (holds(channel, s)) {
                first = Double.isNaN(first) ? s : first;
                last = s;
            }
        }
        return Double.isNaN(first) ? new double[0] : new double[] {first, last};
    }
}
