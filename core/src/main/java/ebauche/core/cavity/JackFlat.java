package ebauche.core.cavity;

import ebauche.core.feature.Feature;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Jack;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.operation.StepKey;
import ebauche.core.operation.StepKind;
import ebauche.core.routing.Datum;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.Optional;

/**
 * The edge under a jack's plate: what stands out over a straight line across it must come off for the plate to lie, and a hollow under it
 * shows as a gap.
 *
 * @param middle where the jack's axis meets the edge
 * @param bulge how far the edge stands out over the plate's two ends, mm
 * @param gap how far it stays back of them, mm
 * @param off what would come off: the bulge
 */
public record JackFlat(Point middle, double bulge, double gap, Region off) {
    /** A plate that rocks by less, or gapes by less, is drawn down by its screws, mm: common practice. */
    static final double LIES = 0.3;

    /** Beyond the plate's ends so much is levelled with it, mm. */
    private static final double BESIDE = 1;

    /** The edge under a plate so long, where a jack stands. */
    public static JackFlat of(Region body, Jack jack, double plate) {
        double along = jack.entry().distance(jack.aim());
        double inX = (jack.aim().x() - jack.entry().x()) / along;
        double inY = (jack.aim().y() - jack.entry().y()) / along;
        double reach = plate / 2 + BESIDE;
        // As far out from the aim as the edge lies, on the axis and at both ends of the plate.
        double onAxis = body.wayOut(jack.aim(), -inX, -inY);
        Point middle = jack.aim().plus(-onAxis * inX, -onAxis * inY);
        Region strip = Region.quadrilateral(
                jack.aim().plus(-reach * inY, reach * inX),
                jack.aim().plus(reach * inY, -reach * inX),
                jack.aim().plus(reach * inY - (onAxis + plate) * inX, -reach * inX - (onAxis + plate) * inY),
                jack.aim().plus(-reach * inY - (onAxis + plate) * inX, reach * inX - (onAxis + plate) * inY));
        double left = out(body, jack.aim(), inX, inY, reach);
        double right = out(body, jack.aim(), inX, inY, -reach);
        double flat = Math.min(left, right);
        Region beyond = strip.intersection(body)
                .minus(Region.quadrilateral(
                        jack.aim().plus(-2 * reach * inY - flat * inX, 2 * reach * inX - flat * inY),
                        jack.aim().plus(2 * reach * inY - flat * inX, -2 * reach * inX - flat * inY),
                        jack.aim().plus(2 * reach * inY + plate * inX, -2 * reach * inX + plate * inY),
                        jack.aim().plus(-2 * reach * inY + plate * inX, 2 * reach * inX + plate * inY)));
        double farthest = beyond.isEmpty() ? flat : reach(beyond, jack.aim(), -inX, -inY);
        return new JackFlat(middle, Math.max(0, farthest - flat), Math.max(0, Math.max(left, right) - onAxis), beyond);
    }

    /** How far out the edge lies beside the axis; nothing where the plate would hang in the air. */
    private static double out(Region body, Point aim, double inX, double inY, double aside) {
        Point from = aim.plus(-aside * inY, aside * inX);
        return body.contains(from) ? body.wayOut(from, -inX, -inY) : 0;
    }

    private static double reach(Region area, Point from, double x, double y) {
        Point farthest = area.farthest(x, y);
        return (farthest.x() - from.x()) * x + (farthest.y() - from.y()) * y;
    }

    /** What is under the plate of a body's jack, if it has one that lies on the edge. */
    static Optional<JackFlat> of(Build build) {
        return build.design()
                .jack()
                .filter(j -> j.plate().isPresent())
                .map(j -> of(build.design().outline().region(), j, j.plate().getAsDouble()));
    }

    boolean isToBeCut() {
        return bulge > LIES;
    }

    /** The step that cuts it: with a file or a block on a flat, as high as the plate. */
    Operation step(Build build, Jack jack) {
        double axis = build.faces().frontFinished() + jack.fromFront();
        double half = jack.plateHeight().orElse(jack.diameter()) / 2 + BESIDE;
        Reckoning deep = Reckoning.of("flat under the jack's plate", Quantity.LENGTH)
                .length("the edge stands out over the plate's ends", new Fact(bulge, Source.COMPUTED, "the outline"))
                .is(bulge, "the edge stands out over the plate's ends");
        return Operation.of(Work.CAVITY, Jack.FEATURE, StepKind.FLAT, "Cut a flat for the jack's plate on the edge")
                .at("on the edge", middle)
                .set(new Setting.Marked(
                        "file or a block with paper, square to the faces; the plate laid on as you go",
                        deep,
                        "off the edge at the most"))
                .cuts(Change.Remove.fromBody(
                        Feature.OUTLINE,
                        Solid.Prism.between(
                                off,
                                Math.max(build.faces().frontNow(), axis - half),
                                Math.min(build.faces().backNow(), axis + half))))
                .needs(Datum.OUTLINE_ROUTED)
                .gives(new Condition.Mark(StepKey.of(Jack.FEATURE, StepKind.FLAT), "the flat for the jack's plate"))
                .caution(Caution.DUST)
                .takes(15, 0, 0.002)
                .build();
    }
}
