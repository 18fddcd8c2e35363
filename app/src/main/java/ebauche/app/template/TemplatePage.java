package ebauche.app.template;

import ebauche.app.body.Bodies;
import ebauche.app.web.Figures;
import ebauche.core.crib.HoldDown;
import ebauche.core.crib.TemplateMaterial;
import ebauche.core.design.TemplateMade;
import ebauche.core.sheet.TemplateSheet;
import java.util.List;
import org.springframework.ui.Model;

/** The page of a body's templates, for whoever ends on it. */
public final class TemplatePage {
    private TemplatePage() {}

    /** A template with how it is made. */
    public record Row(TemplateSheet sheet, TemplateMade made) {}

    /**
     * Fills a model.
     *
     * @return the view's name
     */
    public static String show(Bodies.Current current, Figures fig, Model model) {
        List<TemplateSheet> sheets = TemplateSheet.of(current.plan());
        model.addAttribute("current", current);
        model.addAttribute(
                "rows",
                sheets.stream()
                        .map(s -> new Row(s, current.plan().build().design().template(s.feature())))
                        .toList());
        model.addAttribute("materials", TemplateMaterial.values());
        model.addAttribute("holds", HoldDown.values());
        model.addAttribute("outline", current.plan().build().drawn().outline());
        model.addAttribute("drawing", OutlineDrawing.of(current.plan().build(), fig));
        model.addAttribute("plates", current.plan().build().drawn().plates());
        model.addAttribute("fromBack", sheets.stream().anyMatch(TemplateSheet::mirrored));
        return "template/template";
    }
}
