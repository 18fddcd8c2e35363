package ebauche.core.crib;

import ebauche.core.measure.Refusal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The tools that the shop has.
 *
 * @param templates thicknesses that its templates are made in, the usual one first
 * @param spacers thicknesses of what it lays under a template to raise it
 */
public record Crib(
        List<Router> routers, List<Bit> bits, List<Drill> drills, List<Double> templates, List<Double> spacers) {
    private static final double THINNEST = 2;
    private static final double THICKEST = 60;

    public Crib {
        routers = List.copyOf(routers);
        bits = List.copyOf(bits);
        drills = List.copyOf(drills);
        Refusal.unless(!templates.isEmpty(), "templates", "a shop without templates follows none");
        templates.forEach(t -> Refusal.between(t, THINNEST, THICKEST, "templates"));
        spacers.forEach(s -> Refusal.between(s, 0.5, THICKEST, "spacers"));
        templates = List.copyOf(templates);
        spacers = List.copyOf(spacers);
    }

    /** The same with another bit. */
    public Crib with(Bit bit) {
        List<Bit> more = new ArrayList<>(bits);
        more.add(bit);
        return new Crib(routers, more, drills, templates, spacers);
    }

    /**
     * The largest shank-bearing bit that turns in a corner of this radius and whose cutter, fed in steps with the
     * bearing on the wall just cut, reaches the depth. A cutter a third of the depth or longer is called able: the
     * bearing then always finds wall; the exact windows belong to the table of passes.
     */
    public Optional<Bit> patternBit(double cornerRadius, double depth) {
        return bits.stream()
                .filter(b -> b.bearing().atShank() && b.copies())
                .filter(b -> b.diameter() / 2 <= cornerRadius + 1e-6 && b.cutterLength() >= depth / 3)
                .max(Comparator.comparingDouble(Bit::diameter).thenComparing(Bit::name));
    }

    /** The largest Forstner bit that fits in a width with a skin left on both sides. */
    public Optional<Drill> forstner(double width) {
        return drills.stream()
                .filter(d -> d.kind() == Drill.Kind.FORSTNER && d.diameter() <= width)
                .max(Comparator.comparingDouble(Drill::diameter).thenComparing(Drill::name));
    }

    /** The drill nearest to a diameter, within a tolerance. */
    public Optional<Drill> drill(double diameter, double tolerance) {
        return drills.stream()
                .filter(d -> Math.abs(d.diameter() - diameter) <= tolerance)
                .min(Comparator.<Drill>comparingDouble(d -> Math.abs(d.diameter() - diameter))
                        .thenComparing(Drill::name));
    }

    /** The bit with this bearing whose cutter is longest. */
    public Optional<Bit> longest(Bit.Bearing bearing) {
        return bits.stream()
                .filter(b -> b.bearing() == bearing)
                .max(Comparator.comparingDouble(Bit::cutterLength).thenComparing(Bit::name));
    }
}
