package ebauche.core.outline;

import ebauche.core.design.Tab;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.List;
import java.util.Optional;

/** Tabs and flats outside the outline: they come off once everything that is located from them is located. */
final class Tabs {
    private static final int MINUTES_EACH = 12;

    private Tabs() {}

    static Optional<Operation> off(Build build) {
        List<Tab> tabs = build.drawn().tabs();
        if (tabs.isEmpty()) {
            return Optional.empty();
        }
        Region standing = build.drawn().withTabs().minus(build.drawn().outline().region());
        Operation.Builder step = Operation.of(
                        Work.OUTLINE,
                        Feature.OUTLINE,
                        StepKind.TABS_OFF,
                        tabs.size() == 1
                                ? "Saw the tab off and bring the edge to its line there"
                                : "Saw the tabs off and bring the edge to its line there")
                .set(
                        new Setting.ByHand(
                                "saw close, then a flush bit along the edge on both sides, or a drum and block; the rest of the edge is the line"))
                .cuts(Change.Remove.fromBody(
                        Feature.OUTLINE,
                        Solid.Prism.between(
                                standing,
                                build.faces().frontNow(),
                                build.faces().backNow())))
                .needs(Datum.OUTLINE_ROUTED)
                .gives(new Condition.Mark(StepKey.of(Feature.OUTLINE, StepKind.TABS_OFF), "the tabs sawn off"))
                .caution(Caution.SAW, Caution.DUST)
                .takes(MINUTES_EACH * tabs.size(), 0, 0.004);
        tabs.forEach(t -> step.at(t.id() + " tab", t.at()));
        return Optional.of(step.build());
    }

    /** A tab is wood of the blank: what stands out of it cannot be left. */
    static List<Rule> rules(Build build) {
        return build.drawn().tabs().stream().map(t -> inBlank(build, t)).toList();
    }

    private static Rule inBlank(Build build, Tab tab) {
        double beyond = tab.region(build.drawn().outline())
                .reachesBeyond(build.design().blank().plan());
        return Rule.of(Work.OUTLINE, "tab-in-blank", Rule.About.BLANK)
                .on(Feature.OUTLINE)
                .at(tab.at())
                .says("The blank has the wood for the " + tab.id() + " tab.")
                .atMost(
                        Reckoning.of("tab beyond the blank", Quantity.LENGTH)
                                .length("reaches beyond the blank's edge", Fact.typed(beyond))
                                .is(beyond, "reaches beyond the blank's edge"),
                        0)
                .cure("A shorter tab, elsewhere, or a larger blank.")
                .fails(() -> Finding.thinkAgain(Work.OUTLINE, "tab-beyond-blank")
                        .on(Feature.OUTLINE)
                        .at(tab.at())
                        .length("beyond the blank", beyond)
                        .says(
                                "The " + tab.id() + " tab reaches {0} beyond the blank.",
                                "A shorter tab, elsewhere, or a larger blank."))
                .build();
    }
}
