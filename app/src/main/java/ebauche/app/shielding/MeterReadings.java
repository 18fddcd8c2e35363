package ebauche.app.shielding;

import ebauche.app.words.Words;
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
 * @param troubles by field
 */
record MeterReadings(Map<String, String> typed, List<Read> reads, Map<String, String> troubles) {
    private static final String FIELD = "ohms.";

    static MeterReadings of(Map<String, String> parameters, Ground ground) {
        Map<String, String> typed = new LinkedHashMap<>();
        List<Read> reads = new ArrayList<>();
        Map<String, String> troubles = new LinkedHashMap<>();
        parameters.forEach((field, value) -> {
            String[] pair =
                    field.startsWith(FIELD) ? field.substring(FIELD.length()).split("~", 2) : new String[0];
            if (pair.length == 2 && ground.has(pair[0]) && ground.has(pair[1]) && !value.isBlank()) {
                typed.put(field, value.strip());
                read(ground, pair[0], pair[1], value.strip(), field, reads, troubles);
            }
        });
        return new MeterReadings(typed, reads, troubles);
    }

    private static void read(
            Ground ground,
            String one,
            String other,
            String value,
            String field,
            List<Read> reads,
            Map<String, String> troubles) {
        String plain = value.replace(',', '.').toUpperCase(Locale.ROOT);
        if (plain.equals(Meter.OPEN)) {
            reads.add(new Read(one, other, false));
            return;
        }
        try {
            double ohms = Double.parseDouble(plain);
            if (!(ohms >= 0)) {
                troubles.put(field, Words.say("meter-readings.ohms-are-not-below-zero"));
            } else {
                reads.add(new Read(one, other, ohms <= ground.most(one, other)));
            }
        } catch (NumberFormatException e) {
            troubles.put(field, Words.say("meter-readings.write-ohms-or-ol", value));
        }
    }

    static String field(String one, String other) {
        return FIELD + one + "~" + other;
    }

    Suspects suspects(Ground ground) {
        return Suspects.of(ground, reads);
    }
}
