package ebauche.core.layout;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.timber.Defect;
import ebauche.core.timber.Flaw;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What becomes of one fault in the finished body, exactly: the same test for the front, the back and the edge.
 *
 * @param fates all that hold of it
 * @param onFront what shows of it on the front, mm²
 * @param onBack the same on the back
 * @param onEdge length of edge that it reaches, mm
 */
public record Judgement(Flaw flaw, Set<Fate> fates, double onFront, double onBack, double onEdge) {

    /** Least area that an eye finds, mm². */
    private static final double SEEN = 1;

    private static final double SEEN_EDGE = 0.5;

    /** A back is looked at less than a front, an edge is sanded round: common practice. */
    private static final double BACK_COUNTS = 0.5;

    private static final double EDGE_POINTS_PER_CM = 0.6;
    private static final double SEAT_POINTS = 12;

    /** A nail in the body may ruin a cutter yet, wherever it lies. */
    private static final double METAL_POINTS = 10;

    /** What can become of a fault. */
    public enum Fate {
        SHOWS_FRONT("shows on the front", true),
        SHOWS_BACK("shows on the back", true),
        SHOWS_EDGE("shows on the edge", true),
        IN_SEAT("weakens the neck's seat", true),
        MEETS_CUTTER("meets a cutter", true),
        UNDER_HARDWARE("is hidden under hardware or a cover", false),
        IN_POCKET("is cut away in a pocket", false),
        BURIED("stays inside, unseen", false),
        WASTE("falls in waste", false);

        private final String words;
        private final boolean bad;

        Fate(String words, boolean bad) {
            this.words = words;
            this.bad = bad;
        }

        public String words() {
            return words;
        }

        public boolean bad() {
            return bad;
        }
    }

    public Judgement {
        fates = Set.copyOf(fates);
    }

    /** Judges a fault. */
    public static Judgement of(Flaw flaw, Need need, double frontAt) {
        return new Judge(flaw, need, frontAt).judge();
    }

    public boolean bad() {
        return fates.stream().anyMatch(Fate::bad);
    }

    /** Middle of its box. */
    public Point at() {
        return new Point((flaw.minX() + flaw.maxX()) / 2, (flaw.minY() + flaw.maxY()) / 2);
    }

    /** {@code knot: shows on the front and on the edge}. */
    public String inWords() {
        List<String> said = fates.stream().sorted().map(Fate::words).toList();
        return flaw.kind().words() + ": " + said.stream().collect(Collectors.joining(", "));
    }

    public double points() {
        return fates.contains(Fate.WASTE)
                ? 0
                : pointsOf(flaw.kind(), onFront, onBack, onEdge, fates.contains(Fate.IN_SEAT));
    }

    /** Points of a fault that lies in the finished body: by what shows, by where it weakens, and for metal at all. */
    static double pointsOf(Defect.Kind kind, double frontArea, double backArea, double edgeLength, boolean inSeat) {
        double shows = (frontArea + BACK_COUNTS * backArea) / 100 * kind.pointsPerSquareCentimetre();
        double edges = edgeLength / 10 * EDGE_POINTS_PER_CM * kind.pointsPerSquareCentimetre();
        double seat = inSeat && kind.weakens() ? SEAT_POINTS : 0;
        return shows + edges + seat + (kind == Defect.Kind.METAL ? METAL_POINTS : 0);
    }

    /** One fault held against the body. */
    private static final class Judge {
        private final Flaw flaw;
        private final Need need;
        private final double top;
        private final double bottom;
        private final Set<Fate> fates = EnumSet.noneOf(Fate.class);

        Judge(Flaw flaw, Need need, double frontAt) {
            this.flaw = flaw;
            this.need = need;
            this.top = flaw.top() - frontAt;
            this.bottom = flaw.bottom() - frontAt;
        }

        Judgement judge() {
            Region in = flaw.plan().intersection(need.outline());
            if (in.isEmpty() || bottom <= 0 || top >= need.finished()) {
                return new Judgement(flaw, Set.of(Fate.WASTE), 0, 0, 0);
            }
            double onFront = top <= 0 && need.showsFront()
                    ? shown(in, need.openFront(), need.coveredFront(), Fate.SHOWS_FRONT)
                    : 0;
            double onBack = bottom >= need.finished() && need.showsBack()
                    ? shown(in, need.openBack(), need.coveredBack(), Fate.SHOWS_BACK)
                    : 0;
            double onEdge = need.outline().edgeWithin(flaw.plan());
            if (onEdge > SEEN_EDGE) {
                fates.add(Fate.SHOWS_EDGE);
            }
            if (flaw.kind().weakens() && in.overlaps(need.seat())) {
                fates.add(Fate.IN_SEAT);
            }
            boolean cutAway = cutAway(in);
            if (flaw.kind() == Defect.Kind.METAL && (onEdge > 0 || touchesPocket(in))) {
                fates.add(Fate.MEETS_CUTTER);
            }
            if (fates.isEmpty()) {
                fates.add(cutAway ? Fate.IN_POCKET : Fate.BURIED);
            }
            return new Judgement(flaw, fates, onFront, onBack, onEdge > SEEN_EDGE ? onEdge : 0);
        }

        /** What is seen of it on a face; what only hardware hides is said too. */
        private double shown(Region in, Region open, Region covered, Fate shows) {
            Region onFace = in.minus(open);
            double seen = onFace.minus(covered).area();
            if (seen > SEEN) {
                fates.add(shows);
            } else if (onFace.area() > SEEN) {
                fates.add(Fate.UNDER_HARDWARE);
            }
            return seen > SEEN ? seen : 0;
        }

        /** Whether pockets take all of it, on the plan and in depth. */
        private boolean cutAway(Region in) {
            Region rest = in;
            for (Pocket pocket : need.pockets()) {
                if (pocket.top() <= Math.max(0, top) + SEEN
                        && pocket.bottom() >= Math.min(need.finished(), bottom) - SEEN) {
                    rest = rest.minus(pocket.area());
                }
            }
            return rest.area() < SEEN;
        }

        private boolean touchesPocket(Region in) {
            return need.pockets().stream()
                    .anyMatch(p ->
                            p.top() < bottom && p.bottom() > top && p.area().overlaps(in));
        }
    }
}
