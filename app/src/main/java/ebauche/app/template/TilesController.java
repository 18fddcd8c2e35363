package ebauche.app.template;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.ways.WaysStore;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.NotHere;
import ebauche.app.web.PageModel;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.measure.Refusal;
import ebauche.core.sheet.PrickPattern;
import ebauche.core.sheet.TemplateSheet;
import ebauche.exchange.paper.Paper;
import ebauche.exchange.paper.Scale;
import ebauche.exchange.paper.TilePrint;
import ebauche.exchange.paper.Tiles;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tools.jackson.databind.node.ObjectNode;

/** Templates on paper at true size, in tiles; and what the printer was measured to make of a length. */
@Controller
class TilesController {
    private final Bodies bodies;
    private final WaysStore ways;

    TilesController(Bodies bodies, WaysStore ways) {
        this.bodies = bodies;
        this.ways = ways;
    }

    @GetMapping("/bodies/{id}/tiles")
    String tiles(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(defaultValue = "outline") String template,
            @RequestParam(required = false) Paper paper,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        return page(bodies.current(maker.shop(), id), template, paper, fig, model);
    }

    private static Paper usual(Paper paper, Figures fig) {
        return paper != null ? paper : Paper.usualFor(fig.unit());
    }

    /** A template laid on sheets of paper. */
    private record TilesView(
            Bodies.Current current,
            List<TemplateSheet> sheets,
            TemplateSheet chosen,
            Paper paper,
            List<Paper> papers,
            Tiles tiles,
            Optional<PrickPattern> waste,
            Scale printer,
            int base,
            String drawing) {}

    private static String page(Bodies.Current current, String template, Paper asked, Figures fig, Model model) {
        List<TemplateSheet> sheets = TemplateSheet.printed(current.plan());
        TemplateSheet chosen = chosen(sheets, template);
        Paper paper = usual(asked, fig);
        Scale printer = Scale.of(current.ways().json());
        Tiles tiles = Tiles.over(chosen, paper, printer);
        Optional<PrickPattern> waste = PrickPattern.of(current.plan(), chosen);
        PageModel.put(
                model,
                new TilesView(
                        current,
                        sheets,
                        chosen,
                        paper,
                        List.of(Paper.values()),
                        tiles,
                        waste,
                        printer,
                        current.ways().number(),
                        TileMap.of(chosen, waste, tiles)));
        return "template/tiles";
    }

    private static TemplateSheet chosen(List<TemplateSheet> sheets, String feature) {
        return sheets.stream()
                .filter(s -> s.feature().word().equals(feature))
                .findFirst()
                .orElseThrow(NotHere::new);
    }

    @GetMapping("/bodies/{id}/tiles.pdf")
    ResponseEntity<byte[]> pdf(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(defaultValue = "outline") String template,
            @RequestParam(required = false) Paper paper,
            @ModelAttribute("fig") Figures fig) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        TemplateSheet chosen = chosen(TemplateSheet.printed(current.plan()), template);
        Scale printer = Scale.of(current.ways().json());
        byte[] pdf = TilePrint.pdf(
                chosen, PrickPattern.of(current.plan(), chosen), current.name(), usual(paper, fig), printer);
        return TemplateController.download(
                current.name() + "-" + chosen.feature(), "pdf", MediaType.APPLICATION_PDF, pdf);
    }

    /** One sheet at true size, as SVG or DXF. */
    @GetMapping("/bodies/{id}/tiles.{format:svg|dxf}")
    ResponseEntity<byte[]> file(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @PathVariable String format,
            @RequestParam(defaultValue = "outline") String template) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        TemplateSheet chosen = chosen(TemplateSheet.printed(current.plan()), template);
        return TemplateController.drawn(
                current.name() + "-" + chosen.feature(), chosen.name(), List.of(chosen), format);
    }

    /** What the bars of the last print measure, for the next one; kept among the shop's ways. */
    @PostMapping("/bodies/{id}/tiles/measured")
    String measured(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam String across,
            @RequestParam String along,
            @RequestParam(defaultValue = "outline") String template,
            @RequestParam(required = false) Paper paper,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        ObjectNode all = current.ways().json().deepCopy();
        try {
            Scale.of(all)
                    .measured(
                            Length.parse(across, fig.unit()).millimetres(),
                            Length.parse(along, fig.unit()).millimetres())
                    .into(all);
            ways.keep(maker.shop(), base, all, maker.name());
            return "redirect:/bodies/" + current.body().publicId() + "/tiles?template="
                    + chosen(TemplateSheet.printed(current.plan()), template).feature() + "&paper=" + usual(paper, fig);
        } catch (LengthFormatException e) {
            model.addAttribute("trouble", e.getMessage());
        } catch (Refusal e) {
            model.addAttribute("trouble", Words.say("tiles-controller.a-bar-of-100-mm-that"));
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("tiles-controller.nothing-was-saved-look-again"), model, response);
            return page(bodies.current(current.body()), template, paper, fig, model);
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("acrossTyped", across);
        model.addAttribute("alongTyped", along);
        return page(current, template, paper, fig, model);
    }
}
