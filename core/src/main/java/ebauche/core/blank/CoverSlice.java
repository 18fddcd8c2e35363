package ebauche.core.blank;

import ebauche.core.design.Blank;
import ebauche.core.design.Strip;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Cavity;
import ebauche.core.hollow.Resawing;
import ebauche.core.job.Build;
import ebauche.core.job.OwnBack;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Wood for covers, sawn off the back of the body's own pieces before they are glued and hollowed, so that the grain runs on across
 * the cover: common practice. The boards must be thicker by the slice and the saw's kerf.
 *
 * @param cavities whose covers come out of it
 */
public record CoverSlice(Build build, List<Cavity> cavities) {
    public CoverSlice {
        cavities = List.copyOf(cavities);
    }

    /** Empty where no cover is made so, or none of them is decided. */
    public static Optional<CoverSlice> of(Build build) {
        List<Cavity> own = OwnBack.cavities(build);
        return own.isEmpty() ? Optional.empty() : Optional.of(new CoverSlice(build, own));
    }

    /** What the boards lose by it, mm: nought where nothing is sliced. */
    public static double takes(Build build) {
        return of(build)
                .map(s -> s.thickness().value() + build.shop().cutting().resawKerf())
                .orElse(0.0);
    }

    /** As it is sawn: the thickest of the covers, and what both its faces lose to the plane. */
    Reckoning thickness() {
        double cover =
                cavities.stream().mapToDouble(c -> c.cover().thickness()).max().orElseThrow();
        double planed = build.shop().cutting().flattening();
        return Reckoning.of("slice for the cover", Quantity.LENGTH)
                .length("cover", Fact.typed(cover))
                .length("both faces planed flat", Fact.usual(planed, "the shop's allowances"))
                .is(cover + planed, "cover + both faces planed flat");
    }

    /** How thick the pieces are to begin with. */
    Reckoning board() {
        Blank blank = build.design().blank();
        double kerf = build.shop().cutting().resawKerf();
        double slice = thickness().value();
        double own = blank.core().thickness();
        double plates = Resawing.takes(build, blank.sawn());
        Reckoning.Builder sum = Reckoning.of("piece before it is sliced", Quantity.LENGTH)
                .length("piece in the blank", Fact.typed(own))
                .length("slice", slice)
                .length("kerf", Fact.usual(kerf, "the shop's resaw"));
        return plates == 0
                ? sum.is(own + slice + kerf, "piece in the blank + slice + kerf")
                : sum.length("lost where its plates are sawn off", plates)
                        .is(
                                own + slice + kerf + plates,
                                "piece in the blank + slice + kerf + lost where its plates are sawn off");
    }

    /** Numbers of the core's pieces, from 1 at the left, that the covers lie over. */
    List<Integer> pieces() {
        Blank blank = build.design().blank();
        List<Integer> under = new ArrayList<>();
        double left = blank.middleX() - blank.core().width() / 2;
        int number = 1;
        for (Strip strip : blank.core().strips()) {
            double right = left + strip.width();
            double from = left;
            if (cavities.stream().map(Cavity::recessPlan).anyMatch((Region p) -> p.minX() < right && p.maxX() > from)) {
                under.add(number);
            }
            left = right;
            number++;
        }
        return under;
    }

    private String words() {
        List<Integer> under = pieces();
        String from = build.design().blank().pieces() == 1
                ? "the board"
                : under.size() == 1
                        ? "piece " + under.get(0)
                        : "pieces "
                                + String.join(
                                        " and ",
                                        under.stream().map(String::valueOf).toList());
        return (cavities.size() == 1 ? "Slice the cover's wood" : "Slice the covers' wood") + " off the back of "
                + from;
    }

    /** The step; the blank's next step waits for it. */
    Operation step(Condition... needs) {
        return Operation.of(Work.BLANK, BlankStation.FEATURE, StepKind.SLICE, words())
                .set(new Setting.Resawn("band saw, on edge against a tall fence", Face.BACK, thickness(), board()))
                .needs(needs)
                .gives(OwnBack.SLICED)
                .caution(Caution.SAW, Caution.DUST)
                .takes(15 + 10 * pieces().size(), 0, 0.002)
                .build();
    }

    /** Whether the shop's saw opens a piece so wide on edge. */
    Rule reach() {
        double widest = pieces().stream()
                .mapToDouble(
                        i -> build.design().blank().core().strips().get(i - 1).width())
                .max()
                .orElse(0);
        return new SawOpens(
                        build,
                        "slice-too-wide",
                        widest,
                        "The saw reaches through the piece that the cover is sliced off.",
                        "The piece that the cover is sliced off",
                        "Glue the blank of narrower pieces, or make the cover of other stock.")
                .asRule();
    }
}
