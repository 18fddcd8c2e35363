package ebauche.app.balance;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.web.Figures;
import ebauche.app.web.PageModel;
import ebauche.app.words.Words;
import ebauche.core.balance.Balance;
import ebauche.core.balance.Guitar;
import ebauche.core.balance.Hang;
import ebauche.core.balance.Load;
import ebauche.core.plan.BuildPlan;
import java.util.List;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;

/** What the guitar will weigh, where it balances and how it hangs from its strap; how each step of the build moves that. */
@Controller
class BalanceController {
    private final Bodies bodies;

    BalanceController(Bodies bodies) {
        this.bodies = bodies;
    }

    /** Something to try, in words, and where the neck would stay then. */
    public record Tried(String what, String most) {}

    /** After a step: what it was, the body's wood, the angle. */
    public record After(String step, double grams, String most) {}

    private record BalanceView(
            Bodies.Current current,
            BuildPlan plan,
            Guitar guitar,
            List<Load> loads,
            Optional<Hang.Range> range,
            double played,
            boolean hangs,
            List<Tried> tried,
            List<After> stages,
            String drawing,
            String course) {}

    @GetMapping("/bodies/{id}/balance")
    String balance(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        BuildPlan plan = current.plan();
        Balance balance = Balance.of(plan);
        List<Balance.Stage> stages = Balance.stages(plan);
        PageModel.put(
                model,
                new BalanceView(
                        current,
                        plan,
                        balance.guitar(),
                        balance.guitar().loads(),
                        balance.range(),
                        balance.played(),
                        balance.hang().isPresent(),
                        balance.otherwise().stream().map(o -> tried(o, fig)).toList(),
                        stages.stream().map(s -> after(plan, s, fig)).toList(),
                        HangDrawing.of(plan, balance, fig),
                        CourseDrawing.of(stages, balance.hang().isPresent(), fig)));
        return "balance/balance";
    }

    private static Tried tried(Balance.Otherwise otherwise, Figures fig) {
        String what = switch (otherwise.what()) {
            case LESS_WOOD -> Words.say("balance.try-less-wood", fig.mass(otherwise.by()));
            case MORE_WOOD -> Words.say("balance.try-more-wood", fig.mass(otherwise.by()));
            case BUTTON_TO_THE_NECK -> Words.say("balance.try-button-to-the-neck", fig.length(otherwise.by()));
            case LIGHTER_TUNERS -> Words.say("balance.try-lighter-tuners", fig.mass(otherwise.by()));
        };
        return new Tried(what, most(otherwise.most(), fig));
    }

    private static After after(BuildPlan plan, Balance.Stage stage, Figures fig) {
        return new After(
                stage.step() == 0
                        ? ""
                        : plan.steps().get(stage.step() - 1).operation().title(),
                stage.grams(),
                most(stage.most(), fig));
    }

    private static String most(Optional<Hang.Range> range, Figures fig) {
        return range.map(r -> Words.say("balance.degrees", fig.decimal(r.most(), 0)))
                .orElseGet(() -> Words.say("balance.nowhere"));
    }
}
