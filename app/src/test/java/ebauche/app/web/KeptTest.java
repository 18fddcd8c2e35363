package ebauche.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.exchange.file.DemoBodies;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.springframework.context.i18n.LocaleContextHolder;

class KeptTest {
    private record Asked(int step) {}

    private record OtherwiseAsked(int step) {}

    private static BuildPlan plan() {
        return Planner.plan(DemoBodies.read("sedge").build());
    }

    @Test
    void a_question_is_answered_once_for_each_plan() {
        AtomicInteger drawn = new AtomicInteger();
        BuildPlan plan = plan();
        for (int i = 0; i < 3; i++) {
            assertThat(Kept.with(plan).get(new Asked(1), () -> "picture " + drawn.incrementAndGet()))
                    .isEqualTo("picture 1");
        }
        assertThat(Kept.with(plan).get(new Asked(2), () -> "picture " + drawn.incrementAndGet()))
                .isEqualTo("picture 2");
        assertThat(Kept.with(plan).get(new OtherwiseAsked(1), () -> "picture " + drawn.incrementAndGet()))
                .isEqualTo("picture 3");
        BuildPlan other = plan();
        assertThat(Kept.with(other).get(new Asked(1), () -> "picture " + drawn.incrementAndGet()))
                .isEqualTo("picture 4");
    }

    @Test
    void whoever_asks_in_another_language_is_answered_in_it() {
        BuildPlan plan = plan();
        assertThat(Kept.with(plan).get(new Asked(1), () -> "front")).isEqualTo("front");
        LocaleContextHolder.setLocale(Locale.forLanguageTag("eo"));
        try {
            assertThat(Kept.with(plan).get(new Asked(1), () -> "antaŭo")).isEqualTo("antaŭo");
        } finally {
            LocaleContextHolder.resetLocaleContext();
        }
        assertThat(Kept.with(plan).get(new Asked(1), () -> "anew")).isEqualTo("front");
    }

    @Test
    void of_too_many_pictures_some_are_let_go() {
        BuildPlan plan = plan();
        AtomicInteger drawn = new AtomicInteger();
        int many = 200;
        for (int round = 0; round < 2; round++) {
            for (int i = 0; i < many; i++) {
                Kept.with(plan).get(new Asked(i), () -> {
                    drawn.incrementAndGet();
                    return "x".repeat(50_000);
                });
            }
        }
        assertThat(drawn.get()).isGreaterThan(many);
    }
}
