package ebauche.core.cavity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestParts;
import ebauche.core.channel.DishPlaces;
import ebauche.core.channel.Finder;
import ebauche.core.design.BodyDesign;
import ebauche.core.design.Space;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Cover;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.hardware.Pickup;
import ebauche.core.hardware.Shield;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.measure.Refusal;
import ebauche.core.plan.BuildPlan;
import ebauche.core.shielding.Ground;
import ebauche.core.wires.WireWays;
import ebauche.core.wires.Wiring;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A jack on the front in a dish: a rout under it, as deep as it reaches; wires, ground and channels lead there. */
class JackDishTest {
    private static final Part DISH = TestParts.of(PartKind.JACK_DISH, PartSize.THICKNESS, 1.2, PartSize.BELOW, 32);
    private static final Feature ROUT = Feature.parse("cavity-dish");

    private static Cavity dish(double x, double y, Cavity.Floor floor, Optional<Part> part) {
        Outline rout = Outline.parse(stadium(x, y, 10, 12.5), 1);
        Outline rim = Outline.parse(stadium(x, y, 15, 17), 1);
        return new Cavity(
                "dish",
                Face.FRONT,
                rout,
                floor,
                new Cover(
                        Cover.Kind.JACK_DISH,
                        1.2,
                        0,
                        List.of(new Point(x - 28, y), new Point(x + 28, y)),
                        part,
                        Optional.of(rim)),
                Set.of());
    }

    /** Two half circles of a radius, their middles so far either side. */
    private static String stadium(double x, double y, double half, double r) {
        return "M %s %s L %s %s A %s %s 0 0 1 %s %s L %s %s A %s %s 0 0 1 %s %s Z"
                .formatted(
                        x - half, y - r, x + half, y - r, r, r, x + half, y + r, x - half, y + r, r, r, x - half,
                        y - r);
    }

    private static TestBody body() {
        TestBody body = new TestBody();
        body.jack = Optional.empty();
        body.cavities.add(dish(100, -105, new Cavity.Floor.ForParts(), Optional.of(DISH)));
        return body;
    }

    private static List<String> keys(BuildPlan plan) {
        return plan.steps().stream().map(s -> s.operation().key().written()).toList();
    }

    /** Laid on, routed as deep as dish, jack and plug reach and the shop's room (2), screwed; nothing is drilled in the edge. */
    @Test
    void its_rout_is_placed_by_it_and_as_deep_as_it_reaches() {
        TestBody body = body();
        BuildPlan plan = body.plan();
        assertThat(keys(plan))
                .containsSubsequence("cavity-dish:locate", "cavity-dish:rout")
                .contains("screws-dish:drill")
                .doesNotContain("jack:drill", "recess-dish:rout");
        assertThat(plan.build().spaces().of(ROUT).orElseThrow().bottom()).isCloseTo(34, within(1e-9));
        assertThat(body.rules()).doesNotContain("no-plate", "no-depth", "dish-tall", "two-jacks");
        body.read("size:recess-dish.below", 33.5);
        assertThat(body.plan().build().spaces().of(ROUT).orElseThrow().bottom()).isCloseTo(35.5, within(1e-9));
    }

    @Test
    void one_that_is_too_shallow_or_of_no_known_depth_is_told() {
        TestBody body = body();
        body.cavities.set(1, dish(100, -105, new Cavity.Floor.Deep(30), Optional.of(DISH)));
        assertThat(body.rules()).contains("dish-tall");
        body.cavities.set(1, dish(100, -105, new Cavity.Floor.Deep(33), Optional.of(DISH)));
        assertThat(body.rules()).doesNotContain("dish-tall");
        body.cavities.set(1, dish(100, -105, new Cavity.Floor.ForParts(), Optional.empty()));
        assertThat(body.plan().findings())
                .filteredOn(f -> f.rule().equals("no-depth"))
                .singleElement()
                .satisfies(f -> assertThat(f.what(v -> "")).contains("dish"));
    }

    @Test
    void a_second_jack_is_told_and_the_one_in_the_edge_is_wired() {
        TestBody body = body();
        body.jack = new TestBody().jack;
        assertThat(body.rules()).contains("two-jacks");
        assertThat(body.design().jackDish()).isEmpty();
        assertThat(body.design().jackCavity()).contains(body.cavities.get(0));
    }

    @Test
    void a_dish_lies_on_the_front_and_no_other_part_is_one() {
        Cavity dish = dish(100, -105, new Cavity.Floor.Deep(34), Optional.empty());
        assertThatThrownBy(() -> new Cavity("dish", Face.BACK, dish.outline(), dish.floor(), dish.cover(), Set.of()))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("front");
        Part plate = TestParts.of(PartKind.COVER, PartSize.THICKNESS, 2);
        assertThatThrownBy(() -> dish(100, -105, dish.floor(), Optional.of(plate)))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new Cover(Cover.Kind.LET_IN, 2, 5, List.of(), Optional.of(DISH)))
                .isInstanceOf(Refusal.class);
    }

    /** The usual wires end at the jack in its rout; a channel that is found between that and the controls gives them a way. */
    @Test
    void wires_go_to_it_by_a_channel_that_is_found() {
        TestBody body = body().wired();
        body.pickups =
                List.of(TestBody.pickup("neck", 0, 130, 19, Set.of()), TestBody.pickup("bridge", 0, 40, 19, Set.of()));
        assertThat(Wiring.of(body.design()).wires())
                .filteredOn(w -> w.from().equals(Jack.FEATURE) || w.to().equals(Jack.FEATURE))
                .hasSize(1);
        BuildPlan before = body.plan();
        assertThat(new WireWays(before.build()).without())
                .singleElement()
                .satisfies(w -> assertThat(w.to()).isEqualTo(Jack.FEATURE));
        List<Finder.Proposal> found = Finder.missing(before.build(), before.history());
        assertThat(found).hasSize(1);
        body.channels.add(found.get(0).channel());
        WireWays ways = new WireWays(body.build());
        assertThat(ways.without()).isEmpty();
        assertThat(ways.ways())
                .filteredOn(w -> w.wire().to().equals(Jack.FEATURE))
                .singleElement()
                .satisfies(
                        w -> assertThat(w.through().get(w.through().size() - 1)).isEqualTo(ROUT));
    }

    /** A channel that ends in the wood under the rout of the dish opens into nothing: its floor is known. */
    @Test
    void a_hole_under_its_floor_does_not_open_into_it() {
        Build build = body().build();
        Space rout = build.spaces().of(ROUT).orElseThrow();
        assertThat(rout.bottom()).isLessThan(build.design().thickness() - 5);
    }

    /** The dish is metal and holds the sleeve: a shield of its rout is one with it by the dish's screws, and no lug is wanted. */
    @Test
    void a_shielded_rout_is_one_with_the_sleeve() {
        TestBody body = body();
        body.shields.add(new Shield("dish", ROUT, Shield.By.COPPER));
        Ground ground = Ground.of(body.build());
        assertThat(ground.between(Ground.SLEEVE, "shield-cavity-dish"))
                .singleElement()
                .satisfies(b -> assertThat(b.how()).contains("dish"));
        assertThat(ground.alone()).isEmpty();
        assertThat(Ground.tipIsNearShield(body.design())).isTrue();
        assertThat(keys(body.plan())).contains("jack:meter");
    }

    /** Every place looked at in 500 random points of its rim and rout: on the body, off strings, pickups and bridge, wood all round. */
    @Test
    void where_it_can_stand_holds_what_it_says() {
        TestBody body = body();
        BuildPlan plan = body.plan();
        BodyDesign design = plan.build().design();
        List<DishPlaces.Place> places = DishPlaces.of(plan.build(), plan.history(), 6);
        assertThat(places).hasSizeGreaterThan(2);
        Cavity dish = design.jackDish().orElseThrow();
        Region rim = dish.cover().outline().orElseThrow().region();
        Random random = new Random(5);
        Region controls = design.cavities().get(0).plan();
        for (DishPlaces.Place place : places) {
            for (int i = 0; i < 500; i++) {
                Point p = new Point(
                        rim.minX() + random.nextDouble() * (rim.maxX() - rim.minX()),
                        rim.minY() + random.nextDouble() * (rim.maxY() - rim.minY()));
                if (!rim.contains(p)) {
                    continue;
                }
                Point there = p.plus(place.dx(), place.dy());
                assertThat(design.outline().region().outside(there)).isLessThan(-5.9);
                assertThat(Math.abs(there.x()) > 26
                                || there.y() < design.bridge().footprintY())
                        .as("off the strings")
                        .isTrue();
                for (Pickup pickup : design.pickups()) {
                    assertThat(pickup.footprint().contains(there)).isFalse();
                }
                assertThat(design.bridge().footprint().contains(there)).isFalse();
                if (dish.plan().contains(p)) {
                    assertThat(controls.outside(there)).isGreaterThanOrEqualTo(place.apart() - 0.01);
                }
            }
            assertThat(place.beside()).isGreaterThanOrEqualTo(3);
            assertThat(place.apart()).isGreaterThanOrEqualTo(place.beside() - 1e-9);
            // The recess of the controls' cover, 2.5 deep in the back, may lie under it.
            boolean overRecess =
                    design.cavities().get(0).recessPlan().overlaps(dish.plan().moved(place.dx(), place.dy()));
            assertThat(place.under()).isCloseTo(44.5 - 34 - (overRecess ? 2.5 : 0), within(1e-6));
        }
        DishPlaces.Place best = places.get(0);
        body.cavities.set(1, dish.moved(best.dx(), best.dy()));
        assertThat(body.plan().findings())
                .filteredOn(f -> f.feature().filter(ROUT::equals).isPresent())
                .extracting(Finding::rule)
                .isEmpty();
    }
}
