package ebauche.app.ways;

import ebauche.app.account.Maker;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.Stale;
import ebauche.core.measure.Decimals;
import ebauche.core.shop.Glue;
import ebauche.exchange.file.BlankShop;
import ebauche.exchange.file.ShopPart;
import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
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
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** How the shop cuts and joins: kerfs and allowances, its saw's error, its glue, its clamps and cauls. */
@Controller
class WaysController {
    private final WaysStore store;

    WaysController(WaysStore store) {
        this.store = store;
    }

    @GetMapping("/ways")
    String ways(@AuthenticationPrincipal Maker maker, Model model) {
        Ways now = store.of(maker.shop());
        return page(now.number(), typed(now), Map.of(), model);
    }

    /** The ways as fields hold them; lengths as they were typed where they were. */
    private static Map<String, String> typed(Ways ways) {
        Map<String, String> typed = new LinkedHashMap<>();
        // What was kept before a field was asked for is shown with its usual value.
        JsonNode cutting = BlankShop.write(ways.cutting());
        JsonNode gluing = ways.json().has("gluing") ? ways.json().path("gluing") : BlankShop.write(ways.gluing());
        ShopPart.write(ways.means().shop().clearances())
                .properties()
                .forEach(e -> typed.put("clearances." + e.getKey(), text(e.getValue())));
        ways.json()
                .path("clearances")
                .properties()
                .forEach(e -> typed.put("clearances." + e.getKey(), text(e.getValue())));
        ShopPart.write(ways.means().shop().limits())
                .properties()
                .forEach(e -> typed.put("limits." + e.getKey(), text(e.getValue())));
        ways.json().path("limits").properties().forEach(e -> typed.put("limits." + e.getKey(), text(e.getValue())));
        JsonNode practice = ShopPart.write(ways.means().shop().practice());
        practice.properties().forEach(e -> typed.put("practice." + e.getKey(), text(e.getValue())));
        // The hands' skills are a list, each ticked or not: the shop's own where it has one, else all.
        JsonNode skills = ways.json().path("practice").has("skills")
                ? ways.json().path("practice").path("skills")
                : practice.path("skills");
        skills.forEach(s -> typed.put("practice.skill." + s.asString(""), "on"));
        cutting.properties().forEach(e -> typed.put("cutting." + e.getKey(), text(e.getValue())));
        ways.json().path("practice").properties().forEach(e -> typed.put("practice." + e.getKey(), text(e.getValue())));
        ways.json().path("cutting").properties().forEach(e -> typed.put("cutting." + e.getKey(), text(e.getValue())));
        gluing.properties().forEach(e -> {
            if (e.getValue().isArray()) {
                for (int i = 0; i < e.getValue().size(); i++) {
                    String row = "gluing." + e.getKey() + "." + i + ".";
                    e.getValue().get(i).properties().forEach(c -> typed.put(row + c.getKey(), text(c.getValue())));
                }
            } else {
                typed.put("gluing." + e.getKey(), text(e.getValue()));
            }
        });
        return typed;
    }

    private static String text(JsonNode value) {
        return value.isNumber() ? Decimals.plain(value.asDouble(), 3) : value.asString("");
    }

    private String page(int base, Map<String, String> typed, Map<String, String> troubles, Model model) {
        model.addAttribute("base", base);
        model.addAttribute("typed", typed);
        model.addAttribute("troubles", troubles);
        model.addAttribute("cutting", WaysForm.CUTTING);
        model.addAttribute("clearances", WaysForm.CLEARANCES);
        model.addAttribute("limits", WaysForm.LIMITS);
        model.addAttribute("schools", WaysForm.SCHOOLS);
        model.addAttribute("skills", WaysForm.SKILLS);
        model.addAttribute("glues", List.of("pva", "hide", "epoxy"));
        model.addAttribute("glueWords", Map.of("pva", Glue.PVA, "hide", Glue.HIDE, "epoxy", Glue.EPOXY));
        model.addAttribute("clampRows", rows(typed, "gluing.clamps."));
        model.addAttribute("caulRows", rows(typed, "gluing.cauls."));
        return "ways/ways";
    }

    /** As many rows as are filled, and two more. */
    private static int rows(Map<String, String> typed, String list) {
        int filled = 0;
        while (filled < 58 && typed.containsKey(list + filled + ".name")) {
            filled++;
        }
        return filled + 2;
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
            return page(base, typed, form.troubles(), model);
        }
        try {
            store.keep(maker.shop(), base, form.ways(), maker.name());
        } catch (Stale stale) {
            ConflictNotice.tell(
                    stale, "What you typed is below; look at it and keep it again, or leave.", model, response);
            return page(now.number(), typed, Map.of(), model);
        }
        return "redirect:/ways?kept";
    }
}
