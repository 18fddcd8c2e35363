package ebauche.core.timber;

import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import java.util.List;
import java.util.Optional;

/**
 * Whether a board has come to the shop's moisture, and when it will have.
 *
 * <p>The difference to equilibrium falls off exponentially. Its time constant is taken from the board's own last two
 * readings where they show it nearing equilibrium; until then it is that of a board of its thickness and density: heat
 * and moisture spread through a slab in a time that grows with the square of its thickness, and {@value #DAYS_PER_INCH}
 * days for 25.4 mm of 500 kg/m³ lying in sticks is common practice.
 *
 * @param tolerance how near to equilibrium counts as there, per cent of moisture
 * @param today in the days that readings are dated by
 */
public record Seasoning(Board board, Climate climate, double tolerance, double today) {
    private static final double DAYS_PER_INCH = 14;
    private static final double INCH = 25.4;
    private static final double USUAL_DENSITY = 500;

    /** Readings closer than this tell nothing of the speed: a meter repeats to about half a per cent, common practice. */
    private static final double LEAST_DAYS = 2;

    private static final double LEAST_CHANGE = 0.3;

    /** Longest wait that is worth a number, days. */
    private static final double LONGEST = 2000;

    public enum State {
        /** At equilibrium within the tolerance. */
        READY,
        /** On its way. */
        WAITING,
        /** Nobody has measured it. */
        NOT_MEASURED
    }

    public State state() {
        return moistureNow()
                .map(m -> Math.abs(m - equilibrium()) <= tolerance ? State.READY : State.WAITING)
                .orElse(State.NOT_MEASURED);
    }

    public double equilibrium() {
        return climate.equilibriumMoisture().value();
    }

    /** What the newest reading has come to by now, if the air was as it is. */
    public Optional<Double> moistureNow() {
        return board.moisture().map(r -> {
            double since = Math.max(0, today - r.day());
            return equilibrium()
                    + (r.percent() - equilibrium())
                            * Math.exp(-since / timeConstant().value());
        });
    }

    /** Days until the board is within the tolerance; nothing if it is, or was never measured. */
    public Optional<Reckoning> daysToWait() {
        if (state() != State.WAITING) {
            return Optional.empty();
        }
        double off = Math.abs(moistureNow().orElseThrow() - equilibrium());
        Fact constant = timeConstant();
        return Optional.of(Reckoning.of("days until ready", Quantity.NUMBER)
                .term(
                        "off equilibrium now, %",
                        Fact.measured(off, "the newest reading, brought to today"), Quantity.NUMBER)
                .term("near enough, %", Fact.usual(tolerance, "the shop's practice"), Quantity.NUMBER)
                .term("time constant, days", constant, Quantity.NUMBER)
                .is(
                        Math.min(LONGEST, constant.value() * Math.log(off / tolerance)),
                        "time constant x ln(off equilibrium / near enough)"));
    }

    /** How much the width will change from now to equilibrium. */
    public Optional<Reckoning> move() {
        return moistureNow()
                .map(now -> new Movement(board.species(), board.rings())
                        .ofWidth(
                                board.width(),
                                Fact.measured(now, "the newest reading, brought to today"),
                                Fact.measured(equilibrium(), "the shop's air")));
    }

    private Fact timeConstant() {
        return fromReadings().orElseGet(() -> {
            double inches = board.thickness() / INCH;
            return Fact.rule(
                    DAYS_PER_INCH * inches * inches * board.species().density().value() / USUAL_DENSITY,
                    "14 days for an inch of 500 kg/m³, by thickness squared, common practice");
        });
    }

    private Optional<Fact> fromReadings() {
        List<MoistureReading> all = board.readings();
        if (all.size() < 2) {
            return Optional.empty();
        }
        MoistureReading earlier = all.get(all.size() - 2);
        MoistureReading later = all.get(all.size() - 1);
        double days = later.day() - earlier.day();
        double before = earlier.percent() - equilibrium();
        double after = later.percent() - equilibrium();
        boolean tells = days >= LEAST_DAYS
                && Math.abs(earlier.percent() - later.percent()) >= LEAST_CHANGE
                && before * after > 0
                && Math.abs(after) < Math.abs(before);
        return tells
                ? Optional.of(Fact.measured(days / Math.log(before / after), "the board's own last two readings"))
                : Optional.empty();
    }
}
