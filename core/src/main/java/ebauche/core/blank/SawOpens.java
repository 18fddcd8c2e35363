package ebauche.core.blank;

import ebauche.core.feature.Work;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;

/**
 * Whether the shop's saw opens for what is sawn on edge.
 *
 * @param rule its name
 * @param widest what goes through it on edge, mm
 * @param says what holds where it opens so wide
 * @param piece what is too wide where it does not, such as {@code The piece that the cover is sliced off}
 */
record SawOpens(Build build, String rule, double widest, String says, String piece, String cure) {
    Rule asRule() {
        double most = build.shop().cutting().resawHeight();
        Reckoning wide = Reckoning.of("piece on edge", Quantity.LENGTH)
                .length("its width", Fact.typed(widest))
                .is(widest, "its width");
        return Rule.of(Work.BLANK, rule, Rule.About.BLANK)
                .on(BlankStation.FEATURE)
                .says(says)
                .atMost(wide, most)
                .cure(cure)
                .fails(() -> Finding.stops(Work.BLANK, rule)
                        .on(BlankStation.FEATURE)
                        .length("piece on edge", widest)
                        .length("most the saw opens", most)
                        .says(piece + " is {0} wide; the saw opens {1} on edge.", cure))
                .build();
    }
}
