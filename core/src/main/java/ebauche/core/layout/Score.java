package ebauche.core.layout;

import ebauche.core.measure.Decimals;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.BiPredicate;

/** What counts against a layout, term by term; the search adds up the same terms, with faults estimated. */
final class Score {
    private final RackCapacity yard;
    private final Preference taste;

    Score(RackCapacity yard, Preference taste) {
        this.yard = yard;
        this.taste = taste;
    }

    /** What a draft surely counts before its pieces are placed: all but the timber used up, the faults and how neighbours meet. */
    double beforePlacing(Draft draft) {
        return taste.perSeam() * (draft.pieces() - 1)
                + taste.perBoard() * (boards(draft.board()) - 1)
                + taste.perOddPair() * oddPairs(draft.board())
                + Preference.NOT_READY * notReady(draft.board())
                + Preference.PER_MOISTURE * apart(draft.board())
                + taste.perKilogram() * kilograms(draft.board()[0])
                + Preference.PER_GRAIN_DEGREE * grain(draft.board());
    }

    double kilograms(int board) {
        return yard.need.outline().area()
                * yard.need.finished()
                * yard.board(board).species().density().value()
                * 1e-9;
    }

    double total(Draft draft, PlacedPieces laid) {
        return beforePlacing(draft)
                + laid.timber(taste)
                + laid.faults()
                + Preference.RINGS_ALIKE * ringsAlike(laid)
                + Preference.PLANED_APART * planedApart(laid);
    }

    /** The same as a sum that can say why, faults judged exactly. */
    Reckoning reckoning(Draft draft, PlacedPieces laid, List<Judgement> judged) {
        double faults = taste.perFault()
                * judged.stream().mapToDouble(Judgement::points).sum();
        Sum sum = new Sum();
        sum.term("timber used up, dm³", laid.usedUp(), taste.perLitre());
        sum.term("rests too small for another body, dm³", laid.cutSmall(), taste.perLitreCutSmall());
        sum.term("seams", draft.pieces() - 1, taste.perSeam());
        sum.term("boards beyond the first", boards(draft.board()) - 1, taste.perBoard());
        sum.term("pairs from two boards", oddPairs(draft.board()), taste.perOddPair());
        sum.term("boards not ready", notReady(draft.board()), Preference.NOT_READY);
        sum.term("moisture apart beyond the limit, %", apart(draft.board()), Preference.PER_MOISTURE);
        sum.term("kilograms", kilograms(draft.board()[0]), taste.perKilogram());
        sum.term("degrees of grain off the length, a piece", grain(draft.board()), Preference.PER_GRAIN_DEGREE);
        sum.term("neighbours that cup alike", ringsAlike(laid), Preference.RINGS_ALIKE);
        sum.term("neighbours planed in opposite ways", planedApart(laid), Preference.PLANED_APART);
        sum.term("faults", faults, 1);
        return sum.done();
    }

    /** The same in words, what speaks for it and what against. */
    List<String> reasons(Draft draft, PlacedPieces laid, List<Judgement> judged) {
        List<String> said = new ArrayList<>();
        int boards = boards(draft.board());
        int seams = draft.pieces() - 1;
        said.add(seams == 0 ? "no seam" : seams == 1 ? "one seam, on the centre line" : seams + " seams, symmetrical");
        if (seams > 0) {
            said.add(
                    laid.bookMatched()
                            ? "halves mirrored"
                            : boards == 1 ? "all from one board" : "from " + boards + " boards");
        }
        if (laid.uses().stream().anyMatch(BoardUse::leavesThickness)) {
            said.add("sliced off thicker stock");
        }
        int waiting = notReady(draft.board());
        said.add(waiting == 0 ? "ready" : waiting == 1 ? "one board not ready" : waiting + " boards not ready");
        if (apart(draft.board()) > 0) {
            said.add("moisture too far apart");
        }
        if (ringsAlike(laid) > 0) {
            said.add("neighbours cup alike");
        }
        if (planedApart(laid) > 0) {
            said.add("planed in opposite ways");
        }
        long bad = judged.stream().filter(Judgement::bad).count();
        if (!judged.isEmpty()) {
            said.add(bad == 0 ? "its faults hidden" : bad == 1 ? "one fault in the way" : bad + " faults in the way");
        }
        return said;
    }

    private static final class Sum {
        private final Reckoning.Builder terms = Reckoning.of("points against it", Quantity.NUMBER);
        private double value;

        void term(String what, double count, double each) {
            if (count != 0) {
                String origin = each == 1 ? "judged one by one" : trimmed(count) + " x " + trimmed(each);
                terms.term(what, new Fact(count * each, Source.RULE, origin), Quantity.NUMBER);
                value += count * each;
            }
        }

        private static String trimmed(double number) {
            return Decimals.plain(number, 2);
        }

        Reckoning done() {
            return terms.is(value, "the sum of all");
        }
    }

    private static int boards(int[] board) {
        return (int) Arrays.stream(board).distinct().count();
    }

    /** Pairs of pieces mirrored about the centre line that come from two boards. */
    static int oddPairs(int[] board) {
        int odd = 0;
        for (int i = 0; i < board.length / 2; i++) {
            odd += board[i] == board[board.length - 1 - i] ? 0 : 1;
        }
        return odd;
    }

    private int notReady(int[] board) {
        return (int) Arrays.stream(board)
                .distinct()
                .filter(b -> !yard.rack.get(b).ready())
                .count();
    }

    /** Per cent of moisture by which the boards differ beyond what the shop allows; those never measured left out. */
    double apart(int[] board) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (int b : board) {
            if (yard.rack.get(b).moisture().isPresent()) {
                double m = yard.rack.get(b).moisture().getAsDouble();
                least = Math.min(least, m);
                most = Math.max(most, m);
            }
        }
        return Math.max(0, most - least - yard.cutting.moistureApart());
    }

    private double grain(int[] board) {
        return Arrays.stream(board)
                .mapToDouble(b -> Math.abs(yard.board(b).grainAngle()))
                .average()
                .orElse(0);
    }

    private static int ringsAlike(PlacedPieces laid) {
        return neighbours(laid, Turns::ringsAlike);
    }

    private static int planedApart(PlacedPieces laid) {
        return neighbours(laid, Turns::planedApart);
    }

    /** How many pairs of neighbours meet so; a book-matched pair is opened as it is, nothing of it is chosen. */
    private static int neighbours(PlacedPieces laid, BiPredicate<Piece, Piece> meet) {
        int count = 0;
        for (int i = 1; i < laid.pieces().size() && !laid.bookMatched(); i++) {
            count += meet.test(laid.pieces().get(i - 1), laid.pieces().get(i)) ? 1 : 0;
        }
        return count;
    }
}
