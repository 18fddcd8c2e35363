package ebauche.app.blank;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import ebauche.app.body.Bodies;
import ebauche.app.timber.Rack;
import ebauche.core.blank.BlankNeed;
import ebauche.core.design.Blank;
import ebauche.core.job.Build;
import ebauche.core.layout.BlankPlanner;
import ebauche.core.layout.Need;
import ebauche.core.layout.OnRack;
import ebauche.core.measure.LengthUnit;
import ebauche.core.plan.BuildPlan;
import ebauche.core.shop.Cutting;
import ebauche.core.shop.Practice.Thicknessing;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Lays a body's blank out of the rack as a maker asks. Answers are kept while rack, body and question stay the same. */
@Service
public class BlankPlanning {
    /** What both faces of a glued-up blank of two layers still lose before it is thicknessed: common practice, mm. */
    private static final double LEVELLING = 1;

    private final Rack rack;
    private final Cache<Question, BlankPlanner.Answer> answers =
            Caffeine.newBuilder().maximumSize(60).build();

    BlankPlanning(Rack rack) {
        this.rack = rack;
    }

    private record Question(BlankPlanner.Request request) {}

    /**
     * A blank as it is laid out.
     *
     * @param choice what was asked
     * @param coreNeed what the core is for, the whole body if there is no top
     * @param core empty if the rack gives none
     * @param topNeed empty without a top
     */
    public record Planned(
            BlankChoice choice,
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
                    top.map(t -> Trimmed.to(alone, t)));
        }
    }

    Planned plan(Bodies.Current current, BlankChoice choice, LengthUnit bare) {
        BuildPlan plan = current.plan();
        Build build = plan.build();
        Optional<Double> topThickness = choice.topThickness(bare, build.design().thickness());
        double right = choice.right(bare);
        double towardsNeck = choice.towardsNeck(bare);
        String timber =
                choice.timber() == null ? build.design().blank().species().key() : choice.timber();
        Need coreNeed = topThickness
                .map(t -> BlankNeed.core(build, plan.history(), t))
                .orElseGet(() -> BlankNeed.whole(build, plan.history()));
        Cutting cutting = choice.margin(bare)
                .map(build.shop().cutting()::withMargin)
                .orElse(build.shop().cutting());
        BlankPlanner.Answer coreAnswer = answer(current, choice, cutting, timber, coreNeed);
        double topLayer = topThickness
                .map(t -> t + build.shop().practice().frontSanding() + LEVELLING / 2)
                .orElse(0.0);
        double coreLayer = build.thicknessed() + LEVELLING - topLayer;
        Optional<LaidOut> core = coreAnswer.layouts().isEmpty()
                ? Optional.empty()
                : Optional.of(
                        topThickness.isPresent()
                                ? LaidOut.of(coreAnswer, choice.core(), coreLayer, 0, right, towardsNeck)
                                : oneLayer(coreAnswer, choice.core(), right, towardsNeck));
        Optional<Need> topNeed = topThickness.map(t -> BlankNeed.top(build, plan.history(), t));
        Optional<BlankPlanner.Answer> topAnswer = topNeed.map(
                n -> answer(current, choice, cutting, choice.topTimber() == null ? "" : choice.topTimber(), n));
        Optional<LaidOut> top = topAnswer
                .filter(a -> !a.layouts().isEmpty())
                .map(a -> LaidOut.of(
                        a,
                        choice.topIndex(),
                        topLayer,
                        LEVELLING / 2 + build.shop().practice().frontSanding(),
                        right,
                        towardsNeck));
        return new Planned(choice, coreNeed, coreAnswer, core, topNeed, topAnswer, top);
    }

    private static LaidOut oneLayer(BlankPlanner.Answer answer, int index, double right, double towardsNeck) {
        var layout = answer.layouts().get(Math.min(index, answer.layouts().size() - 1));
        return LaidOut.of(answer, index, layout.thickness(), layout.frontAt(), right, towardsNeck);
    }

    private BlankPlanner.Answer answer(
            Bodies.Current current, BlankChoice choice, Cutting cutting, String timber, Need need) {
        List<OnRack> boards = rack.all(current.body().shop()).stream()
                .map(Rack.Held::onRack)
                .filter(r -> timber.isEmpty() || r.board().species().key().equals(timber))
                .filter(r -> !choice.onlyReady() || r.ready())
                .toList();
        boolean snipes = current.plan().build().thicknessing() == Thicknessing.PLANER;
        BlankPlanner.Request request =
                new BlankPlanner.Request(boards, need, cutting, snipes, choice.mostPieces(), choice.tasteOrUsual());
        return answers.get(new Question(request), q -> BlankPlanner.plan(q.request()));
    }
}
