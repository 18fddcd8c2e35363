package ebauche.core.sheet;

import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.job.AsCut;
import ebauche.core.job.Build;
import ebauche.core.job.FloorSum;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Stations;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.station.ControlTop;
import ebauche.core.station.PocketNotes;
import ebauche.core.station.Station;
import ebauche.core.stock.WoodLeft;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How deep one cavity goes, and what is left under and beside it: before the cut, and after each measurement.
 *
 * @param feature the cavity
 * @param face it is cut from
 * @param depth wanted under that face when the body is finished
 * @param now from that face as it is now: what the gauge shall read
 * @param fromTemplate from the top of its template
 * @param stop of the drill that takes its waste out, if it is drilled
 * @param mouth of a tilted floor: depth where it comes out of the edge
 * @param left wood to the other face or the void that lies under it, thinnest first
 * @param walls beside it, thinnest first
 * @param measure what is read when it is done, with the band
 * @param found depth under the finished face as the last reading tells it
 * @param stillToCut wanted depth less what was found
 * @param steps its operations in order
 * @param done whether the last of them is
 * @param through whether it is met from both faces
 * @param tops what is left over each control that stands on its floor
 */
public record DepthCard(
        Feature feature,
        Face face,
        Reckoning depth,
        Reckoning now,
        Reckoning fromTemplate,
        Optional<Reckoning> stop,
        Optional<Reckoning> mouth,
        List<Left> left,
        List<WoodLeft.Thin> walls,
        Optional<Inspection> measure,
        Optional<Reckoning> found,
        Optional<Reckoning> stillToCut,
        List<BuildPlan.PlanStep> steps,
        boolean done,
        boolean through,
        List<ControlTop> tops) {

    /**
     * Wood left over or under a cavity.
     *
     * @param sum its thickness
     * @param towards the void or face beyond it
     */
    public record Left(Reckoning sum, Feature towards, WoodLeft.Thin thin) {}

    public DepthCard {
        left = List.copyOf(left);
        walls = List.copyOf(walls);
        steps = List.copyOf(steps);
        tops = List.copyOf(tops);
    }

    public String said() {
        return feature.said();
    }

    /** The figure to set: the whole depth, or how far a through route goes before the body is flipped. */
    public Reckoning toSet() {
        return through ? measure.map(Inspection::expected).orElse(now) : now;
    }

    /** The thinnest wood under it, if there is any to be told. */
    public Optional<Left> thinnest() {
        return left.stream().findFirst();
    }

    /** A card for every cavity: by station, then by the order of the design. */
    public static List<DepthCard> of(BuildPlan plan) {
        return plan.build().once().of(All.class, () -> new All(written(plan))).cards();
    }

    /** Written once: pages that compare, and those that show a few of them, ask for all. */
    private record All(List<DepthCard> cards) {}

    private static List<DepthCard> written(BuildPlan plan) {
        Build build = plan.build();
        List<DepthCard> cards = new ArrayList<>();
        FloorSum floors = new FloorSum(build, plan.history());
        for (Station station : Stations.ALL) {
            station.pockets(build).stream()
                    .filter(p -> !p.plan().isEmpty())
                    .filter(p -> !build.design().leavesOpen(p.feature()))
                    .forEach(p -> cards.add(new Writer(plan, p, station.notes(p), floors).card()));
        }
        return List.copyOf(cards);
    }

    /** Writes one card. */
    private record Writer(BuildPlan plan, GuidedPocket pocket, PocketNotes notes, FloorSum floors) {
        DepthCard card() {
            List<BuildPlan.PlanStep> steps = plan.steps().stream()
                    .filter(s -> s.operation().feature().equals(pocket.feature()))
                    .toList();
            Optional<Reckoning> found = found();
            return new DepthCard(
                    pocket.feature(),
                    pocket.face(),
                    pocket.depthFinished(),
                    pocket.depthNow(),
                    fromTemplate(),
                    stop(steps),
                    notes.mouth(),
                    left(),
                    walls(),
                    measure(steps),
                    found,
                    found.map(this::stillToCut),
                    steps,
                    cut(steps),
                    pocket.through(),
                    notes.tops());
        }

        private Reckoning fromTemplate() {
            double template = plan.build().templateThickness(pocket.feature());
            double raised = plan.build().raised(pocket.feature());
            Reckoning now = pocket.depthNow();
            String words = "depth from the " + pocket.face().word() + " as it is now";
            Reckoning.Builder sum = length("depth from the template's top")
                    .length(words, now.asFact())
                    .length("template", Fact.typed(template));
            if (raised > 0) {
                sum.length("wedge under it at the end wall", raised);
            }
            return sum.is(
                    now.value() + template + raised,
                    words + " + template" + (raised > 0 ? " + wedge under it at the end wall" : ""));
        }

        private static Optional<Reckoning> stop(List<BuildPlan.PlanStep> steps) {
            return steps.stream()
                    .map(BuildPlan.PlanStep::operation)
                    .filter(o -> o.setting() instanceof Setting.Drilled)
                    .flatMap(o -> o.setting().figure().stream())
                    .findFirst();
        }

        private List<Left> left() {
            return plan.thinnest().stream()
                    .filter(t -> t.kind() == WoodLeft.Kind.FLOOR && touches(t))
                    .map(this::left)
                    .toList();
        }

        private boolean touches(WoodLeft.Thin thin) {
            return thin.feature().equals(pocket.feature()) || thin.neighbour().equals(pocket.feature());
        }

        private List<WoodLeft.Thin> walls() {
            return plan.thinnest().stream()
                    .filter(t -> t.kind() == WoodLeft.Kind.WALL && touches(t))
                    .toList();
        }

        private Left left(WoodLeft.Thin thin) {
            Feature towards = thin.feature().equals(pocket.feature()) ? thin.neighbour() : thin.feature();
            Reckoning sum =
                    floors.of(thin, towards).orElseGet(() -> thin.reckoning("wood left to the " + towards.said()));
            return new Left(sum, towards, thin);
        }

        /** The last reading of its depth that a step of it wants, done or not. */
        private Optional<Inspection> measure(List<BuildPlan.PlanStep> steps) {
            Measurand depth = new Measurand.DepthOf(pocket.feature());
            return steps.stream()
                    .map(BuildPlan.PlanStep::operation)
                    .flatMap(o -> o.inspections().stream())
                    .filter(i -> i.measurand().equals(depth))
                    .reduce((a, b) -> b);
        }

        private Optional<Reckoning> found() {
            if (pocket.through()) {
                return Optional.empty();
            }
            return new AsCut(plan.build(), pocket.feature(), pocket.face()).depth("depth as it is");
        }

        private Reckoning stillToCut(Reckoning found) {
            Reckoning wanted = pocket.depthFinished();
            return length("still to cut")
                    .length("depth wanted", wanted.asFact())
                    .length("depth as it is", found.asFact())
                    .is(wanted.value() - found.value(), "depth wanted − depth as it is");
        }

        private static boolean cut(List<BuildPlan.PlanStep> steps) {
            List<BuildPlan.PlanStep> cutting = steps.stream()
                    .filter(s -> s.operation().cannotBeTakenBack())
                    .toList();
            return !cutting.isEmpty() && cutting.stream().allMatch(BuildPlan.PlanStep::done);
        }

        private static Reckoning.Builder length(String what) {
            return Reckoning.of(what, Quantity.LENGTH);
        }
    }

    /** The operation that brings it to depth. */
    public Optional<Operation> last() {
        return steps.stream()
                .map(BuildPlan.PlanStep::operation)
                .filter(Operation::cannotBeTakenBack)
                .reduce((a, b) -> b);
    }
}
