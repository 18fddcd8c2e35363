package ebauche.app.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.app.blank.BlankDrawing;
import ebauche.app.blank.ClampDrawing;
import ebauche.app.blank.SledDrawing;
import ebauche.app.crib.BitDrawing;
import ebauche.app.crib.ReachDrawing;
import ebauche.app.timber.PlankDrawing;
import ebauche.app.web.Figures;
import ebauche.core.blank.BlankNeed;
import ebauche.core.blank.GlueUp;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.design.Blank;
import ebauche.core.geometry.Face;
import ebauche.core.job.Build;
import ebauche.core.layout.Cut;
import ebauche.core.layout.Need;
import ebauche.core.measure.LengthUnit;
import ebauche.core.passes.Ability;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.shop.Gluing;
import ebauche.core.shop.Shop;
import ebauche.core.thickness.Ledger;
import ebauche.core.thickness.PlaningWays;
import ebauche.core.thickness.Tracks;
import ebauche.core.timber.Board;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.rack.BoardFile;
import ebauche.exchange.rack.RackCsv;
import ebauche.exchange.table.TimberFile;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;

/** The drawings of boards, blanks, clamps and passes: to scale, and in words too. */
class TimberDrawingTest {
    private static final Figures MM = new Figures(LengthUnit.MILLIMETRE);
    private static final BuildPlan TUSSOCK =
            Planner.plan(DemoBodies.read("tussock").build());

    private static Board board(String name) {
        return RackCsv.read(DemoBodies.rack(), TimberFile.SHIPPED, java.time.LocalDate.MAX).good().stream()
                .filter(r -> r.name().equals(name))
                .map(r -> BoardFile.read(r.board(), TimberFile.SHIPPED, List.of()))
                .findFirst()
                .orElseThrow();
    }

    private static double number(Element e, String attribute) {
        return Double.parseDouble(e.getAttribute(attribute));
    }

    @Test
    void boards_on_the_rack_are_drawn_to_one_scale() {
        Element longer = Drawn.all(Drawn.xml(PlankDrawing.onShelf(board("A1"), MM, 2400)), "rect", "wood")
                .get(0);
        Element shorter = Drawn.all(Drawn.xml(PlankDrawing.onShelf(board("A4"), MM, 2400)), "rect", "wood")
                .get(0);
        assertThat(number(longer, "width") / number(shorter, "width")).isEqualTo(2400.0 / 980, within(0.01));
    }

    @Test
    void a_fault_lies_on_the_board_where_it_was_measured() {
        Board a1 = board("A1");
        Document svg = Drawn.xml(PlankDrawing.sheet(a1, MM));
        Element root = svg.getDocumentElement();
        double scale = number(root, "data-scale");
        Element box = (Element)
                Drawn.all(svg, "g", "knot").get(0).getElementsByTagName("rect").item(0);
        assertThat((number(box, "x") - number(root, "data-left")) / scale).isEqualTo(610, within(0.6));
        double fromEdge = (number(root, "data-bottom") - number(box, "y") - number(box, "height")) / scale;
        assertThat(fromEdge).isEqualTo(40, within(0.6));
        assertThat(root.getAttribute("aria-label")).contains("A1, white ash, 2 faults");
    }

    @Test
    void a_blank_shows_its_strips_to_scale_and_the_body_over_it() {
        Build build = TUSSOCK.build();
        Blank blank = build.design().blank();
        Need need = BlankNeed.whole(build, TUSSOCK.history());
        Document svg = Drawn.xml(BlankDrawing.large(blank, blank.core(), need, List.of(), MM));
        double scale = number(svg.getDocumentElement(), "data-scale");
        List<Element> strips = Drawn.all(svg, "rect", "strip");
        assertThat(number(strips.get(0), "width") / scale).isEqualTo(blank.along(), within(0.1));
        assertThat(Drawn.all(svg, "g", "drag-body")).hasSize(1);
        assertThat(Drawn.all(svg, "line", "seam")).hasSize(2);
    }

    @Test
    void every_clamp_has_its_turn() {
        Blank blank = TUSSOCK.build().design().blank();
        GlueUp glueUp = new GlueUp(blank.core(), blank.along(), Gluing.USUAL, Optional.empty());
        Document svg = Drawn.xml(ClampDrawing.of(blank, blank.core(), glueUp.clamps(), MM));
        assertThat(Drawn.all(svg, "circle", "turn"))
                .hasSameSizeAs(glueUp.clamps().clamps())
                .isNotEmpty();
    }

    /** A board that is opened through its thickness shows where, on its end: in proportion to what the saw is set to. */
    @Test
    void resaws_are_drawn_on_the_boards_end() {
        Board m1 = board("M1");
        List<Cut> cuts = List.of(
                new Cut(Cut.Kind.CROSS, "M1", 20, 3.2, "the near end off"),
                new Cut(Cut.Kind.RESAW, "M1", 8.3, 1.6, "piece 1"),
                new Cut(Cut.Kind.RESAW, "M1", 18.2, 1.6, "piece 2"));
        Document svg = Drawn.xml(PlankDrawing.withCuts(m1, MM, List.of(), cuts));
        Element end = Drawn.all(svg, "g", "end").get(0);
        Element wood = (Element) end.getElementsByTagName("rect").item(0);
        List<Double> at = Drawn.all(svg, "line", "cut").stream()
                .filter(l -> l.getAttribute("y1").equals(l.getAttribute("y2")))
                .map(l -> (number(l, "y1") - number(wood, "y")) / number(wood, "height") * m1.thickness())
                .toList();
        assertThat(at).hasSize(2);
        assertThat(at.get(0)).isEqualTo(8.3 + 0.8, within(0.1));
        assertThat(at.get(1)).isEqualTo(18.2 + 0.8, within(0.1));
        assertThat(Drawn.all(Drawn.xml(PlankDrawing.withCuts(m1, MM, List.of(), cuts.subList(0, 1))), "g", "end"))
                .isEmpty();
    }

    /** What a bit reaches is drawn to one scale: each bar as long as its window, the worked one from 21.05 to 25.4. */
    @Test
    void a_bits_reach_is_drawn_to_scale() {
        Crib crib = Shop.starter(1).crib();
        Bit inch = crib.bits().stream()
                .filter(b -> b.name().equals("pattern bit 1/2"))
                .findFirst()
                .orElseThrow();
        Ability ability = Ability.of(inch, crib);
        Document svg = Drawn.xml(ReachDrawing.of(ability, MM));
        List<Element> bars = Drawn.all(svg, "rect", "bar");
        assertThat(bars).hasSize(ability.guided().size() + 1);
        double perMm = number(bars.get(0), "width") / (25.4 - 21.05);
        for (int i = 0; i < ability.guided().size(); i++) {
            var window = ability.guided().get(i).window();
            assertThat(number(bars.get(i), "width") / perMm)
                    .isEqualTo(Math.max(window.most() - window.least(), 2 / perMm), within(0.1));
        }
        assertThat(svg.getDocumentElement().getAttribute("aria-label")).contains("template 6.35 21.05 to 25.4 mm");
        Bit surfacing = crib.bits().stream()
                .filter(b -> b.profile() == Bit.Profile.SURFACING)
                .findFirst()
                .orElseThrow();
        assertThat(ReachDrawing.of(Ability.of(surfacing, crib), MM)).isEmpty();
    }

    @Test
    void every_kind_of_bit_is_drawn_within_its_picture() {
        for (Bit.Profile profile : Bit.Profile.values()) {
            for (Bit.Bearing bearing : Bit.Bearing.values()) {
                boolean guided = bearing.turns();
                Bit bit = new Bit(
                        "any",
                        profile,
                        bearing,
                        bearing == Bit.Bearing.ITSELF ? 16 : 30,
                        20,
                        75,
                        bearing == Bit.Bearing.ITSELF ? 16 : 12.7,
                        guided ? 20 : 0,
                        guided ? 5 : 0,
                        3,
                        Bit.Spiral.TO_SHANK,
                        true,
                        0,
                        Bit.Edge.SHARP,
                        true,
                        "");
                Document svg = Drawn.xml(BitDrawing.of(bit));
                assertThat(Drawn.all(svg, "rect", "bearing")).hasSize(bearing == Bit.Bearing.BOTH ? 2 : guided ? 1 : 0);
                for (Element e : Drawn.all(svg, "rect", "bearing")) {
                    assertThat(number(e, "x") + number(e, "width")).isLessThanOrEqualTo(240);
                }
                assertThat(Drawn.all(svg, "line", "flute")).hasSize(3);
            }
        }
    }

    @Test
    void the_passes_are_drawn_from_both_faces() {
        Build build = TUSSOCK.build();
        Blank blank = build.design().blank();
        Ledger ledger = Ledger.of(build);
        List<PlaningWays> ways = List.of(PlaningWays.of(blank, Face.FRONT), PlaningWays.of(blank, Face.BACK));
        Tracks tracks = Tracks.over(blank.across(), build.shop());
        Document svg = Drawn.xml(SledDrawing.of(ledger, blank.across(), blank.along(), tracks, ways, MM));
        assertThat(Drawn.all(svg, "rect", "pass")).hasSameSizeAs(ledger.passes());
        assertThat(Drawn.all(svg, "line", "track")).hasSize(2 * tracks.count());
        double thickness = Drawn.all(svg, "rect", "pass").stream()
                .mapToDouble(p -> number(p, "height"))
                .sum();
        double first = number(Drawn.all(svg, "rect", "pass").get(0), "height");
        double sum = ledger.passes().stream().mapToDouble(p -> p.bite()).sum();
        assertThat(thickness / first).isEqualTo(sum / ledger.passes().get(0).bite(), within(0.05));
    }
}
