package ebauche.core.design;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Channel;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a channel passes: out of what, through how much wood, into what.
 *
 * @param from the space that the drill stands in; empty at the edge and on a face
 * @param into the space that it is to come out in; empty where there is none
 * @param through spaces that it passes on its way
 * @param begun how it is begun
 * @param entersAt where on its axis the bit enters the wood, mm from where it is set
 * @param leavesAt where its axis leaves the wood for the space that it is to end in, mm from where it is set; its whole length where there is none
 */
public record Passage(
        BodyDesign design,
        Channel channel,
        Optional<Space> from,
        Optional<Space> into,
        List<Space> through,
        Begun begun,
        double entersAt,
        double leavesAt) {
    /** A drill that is set so near the edge is set at it, mm. */
    private static final double AT_EDGE = 1;

    /** An axis that begins so near the front begins on it, mm. */
    private static final double AT_FACE = 0.5;

    /** How a channel is begun. */
    public enum Begun {
        IN_A_SPACE,
        AT_THE_EDGE,
        ON_THE_FRONT,
        IN_WOOD
    }

    static Passage of(BodyDesign design, List<Space> spaces, Channel channel) {
        Optional<Space> from = at(spaces, channel, 0);
        Optional<Space> into = at(spaces, channel, channel.length());
        List<Space> through = spaces.stream()
                .filter(s -> from.filter(s::equals).isEmpty()
                        && into.filter(s::equals).isEmpty())
                .filter(s -> s.met(channel).length > 0)
                .toList();
        Axis axis = new Axis(channel, design.outline().region());
        Begun begun = axis.begun(from);
        return new Passage(
                design, channel, from, into, through, begun, axis.entersAt(begun, from), axis.leavesAt(into));
    }

    private static Optional<Space> at(List<Space> spaces, Channel channel, double along) {
        return spaces.stream().filter(s -> s.holds(channel, along)).findFirst();
    }

    /** All that it opens into. */
    public List<Space> spaces() {
        return Stream.of(from.stream(), through.stream(), into.stream())
                .flatMap(s -> s)
                .toList();
    }

    /** Whether its axis is to end beyond the edge or a face: in no space and in no wood. */
    public boolean endsInTheAir() {
        boolean within =
                channel.toUnder() > 0 && channel.toUnder() < design.thickness() && body().contains(channel.to());
        return into.isEmpty() && !within;
    }

    /** Whether its mouth shows at the edge and is plugged: no jack's plate covers it. */
    public boolean isPlugged() {
        return begun == Begun.AT_THE_EDGE
                && design.jack()
                        .filter(j -> j.entry().distance(channel.from()) < j.diameter())
                        .isEmpty();
    }

    private Region body() {
        return design.outline().region();
    }

    /** Wood along its axis, mm. */
    public double wood() {
        return leavesAt - entersAt;
    }

    /** A channel's axis in the body. */
    private record Axis(Channel channel, Region body) {
        Begun begun(Optional<Space> from) {
            if (channel.fromUnder() <= AT_FACE) {
                return Begun.ON_THE_FRONT;
            }
            if (from.isPresent()) {
                return Begun.IN_A_SPACE;
            }
            return body.outside(channel.from()) > -AT_EDGE ? Begun.AT_THE_EDGE : Begun.IN_WOOD;
        }

        double entersAt(Begun begun, Optional<Space> from) {
            if (begun == Begun.IN_A_SPACE) {
                return slope() * from.orElseThrow().plan().wayOut(channel.from(), dx(), dy());
            }
            Point inner = channel.to();
            boolean outside = begun == Begun.AT_THE_EDGE && body.contains(inner);
            return outside ? Math.max(0, channel.length() - slope() * body.wayOut(inner, -dx(), -dy())) : 0;
        }

        double leavesAt(Optional<Space> into) {
            return into.map(s -> channel.length() - slope() * s.plan().wayOut(channel.to(), -dx(), -dy()))
                    .orElse(channel.length());
        }

        /** Axis for plan. */
        private double slope() {
            return channel.length() / channel.across();
        }

        private double dx() {
            return (channel.to().x() - channel.from().x()) / channel.across();
        }

        private double dy() {
            return (channel.to().y() - channel.from().y()) / channel.across();
        }
    }
}
