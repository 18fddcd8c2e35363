package ebauche.exchange.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.feature.Feature;
import ebauche.core.measure.Reckoning;
import ebauche.core.neck.NeckScrews;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.realism.Realism;
import ebauche.core.sheet.DepthCard;
import ebauche.core.sheet.DrillHole;
import ebauche.exchange.Remembering;
import ebauche.exchange.file.DemoBodies;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** No demo body carries a number that its own "Why?" does not give, worked out from the words on the screen. */
@Tag("slow")
@ExtendWith(Remembering.class)
class EverySumTest {
    /** Told in prose because the arithmetic would hide the meaning; checked by tests of their own (ledger, blank). */
    private static final Set<String> IN_PROSE = Set.of("off the front's high spot", "flat");

    private static List<Reckoning> sums(BuildPlan plan) {
        List<Reckoning> sums = new ArrayList<>(plan.reckonings());
        plan.steps().forEach(s -> {
            s.operation().setting().figure().ifPresent(sums::add);
            s.operation().inspections().forEach(i -> sums.add(i.expected()));
        });
        for (DepthCard card : DepthCard.of(plan)) {
            sums.addAll(List.of(card.depth(), card.now(), card.fromTemplate()));
            card.stop().ifPresent(sums::add);
            card.mouth().ifPresent(sums::add);
            card.left().forEach(l -> sums.add(l.sum()));
            card.found().ifPresent(sums::add);
            card.stillToCut().ifPresent(sums::add);
            card.tops().forEach(t -> sums.addAll(List.of(t.thickness(), t.wood())));
        }
        DrillHole.of(plan).forEach(h -> {
            sums.add(h.depth());
            h.wall().ifPresent(w -> sums.add(w.down()));
        });
        Realism.of(plan).rules().forEach(r -> sums.add(r.number()));
        plan.build().wedge(Feature.parse("neck")).ifPresent(sums::add);
        NeckScrews.of(plan.build())
                .ifPresent(s -> sums.addAll(List.of(s.mostWood(), s.leastWood(), s.shortest(), s.longest())));
        return sums;
    }

    @ParameterizedTest
    @ValueSource(strings = {"tussock", "sedge", "shale", "marram"})
    void the_words_of_every_sum_give_its_value(String name) {
        List<Reckoning> sums = sums(Planner.plan(DemoBodies.read(name).build()));
        assertThat(sums).hasSizeGreaterThan(60);
        SoftAssertions all = new SoftAssertions();
        for (Reckoning sum : sums) {
            if (IN_PROSE.contains(sum.what())) {
                continue;
            }
            all.assertThatCode(() -> assertThat(SumInWords.of(sum))
                            .as(sum.what() + " = " + sum.formula())
                            .isCloseTo(sum.value(), within(0.01)))
                    .doesNotThrowAnyException();
        }
        all.assertAll();
    }
}
