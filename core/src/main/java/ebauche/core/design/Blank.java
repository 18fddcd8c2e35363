package ebauche.core.design;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.Refusal;
import ebauche.core.timber.Hardness;
import ebauche.core.timber.Species;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The rough blank that the body comes out of: its own wood, and perhaps a top glued over it before it is thicknessed. Plates may be
 * sawn off its own wood and glued back, so that the core between them can be hollowed.
 *
 * @param across its width, along x
 * @param along its length, along y
 * @param middleX x of its middle
 * @param middleY y of its middle
 * @param core its own wood, with the plates that are sawn off it; as thick as it is when those are glued on again
 * @param top of wood apart, over it
 * @param sawn the plates that are sawn off the core
 */
public record Blank(
        double across,
        double along,
        double middleX,
        double middleY,
        BlankLayer core,
        Optional<BlankLayer> top,
        Plates sawn) {

    /** Strips are cut to a tenth of a millimetre. */
    private static final double STRIPS_MISS = 0.1;

    /** A core that is left between plates is no thinner, mm. */
    private static final double LEAST_BETWEEN = 3;

    /** A cut that shares less with a strip does not meet it, mm². */
    private static final double TOUCH = 1;

    public Blank {
        Refusal.between(across, 1, 600, "across");
        Refusal.between(along, 1, 1200, "along");
        Refusal.between(middleX, -300, 300, "middleX");
        Refusal.between(middleY, -1200, 1200, "middleY");
        fits(core, across, "strips");
        top.ifPresent(t -> fits(t, across, "top"));
        Refusal.between(core.thickness() + top.map(BlankLayer::thickness).orElse(0.0), 1, 120, "thickness");
        Refusal.unless(
                sawn.front() == 0 || top.isEmpty(),
                "sawnFront",
                "the blank has a top of its own wood apart: leave that out, or saw no front off");
        Refusal.unless(
                sawn.back() == 0 || sawn.front() > 0 || top.isPresent(),
                "sawnBack",
                "a hollow between plates is closed from the front too: saw a front off as well, or give the blank a top");
        Refusal.unless(
                sawn.isNone() || core.thickness() - sawn.thickness() >= LEAST_BETWEEN,
                sawn.back() > 0 ? "sawnBack" : "sawnFront",
                "the blank leaves no core between its plates");
    }

    /** One that no plate is sawn off. */
    public Blank(
            double across, double along, double middleX, double middleY, BlankLayer core, Optional<BlankLayer> top) {
        this(across, along, middleX, middleY, core, top, Plates.NONE);
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
        return core.cutAs();
    }

    /** The same of a cut over a part of it: the hardest of the strips that it meets. */
    public Hardness cutAs(Region cut) {
        return core.isMixed()
                ? stripes(core).stream()
                        .filter(s -> s.plan().shared(cut) > TOUCH)
                        .map(s -> s.species().cutAs())
                        .max(Comparator.naturalOrder())
                        .orElseGet(this::cutAs)
                : cutAs();
    }

    /** What a screw or a rasp meets in its core at worst. */
    public Hardness hardness() {
        return core.hardness();
    }

    /** Whether any of its layers chips. */
    public boolean isBrittle() {
        return layers().stream().anyMatch(BlankLayer::isBrittle);
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
        return core.thickness() + top.map(BlankLayer::thickness).orElse(0.0);
    }

    /** What it is made of, such as {@code red alder} or {@code true mahogany and sugar maple}. */
    public String timbers() {
        return core.words()
                + top.map(BlankLayer::words)
                        .filter(w -> !w.equals(core.words()))
                        .map(w -> " and " + w)
                        .orElse("");
    }

    /** What is glued over its core's front, a top or a front plate of its own, mm; nought where nothing is. */
    public double topThickness() {
        return top.map(BlankLayer::thickness).orElse(sawn.front());
    }

    /** Whether a top or a plate is glued over its core, so that it can be hollowed first. */
    public boolean isCovered() {
        return topThickness() > 0;
    }

    /** What lies on the bench to be hollowed: its own wood less the plates that are sawn off, mm. */
    public double coreThickness() {
        return core.thickness() - sawn.thickness();
    }

    public Region plan() {
        return Region.rectangle(new Point(middleX, middleY), across, along, 0, 0);
    }

    /** Mass at 12 % moisture, g. */
    public double grams() {
        return grams(core) + top.map(this::grams).orElse(0.0);
    }

    private double grams(BlankLayer layer) {
        return across * along * layer.thickness() * layer.density().value() * 1e-6;
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

    /**
     * Neighbouring strips of one timber.
     *
     * @param plan where they lie, seen from the front
     */
    public record Stripe(Species species, Region plan) {}

    /** A layer by its timbers, from left to right; one stripe where all of it is of one timber. */
    public List<Stripe> stripes(BlankLayer layer) {
        if (!layer.isMixed()) {
            return List.of(new Stripe(layer.of(layer.strips().get(0)), plan()));
        }
        List<Stripe> stripes = new ArrayList<>();
        double[] seams = seams(layer);
        double left = middleX - across / 2;
        for (int i = 0; i < layer.strips().size(); i++) {
            Species here = layer.of(layer.strips().get(i));
            boolean goesOn =
                    i < seams.length && layer.of(layer.strips().get(i + 1)).equals(here);
            if (!goesOn) {
                double right = i < seams.length ? seams[i] : middleX + across / 2;
                Point middle = new Point((left + right) / 2, middleY);
                stripes.add(new Stripe(here, Region.rectangle(middle, right - left, along, 0, 0)));
                left = right;
            }
        }
        return stripes;
    }

    /** x of the seams, in any layer, between strips that are not equally hard: there a cut turns uneven, common practice. */
    public List<Double> unevenSeams() {
        return layers().stream()
                .flatMap(l -> unevenSeams(l).stream())
                .distinct()
                .sorted(Comparator.naturalOrder())
                .toList();
    }

    private List<Double> unevenSeams(BlankLayer layer) {
        double[] seams = seams(layer);
        List<Strip> strips = layer.strips();
        List<Double> uneven = new ArrayList<>();
        for (int i = 0; i < seams.length; i++) {
            if (layer.of(strips.get(i)).hardness()
                    != layer.of(strips.get(i + 1)).hardness()) {
                uneven.add(seams[i]);
            }
        }
        return uneven;
    }
}
