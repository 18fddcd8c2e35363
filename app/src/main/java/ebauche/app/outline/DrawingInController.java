package ebauche.app.outline;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.design.DesignKeeping;
import ebauche.app.template.OutlineDrawing;
import ebauche.app.template.TemplatePage;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.PathData;
import ebauche.core.geometry.PathFormatException;
import ebauche.core.geometry.Placing;
import ebauche.core.geometry.Region;
import ebauche.core.geometry.Segment;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.design.TracedPlate;
import ebauche.exchange.drawn.DrawnFile;
import ebauche.exchange.drawn.DrawnFileException;
import ebauche.exchange.drawn.NeckPoints;
import ebauche.exchange.json.BuildFileException;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import tools.jackson.databind.node.ObjectNode;

/**
 * An outline or a plate brought in from a drawing: a shape is picked, laid on the body the way it is meant, looked at over the old one and
 * kept. Nothing is stored until then; what was read goes along in the form.
 */
@Controller
class DrawingInController {
    private static final int SHOWN = 8;

    /** Bodies are longer and shorter than this, mm: common practice; others are a slip of the unit. */
    private static final double SHORTEST = 150;

    private static final double LONGEST = 700;

    private final Bodies bodies;
    private final DesignKeeping keeping;

    DrawingInController(Bodies bodies, DesignKeeping keeping) {
        this.bodies = bodies;
        this.keeping = keeping;
    }

    /**
     * A unit that a drawing may be meant in.
     *
     * @param millimetres what one of it measures; a pixel as CSS 2.1 has it
     */
    public record DrawnUnit(String name, double millimetres) {
        static final List<DrawnUnit> ALL = List.of(
                new DrawnUnit("mm", LengthUnit.MILLIMETRE.millimetres()),
                new DrawnUnit("in", LengthUnit.INCH.millimetres()),
                new DrawnUnit("cm", 10),
                new DrawnUnit("pixel", LengthUnit.INCH.millimetres() / 96));

        public String words() {
            return Words.say("drawn-unit." + name);
        }
    }

    /**
     * A shape to pick, with its path in the file's units.
     *
     * @param holes what lies inside it, as {@link PlateHoles} writes them
     */
    public record Pick(String name, String path, String holes, double across, double along, String drawing) {
        /** How large it would be in a unit, mm. */
        public double across(DrawnUnit unit) {
            return across * unit.millimetres();
        }

        public double along(DrawnUnit unit) {
            return along * unit.millimetres();
        }
    }

    @PostMapping("/bodies/{id}/template/drawing")
    String drawing(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam MultipartFile file,
            @RequestParam(name = "as", defaultValue = "outline") String as,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response)
            throws IOException {
        Bodies.Current current = bodies.current(maker.shop(), id);
        try {
            DrawnFile drawn = DrawnFile.read(file.getBytes());
            model.addAttribute("current", current);
            model.addAttribute("notes", drawn.notes());
            model.addAttribute("stated", drawn.millimetresPerUnit().isPresent());
            model.addAttribute("perUnit", drawn.millimetresPerUnit().orElse(0));
            model.addAttribute("units", DrawnUnit.ALL);
            model.addAttribute("as", as);
            model.addAttribute("picks", picks(drawn, as.equals(Feature.OUTLINE.word())));
            return "outline/pick";
        } catch (DrawnFileException e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute(
                    "drawingTrouble", Words.say("drawing-in-controller.nothing-was-changed", e.getMessage()));
            return TemplatePage.show(current, fig, model);
        }
    }

    private static List<Pick> picks(DrawnFile drawn, boolean outline) {
        List<Pick> picks = new ArrayList<>();
        List<DrawnFile.Shape> could = drawn.shapes().stream()
                .filter(s -> outline || !PlateHoles.isInAnother(s, drawn.shapes()))
                .limit(SHOWN)
                .toList();
        for (DrawnFile.Shape shape : could) {
            double[] box = shape.box();
            String path = PathData.write(shape.segments(), 7);
            if (path.length() <= PathData.MOST_CHARACTERS) {
                picks.add(new Pick(
                        shape.name(),
                        path,
                        PlateHoles.write(PlateHoles.inside(shape, drawn.shapes())),
                        box[2] - box[0],
                        box[3] - box[1],
                        ShapeDrawing.of(shape.segments(), box)));
            }
        }
        return picks;
    }

    /**
     * How a shape is laid down.
     *
     * @param as what it is: the outline, or a plate by its feature's word
     * @param holes what lies inside it, as {@link PlateHoles} writes them; of a plate alone
     * @param perUnit mm per unit of the file, as typed or stated
     * @param neck where the neck points in the drawing
     * @param fromBack whether it is drawn as seen from the back
     * @param dx moved to the treble side from the middle of the old outline, a typed length
     * @param dy moved to the neck
     */
    record LaidOutline(
            String as,
            String path,
            String holes,
            String perUnit,
            NeckPoints neck,
            boolean fromBack,
            String dx,
            String dy,
            Boolean keep) {
        /** The plate that it is, if it is one. */
        public Optional<Feature> plate() {
            return Optional.ofNullable(as)
                    .filter(a -> !a.equals(Feature.OUTLINE.word()))
                    .map(Feature::mentioned);
        }

        String moved(boolean across) {
            String typed = across ? dx : dy;
            return typed == null || typed.isBlank() ? "0" : typed;
        }
    }

    @PostMapping("/bodies/{id}/template/placed")
    String placed(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            LaidOutline laid,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        model.addAttribute("current", current);
        model.addAttribute("laid", laid);
        model.addAttribute("base", base);
        model.addAttribute("necks", NeckPoints.values());
        try {
            List<Segment> shape = PathData.parse(laid.path(), 1);
            List<Placing> ways = ways(current, laid, shape, fig.unit());
            Outline outline = Outline.of(ShapePlacing.placed(shape, ways));
            ObjectNode file = DesignKeeping.file(current);
            put(current, laid, outline, ways, file);
            model.addAttribute("outline", outline);
            model.addAttribute(
                    "drawing",
                    laid.plate().isPresent()
                            ? OutlineDrawing.plate(
                                    DesignKeeping.build(current, file), outline, PlateHoles.placed(laid.holes(), ways))
                            : OutlineDrawing.over(current.plan().build(), outline, fig));
            Region region = outline.region();
            model.addAttribute("across", region.maxX() - region.minX());
            double along = region.maxY() - region.minY();
            model.addAttribute("along", along);
            model.addAttribute("strange", laid.plate().isEmpty() && (along < SHORTEST || along > LONGEST));
            model.addAttribute("ifInches", along * LengthUnit.INCH.millimetres());
            model.addAttribute("ifMillimetres", along / LengthUnit.INCH.millimetres());
            DesignKeeping.build(current, file);
            if (Boolean.TRUE.equals(laid.keep())) {
                keeping.keep(current, base, file, maker.name());
                return "redirect:/bodies/" + current.body().publicId() + "/template";
            }
        } catch (PathFormatException | LengthFormatException | DrawnFileException | BuildFileException e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("trouble", e.getMessage());
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("drawing-in-controller.look-at-the-outline-over-it"), model, response);
            model.addAttribute("base", bodies.current(current.body()).revision().number());
        }
        return "outline/place";
    }

    /** The design with the shape as what it is. */
    private static void put(
            Bodies.Current current, LaidOutline laid, Outline outline, List<Placing> ways, ObjectNode file) {
        if (laid.plate().isEmpty()) {
            DesignKeeping.outline(file, PathData.write(outline.segments()));
            return;
        }
        boolean there = TracedPlate.put(
                file.withObject("/design"), laid.plate().get(), outline, PlateHoles.placed(laid.holes(), ways));
        if (!there) {
            throw new DrawnFileException(Words.say("drawing-in-controller.has-no-such-plate-add-it", current.name()));
        }
    }

    private static List<Placing> ways(Bodies.Current current, LaidOutline laid, List<Segment> shape, LengthUnit unit) {
        double perUnit = perUnit(laid.perUnit());
        double dx = Length.parse(laid.moved(true), unit).millimetres();
        double dy = Length.parse(laid.moved(false), unit).millimetres();
        Region old = laid.plate()
                .map(p -> PlateHoles.whereItGoes(current.plan().build().drawn(), p))
                .orElseGet(() -> current.plan().build().drawn().outline().region());
        return ShapePlacing.ways(shape, perUnit, laid.neck(), laid.fromBack(), old, dx, dy);
    }

    private static double perUnit(String typed) {
        try {
            double value = Double.parseDouble(typed == null ? "" : typed.strip());
            if (value > 0 && value < 1e6) {
                return value;
            }
        } catch (NumberFormatException e) {
            throw new DrawnFileException(Words.say("drawing-in-controller.the-drawing-does-not-say-its"));
        }
        throw new DrawnFileException(Words.say("drawing-in-controller.a-unit-of-mm-is-none", typed.strip()));
    }
}
