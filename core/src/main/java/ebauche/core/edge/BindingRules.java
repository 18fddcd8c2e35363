package ebauche.core.edge;

import ebauche.core.design.Binding;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.stock.Relief;
import java.util.ArrayList;
import java.util.List;

/** What a binding must leave of the edge, and what its turns ask of the strip. */
final class BindingRules {
    /** Edge that stays under a binding, mm: less splits off when it is bent in; common practice. */
    private static final double STAYS = 3;

    private final BindingSteps of;

    private BindingRules(BindingSteps of) {
        this.of = of;
    }

    static List<Rule> of(BindingSteps steps) {
        return new BindingRules(steps).all();
    }

    private List<Rule> all() {
        List<Rule> rules = new ArrayList<>(List.of(stays()));
        if (of.binding.timber().isPresent()) {
            of.bends().stream().findFirst().ifPresent(b -> rules.add(bent(b)));
        }
        return rules;
    }

    /** Edge under the binding, less what a contour of either face and the other face's binding take there. */
    private Rule stays() {
        double other = of.build.design().bindings().stream()
                .filter(b -> b.face() != of.binding.face())
                .mapToDouble(Binding::height)
                .max()
                .orElse(0);
        Region body = of.build.design().outline().region();
        double[] most = {0};
        Point[] at = {of.plan.inner()};
        body.forEachRing(ring -> {
            for (int i = 0; i < ring.length; i += 2) {
                Point edge = new Point(ring[i], ring[i + 1]);
                if (of.plan.outside(edge) > BindingSteps.ON_IT) {
                    continue;
                }
                double taken = 0;
                for (Relief relief : of.build.contours()) {
                    taken += Math.abs(relief.under(0).fall(edge));
                }
                if (taken > most[0]) {
                    most[0] = taken;
                    at[0] = edge;
                }
            }
        });
        double thick = of.build.faces().thickness();
        Reckoning left = Reckoning.of("edge under the " + of.said(), Quantity.LENGTH)
                .length(
                        "finished thickness",
                        of.build.faces().thicknessReckoning(of.build).asFact())
                .length("contours take there", most[0])
                .length("its height", Fact.typed(of.binding.height()))
                .length("the other binding's", other)
                .is(
                        thick - most[0] - of.binding.height() - other,
                        "finished thickness − contours take there − its height − the other binding's");
        String cure = "A lower binding, a shallower contour, or end the binding before it.";
        return Rule.of(Work.EDGE, "binding-band", Rule.About.CONTOURS)
                .on(of.binding.feature())
                .at(at[0])
                .says("Edge stays under the " + of.said() + " all round.")
                .atLeast(left, STAYS)
                .cure(cure)
                .fails(() -> Finding.thinkAgain(Work.EDGE, "binding-band")
                        .on(of.binding.feature())
                        .at(at[0])
                        .length("left", left.value())
                        .length("wanted", STAYS)
                        .says("Under the " + of.said() + " {0} of edge are left; {1} are wanted.", cure))
                .build();
    }

    private Rule bent(Bends tightest) {
        Reckoning strain = Reckoning.of("strain of the " + of.said() + ", per cent", Quantity.NUMBER)
                .length("strip's thickness, t", Fact.typed(of.binding.thickness()))
                .length("edge turns with radius, r", tightest.radius())
                .is(100 * tightest.strain(), tightest.inside() ? "100 t / 2 / (r + t / 2)" : "100 t / 2 / (r − t / 2)");
        String cure = "A thinner strip, two strips one over the other, or a mitre at that turn.";
        return Rule.of(Work.EDGE, "binding-bend", Rule.About.CONTOURS)
                .on(of.binding.feature())
                .at(tightest.at())
                .says("The " + of.said() + " bends round the tightest turn, hot and wet.")
                .atMost(strain, 100 * Bends.HOT)
                .cure(cure)
                .fails(() -> Finding.thinkAgain(Work.EDGE, "binding-bend")
                        .on(of.binding.feature())
                        .at(tightest.at())
                        .length("turn", tightest.radius())
                        .length("strip", of.binding.thickness())
                        .says(
                                "At its tightest the edge turns with {0}: a strip {1} thick breaks there, even hot and wet.",
                                cure))
                .build();
    }
}
