package ebauche.app.outline;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.design.DesignKeeping;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.crib.Bit;
import ebauche.core.design.Hand;
import ebauche.core.geometry.Nodes;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.PathData;
import ebauche.core.geometry.PathFormatException;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import ebauche.core.geometry.Symmetry;
import ebauche.core.job.Build;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.measure.LengthUnit;
import ebauche.core.measure.Refusal;
import ebauche.exchange.json.BuildFileException;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Comparator;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tools.jackson.databind.node.ObjectNode;

/** The outline's own curve editor: every change is judged at once, and kept only when the maker says so. */
@Controller
class OutlineController {
    private final Bodies bodies;
    private final DesignKeeping keeping;

    OutlineController(Bodies bodies, DesignKeeping keeping) {
        this.bodies = bodies;
        this.keeping = keeping;
    }

    /**
     * A change that the server makes to the path.
     *
     * @param act {@code treble} or {@code bass} mirrors that half; {@code move} puts a point or handle at typed lengths; nothing
     *     judges the path as it is
     */
    record Change(String path, String act, Integer point, Nodes.Grip grip, String x, String y) {}

    /** How an outline stands. */
    public record Judged(
            String path, double across, double along, Outline.InsideRadius tightest, boolean turns, String bit) {}

    @GetMapping("/bodies/{id}/template/outline")
    String editor(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Outline outline = current.plan().build().drawn().outline();
        return page(current, plain(outline.segments()), current.revision().number(), model);
    }

    private static String page(Bodies.Current current, String path, int base, Model model) {
        Build build = current.plan().build();
        model.addAttribute("current", current);
        model.addAttribute("base", base);
        model.addAttribute("path", path);
        model.addAttribute("sheet", OutlineSheet.of(build));
        judge(build, path, model);
        return "outline/outline";
    }

    private static void judge(Build build, String path, Model model) {
        try {
            model.addAttribute("judged", judged(build, Outline.parse(path, 1)));
        } catch (PathFormatException e) {
            model.addAttribute("trouble", e.getMessage());
        }
    }

    /** Path data of lines and cubics only, which is what the hand's script reads. */
    private static String plain(List<Segment> segments) {
        return PathData.write(Nodes.of(segments).segments());
    }

    private static Judged judged(Build build, Outline outline) {
        Outline.InsideRadius tightest = outline.smallestInsideRadius();
        Bit smallest = build.shop().crib().bits().stream()
                .filter(Bit::copies)
                .min(Comparator.comparingDouble(Bit::corner))
                .orElse(null);
        return new Judged(
                plain(outline.segments()),
                outline.region().maxX() - outline.region().minX(),
                outline.region().maxY() - outline.region().minY(),
                tightest,
                smallest != null && smallest.corner() <= tightest.radius() + 1e-6,
                smallest == null ? "" : smallest.name());
    }

    @PostMapping("/bodies/{id}/template/outline/trial")
    String trial(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            Change change,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        try {
            Outline outline = changed(change, current.plan().build().design().hand(), fig.unit());
            model.addAttribute("judged", judged(current.plan().build(), outline));
        } catch (PathFormatException | LengthFormatException | Refusal e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("trouble", e.getMessage());
        }
        return "outline/outline :: judged";
    }

    private static Outline changed(Change change, Hand hand, LengthUnit unit) {
        Refusal.unless(change.path() != null, "path", Words.say("outline-controller.no-path-was-sent"));
        boolean whole = change.point() != null && change.grip() != null && change.x() != null && change.y() != null;
        Refusal.unless(
                whole || !"move".equals(change.act()),
                "point",
                Words.say("outline-controller.a-point-is-moved-by-its"));
        Outline outline = Outline.parse(change.path(), 1);
        return switch (change.act() == null ? "" : change.act()) {
            case "treble" -> Symmetry.of(outline, hand == Hand.RIGHT);
            case "bass" -> Symmetry.of(outline, hand == Hand.LEFT);
            case "move" -> {
                Point to = new Point(
                        Length.parse(change.x(), unit).millimetres(),
                        Length.parse(change.y(), unit).millimetres());
                // The path as it was sent: its points are numbered as the hand's script numbers them.
                Nodes nodes = Nodes.of(PathData.parse(change.path(), 1));
                yield Outline.of(nodes.moved(change.point(), change.grip(), to).segments());
            }
            default -> outline;
        };
    }

    @PostMapping("/bodies/{id}/template/outline")
    String keep(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam String path,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        ObjectNode file = DesignKeeping.file(current);
        DesignKeeping.outline(file, path);
        try {
            keeping.keep(current, base, file, maker.name());
            return "redirect:/bodies/" + current.body().publicId() + "/template";
        } catch (BuildFileException e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            String page = page(current, path, base, model);
            model.addAttribute("trouble", e.getMessage());
            return page;
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("outline-controller.your-outline-lies-over-it-look"), model, response);
            Bodies.Current now = bodies.current(current.body());
            return page(now, path, now.revision().number(), model);
        }
    }
}
