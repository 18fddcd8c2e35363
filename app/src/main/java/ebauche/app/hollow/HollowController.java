package ebauche.app.hollow;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.web.Figures;
import ebauche.app.web.PageModel;
import ebauche.app.words.Words;
import ebauche.core.balance.Balance;
import ebauche.core.balance.Hang;
import ebauche.core.hollow.CapPlate;
import ebauche.core.hollow.Hollow;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.Reckoning;
import ebauche.core.plan.BuildPlan;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;

/** What a hollow under a cap would take out of a body, what must stay and why, what that weighs, how it hangs, and whether the cap carries a thumb. */
@Controller
class HollowController {
    private final Bodies bodies;

    HollowController(Bodies bodies) {
        this.bodies = bodies;
    }

    /** Wood that stays: what for, and what could be taken out without it. */
    public record Kept(String what, String why, double grams) {}

    /** A hollow that brings the body to the mass that is wanted, with the address that shows it; or that none does. */
    public record Solved(String said, String address) {}

    private record HollowView(
            Bodies.Current current,
            BuildPlan plan,
            Hollow hollow,
            List<HollowQuestion.Field> fields,
            boolean wrong,
            double wood,
            double left,
            Optional<Reckoning> deflection,
            boolean soft,
            String before,
            String after,
            List<Kept> kept,
            List<Solved> solved,
            String drawing,
            String tradeOff) {}

    @GetMapping("/bodies/{id}/hollow")
    String hollow(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        BuildPlan plan = current.plan();
        HollowQuestion question = new HollowQuestion(typed, fig);
        Hollow hollow = question.hollow(plan.build());
        OptionalDouble target = question.target();
        Balance balance = Balance.of(plan);
        double wood = balance.guitar().wood().grams();
        Balance lighter =
                hollow.centre().map(at -> balance.without(hollow.grams(), at)).orElse(balance);
        Optional<Reckoning> deflection = hollow.cap().map(CapPlate::deflection);
        PageModel.put(
                model,
                new HollowView(
                        current,
                        plan,
                        hollow,
                        question.fields(hollow),
                        !question.troubles().isEmpty(),
                        wood,
                        wood - hollow.grams(),
                        deflection,
                        deflection.filter(d -> d.value() > CapPlate.FELT).isPresent(),
                        most(balance, fig),
                        most(lighter, fig),
                        hollow.keepOuts().stream()
                                .map(k -> new Kept(fig.said(k.feature()), k.why(), hollow.costs(k)))
                                .toList(),
                        target.isPresent() ? solved(current, hollow, wood - target.getAsDouble(), fig) : List.of(),
                        HollowDrawing.of(hollow),
                        TradeOffDrawing.of(hollow, wood, fig)));
        return "hollow/hollow";
    }

    private static String most(Balance balance, Figures fig) {
        return balance.hang().isEmpty()
                ? ""
                : balance.range()
                        .map(Hang.Range::most)
                        .map(m -> Words.say("hollow.neck-stays-to", fig.decimal(m, 0)))
                        .orElseGet(() -> Words.say("hollow.neck-stays-nowhere"));
    }

    private static List<Solved> solved(Bodies.Current current, Hollow hollow, double grams, Figures fig) {
        List<Solved> all = new ArrayList<>();
        if (grams <= 0) {
            return List.of(new Solved(Words.say("hollow.lighter-already"), ""));
        }
        hollow.byWall(grams)
                .ifPresent(h -> all.add(new Solved(
                        Words.say("hollow.by-wall", fig.length(h.asked().wall())), address(current, h.asked()))));
        hollow.byFloor(grams)
                .ifPresent(h -> all.add(new Solved(
                        Words.say("hollow.by-floor", fig.length(h.asked().floor())), address(current, h.asked()))));
        return all.isEmpty() ? List.of(new Solved(Words.say("hollow.what-must-stay-weighs-more"), "")) : all;
    }

    private static String address(Bodies.Current current, Hollow.Asked asked) {
        UriComponentsBuilder uri = UriComponentsBuilder.fromPath(current.here() + "/hollow")
                .queryParam("wall", tenth(asked.wall()))
                .queryParam("centre", tenth(asked.centre()))
                .queryParam("cap", tenth(asked.cap()))
                .queryParam("floor", tenth(asked.floor()))
                .queryParam("bit", tenth(asked.bit()));
        asked.round().ifPresent(r -> uri.queryParam("round", tenth(r)));
        return uri.encode().build().toUriString();
    }

    private static String tenth(double mm) {
        return Decimals.plain(mm, 1) + " mm";
    }
}
