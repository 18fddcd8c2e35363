package ebauche.app.box;

import ebauche.app.account.Maker;
import ebauche.app.ways.Ways;
import ebauche.app.ways.WaysStore;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.NotHere;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.hardware.PartKind;
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
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The hardware box: generic parts that ship and the shop's own, each drawn as it stands to the wood. */
@Controller
class BoxController {
    private final WaysStore store;

    BoxController(WaysStore store) {
        this.store = store;
    }

    /** A part with its drawing. */
    public record Shown(Box.InBox in, String drawing) {}

    @GetMapping("/box")
    String box(@AuthenticationPrincipal Maker maker, @ModelAttribute("fig") Figures fig, Model model) {
        Ways ways = store.of(maker.shop());
        Box box = Box.of(ways);
        Map<PartKind, List<Shown>> drawers = new LinkedHashMap<>();
        for (PartKind kind : PartKind.values()) {
            drawers.put(
                    kind,
                    box.of(kind).stream()
                            .map(p -> new Shown(p, PartDrawing.of(p.part(), fig)))
                            .toList());
        }
        model.addAttribute("base", ways.number());
        model.addAttribute("drawers", drawers);
        return "box/box";
    }

    @GetMapping("/box/new/{kind}")
    String blank(@AuthenticationPrincipal Maker maker, @PathVariable String kind, Model model) {
        Ways ways = store.of(maker.shop());
        model.addAttribute("there", false);
        return form(kind(kind), ways.means().box().size(), ways.number(), Map.of(), Map.of(), model);
    }

    @GetMapping("/box/{place}")
    String part(@AuthenticationPrincipal Maker maker, @PathVariable int place, Model model) {
        Ways ways = store.of(maker.shop());
        ArrayNode box = PartForm.box(ways.json().deepCopy());
        if (place < 0 || place >= box.size()) {
            throw new NotHere();
        }
        model.addAttribute("there", true);
        PartKind kind = ways.means().box().get(place).kind();
        return form(kind, place, ways.number(), PartForm.typed(box.get(place)), Map.of(), model);
    }

    private static PartKind kind(String key) {
        return PartKind.of(key).orElseThrow(NotHere::new);
    }

    private static String form(
            PartKind kind, int place, int base, Map<String, String> typed, Map<String, String> troubles, Model model) {
        model.addAttribute("kind", kind);
        model.addAttribute("place", place);
        model.addAttribute("base", base);
        model.addAttribute("typed", typed);
        model.addAttribute("troubles", troubles);
        return "box/part";
    }

    /** Puts a part into the box, or changes one. */
    @PostMapping("/box/{place}")
    String keep(
            @AuthenticationPrincipal Maker maker,
            @PathVariable int place,
            @RequestParam int base,
            @RequestParam String kind,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        ObjectNode ways = store.of(maker.shop()).json();
        int there = PartForm.box(ways.deepCopy()).size();
        if (place < 0 || place > there) {
            throw new NotHere();
        }
        model.addAttribute("there", place < there);
        PartForm form = PartForm.of(kind(kind), place, typed, ways, fig.unit());
        if (!form.troubles().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return form(kind(kind), place, base, typed, form.troubles(), model);
        }
        if (!kept(maker, base, form.ways(), model, response)) {
            return form(kind(kind), place, base, typed, Map.of(), model);
        }
        return "redirect:/box";
    }

    @PostMapping("/box/{place}/remove")
    String remove(
            @AuthenticationPrincipal Maker maker,
            @PathVariable int place,
            @RequestParam int base,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        ObjectNode ways = store.of(maker.shop()).json().deepCopy();
        ArrayNode box = PartForm.box(ways);
        if (place < 0 || place >= box.size()) {
            throw new NotHere();
        }
        box.remove(place);
        return kept(maker, base, ways, model, response) ? "redirect:/box" : box(maker, fig, model);
    }

    private boolean kept(Maker maker, int base, ObjectNode ways, Model model, HttpServletResponse response) {
        try {
            store.keep(maker.shop(), base, ways, maker.name());
            return true;
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("box-controller.nothing-was-saved-look-again"), model, response);
            return false;
        }
    }
}
