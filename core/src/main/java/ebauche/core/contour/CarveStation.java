package ebauche.core.contour;

import ebauche.core.design.Contour;
import ebauche.core.design.Measurand;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Control;
import ebauche.core.job.Build;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Band;
import ebauche.core.operation.Inspection;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * A place of a contour where the wood left is read before it is carved, while it is, and after.
 *
 * @param at on a grid off the centre line and the saddle line, where a calliper finds wood from face to face
 */
public record CarveStation(Contour.Laid laid, Point at) {
    /** A carved top is read at no fewer, a contour off a line at no fewer: common practice. */
    private static final int ROUND = 9;

    private static final int ACROSS = 4;

    /** The grid is as wide as it can be, mm. */
    private static final int WIDEST = 150;

    private static final int NARROWEST = 15;
    private static final int STEP = 5;

    /** Less is not worth reading: mm, and a share of the deepest. */
    private static final double CARVED = 1;

    private static final double SHARE = 0.2;

    /** A calliper's jaw keeps off an opening by so much, mm. */
    private static final double JAW = 6;

    /** Those of a contour: the widest grid that gives enough of them. */
    public static List<CarveStation> of(Build build, Contour.Laid laid) {
        if (laid.contour().start() instanceof Contour.Start.Disc) {
            return List.of();
        }
        int wanted = laid.contour().start() instanceof Contour.Start.Round ? ROUND : ACROSS;
        Region free = laid.plan().minus(open(build));
        List<CarveStation> best = List.of();
        for (int pitch = WIDEST; pitch >= NARROWEST && best.size() < wanted; pitch -= STEP) {
            best = on(laid, free, pitch);
        }
        return best;
    }

    private static List<CarveStation> on(Contour.Laid laid, Region free, int pitch) {
        double least = Math.max(CARVED, SHARE * laid.profile().depth());
        List<CarveStation> found = new ArrayList<>();
        for (int row = (int) Math.floor(free.maxY() / pitch); row * pitch >= free.minY(); row--) {
            for (int column = (int) Math.ceil(free.minX() / pitch); column * pitch <= free.maxX(); column++) {
                Point at = new Point(column * pitch, row * pitch);
                if (free.contains(at) && laid.under(0).fall(at) > least) {
                    found.add(new CarveStation(laid, at));
                }
            }
        }
        return found;
    }

    /** Where a calliper would read a floor, or nothing. */
    private record Open(Region region) {}

    private static Region open(Build build) {
        return build.once().of(Open.class, () -> new Open(openings(build))).region();
    }

    private static Region openings(Build build) {
        return Region.union(Stream.of(
                                Stream.of(build.design().neck().pocket()),
                                build.design().cavities().stream().flatMap(c -> Stream.of(c.plan(), c.recessPlan())),
                                build.design().pickups().stream().map(p -> p.footprint()),
                                build.design().chambers().stream().map(c -> c.plan()),
                                build.design().controls().stream().map(Control::passage))
                        .flatMap(s -> s)
                        .filter(r -> !r.isEmpty())
                        .toList())
                .grown(JAW);
    }

    public Measurand.WoodAt measurand() {
        return new Measurand.WoodAt(laid.feature(), (int) at.x(), (int) at.y());
    }

    /** What a calliper is to find there once it is carved. */
    public Inspection inspection(Build build) {
        double flat = build.faces().backNow() - build.faces().frontNow();
        double fall = laid.under(0).fall(at);
        Face other = laid.face().other();
        double beyond = build.contours().stream()
                .filter(c -> c.face() == other)
                .filter(c -> build.isDone(StepKey.of(c.feature(), StepKind.CARVE)))
                .mapToDouble(c -> c.under(0).fall(at))
                .max()
                .orElse(0);
        String off = "carved off the " + other.word() + " there";
        Reckoning expected = Reckoning.of("body there", Quantity.LENGTH)
                .length("body now where it is flat", flat)
                .length("carved down there", fall)
                .length(off, beyond)
                .is(flat - fall - beyond, "body now where it is flat − carved down there − " + off);
        return new Inspection(
                measurand(),
                expected,
                Band.shops("wood that is shaped by hand", build.shop().bands().shaped()),
                "calliper, square to the faces");
    }
}
