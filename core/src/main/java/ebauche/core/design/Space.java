package ebauche.core.design;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Pickup;
import ebauche.core.memo.Memo;
import ebauche.core.stock.Bore;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a channel may begin or end in, or pass.
 *
 * @param top its least depth under the finished front, mm
 * @param bottom its greatest
 */
public record Space(Feature feature, Region plan, double top, double bottom) {
    /** A channel is looked at every so far, mm. */
    private static final double STRIDE = 1;

    /** The space of a feature, as the design draws it. */
    public static Optional<Space> of(BodyDesign design, Feature feature) {
        return all(design).stream().filter(s -> s.feature().equals(feature)).findFirst();
    }

    /** All of a design, as it draws them. */
    public static List<Space> all(BodyDesign design) {
        List<Space> spaces = new ArrayList<>();
        double thick = design.thickness();
        spaces.add(new Space(NeckJoint.FEATURE, design.neck().pocket(), 0, thick));
        for (Cavity cavity : design.cavities()) {
            spaces.add(new Space(cavity.feature(), cavity.plan(), roof(cavity, thick), floor(cavity, thick)));
        }
        for (Pickup pickup : design.pickups()) {
            spaces.add(new Space(pickup.feature(), pickup.footprint(), 0, pickup.depth()));
        }
        design.jack()
                .ifPresent(j -> spaces.add(new Space(
                        Jack.FEATURE,
                        Bore.level(j.entry(), j.aim(), j.fromFront(), j.diameter())
                                .plan(),
                        j.fromFront() - j.diameter() / 2,
                        j.fromFront() + j.diameter() / 2)));
        Bridge bridge = design.bridge();
        bridge.studs().ifPresent(s -> spaces.add(new Space(Bridge.STUDS, s.holes(bridge.offCentre()), 0, s.depth())));
        bridge.vibrato()
                .ifPresent(v -> spaces.add(
                        new Space(Bridge.SPRINGS, v.springs(bridge.offCentre()), thick - v.springsDepth(), thick)));
        spaces.removeIf(s -> s.plan().isEmpty() || design.undecided().contains(s.feature()));
        return spaces;
    }

    /** Depth of a cavity's nearer end under the finished front: of one from the front nought. */
    private static double roof(Cavity cavity, double thick) {
        if (cavity.face() == Face.FRONT) {
            return 0;
        }
        return cavity.floor() instanceof Cavity.Floor.Leaving leaving
                ? leaving.wood()
                : cavity.floor() instanceof Cavity.Floor.Deep deep ? thick - deep.depth() : 0;
    }

    private static double floor(Cavity cavity, double thick) {
        if (cavity.face() == Face.BACK) {
            return thick;
        }
        if (cavity.floor() instanceof Cavity.Floor.ForParts parts) {
            return parts.depth().orElse(thick);
        }
        return cavity.floor() instanceof Cavity.Floor.Leaving leaving
                ? thick - leaving.wood()
                : cavity.floor() instanceof Cavity.Floor.Deep deep ? deep.depth() : thick;
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
