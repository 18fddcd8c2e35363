package ebauche.exchange.drawn;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Joins open pieces end to end until they close: many programs write an outline as loose lines and arcs in any order and
 * direction.
 *
 * <p>Ends are found by the cell of a grid as wide as they may stand apart, so that the work grows with the number of pieces.
 * Where several pieces meet, the first that was drawn goes on.
 */
final class Chains {
    /** Gaps under this share of what two ends may stand apart are roundings. */
    private static final double ROUNDING = 0.1;

    private final double apart;
    private final Map<Long, List<Piece>> ends = new HashMap<>();
    private final List<Piece> pieces = new ArrayList<>();

    private static final class Piece {
        private final String name;
        private final List<Segment> segments;
        private boolean used;

        Piece(String name, List<Segment> segments) {
            this.name = name;
            this.segments = segments;
        }

        Point start() {
            return segments.get(0).start();
        }

        Point end() {
            return segments.get(segments.size() - 1).end();
        }
    }

    /** What came of it: closed shapes, and how many pieces are left open. */
    record Result(List<DrawnFile.Shape> closed, int open) {}

    /**
     * Starts with nothing.
     *
     * @param apart how far two ends may stand apart and still be one point
     */
    Chains(double apart) {
        this.apart = Math.max(apart, 1e-9);
    }

    void add(String name, List<Segment> segments) {
        if (segments.isEmpty()) {
            return;
        }
        Piece piece = new Piece(name, segments);
        pieces.add(piece);
        for (Point end : List.of(piece.start(), piece.end())) {
            ends.computeIfAbsent(cell(end, 0, 0), k -> new ArrayList<>()).add(piece);
        }
    }

    private long cell(Point p, int right, int up) {
        long x = (long) Math.floor(p.x() / apart) + right;
        long y = (long) Math.floor(p.y() / apart) + up;
        return x * 1_000_003L ^ y;
    }

    Result join() {
        List<DrawnFile.Shape> closed = new ArrayList<>();
        int open = 0;
        for (Piece first : pieces) {
            if (!first.used) {
                first.used = true;
                List<Segment> chain = new ArrayList<>(first.segments);
                int joined = 1;
                while (!closes(chain)) {
                    List<Segment> next = next(chain.get(chain.size() - 1).end());
                    if (next == null) {
                        break;
                    }
                    append(chain, next);
                    joined++;
                }
                if (closes(chain)) {
                    closed.add(new DrawnFile.Shape(first.name, closed(chain)));
                } else {
                    open += joined;
                }
            }
        }
        return new Result(closed, open);
    }

    private boolean closes(List<Segment> chain) {
        Point start = chain.get(0).start();
        Point end = chain.get(chain.size() - 1).end();
        boolean goesRound = chain.size() > 1 || chain.get(0).length() > 4 * apart;
        return goesRound && start.distance(end) <= apart;
    }

    /** The first unused piece that begins or ends here, run the way that goes on. */
    private List<Segment> next(Point here) {
        for (int right = -1; right <= 1; right++) {
            for (int up = -1; up <= 1; up++) {
                List<Piece> there = ends.get(cell(here, right, up));
                if (there == null) {
                    continue;
                }
                there.removeIf(p -> p.used);
                for (Piece piece : there) {
                    boolean forward = piece.start().distance(here) <= apart;
                    if (forward || piece.end().distance(here) <= apart) {
                        piece.used = true;
                        return forward ? piece.segments : reversed(piece.segments);
                    }
                }
            }
        }
        return null;
    }

    static List<Segment> reversed(List<Segment> segments) {
        List<Segment> turned =
                new ArrayList<>(segments.stream().map(Segment::reversed).toList());
        Collections.reverse(turned);
        return turned;
    }

    private void append(List<Segment> chain, List<Segment> more) {
        bridge(chain, more.get(0).start());
        chain.addAll(more);
    }

    private List<Segment> closed(List<Segment> chain) {
        bridge(chain, chain.get(0).start());
        return chain;
    }

    /** A gap too narrow to be seen is closed with a line, and a mere rounding of numbers is let be. */
    private void bridge(List<Segment> chain, Point to) {
        Point from = chain.get(chain.size() - 1).end();
        if (from.distance(to) > apart * ROUNDING) {
            chain.add(new Segment.Line(from, to));
        }
    }
}
