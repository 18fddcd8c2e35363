package ebauche.exchange.json;

import ebauche.core.crib.HoldDown;
import ebauche.core.crib.TemplateMaterial;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;

/** The words that a file writes for values, the usual one first. */
public final class Words {
    public static final Map<String, Boolean> YES_NO = of(yes -> yes ? "yes" : "no", true, false);

    public static final Map<String, HoldDown> HOLD_DOWN = of(HoldDown::key, HoldDown.values());

    /** What a template is made of. */
    public static final Map<String, TemplateMaterial> MATERIAL = of(TemplateMaterial::key, TemplateMaterial.values());

    private Words() {}

    @SafeVarargs
    public static <T> Map<String, T> of(Function<T, String> word, T... values) {
        Map<String, T> words = new LinkedHashMap<>();
        for (T value : values) {
            words.put(word.apply(value), value);
        }
        return words;
    }

    /** All of an enum, the usual one first whatever their order. */
    public static <T> Map<String, T> usualFirst(Function<T, String> word, T usual, T[] values) {
        Map<String, T> words = new LinkedHashMap<>();
        words.put(word.apply(usual), usual);
        words.putAll(of(word, values));
        return words;
    }

    /** The word of a value that has none of its own. */
    public static <T> String word(Map<String, T> words, T value) {
        return words.entrySet().stream()
                .filter(e -> e.getValue().equals(value))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseThrow();
    }
}
