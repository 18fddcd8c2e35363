package ebauche.app.reading;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.channel.Straying;
import ebauche.core.design.Measurand;
import ebauche.core.feature.StepKey;
import ebauche.core.job.Build;
import ebauche.core.job.SecondLook;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthUnit;
import ebauche.core.measure.Quantity;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Reads what was typed off a gauge, wherever it is typed. */
@Component
public class Readings {
    private final Clock clock;

    Readings(Clock clock) {
        this.clock = clock;
    }

    /**
     * A reading, not logged yet.
     *
     * @param step key of the operation it was read at; one that the plan does not have is left out
     * @param first what was read when the same was asked for before, empty if it was not
     * @throws IllegalArgumentException in the maker's words, if it cannot be meant
     */
    public AsBuilt.Reading read(
            Bodies.Current current,
            Maker maker,
            UUID entry,
            String measures,
            String value,
            String step,
            String first,
            Figures fig) {
        Measurand measurand = Measurand.parse(measures);
        Optional<StepKey> operation =
                current.plan().step(step).map(s -> s.operation().key());
        double number = number(measurand, value, fig.unit());
        refuseAbsurd(measurand, number, fig);
        Build build = current.plan().build();
        askAgain(build, measurand, number, value, first, fig);
        AsBuilt.Reading reading = new AsBuilt.Reading(
                entry.toString(),
                now(),
                maker.name(),
                operation,
                measurand,
                number,
                Straying.told(build, measurand, number));
        List<AsBuilt.Entry> timeline = new ArrayList<>(build.asBuilt().timeline());
        if (timeline.stream().noneMatch(e -> e.id().equals(reading.id()))) {
            timeline.add(reading);
            new Build(build.drawn(), build.shop(), new AsBuilt(timeline)); // refuses what no part can measure
        }
        return reading;
    }

    /** A reading that an earlier one contradicts is asked for twice; two that agree are kept beside the earlier. */
    private static void askAgain(
            Build build, Measurand measurand, double number, String value, String first, Figures fig) {
        Optional<SecondLook.Contradiction> found = SecondLook.at(build, measurand, number);
        if (found.isEmpty()) {
            return;
        }
        SecondLook.Contradiction against = found.get();
        if (!first.isBlank() && Math.abs(number(measurand, first, fig.unit()) - number) <= against.limit()) {
            return;
        }
        String earlier = Words.say(
                "readings.was-read",
                fig.reading(against.earlier()),
                fig.moment(against.earlier().at()));
        boolean grown = Math.abs(against.expected() - against.earlier().value()) > 1e-9;
        throw new AskAgain(
                value,
                grown
                        ? Words.say(
                                "readings.read-and-which-makes-now-they",
                                fig.exact(number, measurand.quantity()),
                                earlier,
                                fig.exact(against.expected(), measurand.quantity()),
                                fig.exact(against.limit(), measurand.quantity()))
                        : Words.say(
                                "readings.read-and-they-lie-further-apart",
                                fig.exact(number, measurand.quantity()),
                                earlier,
                                fig.exact(against.limit(), measurand.quantity())));
    }

    /** A reading that wants a second look before it is kept. */
    public static final class AskAgain extends IllegalArgumentException {
        private final String first;

        AskAgain(String first, String message) {
            super(message);
            this.first = first;
        }

        /** As it was typed. */
        public String first() {
            return first;
        }
    }

    private static double number(Measurand measurand, String text, LengthUnit unit) {
        if (measurand.quantity() == Quantity.LENGTH) {
            return Length.parse(text, unit).millimetres();
        }
        try {
            return Double.parseDouble(text.strip().replace("°", "").replace(',', '.'));
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException(Words.say("readings.is-no-angle-write-degrees-like", text.strip()));
        }
    }

    /** Says in the maker's unit what core would refuse. */
    private static void refuseAbsurd(Measurand measurand, double number, Figures fig) {
        if (!(number >= measurand.least() && number <= measurand.most())) {
            boolean length = measurand.quantity() == Quantity.LENGTH;
            throw new IllegalArgumentException(
                    length
                            ? Words.say(
                                    "readings.read-as-the-it-can-be",
                                    fig.length(number),
                                    measurand.label(),
                                    fig.length(measurand.least()),
                                    fig.length(measurand.most()))
                            : Words.say(
                                    "readings.read-as-the-it-can-be-2",
                                    fig.exact(number, measurand.quantity()),
                                    measurand.label(),
                                    measurand.least(),
                                    measurand.most()));
        }
    }

    /** This second, as the record writes it. */
    public String now() {
        return clock.instant().truncatedTo(ChronoUnit.SECONDS).toString();
    }
}
