package ebauche.core.feed;

import ebauche.core.design.Blank;
import ebauche.core.feed.FeedMap.Edge;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Which stretches of an outline are cut with which face up, and in what order of bites.
 *
 * <p>With the front up goes all that is not against the grain; with the back up what then is not. Where layers lie across one
 * another neither face may do: that is left for small bites backwards, or for the drum. In each stretch the bites go from the
 * outermost corner inward, so that no long piece is left to break off, and so do the stretches among themselves.
 *
 * @param bites in order, the front's first
 * @param left edges that are against the grain whichever face is up
 * @param tips where fibres are so short that the wood may break off
 * @param uneven where hard and soft wood meet at the edge: left to the drum
 */
public record FeedPlan(
        FeedMap front, FeedMap back, List<Bite> bites, List<Run> left, List<Tip> tips, List<Run> uneven) {
    /** Longest bite, mm: common practice. */
    private static final double BITE = 60;

    /** Fibres are judged so deep inside the edge, and are short under this length, mm: common practice. */
    private static final double INSIDE = 8;

    private static final double SHORT = 30;

    /** The same in a timber that chips: assumed, half as much again. */
    private static final double SHORT_BRITTLE = 45;

    /** So near a seam of hard and soft the bit is drawn to one side, mm: assumed, about half a bit. */
    private static final double BESIDE_SEAM = 6;

    /**
     * What the router meets.
     *
     * @param layers the grain of all that the bit cuts at once
     * @param brittle whether any of it chips
     * @param seams x of those between hard and soft
     */
    public record Wood(List<Grain> layers, boolean brittle, List<Double> seams) {
        public Wood {
            layers = List.copyOf(layers);
            seams = List.copyOf(seams);
        }

        /** As a blank is made up. */
        public static Wood of(Blank blank) {
            return new Wood(
                    blank.layers().stream().map(l -> Grain.of(blank, l)).toList(),
                    blank.isBrittle(),
                    blank.unevenSeams());
        }

        /** The same with the grain of every layer turned one way. */
        public Wood turned(double degrees) {
            return new Wood(List.of(Grain.even(degrees)), brittle, seams);
        }

        private boolean isUneven(Edge edge) {
            double from = Math.min(edge.from().x(), edge.to().x()) - BESIDE_SEAM;
            double to = Math.max(edge.from().x(), edge.to().x()) + BESIDE_SEAM;
            return seams.stream().anyMatch(s -> s >= from && s <= to);
        }
    }

    /** Neighbouring edges in the order of the feed. */
    public record Run(List<Edge> edges) {
        public Run {
            edges = List.copyOf(edges);
        }

        public double length() {
            return edges.stream().mapToDouble(Edge::length).sum();
        }

        public Point middle() {
            return edges.get(edges.size() / 2).middle();
        }
    }

    /**
     * One bite.
     *
     * @param up face towards the router
     * @param number in the order of all bites with that face up, from 1
     */
    public record Bite(Face up, int number, Run run) {}

    /** A place of short grain. */
    public record Tip(Point at, double fibre, Run run) {}

    public FeedPlan {
        bites = List.copyOf(bites);
        left = List.copyOf(left);
        tips = List.copyOf(tips);
        uneven = List.copyOf(uneven);
    }

    /** Plans an outline in even wood; see {@link FeedMap#of} for the layers. */
    public static FeedPlan of(Outline outline, List<Grain> layers) {
        return of(outline, new Wood(layers, false, List.of()));
    }

    /** Plans an outline. */
    public static FeedPlan of(Outline outline, Wood wood) {
        List<Grain> layers = wood.layers();
        FeedMap front = FeedMap.of(outline, layers, Face.FRONT);
        FeedMap back = FeedMap.of(outline, layers, Face.BACK);
        Point middle = outline.region().centroid();
        int n = front.edges().size();
        Set<Edge> backTakes = new HashSet<>();
        Set<Edge> neither = new HashSet<>();
        Set<Edge> uneven = new HashSet<>();
        for (int i = 0; i < n; i++) {
            Edge edge = front.edges().get(i);
            Edge flipped = back.edges().get(n - 1 - i);
            if (wood.isUneven(edge)) {
                uneven.add(edge);
            } else if (edge.band().against()) {
                if (flipped.band().against()) {
                    neither.add(edge);
                } else {
                    backTakes.add(flipped);
                }
            }
        }
        List<Bite> bites = new ArrayList<>();
        bites.addAll(bites(
                Face.FRONT,
                runs(front.edges(), e -> !uneven.contains(e) && !e.band().against()),
                middle));
        bites.addAll(bites(Face.BACK, runs(back.edges(), backTakes::contains), middle));
        return new FeedPlan(
                front,
                back,
                bites,
                runs(front.edges(), neither::contains),
                tips(outline.region(), front, layers, wood.brittle() ? SHORT_BRITTLE : SHORT),
                runs(front.edges(), uneven::contains));
    }

    /** The map with a face towards the router. */
    public FeedMap map(Face up) {
        return up == Face.FRONT ? front : back;
    }

    public List<Bite> bites(Face up) {
        return bites.stream().filter(b -> b.up() == up).toList();
    }

    /** Neighbouring edges that fulfil a condition; the first and the last edge are neighbours. */
    static List<Run> runs(List<Edge> edges, Predicate<Edge> wanted) {
        int n = edges.size();
        int start = 0;
        while (start < n && wanted.test(edges.get(start))) {
            start++;
        }
        if (start == n) {
            return List.of(new Run(edges));
        }
        List<Run> runs = new ArrayList<>();
        List<Edge> run = new ArrayList<>();
        for (int k = 0; k <= n; k++) {
            Edge e = edges.get((start + k) % n);
            if (k < n && wanted.test(e)) {
                run.add(e);
            } else if (!run.isEmpty()) {
                runs.add(new Run(run));
                run.clear();
            }
        }
        return runs;
    }

    private static List<Bite> bites(Face up, List<Run> runs, Point middle) {
        List<Bite> bites = new ArrayList<>();
        List<Run> outermostFirst = new ArrayList<>(runs);
        outermostFirst.sort(outermostFirst(middle));
        for (Run run : outermostFirst) {
            List<Run> parts = parts(run);
            parts.sort(outermostFirst(middle));
            for (Run part : parts) {
                bites.add(new Bite(up, bites.size() + 1, part));
            }
        }
        return bites;
    }

    /** Of even length, none longer than a bite. */
    private static List<Run> parts(Run run) {
        int count = (int) Math.ceil(run.length() / BITE);
        List<Run> parts = new ArrayList<>();
        List<Edge> part = new ArrayList<>();
        double done = 0;
        for (Edge e : run.edges()) {
            part.add(e);
            done += e.length();
            if (done >= run.length() * (parts.size() + 1) / count - 1e-6) {
                parts.add(new Run(part));
                part.clear();
            }
        }
        return parts;
    }

    private static Comparator<Run> outermostFirst(Point middle) {
        return Comparator.comparingDouble(run -> -out(run, middle));
    }

    /** How far out a run reaches from the body's middle, mm. */
    static double out(Run run, Point middle) {
        return run.edges().stream()
                .mapToDouble(e -> e.middle().distance(middle))
                .max()
                .orElseThrow();
    }

    private static List<Tip> tips(Region wood, FeedMap map, List<Grain> layers, double least) {
        Map<Edge, Double> fibres = new HashMap<>();
        map.edges().forEach(e -> fibres.put(e, fibre(wood, e, layers)));
        List<Tip> tips = new ArrayList<>();
        for (Run run : runs(map.edges(), e -> fibres.get(e) < least)) {
            Edge worst = run.edges().stream()
                    .min(Comparator.comparingDouble(fibres::get))
                    .orElseThrow();
            tips.add(new Tip(worst.middle(), fibres.get(worst), run));
        }
        return tips;
    }

    private static double fibre(Region wood, Edge e, List<Grain> layers) {
        return layers.stream()
                .mapToDouble(g -> FeedMap.fibre(wood, e, g, INSIDE))
                .min()
                .orElseThrow();
    }
}
