package ebauche.core.memo;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;

/** What follows from one thing alone, a value of each class: found out by whoever asks first, and gone with the thing. */
public final class Once {
    private final Map<Class<?>, Object> known = new ConcurrentHashMap<>();

    /** The value of a class; two who ask at once may both find it out, and get the same. One may ask for another while it is found out. */
    public <T> T of(Class<T> what, Supplier<T> found) {
        Object there = known.get(what);
        if (there == null) {
            T mine = found.get();
            Object other = known.putIfAbsent(what, mine);
            there = other == null ? mine : other;
        }
        return what.cast(there);
    }
}
