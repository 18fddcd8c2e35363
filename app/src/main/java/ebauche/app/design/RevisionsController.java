package ebauche.app.design;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.body.BodyStore;
import ebauche.app.body.Revision;
import ebauche.app.web.PageModel;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Every revision of a body's design: who made it, when, what differs in it, and the way back to it. */
@Controller
@RequestMapping("/bodies/{id}/revisions")
class RevisionsController {
    /** On one page. */
    private static final int MOST = 30;

    private final Bodies bodies;
    private final BodyStore store;

    RevisionsController(Bodies bodies, BodyStore store) {
        this.bodies = bodies;
        this.store = store;
    }

    /** A place that differs, as it was and as it is since. */
    public record Changed(String field, String was, String is) {}

    /**
     * One revision.
     *
     * @param changed from the one before it
     * @param gluing whether how this one body is glued, or another of the shop's ways of its own, differs
     * @param sameAs an earlier one that it is all the same as, after another lay between
     */
    public record Made(Revision revision, List<Changed> changed, boolean gluing, Optional<Integer> sameAs) {}

    private record RevisionsView(Bodies.Current current, List<Made> made, Optional<Integer> earlier) {}

    @GetMapping
    String revisions(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(required = false) Integer before,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        int newest = current.revision().number();
        int last = before == null ? newest : Math.max(1, Math.min(newest, before - 1));
        int first = Math.max(1, last - MOST + 1);
        List<Revision> all = IntStream.rangeClosed(Math.max(1, first - 1), last)
                .mapToObj(n -> store.revision(current.body(), n).orElseThrow())
                .toList();
        List<Made> made = new ArrayList<>();
        for (int i = all.size() - 1; i >= 0 && all.get(i).number() >= first; i--) {
            made.add(made(all, i));
        }
        PageModel.put(model, new RevisionsView(current, made, first > 1 ? Optional.of(first) : Optional.empty()));
        return "design/revisions";
    }

    private static Made made(List<Revision> all, int i) {
        Revision revision = all.get(i);
        if (i == 0) {
            return new Made(revision, List.of(), false, Optional.empty());
        }
        Revision before = all.get(i - 1);
        return new Made(
                revision,
                changed(before, revision),
                !before.shop().equals(revision.shop()),
                all.subList(0, i - 1).stream()
                        .filter(r -> r.file().equals(revision.file()))
                        .map(Revision::number)
                        .reduce((a, b) -> b));
    }

    private static List<Changed> changed(Revision before, Revision since) {
        return DesignDifference.between(before.design(), since.design()).stream()
                .map(p -> new Changed(
                        p.field(),
                        DesignDifference.text(before.design(), p.path()),
                        DesignDifference.text(since.design(), p.path())))
                .toList();
    }
}
