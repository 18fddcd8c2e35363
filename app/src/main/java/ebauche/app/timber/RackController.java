package ebauche.app.timber;

import ebauche.app.account.Maker;
import ebauche.app.ways.WaysStore;
import ebauche.app.web.Figures;
import ebauche.app.web.PageModel;
import ebauche.app.words.Words;
import ebauche.core.measure.Refusal;
import ebauche.core.timber.Climate;
import ebauche.core.timber.Seasoning;
import ebauche.core.timber.Species;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The rack: every board to one scale, what its moisture says, and the shop's air. */
@Controller
class RackController {
    private static final int AIR_SHOWN = 5;

    private final Rack rack;
    private final ClimateStore climates;
    private final Hygrometer hygrometer;
    private final WaysStore ways;

    RackController(Rack rack, ClimateStore climates, Hygrometer hygrometer, WaysStore ways) {
        this.rack = rack;
        this.climates = climates;
        this.hygrometer = hygrometer;
        this.ways = ways;
    }

    /** One board on the page. */
    public record OnPage(Rack.Held held, String drawing) {
        public Shelved shelved() {
            return held.shelved();
        }

        public Seasoning seasoning() {
            return held.seasoning();
        }
    }

    @GetMapping("/timber")
    String rack(
            @AuthenticationPrincipal Maker maker,
            @RequestParam(defaultValue = "") String species,
            @RequestParam(defaultValue = "") String state,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        page(maker, species, state, fig, model);
        return "timber/rack";
    }

    /** The boards that are shown, and the air they lie in. */
    private record RackView(
            List<OnPage> boards,
            int count,
            List<Species> timbersThere,
            String species,
            String state,
            List<Seasoning.State> states,
            List<ClimateStore.Reading> air,
            Climate climate,
            double tolerance) {}

    private void page(Maker maker, String species, String state, Figures fig, Model model) {
        List<Rack.Held> all = rack.all(maker.shop());
        double longest = all.stream()
                .mapToDouble(h -> h.shelved().board().length())
                .max()
                .orElse(1);
        List<OnPage> shown = all.stream()
                .filter(h ->
                        species.isEmpty() || h.shelved().board().species().key().equals(species))
                .filter(h -> state.isEmpty() || h.seasoning().state().name().equals(state))
                .sorted(Comparator.comparing(
                                (Rack.Held h) -> h.shelved().board().species().name())
                        .thenComparing(h -> h.shelved().board().name(), new NumbersInNames()))
                .map(h -> new OnPage(h, PlankDrawing.onShelf(h.shelved().board(), fig, longest)))
                .toList();
        PageModel.put(
                model,
                new RackView(
                        shown,
                        all.size(),
                        all.stream()
                                .map(h -> h.shelved().board().species())
                                .distinct()
                                .sorted(Comparator.comparing(Species::name))
                                .toList(),
                        species,
                        state,
                        List.of(Seasoning.State.values()),
                        climates.newest(maker.shop(), AIR_SHOWN),
                        rack.climate(maker.shop()),
                        ways.of(maker.shop()).cutting().readyWithin()));
    }

    /** Takes the simulated hygrometer's reading. */
    @PostMapping("/timber/air/hygrometer")
    String hygrometer(@AuthenticationPrincipal Maker maker) {
        climates.add(maker.shop(), hygrometer.read(), ClimateStore.Source.HYGROMETER, maker.name());
        return "redirect:/timber";
    }

    @PostMapping("/timber/air")
    String air(
            @AuthenticationPrincipal Maker maker,
            @RequestParam String celsius,
            @RequestParam String humidity,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        try {
            Climate read = new Climate(number(celsius, "celsius"), number(humidity, "humidity") / 100);
            climates.add(maker.shop(), read, ClimateStore.Source.TYPED, maker.name());
            return "redirect:/timber";
        } catch (Refusal e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            String field = e.field().equals("celsius") ? "temperature" : "humidity";
            String limits = e.field().equals("celsius") ? "-10 to 60 °C" : "2 to 98 %";
            model.addAttribute("airTrouble", Words.say("rack-controller.the-was-not-read-it-can", field, limits));
            model.addAttribute("airTyped", Map.of("celsius", celsius, "humidity", humidity));
            page(maker, "", "", fig, model);
            return "timber/rack";
        }
    }

    private static double number(String text, String field) {
        String plain = text.strip().replace(',', '.');
        Refusal.unless(plain.matches("-?\\d{1,3}(\\.\\d{1,2})?"), field, Words.say("rack-controller.is-no-number"));
        return Double.parseDouble(plain);
    }
}
