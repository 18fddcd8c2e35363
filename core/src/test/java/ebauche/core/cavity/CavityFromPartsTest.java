package ebauche.core.cavity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.cavity.CavityFromParts.CavityWanted;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Cover;
import ebauche.core.job.Build;
import ebauche.core.plan.BuildPlan;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class CavityFromPartsTest {
    private static final CavityWanted USUAL = new CavityWanted(FeatureKind.ELDEST, 9.525, 5);

    private static TestBody with(Control... controls) {
        TestBody body = new TestBody();
        body.controls.clear();
        body.controls.addAll(List.of(controls));
        return body;
    }

    @Test
    void one_pot_gets_a_cavity_of_its_body_and_the_bits_radius() {
        CavityFromParts proposed = CavityFromParts.of(
                        with(TestBody.pot("tone", 100, -40, 8)).build(), USUAL)
                .orElseThrow();
        double corner = 9.525 / 2 + 0.15;
        double side = 25 + 2 * corner;
        // a square with rounded corners: exact area by hand, less what chords cut off
        double exact = side * side - (4 - Math.PI) * corner * corner;
        assertThat(proposed.cavity().area()).isBetween(exact - 4, exact);
        assertThat(proposed.isWhole()).isTrue();
        assertThat(proposed.screws()).hasSizeGreaterThanOrEqualTo(3);
    }

    static Stream<Long> seeds() {
        return IntStream.range(0, 60).mapToObj(i -> 4242L + 31L * i);
    }

    /** Two to four pots anywhere on the treble side, beside a stud of the bridge at (70, -60). */
    private static TestBody anyPlaces(Random random) {
        TestBody body = with(IntStream.range(0, 2 + random.nextInt(3))
                .mapToObj(i -> TestBody.pot("pot-" + i, 70 + random.nextInt(70), -110 + random.nextInt(110), 8))
                .toArray(Control[]::new));
        body.studs = Optional.of(new Bridge.Studs(144, -60, 11, 19));
        body.offCentre = -2;
        return body;
    }

    /** Whatever the places: one piece, every part in it, the bit turns in every corner, every wall kept. */
    @ParameterizedTest
    @MethodSource("seeds")
    void a_whole_proposal_keeps_every_rule(long seed) {
        Random random = new Random(seed);
        TestBody body = anyPlaces(random);
        Build build = body.build();
        double bit = random.nextBoolean() ? 9.525 : 12.7;
        CavityFromParts proposed = CavityFromParts.of(build, new CavityWanted(FeatureKind.ELDEST, bit, 5))
                .orElseThrow();
        if (!proposed.isWhole()) {
            assertThat(proposed.shortOf().isEmpty() && proposed.onePiece()).isFalse();
            return;
        }
        Region cavity = proposed.cavity();
        for (Control control : body.controls) {
            assertThat(cavity.grown(0.1).contains(control.footprint())).isTrue();
            // its hole, which locates the rear template, comes out inside
            assertThat(cavity.contains(control.passage())).isTrue();
        }
        // what a bit of that diameter sweeps inside it is all of it
        assertThat(cavity.opened(bit).grown(0.08).contains(cavity)).isTrue();
        assertThat(Outline.parse(proposed.path(bit), 1).smallestInsideCorner()).isGreaterThan(bit / 2);
        Region drawn = Outline.parse(proposed.path(bit), 1).region();
        assertThat(drawn.grown(0.1).contains(cavity)).isTrue();
        assertThat(cavity.grown(0.1).contains(drawn)).isTrue();
        double wall = build.shop().limits().thinnestWall();
        assertThat(build.design().outline().region().grown(-wall + 0.05).contains(cavity))
                .isTrue();
        build.design()
                .pickups()
                .forEach(p -> assertThat(p.footprint().grown(wall - 0.05).overlaps(cavity))
                        .isFalse());
        assertThat(Region.disc(new Point(70, -60), 11 + 2 * wall - 0.1).overlaps(cavity))
                .as("the stud")
                .isFalse();
        for (Point screw : proposed.screws()) {
            assertThat(cavity.overlaps(Region.disc(screw, 3))).isFalse();
            assertThat(build.design().outline().region().contains(Region.disc(screw, Cover.EAR)))
                    .isTrue();
            assertThat(proposed.cover().grown(0.01).contains(Region.disc(screw, Cover.EAR)))
                    .isTrue();
        }
    }

    /** The rules above are held by most of the random places, not passed over by all. */
    @Test
    void most_random_places_make_a_whole_cavity() {
        long whole = seeds().filter(seed -> {
                    Build build = anyPlaces(new Random(seed)).build();
                    return CavityFromParts.of(build, USUAL).orElseThrow().isWhole();
                })
                .count();
        assertThat(whole).isGreaterThan(30);
    }

    @Test
    void a_pot_too_near_the_edge_is_named_and_nothing_is_called_whole() {
        CavityFromParts proposed = CavityFromParts.of(
                        with(TestBody.pot("tone", 100, -40, 8), TestBody.pot("volume", 160, -40, 8))
                                .build(),
                        USUAL)
                .orElseThrow();
        assertThat(proposed.isWhole()).isFalse();
        assertThat(proposed.shortOf())
                .singleElement()
                .satisfies(s -> assertThat(s.control().id()).isEqualTo("volume"));
    }

    @Test
    void a_body_without_controls_asks_for_no_cavity() {
        assertThat(CavityFromParts.of(with().build(), USUAL)).isEmpty();
    }

    /** The proposal as a drawn cavity: the plan takes it, its screws' pilot holes come after the cover's recess. */
    @Test
    void the_proposal_is_planned_like_any_other_cavity() {
        TestBody body = with(TestBody.pot("tone", 100, -40, 8), TestBody.pot("volume", 92, -85, 8));
        CavityFromParts proposed = CavityFromParts.of(body.build(), USUAL).orElseThrow();
        Outline outline = Outline.parse(proposed.path(9.525), 1);
        assertThat(outline.region().area()).isCloseTo(proposed.cavity().area(), within(6.0));
        body.cavities.set(
                0,
                TestBody.cavity(outline, 6)
                        .with(new Cover(Cover.Kind.LET_IN, 2.5, 5, proposed.screws(), Optional.empty())));
        body.jack = Optional.empty();
        BuildPlan plan = body.plan();
        List<String> keys =
                plan.steps().stream().map(s -> s.operation().key().written()).toList();
        assertThat(keys).containsSubsequence("cover:rout", "cover-screws:drill");
        assertThat(plan.findings()).noneMatch(f -> f.isOn(Feature.parse("controls")) || f.isOn(Feature.parse("cover")));
    }
}
