package ebauche.core.chamber;

import ebauche.core.crib.Drill;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Chamber;
import ebauche.core.hollow.RoundHoles;
import ebauche.core.job.Build;
import ebauche.core.job.UnderTop;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Place;
import ebauche.core.operation.Setting;
import ebauche.core.shop.Practice;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.List;
import java.util.Optional;

/**
 * The waste of a large hollow, drilled out in rows before it is routed.
 *
 * @param stop of the drill, from the core's front, mm
 */
record Hogging(Build build, Chamber chamber, Drill drill, List<Region> holes, double stop) {
    /** So much wood is worth drilling out before it is routed, mm³; so wide a drill is held in a shop's press, mm; so many holes at least. */
    private static final double WORTH_DRILLING = 200_000;

    private static final double WIDEST_DRILL = 40;
    private static final int FEWEST = 4;

    /** Wood that drilling leaves to the line, and between two holes for the spur, mm: common practice. */
    private static final double SKIN = 3;

    private static final double BESIDE = 2;

    /** Hands-on minutes to set a press to its stop, and for each hole: common practice. */
    private static final double TO_SET = 6;

    private static final double EACH = 1.5;

    Hogging {
        holes = List.copyOf(holes);
    }

    /** Where the shop drills its waste, has a drill for it, and the hollow is large enough to be worth it. */
    static Optional<Hogging> of(Build build, Chamber chamber) {
        Practice practice = build.shop().practice();
        Region plan = chamber.routed();
        double deep = UnderTop.depth(build, chamber).value();
        if (practice.waste() != Practice.Waste.DRILL || plan.area() * deep < WORTH_DRILLING) {
            return Optional.empty();
        }
        return build.shop().crib().forstner(WIDEST_DRILL).flatMap(d -> {
            double stop = deep - practice.wasteShy() - d.spur();
            List<Region> holes =
                    stop > 0 ? RoundHoles.inRows(plan.grown(-SKIN), d.diameter(), BESIDE) : List.<Region>of();
            return holes.size() < FEWEST ? Optional.empty() : Optional.of(new Hogging(build, chamber, d, holes, stop));
        });
    }

    /** Hands-on minutes for so many holes of one setting. */
    static int minutes(int holes) {
        return (int) Math.round(TO_SET + EACH * holes);
    }

    /** Wood that it takes out, mm³. */
    double cubic() {
        return holes.stream().mapToDouble(Region::area).sum() * stop;
    }

    /** Holds once it is out. */
    Condition.Mark out() {
        return new Condition.Mark(
                StepKey.of(chamber.feature(), StepKind.WASTE),
                "the waste of the " + chamber.feature().said() + " drilled out");
    }

    Operation step(Condition marked) {
        Practice practice = build.shop().practice();
        Reckoning depth = UnderTop.depth(build, chamber);
        Reckoning down = Reckoning.of("depth stop for the waste", Quantity.LENGTH)
                .length(depth.what(), depth.asFact())
                .length("the drill's spur", drill.spur())
                .length("kept for the router", practice.wasteShy())
                .is(stop, depth.what() + " − the drill's spur − kept for the router");
        double front = UnderTop.front(build);
        int count = holes.size();
        Operation.Builder step = Operation.of(
                        Work.CHAMBER,
                        chamber.feature(),
                        StepKind.WASTE,
                        "Drill out the waste of the " + chamber.feature().said() + ", " + count + " holes in rows")
                .set(new Setting.Drilled(drill.name(), down, "deep from the core's front"))
                .cuts(Change.Remove.fromBody(
                        chamber.feature(), Solid.Prism.between(Region.union(holes), front, front + stop)))
                .onCore()
                .needs(marked)
                .gives(out())
                .joins(chamber.joins())
                .caution(Caution.drilling(drill.diameter()))
                .caution(Caution.DUST)
                .takes(minutes(count), 0, 0.004);
        Place.numbered("hole", holes.stream().map(Region::centroid).toList()).forEach(step::at);
        return step.build();
    }
}
