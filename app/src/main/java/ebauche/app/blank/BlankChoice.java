package ebauche.app.blank;

import ebauche.app.words.Words;
import ebauche.core.blank.BlankNeed;
import ebauche.core.design.Blank;
import ebauche.core.job.Build;
import ebauche.core.layout.Preference;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.measure.LengthUnit;
import ebauche.core.measure.Refusal;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a maker asks of the blank planner, as its address carries it; what is left out is chosen sensibly.
 *
 * @param timber key, empty for any
 * @param most pieces
 * @param ready whether only boards at the shop's moisture are taken
 * @param top finished thickness of a top, empty for none
 * @param topTimber key, empty for any
 * @param room of blank round the outline, empty for the shop's margin
 * @param n which layout of the core, counted from 0
 * @param m which layout of the top
 * @param dx outline moved over the blank to the treble side, as written
 * @param dy outline moved towards the neck
 */
public record BlankChoice(
        String timber,
        Integer most,
        Preference taste,
        Boolean ready,
        String top,
        String topTimber,
        String room,
        Integer n,
        Integer m,
        String dx,
        String dy) {
    /** Nothing asked in particular: the timber that is designed, a bit of all. */
    public static final BlankChoice USUAL =
            new BlankChoice(null, null, null, null, null, null, null, null, null, null, null);

    private static final int USUAL_PIECES = 5;
    private static final double FARTHEST = 200;
    private static final double THINNEST_TOP = 2;
    private static final double THICKEST_TOP = 30;
    private static final double MOST_ROOM = 60;

    /** Where nothing was asked: the timbers and the top that are designed. */
    BlankChoice orDesigned(Build build) {
        if (timber != null || top != null) {
            return this;
        }
        Blank blank = build.design().blank();
        OptionalDouble finished = BlankNeed.finishedTop(build);
        return new BlankChoice(
                blank.species().key(),
                most,
                taste,
                ready,
                finished.isPresent() ? Decimals.plain(finished.getAsDouble(), 2) + " mm" : null,
                blank.top().map(t -> t.species().key()).orElse(topTimber),
                room,
                n,
                m,
                dx,
                dy);
    }

    /** The same favouring something else. */
    BlankChoice favouring(Preference other) {
        return new BlankChoice(timber, most, other, ready, top, topTimber, room, n, m, dx, dy);
    }

    /** What is asked for another body that is laid out with this one: its own design, favouring the same. */
    BlankChoice ofAnother(Build other) {
        return new BlankChoice(null, most, taste, ready, null, null, room, null, null, null, null).orDesigned(other);
    }

    public int mostPieces() {
        return most == null ? USUAL_PIECES : Math.max(1, Math.min(7, most));
    }

    public Preference tasteOrUsual() {
        return taste == null ? Preference.BALANCED : taste;
    }

    public boolean onlyReady() {
        return Boolean.TRUE.equals(ready);
    }

    public int core() {
        return n == null ? 0 : Math.max(0, n);
    }

    public int topIndex() {
        return m == null ? 0 : Math.max(0, m);
    }

    /**
     * How far the outline is moved to the treble side, mm.
     *
     * @throws Refusal in words, if it is no length or too far
     */
    public double right(LengthUnit bare) {
        return moved(dx, bare);
    }

    /** The same towards the neck. */
    public double towardsNeck(LengthUnit bare) {
        return moved(dy, bare);
    }

    private static double moved(String written, LengthUnit bare) {
        if (written == null || written.isBlank()) {
            return 0;
        }
        double by = length(written, bare, "moved");
        Refusal.unless(
                Math.abs(by) <= FARTHEST, "moved", Words.say("blank-choice.moved-by-it-is-off-up", written.strip()));
        return by;
    }

    private static double length(String written, LengthUnit bare, String field) {
        try {
            return Length.parse(written, bare).millimetres();
        } catch (LengthFormatException e) {
            throw new Refusal(field, e.getMessage());
        }
    }

    /**
     * Blank round the outline, if another than the shop's margin is wanted.
     *
     * @throws Refusal in words, if it is none
     */
    public Optional<Double> margin(LengthUnit bare) {
        if (room == null || room.isBlank()) {
            return Optional.empty();
        }
        double margin = length(room, bare, "room");
        Refusal.unless(
                margin >= 0 && margin <= MOST_ROOM,
                "room",
                Words.say("blank-choice.room-of-cannot-be-from-0", room.strip()));
        return Optional.of(margin);
    }

    /** The same question without what was refused. */
    BlankChoice without(String field) {
        return new BlankChoice(
                timber,
                most,
                taste,
                ready,
                field.equals("top") ? "" : top,
                topTimber,
                field.equals("room") ? "" : room,
                n,
                m,
                field.equals("moved") ? null : dx,
                field.equals("moved") ? null : dy);
    }

    /**
     * Finished thickness of the top, if one is wanted.
     *
     * @param body finished thickness
     * @throws Refusal in words, if it is none
     */
    public Optional<Double> topThickness(LengthUnit bare, double body) {
        if (top == null || top.isBlank()) {
            return Optional.empty();
        }
        double thickness = length(top, bare, "top");
        double most = Math.min(THICKEST_TOP, body - THINNEST_TOP);
        Refusal.unless(
                thickness >= THINNEST_TOP && thickness <= most,
                "top",
                Words.say("blank-choice.a-top-of-cannot-be-laid", top.strip(), Decimals.plain(most, 1)));
        return Optional.of(thickness);
    }
}
