package ebauche.app.traveller;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.drawing.BoardDrawing;
import ebauche.app.web.Figures;
import ebauche.app.web.Kept;
import ebauche.app.web.PageModel;
import ebauche.exchange.paper.Paper;
import ebauche.exchange.paper.Traveller;
import ebauche.exchange.paper.TravellerPrint;
import java.util.List;
import java.util.Locale;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** The traveller: a body's plan to pin up over the bench, as a page to print and as PDF. */
@Controller
class TravellerController {
    private final Bodies bodies;

    TravellerController(Bodies bodies) {
        this.bodies = bodies;
    }

    private record TravellerView(
            Bodies.Current current,
            Traveller traveller,
            boolean all,
            Paper paper,
            List<Paper> papers,
            String drawing) {}

    @GetMapping("/bodies/{id}/traveller")
    String page(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(defaultValue = "false") boolean all,
            @RequestParam(required = false) Paper paper,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        PageModel.put(
                model,
                new TravellerView(
                        current,
                        traveller(current, fig, all),
                        all,
                        usual(paper, fig),
                        List.of(Paper.values()),
                        BoardDrawing.finished(current.plan(), fig)));
        return "traveller/traveller";
    }

    @GetMapping("/bodies/{id}/traveller.pdf")
    ResponseEntity<byte[]> pdf(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(defaultValue = "false") boolean all,
            @RequestParam(required = false) Paper paper,
            @ModelAttribute("fig") Figures fig) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        byte[] pdf = TravellerPrint.pdf(
                traveller(current, fig, all), current.plan().build().design(), usual(paper, fig));
        String plain = current.name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(plain + "-traveller.pdf")
                                .build()
                                .toString())
                .body(pdf);
    }

    private static Traveller traveller(Bodies.Current current, Figures fig, boolean all) {
        String bench = ServletUriComponentsBuilder.fromCurrentContextPath()
                .path(current.here() + "/bench")
                .toUriString();
        return Kept.with(current.plan())
                .get(
                        new Told(bench, current.revision().number(), fig, all),
                        () -> TravellerWords.of(current, fig, all, step -> bench + "?step=" + step));
    }

    private record Told(String bench, int revision, Figures fig, boolean all) {}

    private static Paper usual(Paper paper, Figures fig) {
        return paper != null ? paper : Paper.usualFor(fig.unit());
    }
}
