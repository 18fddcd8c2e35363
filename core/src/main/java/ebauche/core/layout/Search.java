package ebauche.core.layout;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;

/**
 * Every way of cutting one pattern's strips out of the rack's boards, cheapest first as far as can be told.
 *
 * <p>Branch and bound: strips are given to boards one after another, outer pair first. A partial draft is dropped when
 * what it surely counts (its seams, boards, odd pairs, readiness, and the net volume of all strips, the missing ones at
 * the cheapest board's thickness) is no better than the worst layout that is still kept. A branch that is left because
 * the budget of {@code nodes} ran out makes the result the best that is known instead of the best there is.
 */
final class Search {
    private final RackCapacity yard;
    private final Preference taste;
    private final Score points;
    private final Pattern pattern;
    private final double[] rough;
    private final int[] order;
    private final int[] board;
    private final int[] segment;
    private final double[][] leftInSegment;
    private final int[] stripsOf;
    private final double[] restLitres;
    private final List<Integer> candidates;
    private final Kept kept;
    private final Consumer<Draft> found;
    private final Budget budget;

    /** The worst that is still kept. */
    interface Kept {
        double worst();
    }

    /** How much may be tried; shared by the patterns of one kind. */
    static final class Budget {
        private long nodes;
        private boolean ranOut;

        Budget(long nodes) {
            this.nodes = nodes;
        }

        boolean spend() {
            if (nodes <= 0) {
                ranOut = true;
                return false;
            }
            nodes--;
            return true;
        }

        boolean ranOut() {
            return ranOut;
        }
    }

    Search(RackCapacity yard, Preference taste, Pattern pattern, Kept kept, Budget budget, Consumer<Draft> found) {
        this.yard = yard;
        this.taste = taste;
        this.points = new Score(yard, taste);
        this.pattern = pattern;
        this.kept = kept;
        this.budget = budget;
        this.found = found;
        int n = pattern.pieces();
        this.rough = new double[n];
        for (int i = 0; i < n; i++) {
            rough[i] = pattern.rough(i, yard.cutting);
        }
        this.order = outerFirst(n);
        this.board = new int[n];
        this.segment = new int[n];
        this.leftInSegment = new double[yard.size()][];
        this.stripsOf = new int[yard.size()];
        this.candidates = candidates();
        this.restLitres = restLitres();
    }

    private static int[] outerFirst(int n) {
        int[] order = new int[n];
        for (int i = 0; i < n; i++) {
            order[i] = i % 2 == 0 ? i / 2 : n - 1 - i / 2;
        }
        return order;
    }

    /** Boards that can give at least one strip, the thinnest and then the smallest first. */
    private List<Integer> candidates() {
        double narrowest = Arrays.stream(rough).min().orElseThrow();
        List<Integer> usable = new ArrayList<>();
        for (int b = 0; b < yard.size(); b++) {
            if (yard.segments(b) > 0
                    && yard.thickEnough(b, pattern.bookMatched())
                    && yard.board(b).width() >= narrowest) {
                usable.add(b);
            }
        }
        usable.sort(Comparator.<Integer>comparingDouble(b -> yard.board(b).thickness())
                .thenComparingDouble(b -> yard.board(b).volume())
                .thenComparingInt(b -> b));
        return usable;
    }

    /** Net volume of the strips still to come, by how many are placed. */
    private double[] restLitres() {
        double[] rest = new double[rough.length + 1];
        for (int i = rough.length - 1; i >= 0; i--) {
            double wide = rough[order[i]];
            double strip = candidates.stream()
                    .mapToDouble(b -> yard.litres(b, wide, pattern.bookMatched()))
                    .min()
                    .orElse(0);
            rest[i] = rest[i + 1] + (pattern.bookMatched() ? strip / 2 : strip);
        }
        return rest;
    }

    /** What any draft of this pattern counts at least: its seams, its mass and the net volume of its strips. */
    double atLeast() {
        return candidates.isEmpty() ? Double.POSITIVE_INFINITY : seamsAndMass() + taste.perLitre() * restLitres[0];
    }

    private double seamsAndMass() {
        return taste.perSeam() * (rough.length - 1)
                + taste.perKilogram()
                        * candidates.stream()
                                .mapToDouble(points::kilograms)
                                .min()
                                .orElse(0);
    }

    void run() {
        if (candidates.isEmpty()) {
            return;
        }
        if (pattern.bookMatched()) {
            double widest = pattern.widest(yard.cutting);
            if (widest > yard.cutting.resawHeight()) {
                return;
            }
            for (int b : candidates) {
                if (yard.board(b).width() >= widest && budget.spend()) {
                    found.accept(new Draft(pattern, new int[] {b, b}, new int[] {0, 0}));
                }
            }
            return;
        }
        place(0, seamsAndMass(), 0);
    }

    /**
     * Gives the strip at {@code step} to every board that can hold it.
     *
     * @param sure points that are certain by now, timber left out
     * @param litres net volume of what is placed
     */
    private void place(int step, double sure, double litres) {
        if (sure + taste.perLitre() * (litres + restLitres[step]) >= kept.worst()) {
            return;
        }
        if (step == rough.length) {
            found.accept(new Draft(pattern, board.clone(), segment.clone()));
            return;
        }
        int strip = order[step];
        Set<Integer> tried = new HashSet<>();
        for (int earlier = 0; earlier < step; earlier++) {
            tried.add(board[order[earlier]]);
        }
        List<Integer> used = List.copyOf(tried);
        for (int b : used) {
            inBoard(step, strip, b, sure, litres);
        }
        for (int b : candidates) {
            if (!tried.contains(b)) {
                inBoard(step, strip, b, sure, litres);
            }
        }
    }

    private void inBoard(int step, int strip, int b, double sure, double litres) {
        if (!yard.thickEnough(b, false) || !budget.spend()) {
            return;
        }
        boolean first = stripsOf[b] == 0;
        if (first) {
            leftInSegment[b] = new double[yard.segments(b)];
            Arrays.fill(leftInSegment[b], yard.board(b).width() + yard.cutting.ripKerf());
        }
        double more = (first && step > 0 ? taste.perBoard() : 0)
                + (first && !yard.rack.get(b).ready() ? Preference.NOT_READY : 0)
                + (oddPartner(step, strip, b) ? taste.perOddPair() : 0);
        double wide = rough[strip] + yard.cutting.ripKerf();
        for (int s = 0; s < leftInSegment[b].length; s++) {
            boolean untouched = leftInSegment[b][s] >= yard.board(b).width() + yard.cutting.ripKerf() - 1e-9;
            if (leftInSegment[b][s] >= wide - 1e-9) {
                board[strip] = b;
                segment[strip] = s;
                leftInSegment[b][s] -= wide;
                stripsOf[b]++;
                place(step + 1, sure + more, litres + yard.litres(b, rough[strip], false));
                stripsOf[b]--;
                leftInSegment[b][s] += wide;
            }
            if (untouched) {
                // Lengths that nothing was taken from are alike: one of them stands for all.
                break;
            }
        }
    }

    /** Whether the piece mirrored about the centre line is placed already, out of another board. */
    private boolean oddPartner(int step, int strip, int b) {
        int partner = rough.length - 1 - strip;
        for (int earlier = 0; earlier < step; earlier++) {
            if (order[earlier] == partner) {
                return board[partner] != b;
            }
        }
        return false;
    }
}
