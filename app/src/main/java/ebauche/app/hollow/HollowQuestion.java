package ebauche.app.hollow;

import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.hardware.Chamber;
import ebauche.core.hollow.Hollow;
import ebauche.core.hollow.KeepOut;
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

    private static final List<String> ASKED =
            List.of("wall", "centre", "cap", "floor", "bit", "edge", "round", "number", "school");
    private static final String MARGIN = "margin-";

    /** A cap that is off the top by less is the top, mm. */
    private static final double NEAR = 0.1;

    private static final double GRAMS = 1000;
    private static final double HEAVIEST = 20;

    private final Map<String, String> typed;
    private final Figures fig;
    private final Map<String, String> troubles = new LinkedHashMap<>();

    HollowQuestion(Map<String, String> typed, Figures fig) {
        this.typed = typed;
        this.fig = fig;
    }

    /**
     * One that is shown.
     *
     * @param empty what it means left empty
     */
    public record Field(String name, String label, String value, String empty, String trouble) {
        Field(String name, String label, String value, String trouble) {
            this(name, label, value, null, trouble);
        }

        Field meaning(String left) {
            return new Field(name, label, value, left, trouble);
        }
    }

    /** The hollow that is asked for; the usual one where what was typed cannot be. */
    Hollow hollow(Build build) {
        Hollow.Asked usual = usual(build);
        try {
            Hollow.Asked asked = new Hollow.Asked(
                    length("wall", usual.wall()),
                    length("centre", usual.centre()),
                    length("cap", usual.cap()),
                    length("floor", usual.floor()),
                    length("bit", usual.bit()),
                    text("round").isEmpty() ? Optional.empty() : Optional.of(length("round", 0)),
                    number(),
                    margins(),
                    length("edge", 0),
                    drawn().fromTheBack() ? Face.BACK : Face.FRONT);
            if (troubles.isEmpty()) {
                return Hollow.of(build, asked);
            }
        } catch (Refusal refusal) {
            troubles.put(refusal.field(), refusal.getMessage());
        }
        return Hollow.of(build, usual);
    }

    /** Under a top that the blank has, that top is the cap; over a back plate of its own, that plate is the floor. */
    private static Hollow.Asked usual(Build build) {
        OptionalDouble top = build.topReaches();
        Hollow.Asked usual = Hollow.Asked.USUAL;
        Hollow.Asked capped = top.isPresent() && top.getAsDouble() >= 1 ? usual.capped(top.getAsDouble()) : usual;
        double plate = build.backReaches().orElse(0);
        return plate >= 1 ? capped.floored(plate) : capped;
    }

    /** At the most so many holes; empty where none were typed. */
    private Optional<Integer> number() {
        String typedNumber = text("number");
        if (typedNumber.isEmpty()) {
            return Optional.empty();
        }
        if (!typedNumber.matches("\\d{1,3}")) {
            troubles.put("number", Words.say("hollow.is-no-number", typedNumber));
            return Optional.empty();
        }
        return Optional.of(Integer.valueOf(typedNumber));
    }

    /** Those that were typed; what says what is usual changes nothing. */
    private Map<Feature, Double> margins() {
        Map<Feature, Double> all = new LinkedHashMap<>();
        for (String name : typed.keySet()) {
            String word = name.startsWith(MARGIN) ? name.substring(MARGIN.length()) : "";
            if (Feature.isWord(word) && !text(name).isEmpty()) {
                all.put(Feature.parse(word), length(name, 0));
            }
        }
        return all;
    }

    /** One keep-out's margin, as it is asked for. */
    Field margin(KeepOut out, String what) {
        return field(
                MARGIN + out.feature().word(), Words.say("hollow.margin-round", what), fig.exactText(out.margin()));
    }

    /** How it is to be drawn. */
    HollowDrawn.How drawn() {
        return new HollowDrawn.How(
                "back".equals(text("school")), !text("supports").isEmpty());
    }

    /** Whether the mass that is wanted is the whole guitar's. */
    boolean ofGuitar() {
        return "guitar".equals(text("of"));
    }

    /** Whether it can be drawn; told beside its field where nothing closes it, where another cap is asked for, or where it is nothing. */
    boolean canBeDrawn(Build build, Hollow hollow) {
        OptionalDouble top = build.topReaches();
        boolean back = drawn().fromTheBack();
        if (back && hollow.asked().round().isPresent()) {
            troubles.put("round", Words.say("hollow.no-plate-for-each"));
        } else if (!back && top.isEmpty()) {
            troubles.put("cap", Words.say("hollow.no-top"));
        } else if (!back && Math.abs(hollow.asked().cap() - top.getAsDouble()) > NEAR) {
            troubles.put("cap", Words.say("hollow.another-cap", fig.length(top.getAsDouble())));
        } else if (hollow.parts().isEmpty()) {
            troubles.put("wall", Words.say("hollow.takes-nothing"));
        } else if (hollow.parts().size() > Chamber.MOST_PARTS) {
            troubles.put("round", Words.say("hollow.too-many-holes", Chamber.MOST_PARTS));
        }
        return troubles.isEmpty();
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
                field("edge", Words.say("hollow.edge"), asked.edge() == 0 ? "" : fig.exactText(asked.edge()))
                        .meaning(Words.say("hollow.no-edge")),
                field(
                                "round",
                                Words.say("hollow.round"),
                                asked.round().map(fig::exactText).orElse(""))
                        .meaning(Words.say("hollow.one-large")),
                field(
                                "number",
                                Words.say("hollow.number"),
                                asked.number().map(String::valueOf).orElse(""))
                        .meaning(Words.say("hollow.all-that-fit")),
                field(TARGET, Words.say("hollow.target"), ""));
    }

    private Field field(String name, String label, String now) {
        return new Field(name, label, text(name).isEmpty() ? now : text(name), troubles.get(name));
    }

    /** What was typed of it, to be asked again. */
    Map<String, String> asked() {
        Map<String, String> asked = new LinkedHashMap<>();
        typed.keySet().stream()
                .filter(name -> ASKED.contains(name) || name.startsWith(MARGIN))
                .filter(name -> !text(name).isEmpty())
                .forEach(name -> asked.put(name, text(name)));
        return asked;
    }

    Map<String, String> troubles() {
        return troubles;
    }
}
