package ebauche.app.hollow;

import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.hollow.Hollow;
import ebauche.core.job.Build;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.measure.Refusal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** What a maker asks a hollow to be, as it was typed; what cannot be meant is told beside its field. */
final class HollowQuestion {
    static final String TARGET = "target";

    private static final double GRAMS = 1000;
    private static final double HEAVIEST = 20;

    private final Map<String, String> typed;
    private final Figures fig;
    private final Map<String, String> troubles = new LinkedHashMap<>();

    HollowQuestion(Map<String, String> typed, Figures fig) {
        this.typed = typed;
        this.fig = fig;
    }

    /** One that is shown. */
    public record Field(String name, String label, String value, String trouble) {}

    /** The hollow that is asked for; the usual one where what was typed cannot be. */
    Hollow hollow(Build build) {
        Hollow.Asked usual = Hollow.Asked.USUAL;
        try {
            Hollow.Asked asked = new Hollow.Asked(
                    length("wall", usual.wall()),
                    length("centre", usual.centre()),
                    length("cap", usual.cap()),
                    length("floor", usual.floor()),
                    length("bit", usual.bit()),
                    text("round").isEmpty() ? Optional.empty() : Optional.of(length("round", 0)));
            if (troubles.isEmpty()) {
                return Hollow.of(build, asked);
            }
        } catch (Refusal refusal) {
            troubles.put(refusal.field(), refusal.getMessage());
        }
        return Hollow.of(build, usual);
    }

    private String text(String name) {
        return typed.getOrDefault(name, "").strip();
    }

    private double length(String name, double usual) {
        if (text(name).isEmpty()) {
            return usual;
        }
        try {
            return Length.parse(text(name), fig.unit()).millimetres();
        } catch (LengthFormatException e) {
            troubles.put(name, e.getMessage());
            return usual;
        }
    }

    /** The body's mass that is wanted, g; empty where none is. */
    OptionalDouble target() {
        String plain = text(TARGET).replace(',', '.');
        if (plain.isEmpty()) {
            return OptionalDouble.empty();
        }
        if (!plain.matches("\\d{1,3}(\\.\\d{1,3})?")
                || !(Double.parseDouble(plain) > 0)
                || Double.parseDouble(plain) > HEAVIEST) {
            troubles.put(TARGET, Words.say("hollow.is-no-mass", text(TARGET)));
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(Double.parseDouble(plain) * GRAMS);
    }

    /** The fields as they stand: as typed, else as they are. */
    List<Field> fields(Hollow hollow) {
        Hollow.Asked asked = hollow.asked();
        return List.of(
                field("wall", Words.say("hollow.wall"), fig.exactText(asked.wall())),
                field("centre", Words.say("hollow.centre"), fig.exactText(asked.centre())),
                field("cap", Words.say("hollow.cap"), fig.exactText(asked.cap())),
                field("floor", Words.say("hollow.floor"), fig.exactText(asked.floor())),
                field("bit", Words.say("hollow.bit"), fig.exactText(asked.bit())),
                field(
                        "round",
                        Words.say("hollow.round"),
                        asked.round().map(fig::exactText).orElse("")),
                field(TARGET, Words.say("hollow.target"), ""));
    }

    private Field field(String name, String label, String now) {
        return new Field(name, label, text(name).isEmpty() ? now : text(name), troubles.get(name));
    }

    Map<String, String> troubles() {
        return troubles;
    }
}
