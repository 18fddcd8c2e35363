package ebauche.app.bench;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.web.Figures;
import ebauche.core.build.AsBuilt;
import ebauche.core.design.Measurand;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthUnit;
import ebauche.core.measure.Quantity;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Reads what was typed off a gauge, wherever it is typed. */
@Component
public class Readings {
    private final Clock clock = Clock.systemUTC();

    /**
     * A reading, not logged yet.
     *
     * @param step key of the operation it was read at; one that the plan does not have is left out
     * @throws IllegalArgumentException in the maker's words, if it cannot be meant
     */
    public AsBuilt.Reading read(
            Bodies.Current current, Maker maker, UUID entry, String measures, String value, String step, Figures fig) {
        Measurand measurand = Measurand.parse(measures);
        String operation =
                current.plan().step(step).map(s -> s.operation().key()).orElse("");
        double number = number(measurand, value, fig.unit());
        refuseAbsurd(measurand, number, fig);
        return new AsBuilt.Reading(entry.toString(), now(), maker.name(), operation, measurand, number);
    }

    private static double number(Measurand measurand, String text, LengthUnit unit) {
        if (measurand.quantity() == Quantity.LENGTH) {
            return Length.parse(text, unit).millimetres();
        }
        try {
            return Double.parseDouble(text.strip().replace("°", "").replace(',', '.'));
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("“" + text.strip() + "” is no angle. Write degrees, like 2.5.");
        }
    }

    /** Says in the maker's unit what core would refuse. */
    private static void refuseAbsurd(Measurand measurand, double number, Figures fig) {
        if (!(number >= measurand.least() && number <= measurand.most())) {
            boolean length = measurand.quantity() == Quantity.LENGTH;
            throw new IllegalArgumentException(
                    "Read " + (length ? fig.length(number) : fig.exact(number, measurand.quantity())) + " as the "
                            + measurand.label() + "; it can be "
                            + (length
                                    ? fig.length(measurand.least()) + " to " + fig.length(measurand.most())
                                    : measurand.least() + " to " + measurand.most() + " degrees")
                            + ". Check the unit and type it again; nothing was logged.");
        }
    }

    /** This second, as the record writes it. */
    String now() {
        return clock.instant().truncatedTo(ChronoUnit.SECONDS).toString();
    }
}
