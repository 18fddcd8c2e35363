package ebauche.app.reading;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.web.Figures;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.plan.Planner;
import ebauche.core.sheet.Moved;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;

/**
 * Readings that were typed into one form, each under its measurand's word, with {@code entry.WORD} for its id and, where it was
 * asked for before, {@code first.WORD}. They are logged all or none.
 *
 * @param read those that can be meant
 * @param troubles what is wrong, by word
 * @param first what was read before, of those that want a second look, by word
 */
public record SeveralReadings(List<AsBuilt.Reading> read, Map<String, String> troubles, Map<String, String> first) {

    /** Reads a form's fields that name measurands. */
    public static SeveralReadings of(
            Readings readings,
            Bodies.Current current,
            Maker maker,
            Map<String, String> typed,
            Predicate<String> measurands,
            Figures fig) {
        SeveralReadings all = new SeveralReadings(new ArrayList<>(), new LinkedHashMap<>(), new LinkedHashMap<>());
        typed.forEach((key, value) -> {
            if (measurands.test(key) && !value.isBlank()) {
                all.add(readings, current, maker, typed, key, value, fig);
            }
        });
        if (all.troubles.isEmpty() && !all.read.isEmpty()) {
            all.together(current)
                    .ifPresent(
                            why -> all.troubles.put(all.read.get(0).measures().key(), why));
        }
        return all;
    }

    private void add(
            Readings readings,
            Bodies.Current current,
            Maker maker,
            Map<String, String> typed,
            String key,
            String value,
            Figures fig) {
        try {
            UUID entry = UUID.fromString(typed.getOrDefault("entry." + key, ""));
            String before = typed.getOrDefault("first." + key, "");
            read.add(readings.read(current, maker, entry, key, value, "", before, fig));
        } catch (Readings.AskAgain again) {
            troubles.put(key, again.getMessage());
            first.put(key, again.first());
        } catch (IllegalArgumentException e) {
            troubles.put(key, e.getMessage());
        }
    }

    /** Why readings that can each be true cannot be so together, if they cannot. */
    private Optional<String> together(Bodies.Current current) {
        Build build = current.plan().build();
        List<AsBuilt.Entry> timeline = new ArrayList<>(build.asBuilt().timeline());
        List<String> there = timeline.stream().map(AsBuilt.Entry::id).toList();
        read.stream().filter(r -> !there.contains(r.id())).forEach(timeline::add);
        try {
            new Build(build.drawn(), build.shop(), new AsBuilt(timeline));
            return Optional.empty();
        } catch (IllegalArgumentException e) {
            return Optional.of(e.getMessage());
        }
    }

    /** Whether there is something to log and nothing against it. */
    public boolean good() {
        return troubles.isEmpty() && !read.isEmpty();
    }

    /** Answers a form that cannot be logged: what was typed, what is wrong with it, and that nothing was typed at all. */
    public void refuse(Map<String, String> typed, Model model, HttpServletResponse response) {
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("nothing", troubles.isEmpty());
        model.addAttribute("troubles", troubles);
        model.addAttribute("first", first);
        model.addAttribute("typed", typed);
    }

    /** Their ids, as an address carries them. */
    public String ids() {
        return String.join(",", read.stream().map(AsBuilt.Reading::id).toList());
    }

    /** Tells what was just logged under some ids, and what moved by it; nothing if no such entry stands in the record. */
    public static void acknowledge(Bodies.Current current, List<String> logged, Model model) {
        List<AsBuilt.Entry> before =
                new ArrayList<>(current.plan().build().asBuilt().timeline());
        List<AsBuilt.Entry> entries =
                before.stream().filter(e -> logged.contains(e.id())).toList();
        if (before.removeAll(entries)) {
            Build without = Bodies.build(current.revision().file(), current.ways(), new AsBuilt(before));
            model.addAttribute("logged", entries);
            model.addAttribute("moved", Moved.between(Planner.plan(without), current.plan()));
        }
    }
}
