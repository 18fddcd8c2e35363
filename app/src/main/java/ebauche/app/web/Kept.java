package ebauche.app.web;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import ebauche.app.words.Words;
import ebauche.core.plan.BuildPlan;
import java.util.Locale;
import java.util.function.Supplier;

/**
 * What was drawn or said of one plan, or of none. A plan never changes, so that its pictures are drawn once and kept as long as it is;
 * where there are too many, as while a section line is dragged, those asked least are let go.
 */
public final class Kept {
    /** Of all answers about one plan; three or four of its largest drawings at every step would not be more. */
    private static final int CHARACTERS = 3_000_000;

    /** What an answer that is no text counts, in characters. */
    private static final int OTHER = 10_000;

    private final Cache<Object, Object> answers = Caffeine.newBuilder()
            .maximumWeight(CHARACTERS)
            .weigher((Object question, Object answer) -> answer instanceof String text ? text.length() : OTHER)
            .executor(Runnable::run)
            .build();

    private static final Kept ALWAYS = new Kept();

    private Kept() {}

    /** What hangs on no plan: all that it hangs on is in its question. */
    static Kept always() {
        return ALWAYS;
    }

    public static Kept with(BuildPlan plan) {
        return plan.build().once().of(Kept.class, Kept::new);
    }

    private record Asked(Object question, Locale language) {}

    /**
     * The answer of before, or the one that is found now, in the language of whoever asks.
     *
     * @param question equal to another when its answer is the same; of a type of its own for each kind of question
     */
    public <V> V get(Object question, Supplier<V> answer) {
        Asked asked = new Asked(question, Words.language());
        Object known = answers.getIfPresent(asked);
        if (known == null) {
            known = answer.get();
            answers.put(asked, known);
        }
        @SuppressWarnings("unchecked") // a kind of question has one kind of answer
        V found = (V) known;
        return found;
    }
}
