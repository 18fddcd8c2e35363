package ebauche.core.channel;

import ebauche.core.design.Measurand.BoreRead;
import ebauche.core.design.Measurand.BoreRead.Sight;
import ebauche.core.design.Passage;
import ebauche.core.design.Space;
import ebauche.core.feature.Feature;
import ebauche.core.hardware.Channel;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import ebauche.core.operation.Band;
import ebauche.core.operation.Inspection;
import ebauche.core.wires.Run;
import java.util.ArrayList;
import java.util.List;

/** What is read of a channel once it is drilled, and how far off is still good. */
final class BoreInspections {
    /** Its middle stays so far inside what it ends in, mm. */
    private static final double EDGE = 0.1;

    private BoreInspections() {}

    /**
     * What is read of it: where it comes out, how a rod stands in it, how deep it is. Off by two spreads is what the hand gives; what
     * that does to the wood is told apart.
     */
    static List<Inspection> of(Run run) {
        Channel drawn = drawn(run);
        Feature feature = drawn.feature();
        Passage asDrawn = drawn.equals(run.channel())
                ? run.passage()
                : run.build().spaces().passage(drawn);
        Reckoning spread = BoreLook.spread(run);
        List<Inspection> all = new ArrayList<>();
        if (asDrawn.into().isPresent()) {
            Reckoning off = Reckoning.of("how far off is still good", Quantity.LENGTH)
                    .length("wood along its axis", asDrawn.wood())
                    .term(spread.what(), spread.asFact(), Quantity.ANGLE)
                    .is(
                            asDrawn.wood() * Math.tan(Math.toRadians(2 * spread.value())),
                            "wood along its axis × tan (2 × " + spread.what() + ")");
            Reckoning on = Reckoning.of("where it comes out", Quantity.LENGTH)
                    .length("as drawn", Fact.rule(0, "the design"))
                    .is(0, "as drawn");
            all.add(new Inspection(
                    new BoreRead(feature, Sight.LOWER),
                    on,
                    new Band(within(off, room(asDrawn, false)), within(off, room(asDrawn, true))),
                    "rule from the face to the hole and half the drill; too high is less than zero"));
            all.add(new Inspection(
                    new BoreRead(feature, Sight.ASIDE),
                    on,
                    Band.either(within(off, asideRoom(asDrawn))),
                    "rule from its mark, looked along the drill, front up"));
        }
        Reckoning slope = Reckoning.of("slope of the " + feature.said(), Quantity.ANGLE)
                .angle("as drawn", new Fact(drawn.pitch(), Source.COMPUTED, "the channel"))
                .is(drawn.pitch(), "as drawn");
        all.add(new Inspection(
                new BoreRead(feature, Sight.SLOPE),
                slope,
                new Band(steeper(asDrawn, spread, false), steeper(asDrawn, spread, true)),
                "a rod in the hole, a bevel against the face; up is less than zero"));
        Reckoning deep = ChannelSteps.depth(new Run(run.build(), asDrawn));
        all.add(new Inspection(
                new BoreRead(feature, Sight.DEEP),
                deep,
                Band.shops(
                        "wood behind it that only gives room",
                        run.build().shop().bands().room()),
                "the rod, marked where it goes in"));
        return all;
    }

    private static Reckoning within(Reckoning off, double room) {
        return off.value() <= room
                ? off
                : Reckoning.of(off.what(), Quantity.LENGTH)
                        .length("until its middle misses what it ends in", room)
                        .is(room, "until its middle misses what it ends in");
    }

    /** How far its middle may come out too low, or too high, and still end in the space that it is meant for, mm. */
    private static double room(Passage passage, boolean down) {
        Channel channel = passage.channel();
        Space into = passage.into().orElseThrow();
        double atEnd = down ? into.bottom() - channel.toUnder() : channel.toUnder() - into.top();
        double out = channel.under(passage.leavesAt());
        double atWall = down ? into.bottom() - out : out - into.top();
        return Math.max(0, Math.min(atWall, atEnd * share(passage)) - EDGE);
    }

    /** Off by so much at its end it is off by less where it leaves the wood. */
    private static double share(Passage passage) {
        return passage.wood() / (passage.channel().length() - passage.entersAt());
    }

    private static double asideRoom(Passage passage) {
        Channel channel = passage.channel();
        return Math.max(0, -passage.into().orElseThrow().plan().outside(channel.to()) * share(passage) - EDGE);
    }

    /** The same of its slope, degrees. */
    private static Reckoning steeper(Passage passage, Reckoning spread, boolean down) {
        Reckoning two = Reckoning.of("how far off is still good", Quantity.ANGLE)
                .term(spread.what(), spread.asFact(), Quantity.ANGLE)
                .is(2 * spread.value(), "2 × " + spread.what());
        if (passage.into().isEmpty()) {
            return two;
        }
        Channel channel = passage.channel();
        double across = passage.wood() * channel.across() / channel.length();
        double tangent = Math.tan(Math.toRadians(channel.pitch())) + (down ? 1 : -1) * room(passage, down) / across;
        double most = Math.abs(Math.toDegrees(Math.atan(tangent)) - channel.pitch());
        String until = "until its middle misses what it ends in";
        return two.value() <= most
                ? two
                : Reckoning.of(two.what(), Quantity.ANGLE)
                        .angle(until, new Fact(most, Source.COMPUTED, "the channel and the space"))
                        .is(most, until);
    }

    /** The channel as the maker drew it, whatever was read of it. */
    private static Channel drawn(Run run) {
        return run.build().drawn().channels().stream()
                .filter(c -> c.id().equals(run.channel().id()))
                .findFirst()
                .orElse(run.channel());
    }
}
