package ebauche.core.blank;

import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.shop.Caul;
import ebauche.core.shop.Clamp;
import ebauche.core.shop.Gluing;
import ebauche.core.timber.Hardness;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Which of the shop's clamps press an edge-glued blank, where, how hard, and in what order.
 *
 * <p>The seams lie one behind the other, so one force goes through all of them: force = pressure x area of one seam. A
 * clamp's pressure spreads at 45 degrees, so along the seam clamps stand no further apart than twice the way from the jaw
 * to the nearest seam, a caul's thickness counted in. The strongest clamps that open wide enough are taken first; where
 * they do not reach the pressure, it is said what is missing.
 */
public final class ClampPlan {
    /** Whatever the geometry allows, clamps are not set wider than this: every few inches, common practice, mm. */
    private static final double WIDEST_SPACING = 150;

    private static final int LEAST_CLAMPS = 2;

    private final Gluing gluing;
    private final Hardness hardness;
    private final double length;
    private final double across;
    private final double thickness;
    private final double toNearestSeam;
    private final List<Clamp> wideEnough;
    private final Optional<Caul> caul;

    /**
     * Plans clamps.
     *
     * @param hardness of the softest timber in the joint
     * @param length of the seams, mm
     * @param across width of the blank
     * @param thickness of its edges
     * @param toNearestSeam from the outer edge
     */
    public ClampPlan(
            Gluing gluing, Hardness hardness, double length, double across, double thickness, double toNearestSeam) {
        this.gluing = gluing;
        this.hardness = hardness;
        this.length = length;
        this.across = across;
        this.thickness = thickness;
        this.toNearestSeam = toNearestSeam;
        this.caul = gluing.cauls().stream()
                .filter(c -> c.count() >= 2 && !c.crowned() && c.length() >= length * 0.9)
                .min(Comparator.comparingDouble(Caul::length));
        double opening = across + 2 * caul.map(Caul::thickness).orElse(0.0);
        this.wideEnough = gluing.clamps().stream()
                .filter(c -> c.opening() >= opening && c.count() > 0)
                .sorted(Comparator.comparingDouble(Clamp::force).reversed())
                .toList();
    }

    /** Cauls along both edges, if the shop has a pair long enough. */
    public Optional<Caul> caul() {
        return caul;
    }

    /** Widest work that the clamps must take: blank and cauls. */
    public Reckoning opening() {
        double cauls = 2 * caul.map(Caul::thickness).orElse(0.0);
        return Reckoning.of("clamps must open", Quantity.LENGTH)
                .length("blank", Fact.typed(across))
                .length("two cauls", Fact.typed(cauls))
                .is(across + cauls, "blank + two cauls");
    }

    /** Least force on the seams, kN. */
    public Reckoning forceWanted() {
        double pressure = gluing.glue().pressureLeast(hardness);
        return Reckoning.of("force on the seams, kN", Quantity.NUMBER)
                .term("pressure, MPa", Fact.rule(pressure, pressureFrom()), Quantity.NUMBER)
                .length("length of seam", Fact.typed(length))
                .length("thickness", Fact.typed(thickness))
                .is(pressure * length * thickness / 1000, "pressure x length x thickness");
    }

    private String pressureFrom() {
        return gluing.glue().contactOnly()
                ? "contact only, common practice"
                : "Wood Handbook, ch. 10, for a " + hardness.words() + " timber (memory)";
    }

    /** Widest distance from clamp to clamp. */
    public Reckoning spacingMost() {
        double caulThickness = caul.map(Caul::thickness).orElse(0.0);
        double spread = 2 * (toNearestSeam + caulThickness);
        return Reckoning.of("from clamp to clamp, at most", Quantity.LENGTH)
                .length("jaw to nearest seam", Fact.typed(toNearestSeam))
                .length("caul", Fact.typed(caulThickness))
                .length("never more than", Fact.rule(WIDEST_SPACING, "every few inches, common practice"))
                .is(
                        Math.min(spread, WIDEST_SPACING),
                        "2 x (jaw to nearest seam + caul), pressure spreading at 45 degrees; never more than the last");
    }

    /** Clamps that are wanted to keep the spacing. */
    public int wantedForSpacing() {
        return Math.max(LEAST_CLAMPS, (int) Math.ceil(length / spacingMost().value() - 1e-9));
    }

    /**
     * One clamp in its place.
     *
     * @param along from one end of the seam
     * @param over whether its bar lies over the blank; they alternate, so that it stays flat
     * @param turn when it is tightened, counted from 1: the middle first, then outward
     */
    public record Set(Clamp clamp, double along, boolean over, int turn) {}

    /** The clamps, from one end to the other. */
    public List<Set> clamps() {
        List<Clamp> taken = taken();
        List<Set> sets = new ArrayList<>();
        int n = taken.size();
        List<Integer> order = fromTheMiddle(n);
        for (int i = 0; i < n; i++) {
            sets.add(new Set(taken.get(i), (i + 0.5) * length / n, i % 2 == 0, order.indexOf(i) + 1));
        }
        return sets;
    }

    /** What to fetch: {@code 4 bar clamps}. */
    public List<String> kinds() {
        Map<String, Long> counts = clamps().stream()
                .collect(Collectors.groupingBy(s -> s.clamp().name(), LinkedHashMap::new, Collectors.counting()));
        return counts.entrySet().stream()
                .map(e -> e.getValue() + " " + e.getKey() + (e.getValue() == 1 ? "" : "s"))
                .toList();
    }

    private static List<Integer> fromTheMiddle(int n) {
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            order.add(i);
        }
        double middle = (n - 1) / 2.0;
        order.sort(Comparator.comparingDouble(i -> Math.abs(i - middle)));
        return order;
    }

    /** As many of the strongest as spacing and force ask for, or all there are. */
    private List<Clamp> taken() {
        List<Clamp> taken = new ArrayList<>();
        double force = 0;
        double wanted = forceWanted().value() * 1000;
        for (Clamp kind : wideEnough) {
            for (int i = 0; i < kind.count(); i++) {
                if (taken.size() >= wantedForSpacing() && force >= wanted) {
                    return taken;
                }
                taken.add(kind);
                force += kind.force();
            }
        }
        return taken;
    }

    /** The pressure that these clamps reach, tightened by hand as far as each goes. */
    public Reckoning pressureReached() {
        double force = clamps().stream().mapToDouble(s -> s.clamp().force()).sum();
        return Reckoning.of("pressure reached, MPa", Quantity.NUMBER)
                .term("force of all clamps, kN", Fact.typed(force / 1000), Quantity.NUMBER)
                .length("length of seam", Fact.typed(length))
                .length("thickness", Fact.typed(thickness))
                .is(force / (length * thickness), "force / (length x thickness)");
    }

    /** How far each clamp is tightened, as a share of what it gives: never beyond what the joint should have. */
    public double share() {
        double reached = pressureReached().value();
        double most = gluing.glue().pressureMost(hardness);
        return reached <= most ? 1 : most / reached;
    }

    /** Whether the pressure is there and the clamps stand close enough. */
    public boolean enough() {
        return clamps().size() >= wantedForSpacing()
                && pressureReached().value() >= gluing.glue().pressureLeast(hardness) - 1e-9;
    }

    /** What would be enough, in words; empty if it is. */
    public String missing() {
        if (enough()) {
            return "";
        }
        int more = Math.max(wantedForSpacing() - clamps().size(), 1);
        double short_ = forceWanted().value()
                - clamps().stream().mapToDouble(s -> s.clamp().force()).sum() / 1000;
        double strongest = wideEnough.isEmpty() ? 4.5 : wideEnough.get(0).force() / 1000;
        int forForce = (int) Math.ceil(short_ / strongest - 1e-9);
        int count = Math.max(more, forForce);
        return count + (count == 1 ? " more clamp" : " more clamps") + " that open wide enough would do";
    }
}
