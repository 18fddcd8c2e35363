package ebauche.core.contour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.crib.Bit;
import ebauche.core.design.CarveSchool;
import ebauche.core.design.Contour;
import ebauche.core.geometry.EdgeWalk;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.stock.Profile;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** A bevel that fades out, and the jig that its bit's bearing rides on. */
class BevelJigTest {
    private static final double WIDE = 25.4;
    private static final double DEEP = 25.4 * Math.tan(Math.toRadians(30));

    private static Contour bevel(Optional<Contour.Start.Stretch> along) {
        return new Contour(
                "comfort",
                Face.FRONT,
                new Contour.Start.Round(WIDE, along),
                DEEP,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty());
    }

    /** The worked example: a bit of 60 degrees from its axis, a bevel of 25.4 takes 14.7 off the edge. */
    @Test
    void a_bit_of_sixty_degrees_takes_the_tangent_of_thirty() {
        assertThat(DEEP).isCloseTo(14.66, within(0.01));
        Build build = build(bevel(Optional.empty()));
        assertThat(BevelJig.angle(build.contours().get(0).profile()).value()).isCloseTo(60, within(1e-9));
    }

    private static Build build(Contour contour) {
        TestBody body = new TestBody();
        body.contours.add(contour);
        return body.build();
    }

    /** All round the bearing rides on the edge itself; along a stretch the jig stands out as far as the bevel is narrower. */
    @Test
    void the_jig_stands_out_where_the_bevel_is_narrower() {
        Build round = build(bevel(Optional.empty()));
        Region body = round.design().outline().region();
        assertThat(BevelJig.of(body, round.contours().get(0)).line())
                .allSatisfy(p -> assertThat(Math.abs(body.outside(p))).isLessThan(0.05));
        Build stretch =
                build(bevel(Optional.of(new Contour.Start.Stretch(new Point(-150, 0), new Point(-60, -150), 60))));
        Contour.Laid laid = stretch.contours().get(0);
        EdgeWalk walk = new EdgeWalk(body);
        double middle = walk.nearest(new Point(-130, -90));
        assertThat(BevelJig.standsOut(laid, walk.at(middle, 0))).isCloseTo(0, within(0.1));
        double away = walk.nearest(new Point(150, 60));
        assertThat(BevelJig.standsOut(laid, walk.at(away, 0))).isCloseTo(WIDE, within(1e-9));
        // The bevel's width at a place is what its surface takes of the edge: w less what the jig stands out.
        for (double way = 0; way < walk.length(); way += 7) {
            Point edge = walk.at(way, 0);
            double out = BevelJig.standsOut(laid, edge);
            double down = laid.under(0).fall(walk.at(way, -0.001));
            assertThat(down).isCloseTo((WIDE - out) * Math.tan(Math.toRadians(30)), within(0.1));
        }
    }

    @Test
    void it_wants_a_bevel_bit_and_equal_lifts() {
        Build build = build(bevel(Optional.empty()));
        Removal jig = Removal.of(build, build.contours().get(0)).stream()
                .filter(r -> r.school() == CarveSchool.JIG)
                .findFirst()
                .orElseThrow();
        assertThat(jig.cannot()).hasValueSatisfying(w -> assertThat(w).contains("bevel bit"));
        assertThat(jig.rows())
                .filteredOn(r -> r.does().startsWith("Lift"))
                .hasSize(4)
                .satisfies(lifts -> {
                    for (int i = 0; i < lifts.size(); i++) {
                        double deep = lifts.get(i).figures().get(0).value();
                        assertThat(deep)
                                .isCloseTo(DEEP * (i + 1) / 4, within(0.06))
                                .isLessThanOrEqualTo(DEEP);
                    }
                });
    }

    private static Bit bevelBit(double diameter, double edges) {
        Bit usual = Bit.usual("bevel", Bit.Bearing.AT_TIP, diameter, edges, 12.7);
        return new Bit(
                "bevel",
                Bit.Profile.BEVEL,
                Bit.Bearing.AT_TIP,
                diameter,
                edges,
                usual.overallLength(),
                12.7,
                12.7,
                5,
                2,
                Bit.Spiral.NONE,
                false,
                0,
                Bit.Edge.SHARP,
                true,
                "");
    }

    private static Optional<String> cannotWith(Bit bit) {
        TestBody body = new TestBody();
        body.contours.add(bevel(Optional.empty()));
        body.shop = body.shop.with(body.shop.crib().with(bit));
        Build build = body.build();
        return Removal.of(build, build.contours().get(0)).stream()
                .filter(r -> r.school() == CarveSchool.JIG)
                .findFirst()
                .orElseThrow()
                .cannot();
    }

    /** By construction: edges that reach 14.67 along a bit which narrows by 25.4 lean 60 degrees from its axis. */
    @Test
    void the_bit_must_lean_as_the_bevel_does_and_be_as_wide() {
        Bit sixty = bevelBit(12.7 + 2 * 25.4, DEEP);
        assertThat(sixty.lean().getAsDouble()).isCloseTo(60, within(1e-9));
        assertThat(cannotWith(sixty)).isEmpty();
        assertThat(cannotWith(bevelBit(12.7 + 2 * 25.4, 25.4)))
                .hasValueSatisfying(
                        w -> assertThat(w).contains("leans 45 degrees").contains("wants 60"));
        assertThat(cannotWith(bevelBit(12.7 + 2 * 15, 15 * Math.tan(Math.toRadians(30)))))
                .hasValueSatisfying(w -> assertThat(w).contains("less far in than the bevel is wide"));
    }
}
