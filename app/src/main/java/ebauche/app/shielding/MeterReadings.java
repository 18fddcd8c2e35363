package ebauche.app.shielding;

import ebauche.app.words.Words;
import ebauche.core.design.Measurand;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Decimals;
import ebauche.core.shielding.Ground;
import ebauche.core.shielding.Suspects;
import ebauche.core.shielding.Suspects.Read;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Readings as they stand in an address: fields {@code ohms.ONE~OTHER}, each ohms or {@code OL}.
 *
 * @param typed by their pair, as typed
 * @param reads those that can be read
 * @param ohms the same by their field; {@link Measurand.Ohms#OPEN} where the way is open
 * @param troubles by field
 */
record MeterReadings(
        Map<String, String> typed, List<Read> reads, Map<String, Double> ohms, Map<String, String> troubles) {
    private static final String FIELD = "ohms.";

    static MeterReadings of(Map<String, String> parameters, Ground ground) {
        Map<String, String> typed = new LinkedHashMap<>();
        List<Read> reads = new ArrayList<>();
        Map<String, Double> ohms = new LinkedHashMap<>();
        Map<String, String> troubles = new LinkedHashMap<>();
        parameters.forEach((field, value) -> {
            String[] pair =
                    field.startsWith(FIELD) ? field.substring(FIELD.length()).split("~", 2) : new String[0];
            if (pair.length == 2 && ground.has(pair[0]) && ground.has(pair[1]) && !value.isBlank()) {
                typed.put(field, value.strip());
                try {
                    double read = ohms(value.strip());
                    ohms.put(field, read);
                    reads.add(new Read(pair[0], pair[1], ground.isGood(pair[0], pair[1], read)));
                } catch (IllegalArgumentException notOhms) {
                    troubles.put(field, notOhms.getMessage());
                }
            }
        });
        return new MeterReadings(typed, reads, ohms, troubles);
    }

    private static double ohms(String value) {
        String plain = value.replace(',', '.').toUpperCase(Locale.ROOT);
        if (plain.equals(Meter.OPEN)) {
            return Measurand.Ohms.OPEN;
        }
        double ohms;
        try {
            ohms = Double.parseDouble(plain);
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException(Words.say("meter-readings.write-ohms-or-ol", value), e);
        }
        if (!(ohms >= 0)) {
            throw new IllegalArgumentException(Words.say("meter-readings.ohms-are-not-below-zero"));
        }
        return Math.min(ohms, Measurand.Ohms.OPEN);
    }

    /** Whether any field of a meter stands among some. */
    static boolean anyOf(Map<String, String> parameters) {
        return parameters.keySet().stream().anyMatch(f -> f.startsWith(FIELD));
    }

    /** What the record has of a ground's pairs, as fields. */
    static Map<String, String> logged(AsBuilt record, Ground ground) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (AsBuilt.Entry entry : record.standing()) {
            if (entry instanceof AsBuilt.Reading r
                    && r.measures() instanceof Measurand.Ohms pair
                    && ground.has(pair.one())
                    && ground.has(pair.other())) {
                fields.put(
                        field(pair.one(), pair.other()),
                        r.value() >= Measurand.Ohms.OPEN ? Meter.OPEN : Decimals.plain(r.value(), 2));
            }
        }
        return fields;
    }

    /** What a field measures. */
    static Measurand.Ohms measures(String field) {
        String[] pair = field.substring(FIELD.length()).split("~", 2);
        return new Measurand.Ohms(pair[0], pair[1]);
    }

    static String field(String one, String other) {
        return FIELD + one + "~" + other;
    }

    Suspects suspects(Ground ground) {
        return Suspects.of(ground, reads);
    }
}
