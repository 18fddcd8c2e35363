package ebauche.core.cavity;

import ebauche.core.feature.Feature;
import ebauche.core.feature.Work;
import ebauche.core.fit.PickupFit;
import ebauche.core.geometry.Face;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.JackSeat;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.History;
import ebauche.core.job.Rule;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Operation;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.routing.TemplateLine;
import ebauche.core.station.ControlTop;
import ebauche.core.station.PocketNotes;
import ebauche.core.station.Station;
import ebauche.core.stock.Plane;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Pickup cavities, the bridge's holes and routes, the cavities for controls, the jack hole. */
public final class CavityStation implements Station {
    @Override
    public Work work() {
        return Work.CAVITY;
    }

    @Override
    public List<Finding> check(Build build) {
        List<Finding> found = new ArrayList<>();
        found.addAll(new BridgeWork(build).check());
        found.addAll(ControlRules.check(build));
        found.addAll(new HoleWork(build).check());
        pockets(build).forEach(p -> found.addAll(p.check()));
        return found;
    }

    @Override
    public List<Rule> rules(Build build) {
        List<Rule> rules = new ArrayList<>(new BridgeWork(build).rules());
        rules.addAll(ControlRules.of(build));
        rules.addAll(new PlateRules(build).all());
        rules.addAll(Passages.of(build));
        return rules;
    }

    /** Every cavity that is routed against a template; one that lies wholly outside what it should be cut into is none. */
    @Override
    public List<GuidedPocket> pockets(Build build) {
        List<GuidedPocket> all = new ArrayList<>(pickups(build));
        all.addAll(new BridgeWork(build).pockets());
        CavityWork.all(build).forEach(w -> all.addAll(w.pockets()));
        all.removeIf(p -> p.plan().isEmpty());
        return all;
    }

    /** A cavity's is drawn with the design's own curves. */
    @Override
    public List<TemplateLine> templates(Build build) {
        return pockets(build).stream().map(p -> template(build, p)).toList();
    }

    private static TemplateLine template(Build build, GuidedPocket pocket) {
        return build.design().cavities().stream()
                .filter(pit -> pocket.feature().equals(pit.feature()))
                .findFirst()
                .map(pit -> TemplateLine.of(pocket, List.of(pit.outline().segments())))
                .orElseGet(() -> TemplateLine.of(pocket));
    }

    @Override
    public PocketNotes notes(GuidedPocket pocket) {
        List<ControlTop> tops = CavityFloor.all(pocket.build()).stream()
                .flatMap(f -> f.standingOn(pocket.feature()).stream())
                .toList();
        return new PocketNotes(Optional.empty(), tops);
    }

    @Override
    public List<Operation> operations(Build build) {
        List<Operation> steps = new ArrayList<>();
        pickups(build).forEach(p -> steps.addAll(p.operations()));
        steps.addAll(new BridgeWork(build).operations());
        steps.addAll(new PlateMarks(build).operations());
        CavityWork.all(build).forEach(w -> steps.addAll(w.operations()));
        build.design().jack().ifPresent(jack -> {
            Optional<JackSeat> bulge = JackHole.seat(build).filter(JackSeat::bulges);
            bulge.ifPresent(seat -> steps.add(JackHole.flat(build, jack, seat)));
            for (Operation step : JackHole.operations(build, jack)) {
                steps.add(bulge.isPresent() && !build.isDone(step.key()) ? step.needing(JackHole.FLAT_CUT) : step);
            }
        });
        steps.addAll(new HoleWork(build).operations());
        boolean tried = steps.stream().anyMatch(s -> s.gives().contains(BridgeWork.PROVED));
        for (Operation screws : new PartScrews(build).operations()) {
            boolean bridge = screws.feature().equals(Bridge.FEATURE) && !build.isDone(screws.key());
            steps.add(tried && bridge ? screws.needing(BridgeWork.PROVED) : screws);
        }
        return steps;
    }

    private static List<GuidedPocket> pickups(Build build) {
        List<GuidedPocket> pockets = new ArrayList<>();
        for (Pickup pickup : build.design().pickups()) {
            Optional<GuidedPocket> legs = build.fitting().pickups().legs(pickup).map(l -> legs(build, pickup, l));
            GuidedPocket cavity = pickup(build, pickup);
            pockets.add(legs.map(cavity::afterCavity).orElse(cavity));
            legs.ifPresent(pockets::add);
        }
        return pockets;
    }

    /** What a pickup's cavity may break into: what the design says, and its own legs' pockets. */
    private static Set<Feature> joins(Pickup pickup) {
        Set<Feature> joins = new HashSet<>(pickup.joins());
        joins.add(pickup.legs());
        return joins;
    }

    private static GuidedPocket legs(Build build, Pickup pickup, PickupFit.Legs legs) {
        Set<Feature> joins = new HashSet<>(pickup.joins());
        joins.add(pickup.feature());
        return new GuidedPocket(
                build,
                Work.CAVITY,
                pickup.legs(),
                pickup.id() + " pickup leg pockets",
                Face.FRONT,
                legs.plan(),
                Plane.at(build.faces()
                        .planeUnderFinished(Face.FRONT, legs.depth().value())),
                legs.depth(),
                legs.corner(),
                joins,
                PlateMarks.of(build, pickup),
                false,
                GuidedPocket.CutBefore.NOTHING);
    }

    static GuidedPocket pickup(Build build, Pickup pickup) {
        return new GuidedPocket(
                build,
                Work.CAVITY,
                pickup.feature(),
                pickup.id() + " pickup cavity",
                Face.FRONT,
                pickup.footprint(),
                Plane.at(build.faces().planeUnderFinished(Face.FRONT, pickup.depth())),
                build.fitting().pickups().depth(pickup),
                pickup.cornerRadius(),
                joins(pickup),
                PlateMarks.of(build, pickup),
                false,
                GuidedPocket.CutBefore.NOTHING);
    }

    @Override
    public List<Reckoning> reckonings(Build build) {
        List<Reckoning> sums = new ArrayList<>();
        CavityWork.all(build).forEach(w -> sums.add(w.depth()));
        sums.addAll(build.fitting().sums(build.design()));
        return sums;
    }

    @Override
    public List<Rule> rules(Build build, History history) {
        return ThinWood.rules(build, history);
    }
}
