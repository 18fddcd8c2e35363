package ebauche.app.feed;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Router;
import ebauche.core.feature.StepKind;
import ebauche.core.feed.FeedMap;
import ebauche.core.feed.FeedPlan;
import ebauche.core.feed.ReliefCuts;
import ebauche.core.feed.Steadying;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.History;
import ebauche.core.outline.OutlineRouting;
import ebauche.core.outline.Sawing;
import ebauche.core.passes.Pass;
import ebauche.core.passes.PassPlanner;
import ebauche.core.plan.BuildPlan;
import ebauche.core.shop.Practice.EdgeSchool;
import ebauche.core.stock.Change;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.OptionalDouble;
import org.springframework.stereotype.Service;

/**
 * What is asked about an outline's edge, put to core. How a base stands does not depend on the grain and takes the longest, so it is
 * kept while the grain is turned.
 */
@Service
class FeedMapping {
    private static final int KEPT = 40;

    /** Where no bit is planned: half an inch, common practice. */
    private static final double USUAL_BIT = 12.7;

    /** A face and what opens to it agree within, mm. */
    private static final double NEARLY = 0.01;

    private final Cache<Standing, List<Steadying>> standings =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    /** What a standing follows from. */
    private record Standing(Region body, Region open, double bit, Router router, Crib crib, Face up) {}

    /**
     * What is asked.
     *
     * @param up the face that lies up
     * @param grain degrees for every layer; empty for the grain as it is laid out
     */
    record FeedQuestion(Face up, EdgeSchool school, Router router, OptionalDouble grain) {
        /** The face towards the router: on a table the one that lies down. */
        Face worked() {
            return school == EdgeSchool.TABLE ? up.other() : up;
        }
    }

    /** The routers that a school uses; all of them if it has none of its own. */
    static List<Router> routers(Crib crib, EdgeSchool school) {
        List<Router> fit = crib.tables(school == EdgeSchool.TABLE).routers();
        return fit.isEmpty() ? crib.routers() : fit;
    }

    static FeedPlan feed(Build build, OptionalDouble grain) {
        FeedPlan.Wood wood = FeedPlan.Wood.of(build.design().blank());
        return FeedPlan.of(build.drawn().outline(), grain.isPresent() ? wood.turned(grain.getAsDouble()) : wood);
    }

    /** The bit that is planned for the outline's first pass; how wide it is decides how far out the base stands. */
    static double bit(Build build) {
        OutlineRouting routing = new OutlineRouting(build);
        return PassPlanner.best(routing.cut(), routing.crib())
                .map(p -> p.passes().get(0))
                .map(Pass::cutter)
                .stream()
                .mapToDouble(c -> c.bit().diameter())
                .findFirst()
                .orElse(USUAL_BIT);
    }

    /** How the router stands, and with each remedy of the shop; the bare one first. */
    List<Steadying> standings(BuildPlan plan, FeedMap map, FeedQuestion asked) {
        Build build = plan.build();
        Region body = build.drawn().outline().region();
        Region open = open(plan, asked.worked());
        double bit = bit(build);
        Standing key =
                new Standing(body, open, bit, asked.router(), build.shop().crib(), asked.up());
        return Objects.requireNonNull(standings.get(key, k -> {
            List<Steadying> all = new ArrayList<>();
            if (asked.router().kind() == Router.Kind.TABLE) {
                all.add(new Steadying(asked.router().name(), List.of()));
                return all;
            }
            all.add(Steadying.bare(map, body, bit, asked.router()));
            all.addAll(Steadying.remedies(
                    map,
                    body,
                    open,
                    bit,
                    asked.router(),
                    build.shop().crib().routers(),
                    build.shop().crib().aids()));
            return all;
        }));
    }

    /** The face that is left for a base once the template is off: without what is cut into it before the outline is finished. */
    private static Region open(BuildPlan plan, Face face) {
        Region open = plan.build().drawn().outline().region();
        for (History.Step step : plan.history().steps()) {
            if (step.operation().key().is(StepKind.FINISH)) {
                return open;
            }
            for (Change change : step.changes()) {
                boolean opens = face == Face.FRONT
                        ? change.solid().shallowest() <= plan.build().faces().frontNow() + NEARLY
                        : change.solid().deepest() >= plan.build().faces().backNow() - NEARLY;
                if (History.isVoid(change) && opens) {
                    open = open.minus(change.solid().plan());
                }
            }
        }
        return open;
    }

    static ReliefCuts relief(Build build, FeedMap map) {
        double turns = Sawing.saw(build).map(s -> s.turns()).orElse(0.0);
        return ReliefCuts.of(
                map,
                build.drawn().outline().region(),
                build.design().blank().plan(),
                build.shop().practice().sawAllowance(),
                turns,
                build.shop().crib().drills());
    }
}
