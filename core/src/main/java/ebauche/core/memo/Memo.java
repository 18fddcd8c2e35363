package ebauche.core.memo;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.ToLongFunction;

/**
 * Answers to questions that take long to answer. A body edited a little asks almost the same ones again; what was asked before is
 * answered at once with the same object, so that the indexes it has built are there too. It changes no answer; where two ask at the same
 * time, one answer may be reckoned twice.
 *
 * <p>Whoever plans makes one, as large as the memory allows, and does the work {@link #during} it; what is reckoned outside any is
 * reckoned anew. It holds no more than the bytes it was given, by what each answer says it weighs: three quarters of them for the many
 * small ones, of which it lets go of what is asked least, the rest for the few large ones, of which it keeps those asked last.
 */
public final class Memo {
    private static final ThreadLocal<Memo> HERE = new ThreadLocal<>();

    /** Remembers nothing. */
    private static final Memo NONE = new Memo(null, 0);

    /** What an entry weighs beside its answer, bytes: its question and its place. */
    private static final int ENTRY = 160;

    private final Cache<Object, Kept> kept;
    private final Map<Object, Kept> large = new LinkedHashMap<>(16, 0.75f, true);
    private final long mostOfLarge;
    private long bytesOfLarge;

    private record Kept(Object answer, int bytes) {}

    private Memo(Cache<Object, Kept> kept, long mostOfLarge) {
        this.kept = kept;
        this.mostOfLarge = mostOfLarge;
    }

    /** An empty one that will hold so many bytes. */
    public static Memo of(long bytes) {
        Cache<Object, Kept> small = Caffeine.newBuilder()
                .maximumWeight(bytes - bytes / 4)
                .weigher((Object question, Kept answer) -> answer.bytes())
                .executor(Runnable::run)
                .build();
        return new Memo(small, bytes / 4);
    }

    /** The one that this thread works during; one that remembers nothing where there is none. */
    public static Memo here() {
        Memo here = HERE.get();
        return here == null ? NONE : here;
    }

    /** Whether it remembers anything at all. */
    public boolean remembers() {
        return kept != null;
    }

    /** Begins work during this memo, in this thread; whoever begins it ends it by running what this returns. */
    public Runnable begin() {
        Memo before = HERE.get();
        HERE.set(this);
        return () -> {
            if (before == null) {
                HERE.remove();
            } else {
                HERE.set(before);
            }
        };
    }

    /** Does work during this memo. */
    public <T> T during(Supplier<T> work) {
        Runnable end = begin();
        try {
            return work.get();
        } finally {
            end.run();
        }
    }

    /**
     * The answer of before, or the one that is reckoned now.
     *
     * @param question equal to another when its answer is the same; of a type of its own for each kind of question
     * @param bytes what an answer weighs, nearly
     */
    public <V> V get(Object question, Supplier<V> answer, ToLongFunction<V> bytes) {
        if (kept == null) {
            return answer.get();
        }
        Kept known = kept.getIfPresent(question);
        if (known != null) {
            @SuppressWarnings("unchecked") // a kind of question has one kind of answer
            V found = (V) known.answer();
            return found;
        }
        V found = answer.get();
        put(question, found, bytes.applyAsLong(found));
        return found;
    }

    /** What was put under a question, if it is still known. */
    public <V> Optional<V> known(Object question, Class<V> kind) {
        return kept == null
                ? Optional.empty()
                : Optional.ofNullable(kept.getIfPresent(question)).map(k -> kind.cast(k.answer()));
    }

    /** Keeps an answer in the place of what was known. */
    public void put(Object question, Object answer, long bytes) {
        if (kept != null) {
            kept.put(question, new Kept(answer, weighing(bytes)));
        }
    }

    /**
     * As {@link #get}, for what is large and asked many times within one piece of work, such as the wood after every step: what was
     * asked last is held, however heavy.
     */
    public <V> V large(Object question, Supplier<V> answer, ToLongFunction<V> bytes) {
        synchronized (large) {
            Kept known = large.get(question);
            if (known != null) {
                @SuppressWarnings("unchecked") // a kind of question has one kind of answer
                V found = (V) known.answer();
                return found;
            }
        }
        V found = answer.get();
        Kept added = new Kept(found, weighing(bytes.applyAsLong(found)));
        if (kept != null) {
            synchronized (large) {
                Kept before = large.put(question, added);
                bytesOfLarge += added.bytes() - (before == null ? 0 : before.bytes());
                Iterator<Kept> oldest = large.values().iterator();
                while (bytesOfLarge > mostOfLarge && large.size() > 1) {
                    bytesOfLarge -= oldest.next().bytes();
                    oldest.remove();
                }
            }
        }
        return found;
    }

    private static int weighing(long bytes) {
        return (int) Math.min(Integer.MAX_VALUE, bytes + ENTRY);
    }

    /** Forgets everything. */
    public void forget() {
        if (kept != null) {
            kept.invalidateAll();
            synchronized (large) {
                large.clear();
                bytesOfLarge = 0;
            }
        }
    }

    /** How many answers it holds. */
    public long size() {
        if (kept == null) {
            return 0;
        }
        kept.cleanUp();
        synchronized (large) {
            return kept.estimatedSize() + large.size();
        }
    }

    /** Bytes that its answers weigh, as they said. */
    public long weight() {
        if (kept == null) {
            return 0;
        }
        kept.cleanUp();
        synchronized (large) {
            return kept.policy().eviction().orElseThrow().weightedSize().orElse(0) + bytesOfLarge;
        }
    }
}
