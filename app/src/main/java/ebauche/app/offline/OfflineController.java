package ebauche.app.offline;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.words.Words;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** What a tablet needs to go on without a network: the worker that keeps pages and entries, and what it may fetch ahead. */
@Controller
class OfflineController {
    /** Steps that are fetched ahead each time a page of the bench is shown. */
    private static final int AHEAD = 100;

    private final Bodies bodies;
    private final String worker;

    OfflineController(Bodies bodies) throws IOException {
        this.bodies = bodies;
        Resource[] files = new PathMatchingResourcePatternResolver().getResources("classpath:/static/**/*.*");
        Arrays.sort(files, Comparator.comparing(Resource::getDescription));
        String text = new String(
                OfflineController.class
                        .getResourceAsStream("/static/js/worker.js")
                        .readAllBytes(),
                StandardCharsets.UTF_8);
        this.worker = text.replace("__VERSION__", hash(files));
    }

    /** Tells one state of what ships from every other, so that a worker of an earlier one is replaced. */
    private static String hash(Resource[] files) throws IOException {
        try {
            MessageDigest all = MessageDigest.getInstance("SHA-256");
            for (Resource file : files) {
                all.update(file.getContentAsByteArray());
            }
            return HexFormat.of().formatHex(all.digest(), 0, 8);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The worker, from the root so that it may answer for every page. */
    @GetMapping("/worker.js")
    ResponseEntity<String> worker() {
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("text/javascript"))
                .cacheControl(CacheControl.noCache())
                .body(worker.replace("__NO_PAGE__", Words.say("offline.no-page")));
    }

    /** By which a tablet installs the app. */
    @GetMapping("/manifest.webmanifest")
    ResponseEntity<Map<String, Object>> manifest() {
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("application/manifest+json"))
                .body(Map.of(
                        "name",
                        Words.say("layout.ebauche-2"),
                        "short_name",
                        Words.say("layout.ebauche-2"),
                        "start_url",
                        "/",
                        "scope",
                        "/",
                        "display",
                        "standalone",
                        "background_color",
                        "#221b16",
                        "theme_color",
                        "#17120e",
                        "icons",
                        List.of(
                                icon("/static/icons/icon.svg", "any", "image/svg+xml"),
                                icon("/static/icons/icon-192.png", "192x192", "image/png"),
                                icon("/static/icons/icon-512.png", "512x512", "image/png"))));
    }

    private static Map<String, String> icon(String src, String sizes, String type) {
        return Map.of("src", src, "sizes", sizes, "type", type);
    }

    /** Pages of a body at the bench that are worth keeping: what is still to be done, in its order. */
    @GetMapping("/bodies/{id}/bench/ahead")
    ResponseEntity<List<String>> ahead(@AuthenticationPrincipal Maker maker, @PathVariable String id) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        List<String> pages = current.plan().steps().stream()
                .filter(s -> !s.done())
                .limit(AHEAD)
                .map(s -> current.here() + "/bench?step=" + s.operation().key())
                .toList();
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_JSON).body(pages);
    }
}
