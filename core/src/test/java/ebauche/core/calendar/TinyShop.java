package ebauche.core.calendar;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;

/** A shop of hands in Berlin with bodies whose steps follow each other, a block each. */
final class TinyShop {
    private final long from;
    private final List<Workload.Worker> hands = new ArrayList<>();
    private final List<Thing> things = new ArrayList<>();
    private final List<Workload.Job> jobs = new ArrayList<>();
    private final List<Block> blocks = new ArrayList<>();

    private TinyShop(long from) {
        this.from = from;
    }

    static TinyShop of(Hand hand, LocalDate first, long from) {
        TinyShop shop = new TinyShop(from);
        return shop.and(hand, first);
    }

    TinyShop and(Hand hand, LocalDate first) {
        hands.add(new Workload.Worker(
                hand,
                hand.working(ZoneId.of("Europe/Berlin"), first, 60, Set.of()).since(from)));
        return this;
    }

    TinyShop thing(String name, int count) {
        things.add(new Thing(name, count));
        return this;
    }

    static Block.Piece piece(String name, int minutes, int rests) {
        return new Block.Piece("blank:" + name, "Do " + name, minutes, rests, rests > 0);
    }

    TinyShop body(String name, Block.Piece... steps) {
        return body(name, OptionalLong.empty(), List.of(), steps);
    }

    /** Every one of its steps takes the same. */
    TinyShop body(String name, OptionalLong due, List<Block.Use> uses, Block.Piece... steps) {
        jobs.add(new Workload.Job(name, name, due));
        int rests = 0;
        for (int i = 0; i < steps.length; i++) {
            List<Block.After> after = i == 0 ? List.of() : List.of(new Block.After(blocks.size() - 1, rests));
            blocks.add(new Block(
                    jobs.size() - 1,
                    steps[i].key(),
                    List.of(steps[i]),
                    Set.of(Trade.BENCH),
                    uses,
                    after,
                    OptionalLong.of(0),
                    Optional.empty()));
            rests = steps[i].rests();
        }
        return this;
    }

    Workload load() {
        return new Workload(from, hands, things, jobs, blocks);
    }
}
