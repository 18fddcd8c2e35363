package ebauche.app.shopfloor;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import ebauche.app.body.Bodies;
import ebauche.app.body.Body;
import ebauche.app.body.BodyStore;
import ebauche.app.ways.HoleStore;
import ebauche.app.ways.Ways;
import ebauche.app.ways.WaysStore;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.measure.LengthUnit;
import java.util.Locale;
import java.util.Map;
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

    /** So many cards that are not known are made at once, a screen full; the rest when they come into sight. */
    static final int AT_ONCE = 6;

    private final Bodies bodies;
    private final BodyStore store;
    private final WaysStore ways;
    private final HoleStore holes;
    private final SpringTemplateEngine templates;
    private final Cache<State, String> known =
            Caffeine.newBuilder().maximumSize(CARDS_KEPT).build();

    FloorCards(Bodies bodies, BodyStore store, WaysStore ways, HoleStore holes, SpringTemplateEngine templates) {
        this.bodies = bodies;
        this.store = store;
        this.ways = ways;
        this.holes = holes;
        this.templates = templates;
    }

    private record State(
            long shop, long body, int revision, int entries, Ways.State ways, LengthUnit unit, Locale language) {}

    /** The floor of a shop as it is written in a page, the newest body first. */
    String floor(long shop, Figures fig) {
        int number = ways.of(shop).number();
        HoleStore.Holes drilled = holes.of(shop);
        StringBuilder floor = new StringBuilder();
        int made = 0;
        for (BodyStore.Standing standing : store.standing(shop)) {
            Ways.State shopWays =
                    new Ways.State(number, drilled.besides(standing.body().id()));
            State state = state(standing, shopWays, fig);
            String card = known.getIfPresent(state);
            if (card == null && made < AT_ONCE) {
                card = written(FloorCard.of(bodies.current(standing.body())), fig);
                known.put(state, card);
                made++;
            }
            floor.append(card == null ? waiting(standing.body()) : card);
        }
        return floor.toString();
    }

    /** The card of one body as it stands now. */
    String card(long shop, String publicId, Figures fig) {
        Bodies.Current current = bodies.current(shop, publicId);
        BodyStore.Standing standing = new BodyStore.Standing(
                current.body(),
                current.revision().number(),
                current.plan().build().asBuilt().timeline().size());
        return known.get(state(standing, current.ways().state(), fig), s -> written(FloorCard.of(current), fig));
    }

    private static State state(BodyStore.Standing standing, Ways.State shopWays, Figures fig) {
        Body body = standing.body();
        return new State(
                body.shop(),
                body.id(),
                standing.revision(),
                standing.entries(),
                shopWays,
                fig.unit(),
                Words.language());
    }

    private String written(FloorCard card, Figures fig) {
        return templates.process("shopfloor/card", new Context(Words.language(), Map.of("card", card, "fig", fig)));
    }

    private String waiting(Body body) {
        return templates.process("shopfloor/waiting", new Context(Words.language(), Map.of("body", body)));
    }
}
