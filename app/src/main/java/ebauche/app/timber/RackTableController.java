package ebauche.app.timber;

import ebauche.app.account.Maker;
import ebauche.app.ways.WaysStore;
import ebauche.app.words.Words;
import ebauche.core.timber.Timbers;
import ebauche.exchange.rack.RackCsv;
import ebauche.exchange.table.CsvTable;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The rack as a table, out and in. Rows that cannot be read are named; the good ones are kept only when told to. */
@Controller
class RackTableController {
    /** Two thousand boards are about 300 kB; a form can carry this much back. */
    private static final int MOST_BYTES = 700_000;

    private final BoardStore boards;
    private final Rack rack;
    private final WaysStore ways;
    private final TransactionTemplate transaction;

    RackTableController(BoardStore boards, Rack rack, WaysStore ways, TransactionTemplate transaction) {
        this.boards = boards;
        this.rack = rack;
        this.ways = ways;
        this.transaction = transaction;
    }

    @GetMapping("/timber/rack.csv")
    ResponseEntity<byte[]> out(@AuthenticationPrincipal Maker maker) {
        List<RackCsv.Shelved> rows = boards.rack(maker.shop()).stream()
                .map(s -> new RackCsv.Shelved(s.file(), newest(s)))
                .toList();
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("rack.csv")
                                .build()
                                .toString())
                .body(RackCsv.write(rows).getBytes(StandardCharsets.UTF_8));
    }

    private static Optional<RackCsv.Moisture> newest(Shelved board) {
        return board.readings().isEmpty()
                ? Optional.empty()
                : Optional.of(board.readings().get(board.readings().size() - 1))
                        .map(m -> new RackCsv.Moisture(m.percent(), RackCsv.day(m.at())));
    }

    @GetMapping("/timber/table")
    String form(Model model) {
        model.addAttribute("columns", RackCsv.columns());
        return "timber/table";
    }

    /** Reads a table and shows what it holds; nothing is kept yet. */
    @PostMapping("/timber/table")
    String look(
            @AuthenticationPrincipal Maker maker,
            @RequestParam MultipartFile file,
            Model model,
            HttpServletResponse response)
            throws IOException {
        byte[] bytes = file.getBytes();
        if (bytes.length > MOST_BYTES) {
            return refused(
                    Words.say("rack-table-controller.the-table-has-bytes-at-most", bytes.length, MOST_BYTES),
                    model,
                    response);
        }
        try {
            String csv = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
            return show(maker, csv, model, response);
        } catch (CharacterCodingException e) {
            return refused(Words.say("rack-table-controller.this-is-no-text-in-utf"), model, response);
        }
    }

    private String refused(String why, Model model, HttpServletResponse response) {
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("trouble", Words.say("rack-table-controller.nothing-was-saved", why));
        return form(model);
    }

    private String show(Maker maker, String csv, Model model, HttpServletResponse response) {
        CsvTable.Read<RackCsv.Row> read =
                RackCsv.read(csv, ways.of(maker.shop()).timbers(), rack.today());
        if (!read.troubles().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        }
        Set<String> there = new HashSet<>();
        boards.rack(maker.shop()).forEach(b -> there.add(b.board().name()));
        model.addAttribute("read", read);
        model.addAttribute(
                "twice",
                read.good().stream()
                        .map(RackCsv.Row::name)
                        .filter(n -> !there.add(n))
                        .toList());
        model.addAttribute("csv", csv);
        return form(model);
    }

    /** Keeps the good rows of a table that was looked at; whole or not at all. */
    @PostMapping("/timber/table/keep")
    String keep(
            @AuthenticationPrincipal Maker maker, @RequestParam String csv, Model model, HttpServletResponse response) {
        Timbers timbers = ways.of(maker.shop()).timbers();
        List<RackCsv.Row> good = RackCsv.read(csv, timbers, rack.today()).good();
        if (good.isEmpty()) {
            return refused(Words.say("rack-table-controller.there-is-no-row-in-it"), model, response);
        }
        transaction.executeWithoutResult(t -> good.forEach(row -> rack.take(maker, row)));
        return "redirect:/timber";
    }
}
