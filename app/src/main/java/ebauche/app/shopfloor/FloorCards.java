package ebauche.app.shopfloor;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import ebauche.app.body.Bodies;
import ebauche.app.body.BodyStore;
import ebauche.app.ways.WaysStore;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The cards of the floor. A body is planned for its card once in each of its states; the card is kept, the plan is not. */
@Component
class FloorCards {
    private static final int CARDS_KEPT = 5_000;

    /** So many cards that are not known are made at once, a screen full; the rest when they come into sight. */
    static final int AT_ONCE = 6;

    private final Bodies bodies;
    private final BodyStore store;
    private final WaysStore ways;
    private final Cache<State, FloorCard> known =
            Caffeine.newBuilder().maximumSize(CARDS_KEPT).build();

    FloorCards(Bodies bodies, BodyStore store, WaysStore ways) {
        this.bodies = bodies;
        this.store = store;
        this.ways = ways;
    }

    private record State(long shop, long body, int revision, int entries, int ways) {}

    /** A place on the floor: its card, if that is known or was made now. */
    public record Place(BodyStore.Standing standing, Optional<FloorCard> card) {}

    /** The floor of a shop, the newest body first. */
    List<Place> floor(long shop) {
        int shopWays = ways.of(shop).number();
        List<Place> floor = new ArrayList<>();
        int made = 0;
        for (BodyStore.Standing standing : store.standing(shop)) {
            FloorCard card = known.getIfPresent(state(standing, shopWays));
            if (card == null && made < AT_ONCE) {
                card = make(standing, shopWays);
                made++;
            }
            floor.add(new Place(standing, Optional.ofNullable(card)));
        }
        return floor;
    }

    /** The card of one body as it stands now. */
    FloorCard card(long shop, String publicId) {
        Bodies.Current current = bodies.current(shop, publicId);
        BodyStore.Standing standing = new BodyStore.Standing(
                current.body(),
                current.revision().number(),
                current.plan().build().asBuilt().timeline().size());
        State state = state(standing, current.ways().number());
        return known.get(state, s -> FloorCard.of(current));
    }

    private FloorCard make(BodyStore.Standing standing, int shopWays) {
        FloorCard card = FloorCard.of(bodies.current(standing.body()));
        known.put(state(standing, shopWays), card);
        return card;
    }

    private static State state(BodyStore.Standing standing, int shopWays) {
        return new State(
                standing.body().shop(), standing.body().id(), standing.revision(), standing.entries(), shopWays);
    }
}
