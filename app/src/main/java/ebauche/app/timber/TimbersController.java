package ebauche.app.timber;

import ebauche.app.account.Maker;
import ebauche.app.ways.Ways;
import ebauche.app.ways.WaysStore;
import ebauche.app.words.Words;
import ebauche.core.timber.Species;
import ebauche.exchange.file.OwnTimbers;
import ebauche.exchange.table.CsvTable;
import ebauche.exchange.table.TimberFile;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
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
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The timbers that are known, each value with its source; a shop adds its own with a table of the same columns. */
@Controller
class TimbersController {
    private static final int MOST_BYTES = 200_000;

    private final WaysStore ways;

    TimbersController(WaysStore ways) {
        this.ways = ways;
    }

    @GetMapping("/timber/timbers")
    String timbers(@AuthenticationPrincipal Maker maker, Model model) {
        Ways now = ways.of(maker.shop());
        model.addAttribute("timbers", now.timbers().all());
        model.addAttribute("own", now.means().own().stream().map(Species::key).toList());
        model.addAttribute("columns", String.join(",", TimberFile.COLUMNS));
        return "timber/timbers";
    }

    @GetMapping("/timber/timbers.csv")
    ResponseEntity<byte[]> shipped() {
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("timbers.csv")
                                .build()
                                .toString())
                .body(TimberFile.shippedBytes());
    }

    /** Adds a shop's own timbers; with one bad row none is kept. */
    @PostMapping("/timber/timbers")
    String add(
            @AuthenticationPrincipal Maker maker,
            @RequestParam MultipartFile file,
            Model model,
            HttpServletResponse response)
            throws IOException {
        CsvTable.Read<Species> read = file.getSize() > MOST_BYTES
                ? new CsvTable.Read<>(
                        java.util.List.of(),
                        java.util.List.of(new CsvTable.Trouble(
                                1, Words.say("timbers-controller.the-table-has-more-than-bytes", MOST_BYTES))))
                : TimberFile.read(new String(file.getBytes(), StandardCharsets.UTF_8));
        if (!read.troubles().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("troubles", read.troubles());
            return timbers(maker, model);
        }
        Ways now = ways.of(maker.shop());
        Map<String, Species> own = new LinkedHashMap<>();
        now.means().own().forEach(s -> own.put(s.key(), s));
        read.good().forEach(s -> own.put(s.key(), s));
        ObjectNode json = now.json().deepCopy();
        ArrayNode list = json.putArray("timbers");
        own.values().forEach(s -> list.add(OwnTimbers.write(s)));
        ways.keep(maker.shop(), now.number(), json, maker.name());
        return "redirect:/timber/timbers";
    }
}
