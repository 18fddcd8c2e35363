package ebauche.exchange.drawn;

import ebauche.exchange.drawn.DxfEntity.Pair;
import java.util.List;
import java.util.Locale;

/** An entity with its pairs; those of its vertices follow in their order. */
record DxfEntity(String kind, List<Pair> pairs) {
    /**
     * One pair: a number that says what follows, and the value.
     *
     * @param line where the number stands in the file, from 1
     */
    record Pair(int code, String value, int line) {
        /** The value as a number that a drawing of a body can hold. */
        double number() {
            try {
                double read = Double.parseDouble(value);
                if (Math.abs(read) <= DrawnFile.FARTHEST) {
                    return read;
                }
            } catch (NumberFormatException e) {
                throw new DrawnFileException("DXF, line " + (line + 1) + ": a number is wanted, “"
                        + value.substring(0, Math.min(value.length(), 20)) + "” stands there");
            }
            throw new DrawnFileException(
                    "DXF, line " + (line + 1) + ": the number " + value + " lies far outside any drawing of a body");
        }
    }

    String text(int code, String otherwise) {
        return pairs.stream()
                .filter(p -> p.code() == code)
                .map(Pair::value)
                .findFirst()
                .orElse(otherwise);
    }

    double number(int code, double otherwise) {
        return pairs.stream()
                .filter(p -> p.code() == code)
                .findFirst()
                .map(Pair::number)
                .orElse(otherwise);
    }

    double needed(int code) {
        double value = number(code, Double.NaN);
        if (Double.isNaN(value)) {
            throw new DrawnFileException(
                    "DXF, line " + (pairs.isEmpty() ? 1 : pairs.get(0).line()) + ": a " + kind.toLowerCase(Locale.ROOT)
                            + " without its value " + code);
        }
        return value;
    }

    int flags() {
        return (int) number(70, 0);
    }

    String name() {
        return "layer " + text(8, "0") + ", " + kind.toLowerCase(Locale.ROOT);
    }

    /** Whether it is drawn on the back of its plane, so that x runs the other way. */
    boolean mirrored() {
        return number(230, 1) < 0;
    }
}
