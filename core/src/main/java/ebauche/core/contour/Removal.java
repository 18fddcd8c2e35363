package ebauche.core.contour;

import ebauche.core.design.CarveSchool;
import ebauche.core.design.Contour;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.LedgerRow;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * One way to bring a contour out of the wood: what is done, line by line, never below its surface; what that leaves to fair, and what it costs.
 *
 * @param rows what is done, in order; told also where this shop cannot
 * @param leaves the most that stands over the surface before it is faired, mm
 * @param cannot why this shop cannot do it so, or this contour cannot be done so; empty where it can
 */
public record Removal(
        CarveSchool school,
        List<LedgerRow> rows,
        double leaves,
        int minutes,
        List<Caution> cautions,
        Optional<String> cannot) {

    /** Minutes to knife and pare a definite edge: common practice. */
    private static final int PARED = 15;

    /** Those of a build's contours that were asked for: step, paper, page and finding ask for the same. */
    private record Known(Map<Contour.Laid, List<Removal>> of) {}

    /** All schools, that which costs least first, those that cannot be last. */
    public static List<Removal> of(Build build, Contour.Laid laid) {
        Map<Contour.Laid, List<Removal>> known = build.once()
                .of(Known.class, () -> new Known(new ConcurrentHashMap<>()))
                .of();
        return known.computeIfAbsent(laid, l -> reckoned(build, l));
    }

    private static List<Removal> reckoned(Build build, Contour.Laid laid) {
        CarveWork work = new CarveWork(build, laid, OtherLine.of(build, laid));
        List<Removal> all = new ArrayList<>(
                laid.contour().start() instanceof Contour.Start.Disc
                        ? DiscRecess.ways(build, laid)
                        : work.isRound()
                                ? List.of(
                                        ByHand.rasp(work),
                                        ByMachine.belt(work),
                                        NestedTemplates.removal(build, laid),
                                        BevelJig.removal(build, laid))
                                : List.of(
                                        ByHand.rasp(work),
                                        ByMachine.bandSaw(work),
                                        ByHand.kerfs(work),
                                        ByMachine.fence(work),
                                        ByMachine.drum(work),
                                        ByMachine.belt(work)));
        all.replaceAll(r -> r.edged(laid.profile().edge()));
        all.sort(Comparator.<Removal, Boolean>comparing(r -> r.cannot().isPresent())
                .thenComparingInt(Removal::minutes));
        return List.copyOf(all);
    }

    /** The way that its maker chose, else the one that costs least here; by rasp where nothing else can. */
    public static Removal chosen(Build build, Contour.Laid laid) {
        List<Removal> all = of(build, laid);
        return laid.contour()
                .by()
                .flatMap(by -> all.stream().filter(r -> r.school() == by).findFirst())
                .orElseGet(() -> all.stream()
                        .filter(r -> r.isPossible() || r.school() == CarveSchool.RASP)
                        .min(Comparator.<Removal, Boolean>comparing(r -> !r.isPossible())
                                .thenComparingInt(Removal::minutes))
                        .orElseThrow());
    }

    public boolean isPossible() {
        return cannot.isEmpty();
    }

    /** With the definite edge that it ends on, pared along a knifed line before all else reaches it. */
    private Removal edged(double edge) {
        if (edge == 0) {
            return this;
        }
        List<LedgerRow> all = new ArrayList<>(rows);
        all.add(LedgerRow.of(
                "Knife along the line, then pare a facet of 45 degrees down from it: the contour ends on it and goes no farther",
                Reckoning.of("definite edge, deep", Quantity.LENGTH)
                        .length("wanted", Fact.typed(edge))
                        .is(edge, "wanted")));
        return new Removal(school, all, leaves, minutes + PARED, cautions, cannot);
    }
}
