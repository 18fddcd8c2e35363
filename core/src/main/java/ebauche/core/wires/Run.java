package ebauche.core.wires;

import ebauche.core.design.Passage;
import ebauche.core.design.Passage.Begun;
import ebauche.core.design.Space;
import ebauche.core.geometry.Face;
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

/** Where a channel runs in its wood: what it passes, and how far from the faces as they will be. */
public record Run(Build build, Passage passage) {
    /** The wood beside it is looked at every so far, mm. */
    private static final double STRIDE = 1;

    public static List<Run> all(Build build) {
        return build.once()
                .of(
                        All.class,
                        () -> new All(build.spaces().passages().stream()
                                .map(p -> new Run(build, p))
                                .toList()))
                .runs();
    }

    private record All(List<Run> runs) {}

    /** The run of a channel as it is drawn. */
    public static Run of(Build build, Channel channel) {
        return new Run(build, build.spaces().passage(channel));
    }

    public Channel channel() {
        return passage.channel();
    }

    /** The space that the drill stands in; empty at the edge and on a face. */
    public Optional<Space> from() {
        return passage.from();
    }

    /** The space that it is to come out in; empty where there is none. */
    public Optional<Space> into() {
        return passage.into();
    }

    /** All that it opens into. */
    public List<Space> spaces() {
        return passage.spaces();
    }

    /** How the drill is begun. */
    public Begun begun() {
        return passage.begun();
    }

    /** Where on its axis the bit enters the wood, mm from where it is set. */
    public double entersAt() {
        return passage.entersAt();
    }

    /** Where its axis leaves the wood for the space that it is to end in, mm from where it is set. */
    public double leavesAt() {
        return passage.leavesAt();
    }

    private Region body() {
        return build.design().outline().region();
    }

    /** The hole in the stock. */
    public Bore bore() {
        double front = build.faces().frontFinished();
        return new Bore(
                channel().from(),
                front + channel().fromUnder(),
                channel().to(),
                front + channel().toUnder(),
                channel().diameter());
    }

    /** Where it is meant to break out of the edge, if it begins there. */
    public Optional<WoodLeft.Opening> opening() {
        return begun() == Begun.AT_THE_EDGE
                ? Optional.of(WoodLeft.Opening.of(
                        body(), channel().from(), channel().to(), channel().diameter()))
                : Optional.empty();
    }

    /** Wood towards a face as it will be, along its way through the wood. */
    public List<Clearance> beside(Face face) {
        List<Clearance> all = new ArrayList<>();
        double enters = entersAt();
        double leaves = leavesAt();
        double half = channel().diameter() / 2 * channel().across() / channel().length();
        double front = build.faces().frontFinished();
        FaceShape shape = build.finished(face);
        for (double s = enters; s <= leaves; s += STRIDE) {
            double axis = front + channel().under(s);
            double surface = shape.depthAt(channel().at(s));
            double wood = (face == Face.FRONT ? axis - surface : surface - axis) - half;
            all.add(new Clearance(s - enters, wood));
        }
        return all;
    }
}
