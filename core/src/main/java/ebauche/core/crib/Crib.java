package ebauche.core.crib;

import ebauche.core.measure.Refusal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The tools that the shop has.
 *
 * @param templates thicknesses that its templates are made in, the usual one first
 * @param spacers thicknesses of what it lays under a template to raise it
 * @param saws for outlines
 * @param drums for inside curves
 * @param aids what steadies or leads a router
 * @param machines that stand on the floor
 * @param bearings outside diameters of the spare bearings in the drawer
 */
public record Crib(
        List<Router> routers,
        List<Bit> bits,
        List<Drill> drills,
        List<Double> templates,
        List<Double> spacers,
        List<Saw> saws,
        List<Drum> drums,
        List<Aid> aids,
        List<Machine> machines,
        List<Double> bearings) {
    private static final double THINNEST = 2;
    private static final double THICKEST = 60;
    private static final double THINNEST_SLOT = 25.4 / 16;
    private static final double THICKEST_SLOT = 25.4 * 3 / 32;

    /** As bits are ground, mm. */
    private static final double NEARLY = 0.05;

    public Crib {
        routers = List.copyOf(routers);
        bits = List.copyOf(bits);
        drills = List.copyOf(drills);
        Refusal.unless(!templates.isEmpty(), "templates", "a shop without templates follows none");
        templates.forEach(t -> Refusal.between(t, THINNEST, THICKEST, "templates"));
        spacers.forEach(s -> Refusal.between(s, 0.5, THICKEST, "spacers"));
        templates = List.copyOf(templates);
        spacers = List.copyOf(spacers);
        saws = List.copyOf(saws);
        drums = List.copyOf(drums);
        aids = List.copyOf(aids);
        machines = List.copyOf(machines);
        bearings.forEach(b -> Refusal.between(b, 2, 120, "bearings"));
        bearings = List.copyOf(bearings);
    }

    /** A crib that routs and drills, and has nothing to saw or sand an outline with. */
    public Crib(
            List<Router> routers, List<Bit> bits, List<Drill> drills, List<Double> templates, List<Double> spacers) {
        this(routers, bits, drills, templates, spacers, List.of(), List.of(), List.of(), List.of(), List.of());
    }

    /** Whether a spare bearing for a bit lies in the drawer. */
    public boolean hasSpare(Bit bit) {
        return bit.bearing().turns()
                && bearings.stream().anyMatch(b -> Math.abs(b - bit.bearingDiameter()) <= Bit.SAME);
    }

    /** The router that is held in the hand and takes a bit: of several the one with the largest base, which stands best on an edge. */
    public Optional<Router> inHand(Bit bit) {
        return routers.stream()
                .filter(r -> r.kind() != Router.Kind.TABLE && r.takes(bit.shank()))
                .max(Comparator.comparingDouble(Router::baseDiameter));
    }

    /** The same with another bit. */
    public Crib with(Bit bit) {
        List<Bit> more = new ArrayList<>(bits);
        more.add(bit);
        return only(more);
    }

    /** The largest Forstner bit that fits in a width with a skin left on both sides. */
    public Optional<Drill> forstner(double width) {
        return drills.stream()
                .filter(d -> d.kind() == Drill.Kind.FORSTNER && d.diameter() <= width)
                .max(Comparator.comparingDouble(Drill::diameter).thenComparing(Drill::name));
    }

    /** The drill nearest to a hole that is wanted, within what its fit allows. */
    public Optional<Drill> drill(double diameter, Fit fit) {
        return nearest(drills.stream().filter(d -> fit.takes(d.diameter(), diameter)), diameter);
    }

    /** The same, one that reaches so deep before one that does not. */
    public Optional<Drill> drill(double diameter, Fit fit, double deep) {
        Stream<Drill> reaching =
                drills.stream().filter(d -> fit.takes(d.diameter(), diameter)).filter(d -> d.reach() >= deep);
        return nearest(reaching, diameter).or(() -> drill(diameter, fit));
    }

    /** One for a long hole: a long drill that fits before any other, so that the chuck stays clear. */
    public Optional<Drill> longDrill(double diameter, Fit fit, double deep) {
        Stream<Drill> reaching = drills.stream()
                .filter(d -> d.kind() == Drill.Kind.LONG)
                .filter(d -> fit.takes(d.diameter(), diameter) && d.reach() >= deep);
        return nearest(reaching, diameter).or(() -> drill(diameter, fit, deep));
    }

    /** The drill nearest to a hole, whether it fits or not. */
    public Optional<Drill> nearestDrill(double diameter) {
        return nearest(drills.stream(), diameter);
    }

    private static Optional<Drill> nearest(Stream<Drill> among, double diameter) {
        // A long drill wanders where a short one does: only where no other is as near.
        return among.min(Comparator.<Drill>comparingDouble(d -> Math.abs(d.diameter() - diameter))
                .thenComparing(d -> d.kind() == Drill.Kind.LONG)
                .thenComparing(Drill::name));
    }

    /** The stoutest bit with a sound bearing at that end that turns in the corner; of those the one with the longest cutter. */
    public Optional<Bit> stoutest(boolean atShank, double corner) {
        return bits.stream()
                .filter(b -> b.copies()
                        && (atShank ? b.bearing().atShank() : b.bearing().atTip()))
                .filter(b -> b.corner() <= corner + 1e-6)
                .max(Comparator.comparingDouble(Bit::diameter)
                        .thenComparingDouble(Bit::cutterLength)
                        .thenComparing(Bit::name));
    }

    /** The same crib with only these bits. */
    public Crib only(List<Bit> those) {
        return new Crib(routers, those, drills, templates, spacers, saws, drums, aids, machines, bearings);
    }

    /** The same crib with only its router tables, or only the routers that are held in the hand. */
    public Crib tables(boolean those) {
        List<Router> kept = routers.stream()
                .filter(r -> (r.kind() == Router.Kind.TABLE) == those)
                .toList();
        return new Crib(kept, bits, drills, templates, spacers, saws, drums, aids, machines, bearings);
    }

    /** The largest drum that sands an inside curve of a radius. */
    public Optional<Drum> drum(double radius) {
        return drums.stream()
                .filter(d -> d.diameter() / 2 <= radius + 1e-6)
                .max(Comparator.comparingDouble(Drum::diameter).thenComparing(Drum::name));
    }

    /** The largest machine of a kind. */
    public Optional<Machine> machine(Machine.Kind kind) {
        return machines.stream()
                .filter(m -> m.kind() == kind)
                .max(Comparator.comparingDouble(Machine::size).thenComparing(Machine::name));
    }

    /** The bit that a blade switch slot is cut with: of 1/16 to 3/32 in, which looks best too: common practice. */
    public Optional<Bit> slotBit() {
        return bits.stream()
                .filter(Bit::isFree)
                .filter(b -> b.diameter() >= THINNEST_SLOT - NEARLY && b.diameter() <= THICKEST_SLOT + NEARLY)
                .findFirst();
    }
}
