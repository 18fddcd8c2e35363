package ebauche.core.job;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.Measurand;
import ebauche.core.design.Measurand.BoreRead.Sight;
import ebauche.core.design.Passage;
import ebauche.core.design.Spaces;
import ebauche.core.hardware.Channel;
import ebauche.core.logbook.AsBuilt;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Channels put where they were read to run. A drill goes straight from where it goes in: so a hole that came out off its mark runs from
 * there to where it came out, and one whose rod stands otherwise than drawn comes out by so much off. One that is not deep enough ends in
 * the wood, one that is deeper goes on.
 */
record ChannelReadings(Spaces spaces, AsBuilt asBuilt) {
    /** The point of a drill and a little of its flutes lie beyond the end of the axis that is drawn, mm. */
    private static final double POINT = Channel.BEYOND;

    /** Read so near to it, it is through, mm. */
    private static final double NEARLY = 0.05;

    BodyDesign followed() {
        BodyDesign design = spaces.design();
        List<Channel> channels = design.channels().stream().map(this::followed).toList();
        return channels.equals(design.channels()) ? design : design.withChannels(channels);
    }

    private Channel followed(Channel drawn) {
        OptionalDouble lower = read(drawn, Sight.LOWER);
        OptionalDouble aside = read(drawn, Sight.ASIDE);
        OptionalDouble slope = read(drawn, Sight.SLOPE);
        OptionalDouble deep = read(drawn, Sight.DEEP);
        if (lower.isEmpty() && aside.isEmpty() && slope.isEmpty() && deep.isEmpty()) {
            return drawn;
        }
        Passage passage = spaces.passage(drawn);
        double enters = passage.entersAt();
        double wood = passage.wood();
        // Where it came out counts before how a rod stands in it: it is what the slope leads to, and read nearer.
        double down = lower.orElseGet(() -> slope.isPresent() ? bySlope(drawn, wood, slope.getAsDouble()) : 0);
        double length = drawn.length();
        if (deep.isPresent()) {
            double ends = enters + deep.getAsDouble() - POINT;
            boolean through = deep.getAsDouble() >= wood - NEARLY;
            length = through ? Math.max(length, ends) : enters + deep.getAsDouble();
        }
        return drawn.running(enters, wood, down, aside.orElse(0), length);
    }

    /** How much lower it leaves the wood for the slope that it really has. */
    private static double bySlope(Channel drawn, double wood, double slope) {
        double across = wood * drawn.across() / drawn.length();
        return across * (Math.tan(Math.toRadians(slope)) - Math.tan(Math.toRadians(drawn.pitch())));
    }

    private OptionalDouble read(Channel channel, Sight sight) {
        return asBuilt.latest(new Measurand.BoreRead(channel.feature(), sight)).stream()
                .mapToDouble(AsBuilt.Reading::value)
                .findFirst();
    }
}
