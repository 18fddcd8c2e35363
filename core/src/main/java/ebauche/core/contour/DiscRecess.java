package ebauche.core.contour;

import ebauche.core.crib.Bit;
import ebauche.core.design.CarveSchool;
import ebauche.core.design.Contour;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Gauge;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Rounding;
import ebauche.core.operation.Caution;
import ebauche.core.operation.LedgerRow;
import ebauche.core.shop.Practice;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** A round recess in a face, such as a knob sits in: by a bowl bit round a template's hole, or by gouge and scraper. */
final class DiscRecess {
    /** A bowl bit goes down by so much at a time, mm: common practice. */
    private static final double PASS = 2;

    /** A gouge's marks, mm: common practice. */
    private static final double GOUGED = 0.2;

    /** Minutes to set up a template and to take one pass, and to gouge a square decimetre: common practice. */
    private static final int SET = 12;

    private static final int EACH = 2;
    private static final double BY_GOUGE = 160;

    private DiscRecess() {}

    static List<Removal> ways(Build build, Contour.Laid laid) {
        return List.of(byTemplate(build, laid), byGouge(build, laid));
    }

    /** The crib's bowl bit whose corner leaves no more than the recess's own, the widest that goes into it. */
    private static Optional<Bit> bit(Build build, Contour.Laid laid) {
        double diameter = ((Contour.Start.Disc) laid.contour().start()).diameter();
        return build.shop().crib().bits().stream()
                .filter(b -> b.profile() == Bit.Profile.BOWL && b.bearingSound())
                .filter(b -> b.bearing().turns() && !b.bearing().atTip())
                .filter(b -> b.diameter() <= diameter
                        && b.floorRadius() <= laid.profile().width())
                .filter(b -> build.shop().crib().inHand(b).isPresent())
                .max(Comparator.comparingDouble(Bit::diameter));
    }

    private static Removal byTemplate(Build build, Contour.Laid laid) {
        Contour.Start.Disc disc = (Contour.Start.Disc) laid.contour().start();
        double depth = laid.profile().depth();
        Optional<Bit> bit = bit(build, laid);
        int passes = (int) Math.ceil(depth / PASS);
        List<LedgerRow> rows = new ArrayList<>();
        rows.add(LedgerRow.of(
                "Template with a hole for the bearing, its middle on the mark, taped while the face is flat"
                        + bit.map(b -> "; " + b.name()).orElse(""),
                Reckoning.of("hole", Quantity.LENGTH)
                        .length("recess", Fact.typed(disc.diameter()))
                        .length(
                                "bit over its bearing",
                                bit.map(b -> b.diameter() - b.bearingDiameter()).orElse(0.0))
                        .is(
                                disc.diameter()
                                        - bit.map(b -> b.diameter() - b.bearingDiameter())
                                                .orElse(0.0),
                                "recess − bit over its bearing")));
        for (int k = 1; k <= passes; k++) {
            rows.add(LedgerRow.of(
                    "Pass " + k + ": from the middle outward, round the hole once",
                    Reckoning.of("deep", Quantity.LENGTH)
                            .length("deepest", Fact.typed(depth))
                            .is(
                                    Gauge.settable(depth * k / passes, Rounding.LESS),
                                    k + " of " + passes + " equal passes")));
        }
        rows.add(LedgerRow.of("Curved scraper over its corner; the knob turns in it without touching"));
        return new Removal(
                CarveSchool.TEMPLATES,
                rows,
                0.1,
                SET + EACH * passes,
                List.of(Caution.ROUTER, Caution.DUST),
                bit.isPresent()
                        ? Optional.empty()
                        : Optional.of(
                                "the crib has no bowl bit with its bearing on the shank that is small enough for it"));
    }

    private static Removal byGouge(Build build, Contour.Laid laid) {
        List<LedgerRow> rows = List.of(
                LedgerRow.of("Compass round the mark, knifed; gouge from the rim to the middle, never out over it"),
                LedgerRow.of(
                        "Depth gauge off a rule across it, at its middle and near the rim",
                        Reckoning.typed("deep", laid.profile().depth())),
                LedgerRow.of("Curved scraper, then paper round a dowel"));
        return new Removal(
                CarveSchool.RASP,
                rows,
                GOUGED,
                (int) Math.round(SET + BY_GOUGE * laid.plan().area() / 10_000),
                List.of(Caution.CHISEL, Caution.CARVE),
                build.shop().practice().skills().contains(Practice.Skill.CARVE)
                        ? Optional.empty()
                        : Optional.of("hands here are not trusted to carve to a line by eye"));
    }
}
