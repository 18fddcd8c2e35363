package ebauche.app.blank;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import ebauche.app.body.Bodies;
import ebauche.app.timber.Rack;
import ebauche.core.blank.BlankNeed;
import ebauche.core.blank.CoverSlice;
import ebauche.core.design.Blank;
import ebauche.core.design.Plates;
import ebauche.core.hollow.Resawing;
import ebauche.core.job.Build;
import ebauche.core.layout.BlankPlanner;
import ebauche.core.layout.Layout;
import ebauche.core.layout.Need;
import ebauche.core.layout.OnRack;
import ebauche.core.layout.TogetherPlanner;
import ebauche.core.measure.LengthUnit;
import ebauche.core.plan.BuildPlan;
import ebauche.core.shop.Cutting;
import ebauche.core.shop.Practice.Thicknessing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Lays a body's blank out of the rack as a maker asks. Answers are kept while rack, body and question stay the same. */
@Service
public class BlankPlanning {
    /** What both faces of a glued-up blank of two layers still lose before it is thicknessed: common practice, mm. */
    private static final double LEVELLING = 1;

    private final Rack rack;
    private final Cache<BlankPlanner.Request, BlankPlanner.Answer> answers =
            Caffeine.newBuilder().maximumSize(60).build();

    private final Cache<List<List<BlankPlanner.Request>>, Optional<TogetherPlanner.Joint>> joint =
            Caffeine.newBuilder().maximumSize(20).build();

    BlankPlanning(Rack rack) {
        this.rack = rack;
    }

    /**
     * A blank as it is laid out.
     *
     * @param choice what was asked
     * @param coreNeed what the core is for, the whole body if there is no top
     * @param core empty if the rack gives none
     * @param topNeed empty without a top
     * @param sawn plates that are sawn off the core, as they are designed
     */
    public record Planned(
            BlankChoice choice,
            Plates sawn,
            Need coreNeed,
            BlankPlanner.Answer coreAnswer,
            Optional<LaidOut> core,
            Optional<Need> topNeed,
            Optional<BlankPlanner.Answer> topAnswer,
            Optional<LaidOut> top) {

        /** Whether every layer that was asked for can be laid. */
        public boolean complete() {
            return core.isPresent() && (topNeed.isEmpty() || top.isPresent());
        }

        /** The whole blank: the core's plan, and the top over it, sawn to the same edges. */
        public Blank blank() {
            Blank alone = core.orElseThrow().alone();
            return new Blank(
                    alone.across(),
                    alone.along(),
                    alone.middleX(),
                    alone.middleY(),
                    alone.core(),
                    top.map(t -> Trimmed.to(alone, t)),
                    sawn);
        }
    }

    /**
     * What a body asks of the rack.
     *
     * @param coreLayer thickness of the core as it goes under its top; empty where there is none
     * @param sawn what is sawn off its boards first
     * @param top what its top asks, if it has one
     * @param right outline moved over the blank to the treble side, mm
     */
    private record Asked(
            BlankChoice choice,
            BlankPlanner.Request core,
            OptionalDouble coreLayer,
            LaidOut.SawnOff sawn,
            Optional<BlankPlanner.Request> top,
            double topLayer,
            double topFrontAt,
            double right,
            double towardsNeck) {

        LaidOut coreOf(Layout layout) {
            return coreLayer.isPresent()
                    ? LaidOut.of(layout, coreLayer.getAsDouble(), sawn, 0, right, towardsNeck)
                    : LaidOut.of(layout, layout.thickness() - sawn.takes(), sawn, layout.frontAt(), right, towardsNeck);
        }

        LaidOut topOf(Layout layout) {
            return LaidOut.of(layout, topLayer, LaidOut.SawnOff.NOTHING, topFrontAt, right, towardsNeck);
        }
    }

    Planned plan(Bodies.Current current, BlankChoice choice, LengthUnit bare) {
        Asked asked = asked(current, choice, bare);
        BlankPlanner.Answer core = answer(asked.core());
        Optional<Layout> cut = chosen(core, choice.core());
        // The top comes out of what is left once the core is cut.
        Optional<BlankPlanner.Answer> top =
                asked.top().map(t -> cut.map(t::after).orElse(t)).map(this::answer);
        return new Planned(
                choice,
                asked.sawn().plates(),
                asked.core().need(),
                core,
                cut.map(asked::coreOf),
                asked.top().map(BlankPlanner.Request::need),
                top,
                top.flatMap(a -> chosen(a, choice.topIndex())).map(asked::topOf));
    }

    private static Optional<Layout> chosen(BlankPlanner.Answer answer, int index) {
        return answer.layouts().isEmpty()
                ? Optional.empty()
                : Optional.of(
                        answer.layouts().get(Math.min(index, answer.layouts().size() - 1)));
    }

    /**
     * Blanks of several bodies, laid out together.
     *
     * @param bodies in the order of cutting
     * @param points of all, fewer are better
     */
    public record Together(List<OfBody> bodies, double points) {}

    /**
     * One body's blank among them.
     *
     * @param after the body whose rests it is cut out of, if it is
     */
    public record OfBody(Bodies.Current current, Planned planned, Optional<Bodies.Current> after) {}

    /** Most bodies that are laid out together. */
    static final int MOST_TOGETHER = TogetherPlanner.MOST;

    /**
     * Lays several bodies out of the rack together; empty if it does not give them all.
     *
     * @param bodies the one that is asked first, with its choice; the others are laid out as they are designed, favouring the same
     */
    Optional<Together> together(List<Bodies.Current> bodies, BlankChoice choice, LengthUnit bare) {
        List<Asked> asked = new ArrayList<>();
        for (Bodies.Current body : bodies) {
            asked.add(asked(
                    body,
                    asked.isEmpty() ? choice : choice.ofAnother(body.plan().build()),
                    bare));
        }
        // A body with a top asks for two layers; those of one body are cut one after the other.
        List<List<BlankPlanner.Request>> layers = asked.stream()
                .map(a -> Stream.concat(Stream.of(a.core()), a.top().stream()).toList())
                .toList();
        return joint.get(layers, TogetherPlanner::plan).map(found -> {
            List<OfBody> all = new ArrayList<>();
            for (TogetherPlanner.Share share : found.shares()) {
                Asked of = asked.get(share.body());
                all.add(new OfBody(
                        bodies.get(share.body()),
                        planned(of, share.layouts()),
                        found.outOfRestsOf(share.body()).map(bodies::get)));
            }
            return new Together(all, found.points());
        });
    }

    private static Planned planned(Asked of, List<Layout> layers) {
        Optional<Layout> top = layers.size() > 1 ? Optional.of(layers.get(1)) : Optional.empty();
        return new Planned(
                of.choice(),
                of.sawn().plates(),
                of.core().need(),
                only(layers.get(0)),
                Optional.of(of.coreOf(layers.get(0))),
                of.top().map(BlankPlanner.Request::need),
                top.map(BlankPlanning::only),
                top.map(of::topOf));
    }

    private static BlankPlanner.Answer only(Layout layout) {
        return new BlankPlanner.Answer(List.of(layout), false, 0, 0);
    }

    private Asked asked(Bodies.Current current, BlankChoice choice, LengthUnit bare) {
        BuildPlan plan = current.plan();
        Build build = plan.build();
        Optional<Double> topThickness = choice.topThickness(bare, build.design().thickness());
        double right = choice.right(bare);
        double towardsNeck = choice.towardsNeck(bare);
        String timber =
                choice.timber() == null ? build.design().blank().species().key() : choice.timber();
        // A top apart takes the place of a front that is sawn off; a back alone closes no hollow.
        Plates designed = build.design().blank().sawn();
        Plates sawn =
                topThickness.isPresent() ? designed.withoutFront() : designed.front() > 0 ? designed : Plates.NONE;
        Need coreNeed = topThickness
                .map(t -> BlankNeed.core(build, plan.history(), t, sawn))
                .orElseGet(() -> BlankNeed.whole(build, plan.history(), sawn));
        Cutting cutting = choice.margin(bare)
                .map(build.shop().cutting()::withMargin)
                .orElse(build.shop().cutting());
        double sanding = build.shop().practice().frontSanding();
        double topLayer = topThickness.map(t -> t + sanding + LEVELLING / 2).orElse(0.0);
        return new Asked(
                choice,
                request(current, choice, cutting, timber, coreNeed),
                topThickness.isPresent()
                        ? OptionalDouble.of(build.thicknessed() + LEVELLING - topLayer)
                        : OptionalDouble.empty(),
                new LaidOut.SawnOff(CoverSlice.takes(build), sawn, Resawing.between(build)),
                topThickness.map(t -> request(
                        current,
                        choice,
                        cutting,
                        choice.topTimber() == null ? "" : choice.topTimber(),
                        BlankNeed.top(build, plan.history(), t))),
                topLayer,
                LEVELLING / 2 + sanding,
                right,
                towardsNeck);
    }

    private BlankPlanner.Request request(
            Bodies.Current current, BlankChoice choice, Cutting cutting, String timber, Need need) {
        List<OnRack> boards = rack.all(current.body().shop()).stream()
                .map(Rack.Held::onRack)
                .filter(r -> timber.isEmpty() || r.board().species().key().equals(timber))
                .filter(r -> !choice.onlyReady() || r.ready())
                .toList();
        boolean snipes = current.plan().build().thicknessing() == Thicknessing.PLANER;
        return new BlankPlanner.Request(boards, need, cutting, snipes, choice.mostPieces(), choice.tasteOrUsual());
    }

    private BlankPlanner.Answer answer(BlankPlanner.Request request) {
        return answers.get(request, BlankPlanner::plan);
    }
}
