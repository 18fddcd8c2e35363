package ebauche.app.blank;

import ebauche.core.blank.BlankNeed;
import ebauche.core.build.Build;
import ebauche.core.design.Blank;
import ebauche.core.layout.Taste;
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
 * @param dx outline moved over the blank to the treble side, mm
 * @param dy outline moved towards the neck, mm
 */
public record BlankChoice(
        String timber,
        Integer most,
        Taste taste,
        Boolean ready,
        String top,
        String topTimber,
        String room,
        Integer n,
        Integer m,
        Double dx,
        Double dy) {
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

    public int mostPieces() {
        return most == null ? USUAL_PIECES : Math.max(1, Math.min(7, most));
    }

    public Taste tasteOrUsual() {
        return taste == null ? Taste.BALANCED : taste;
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

    public double right() {
        return within(dx);
    }

    public double towardsNeck() {
        return within(dy);
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
        try {
            double margin = Length.parse(room, bare).millimetres();
            Refusal.unless(
                    margin >= 0 && margin <= MOST_ROOM,
                    "room",
                    "Room of " + room.strip() + " cannot be: from 0 to 60 mm");
            return Optional.of(margin);
        } catch (LengthFormatException e) {
            throw new Refusal("room", e.getMessage());
        }
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
                dx,
                dy);
    }

    private static double within(Double moved) {
        return moved == null || !Double.isFinite(moved) ? 0 : Math.max(-FARTHEST, Math.min(FARTHEST, moved));
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
        double thickness;
        try {
            thickness = Length.parse(top, bare).millimetres();
        } catch (LengthFormatException e) {
            throw new Refusal("top", e.getMessage());
        }
        double most = Math.min(THICKEST_TOP, body - THINNEST_TOP);
        Refusal.unless(
                thickness >= THINNEST_TOP && thickness <= most,
                "top",
                "A top of " + top.strip() + " cannot be laid: from 2 mm to " + Decimals.plain(most, 1)
                        + " mm on this body");
        return Optional.of(thickness);
    }
}
