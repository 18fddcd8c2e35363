package ebauche.app.xray;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.body.Bodies;
import ebauche.app.testing.WithVisitor;
import ebauche.core.hardware.Pickup;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A cavity dragged on the X-ray, through its address. */
class XrayPagesTest extends WithVisitor {
    private static final double TURNED = 9;
    private static final double WALL = 0.8;

    @Autowired
    private Bodies plans;

    private List<Pickup> pickups() {
        return plans.current(shop.bodies().get("sedge")).plan().build().design().pickups();
    }

    /**
     * How far the bridge pickup's cavity, turned, is to be dragged until so much wall is left to the neck pickup's: its farthest reach
     * towards the neck is that of its core, turned, and a corner's radius, by school geometry.
     */
    private static double drag(Pickup bridge, Pickup neck) {
        double turn = Math.toRadians(TURNED);
        double r = bridge.cornerRadius();
        double reach = (bridge.across() / 2 - r) * Math.sin(turn) + (bridge.along() / 2 - r) * Math.cos(turn) + r;
        double edge = neck.at().y() - neck.along() / 2;
        return edge - WALL - reach - bridge.at().y();
    }

    @Test
    void a_cavity_dragged_until_0_8_of_wall_is_left_at_an_odd_angle_is_named() {
        String design = shop.path("sedge") + "/design";
        HttpResponse<String> turned = me.post(design, design, Map.of("base", "1", "add", "", "pickups.1.turned", "9"));
        assertThat(turned.statusCode()).isEqualTo(302);
        Pickup bridge = pickups().get(1);
        assertThat(bridge.turned()).isEqualTo(TURNED);
        double dy = drag(bridge, pickups().get(0));
        String page = me.get(String.format(Locale.ROOT, "%s/x-ray?move.pickup-bridge=0,%.4f", shop.path("sedge"), dy))
                .body();
        assertThat(page)
                .contains("data-rule=\"thin-wall\"")
                .contains("The wall between the neck pickup cavity and the bridge pickup cavity is only 0.8 mm");
        // Three millimetres less, and no wall is thin; one more, and it breaks in.
        assertThat(me.get(String.format(Locale.ROOT, "%s/x-ray?move.pickup-bridge=0,%.4f", shop.path("sedge"), dy - 3))
                        .body())
                .doesNotContain("data-rule=\"thin-wall\"");
        assertThat(me.get(String.format(Locale.ROOT, "%s/x-ray?move.pickup-bridge=0,%.4f", shop.path("sedge"), dy + 1))
                        .body())
                .contains("data-rule=\"breaks-in\"");
        assertThat(bodies.head(shop.bodies().get("sedge")).number())
                .as("what is dragged is not kept")
                .isEqualTo(2);
    }
}
