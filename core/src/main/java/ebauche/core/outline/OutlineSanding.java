package ebauche.core.outline;

import ebauche.core.crib.Drum;
import ebauche.core.design.EdgeReadings;
import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Band;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.List;
import java.util.Optional;

/** The school that sands to the line: a drum in the inside curves, a belt held square outside. */
final class OutlineSanding {
    private OutlineSanding() {}

    /** The largest drum that goes into every inside curve. */
    static Optional<Drum> drum(Build build) {
        return build.shop().crib().drum(tightest(build).radius());
    }

    private static Outline.InsideRadius tightest(Build build) {
        return build.drawn().outline().smallestInsideRadius();
    }

    static Optional<Finding> check(Build build) {
        Outline.InsideRadius tightest = tightest(build);
        if (Double.isInfinite(tightest.radius()) || drum(build).isPresent()) {
            return Optional.empty();
        }
        return Optional.of(Finding.thinkAgain(Work.OUTLINE, "no-drum")
                .on(Feature.OUTLINE)
                .at(tightest.at())
                .length("inside radius", tightest.radius())
                .says(
                        "The outline turns inward at {0}; no drum in the crib goes in there.",
                        "Open the curve there, finish it by file, or get a smaller drum."));
    }

    static Operation step(Build build) {
        Region body = build.drawn().withTabs();
        Region waste = build.design().blank().plan().minus(body);
        String inside =
                drum(build).map(d -> d.name() + " in the inside curves, ").orElse("");
        return Operation.of(Work.OUTLINE, Feature.OUTLINE, StepKind.SAND_TO_LINE, "Sand the edge to the line")
                .set(new Setting.ByHand(inside + "a belt held square outside; check with a square as you go"))
                .cuts(Change.Remove.fromBody(
                        Feature.OUTLINE,
                        Solid.Prism.between(
                                waste, build.faces().frontNow(), build.faces().backNow())))
                .needs(Datum.OUTLINE_SAWN, Datum.flat(build, Face.BACK, body))
                .gives(Datum.OUTLINE_ROUTED)
                .caution(Caution.DUST)
                .takes(90, 0, 0.008)
                .build();
    }

    /** The template back on its pins and the edge read all round: from then on what follows the edge follows it as it is. */
    static Operation read(Build build) {
        Region drawn = build.drawn().outline().region();
        Region gone = drawn.minus(build.design().outline().region());
        Operation.Builder step = Operation.of(
                        Work.OUTLINE,
                        Feature.OUTLINE,
                        StepKind.READ_EDGE,
                        "Snap the template back on and read how far the edge is off all round")
                .set(
                        new Setting.ByHand(
                                "template on its pins, depth of a calliper from its edge to the wood; write the stations on it once"))
                .needs(Datum.OUTLINE_ROUTED)
                .gives(new Condition.Mark(
                        StepKey.of(Feature.OUTLINE, StepKind.READ_EDGE), "the edge read against its template"))
                .takes(10, 0, 0.004);
        if (!gone.isEmpty()) {
            step.cuts(Change.Remove.fromBody(
                    Feature.OUTLINE,
                    Solid.Prism.between(
                            gone, build.faces().frontNow(), build.faces().backNow())));
        }
        List<Point> stations = EdgeReadings.stations(build.drawn().outline());
        Reckoning within = Band.shop("wood shaped by hand", build.shop().bands().shaped());
        for (int i = 0; i < stations.size(); i++) {
            step.at("station " + (i + 1), stations.get(i))
                    .inspect(new Inspection(
                            new Measurand.EdgeInside(i + 1),
                            Reckoning.of("edge inside its template", Quantity.LENGTH)
                                    .length("as the template has it", Fact.rule(0, "sanded to the line"))
                                    .is(0, "as the template has it"),
                            Band.either(within),
                            "calliper from the template's edge"));
        }
        return step.build();
    }
}
