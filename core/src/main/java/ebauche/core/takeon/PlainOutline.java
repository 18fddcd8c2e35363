package ebauche.core.takeon;

import ebauche.core.geometry.Outline;
import ebauche.core.measure.Decimals;
import java.util.Arrays;
import java.util.Optional;

/**
 * Plain outlines drawn for bodies that have none yet. Each is drawn in hundredths of half its width across and of its length from tail
 * to mouth along, the neck's shoulders at {@code n}, and made to the neck and the bridge that it is for.
 */
public enum PlainOutline {
    /** No cutaway, widest low down. */
    PEAR("pear", """
            M -n 100 L n 100 C 60 100 84 90 84 68 C 84 56 100 50 100 32 C 100 10 60 0 0 0
            C -60 0 -100 10 -100 32 C -100 50 -84 56 -84 68 C -84 90 -60 100 -n 100 Z"""),
    /** No cutaway, drawn in at the waist. */
    WAISTED("waisted", """
            M -n 100 L n 100 C 52 100 76 95 76 80 C 76 68 60 66 60 55 C 60 43 100 46 100 24 C 100 8 60 0 0 0
            C -60 0 -100 8 -100 24 C -100 46 -60 43 -60 55 C -60 66 -76 68 -76 80 C -76 95 -52 100 -n 100 Z"""),
    /** A plank with its corners taken off. */
    PLANK("plank", """
            M -n 100 L n 100 L 66 100 C 80 100 86 95 87 88 L 96 14 C 97 5 90 0 78 0 L -78 0 C -90 0 -97 5 -96 14
            L -87 88 C -86 95 -80 100 -66 100 Z"""),
    /** Six straight sides and the neck's. */
    FACETS("facets", """
            M -n 100 L n 100 L 78 89 L 90 42 L 100 15 L 46 0 L -46 0 L -100 15 L -90 42 L -78 89 Z"""),
    /** Cut back beside the neck on the treble side. */
    ONE_SHOULDER("one-shoulder", """
            M -n 100 L n 100 L n 94 C n 84 32 81 44 81 L 72 81 C 88 81 95 74 96 62 L 100 28 C 100 10 84 0 58 0
            L -58 0 C -84 0 -100 10 -100 28 L -94 74 C -92 92 -78 100 -58 100 Z"""),
    /** Cut back beside the neck on both sides. */
    TWO_SHOULDERS("two-shoulders", """
            M -n 100 L n 100 L n 94 C n 84 32 81 44 81 L 72 81 C 88 81 95 74 96 62 L 100 28 C 100 10 84 0 58 0
            L -58 0 C -84 0 -100 10 -100 28 L -96 62 C -95 74 -88 81 -72 81 L -44 81 C -32 81 -n 84 -n 94 Z""");

    private final String key;
    private final String drawn;

    PlainOutline(String key, String drawn) {
        this.key = key;
        this.drawn = drawn;
    }

    /** The word that files and addresses use. */
    public String key() {
        return key;
    }

    /** The one with that word. */
    public static Optional<PlainOutline> of(String key) {
        return Arrays.stream(values()).filter(o -> o.key.equals(key)).findFirst();
    }

    /** The outline as a usual neck and bridge ask for it, to pick it by. */
    public Outline sample() {
        return made(332, 34, -165, 254);
    }

    /**
     * The outline, right-handed, as seen from the front.
     *
     * @param width at its widest, mm
     * @param shoulder half the width of its flat at the neck's mouth
     * @param tail y of its tail
     * @param mouth y of the neck's mouth
     */
    Outline made(double width, double shoulder, double tail, double mouth) {
        StringBuilder path = new StringBuilder();
        boolean across = true;
        for (String word : drawn.strip().split("\\s+")) {
            if (word.length() == 1 && Character.isUpperCase(word.charAt(0))) {
                path.append(word).append(' ');
            } else {
                double value =
                        across ? x(word, width, shoulder) : tail + Double.parseDouble(word) / 100 * (mouth - tail);
                path.append(Decimals.plain(value, 3)).append(' ');
                across = !across;
            }
        }
        return Outline.parse(path.toString().strip(), 1);
    }

    private static double x(String word, double width, double shoulder) {
        return switch (word) {
            case "n" -> shoulder;
            case "-n" -> -shoulder;
            default -> Double.parseDouble(word) / 100 * width / 2;
        };
    }
}
