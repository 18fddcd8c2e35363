package ebauche.exchange;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;

/** The words that a file writes for values, the usual one first. */
final class Words {
    static final Map<String, Boolean> YES_NO = of(yes -> yes ? "yes" : "no", true, false);

    private Words() {}

    @SafeVarargs
    static <T> Map<String, T> of(Function<T, String> word, T... values) {
        Map<String, T> words = new LinkedHashMap<>();
        for (T value : values) {
            words.put(word.apply(value), value);
        }
        return words;
    }

    /** The word of a value that has none of its own. */
    static <T> String word(Map<String, T> words, T value) {
        return words.entrySet().stream()
                .filter(e -> e.getValue().equals(value))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseThrow();
    }
}
