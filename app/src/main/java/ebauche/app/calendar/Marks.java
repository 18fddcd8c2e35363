package ebauche.app.calendar;

import ebauche.core.calendar.Block;
import ebauche.core.feature.StepKey;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** All that counts of what was said of a shop's dates by hand. */
record Marks(Map<Of, Mark> all) {
    /**
     * What something was said of.
     *
     * @param step empty for a whole body
     */
    record Of(long body, Mark.About about, String step) {}

    Marks {
        all = Map.copyOf(all);
    }

    /** The last word on something; {@link Mark#NONE} where nothing was said. */
    Mark of(long body, Mark.About about, String step) {
        return all.getOrDefault(new Of(body, about, step), Mark.NONE);
    }

    Optional<LocalDate> due(long body) {
        return of(body, Mark.About.DUE, "").day();
    }

    /** Days on which answers are expected. */
    Map<StepKey, LocalDate> expected(long body) {
        Map<StepKey, LocalDate> days = new LinkedHashMap<>();
        all.forEach((of, mark) -> {
            if (of.body() == body && of.about() == Mark.About.ANSWER) {
                mark.day().ifPresent(day -> days.put(StepKey.parse(of.step()), day));
            }
        });
        return days;
    }

    /** Steps whose blocks were taken out. */
    Set<String> out(long body) {
        Set<String> out = new TreeSet<>();
        all.forEach((of, mark) -> {
            if (of.body() == body && mark.kind() == Mark.Kind.OUT) {
                out.add(of.step());
            }
        });
        return out;
    }

    /** Blocks that were put somewhere, by their first steps. */
    Map<String, Block.Pin> pins(long body) {
        Map<String, Block.Pin> pins = new LinkedHashMap<>();
        all.forEach((of, mark) -> {
            if (of.body() == body) {
                mark.pin().ifPresent(pin -> pins.put(of.step(), pin));
            }
        });
        return pins;
    }
}
