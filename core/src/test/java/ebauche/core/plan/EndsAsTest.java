package ebauche.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.design.EndsAs;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.Work;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/** A body that leaves the shop unfinished: what another cuts is planned by nobody here, and is no open choice either. */
class EndsAsTest {
    private static BuildPlan plan(EndsAs ends) {
        TestBody body = new TestBody();
        body.endsAs = ends;
        return body.plan();
    }

    private static Set<Work> work(BuildPlan plan) {
        Set<Work> work = new TreeSet<>();
        plan.steps().forEach(s -> work.add(s.operation().work()));
        return work;
    }

    @Test
    void anUnroutedBodyIsShapedAndSandedAndNothingIsRoutedIntoIt() {
        BuildPlan plan = plan(EndsAs.UNROUTED);
        assertThat(work(plan)).contains(Work.BLANK, Work.OUTLINE, Work.SANDING).doesNotContain(Work.NECK, Work.CAVITY);
        assertThat(plan.stillOpen()).isEmpty();
        assertThat(plan.findings())
                .noneMatch(f -> f.feature().filter(Feature::isVoid).isPresent());
        assertThat(plan.rules()).isNotEmpty();
    }

    @Test
    void aBlankIsGluedUpAndBroughtToThicknessAndNoMore() {
        BuildPlan plan = plan(EndsAs.BLANK);
        assertThat(work(plan)).isSubsetOf(Work.BLANK, Work.THICKNESS).hasSize(2);
        assertThat(plan.steps()).hasSizeLessThan(plan(EndsAs.UNROUTED).steps().size());
    }

    @Test
    void whatIsNotDecidedOnAWholeBodyIsToldAndOnAnUnroutedOneIsNot() {
        TestBody body = new TestBody();
        body.undecided = Set.of(Feature.of(FeatureKind.NECK));
        assertThat(body.plan().stillOpen()).extracting(StillOpen::feature).contains(Feature.of(FeatureKind.NECK));
        body.endsAs = EndsAs.UNROUTED;
        assertThat(body.plan().stillOpen()).isEmpty();
    }
}
