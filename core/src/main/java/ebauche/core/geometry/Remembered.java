package ebauche.core.geometry;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;

/**
 * The last answers to dear questions. A body edited a little asks almost the same ones again; what was asked before is answered at
 * once, with the very object of then, so that its indexes are there too. Only so many are kept, those asked last. It changes no
 * answer; asked by two at once, one may be reckoned twice.
 *
 * @param <K> a question, equal to another when its answer is the same
 * @param <V> an answer, immutable
 */
public final class Remembered<K, V> {
    private static volatile int forgotten;

    private final Map<K, V> last;
    private int since = forgotten;

    /** The last {@code most} answers. */
    public Remembered(int most) {
        this.last = new LinkedHashMap<>(2 * most, 0.75f, true) {
            private static final long serialVersionUID = 1L;

            @Override
            protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
                return size() > most;
            }
        };
    }

    /** Forgets all that is remembered anywhere, for who wants to see everything reckoned anew. */
    public static void forgetAll() {
        synchronized (Remembered.class) {
            forgotten++;
        }
    }

    /** The answer of before, or the one that is reckoned now. */
    public V get(K question, Supplier<V> answer) {
        synchronized (last) {
            if (since != forgotten) {
                last.clear();
                since = forgotten;
            }
            V known = last.get(question);
            if (known != null) {
                return known;
            }
        }
        V found = answer.get();
        synchronized (last) {
            last.put(question, found);
        }
        return found;
    }
}
