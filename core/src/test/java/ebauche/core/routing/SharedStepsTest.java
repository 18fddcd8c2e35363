package ebauche.core.routing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.design.Contour;
import ebauche.core.feature.Feature;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Finding;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Condition;
import ebauche.core.passes.GuidedCut;
import ebauche.core.shop.Shop;
import ebauche.core.stock.Profile;
import ebauche.core.timber.Hardness;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What stations share: what a crib without the bit is told, how deep through the body is, what waits for a carve. */
class SharedStepsTest {
    private static Finding trouble(Crib crib, double corner, double deep, double work) {
        GuidedCut cut = new GuidedCut(deep, work, corner, OptionalDouble.empty(), 0.8, 6.35, Hardness.MEDIUM, 12)
                .drilledFirst();
        return CribTrouble.of(cut, crib, Work.CAVITY, Feature.parse("pickup-neck"), "cavity", new Point(1, 2), corner)
                .orElseThrow();
    }

    /** Without a bit for the corner the corner is told, and a bit that would turn in it; without a long one the depth. */
    @Test
    void what_the_crib_lacks_is_told_with_what_would_do() {
        Crib crib = Shop.starter(1).crib();
        List<Bit> large = crib.bits().stream().filter(b -> b.diameter() > 15).toList();
        Finding corner = trouble(crib.only(large), 4, 19, 45);
        assertThat(corner.rule()).isEqualTo("no-bit");
        assertThat(corner.what(SharedStepsTest::n)).contains("turns in the cavity's corner of 4.0");
        assertThat(corner.cure(SharedStepsTest::n))
                .contains("a shank-bearing bit 6.3 across with a cutter " + n(number(corner, "its cutter's length"))
                        + " long")
                .contains("Open the corner, or square it by hand otherwise.");
        Finding through = trouble(crib.only(large), 4, 45, 45);
        assertThat(through.cure(SharedStepsTest::n)).contains("Open the curve, or finish the corner by file");
        List<Bit> stubs = List.of(Bit.usual("stub", Bit.Bearing.AT_SHANK, 12.7, 6.35, 6.35));
        Finding deep = trouble(crib.only(stubs), 8, 44, 60);
        assertThat(deep.rule()).isEqualTo("no-passes");
        assertThat(deep.what(SharedStepsTest::n)).contains("make the cavity, 44.0 deep, on a template 6.3 thick");
        assertThat(deep.numbers()).extracting(Finding.Value::name).startsWith("corner radius", "depth", "template");
        assertThat(deep.cure(SharedStepsTest::n)).contains("Make it another depth");
        assertThat(deep.where()).contains(new Point(1, 2));
    }

    private static Finding.Value number(Finding finding, String name) {
        return finding.numbers().stream()
                .filter(v -> v.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static String n(Finding.Value value) {
        return String.valueOf(Math.floor(value.value() * 10) / 10);
    }

    /** A hole through the body is as deep as the body is now: less what was sanded off either face. */
    @Test
    void through_the_body() {
        TestBody body = new TestBody();
        body.doneUpTo("thickness:back").read("sanded-off:front", 0.2).read("sanded-off:back", 0.1);
        Reckoning depth = Drilling.throughBody(body.build());
        assertThat(depth.value()).isCloseTo(body.build().thicknessed() - 0.3, within(1e-9));
        assertThat(depth.terms())
                .extracting(Reckoning.Term::value)
                .containsExactly(
                        body.build().faces().frontNow(), body.build().faces().backNow());
    }

    /** A carve that is still to come over a place, of that face only; a floor that is to be a top waits for it, no other does. */
    @Test
    void what_waits_for_a_carve() {
        TestBody body = new TestBody();
        body.contours.add(new Contour(
                "arm",
                Face.FRONT,
                new Contour.Start.Across(new Point(60, -150), new Point(160, -30)),
                5,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        Region under = Region.disc(new Point(130, -100), 20);
        Condition.Mark carved = Datum.carved(Feature.parse("contour-arm"));
        assertThat(Datum.carvesToCome(body.build(), Face.FRONT, under)).containsExactly(carved);
        assertThat(Datum.carvesToCome(body.build(), Face.BACK, under)).isEmpty();
        assertThat(Datum.carvesToCome(body.build(), Face.FRONT, Region.disc(new Point(-100, 100), 20)))
                .isEmpty();
        assertThat(body.schedule().steps())
                .filteredOn(s -> s.operation().needs().contains(carved))
                .extracting(s -> s.operation().key().written())
                .containsExactly("controls:rout", "controls:try-parts");
        body.done("contour-arm:carve");
        assertThat(Datum.carvesToCome(body.build(), Face.FRONT, under)).isEmpty();
    }
}
