package ebauche.core.shielding;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.Space;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Cover;
import ebauche.core.hardware.Shield;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import ebauche.core.shop.ShieldStock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What is lined of a space: its floor, its walls, the lip of a cover let in, and the cover's inside; a jack's dish is metal.
 *
 * @param lip width of the ledge that a cover lies on, mm; nought where there is none
 * @param cover the cover's inside; empty where it has none
 */
public record Skin(Build build, Shield shield, Space space, double lip, Region cover) {
    private static final double SQUARE_METRE = 1e6;

    /** Of every shield whose space is there, in the order of the design. */
    public static List<Skin> all(Build build) {
        BodyDesign design = build.design();
        List<Skin> all = new ArrayList<>();
        for (Shield shield : design.shields()) {
            Optional<Space> space = build.spaces().of(shield.space());
            space.ifPresent(s -> {
                Optional<Cavity> cavity = design.cavities().stream()
                        .filter(c -> c.feature().equals(shield.space()))
                        .findFirst();
                boolean letIn = cavity.filter(c -> c.cover().isLetIn()).isPresent();
                Region cover = cavity.filter(c -> c.cover().kind() != Cover.Kind.JACK_DISH)
                        .map(c -> letIn ? c.recessPlan() : c.plan())
                        .orElse(Region.EMPTY);
                all.add(new Skin(build, shield, s, letIn ? cavity.get().cover().lip() : 0, cover));
            });
        }
        return all;
    }

    /** How deep its walls are, mm. */
    public double depth() {
        return space.bottom() - space.top();
    }

    /** Square millimetres: floor + perimeter x depth, and the lip and the cover where there are any. */
    public Reckoning area() {
        Region plan = space.plan();
        double onLip = lip > 0 ? cover.area() - plan.area() : 0;
        double area = plan.area() + plan.perimeter() * depth() + onLip + cover.area();
        return Reckoning.of("area to line, " + shield.space().said() + ", mm²", Quantity.NUMBER)
                .term("floor, mm²", drawn(plan.area()), Quantity.NUMBER)
                .length("round its wall", drawn(plan.perimeter()))
                .length("its depth", drawn(depth()))
                .term("lip, mm²", drawn(onLip), Quantity.NUMBER)
                .term("cover, mm²", drawn(cover.area()), Quantity.NUMBER)
                .is(area, "floor + round its wall × its depth + lip + cover");
    }

    private static Fact drawn(double value) {
        return new Fact(value, Source.COMPUTED, "the design");
    }

    /** How much paint it takes, millilitres. */
    public Reckoning paint() {
        ShieldStock stock = build.shop().shielding();
        Reckoning area = area();
        return Reckoning.of("paint for the " + shield.space().said() + ", mL", Quantity.NUMBER)
                .term("area to line, mm²", area.asFact(), Quantity.NUMBER)
                .term("coats", Fact.usual(stock.coats(), "the shop's shielding"), Quantity.NUMBER)
                .term(
                        "mL for a square metre and coat",
                        Fact.usual(stock.spread(), "the shop's shielding"),
                        Quantity.NUMBER)
                .is(
                        area.value() / SQUARE_METRE * stock.coats() * stock.spread(),
                        "area to line × coats × mL for a square metre and coat / 1000000");
    }

    /** The pieces of foil that it takes, and how they are cut off the roll. */
    public Roll foil() {
        ShieldStock stock = build.shop().shielding();
        List<Roll.Piece> pieces = new ArrayList<>();
        sheet("floor", space.plan(), stock, pieces);
        double high = depth() + stock.overlap() + lip;
        strips("wall", high, space.plan().perimeter() + stock.overlap(), stock, pieces);
        if (!cover.isEmpty()) {
            sheet("cover", cover, stock, pieces);
        }
        return Roll.of(pieces, stock.roll());
    }

    private static void sheet(String said, Region plan, ShieldStock stock, List<Roll.Piece> pieces) {
        double across = plan.maxX() - plan.minX();
        double along = plan.maxY() - plan.minY();
        strips(said, Math.min(across, along), Math.max(across, along), stock, pieces);
    }

    /** So many strips side by side, each over the last by the overlap: ceil((wide - overlap) / (roll - overlap)). */
    static int strips(double wide, double roll, double overlap) {
        return Math.max(1, (int) Math.ceil((wide - overlap) / (roll - overlap) - 1e-9));
    }

    private static void strips(String said, double wide, double length, ShieldStock stock, List<Roll.Piece> pieces) {
        int n = strips(wide, stock.roll(), stock.overlap());
        double left = wide;
        for (int i = 1; i <= n; i++) {
            double strip = Math.min(stock.roll(), left);
            pieces.add(new Roll.Piece(n == 1 ? said : said + " " + i + " of " + n, strip, length));
            left -= strip - stock.overlap();
        }
    }
}
