package ebauche.core.layout;

import ebauche.core.timber.Flaw;
import ebauche.core.timber.Side;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * Lays a draft: where in their boards its pieces are cut, and how each is turned.
 *
 * <p>Each board has some room along it and each of its lengths some room across. Both are tried in steps, and those kept
 * that cost least in faults and in lost offcuts, every piece turned as suits it best. Then the turns are chosen for all
 * pieces together by {@link Turns}. The steps make the whole a good laying, not surely the best of all.
 */
final class Laying {
    private static final int STEPS_ALONG = 9;
    private static final int STEPS_ACROSS = 5;
    private static final int FINER_ALONG = 33;
    private static final int FINER_ACROSS = 11;

    private final int stepsAlong;
    private final int stepsAcross;
    private final RackCapacity yard;
    private final ShowMap show;
    private final Preference taste;

    Laying(RackCapacity yard, ShowMap show, Preference taste) {
        this(yard, show, taste, STEPS_ALONG, STEPS_ACROSS);
    }

    static Laying inFinerSteps(RackCapacity yard, ShowMap show, Preference taste) {
        return new Laying(yard, show, taste, FINER_ALONG, FINER_ACROSS);
    }

    /** In other steps, to tell how much finer ones would find. */
    Laying(RackCapacity yard, ShowMap show, Preference taste, int stepsAlong, int stepsAcross) {
        this.stepsAlong = stepsAlong;
        this.stepsAcross = stepsAcross;
        this.yard = yard;
        this.show = show;
        this.taste = taste;
    }

    PlacedPieces lay(Draft draft) {
        return new One(draft, frontAt(draft)).lay();
    }

    private double frontAt(Draft draft) {
        Pattern pattern = draft.pattern();
        double thinnest = IntStream.range(0, draft.pieces())
                .mapToDouble(i -> yard.sawn(draft.board()[i], rough(pattern, i), pattern.bookMatched())
                        .piece())
                .min()
                .orElseThrow();
        return yard.frontAt(thinnest);
    }

    /** Width of the strip that a piece is opened from. */
    private double rough(Pattern pattern, int piece) {
        return pattern.bookMatched() ? pattern.widest(yard.cutting) : pattern.rough(piece, yard.cutting);
    }

    /** y of the blank's lower end: the body lies in its middle. */
    private double low() {
        return (yard.need.outline().minY() + yard.need.outline().maxY()) / 2 - yard.length / 2;
    }

    double points(Piece piece, double frontAt) {
        double sum = 0;
        for (Flaw flaw : piece.flaws()) {
            sum += show.points(flaw, frontAt);
        }
        return taste.perFault() * sum;
    }

    /** One draft being laid. */
    private final class One {
        private final Draft draft;
        private final Pattern pattern;
        private final double frontAt;

        One(Draft draft, double frontAt) {
            this.draft = draft;
            this.pattern = draft.pattern();
            this.frontAt = frontAt;
        }

        PlacedPieces lay() {
            return pattern.bookMatched() ? bookMatched() : sideBySide();
        }

        private PlacedPieces sideBySide() {
            Piece[] pieces = new Piece[draft.pieces()];
            List<BoardUse> uses = new ArrayList<>();
            List<List<List<Integer>>> numbers = new ArrayList<>();
            grouped().forEach((board, lengths) -> {
                BoardUse use = bestUse(board, lengths);
                uses.add(use);
                numbers.add(lengths.stream()
                        .map(l -> l.stream().map(p -> p + 1).toList())
                        .toList());
                place(use, lengths, pieces);
            });
            Turns turns = new Turns(pieces, p -> points(p, frontAt));
            List<Piece> turned = turns.cheapest();
            double faults = turned.stream().mapToDouble(p -> points(p, frontAt)).sum();
            return new PlacedPieces(turned, false, frontAt, uses, numbers, faults);
        }

        /** The pieces by board, and within it by length. */
        private Map<Integer, List<List<Integer>>> grouped() {
            Map<Integer, Map<Integer, List<Integer>>> byBoard = new LinkedHashMap<>();
            for (int i = 0; i < draft.pieces(); i++) {
                byBoard.computeIfAbsent(draft.board()[i], b -> new LinkedHashMap<>())
                        .computeIfAbsent(draft.segment()[i], s -> new ArrayList<>())
                        .add(i);
            }
            Map<Integer, List<List<Integer>>> out = new LinkedHashMap<>();
            byBoard.forEach((b, lengths) -> out.put(b, List.copyOf(lengths.values())));
            return out;
        }

        /** The cheapest place in a board for its pieces. */
        private BoardUse bestUse(int board, List<List<Integer>> pieces) {
            double along = Math.max(0, yard.slackAlong(board, pieces.size()));
            int steps = sound(board) || along < 1 ? 1 : stepsAlong;
            BoardUse best = null;
            double least = Double.POSITIVE_INFINITY;
            for (Side from : facesToSlice(board, pieces)) {
                for (int i = 0; i < steps; i++) {
                    double start = yard.trim(board) + (steps == 1 ? 0 : along * i / (steps - 1));
                    List<BoardUse.Length> lengths = new ArrayList<>();
                    for (int s = 0; s < pieces.size(); s++) {
                        lengths.add(bestLength(board, from, start + yard.pitch() * s, pieces.get(s)));
                    }
                    BoardUse use = new BoardUse(yard, board, false, from, start, lengths);
                    double cost = use.points(taste) + faults(use, pieces);
                    if (cost < least - 1e-9) {
                        least = cost;
                        best = use;
                    }
                }
            }
            return best;
        }

        /** Slices come off either face of a board with faults; off face A where it makes no difference. */
        private Side[] facesToSlice(int board, List<List<Integer>> pieces) {
            boolean sliced = pieces.stream()
                    .flatMap(List::stream)
                    .anyMatch(p -> yard.sawn(board, rough(pattern, p), pattern.bookMatched())
                            .leavesRest());
            return sliced && !sound(board) ? Side.values() : new Side[] {Side.A};
        }

        /** The cheapest place across a board for the strips of one of its lengths. */
        private BoardUse.Length bestLength(int board, Side from, double start, List<Integer> pieces) {
            List<Double> strips =
                    pieces.stream().map(p -> pattern.rough(p, yard.cutting)).toList();
            double taken = strips.stream().mapToDouble(w -> w).sum() + (strips.size() - 1) * yard.cutting.ripKerf();
            double across = Math.max(0, yard.board(board).width() - taken);
            int steps = sound(board) || across < 1 ? 1 : stepsAcross;
            BoardUse.Length best = null;
            double least = Double.POSITIVE_INFINITY;
            for (int i = 0; i < steps; i++) {
                BoardUse.Length length = new BoardUse.Length(steps == 1 ? 0 : across * i / (steps - 1), strips);
                BoardUse alone = new BoardUse(yard, board, false, from, start, List.of(length));
                double cost = alone.points(taste) + faults(alone, List.of(pieces));
                if (cost < least - 1e-9) {
                    least = cost;
                    best = length;
                }
            }
            return best;
        }

        private boolean sound(int board) {
            return yard.board(board).defects().isEmpty();
        }

        /** Points of the faults of a board's pieces, each turned as suits it best. */
        private double faults(BoardUse use, List<List<Integer>> pieces) {
            if (sound(use.index())) {
                return 0;
            }
            Piece[] placed = new Piece[draft.pieces()];
            place(use, pieces, placed);
            double sum = 0;
            for (Piece piece : placed) {
                if (piece != null) {
                    sum += Turns.least(piece, p -> points(p, frontAt));
                }
            }
            return sum;
        }

        private void place(BoardUse use, List<List<Integer>> pieces, Piece[] out) {
            for (int s = 0; s < pieces.size(); s++) {
                for (int lane = 0; lane < pieces.get(s).size(); lane++) {
                    int p = pieces.get(s).get(lane);
                    out[p] = piece(p, use, s, use.stripStart(s, lane), 0).turned(Side.A, true);
                }
            }
        }

        /** Piece {@code p} out of the length {@code s} of a board. */
        private Piece piece(int p, BoardUse use, int s, double fromEdge, int slice) {
            double thickness = yard.board(use.index()).thickness();
            Sawn sawn = yard.sawn(use.index(), rough(pattern, p), pattern.bookMatched());
            return new Piece(
                    yard.board(use.index()),
                    use.lengthStart(s),
                    fromEdge,
                    pattern.rough(p, yard.cutting),
                    sawn.top(slice, use.from(), thickness),
                    sawn.bottom(slice, use.from(), thickness),
                    Side.A,
                    true,
                    pattern.edges()[p],
                    pattern.width(p),
                    low(),
                    yard.length,
                    pattern.jointedLeft(p, yard.cutting));
        }

        /** A board resawn and opened: along it and for either edge at the centre, the cheapest. */
        private PlacedPieces bookMatched() {
            int board = draft.board()[0];
            double along = Math.max(0, yard.slackAlong(board, 1));
            int steps = sound(board) || along < 1 ? 1 : stepsAlong;
            PlacedPieces best = null;
            double least = Double.POSITIVE_INFINITY;
            for (Side from : facesToSlice(board, List.of(List.of(0, 1)))) {
                for (int i = 0; i < steps; i++) {
                    double start = yard.trim(board) + (steps == 1 ? 0 : along * i / (steps - 1));
                    for (boolean markedAtCentre : new boolean[] {true, false}) {
                        PlacedPieces laid = opened(board, from, start, markedAtCentre);
                        double cost = laid.timber(taste) + laid.faults();
                        if (cost < least - 1e-9) {
                            least = cost;
                            best = laid;
                        }
                    }
                }
            }
            return best;
        }

        /** Opened like a book: the sawn faces up, the halves mirrored about the centre line. */
        private PlacedPieces opened(int board, Side from, double start, boolean markedAtCentre) {
            double widest = pattern.widest(yard.cutting);
            BoardUse use =
                    new BoardUse(yard, board, true, from, start, List.of(new BoardUse.Length(0, List.of(widest))));
            List<Piece> pieces = new ArrayList<>();
            for (int p = 0; p < 2; p++) {
                double fromEdge = markedAtCentre ? 0 : widest - pattern.rough(p, yard.cutting);
                // The left half is the slice nearer to face A: its sawn face is its lower one.
                int slice = (p == 0) == (from == Side.A) ? 0 : 1;
                pieces.add(piece(p, use, 0, fromEdge, slice).turned(p == 0 ? Side.B : Side.A, markedAtCentre));
            }
            double faults = pieces.stream().mapToDouble(p -> points(p, frontAt)).sum();
            return new PlacedPieces(pieces, true, frontAt, List.of(use), List.of(List.of(List.of(1))), faults);
        }
    }
}
