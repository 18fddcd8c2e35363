package ebauche.app.template;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.design.DesignKeeping;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.NotHere;
import ebauche.app.web.Stale;
import ebauche.app.web.TypedValues;
import ebauche.app.words.Words;
import ebauche.core.geometry.Face;
import ebauche.core.sheet.TemplateSheet;
import ebauche.exchange.drawn.DxfWriter;
import ebauche.exchange.drawn.SvgWriter;
import ebauche.exchange.json.BuildFileException;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
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
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A body's templates: what each is made of and how it is held, with what follows; taken away as SVG or DXF. */
@Controller
class TemplateController {
    private final Bodies bodies;
    private final DesignKeeping keeping;

    TemplateController(Bodies bodies, DesignKeeping keeping) {
        this.bodies = bodies;
        this.keeping = keeping;
    }

    @GetMapping("/bodies/{id}/template")
    String templates(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        return TemplatePage.show(bodies.current(maker.shop(), id), fig, model);
    }

    /** How one template is made and held, instead of as the shop usually does it. */
    @PostMapping("/bodies/{id}/template/made")
    String made(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam String feature,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        if (TemplateSheet.of(current.plan()).stream()
                .noneMatch(s -> s.feature().word().equals(feature))) {
            throw new NotHere();
        }
        ObjectNode file = DesignKeeping.file(current);
        ArrayNode templates = file.withObject("/design").withArray("templates");
        templates.removeIf(t -> t.path("feature").asString("").equals(feature));
        ObjectNode one = templates.addObject().put("feature", feature);
        Map<String, String> troubles = new LinkedHashMap<>();
        TypedValues values = new TypedValues(typed, fig.unit(), troubles);
        if (!values.isBlank("thickness")) {
            values.length("thickness", one, "thickness");
        }
        word(typed, "material", one);
        word(typed, "hold", one);
        if (troubles.isEmpty()) {
            try {
                keeping.keep(current, base, file, maker.name());
                return "redirect:/bodies/" + current.body().publicId() + "/template";
            } catch (BuildFileException e) {
                troubles.put("thickness", e.getMessage());
            } catch (Stale stale) {
                ConflictNotice.tell(
                        stale, Words.say("template-controller.nothing-was-saved-look-again"), model, response);
                return TemplatePage.show(current, fig, model);
            }
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("troubled", feature);
        model.addAttribute("trouble", troubles.values().iterator().next());
        model.addAttribute("typedThickness", typed.get("thickness"));
        return TemplatePage.show(current, fig, model);
    }

    private static void word(Map<String, String> typed, String name, ObjectNode out) {
        String word = typed.getOrDefault(name, "");
        if (!word.isBlank()) {
            out.put(name, word);
        }
    }

    /** Every template of one face at true size, as SVG or DXF. */
    @GetMapping("/bodies/{id}/template/{face:front|back}.{format:svg|dxf}")
    ResponseEntity<byte[]> file(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @PathVariable String face,
            @PathVariable String format) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Face side = face.equals("front") ? Face.FRONT : Face.BACK;
        List<TemplateSheet> sheets = TemplateSheet.of(current.plan()).stream()
                .filter(s -> s.face() == side)
                .toList();
        return drawn(
                current.name() + "-" + face,
                Words.say("template-controller.templates-seen-from-the", current.name(), face),
                sheets,
                format);
    }

    /** Sheets at true size, as SVG or DXF. */
    static ResponseEntity<byte[]> drawn(String name, String title, List<TemplateSheet> sheets, String format) {
        boolean svg = format.equals("svg");
        String text = svg ? SvgWriter.write(title, sheets) : DxfWriter.write(sheets);
        MediaType type = MediaType.valueOf(svg ? "image/svg+xml" : "image/vnd.dxf");
        return download(name, format, type, text.getBytes(StandardCharsets.UTF_8));
    }

    /** A file to be saved under a plain name. */
    static ResponseEntity<byte[]> download(String name, String ending, MediaType type, byte[] bytes) {
        String plain = name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        ContentDisposition disposition =
                ContentDisposition.attachment().filename(plain + "." + ending).build();
        return ResponseEntity.ok()
                .contentType(type)
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition.toString())
                .body(bytes);
    }
}
