package ebauche.core.gluing;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.memo.Memo;
import ebauche.core.shop.Caul;
import ebauche.core.shop.Clamp;
import ebauche.core.shop.Gluing;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How a top is pressed onto its core with what the shop has. Its area is too large for the pressure of an edge joint, so
 * what is told is the pressure that is reached, and where it is least.
 *
 * <p>Crowned cauls lie across, a clamp at each end: clamped down, their belly presses evenly along their length. Clamps
 * that are left stand round the edge, deep ones as far in as they reach. Each presses a strip or a square that widens at
 * 45 degrees through the top (and a pad); pressures add up on a grid of {@value #CELL} mm. A flat caul bends off in the
 * middle and counts as its two clamps only: common practice. Over a hollow nothing is glued, and what presses there is borne beside it.
 */
public final class TopPress {
    private static final double CELL = 5;

    /** Thickness of the pad under a bare jaw, mm: common practice. */
    private static final double PAD = 18;

    /** Round the rim of a hollow body a clamp every couple of inches, common practice, mm. */
    private static final double RIM_PITCH = 50;

    private final Region plan;
    private final Region joint;
    private final double topThickness;
    private final Gluing gluing;
    private final List<PlacedCaul> cauls = new ArrayList<>();
    private final List<Press> presses = new ArrayList<>();
    private Optional<Spine> spine = Optional.empty();
    private final boolean[][] glued;
    private final double[][] pressure;
    private final Point weakest;

    /** A caul across the blank with its two clamps. */
    public record PlacedCaul(Caul caul, double y, Clamp clamp) {}

    /** A caul along the centre block with its two clamps. */
    public record Spine(Caul caul, double x, Clamp clamp) {}

    /** A clamp on a pad. */
    public record Press(Clamp clamp, Point at) {}

    private record Asked(Region plan, Region hollow, double topThickness, Gluing gluing) {}

    /** Onto a core that is solid. */
    public static TopPress onto(Region plan, double topThickness, Gluing gluing) {
        return onto(plan, Region.EMPTY, topThickness, gluing);
    }

    /**
     * Onto a core with hollows.
     *
     * @param hollow where nothing is glued: what presses there presses on what is glued beside it, or on nothing
     */
    public static TopPress onto(Region plan, Region hollow, double topThickness, Gluing gluing) {
        return Memo.here()
                .get(
                        new Asked(plan, hollow, topThickness, gluing),
                        () -> new TopPress(plan, hollow, topThickness, gluing),
                        TopPress::weight);
    }

    /** What remembering one takes, bytes: its two grids. */
    private long weight() {
        return pressure.length == 0 ? 0 : 9L * pressure.length * pressure[0].length;
    }

    private TopPress(Region plan, Region hollow, double topThickness, Gluing gluing) {
        this.plan = plan;
        this.joint = plan.minus(hollow);
        this.topThickness = topThickness;
        this.gluing = gluing;
        List<Clamp> single = clampsByReach();
        if (!hollow.isEmpty()) {
            layAlongTheBlock(single);
        }
        layCauls(single);
        standClamps(single);
        this.pressure = new double[(int) Math.ceil((plan.maxY() - plan.minY()) / CELL)]
                [(int) Math.ceil((plan.maxX() - plan.minX()) / CELL)];
        this.glued = glued();
        addUp();
        this.weakest = findWeakest();
    }

    /** Every clamp of the shop, one by one, deep ones last: they are kept for the middle. */
    private List<Clamp> clampsByReach() {
        List<Clamp> all = new ArrayList<>();
        gluing.clamps().forEach(c -> {
            for (int i = 0; i < c.count(); i++) {
                all.add(c);
            }
        });
        all.sort(Comparator.comparingDouble(Clamp::reach)
                .thenComparing(Comparator.comparingDouble(Clamp::force).reversed()));
        return all;
    }

    private boolean[][] glued() {
        boolean[][] all = new boolean[pressure.length][pressure.length == 0 ? 0 : pressure[0].length];
        for (int row = 0; row < all.length; row++) {
            for (int column = 0; column < all[row].length; column++) {
                all[row][column] = joint.contains(new Point(x(column), y(row)));
            }
        }
        return all;
    }

    /** Over the centre block one along it, flat or crowned: where the seam of the top lies it must not open. */
    private void layAlongTheBlock(List<Clamp> clamps) {
        double middle = (plan.minX() + plan.maxX()) / 2;
        double along = plan.maxY() - plan.minY();
        Optional<Caul> kind = gluing.cauls().stream()
                .filter(c -> c.length() >= along * 0.9 && c.count() > 0)
                .min(Comparator.comparing(Caul::crowned).reversed().thenComparingDouble(Caul::length));
        boolean block = joint.contains(new Point(middle, (plan.minY() + plan.maxY()) / 2));
        if (kind.isPresent() && block && clamps.size() >= 2) {
            Clamp weaker = clamps.remove(0);
            Clamp other = clamps.remove(0);
            spine = Optional.of(new Spine(kind.get(), middle, weaker.force() < other.force() ? weaker : other));
        }
    }

    /** How many of a kind the one along the block leaves. */
    private int left(Caul kind) {
        return kind.count() - (spine.isPresent() && spine.get().caul().equals(kind) ? 1 : 0);
    }

    private void layCauls(List<Clamp> clamps) {
        double across = plan.maxX() - plan.minX();
        Optional<Caul> kind = gluing.cauls().stream()
                .filter(c -> c.crowned() && c.length() >= across && left(c) > 0)
                .max(Comparator.comparingInt(this::left));
        if (kind.isEmpty()) {
            return;
        }
        double footprint = kind.get().width() + 2 * topThickness;
        int wanted = (int) Math.ceil((plan.maxY() - plan.minY()) / footprint);
        int count = Math.min(Math.min(left(kind.get()), wanted), clamps.size() / 2);
        double pitch = (plan.maxY() - plan.minY()) / Math.max(1, count);
        for (int i = 0; i < count; i++) {
            Clamp weaker = clamps.remove(0);
            Clamp other = clamps.remove(0);
            cauls.add(new PlacedCaul(
                    kind.get(), plan.minY() + (i + 0.5) * pitch, weaker.force() < other.force() ? weaker : other));
        }
    }

    /** What is left stands round the edge, in turn left and right, between the cauls. */
    private void standClamps(List<Clamp> clamps) {
        int perSide = Math.max(1, (clamps.size() + 1) / 2);
        double pitch = (plan.maxY() - plan.minY()) / perSide;
        double middle = (plan.minX() + plan.maxX()) / 2;
        for (int i = 0; i < clamps.size(); i++) {
            Clamp c = clamps.get(i);
            double in = Math.min(c.reach(), middle - plan.minX());
            double x = i % 2 == 0 ? plan.minX() + in : plan.maxX() - in;
            int row = i / 2;
            Point at = new Point(x, plan.minY() + (row + 0.5) * pitch);
            presses.add(new Press(c, joint.contains(at) ? at : onTheJoint(at)));
        }
    }

    /** A clamp over a hollow only bends the top: it stands on the nearest wood that is glued. */
    private Point onTheJoint(Point at) {
        return joint.isEmpty() ? at : joint.nearest(Region.disc(at, 0.02))[0];
    }

    private void addUp() {
        double along = plan.maxY() - plan.minY();
        spine.ifPresent(s -> {
            double half = s.caul().width() / 2 + topThickness;
            add(
                    s.x() - half,
                    s.x() + half,
                    plan.minY(),
                    plan.maxY(),
                    2 * s.clamp().force() / (along * 2 * half));
        });
        double across = plan.maxX() - plan.minX();
        for (PlacedCaul laid : cauls) {
            double half = laid.caul().width() / 2 + topThickness;
            add(
                    plan.minX(),
                    plan.maxX(),
                    laid.y() - half,
                    laid.y() + half,
                    2 * laid.clamp().force() / (across * 2 * half));
        }
        for (Press press : presses) {
            double half = press.clamp().jaw() / 2 + PAD + topThickness;
            Point at = press.at();
            add(
                    at.x() - half,
                    at.x() + half,
                    at.y() - half,
                    at.y() + half,
                    press.clamp().force() / (4 * half * half));
        }
    }

    /** Over a rectangle: where a part of it is hollow the rest takes its share. */
    private void add(double x0, double x1, double y0, double y1, double megapascals) {
        int all = 0;
        int carrying = 0;
        for (int row = first(y0, plan.minY()); row < pressure.length && y(row) <= y1; row++) {
            for (int column = first(x0, plan.minX()); column < pressure[row].length && x(column) <= x1; column++) {
                all++;
                carrying += glued[row][column] ? 1 : 0;
            }
        }
        for (int row = first(y0, plan.minY()); row < pressure.length && y(row) <= y1; row++) {
            for (int column = first(x0, plan.minX()); column < pressure[row].length && x(column) <= x1; column++) {
                pressure[row][column] += glued[row][column] ? megapascals * all / carrying : 0;
            }
        }
    }

    /** The first row or column whose middle is not before a place. */
    private static int first(double place, double from) {
        return (int) Math.max(0, Math.ceil((place - from) / CELL - 0.5 - 1e-9));
    }

    private double x(int column) {
        return plan.minX() + (column + 0.5) * CELL;
    }

    private double y(int row) {
        return plan.minY() + (row + 0.5) * CELL;
    }

    /** The least pressed cell; of several, the one furthest inside. */
    private Point findWeakest() {
        Point best = plan.centroid();
        double least = Double.POSITIVE_INFINITY;
        double deepest = -1;
        for (int row = 0; row < pressure.length; row++) {
            for (int column = 0; column < pressure[row].length; column++) {
                double inside = Math.min(
                        Math.min(x(column) - plan.minX(), plan.maxX() - x(column)),
                        Math.min(y(row) - plan.minY(), plan.maxY() - y(row)));
                double p = pressure[row][column];
                if (!glued[row][column]) {
                    continue;
                }
                if (p < least - 1e-12 || (p <= least + 1e-12 && inside > deepest)) {
                    least = p;
                    deepest = inside;
                    best = new Point(x(column), y(row));
                }
            }
        }
        return best;
    }

    public List<PlacedCaul> cauls() {
        return List.copyOf(cauls);
    }

    /** The caul along the centre block of a hollow body. */
    public Optional<Spine> spine() {
        return spine;
    }

    /** Clamps that press it in all: two on every caul, and those that stand by themselves. */
    public int clamps() {
        return 2 * (cauls.size() + (spine.isPresent() ? 1 : 0)) + presses.size();
    }

    /** Clamps round the rim of a hollow body, as many as are wanted. */
    public Reckoning rimClamps() {
        double round = 2 * (plan.maxX() - plan.minX() + plan.maxY() - plan.minY());
        return Reckoning.of("clamps round the rim", Quantity.NUMBER)
                .length("round the blank", round)
                .length("from one to the next", Fact.rule(RIM_PITCH, "every couple of inches, common practice"))
                .is(Math.ceil(round / RIM_PITCH), "round the blank / from one to the next");
    }

    /** Whether the core is hollow. */
    public boolean isHollow() {
        return joint.area() < plan.area() - 1;
    }

    public List<Press> presses() {
        return List.copyOf(presses);
    }

    /** Force of everything over the area, MPa. */
    public Reckoning average() {
        double force = cauls.stream().mapToDouble(l -> 2 * l.clamp().force()).sum()
                + presses.stream().mapToDouble(p -> p.clamp().force()).sum()
                + spine.map(s -> 2 * s.clamp().force()).orElse(0.0);
        return Reckoning.of("pressure on average, MPa", Quantity.NUMBER)
                .term("force of all clamps, kN", Fact.typed(force / 1000), Quantity.NUMBER)
                .term("area, m²", Fact.typed(joint.area() * 1e-6), Quantity.NUMBER)
                .is(force / joint.area(), "force / area");
    }

    /** Glue for the whole face, spread thin, g. */
    public Reckoning glueLeast() {
        return glue("glue at least", gluing.glue().spreadLeast());
    }

    /** Glue for the whole face, spread generously, g. */
    public Reckoning glueMost() {
        return glue("glue at most", gluing.glue().spreadMost());
    }

    private Reckoning glue(String what, double spread) {
        return Reckoning.of(what, Quantity.MASS)
                .term("area, m²", Fact.typed(joint.area() * 1e-6), Quantity.NUMBER)
                .term("spread, g/m²", Fact.rule(spread, "common practice; the pot says more"), Quantity.NUMBER)
                .is(joint.area() * 1e-6 * spread, "area x spread");
    }

    /** The least pressure anywhere, MPa. */
    public double least() {
        int row = (int) ((weakest.y() - plan.minY()) / CELL);
        int column = (int) ((weakest.x() - plan.minX()) / CELL);
        return pressure[row][column];
    }

    /** Where it is least. */
    public Point weakest() {
        return weakest;
    }

    /** Share of the area that is pressed at all. */
    public double covered() {
        int cells = 0;
        int pressed = 0;
        for (int row = 0; row < pressure.length; row++) {
            for (int column = 0; column < pressure[row].length; column++) {
                cells += glued[row][column] ? 1 : 0;
                pressed += pressure[row][column] > 0 ? 1 : 0;
            }
        }
        return (double) pressed / Math.max(1, cells);
    }

    /** What would help most, in words. */
    public String help() {
        if (least() > 0) {
            return "";
        }
        boolean crowned = gluing.cauls().stream().anyMatch(c -> c.crowned() && c.length() >= plan.maxX() - plan.minX());
        return crowned
                ? "More crowned cauls, or wider ones, would close the gaps between them."
                : "Crowned cauls as long as the blank is wide would reach its middle.";
    }
}
