package ebauche.app.whatif;

import ebauche.app.body.Bodies;
import ebauche.core.job.Finding;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.LengthUnit;
import ebauche.core.plan.BuildPlan;
import ebauche.core.sheet.SideBySide;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * How far a number may go before something stops the build that does not stop it today, and how much moves with it. Its ends are looked
 * for by halving between today's number and as far as anybody would go; each try is a whole plan.
 *
 * @param least that holds
 * @param most that holds
 * @param moves numbers of the body that a little change moves
 */
record RoomToMove(WhatIfController.Measure measure, double least, double most, int moves) {
    /** An end is known to this share of what could be asked. */
    private static final int HALVINGS = 4;

    /** A little change: half a millimetre, or half a degree. */
    private static final double LITTLE = 0.5;

    static RoomToMove of(Bodies.Current current, WhatIfController.Measure measure, LengthUnit unit) {
        double now = measure.now();
        double least = end(current, measure, -measure.reach(), unit);
        double most = end(current, measure, measure.reach(), unit);
        double tried =
                now + Math.min(LITTLE, Math.max(0, most - now)) - (most > now ? 0 : Math.min(LITTLE, now - least));
        SideBySide beside = SideBySide.of(current.plan(), plan(current, measure, tried, unit));
        return new RoomToMove(
                measure, least, most, beside.cavities().size() + beside.others().size());
    }

    private static double end(Bodies.Current current, WhatIfController.Measure measure, double reach, LengthUnit unit) {
        if (holds(current, measure, measure.now() + reach, unit)) {
            return measure.now() + reach;
        }
        double good = 0;
        double bad = reach;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (good + bad) / 2;
            if (holds(current, measure, measure.now() + middle, unit)) {
                good = middle;
            } else {
                bad = middle;
            }
        }
        return measure.now() + good;
    }

    private static boolean holds(
            Bodies.Current current, WhatIfController.Measure measure, double value, LengthUnit unit) {
        Trial trial = trial(current, measure, value, unit);
        return trial.troubles().isEmpty() && stops(current.plan()).containsAll(stops(trial.plan()));
    }

    private static BuildPlan plan(
            Bodies.Current current, WhatIfController.Measure measure, double value, LengthUnit unit) {
        return trial(current, measure, value, unit).plan();
    }

    private static Trial trial(
            Bodies.Current current, WhatIfController.Measure measure, double value, LengthUnit unit) {
        String typed = Decimals.plain(value, 2) + (measure.angle() ? "" : " mm");
        return Trial.of(current, WhatIfQuestion.of(Map.of(measure.field(), typed)), unit);
    }

    /** What stops a build, each by its rule and what it is about. */
    private static Set<String> stops(BuildPlan plan) {
        return plan.findings().stream()
                .filter(f -> f.severity() == Finding.Severity.STOPS)
                .map(f -> f.rule() + " " + f.feature().map(Object::toString).orElse(""))
                .collect(Collectors.toSet());
    }
}
