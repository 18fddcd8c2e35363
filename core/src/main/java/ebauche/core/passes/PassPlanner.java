package ebauche.core.passes;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.measure.Gauge;
import ebauche.core.measure.Rounding;
import ebauche.core.passes.Pass.Guide;
import ebauche.core.passes.Reach.Window;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The cheapest way to take a guided cut in passes.
 *
 * <p>A shortest path over what is cut so deep, with which cutter, against which guide. From each state only the deepest pass
 * of each cutter is tried: every window's upper end and every bite's end grow with the depth that is cut already, and no
 * lower end does, so that whatever follows a shallower pass can follow a deeper one. For the same reason a state is left that is
 * no deeper than one with the same cutter and guide that cost no more. The template with a spacer comes before the template
 * alone, and that before none: what was taken off does not come back. Of plans that cost alike the one whose heaviest pass is lightest is
 * taken, its passes evened out; how deep a slender shank may bite falls with how far it stands out, which keeps the deeper pass the
 * better one: from x under the sole it goes to (x + sqrt(x² + 4 m s)) / 2, which grows with x.
 */
public final class PassPlanner {
    private static final int ALTERNATIVES = 2;

    /** Passes whose cross-sections differ by less weigh alike, mm². */
    private static final double LIKE = 0.01;

    private final GuidedCut cut;
    private final List<Cutter> cutters;
    private final List<Double> spacers;

    private PassPlanner(GuidedCut cut, Crib crib) {
        this.cut = cut;
        this.cutters = cutters(cut, crib);
        this.spacers = crib.spacers();
    }

    /**
     * The cheapest plan and the next two with other bits; empty if the crib gives none.
     *
     * <p>What follows a plan is the cheapest without one of its bits and without those that were left out for it already: so every
     * set of bits is met in the order of its cost (after Lawler, 1972).
     */
    public static List<PassPlan> plans(GuidedCut cut, Crib crib) {
        List<PassPlan> found = new ArrayList<>();
        Set<Set<String>> tried = new HashSet<>();
        PriorityQueue<Without> next =
                new PriorityQueue<>(Comparator.comparingInt(w -> w.plan().cost()));
        best(cut, crib).ifPresent(p -> next.add(new Without(Set.of(), p)));
        while (!next.isEmpty() && found.size() <= ALTERNATIVES) {
            Without here = next.poll();
            if (isNew(here.plan(), found)) {
                found.add(here.plan());
            }
            for (String bit : here.plan().bits()) {
                Set<String> leftOut = new HashSet<>(here.bits());
                leftOut.add(bit);
                if (found.size() <= ALTERNATIVES && tried.add(leftOut)) {
                    best(cut, without(crib, leftOut)).ifPresent(p -> next.add(new Without(leftOut, p)));
                }
            }
        }
        return found;
    }

    /** The cheapest plan without some bits. */
    private record Without(Set<String> bits, PassPlan plan) {}

    private static boolean isNew(PassPlan plan, List<PassPlan> found) {
        return found.stream().noneMatch(f -> f.bits().equals(plan.bits()));
    }

    private static Crib without(Crib crib, Set<String> bits) {
        return crib.only(
                crib.bits().stream().filter(b -> !bits.contains(b.name())).toList());
    }

    /** The cheapest plan, if there is one. */
    public static Optional<PassPlan> best(GuidedCut cut, Crib crib) {
        PassPlanner planner = new PassPlanner(cut, crib);
        if (cut.done()) {
            return Optional.of(new PassPlan(List.of(), 0, 0));
        }
        return planner.isFeasible() ? planner.search() : Optional.empty();
    }

    /** Whether the crib gives any plan at all, without looking for the cheapest. */
    public static boolean isFeasible(GuidedCut cut, Crib crib) {
        return new PassPlanner(cut, crib).isFeasible();
    }

    /**
     * As deeper is never worse, the deepest that each guide gives, one after the other, decides.
     */
    private boolean isFeasible() {
        for (int spacer = ALONE; spacer < spacers.size(); spacer++) {
            int[] guides = cut.templateOff()
                    ? new int[] {OFF}
                    : spacer == ALONE ? new int[] {ALONE, OFF} : new int[] {spacer, ALONE, OFF};
            double depth = cut.begun();
            if (cut.done()) {
                return true;
            }
            for (int guide : guides) {
                depth = deepest(guide, depth);
                if (depth >= cut.depth() - 1e-9 || (depth > 0 && farFaceFrom(depth))) {
                    return true;
                }
            }
        }
        return false;
    }

    private double deepest(int guide, double from) {
        double depth = from;
        boolean deeper = true;
        while (deeper) {
            deeper = false;
            for (Cutter cutter : cutters) {
                double to = deepestPass(cutter, guide, depth);
                deeper |= to > depth;
                depth = Math.max(depth, to);
            }
        }
        return depth;
    }

    private boolean farFaceFrom(double depth) {
        return cutters.stream().anyMatch(c -> farFacePass(c, depth).isPresent());
    }

    /** Bits that turn in the corner, each in every router that holds it, turns slowly enough and is not outdone by another. */
    private static List<Cutter> cutters(GuidedCut cut, Crib crib) {
        List<Cutter> usable = new ArrayList<>();
        for (Bit bit : crib.bits()) {
            if (bit.copies() && bit.corner() <= cut.corner() + 1e-6) {
                List<Cutter> held = crib.routers().stream()
                        .map(r -> new Cutter(bit, r))
                        .filter(c -> c.fits() && c.slowEnough())
                        .toList();
                held.stream()
                        .filter(c -> held.stream().noneMatch(other -> outdone(c, other, held, cut)))
                        .forEach(usable::add);
            }
        }
        return usable;
    }

    private static boolean outdone(Cutter one, Cutter other, List<Cutter> held, GuidedCut cut) {
        double met = cut.met(one.bit().diameter());
        double takes = other.bite(cut.hardness(), met, 0) - one.bite(cut.hardness(), met, 0);
        double stands = other.projection() - one.projection();
        boolean alike = takes == 0 && stands == 0;
        return takes >= 0 && stands >= 0 && (!alike || held.indexOf(other) < held.indexOf(one));
    }

    private static final int ALONE = -1;
    private static final int OFF = -2;

    /**
     * Where the work stands, and how it came there.
     *
     * @param depth cut so far
     * @param cutter index of the last one, -1 before the first
     * @param guide index of the spacer under the template, {@link #ALONE} without, {@link #OFF} when the template is off
     * @param narrowest bit so far
     * @param heaviest pass before this run, mm²
     * @param run depth at which this run of passes of one cutter against one guide began
     * @param inRun passes in it
     */
    private record Node(
            double depth,
            int cutter,
            int guide,
            int cost,
            int passes,
            int bits,
            int setUps,
            double narrowest,
            double heaviest,
            double run,
            int inRun,
            Node before,
            Pass pass) {
        /** Under the template at the last pass that used one. */
        double spacer() {
            return pass == null ? 0 : Math.max(pass.spacer(), before.spacer());
        }

        /** The heaviest pass when the passes of a run are evened out, mm². */
        double load() {
            return pass == null ? 0 : Math.max(heaviest, pass.engaged() * (depth - run) / inRun);
        }

        List<Pass> passesTaken() {
            List<Pass> all = new ArrayList<>();
            for (Node n = this; n.pass != null; n = n.before) {
                all.add(n.pass);
            }
            Collections.reverse(all);
            return all;
        }
    }

    private static Node start(double depth, int guide) {
        return new Node(depth, -1, guide, 0, 0, 0, 0, Double.POSITIVE_INFINITY, 0, depth, 0, null, null);
    }

    /** Nodes to be looked at, without those that another outdoes: same cutter and guide, no less deep, no dearer. */
    private final class Frontier {
        // Of plans that cost alike the one with fewer passes, then with the lightest heaviest pass, then with stouter
        // bits,
        // then with less under the template.
        private final PriorityQueue<Node> queue = new PriorityQueue<>(Comparator.comparingInt(Node::cost)
                .thenComparingInt(Node::passes)
                .thenComparingDouble(n -> Math.rint(n.load() / LIKE))
                .thenComparing(Comparator.comparingDouble(Node::narrowest).reversed())
                .thenComparingDouble(Node::spacer));
        private final Map<Integer, List<Node>> kept = new HashMap<>();
        private int goal = Integer.MAX_VALUE;

        void add(Node node) {
            boolean done = isDone(node);
            if (node.cost() + (done ? 0 : PassPlan.A_PASS) > goal) {
                return;
            }
            if (done) {
                goal = Math.min(goal, node.cost());
                queue.add(node);
                return;
            }
            int kind = (node.cutter() + 1) * (spacers.size() + 2) + node.guide() + 2;
            List<Node> others = kept.computeIfAbsent(kind, k -> new ArrayList<>());
            for (Node other : others) {
                if (outdoes(other, node)) {
                    return;
                }
            }
            others.removeIf(o -> outdoes(node, o));
            others.add(node);
            queue.add(node);
        }

        /** Deeper, and cheaper, or as cheap and not heavier. */
        private boolean outdoes(Node one, Node other) {
            return one.depth() >= other.depth()
                    && (one.cost() < other.cost() || (one.cost() == other.cost() && one.load() <= other.load() + LIKE));
        }
    }

    private boolean isDone(Node node) {
        return node.depth() >= cut.depth() - 1e-9;
    }

    private Optional<PassPlan> search() {
        Frontier frontier = new Frontier();
        for (int s = ALONE; s < spacers.size() && !cut.templateOff(); s++) {
            frontier.add(start(cut.begun(), s));
        }
        if (cut.templateOff()) {
            frontier.add(start(cut.begun(), OFF));
        }
        while (!frontier.queue.isEmpty()) {
            Node here = frontier.queue.poll();
            if (isDone(here)) {
                return Optional.of(new PassPlan(set(evened(here.passesTaken())), here.bits(), here.setUps()));
            }
            for (int c = 0; c < cutters.size(); c++) {
                follow(frontier, here, c);
            }
        }
        return Optional.empty();
    }

    /** Passes of one bit against one guide, taken in even bites as far as its window lets them. */
    private List<Pass> evened(List<Pass> passes) {
        List<Pass> all = new ArrayList<>(passes);
        int from = 0;
        while (from < all.size()) {
            int to = from + 1;
            while (to < all.size() && sameRun(all.get(from), all.get(to))) {
                to++;
            }
            even(all.subList(from, to));
            from = to;
        }
        return all;
    }

    private boolean sameRun(Pass one, Pass other) {
        boolean rough = other.from() < cut.roughDepth() - 1e-9;
        return rough
                && one.cutter().equals(other.cutter())
                && one.guide() == other.guide()
                && one.spacer() == other.spacer();
    }

    private void even(List<Pass> run) {
        double start = run.get(0).from();
        double each = (run.get(run.size() - 1).to() - start) / run.size();
        List<Pass> evened = new ArrayList<>();
        double from = start;
        for (int i = 0; i < run.size(); i++) {
            Pass pass = run.get(i);
            int guide = on(pass);
            boolean last = i == run.size() - 1;
            double to = last
                    ? pass.to()
                    : Math.max(
                            start + (i + 1) * each,
                            window(pass.cutter(), guide, from, pass.spacer()).least());
            if (to > run.get(i).to() + 1e-9 || to > mostTo(pass.cutter(), guide, from, pass.spacer()) + 1e-9) {
                return;
            }
            evened.add(pass.between(from, to));
            from = to;
        }
        for (int i = 0; i < run.size(); i++) {
            run.set(i, evened.get(i));
        }
    }

    private List<Pass> set(List<Pass> passes) {
        return settable(passes, passes.get(0).from()).orElse(passes);
    }

    /**
     * The passes from one on, depths on the way set as a gauge shows them, a shade less deep or, where the bearing would lose its
     * guide, more, wherever what comes after can still be done: what the table says each takes is then what lies between the depths beside it.
     */
    private Optional<List<Pass>> settable(List<Pass> passes, double from) {
        Pass pass = passes.get(0);
        if (passes.size() == 1) {
            return pass.guide() == Guide.FAR_WALL
                    ? farFacePass(pass.cutter(), from).map(List::of)
                    : Optional.of(pass.between(from, pass.to()))
                            .filter(this::isWithinReach)
                            .map(List::of);
        }
        double most = mostTo(pass.cutter(), on(pass), from, pass.spacer());
        double less = Gauge.settable(Math.min(pass.to(), most), Rounding.LESS);
        double more = Math.min(Gauge.settable(pass.to(), Rounding.MORE), cut.roughDepth());
        boolean onTheWay = pass.to() < cut.roughDepth() - 1e-9;
        return (onTheWay ? Stream.of(less, more, pass.to()) : Stream.of(pass.to()))
                .map(to -> pass.between(from, to))
                .filter(this::isWithinReach)
                .flatMap(first -> settable(passes.subList(1, passes.size()), first.to()).stream()
                        .map(rest ->
                                Stream.concat(Stream.of(first), rest.stream()).toList()))
                .findFirst();
    }

    private static int on(Pass pass) {
        return pass.guide() == Guide.WALL ? OFF : ALONE;
    }

    /** Whether it takes something, its bearing has its guide, and it goes no deeper than it may. */
    private boolean isWithinReach(Pass pass) {
        int guide = on(pass);
        return pass.bite() >= Reach.NOTHING
                && pass.to()
                        >= window(pass.cutter(), guide, pass.from(), pass.spacer())
                                        .least()
                                - 1e-9
                && pass.to() <= mostTo(pass.cutter(), guide, pass.from(), pass.spacer()) + 1e-9;
    }

    private void follow(Frontier frontier, Node here, int c) {
        if (here.guide() != OFF) {
            take(frontier, here, c, here.guide(), 0);
            if (here.guide() != ALONE) {
                take(frontier, here, c, ALONE, 1);
            }
        }
        take(frontier, here, c, OFF, here.guide() == OFF ? 0 : 1);
        Cutter cutter = cutters.get(c);
        farFacePass(cutter, here.depth())
                // The template comes off, and the work is turned.
                .ifPresent(p -> frontier.add(then(here, cut.depth(), c, OFF, p, here.guide() == OFF ? 1 : 2)));
    }

    private void take(Frontier frontier, Node here, int c, int guide, int setUps) {
        Cutter cutter = cutters.get(c);
        double to = deepestPass(cutter, guide, here.depth());
        if (to > here.depth()) {
            double spacer = guide >= 0 ? spacers.get(guide) : 0;
            double above = guide == OFF ? 0 : cut.template() + spacer;
            Guide runsOn = guide == OFF ? Guide.WALL : Guide.TEMPLATE;
            Pass pass = new Pass(cutter, runsOn, spacer, here.depth(), to, to + above, engaged(cutter));
            frontier.add(then(here, to, c, guide, pass, setUps));
        }
    }

    private Node then(Node here, double depth, int c, int guide, Pass pass, int moreSetUps) {
        int bits = here.bits() + (c == here.cutter() ? 0 : 1);
        int setUps = here.setUps() + moreSetUps;
        int passes = here.passes() + 1;
        int cost = here.cost()
                + PassPlan.A_BIT * (bits - here.bits())
                + PassPlan.A_PASS
                + PassPlan.A_SET_UP * moreSetUps
                + (pass.isRidden() ? PassPlan.RIDDEN : 0);
        double narrowest = Math.min(here.narrowest(), pass.cutter().bit().diameter());
        boolean goesOn = here.pass() != null && sameRun(here.pass(), pass);
        return new Node(
                depth,
                c,
                guide,
                cost,
                passes,
                bits,
                setUps,
                narrowest,
                goesOn ? here.heaviest() : here.load(),
                goesOn ? here.run() : here.depth(),
                goesOn ? here.inRun() + 1 : 1,
                here,
                pass);
    }

    /** The deepest that window, projection, bite and the last light pass allow; {@code from} itself if nothing is. */
    private double deepestPass(Cutter cutter, int guide, double from) {
        boolean rough = from >= cut.roughDepth() - 1e-9;
        double target = rough ? cut.firstFace() : cut.roughDepth();
        double spacer = guide >= 0 ? spacers.get(guide) : 0;
        double to = Math.min(target, mostTo(cutter, guide, from, spacer));
        boolean can = to >= window(cutter, guide, from, spacer).least() - 1e-9
                && to >= from + Reach.NOTHING
                && startsIn(cutter.bit(), from);
        return can ? to : from;
    }

    private Window window(Cutter cutter, int guide, double from, double spacer) {
        return guide == OFF ? Reach.onWall(cutter.bit(), from) : Reach.onTemplate(cutter.bit(), cut.template(), spacer);
    }

    /** The deepest that window, projection and bite allow, whatever is wanted. */
    private double mostTo(Cutter cutter, int guide, double from, double spacer) {
        double above = guide == OFF ? 0 : cut.template() + spacer;
        double reach = Math.min(window(cutter, guide, from, spacer).most(), cutter.projection() - above);
        return Math.min(reach, bitesTo(cutter, from, above));
    }

    /**
     * How deep one bite goes from a depth. A slender shank takes the less the farther its tip is under the sole then: it gets to x
     * from u where x - u = m s / x, so x = (u + sqrt(u² + 4 m s)) / 2.
     */
    private double bitesTo(Cutter cutter, double from, double above) {
        double met = engaged(cutter);
        double byMachine = from + Math.min(cut.deepest(), cutter.byMachine(cut.hardness(), met));
        double byBit = cutter.byBit(cut.hardness(), met);
        double under = from + above;
        if (under + byBit <= cutter.standsStiff()) {
            return Math.min(byMachine, from + byBit);
        }
        double bent = (under + Math.sqrt(under * under + 4 * byBit * cutter.standsStiff())) / 2;
        return Math.min(byMachine, bent - above);
    }

    /** The one pass that takes all that stands of a cut through the work, from the other face. */
    private Optional<Pass> farFacePass(Cutter cutter, double done) {
        double rest = cut.depth() - done;
        Window window = Reach.tipOnWall(cutter.bit(), cut.work(), done);
        double to = Math.min(window.most(), Math.max(window.least(), rest + Reach.LEAST_CONTACT));
        double most = Math.min(cut.deepest(), cutter.bite(cut.hardness(), engaged(cutter), to));
        if (!cut.through() || window.isEmpty() || rest > most + 1e-9) {
            return Optional.empty();
        }
        return to > cutter.projection()
                ? Optional.empty()
                : Optional.of(new Pass(cutter, Guide.FAR_WALL, 0, to - rest, to, to, engaged(cutter)));
    }

    /** A bit that does not cut at its centre wants a hole to start in: the drilled waste, or an open side. */
    private boolean startsIn(Bit bit, double from) {
        return bit.centreCutting() || cut.drilled() || from > 0;
    }

    private double engaged(Cutter cutter) {
        return cut.met(cutter.bit().diameter());
    }
}
