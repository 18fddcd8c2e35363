package ebauche.core.design;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.Refusal;
import ebauche.core.timber.Hardness;
import ebauche.core.timber.Species;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The rough blank that the body comes out of: a core, and perhaps a top glued over it before it is thicknessed.
 *
 * @param across its width, along x
 * @param along its length, along y
 * @param middleX x of its middle
 * @param middleY y of its middle
 */
public record Blank(
        double across, double along, double middleX, double middleY, BlankLayer core, Optional<BlankLayer> top) {

    /** Strips are cut to a tenth of a millimetre. */
    private static final double STRIPS_MISS = 0.1;

    public Blank {
        Refusal.between(across, 1, 600, "across");
        Refusal.between(along, 1, 1200, "along");
        Refusal.between(middleX, -300, 300, "middleX");
        Refusal.between(middleY, -1200, 1200, "middleY");
        fits(core, across, "strips");
        top.ifPresent(t -> fits(t, across, "top"));
        Refusal.between(core.thickness() + top.map(BlankLayer::thickness).orElse(0.0), 1, 120, "thickness");
    }

    private static void fits(BlankLayer layer, double across, String field) {
        Refusal.unless(
                Math.abs(layer.width() - across) <= STRIPS_MISS * layer.strips().size(),
                field,
                "the strips are " + Decimals.plain(layer.width(), 1) + " mm wide together, and the blank is "
                        + Decimals.plain(across, 1) + " mm. Lay the blank out anew, or leave its strips out");
    }

    /** A blank of even pieces and no top, about the centre line. */
    public static Blank plain(
            Species species, int pieces, double across, double along, double middleY, double thickness) {
        return new Blank(
                across, along, 0, middleY, BlankLayer.even(species, pieces, across, thickness), Optional.empty());
    }

    public Species species() {
        return core.species();
    }

    /** What a router takes it for: a cut through the core meets the core. */
    public Hardness cutAs() {
        return species().cutAs();
    }

    /** Whether any of its layers chips. */
    public boolean isBrittle() {
        return layers().stream().anyMatch(l -> l.species().brittle());
    }

    /** Its layers, the core first. */
    public List<BlankLayer> layers() {
        return Stream.concat(Stream.of(core), top.stream()).toList();
    }

    /** How many pieces its core is glued of. */
    public int pieces() {
        return core.strips().size();
    }

    /** Rough, with its top, mm. */
    public double thickness() {
        return core.thickness() + topThickness();
    }

    /** What it is made of, such as {@code red alder} or {@code true mahogany and sugar maple}. */
    public String timbers() {
        return core.species().name()
                + top.map(BlankLayer::species)
                        .filter(s -> !s.equals(core.species()))
                        .map(s -> " and " + s.name())
                        .orElse("");
    }

    public double topThickness() {
        return top.map(BlankLayer::thickness).orElse(0.0);
    }

    public Region plan() {
        return Region.rectangle(new Point(middleX, middleY), across, along, 0, 0);
    }

    /** Mass at 12 % moisture, g. */
    public double grams() {
        return grams(core) + top.map(this::grams).orElse(0.0);
    }

    private double grams(BlankLayer layer) {
        return across * along * layer.thickness() * layer.species().density().value() * 1e-6;
    }

    /** x of the seams of its core, from left to right; none in a blank of one piece. */
    public double[] seams() {
        return seams(core);
    }

    public double[] seams(BlankLayer layer) {
        double[] at = new double[layer.strips().size() - 1];
        double x = middleX - layer.width() / 2;
        for (int i = 0; i < at.length; i++) {
            x += layer.strips().get(i).width();
            at[i] = x;
        }
        return at;
    }
}
