package ebauche.app.crib;

import ebauche.app.account.Maker;
import ebauche.app.ways.Ways;
import ebauche.app.ways.WaysStore;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.NotHere;
import ebauche.app.web.Stale;
import ebauche.app.web.TypedValues;
import ebauche.app.words.Words;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.crib.EdgeUse;
import ebauche.core.passes.Ability;
import ebauche.exchange.file.ShopFields;
import ebauche.exchange.file.ShopPart;
import ebauche.exchange.json.BuildFileException;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
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

/** The tool crib: what the shop has, what each tool can and cannot do, and the form for one. Part of the shop's ways. */
@Controller
class CribController {
    private final WaysStore store;
    private final BitCutStore cuts;
    private final Clock clock;

    CribController(WaysStore store, BitCutStore cuts, Clock clock) {
        this.store = store;
        this.cuts = cuts;
        this.clock = clock;
    }

    /**
     * A bit with its place in the crib, what it can do, and how its edge and its bearing stand.
     *
     * @param spare whether a bearing for it lies in the drawer
     */
    public record OnShelf(
            int place, Bit bit, Ability ability, EdgeUse edge, boolean spare, String drawing, String reach) {}

    @GetMapping("/crib")
    String crib(@AuthenticationPrincipal Maker maker, @ModelAttribute("fig") Figures fig, Model model) {
        Ways ways = store.of(maker.shop());
        Crib crib = crib(ways);
        List<EdgeUse.Cut> cut = cuts.of(maker.shop());
        double lasts = ways.means().shop().limits().edgeLasts();
        List<OnShelf> bits = new ArrayList<>();
        for (Bit bit : crib.bits()) {
            Ability ability = Ability.of(bit, crib);
            bits.add(new OnShelf(
                    bits.size(),
                    bit,
                    ability,
                    EdgeUse.of(bit, cut, lasts),
                    crib.hasSpare(bit),
                    BitDrawing.of(bit),
                    ReachDrawing.of(ability, fig)));
        }
        model.addAttribute("base", ways.number());
        model.addAttribute("crib", crib);
        model.addAttribute("bits", bits);
        return "crib/crib";
    }

    private static Crib crib(Ways ways) {
        return ways.means().shop().crib();
    }

    /** The shop's ways with every tool written out, to be changed. */
    private static ObjectNode whole(Ways ways) {
        ObjectNode all = ways.json().deepCopy();
        all.set("crib", ShopFields.CRIB.write(crib(ways)));
        return all;
    }

    private static ToolKind kind(String many) {
        return ToolKind.of(many).orElseThrow(NotHere::new);
    }

    private static ArrayNode tools(ObjectNode ways, ToolKind kind) {
        return (ArrayNode) ways.path("crib").get(kind.many());
    }

    @GetMapping("/crib/{many}/new")
    String blank(@AuthenticationPrincipal Maker maker, @PathVariable String many, Model model) {
        Ways ways = store.of(maker.shop());
        ToolKind kind = kind(many);
        model.addAttribute("there", false);
        return form(kind, tools(whole(ways), kind).size(), ways.number(), Map.of(), Map.of(), model);
    }

    @GetMapping("/crib/{many}/{place}")
    String tool(@AuthenticationPrincipal Maker maker, @PathVariable String many, @PathVariable int place, Model model) {
        Ways ways = store.of(maker.shop());
        ToolKind kind = kind(many);
        ArrayNode tools = tools(whole(ways), kind);
        if (place < 0 || place >= tools.size()) {
            throw new NotHere();
        }
        model.addAttribute("there", true);
        return form(kind, place, ways.number(), ToolForm.typed(kind, tools.get(place)), Map.of(), model);
    }

    private static String form(
            ToolKind kind, int place, int base, Map<String, String> typed, Map<String, String> troubles, Model model) {
        model.addAttribute("kind", kind);
        model.addAttribute("place", place);
        model.addAttribute("base", base);
        model.addAttribute("typed", typed);
        model.addAttribute("troubles", troubles);
        return "crib/tool";
    }

    /** Puts a tool into the crib, or changes one. */
    @PostMapping("/crib/{many}/{place}")
    String keep(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String many,
            @PathVariable int place,
            @RequestParam int base,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Ways ways = store.of(maker.shop());
        ToolKind kind = kind(many);
        ObjectNode all = whole(ways);
        int there = tools(all, kind).size();
        if (place < 0 || place > there) {
            throw new NotHere();
        }
        model.addAttribute("there", place < there);
        ToolForm form = ToolForm.of(kind, place, typed, all, fig.unit());
        if (!form.troubles().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return form(kind, place, base, typed, form.troubles(), model);
        }
        return kept(maker, base, form.ways(), model, response, () -> form(kind, place, base, typed, Map.of(), model));
    }

    /** A bit is back from the sharpener, or a new one lies in its place: its metres begin anew. */
    @PostMapping("/crib/bits/{place}/sharpened")
    String sharpened(
            @AuthenticationPrincipal Maker maker,
            @PathVariable int place,
            @RequestParam int base,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Ways ways = store.of(maker.shop());
        ObjectNode all = whole(ways);
        ArrayNode tools = tools(all, ToolKind.BITS);
        if (place < 0 || place >= tools.size()) {
            throw new NotHere();
        }
        tools.set(
                place,
                ShopFields.BITS.write(
                        crib(ways).bits().get(place).sharpenedOn(LocalDate.now(clock.withZone(ZoneOffset.UTC)))));
        return kept(maker, base, all, model, response, () -> crib(maker, fig, model));
    }

    @PostMapping("/crib/{many}/{place}/remove")
    String remove(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String many,
            @PathVariable int place,
            @RequestParam int base,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Ways ways = store.of(maker.shop());
        ObjectNode all = whole(ways);
        ArrayNode tools = tools(all, kind(many));
        if (place < 0 || place >= tools.size()) {
            throw new NotHere();
        }
        tools.remove(place);
        return kept(maker, base, all, model, response, () -> crib(maker, fig, model));
    }

    /** Thicknesses of templates and spacers, and the spare bearings. */
    @PostMapping("/crib/thicknesses")
    String thicknesses(
            @AuthenticationPrincipal Maker maker,
            @RequestParam int base,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        ObjectNode all = whole(store.of(maker.shop()));
        Map<String, String> troubles = new LinkedHashMap<>();
        ObjectNode crib = (ObjectNode) all.get("crib");
        TypedValues values = new TypedValues(typed, fig.unit(), troubles);
        // What did not come with the form stays as it is.
        Stream.of("templates", "spacers", "bearings")
                .filter(typed::containsKey)
                .forEach(list -> values.lengths(list, crib, list));
        judge(all, troubles);
        if (!troubles.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("troubles", troubles);
            model.addAttribute("typed", typed);
            return crib(maker, fig, model);
        }
        return kept(maker, base, all, model, response, () -> crib(maker, fig, model));
    }

    private static void judge(ObjectNode ways, Map<String, String> troubles) {
        if (troubles.isEmpty()) {
            try {
                ShopPart.read(ways);
            } catch (BuildFileException e) {
                String list = Stream.of("spacers", "bearings")
                        .filter(e.place()::contains)
                        .findFirst()
                        .orElse("templates");
                troubles.put(list, e.getMessage());
            }
        }
    }

    /** What is shown again when nothing could be kept. */
    private interface Again {
        String page();
    }

    private String kept(
            Maker maker, int base, ObjectNode ways, Model model, HttpServletResponse response, Again again) {
        try {
            store.keep(maker.shop(), base, ways, maker.name());
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("crib-controller.nothing-was-saved-look-again"), model, response);
            return again.page();
        }
        return "redirect:/crib";
    }
}
