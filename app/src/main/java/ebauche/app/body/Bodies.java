package ebauche.app.body;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import ebauche.core.build.AsBuilt;
import ebauche.core.build.Build;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.exchange.BuildFile;
import org.springframework.stereotype.Service;
import tools.jackson.databind.node.ObjectNode;

/**
 * Bodies with their plans. A plan is a pure function of revision and record, so it is kept under their numbers and
 * never grows stale; only so many are kept, since each holds the wood after every step.
 */
@Service
public class Bodies {
    private static final int PLANS_KEPT = 12;

    private final BodyStore store;
    private final Cache<State, BuildPlan> plans =
            Caffeine.newBuilder().maximumSize(PLANS_KEPT).build();

    public Bodies(BodyStore store) {
        this.store = store;
    }

    private record State(long shop, long body, int revision, int entries) {}

    /** A body as it stands. */
    public record Current(Body body, Revision revision, BuildPlan plan) {
        public String name() {
            return revision.name();
        }
    }

    public Current current(long shop, String publicId) {
        return current(store.find(shop, publicId));
    }

    public Current current(Body body) {
        Revision head = store.head(body);
        State state = new State(body.shop(), body.id(), head.number(), store.recordLength(body));
        BuildPlan plan = plans.getIfPresent(state);
        if (plan == null) {
            AsBuilt record = store.record(body);
            plan = Planner.plan(build(head.file(), record));
            plans.put(
                    new State(
                            body.shop(),
                            body.id(),
                            head.number(),
                            record.timeline().size()),
                    plan);
        }
        return new Current(body, head, plan);
    }

    /** What a build file's tree and a record mean together. */
    public static Build build(ObjectNode file, AsBuilt record) {
        Build read = BuildFile.of(file).build();
        return new Build(read.design(), read.shop(), record);
    }
}
