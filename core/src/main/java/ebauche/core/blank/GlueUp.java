package ebauche.core.blank;

import ebauche.core.design.BlankLayer;
import ebauche.core.design.Strip;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.shop.Glue;
import ebauche.core.shop.Gluing;
import ebauche.core.timber.Climate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Everything for gluing one layer of a blank edge to edge: marks, cuts, fit, clamps, glue and times.
 *
 * @param length of the seams, mm
 * @param climate of the shop, where it is known
 */
public record GlueUp(BlankLayer layer, double length, Gluing gluing, Optional<Climate> climate) {
    /** Minutes to spread one seam and to set one clamp: common practice. */
    private static final double SPREADING = 0.7;

    private static final double CLAMPING = 0.5;

    /** Chemistry doubles its speed for so many degrees: common practice. */
    private static final double TWICE_AS_FAST_BY = 10;

    private static final double AT_CELSIUS = 20;

    /** A plate thinner than this springs up between bar clamps: common practice, mm. */
    private static final double BUCKLES_UNDER = 12;

    /** Whether the layer is so thin that it must be held flat before the clamps bite. */
    public boolean buckles() {
        return layer.thickness() < BUCKLES_UNDER;
    }

    public int seams() {
        return layer.strips().size() - 1;
    }

    public SeamFit fit() {
        return new SeamFit(gluing, layer.thickness());
    }

    public ClampPlan clamps() {
        List<Strip> strips = layer.strips();
        double nearest =
                Math.min(strips.get(0).width(), strips.get(strips.size() - 1).width());
        return new ClampPlan(gluing, layer.hardness(), length, layer.width(), layer.thickness(), nearest);
    }

    /**
     * How one piece's edges are cut.
     *
     * @param piece counted from 1, left to right
     * @param leftMark letter at its left seam, empty at the outer edge
     * @param leftFaceUp whether the left edge is cut with the upper face up, where there is a seam
     */
    public record EdgeCuts(
            int piece, Strip strip, String leftMark, boolean leftFaceUp, String rightMark, boolean rightFaceUp) {}

    /** Each seam has a letter on both its edges; one is cut face up and the other face down if errors are to cancel. */
    public List<EdgeCuts> edges() {
        List<EdgeCuts> cuts = new ArrayList<>();
        int n = layer.strips().size();
        for (int i = 0; i < n; i++) {
            cuts.add(new EdgeCuts(
                    i + 1,
                    layer.strips().get(i),
                    i > 0 ? letter(i - 1) : "",
                    !gluing.complementary(),
                    i < n - 1 ? letter(i) : "",
                    true));
        }
        return cuts;
    }

    private static String letter(int seam) {
        return String.valueOf((char) ('a' + seam));
    }

    /** Glue for all seams, spread thin, g. */
    public Reckoning glueLeast() {
        return glue("glue at least", gluing.glue().spreadLeast());
    }

    /** Glue for all seams, spread generously, g. */
    public Reckoning glueMost() {
        return glue("glue at most", gluing.glue().spreadMost());
    }

    private Reckoning glue(String what, double spread) {
        double area = seams() * length * layer.thickness() * 1e-6;
        return Reckoning.of(what, Quantity.MASS)
                .term("seams", Fact.typed(seams()), Quantity.NUMBER)
                .length("length", Fact.typed(length))
                .length("thickness", Fact.typed(layer.thickness()))
                .term("spread, g/m²", Fact.rule(spread, "common practice; the pot says more"), Quantity.NUMBER)
                .is(area * spread, "seams x length x thickness x spread");
    }

    /** Minutes from the first spread to the last clamp, at the shop's temperature. */
    public Reckoning openTime() {
        double celsius = climate.map(Climate::celsius).orElse(AT_CELSIUS);
        Glue glue = gluing.glue();
        double minutes = glue.openMinutes() * Math.pow(2, (AT_CELSIUS - celsius) / TWICE_AS_FAST_BY);
        return Reckoning.of("open time", Quantity.TIME)
                .term(
                        "minutes at 20 °C",
                        Fact.rule(glue.openMinutes(), "common practice; the pot says more"),
                        Quantity.NUMBER)
                .term(
                        "temperature, °C",
                        climate.isPresent()
                                ? Fact.measured(celsius, "the shop's air")
                                : Fact.usual(celsius, "not measured"),
                        Quantity.NUMBER)
                .is(minutes, "minutes at 20 °C x 2^((20 - temperature) / 10)");
    }

    /** Minutes that one pair of hands needs. */
    public Reckoning handsTime() {
        return hands(seams(), clamps().clamps().size());
    }

    private static Reckoning hands(int seams, int clamps) {
        return Reckoning.of("time that hands need", Quantity.TIME)
                .term("seams", Fact.typed(seams), Quantity.NUMBER)
                .term("clamps", Fact.typed(clamps), Quantity.NUMBER)
                .term("minutes a seam", Fact.rule(SPREADING, "common practice"), Quantity.NUMBER)
                .term("minutes a clamp", Fact.rule(CLAMPING, "common practice"), Quantity.NUMBER)
                .is(seams * SPREADING + clamps * CLAMPING, "seams x minutes a seam + clamps x minutes a clamp");
    }

    /**
     * In how many goes the seams are glued so that each fits into the open time; 0 if not even one seam does.
     */
    public int stages() {
        double open = openTime().value();
        int clamps = clamps().clamps().size();
        int most = (int) Math.floor((open - clamps * CLAMPING) / SPREADING + 1e-9);
        return most < 1 ? 0 : (int) Math.ceil((double) seams() / most);
    }

    /** Whether the shop is warm enough for the glue to form its film. */
    public boolean warmEnough() {
        return climate.map(c -> c.celsius() >= gluing.glue().coldest()).orElse(true);
    }
}
