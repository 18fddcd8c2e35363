package ebauche.core.contour;

import ebauche.core.design.CarveSchool;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Gauge;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Rounding;
import ebauche.core.operation.Caution;
import ebauche.core.operation.LedgerRow;
import ebauche.core.shop.Practice;
import ebauche.core.stock.Profile;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A contour brought out by hand: saw rasp and files, or kerfs and chisel. */
final class ByHand {
    /** A saw rasp's scratch, mm: common practice. */
    static final double RASP_SCRATCH = 0.8;

    /** Kerfs lie so far apart that the chips split off, mm, and end so far over the surface: common practice. */
    static final double KERFS_APART = 8;

    static final double OVER = 0.5;

    static Removal rasp(CarveWork work) {
        List<LedgerRow> rows = new ArrayList<>();
        double shortOf = RASP_SCRATCH * work.width() / work.depth();
        rows.add(LedgerRow.of(
                "Tape along the line on the side that stays; saw rasp from the deepest place towards both ends, every stroke into the wood that goes away; stop short of the line by its scratch",
                Reckoning.of("short of the line", Quantity.LENGTH)
                        .length("the rasp's scratch", Fact.rule(RASP_SCRATCH, "common practice"))
                        .length("wide", work.width())
                        .length("deepest", Fact.typed(work.depth()))
                        .is(shortOf, "the rasp's scratch × wide / deepest"),
                CarveWork.left("the rasp's scratch", RASP_SCRATCH)));
        rows.add(LedgerRow.of(
                "First-cut file across the rasp's marks",
                CarveWork.left("the first cut's scratch", CarveWork.FIRST_CUT)));
        rows.add(LedgerRow.of(
                "Second-cut file along the line; straightedge across at each station: its surface equals P180, sanding begins at P220",
                CarveWork.left("the second cut's scratch", CarveWork.SECOND_CUT)));
        double each = work.isRound() ? 30 : 25;
        return new Removal(
                CarveSchool.RASP,
                rows,
                CarveWork.SECOND_CUT,
                (int) Math.round(10 + each * work.hard() * work.area()),
                List.of(Caution.DUST, Caution.CARVE),
                work.build().shop().practice().skills().contains(Practice.Skill.CARVE)
                        ? Optional.empty()
                        : Optional.of("hands here are not trusted to rasp to a line by eye"));
    }

    /** Kerfs square to the line, to just over the surface at the edge. */
    static List<OtherLine.Place> kerfPlaces(OtherLine line) {
        double length = line.places()
                .get(0)
                .line()
                .distance(line.places().get(line.places().size() - 1).line());
        int count = (int) Math.max(4, Math.round(length / KERFS_APART));
        return line.stations(count).stream().filter(p -> p.down() > 2 * OVER).toList();
    }

    static Removal kerfs(CarveWork work) {
        List<LedgerRow> rows = new ArrayList<>();
        rows.add(LedgerRow.of("Knife both lines; mark the kerfs square to the line on the face, and down the edge"));
        List<OtherLine.Place> places = work.line().map(ByHand::kerfPlaces).orElse(List.of());
        int number = 0;
        for (OtherLine.Place place : places) {
            number++;
            double down = Gauge.settable(place.down() - OVER, Rounding.LESS);
            rows.add(LedgerRow.of(
                    "Kerf " + number + ": from the line to the mark on the edge, no deeper",
                    Reckoning.of("along the edge", Quantity.LENGTH)
                            .length("from where the contour begins", place.along())
                            .is(place.along(), "from where the contour begins"),
                    Reckoning.of("down the edge", Quantity.LENGTH)
                            .length("the surface there", place.down())
                            .length("left over it", Fact.rule(OVER, "common practice"))
                            .is(down, "the surface there − left over it")));
        }
        rows.add(LedgerRow.of(
                "Split the chips off with a wide chisel, bevel down, from the edge inward; pare to the bottoms of the kerfs",
                CarveWork.left("over the surface at the edge", OVER)));
        rows.add(LedgerRow.of(
                "File across until the kerfs are gone, straightedge across",
                CarveWork.left("the second cut's scratch", CarveWork.SECOND_CUT)));
        boolean sags = work.laid().profile().shape() == Profile.Shape.STRAIGHT
                || work.laid().profile().shape() == Profile.Shape.HOLLOW;
        Optional<String> cannot = !sags
                ? Optional.of("a straight kerf would cut under a surface that is round across")
                : work.build().shop().practice().skills().contains(Practice.Skill.SAW)
                        ? Optional.empty()
                        : Optional.of("hands here are not trusted to saw a kerf to a line");
        return new Removal(
                CarveSchool.KERFS,
                rows,
                OVER,
                (int) Math.round(12 + (1.5 * number + 14 * work.area()) * work.hard()),
                List.of(Caution.CHISEL, Caution.CARVE, Caution.DUST),
                cannot);
    }
}
