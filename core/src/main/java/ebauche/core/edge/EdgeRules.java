package ebauche.core.edge;

import ebauche.core.design.RoundOver;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import java.util.Optional;

/** What a round-over must leave of the edge. */
final class EdgeRules {
    /** A band that hands keep straight between two corners, mm: common practice. */
    private static final double BAND = 2;

    /** Wood that a round-over leaves beside a jack's hole, mm: common practice. */
    private static final double BESIDE_JACK = 2;

    private EdgeRules() {}

    /** Between the two corners of an edge the bearing needs wall, and the eye a band. */
    static Optional<Rule> wallLeft(Build build, RoundOver.Laid laid) {
        double other = build.roundOvers().stream()
                .filter(r -> r.face() != laid.face() && r.plan().overlaps(laid.plan()))
                .mapToDouble(r -> r.roundOver().radius())
                .max()
                .orElse(0);
        if (laid.face() == Face.BACK && other > 0) {
            // Told once, on the front's.
            return Optional.empty();
        }
        double rides =
                EdgeStation.bit(build, laid).map(RoundingBit::bearingWidth).orElse(BAND);
        Reckoning left = Reckoning.of("edge left beside the " + laid.feature().said(), Quantity.LENGTH)
                .length(
                        "finished thickness",
                        build.faces().thicknessReckoning(build).asFact())
                .length("radius", Fact.typed(laid.roundOver().radius()))
                .length("radius of the other corner", other)
                .is(
                        build.faces().thickness() - laid.roundOver().radius() - other,
                        "finished thickness − radius − radius of the other corner");
        String cure = "Take smaller radii, or round one corner by hand.";
        return Optional.of(Rule.of(Work.EDGE, "edge-wall", Rule.About.CONTOURS)
                .on(laid.feature())
                .at(laid.plan().inner())
                .says("Wall stays on the edge beside the " + laid.feature().said() + " for the bearing to ride on.")
                .atLeast(left, rides)
                .cure(cure)
                .fails(() -> Finding.thinkAgain(Work.EDGE, "edge-wall")
                        .on(laid.feature())
                        .length("edge left", left.value())
                        .length("bearing", rides)
                        .says("The round-overs leave {0} of edge between them; the bearing is {1} wide.", cure))
                .build());
    }

    /** The jack keeps a flat edge round its hole. */
    static Optional<Rule> besideTheJack(Build build, RoundOver.Laid laid) {
        return build.design()
                .jack()
                .filter(j -> laid.course().across(j.entry().x(), j.entry().y()) > 0
                        || laid.plan().outside(j.entry()) < j.diameter())
                .map(jack -> {
                    double from = laid.face() == Face.FRONT
                            ? jack.fromFront()
                            : build.faces().thickness() - jack.fromFront();
                    Reckoning left = Reckoning.of("flat edge over the jack's hole", Quantity.LENGTH)
                            .length("its axis from the face", from)
                            .length("its hole", Fact.typed(jack.diameter()))
                            .length("radius", Fact.typed(laid.roundOver().radius()))
                            .is(
                                    from
                                            - jack.diameter() / 2
                                            - laid.roundOver().radius(),
                                    "its axis from the face − its hole / 2 − radius");
                    String cure =
                            "A smaller radius, a stretch that fades out before the jack, or the jack farther from the face.";
                    return Rule.of(Work.EDGE, "edge-into-jack", Rule.About.CONTOURS)
                            .on(laid.feature())
                            .at(jack.entry())
                            .says("The " + laid.feature().said() + " keeps clear of the jack's hole.")
                            .atLeast(left, BESIDE_JACK)
                            .cure(cure)
                            .fails(() -> Finding.thinkAgain(Work.EDGE, "edge-into-jack")
                                    .on(laid.feature())
                                    .at(jack.entry())
                                    .length("left", left.value())
                                    .length("wanted", BESIDE_JACK)
                                    .says(
                                            "The " + laid.feature().said()
                                                    + " leaves {0} of flat edge over the jack's hole; {1} is wanted.",
                                            cure))
                            .build();
                });
    }
}
