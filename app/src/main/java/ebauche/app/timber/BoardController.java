package ebauche.app.timber;

import ebauche.app.account.Maker;
import ebauche.app.ways.WaysStore;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.PageModel;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Reckoning;
import ebauche.core.timber.Board;
import ebauche.core.timber.Climate;
import ebauche.core.timber.Defect;
import ebauche.core.timber.MeasuredOn;
import ebauche.core.timber.MoistureReading;
import ebauche.core.timber.Seasoning;
import ebauche.core.timber.Species;
import ebauche.core.timber.Timbers;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
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
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** One board: its sizes, its faults on the drawing, its moisture over time. */
@Controller
class BoardController {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private final BoardStore boards;
    private final Rack rack;
    private final WaysStore ways;
    private final Clock clock;

    BoardController(BoardStore boards, Rack rack, WaysStore ways, Clock clock) {
        this.clock = clock;
        this.boards = boards;
        this.rack = rack;
        this.ways = ways;
    }

    /** The words that a board's file may hold, with what they mean. */
    private static void choices(Timbers timbers, Model model) {
        model.addAttribute("timbers", timbers.all());
        model.addAttribute("rings", List.of("flat", "rift", "quartered"));
        model.addAttribute(
                "rises",
                Map.of(
                        "level",
                        "level",
                        "to-far-end",
                        Words.say("board-controller.to-the-far-end"),
                        "to-near-end",
                        Words.say("board-controller.to-the-near-end")));
        model.addAttribute(
                "faultKinds",
                Arrays.stream(Defect.Kind.values())
                        .collect(java.util.stream.Collectors.toMap(
                                k -> k.name().toLowerCase(Locale.ROOT),
                                Defect.Kind::words,
                                (a, b) -> a,
                                LinkedHashMap::new)));
    }

    @GetMapping("/timber/new")
    String fresh(@AuthenticationPrincipal Maker maker, Model model) {
        return form(maker, Map.of("kind", "board", "rings", "flat", "rise", "level"), Map.of(), model);
    }

    private String form(Maker maker, Map<String, String> typed, Map<String, String> troubles, Model model) {
        choices(ways.of(maker.shop()).timbers(), model);
        model.addAttribute("typed", typed);
        model.addAttribute("troubles", troubles);
        return "timber/new-board";
    }

    @PostMapping("/timber/boards")
    String add(
            @AuthenticationPrincipal Maker maker,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        BoardForm form = BoardForm.board(
                typed, JSON.arrayNode(), fig.unit(), ways.of(maker.shop()).timbers());
        if (!form.good()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return form(maker, typed, form.troubles(), model);
        }
        return "redirect:/timber/" + boards.add(maker.shop(), form.file(), maker.name());
    }

    @GetMapping("/timber/{id}")
    String board(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        return page(boards.find(maker.shop(), id), Map.of(), Map.of(), fig, model);
    }

    /** A board of the rack, with what was typed of it. */
    private record BoardView(
            Rack.Held held,
            Shelved shelved,
            Board board,
            Seasoning seasoning,
            Climate climate,
            String drawing,
            String curve,
            Reckoning mass,
            Map<String, String> typed,
            Map<String, String> words,
            Map<String, String> troubles,
            String entry,
            String today) {}

    private String page(
            Shelved board, Map<String, String> typed, Map<String, String> troubles, Figures fig, Model model) {
        Rack.Held held = rack.of(board);
        Climate climate = rack.climate(board.shop());
        choices(ways.of(board.shop()).timbers(), model);
        PageModel.put(
                model,
                new BoardView(
                        held,
                        board,
                        board.board(),
                        held.seasoning(),
                        climate,
                        PlankDrawing.sheet(board.board(), fig),
                        MoistureDrawing.of(held.seasoning(), fig),
                        mass(board.board().species(), held),
                        typed,
                        BoardWords.of(board.file()),
                        troubles,
                        UUID.randomUUID().toString(),
                        LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault())
                                .toString()));
        return "timber/board";
    }

    private static Reckoning mass(Species species, Rack.Held held) {
        Fact moisture = held.seasoning()
                .moistureNow()
                .map(m -> Fact.measured(m, Words.say("board-controller.the-newest-reading-brought-to-today")))
                .orElseGet(() -> Fact.usual(Species.AT_MOISTURE, Words.say("board-controller.not-measured")));
        return species.mass(held.shelved().board().volume(), moisture);
    }

    /** Keeps changed facts; the faults stay as they are. */
    @PostMapping("/timber/{id}")
    String keep(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Shelved board = boards.find(maker.shop(), id);
        ArrayNode faults =
                board.file().path("defects") instanceof ArrayNode there ? there.deepCopy() : JSON.arrayNode();
        BoardForm form =
                BoardForm.board(typed, faults, fig.unit(), ways.of(maker.shop()).timbers());
        return kept(board, base, form, maker, fig, typed, model, response);
    }

    @PostMapping("/timber/{id}/faults")
    String mark(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Shelved board = boards.find(maker.shop(), id);
        BoardForm form = BoardForm.fault(
                typed, board.file(), fig.unit(), ways.of(maker.shop()).timbers());
        Map<String, String> asFault = new LinkedHashMap<>();
        form.troubles().forEach((field, words) -> asFault.put("fault." + field, words));
        return kept(board, base, new BoardForm(form.file(), asFault), maker, fig, typed, model, response);
    }

    @PostMapping("/timber/{id}/faults/away")
    String unmark(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam int fault,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Shelved board = boards.find(maker.shop(), id);
        ObjectNode file = board.file().deepCopy();
        if (file.path("defects") instanceof ArrayNode all && fault >= 0 && fault < all.size()) {
            all.remove(fault);
        }
        return kept(board, base, new BoardForm(file, Map.of()), maker, fig, Map.of(), model, response);
    }

    private String kept(
            Shelved board,
            int base,
            BoardForm form,
            Maker maker,
            Figures fig,
            Map<String, String> typed,
            Model model,
            HttpServletResponse response) {
        if (!form.good()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(board, typed, form.troubles(), fig, model);
        }
        try {
            boards.keep(board, base, form.file(), board.place(), Optional.empty(), maker.name());
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("board-controller.nothing-of-yours-was-saved-look"), model, response);
            return page(boards.find(maker.shop(), board.publicId()), typed, Map.of(), fig, model);
        }
        return "redirect:/timber/" + board.publicId();
    }

    /** Takes a board off the rack that was sold, burnt or given away. */
    @PostMapping("/timber/{id}/gone")
    String gone(@AuthenticationPrincipal Maker maker, @PathVariable String id, @RequestParam int base) {
        Shelved board = boards.find(maker.shop(), id);
        boards.keep(board, base, board.file(), Shelved.Place.GONE, Optional.empty(), maker.name());
        return "redirect:/timber";
    }

    @PostMapping("/timber/{id}/moisture")
    String moisture(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam UUID entry,
            @RequestParam String percent,
            @RequestParam String day,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Shelved board = boards.find(maker.shop(), id);
        Map<String, String> troubles = new LinkedHashMap<>();
        double read = percent(percent, troubles);
        Instant at = moment(day, troubles);
        if (!troubles.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(board, Map.of("percent", percent, "day", day), troubles, fig, model);
        }
        boards.measure(board, entry.toString(), read, at, maker.name());
        return "redirect:/timber/" + id;
    }

    private static double percent(String text, Map<String, String> troubles) {
        String plain = text.strip().replace("%", "").replace(',', '.').strip();
        if (!plain.matches("\\d{1,4}(\\.\\d{1,2})?")) {
            troubles.put("percent", Words.say("board-controller.is-no-number-a-meter-shows", text));
            return 0;
        }
        double value = Double.parseDouble(plain);
        if (value > MoistureReading.MOST) {
            troubles.put("percent", Words.say("board-controller.read-wood-in-a-shop-holds", plain, (int)
                    MoistureReading.MOST));
        }
        return value;
    }

    /** Noon of a past day, or now if it is today. */
    private Instant moment(String day, Map<String, String> troubles) {
        Instant now = clock.instant();
        try {
            LocalDate date = LocalDate.parse(day);
            LocalDate today = LocalDate.ofInstant(now, ZoneId.systemDefault());
            MeasuredOn.trouble(date, today).ifPresent(trouble -> troubles.put("day", trouble));
            return date.equals(today)
                    ? now
                    : date.atTime(12, 0).atZone(ZoneId.systemDefault()).toInstant();
        } catch (DateTimeParseException e) {
            troubles.put("day", Words.say("board-controller.is-no-day-write-it-as", day));
            return now;
        }
    }

    @PostMapping("/timber/{id}/moisture/withdraw")
    String withdraw(@AuthenticationPrincipal Maker maker, @PathVariable String id, @RequestParam long reading) {
        boards.withdraw(boards.find(maker.shop(), id), reading, maker.name());
        return "redirect:/timber/" + id;
    }
}
