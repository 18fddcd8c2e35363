package ebauche.app.order;

import ebauche.app.web.Kept;
import ebauche.core.order.Ordering;
import ebauche.core.plan.BuildPlan;
import jakarta.annotation.PreDestroy;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.stereotype.Component;

/** Looks for cheaper orders beside the work, one after the other; what is found is kept with the plan that it was found for. */
@Component
class DeeperLooks {
    /** More found next to nothing on the demo's bodies; it takes a second or two. */
    private static final int TRIES = 1_000;

    private final ExecutorService beside = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "deeper looks");
        thread.setDaemon(true);
        return thread;
    });

    /**
     * How far a look has come.
     *
     * @param underWay whether it still goes on
     * @param found a cheaper order
     */
    record Look(boolean underWay, Optional<Ordering.Deeper> found) {}

    private record Question() {}

    /** Begins one if there is none of this plan yet. */
    Look at(BuildPlan plan) {
        Ordering ordering = plan.schedule().ordering();
        if (ordering.own()) {
            return new Look(false, Optional.empty());
        }
        CompletableFuture<Optional<Ordering.Deeper>> look = Kept.with(plan)
                .get(new Question(), () -> CompletableFuture.supplyAsync(() -> ordering.deeper(TRIES), beside));
        if (!look.isDone()) {
            return new Look(true, Optional.empty());
        }
        return new Look(false, look.join());
    }

    @PreDestroy
    void end() {
        beside.shutdownNow();
    }
}
