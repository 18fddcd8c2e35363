package ebauche.exchange.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.json.JsonText;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Wires, channels, foil and readings as another program gets them: what it says must hold together by itself. */
class WiringJsonTest {
    private static JsonNode wiring(String name) {
        BuildPlan plan = Planner.plan(DemoBodies.read(name).build());
        return JsonText.tree(PlanJson.write(plan)).path("wiring");
    }

    /** A channel's wood is the way from where it goes in to where it comes out, its slope the angle between them: school geometry. */
    @ParameterizedTest
    @ValueSource(strings = {"tussock", "sedge", "shale", "marram"})
    void channels_hold_together(String name) {
        JsonNode wiring = wiring(name);
        assertThat(wiring.path("channels")).isNotEmpty();
        assertThat(wiring.path("wires")).isNotEmpty();
        assertThat(wiring.path("withoutWay")).isEmpty();
        for (JsonNode channel : wiring.path("channels")) {
            double x = channel.path("exit").path("x").asDouble()
                    - channel.path("entry").path("x").asDouble();
            double y = channel.path("exit").path("y").asDouble()
                    - channel.path("entry").path("y").asDouble();
            double down = channel.path("exit").path("under").asDouble()
                    - channel.path("entry").path("under").asDouble();
            double flat = Math.hypot(x, y);
            assertThat(Math.hypot(flat, down)).isCloseTo(channel.path("wood").asDouble(), within(1e-6));
            assertThat(Math.toDegrees(Math.atan2(down, flat)))
                    .isCloseTo(channel.path("slope").asDouble(), within(1e-6));
            assertThat(Math.toDegrees(Math.atan2(x, y)))
                    .isCloseTo(channel.path("offCentreLine").asDouble(), within(1e-6));
            assertThat(channel.path("drill").path("value").asDouble())
                    .isGreaterThan(channel.path("wood").asDouble());
            assertThat(channel.path("filled").path("value").asDouble(0))
                    .isLessThanOrEqualTo(channel.path("mostFilled").asDouble(1));
            assertThat(channel.path("comesOut").path("front").path("value").asDouble())
                    .isBetween(0.0, 100.0);
        }
    }

    /** Pieces lie on the roll, none over another, and cover at least the area that they line. */
    @ParameterizedTest
    @ValueSource(strings = {"sedge"})
    void foil_can_be_cut_as_it_lies(String name) {
        for (JsonNode shield : wiring(name).path("shields")) {
            double area = 0;
            for (JsonNode a : shield.path("pieces")) {
                assertThat(a.path("across").asDouble() + a.path("wide").asDouble())
                        .isLessThanOrEqualTo(shield.path("rollWidth").asDouble() + 1e-9);
                assertThat(a.path("along").asDouble() + a.path("long").asDouble())
                        .isLessThanOrEqualTo(shield.path("rollLength").asDouble() + 1e-9);
                area += a.path("wide").asDouble() * a.path("long").asDouble();
                for (JsonNode b : shield.path("pieces")) {
                    assertThat(a == b || apart(a, b, "across", "wide") || apart(a, b, "along", "long"))
                            .as("%s over %s", a, b)
                            .isTrue();
                }
            }
            assertThat(area).isGreaterThan(shield.path("area").path("value").asDouble());
        }
    }

    private static boolean apart(JsonNode a, JsonNode b, String at, String size) {
        return a.path(at).asDouble() >= b.path(at).asDouble() + b.path(size).asDouble() - 1e-9
                || b.path(at).asDouble() >= a.path(at).asDouble() + a.path(size).asDouble() - 1e-9;
    }

    /** Every reading but the first begins at what an earlier one has proved. */
    @ParameterizedTest
    @ValueSource(strings = {"tussock", "sedge"})
    void readings_go_out_from_the_sleeve(String name) {
        Set<String> proved = new HashSet<>();
        for (JsonNode reading : wiring(name).path("ground").path("readings")) {
            String one = reading.path("between").asString();
            String other = reading.path("and").asString();
            assertThat(proved.isEmpty() || proved.contains(one) || proved.contains(other))
                    .isTrue();
            proved.add(one);
            proved.add(other);
            assertThat(reading.path("mostOhms").asDouble()).isPositive();
        }
        assertThat(proved).hasSizeGreaterThan(3);
    }
}
