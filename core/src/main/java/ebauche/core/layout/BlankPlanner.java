package ebauche.core.layout;

import ebauche.core.measure.Refusal;
import ebauche.core.shop.Cutting;
import ebauche.core.timber.Board;
import ebauche.core.timber.Species;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.TreeMap;

/**
 * Finds the blanks that a rack can give for a body, and ranks them.
 *
 * <p>For each timber and each number of pieces the two best of different boards are kept, so that a maker sees the kinds
 * side by side. {@link Pattern} says where seams may stand, {@link Search} gives strips to boards, {@link Laying} places
 * and turns them, {@link Score} counts. No clock decides: the budget is a number of tries, so that the same rack always
 * gives the same answer.
 */
public final class BlankPlanner {
    /** Partial drafts that are looked at for one number of pieces. */
    private static final long NODES = 10_000;

    /** Drafts of one number of pieces that are remembered for laying. */
    private static final int REMEMBERED = 200;

    /** Drafts of them that are laid: the dearest part. */
    private static final int LAYINGS = 50;

    /** Of those, so many of the best are laid once more in finer steps. */
    private static final int LAID_AGAIN = 6;

    private static final int KEPT_OF_A_KIND = 2;

    private BlankPlanner() {}

    /**
     * What is asked.
     *
     * @param rack the boards that may be cut, of any timber
     * @param snipes whether the blank goes through a machine that spoils its ends
     * @param mostPieces 1 to {@value Pattern#MOST_PIECES}
     */
    public record Request(
            List<OnRack> rack, Need need, Cutting cutting, boolean snipes, int mostPieces, Preference taste) {
        public Request {
            rack = List.copyOf(rack);
            Refusal.between(mostPieces, 1, Pattern.MOST_PIECES, "mostPieces");
            Refusal.unless(rack.size() <= 2000, "rack", "more than 2000 boards are not searched");
        }

        /** The same once a blank was cut from that rack: its boards gone, their rests there. */
        public Request after(Layout cut) {
            List<OnRack> left = new ArrayList<>();
            for (OnRack r : rack) {
                if (!cut.boards().contains(r.board())) {
                    left.add(r);
                    continue;
                }
                cut.offcuts().stream()
                        .filter(o -> o.name()
                                .substring(0, o.name().lastIndexOf('-'))
                                .equals(r.board().name()))
                        .forEach(o -> left.add(new OnRack(o, r.moisture(), r.ready())));
            }
            return new Request(left, need, cutting, snipes, mostPieces, taste);
        }
    }

    /**
     * What was found.
     *
     * @param layouts best first
     * @param provenBest whether the first is surely the best among the patterns that are tried
     * @param tooThin boards left out for their thickness
     * @param tooShort boards left out for their length
     */
    public record Answer(List<Layout> layouts, boolean provenBest, int tooThin, int tooShort) {
        public Answer {
            layouts = List.copyOf(layouts);
        }
    }

    public static Answer plan(Request request) {
        Map<Species, List<OnRack>> byTimber = new LinkedHashMap<>();
        request.rack()
                .forEach(r -> byTimber.computeIfAbsent(r.board().species(), s -> new ArrayList<>())
                        .add(r));
        ShowMap show = new ShowMap(request.need());
        List<Layout> layouts = new ArrayList<>();
        double mayBe = Double.POSITIVE_INFINITY;
        for (List<OnRack> rack : byTimber.values()) {
            RackCapacity yard = new RackCapacity(rack, request.need(), request.cutting(), request.snipes());
            for (Kind kind : Kind.upTo(request.mostPieces())) {
                OneKind search = new OneKind(yard, show, request.taste(), kind);
                layouts.addAll(search.run());
                mayBe = Math.min(mayBe, search.notLookedAt());
            }
        }
        layouts.sort(Comparator.comparingDouble(l -> l.points().value()));
        boolean proven = layouts.isEmpty() || mayBe >= layouts.get(0).points().value();
        return new Answer(layouts, proven, tooThin(request), tooShort(request));
    }

    private static int tooThin(Request request) {
        return (int) request.rack().stream()
                .filter(r -> r.board().thickness() < request.need().rough())
                .count();
    }

    private static int tooShort(Request request) {
        RackCapacity yard = new RackCapacity(request.rack(), request.need(), request.cutting(), request.snipes());
        int count = 0;
        for (int b = 0; b < yard.size(); b++) {
            count += yard.segments(b) == 0 ? 1 : 0;
        }
        return count;
    }

    private record Kind(int pieces, boolean bookMatched) {
        static List<Kind> upTo(int most) {
            List<Kind> kinds = new ArrayList<>();
            for (int n = 1; n <= most; n++) {
                kinds.add(new Kind(n, false));
                if (n == 2) {
                    kinds.add(new Kind(2, true));
                }
            }
            return kinds;
        }
    }

    /** The best layouts of one number of pieces. */
    static final class OneKind {
        private final RackCapacity yard;
        private final Preference taste;
        private final Score points;
        private final Laying laying;
        private final Laying finer;
        private final Kind kind;
        private final Search.Budget budget = new Search.Budget(NODES);
        private final Map<String, Scored> best = new TreeMap<>();
        private final PriorityQueue<Costed> drafts =
                new PriorityQueue<>(Comparator.comparingDouble(Costed::least).reversed());

        private final List<Scored> laid = new ArrayList<>();

        /** The least that a draft counts which was not remembered. */
        private double forgotFrom = Double.POSITIVE_INFINITY;

        /** What any draft of this kind counts at least. */
        private double atLeast = Double.POSITIVE_INFINITY;

        private double notLookedAt;

        /** A draft with the least that it can count. */
        private record Costed(Draft draft, double least) {}

        private record Scored(Draft draft, PlacedPieces laid, double total) {}

        OneKind(RackCapacity yard, ShowMap show, Preference taste, Kind kind) {
            this.yard = yard;
            this.taste = taste;
            this.points = new Score(yard, taste);
            this.laying = new Laying(yard, show, taste);
            this.finer = Laying.inFinerSteps(yard, show, taste);
            this.kind = kind;
        }

        List<Layout> run() {
            for (Pattern pattern : Pattern.of(kind.pieces(), kind.bookMatched(), yard.need, yard.cutting, yard.rack)) {
                Search search = new Search(yard, taste, pattern, this::dearestRemembered, budget, this::remember);
                atLeast = Math.min(atLeast, search.atLeast());
                search.run();
            }
            layThem();
            return best.values().stream().map(this::judged).toList();
        }

        private double dearestRemembered() {
            return drafts.size() < REMEMBERED
                    ? Double.POSITIVE_INFINITY
                    : drafts.peek().least();
        }

        private void remember(Draft draft) {
            drafts.add(new Costed(draft, points.beforePlacing(draft) + taste.perLitre() * yard.leastUsed(draft)));
            if (drafts.size() > REMEMBERED) {
                forgotFrom = Math.min(forgotFrom, drafts.poll().least());
            }
        }

        /** Lays the cheapest drafts first, until what is left cannot be better than what is kept. */
        private void layThem() {
            List<Costed> cheapestFirst = new ArrayList<>(drafts);
            cheapestFirst.sort(Comparator.comparingDouble(Costed::least));
            double next = forgotFrom;
            for (int i = 0; i < cheapestFirst.size() && cheapestFirst.get(i).least() < worstKept(); i++) {
                if (i == LAYINGS) {
                    next = cheapestFirst.get(i).least();
                    break;
                }
                Draft draft = cheapestFirst.get(i).draft();
                Scored scored = scored(draft, laying);
                laid.add(scored);
                keep(scored);
            }
            layTheBestInFinerSteps();
            notLookedAt = budget.ranOut() ? atLeast : next;
        }

        private Scored scored(Draft draft, Laying how) {
            PlacedPieces placed = how.lay(draft);
            return new Scored(draft, placed, points.total(draft, placed));
        }

        /** Where boards are full of faults a few millimetres decide: the best drafts are worth a closer look. */
        private void layTheBestInFinerSteps() {
            laid.sort(Comparator.comparingDouble(Scored::total));
            for (Scored coarse : laid.subList(0, Math.min(LAID_AGAIN, laid.size()))) {
                keep(scored(coarse.draft(), finer));
            }
        }

        static OneKind of(RackCapacity yard, ShowMap show, Preference taste, int pieces) {
            return new OneKind(yard, show, taste, new Kind(pieces, false));
        }

        /** The best total by the search's own count, faults estimated. */
        double bestTotal() {
            return best.values().stream().mapToDouble(Scored::total).min().orElse(Double.POSITIVE_INFINITY);
        }

        /** No draft that was not laid can count less than this. */
        double notLookedAt() {
            return notLookedAt;
        }

        private double worstKept() {
            return best.size() < KEPT_OF_A_KIND
                    ? Double.POSITIVE_INFINITY
                    : best.values().stream().mapToDouble(Scored::total).max().orElseThrow();
        }

        private void keep(Scored scored) {
            String boards = boards(scored.draft());
            Scored same = best.get(boards);
            if (same == null || scored.total() < same.total()) {
                best.put(boards, scored);
            }
            if (best.size() > KEPT_OF_A_KIND) {
                best.entrySet().stream()
                        .max(Map.Entry.comparingByValue(Comparator.comparingDouble(Scored::total)))
                        .map(Map.Entry::getKey)
                        .ifPresent(best::remove);
            }
        }

        private static String boards(Draft draft) {
            Set<Integer> used = new HashSet<>();
            for (int b : draft.board()) {
                used.add(b);
            }
            return used.stream().sorted().toList().toString();
        }

        private Layout judged(Scored scored) {
            PlacedPieces placed = scored.laid();
            List<Judgement> judged = new ArrayList<>();
            placed.pieces()
                    .forEach(p -> p.flaws().forEach(f -> judged.add(Judgement.of(f, yard.need, placed.frontAt()))));
            judged.sort(Comparator.comparingDouble(Judgement::points).reversed());
            List<Cut> cuts = new ArrayList<>();
            List<Board> offcuts = new ArrayList<>();
            for (int i = 0; i < placed.uses().size(); i++) {
                cuts.addAll(placed.uses().get(i).cuts(placed.numbers().get(i)));
                offcuts.addAll(placed.uses().get(i).offcutBoards());
            }
            return new Layout(
                    yard.need,
                    placed.pieces(),
                    placed.bookMatched(),
                    placed.frontAt(),
                    placed.usedUp(),
                    points.reckoning(scored.draft(), placed, judged),
                    points.reasons(scored.draft(), placed, judged),
                    judged,
                    cuts,
                    offcuts);
        }
    }
}
