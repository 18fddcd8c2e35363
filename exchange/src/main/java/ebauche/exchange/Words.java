package ebauche.exchange;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;

/** The words that a file writes for values, the usual one first. */
final class Words {
    private Words() {}

    @SafeVarargs
    static <T> Map<String, T> of(Function<T, String> word, T... values) {
        Map<String, T> words = new LinkedHashMap<>();
        for (T value : values) {
            words.put(word.apply(value), value);
        }
        return words;
    }
}
