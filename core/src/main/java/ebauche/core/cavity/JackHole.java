package ebauche.core.cavity;

import ebauche.core.crib.Fit;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.JackSeat;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.routing.Drilling;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/** The jack hole: square to the edge, level, into the cavity that it points at. */
final class JackHole {
    /** Cut before the hole is marked on it. */
    static final Condition.Mark FLAT_CUT =
            new Condition.Mark(StepKey.of(Jack.FEATURE, StepKind.FLAT), "the flat for the jack's plate");

    /** So far the drill goes on once its whole width is through, mm: common practice. */
    private static final double BEYOND = 3;

    private JackHole() {}

    static List<Operation> operations(Build build, Jack jack) {
        Optional<Cavity> into = build.design().cavityOf(jack);
        double axis = build.faces().frontFinished() + jack.fromFront();
        EdgeHole hole = new EdgeHole(
                build,
                Jack.FEATURE,
                "the jack",
                jack.entry(),
                jack.aim(),
                jack.diameter(),
                axis,
                EdgeHole.height(build, "the jack", Fact.typed(jack.fromFront()), "wanted under the finished front"),
                Set.of(into.map(Cavity::feature).orElse(Cavity.ELDEST)));
        OptionalDouble wall =
                into.isPresent() ? toCavity(build, hole, jack, into.get().plan()) : OptionalDouble.empty();
        String end = into.map(c -> c.feature().said()).orElse("cavity");
        String whole = "from the edge to where its whole width is in the " + end;
        Reckoning deep = wall.isPresent()
                ? Reckoning.of("depth of the jack hole", Quantity.LENGTH)
                        .length(whole, wall.getAsDouble())
                        .length("the drill's spur and a little", Fact.rule(BEYOND, "common practice"))
                        .is(wall.getAsDouble() + BEYOND, whole + " + the drill's spur and a little")
                : hole.deep("depth of the jack hole");
        Setting.Drilled drilled = Drilling.to(
                build,
                jack.diameter(),
                Fit.CLEAR,
                deep,
                wall.isPresent() ? "deep from the edge, into the " + end : "deep from the edge");
        return hole.operations(drilled, 20, 0.01, Caution.drilling(jack.diameter()));
    }

    /**
     * How far it runs in wood along its middle and both its sides until all of it is in its cavity; empty where it does not
     * end in one.
     */
    private static OptionalDouble toCavity(Build build, EdgeHole hole, Jack jack, Region pit) {
        Region drawn = build.design().outline().region();
        Region body = seat(build)
                .filter(JackSeat::bulges)
                .map(flat -> drawn.minus(flat.off()))
                .orElse(drawn);
        double along = jack.entry().distance(jack.aim());
        double x = -(jack.aim().y() - jack.entry().y()) / along * jack.diameter() / 2;
        double y = (jack.aim().x() - jack.entry().x()) / along * jack.diameter() / 2;
        double most = 0;
        for (int side = -1; side <= 1; side++) {
            Point end = new Point(jack.aim().x() + side * x, jack.aim().y() + side * y);
            if (!pit.contains(end)) {
                return OptionalDouble.empty();
            }
            most = Math.max(most, hole.outwards(body, jack.aim()) - hole.outwards(pit, end));
        }
        return OptionalDouble.of(most);
    }

    /** What is under the plate of a body's jack, if it has one that lies on the edge. */
    static Optional<JackSeat> seat(Build build) {
        return build.design()
                .jack()
                .filter(j -> j.plate().isPresent())
                .map(j -> JackSeat.of(
                        build.design().outline().region(), j, j.plate().getAsDouble()));
    }

    /** The step that cuts a flat for its plate: with a file or a block on a flat, as high as the plate. */
    static Operation flat(Build build, Jack jack, JackSeat seat) {
        double axis = build.faces().frontFinished() + jack.fromFront();
        double half = jack.plateHeight().orElse(jack.diameter()) / 2 + JackSeat.BESIDE;
        Reckoning deep = Reckoning.of("flat under the jack's plate", Quantity.LENGTH)
                .length(
                        "the edge stands out over the plate's ends",
                        new Fact(seat.bulge(), Source.COMPUTED, "the outline"))
                .is(seat.bulge(), "the edge stands out over the plate's ends");
        return Operation.of(Work.CAVITY, Jack.FEATURE, StepKind.FLAT, "Cut a flat for the jack's plate on the edge")
                .at("on the edge", seat.middle())
                .set(new Setting.Marked(
                        "file or a block with paper, square to the faces; the plate laid on as you go",
                        deep,
                        "off the edge at the most"))
                .cuts(Change.Remove.fromBody(
                        Feature.OUTLINE,
                        Solid.Prism.between(
                                seat.off(),
                                Math.max(build.faces().frontNow(), axis - half),
                                Math.min(build.faces().backNow(), axis + half))))
                .needs(Datum.OUTLINE_ROUTED)
                .gives(FLAT_CUT)
                .caution(Caution.DUST)
                .takes(15, 0, 0.002)
                .build();
    }
}
