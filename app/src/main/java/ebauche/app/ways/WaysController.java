package ebauche.app.ways;

import ebauche.app.account.Maker;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tools.jackson.databind.node.ObjectNode;

/** How the shop cuts and joins: kerfs and allowances, its saw's error, its glue, its clamps and cauls. */
@Controller
class WaysController {
    private final WaysStore store;
    private final HoleStore holes;

    WaysController(WaysStore store, HoleStore holes) {
        this.store = store;
        this.holes = holes;
    }

    @GetMapping("/ways")
    String ways(@AuthenticationPrincipal Maker maker, Model model) {
        Ways now = store.of(maker.shop());
        return page(maker.shop(), now.number(), WaysForm.typed(now), Map.of(), model);
    }

    private String page(long shop, int base, Map<String, String> typed, Map<String, String> troubles, Model model) {
        model.addAttribute("base", base);
        model.addAttribute("typed", typed);
        model.addAttribute("troubles", troubles);
        WaysForm.SECTIONS.forEach(s -> model.addAttribute(s.name(), s.fields()));
        model.addAttribute("ownHoles", holes.of(shop).ofAll());
        model.addAttribute("ticked", WaysForm.TICKED);
        model.addAttribute("lists", WaysForm.ROWS);
        model.addAttribute("elsewhere", elsewhere(troubles));
        Map<String, Integer> counts = new LinkedHashMap<>();
        WaysForm.ROWS.keySet().forEach(list -> counts.put(list, WaysForm.rows(typed, list)));
        model.addAttribute("counts", counts);
        Map<String, Boolean> onlyChoices = new LinkedHashMap<>();
        WaysForm.ROWS.forEach((list, columns) -> onlyChoices.put(list, WaysForm.onlyChoices(columns)));
        model.addAttribute("onlyChoices", onlyChoices);
        return "ways/ways";
    }

    /** What is wrong where the form has no field. */
    private static Map<String, String> elsewhere(Map<String, String> troubles) {
        Map<String, String> left = new LinkedHashMap<>(troubles);
        WaysForm.SECTIONS.forEach(s -> s.fields().forEach(f -> left.remove(f.path())));
        left.keySet().removeIf(k -> WaysForm.ROWS.keySet().stream().anyMatch(list -> k.startsWith(list + ".")));
        return left;
    }

    @PostMapping("/ways")
    String keep(
            @AuthenticationPrincipal Maker maker,
            @RequestParam int base,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Ways now = store.of(maker.shop());
        ObjectNode from = now.json();
        WaysForm form = WaysForm.of(typed, from, fig.unit());
        if (!form.troubles().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(maker.shop(), base, typed, form.troubles(), model);
        }
        try {
            store.keep(maker.shop(), base, form.ways(), maker.name());
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("ways-controller.what-you-typed-is-below-look"), model, response);
            return page(maker.shop(), now.number(), typed, Map.of(), model);
        }
        return "redirect:/ways?kept";
    }
}
