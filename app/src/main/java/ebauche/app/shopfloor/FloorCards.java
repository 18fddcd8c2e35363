package ebauche.app.shopfloor;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import ebauche.app.body.Bodies;
import ebauche.app.body.Body;
import ebauche.app.body.BodyStore;
import ebauche.app.body.NextStep;
import ebauche.app.ways.HoleStore;
import ebauche.app.ways.Ways;
import ebauche.app.ways.WaysStore;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.measure.LengthUnit;
import jakarta.annotation.PreDestroy;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;

/**
 * The cards of the floor. A body is planned for its card once in each of its states, and the card written once in each unit; the card
 * is kept, the plan is not.
 */
@Component
class FloorCards {
    private static final int CARDS_KEPT = 5_000;

    /** Of the newest so many are made at once, a screen full; the rest beside the work, or when they come into sight. */
    static final int AT_ONCE = 6;

    private final Bodies bodies;
    private final BodyStore store;
    private final WaysStore ways;
    private final HoleStore holes;
    private final SpringTemplateEngine templates;
    private final Cache<State, Known> known =
            Caffeine.newBuilder().maximumSize(CARDS_KEPT).build();
    private final Set<State> underWay = ConcurrentHashMap.newKeySet();
    private final ExecutorService beside = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "floor cards");
        thread.setDaemon(true);
        return thread;
    });

    FloorCards(Bodies bodies, BodyStore store, WaysStore ways, HoleStore holes, SpringTemplateEngine templates) {
        this.bodies = bodies;
        this.store = store;
        this.ways = ways;
        this.holes = holes;
        this.templates = templates;
    }

    private record State(
            long shop, long body, int revision, int entries, Ways.State ways, LengthUnit unit, Locale language) {}

    /**
     * What the floor knows of a body.
     *
     * @param name empty where it was not looked at yet
     * @param done whether every step is
     * @param card as it is written in a page; empty where it was not looked at yet
     */
    record Known(Body body, String name, boolean done, List<NextStep> next, String card) {
        /** Whether something can be done at once. */
        boolean isReady(Instant now) {
            return next.stream().anyMatch(s -> !s.from().isAfter(now));
        }

        /** When the first that rests has rested; empty where something can be done, or nothing waits. */
        Optional<Instant> restsUntil(Instant now) {
            return isReady(now)
                    ? Optional.empty()
                    : next.stream().map(NextStep::from).min(Comparator.naturalOrder());
        }
    }

    /**
     * The bodies of a shop whose number or name holds what is sought, the newest first. Those that were not looked at since the app was
     * started are looked at now, one after the other; what is answered waits but for the newest of them.
     */
    List<Known> floor(long shop, String sought, Figures fig) {
        int number = ways.of(shop).number();
        HoleStore.Holes drilled = holes.of(shop);
        Locale language = Words.language();
        List<Known> floor = new ArrayList<>();
        for (BodyStore.Standing standing : store.standing(shop)) {
            if (!standing.isCalled(sought)) {
                continue;
            }
            Ways.State shopWays =
                    new Ways.State(number, drilled.besides(standing.body().id()));
            State state = state(standing, shopWays, fig, language);
            Known card = known.getIfPresent(state);
            if (card == null && floor.size() < AT_ONCE) {
                card = looked(FloorCard.of(bodies.current(standing.body())), fig);
                known.put(state, card);
            } else if (card == null && underWay.add(state)) {
                beside.execute(() -> look(standing.body(), state, fig));
            }
            floor.add(card == null ? new Known(standing.body(), "", false, List.of(), "") : card);
        }
        return floor;
    }

    private void look(Body body, State state, Figures fig) {
        LocaleContextHolder.setLocale(state.language());
        try {
            known.put(state, looked(FloorCard.of(bodies.lookedAt(body)), fig));
        } finally {
            underWay.remove(state);
        }
    }

    @PreDestroy
    void stop() {
        beside.shutdownNow();
    }

    /** The card of one body as it stands now. */
    String card(long shop, String publicId, Figures fig) {
        Bodies.Current current = bodies.current(shop, publicId);
        BodyStore.Standing standing = new BodyStore.Standing(
                current.body(),
                current.revision().number(),
                current.name(),
                current.plan().build().asBuilt().timeline().size());
        return known.get(
                        state(standing, current.ways().state(), fig, Words.language()),
                        s -> looked(FloorCard.of(current), fig))
                .card();
    }

    private Known looked(FloorCard card, Figures fig) {
        return new Known(card.body(), card.name(), card.next().isEmpty(), card.nextSteps(), written(card, fig));
    }

    private static State state(BodyStore.Standing standing, Ways.State shopWays, Figures fig, Locale language) {
        Body body = standing.body();
        return new State(
                body.shop(), body.id(), standing.revision(), standing.entries(), shopWays, fig.unit(), language);
    }

    private String written(FloorCard card, Figures fig) {
        return templates.process("shopfloor/card", new Context(Words.language(), Map.of("card", card, "fig", fig)));
    }

    /** In the place of a card that is not made yet: asks for it when it comes into sight. */
    String waiting(Body body) {
        return templates.process("shopfloor/waiting", new Context(Words.language(), Map.of("body", body)));
    }
}
