package ebauche.app.wires;

import ebauche.app.words.Words;
import ebauche.core.channel.BoreLook;
import ebauche.core.crib.Drill;
import ebauche.core.design.Hand;
import ebauche.core.design.Passage.Begun;
import ebauche.core.geometry.Face;
import ebauche.core.hardware.Channel;
import ebauche.core.measure.Reckoning;
import ebauche.core.wires.Run;
import java.util.Optional;

/** What a page says of a channel that is looked at. */
public record BoreLookWords(BoreLook look) {
    /** What it is begun in. */
    static String from(Run run) {
        return switch (run.begun()) {
            case IN_A_SPACE -> run.from().orElseThrow().feature().said();
            case AT_THE_EDGE -> Words.say("bore-look-words.the-edge");
            case ON_THE_FRONT -> Words.say("bore-look-words.the-front");
            case IN_WOOD -> Words.say("bore-look-words.solid-wood");
        };
    }

    /** What it ends in. */
    static String into(Run run) {
        return run.into()
                .map(s -> s.feature().said())
                .orElseGet(() -> Words.say(
                        run.passage().endsInTheAir() ? "bore-look-words.the-air" : "bore-look-words.solid-wood"));
    }

    static boolean beginsOn(BoreLook look, Face face) {
        return face == Face.FRONT && look.run().begun() == Begun.ON_THE_FRONT;
    }

    public String begins() {
        return from(look.run());
    }

    public String ends() {
        return into(look.run());
    }

    public Reckoning front() {
        return look.chance(Face.FRONT);
    }

    public Reckoning back() {
        return look.chance(Face.BACK);
    }

    /** How far off its angle it is begun here: one standard deviation. */
    public Reckoning spread() {
        return BoreLook.spread(look.run());
    }

    /** How its drill may be held. */
    public Channel.Held[] ways() {
        return Channel.Held.values();
    }

    public boolean onFront() {
        return beginsOn(look, Face.FRONT);
    }

    /** Steepness, as degrees down or up on its way. */
    public String pitch() {
        double pitch = look.run().channel().pitch();
        String degrees = String.valueOf(Math.round(Math.abs(pitch) * 10) / 10.0);
        return pitch >= 0 ? Words.say("bore-look-words.down", degrees) : Words.say("bore-look-words.up", degrees);
    }

    /** Which way on the plan: off the centre line towards one side. */
    public String yaw() {
        double yaw = look.yaw();
        boolean toNeck = Math.abs(yaw) <= 90;
        double off = toNeck ? Math.abs(yaw) : 180 - Math.abs(yaw);
        String degrees = String.valueOf(Math.round(off * 10) / 10.0);
        Channel channel = look.run().channel();
        boolean right = channel.to().x() >= channel.from().x();
        boolean treble = right == (look.run().build().design().hand() == Hand.RIGHT);
        return Words.say(
                toNeck ? "bore-look-words.to-the-neck" : "bore-look-words.to-the-end",
                degrees,
                Words.say(treble ? "bore-look-words.treble" : "bore-look-words.bass"));
    }

    /** The drill that it will be drilled with, if it is long enough. */
    public Optional<Drill> drill() {
        return look.inCrib()
                .filter(d -> look.drill().filter(l -> l.value() <= d.reach()).isPresent());
    }
}
