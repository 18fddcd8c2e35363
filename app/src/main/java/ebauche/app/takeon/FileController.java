package ebauche.app.takeon;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.body.Body;
import ebauche.app.body.BodyStore;
import ebauche.app.words.Words;
import ebauche.core.design.Hand;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.plan.BuildPlan;
import ebauche.exchange.design.Mirrored;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.json.BuildFileException;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import tools.jackson.databind.node.ObjectNode;

/** Bodies come in and go out as open files. */
@Controller
class FileController {
    private final Bodies bodies;
    private final BodyStore store;

    FileController(Bodies bodies, BodyStore store) {
        this.bodies = bodies;
        this.store = store;
    }

    @GetMapping("/bodies/take-on/other")
    String form(Model model) {
        model.addAttribute("patterns", DemoBodies.NAMES);
        return "takeon/other-ways";
    }

    /** A new body with the numbers of one that ships, to be changed; nothing is done on it. */
    @PostMapping("/bodies/from-pattern")
    String fromPattern(
            @AuthenticationPrincipal Maker maker,
            @RequestParam String pattern,
            @RequestParam String name,
            @RequestParam(defaultValue = "right") String hand,
            Model model,
            HttpServletResponse response) {
        if (!DemoBodies.NAMES.contains(pattern)
                || name.isBlank()
                || name.strip().length() > 120) {
            return refused(Words.say("take-on-controller.give-the-body-a-name-of"), model, response);
        }
        ObjectNode file = DemoBodies.read(pattern).withoutRecord();
        ObjectNode design = (ObjectNode) file.get("design");
        design.put("name", name.strip());
        if (Hand.LEFT.word().equals(hand)) {
            file.set("design", Mirrored.of(design));
        }
        Body body = store.add(maker.shop(), file, AsBuilt.NOTHING_YET, maker.name());
        return "redirect:/bodies/" + body.publicId() + "/design";
    }

    @PostMapping("/bodies/from-file")
    String fromFile(
            @AuthenticationPrincipal Maker maker,
            @RequestParam MultipartFile file,
            Model model,
            HttpServletResponse response)
            throws IOException {
        try {
            BuildFile read = BuildFile.read(file.getBytes());
            Body body =
                    store.add(maker.shop(), read.withoutRecord(), read.build().asBuilt(), maker.name());
            return "redirect:/bodies/" + body.publicId();
        } catch (BuildFileException e) {
            return refused(Words.say("take-on-controller.nothing-was-imported", e.inWords()), model, response);
        }
    }

    private String refused(String why, Model model, HttpServletResponse response) {
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("trouble", why);
        return form(model);
    }

    /** The body as it stands, as a build file. */
    @GetMapping("/bodies/{id}/file")
    ResponseEntity<byte[]> file(@AuthenticationPrincipal Maker maker, @PathVariable String id) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        BuildPlan plan = current.plan();
        byte[] bytes = BuildFile.write(
                Bodies.withWays(current.revision().file(), current.ways()),
                plan.build().asBuilt());
        String plain = current.name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        ContentDisposition disposition = ContentDisposition.attachment()
                .filename((plain.isBlank() || plain.equals("-") ? "body" : plain) + ".ebauche.json")
                .build();
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition.toString())
                .body(bytes);
    }
}
