package ebauche.app.body;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import ebauche.app.ways.HoleStore;
import ebauche.app.ways.Ways;
import ebauche.app.ways.WaysStore;
import ebauche.core.calendar.BodyWork;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Refusal;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.ShopPart;
import ebauche.exchange.json.BuildFileException;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Bodies with their plans. A plan is a pure function of revision and record, so it is kept under their numbers and
 * never grows stale; only so many are kept, since each holds the wood after every step.
 */
@Service
public class Bodies {
    private static final int PLANS_KEPT = 12;

    /** What is still to be done of a body is some kilobytes. */
    private static final int WORKS_KEPT = 3_000;

    private final BodyStore store;
    private final WaysStore ways;
    private final HoleStore holes;
    private final Cache<State, BuildPlan> plans =
            Caffeine.newBuilder().maximumSize(PLANS_KEPT).build();

    private final Cache<State, BodyWork> works =
            Caffeine.newBuilder().maximumSize(WORKS_KEPT).build();

    public Bodies(BodyStore store, WaysStore ways, HoleStore holes) {
        this.store = store;
        this.ways = ways;
        this.holes = holes;
    }

    /** What a body's plan follows from, by numbers that only ever grow. */
    public record State(long shop, long body, int revision, int entries, Ways.State ways) {}

    /** A body of the shop's list with the state it is in. */
    public record Standing(Body body, String name, State state) {}

    /** Every body of a shop as it stands, the newest first; none is planned for it. */
    public List<Standing> standing(long shop) {
        int number = ways.of(shop).number();
        HoleStore.Holes drilled = holes.of(shop);
        return store.standing(shop).stream()
                .map(s -> new Standing(s.body(), s.name(), state(s, number, drilled)))
                .toList();
    }

    private static State state(BodyStore.Standing standing, int ways, HoleStore.Holes drilled) {
        Body body = standing.body();
        return new State(
                body.shop(),
                body.id(),
                standing.revision(),
                standing.entries(),
                new Ways.State(ways, drilled.besides(body.id())));
    }

    /** What is still to be done of a body, if it was looked at in this state before. */
    public Optional<BodyWork> knownWork(Standing standing) {
        return Optional.ofNullable(works.getIfPresent(standing.state()));
    }

    /** What is still to be done of a body: its steps without the wood. */
    public BodyWork work(Standing standing) {
        return works.get(standing.state(), s -> {
            Body body = standing.body();
            return BodyWork.of(Planner.schedule(build(store.head(body).file(), waysOf(body), store.record(body))));
        });
    }

    /** A body as it stands. */
    public record Current(Body body, Revision revision, Ways ways, BuildPlan plan) {
        public String name() {
            return revision.name();
        }

        /** Its address. */
        public String here() {
            return "/bodies/" + body.publicId();
        }
    }

    public Current current(long shop, String publicId) {
        return current(store.standing(shop, publicId));
    }

    public Current current(Body body) {
        return current(store.standing(body));
    }

    private Current current(BodyStore.Standing standing) {
        Body body = standing.body();
        Revision head = store.revision(body, standing.revision()).orElseThrow();
        Ways shopWays = waysOf(body);
        BuildPlan plan = plans.getIfPresent(state(body, head, standing.entries(), shopWays));
        if (plan == null) {
            AsBuilt record = store.record(body);
            plan = Planner.plan(build(head.file(), shopWays, record));
            plans.put(state(body, head, record.timeline().size(), shopWays), plan);
        }
        return new Current(body, head, shopWays, plan);
    }

    private static State state(Body body, Revision head, int entries, Ways ways) {
        return new State(body.shop(), body.id(), head.number(), entries, ways.state());
    }

    /** The shop's ways with what its other bodies tell of its drills. */
    private Ways waysOf(Body body) {
        return ways.of(body.shop()).drilling(holes.of(body.shop()).besides(body.id()));
    }

    /** As {@link #current}, for a look at many bodies: none of the plans in work is let go for it. */
    public Current lookedAt(Body body) {
        Revision head = store.head(body);
        Ways shopWays = waysOf(body);
        return new Current(body, head, shopWays, Planner.plan(build(head.file(), shopWays, store.record(body))));
    }

    /** A body as it is drawn and recorded, without a plan: for what is asked of many. */
    public Build build(Body body) {
        return build(store.head(body).file(), ways.of(body.shop()), store.record(body));
    }

    /** What a build file's tree, the shop's ways and a record mean together. */
    public static Build build(ObjectNode file, Ways ways, AsBuilt record) {
        Build read = BuildFile.of(withWays(file, ways)).build();
        try {
            return new Build(read.drawn(), read.shop(), record);
        } catch (Refusal asMeasured) {
            throw new BuildFileException("asBuilt", asMeasured.getMessage());
        }
    }

    /** The file with the shop's ways put in where it says nothing itself. */
    public static ObjectNode withWays(ObjectNode file, Ways ways) {
        if (ways.json().isEmpty()) {
            return file;
        }
        ObjectNode own = file.path("shop") instanceof ObjectNode shop ? shop : JsonNodeFactory.instance.objectNode();
        ObjectNode whole = file.deepCopy();
        whole.set("shop", ShopPart.over(ways.json(), own));
        return whole;
    }
}
