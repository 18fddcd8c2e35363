package ebauche.core.passes;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Router;
import ebauche.core.passes.Pass.Guide;
import ebauche.core.passes.Reach.Window;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;

/**
 * The cheapest way to take a guided cut in passes.
 *
 * <p>A shortest path over what is cut so deep, with which cutter, against which guide. From each state only the deepest pass
 * of each cutter is tried: every window's upper end and every bite's end grow with the depth that is cut already, and no
 * lower end does, so that whatever follows a shallower pass can follow a deeper one. For the same reason a state is left that is
 * no deeper than one with the same cutter and guide that cost no more. The template with a spacer comes before the template
 * alone, and that before none: what was taken off does not come back.
 */
public final class PassPlanner {
    private static final int ALTERNATIVES = 2;

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
     * <p>An alternative is the cheapest plan without one of the bits of a plan before it.
     */
    public static List<PassPlan> plans(GuidedCut cut, Crib crib) {
        List<PassPlan> found = new ArrayList<>();
        best(cut, crib).ifPresent(found::add);
        for (int i = 0; i < found.size() && found.size() <= ALTERNATIVES; i++) {
            List<PassPlan> others = new ArrayList<>();
            for (String bit : found.get(i).bits()) {
                best(cut, without(crib, bit)).filter(p -> isNew(p, found)).ifPresent(others::add);
            }
            others.sort(Comparator.comparingInt(PassPlan::cost));
            others.stream()
                    .filter(p -> isNew(p, found))
                    .limit(ALTERNATIVES + 1L - found.size())
                    .toList()
                    .forEach(p -> {
                        if (isNew(p, found)) {
                            found.add(p);
                        }
                    });
        }
        found.sort(Comparator.comparingInt(PassPlan::cost));
        return found;
    }

    private static boolean isNew(PassPlan plan, List<PassPlan> found) {
        return found.stream().noneMatch(f -> f.bits().equals(plan.bits()));
    }

    private static Crib without(Crib crib, String bit) {
        return new Crib(
                crib.routers(),
                crib.bits().stream().filter(b -> !b.name().equals(bit)).toList(),
                crib.drills(),
                crib.templates(),
                crib.spacers());
    }

    /** The cheapest plan, if there is one. */
    public static Optional<PassPlan> best(GuidedCut cut, Crib crib) {
        return new PassPlanner(cut, crib).search();
    }

    /** Bits that turn in the corner, each in every router that holds it and turns slowly enough. */
    private static List<Cutter> cutters(GuidedCut cut, Crib crib) {
        List<Cutter> usable = new ArrayList<>();
        for (Bit bit : crib.bits()) {
            for (Router router : crib.routers()) {
                Cutter cutter = new Cutter(bit, router);
                boolean byHand = router.kind() != Router.Kind.TABLE;
                if (bit.copies()
                        && bit.corner() <= cut.corner() + 1e-6
                        && byHand
                        && cutter.fits()
                        && cutter.slowEnough()) {
                    usable.add(cutter);
                }
            }
        }
        return usable;
    }

    /**
     * Where the work stands.
     *
     * @param depth cut so far
     * @param cutter index of the last one, -1 before the first
     * @param spacer index of the spacer under the template, -1 without, {@link #OFF} when the template is off
     */
    private record State(double depth, int cutter, int spacer) {}

    private static final int ALONE = -1;
    private static final int OFF = -2;

    private record Reached(State state, int cost, List<Pass> passes, int bits, int setUps) {
        double narrowest() {
            return passes.stream()
                    .mapToDouble(p -> p.cutter().bit().diameter())
                    .min()
                    .orElse(Double.POSITIVE_INFINITY);
        }
    }

    private Optional<PassPlan> search() {
        // Of plans that cost alike the one with stouter bits.
        PriorityQueue<Reached> queue = new PriorityQueue<>(Comparator.comparingInt(Reached::cost)
                .thenComparingInt(r -> r.passes().size())
                .thenComparing(Comparator.comparingDouble(Reached::narrowest).reversed()));
        for (int s = ALONE; s < spacers.size(); s++) {
            queue.add(new Reached(new State(0, -1, s), 0, List.of(), 0, 0));
        }
        Map<State, Double> deepest = new HashMap<>();
        while (!queue.isEmpty()) {
            Reached here = queue.poll();
            if (here.state().depth() >= cut.depth() - 1e-9) {
                return Optional.of(new PassPlan(here.passes(), here.bits(), here.setUps()));
            }
            State kind = new State(0, here.state().cutter(), here.state().spacer());
            if (here.state().depth() > deepest.getOrDefault(kind, -1.0)) {
                deepest.put(kind, here.state().depth());
                for (int c = 0; c < cutters.size(); c++) {
                    follow(queue, here, c);
                }
            }
        }
        return Optional.empty();
    }

    private void follow(PriorityQueue<Reached> queue, Reached here, int c) {
        int spacer = here.state().spacer();
        if (spacer != OFF) {
            onTemplate(queue, here, c, spacer, 0);
            if (spacer != ALONE) {
                onTemplate(queue, here, c, ALONE, 1);
            }
        }
        onWall(queue, here, c);
        fromTheFarFace(queue, here, c);
    }

    private void onTemplate(PriorityQueue<Reached> queue, Reached here, int c, int spacer, int setUps) {
        Cutter cutter = cutters.get(c);
        double under = spacer == ALONE ? 0 : spacers.get(spacer);
        double thick = cut.template() + under;
        Window reach = Reach.onTemplate(cutter.bit(), cut.template(), under);
        Window window = new Window(reach.least(), Math.min(reach.most(), cutter.projection() - thick));
        take(queue, here, c, new State(0, c, spacer), Guide.TEMPLATE, window, thick, setUps);
    }

    private void onWall(PriorityQueue<Reached> queue, Reached here, int c) {
        Cutter cutter = cutters.get(c);
        Window reach = Reach.onWall(cutter.bit(), here.state().depth());
        Window window = new Window(reach.least(), Math.min(reach.most(), cutter.projection()));
        int setUps = here.state().spacer() == OFF ? 0 : 1;
        take(queue, here, c, new State(0, c, OFF), Guide.WALL, window, 0, setUps);
    }

    /** The deepest pass that window, bite and the last light pass allow. */
    private void take(
            PriorityQueue<Reached> queue,
            Reached here,
            int c,
            State then,
            Guide guide,
            Window window,
            double aboveTheWork,
            int setUps) {
        double from = here.state().depth();
        boolean rough = from >= cut.roughDepth() - 1e-9;
        double target = rough ? cut.depth() : cut.roughDepth();
        double to = Math.min(target, Math.min(window.most(), from + mostBite(cutters.get(c))));
        if (!window.holds(to)
                || to < from + Reach.NOTHING
                || !startsIn(cutters.get(c).bit(), from)) {
            return;
        }
        Cutter cutter = cutters.get(c);
        double spacer = then.spacer() >= 0 ? spacers.get(then.spacer()) : 0;
        Pass pass = new Pass(cutter, guide, spacer, from, to, to + aboveTheWork, engaged(cutter));
        add(queue, here, new State(to, c, then.spacer()), pass, setUps);
    }

    /** Flips a cut that goes through, and takes the rest in one pass. */
    private void fromTheFarFace(PriorityQueue<Reached> queue, Reached here, int c) {
        Cutter cutter = cutters.get(c);
        double rest = cut.depth() - here.state().depth();
        Window window = Reach.tipOnWall(cutter.bit(), cut.work(), here.state().depth());
        if (!cut.through() || window.isEmpty() || rest > mostBite(cutter)) {
            return;
        }
        double to = Math.min(window.most(), Math.max(window.least(), rest + Reach.LEAST_CONTACT));
        if (to > cutter.projection()) {
            return;
        }
        Pass pass = new Pass(cutter, Guide.FAR_WALL, 0, to - rest, to, to, engaged(cutter));
        // The template comes off, and the work is turned.
        add(queue, here, new State(cut.depth(), c, OFF), pass, here.state().spacer() == OFF ? 1 : 2);
    }

    /** The one pass that finishes a cut from the other face, once it is so deep; the stoutest bit that can. */
    public static Optional<Pass> fromFarFace(GuidedCut cut, Crib crib, double done) {
        PassPlanner planner = new PassPlanner(cut, crib);
        PriorityQueue<Reached> found = new PriorityQueue<>(
                Comparator.comparingDouble(Reached::narrowest).reversed());
        Reached here = new Reached(new State(done, -1, OFF), 0, List.of(), 0, 0);
        for (int c = 0; c < planner.cutters.size(); c++) {
            planner.fromTheFarFace(found, here, c);
        }
        return Optional.ofNullable(found.peek()).map(r -> r.passes().get(0));
    }

    private void add(PriorityQueue<Reached> queue, Reached here, State then, Pass pass, int setUps) {
        List<Pass> passes = new ArrayList<>(here.passes());
        passes.add(pass);
        int bits = here.bits() + (then.cutter() == here.state().cutter() ? 0 : 1);
        int allSetUps = here.setUps() + setUps;
        int cost = PassPlan.A_BIT * bits + PassPlan.A_PASS * passes.size() + PassPlan.A_SET_UP * allSetUps;
        queue.add(new Reached(then, cost, passes, bits, allSetUps));
    }

    /** A bit that does not cut at its centre wants a hole to start in: the drilled waste, or an open side. */
    private boolean startsIn(Bit bit, double from) {
        return bit.centreCutting() || cut.engaged().isPresent() || from > 0;
    }

    private double engaged(Cutter cutter) {
        return Math.min(
                cutter.bit().diameter(), cut.engaged().orElse(cutter.bit().diameter()));
    }

    /** Deepest bite: by cross-section, and never more than the edges are long. */
    private double mostBite(Cutter cutter) {
        return Math.min(cutter.bit().cutterLength(), cutter.crossSection(cut.hardness()) / engaged(cutter));
    }
}
