package ebauche.core.plan;

import ebauche.core.memo.Memo;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Supplier;

/**
 * A part of a plan that is reckoned on another core meanwhile. It depends on nothing that the rest changes, so a plan stays
 * a pure function; what it throws comes out where its result is asked for.
 */
final class Concurrent<T> {
    private final CompletableFuture<T> result;

    private Concurrent(CompletableFuture<T> result) {
        this.result = result;
    }

    static <T> Concurrent<T> of(Supplier<T> work) {
        Memo memo = Memo.here();
        return new Concurrent<>(CompletableFuture.supplyAsync(() -> memo.during(work)));
    }

    T get() {
        try {
            return result.join();
        } catch (CompletionException e) {
            if (e.getCause() instanceof RuntimeException cause) {
                throw cause;
            }
            throw e;
        }
    }
}
