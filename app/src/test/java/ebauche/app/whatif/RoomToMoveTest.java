package ebauche.app.whatif;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.body.Bodies;
import ebauche.app.testing.WithVisitor;
import ebauche.core.job.Finding;
import ebauche.core.measure.LengthUnit;
import ebauche.core.plan.BuildPlan;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** How far a number may go: at its ends nothing new stops the build, a little beyond an end that was found something does. */
class RoomToMoveTest extends WithVisitor {
    @Autowired
    private Bodies plans;

    private static long stops(BuildPlan plan) {
        return plan.findings().stream()
                .filter(f -> f.severity() == Finding.Severity.STOPS)
                .count();
    }

    private long stopsAt(Bodies.Current current, String field, String typed) {
        Trial trial = Trial.of(current, WhatIfQuestion.of(Map.of(field, typed)), LengthUnit.MILLIMETRE);
        return trial.troubles().isEmpty() ? stops(trial.plan()) : Long.MAX_VALUE;
    }

    @Test
    void theEndsHoldAndBeyondThemSomethingStops() {
        Bodies.Current sedge = plans.current(shop.bodies().get("sedge"));
        double wood = 5.7;
        RoomToMove floor = RoomToMove.of(
                sedge,
                WhatIfController.Measure.length(WhatIfQuestion.FLOOR + "controls", "wood over the controls", wood),
                LengthUnit.MILLIMETRE);
        long today = stops(sedge.plan());
        assertThat(floor.least()).isBetween(0.5, wood);
        assertThat(stopsAt(sedge, WhatIfQuestion.FLOOR + "controls", floor.least() + " mm"))
                .isEqualTo(today);
        assertThat(stopsAt(sedge, WhatIfQuestion.FLOOR + "controls", floor.most() + " mm"))
                .isEqualTo(today);
        assertThat(stopsAt(sedge, WhatIfQuestion.FLOOR + "controls", "0.5 mm")).isGreaterThan(today);
        assertThat(floor.moves()).isPositive();
    }

    /** In work or not, every slider stands between its ends, and those that move most come first. */
    @Test
    void thePageShowsTheBodyAndItsSlidersThoseThatMoveMostFirst() {
        assertThat(me.get(shop.path("tussock") + "/what-if").body()).contains("<svg", "/what-if/room");
        String room = me.get(shop.path("tussock") + "/what-if/room").body();
        Matcher slider = Pattern.compile(
                        "data-for=\"([^\"]+)\"[^>]*min=\"(-?[0-9.]+)\" max=\"(-?[0-9.]+)\" value=\"(-?[0-9.]+)\"")
                .matcher(room);
        List<String> fields = new ArrayList<>();
        while (slider.find()) {
            fields.add(slider.group(1));
            assertThat(Double.parseDouble(slider.group(4)))
                    .as(slider.group(1))
                    .isBetween(
                            Double.parseDouble(slider.group(2)) - 0.006, Double.parseDouble(slider.group(3)) + 0.006);
        }
        assertThat(fields).contains("thickness", "angle", "heel");
        List<Integer> moves = Pattern.compile("moves (\\d+) numbers")
                .matcher(room)
                .results()
                .map(r -> Integer.parseInt(r.group(1)))
                .toList();
        assertThat(moves).isNotEmpty().isSortedAccordingTo((a, b) -> b - a);
    }
}
