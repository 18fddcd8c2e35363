package ebauche.core.wires;

import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Channel;
import ebauche.core.job.Build;
import ebauche.core.stock.Bore;
import ebauche.core.stock.FaceShape;
import ebauche.core.stock.WoodLeft;
import ebauche.core.wires.ComingOut.Clearance;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Where a channel runs: out of what, through how much wood, into what, how far from the faces as they will be.
 *
 * @param from the space that the drill stands in; empty at the edge and on a face
 * @param into the space that it is to come out in; empty where there is none
 * @param through spaces that it passes on its way
 */
public record Run(Build build, Channel channel, Optional<Space> from, Optional<Space> into, List<Space> through) {
    /** A drill that is set so near the edge is set at it, mm. */
    private static final double AT_EDGE = 1;

    /** An axis that begins so near the front begins on it, mm. */
    private static final double AT_FACE = 0.5;

    /** The wood beside it is looked at every so far, mm. */
    private static final double STRIDE = 1;

    /** How a channel is begun. */
    public enum Begun {
        IN_A_SPACE,
        AT_THE_EDGE,
        ON_THE_FRONT,
        IN_WOOD
    }

    public static List<Run> all(Build build) {
        return build.design().channels().stream()
                .filter(c -> !build.design().undecided().contains(c.feature()))
                .map(c -> of(build, c))
                .toList();
    }

    /** The run of a channel as it is drawn. */
    public static Run of(Build build, Channel channel) {
        List<Space> spaces = Space.all(build.design());
        Optional<Space> from = at(spaces, channel, 0);
        Optional<Space> into = at(spaces, channel, channel.length());
        List<Space> through = spaces.stream()
                .filter(s -> from.filter(s::equals).isEmpty()
                        && into.filter(s::equals).isEmpty())
                .filter(s -> s.met(channel).length > 0)
                .toList();
        return new Run(build, channel, from, into, through);
    }

    /** All that it opens into. */
    public List<Space> spaces() {
        return Stream.of(from.stream(), through.stream(), into.stream())
                .flatMap(s -> s)
                .toList();
    }

    private static Optional<Space> at(List<Space> spaces, Channel channel, double along) {
        return spaces.stream().filter(s -> s.holds(channel, along)).findFirst();
    }

    /** How the drill is begun. */
    public Begun begun() {
        if (channel.fromUnder() <= AT_FACE) {
            return Begun.ON_THE_FRONT;
        }
        if (from.isPresent()) {
            return Begun.IN_A_SPACE;
        }
        return body().outside(channel.from()) > -AT_EDGE ? Begun.AT_THE_EDGE : Begun.IN_WOOD;
    }

    private Region body() {
        return build.design().outline().region();
    }

    /** Where on its axis the bit enters the wood, mm from where it is set. */
    public double entersAt() {
        if (begun() == Begun.IN_A_SPACE) {
            return slope() * from.orElseThrow().plan().wayOut(channel.from(), dx(), dy());
        }
        Point inner = channel.to();
        boolean outside = begun() == Begun.AT_THE_EDGE && body().contains(inner);
        return outside ? Math.max(0, channel.length() - slope() * body().wayOut(inner, -dx(), -dy())) : 0;
    }

    /** Where its axis leaves the wood for the space that it is to end in; its whole length where there is none. */
    public double leavesAt() {
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

    /** The hole in the stock. */
    public Bore bore() {
        double front = build.faces().frontFinished();
        return new Bore(
                channel.from(),
                front + channel.fromUnder(),
                channel.to(),
                front + channel.toUnder(),
                channel.diameter());
    }

    /** Where it is meant to break out of the edge, if it begins there. */
    public Optional<WoodLeft.Opening> opening() {
        return begun() == Begun.AT_THE_EDGE
                ? Optional.of(WoodLeft.Opening.of(body(), channel.from(), channel.to(), channel.diameter()))
                : Optional.empty();
    }

    /** Wood towards a face as it will be, along its way through the wood. */
    public List<Clearance> beside(Face face) {
        List<Clearance> all = new ArrayList<>();
        double enters = entersAt();
        double leaves = leavesAt();
        double half = channel.diameter() / 2 * channel.across() / channel.length();
        double front = build.faces().frontFinished();
        FaceShape shape = build.finished(face);
        for (double s = enters; s <= leaves; s += STRIDE) {
            double axis = front + channel.under(s);
            double surface = shape.depthAt(channel.at(s));
            double wood = (face == Face.FRONT ? axis - surface : surface - axis) - half;
            all.add(new Clearance(s - enters, wood));
        }
        return all;
    }
}
