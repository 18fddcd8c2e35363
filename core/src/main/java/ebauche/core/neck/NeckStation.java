package ebauche.core.neck;

import ebauche.core.build.Build;
import ebauche.core.build.Finding;
import ebauche.core.build.Station;
import ebauche.core.crib.Drill;
import ebauche.core.design.Heel;
import ebauche.core.design.Measurand;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.design.NeckJoint;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Condition.Surface;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.shop.Glue;
import ebauche.core.stock.Change;
import ebauche.core.stock.Plane;
import ebauche.core.stock.Solid;
import ebauche.core.stock.WoodLeft;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The neck pocket: depth, cut, the neck fitted and aligned, its screw holes, the bridge located from it. */
public final class NeckStation implements Station {
    private static final Condition.Mark NECK_IN = new Condition.Mark("the neck fitted and on the centre line");

    private static final Condition.Mark HEEL_MEASURED = new Condition.Mark("the heel of the finished neck measured");
    private static final Condition.Mark WEDGE_MADE = new Condition.Mark("the neck pocket's wedge made");
    private static final String FIT = NeckJoint.FEATURE + ":fit";
    private static final Condition.Mark JIG_MADE = new Condition.Mark("the neck pocket's jig made");

    /** How near a drill in the crib must come to a wanted clearing hole, mm. */
    private static final double DRILL_MATCH = 0.3;

    @Override
    public String name() {
        return "neck";
    }

    @Override
    public List<Finding> check(Build build) {
        List<Finding> found = new ArrayList<>(new NeckChecks(build).findings());
        found.addAll(pocket(build).check());
        return found;
    }

    /** The pocket as it is to be routed. */
    public static GuidedPocket pocket(Build build) {
        return pocket(build, PocketState.of(build));
    }

    private static GuidedPocket pocket(Build build, PocketState state) {
        NeckJoint neck = build.design().neck();
        double floor =
                build.faces().planeUnderFinished(Face.FRONT, state.target().value());
        return new GuidedPocket(
                build,
                "neck",
                NeckJoint.FEATURE,
                "neck pocket",
                Face.FRONT,
                neck.pocket(),
                Plane.tilted(
                        floor, neck.endWallToSaddle(), state.geometry().angle().value()),
                state.target(),
                neck.cornerRadius(),
                Set.of(WoodLeft.EDGE, NeckHoles.FEATURE),
                located(build),
                false);
    }

    @Override
    public List<Operation> operations(Build build) {
        PocketState state = PocketState.of(build);
        GuidedPocket pocket = pocket(build, state);
        List<Operation> steps = new ArrayList<>(jig(build));
        wedge(build).ifPresent(steps::add);
        for (Operation step : pocket.operations()) {
            steps.add(wedge(build).isPresent() && step.key().equals(FIT) ? step.needing(WEDGE_MADE) : step);
        }
        deepen(build, state, pocket).ifPresent(steps::add);
        steps.add(Operation.of("neck", NeckJoint.FEATURE, "check", "Fit the neck, check the centre line")
                .set(new Setting.ByHand("straightedge or string from nut to bridge"))
                .needs(pocket.atDepth(), Datum.centreLine(Face.FRONT))
                .gives(NECK_IN)
                .inspect(onLine(build))
                .takes(20, 0, 0.002)
                .build());
        new NeckHoles(build, state).operation(NECK_IN, pocket.atDepth()).ifPresent(steps::add);
        steps.add(Operation.of("neck", NeckJoint.FEATURE, "bridge", "Mark the bridge's place from the neck")
                .set(new Setting.ByHand("rule from fret 12, twine along the outer strings"))
                .needs(NECK_IN)
                .gives(Datum.BRIDGE_MARKED)
                .inspect(new Inspection(
                        Dimension.FRET_12_TO_SADDLE,
                        fret12(build),
                        NeckChecks.HOLES_WITHIN,
                        NeckChecks.HOLES_WITHIN,
                        "rule from fret 12"))
                .takes(15, 0, 0.004)
                .build());
        glue(build).ifPresent(steps::add);
        return steps;
    }

    /** A tilted pocket's template lies on a wedge, so that the base runs parallel to the floor. */
    private static Optional<Operation> wedge(Build build) {
        return build.wedge(NeckJoint.FEATURE).map(rise -> {
            boolean back = rise.value() > 0;
            return Operation.of(
                            "neck", NeckJoint.FEATURE, "wedge", "Make the wedge that tilts the neck pocket's template")
                    .set(new Setting.Made(
                            "plane or sander, long bevel",
                            back ? rise : risen(rise),
                            "of rise over the pocket's length, thick at " + (back ? "the end wall" : "the mouth")))
                    .gives(WEDGE_MADE)
                    .takes(20, 0, 0)
                    .build();
        });
    }

    /** A neck that tilts forward: the same rise from the other end. */
    private static Reckoning risen(Reckoning rise) {
        return Reckoning.of(rise.what(), Quantity.LENGTH)
                .length("the floor falls towards the end wall by", -rise.value())
                .is(-rise.value(), "the floor falls towards the end wall by");
    }

    /**
     * A set neck is glued in last of all, on a body that lies flat no more: everything that wants its faces comes before. Its joint
     * is dry fitted and checked like a screwed one.
     */
    private static Optional<Operation> glue(Build build) {
        if (build.design().neck().kind() != NeckJoint.Kind.SET) {
            return Optional.empty();
        }
        Glue glue = build.shop().gluing().glue();
        Region body = build.design().outline().region();
        double wait = Math.max(glue.waitHours(), build.shop().practice().glueHours());
        Reckoning peace = Reckoning.of("wait with the neck in clamps", Quantity.TIME)
                .term(
                        "hours by the shop's habit",
                        Fact.usual(build.shop().practice().glueHours(), "the shop's practice"),
                        Quantity.NUMBER)
                .term("hours that the glue wants", Fact.rule(glue.waitHours(), "common practice"), Quantity.NUMBER)
                .is(wait * 60, "60 × the larger of (hours by the shop's habit) and (hours that the glue wants)");
        return Optional.of(Operation.of("neck", NeckJoint.FEATURE, "glue", "Glue the neck in")
                .set(new Setting.Glued(
                        glue.words() + ", a caul on the fingerboard, one under the pocket; check the line again wet",
                        peace))
                .needs(
                        NECK_IN,
                        Datum.BRIDGE_MARKED,
                        new Condition.Settled(Surface.FRONT, build.faces().frontNow(), body),
                        new Condition.Settled(Surface.BACK, build.faces().backNow(), body))
                .caution(Caution.GLUE)
                .takes(30, (int) Math.round(wait * 60), 0.01)
                .build());
    }

    /** Half the scale: fret 12 of twelve equal semitones. */
    private static Reckoning fret12(Build build) {
        double scale = build.design().scale();
        return Reckoning.of("fret 12 to the saddle line", Quantity.LENGTH)
                .length("scale", Fact.typed(scale))
                .is(scale / 2, "scale / 2");
    }

    private static Inspection onLine(Build build) {
        double permitted = CentreLine.of(build).permitted().value();
        Reckoning none = Reckoning.typed("neck's line at the bridge, off the centre line", 0);
        return new Inspection(Dimension.CENTRE_AT_BRIDGE, none, permitted, permitted, "laser line or string");
    }

    /** A pocket that is made to the neck wants the neck measured, and its jig made from it. */
    private static List<Operation> jig(Build build) {
        List<Operation> steps = new ArrayList<>();
        Optional<NeckFit> fit = NeckFit.of(build);
        if (fit.isEmpty()) {
            return steps;
        }
        Heel heel = fit.get().heel();
        double tolerance = build.shop().limits().thicknessTolerance();
        if (heel.made() == Heel.Made.NECK_FIRST) {
            Operation.Builder measure = Operation.of(
                            "neck", NeckJoint.FEATURE, "measure", "Measure the heel of the finished neck")
                    .set(new Setting.ByHand("calliper"))
                    .gives(HEEL_MEASURED)
                    .takes(5, 0, 0);
            heelSizes(build, heel)
                    .forEach((size, fact) -> measure.inspect(new Inspection(
                            size,
                            Reckoning.of(size.label(), Quantity.LENGTH)
                                    .length("as known", fact)
                                    .is(fact.value(), "as known"),
                            tolerance,
                            tolerance,
                            "calliper")));
            steps.add(measure.build());
        }
        if (wantsJig(heel)) {
            Operation.Builder make = Operation.of("neck", NeckJoint.FEATURE, "jig", "Make the neck pocket's jig")
                    .set(new Setting.Made(heel.jig().words(), fit.get().jig(true), toMake(heel.jig())))
                    .needs(Datum.centreLine(Face.FRONT))
                    .gives(JIG_MADE)
                    .takes(25, 0, 0);
            if (heel.made() == Heel.Made.NECK_FIRST) {
                make.needs(HEEL_MEASURED);
            }
            steps.add(make.build());
        }
        return steps;
    }

    private static Map<Dimension, Fact> heelSizes(Build build, Heel heel) {
        Map<Dimension, Fact> sizes = new LinkedHashMap<>();
        sizes.put(
                Dimension.HEEL_THICKNESS,
                build.fact(Dimension.HEEL_THICKNESS, build.design().neck().heelThickness()));
        sizes.put(Dimension.HEEL_WIDTH_END, build.fact(Dimension.HEEL_WIDTH_END, heel.widthAtEnd()));
        sizes.put(Dimension.HEEL_WIDTH_MOUTH, build.fact(Dimension.HEEL_WIDTH_MOUTH, heel.widthAtMouth()));
        sizes.put(Dimension.HEEL_LENGTH, build.fact(Dimension.HEEL_LENGTH, heel.length()));
        return sizes;
    }

    /** A pocket made to the neck, by whatever jig, and one made to the drawing by a jig of its own. */
    private static boolean wantsJig(Heel heel) {
        return heel.made() == Heel.Made.NECK_FIRST || heel.jig() != Heel.Jig.DRAWN;
    }

    private static String toMake(Heel.Jig jig) {
        return switch (jig) {
            case DRAWN -> "wide at its end";
            case THREE_STRIPS -> "wide, the middle strip at its end; ease it to the neck";
            case TRACED_NECK -> "wide at its end; file to the inside of the line";
        };
    }

    /** Where the pocket's template is located from: the jig, which is made on the centre line, else that line itself. */
    private static Condition located(Build build) {
        return build.design().neck().heel().filter(NeckStation::wantsJig).isPresent()
                ? JIG_MADE
                : Datum.centreLine(Face.FRONT);
    }

    /** Once the pocket is called done and is found too shallow, one more step brings it down. */
    private static Optional<Operation> deepen(Build build, PocketState state, GuidedPocket pocket) {
        double tolerance = build.shop().limits().depthTolerance();
        Optional<Reckoning> left = state.stillToCut();
        if (!build.isDone(PocketState.ROUT) || left.isEmpty() || left.get().value() <= tolerance) {
            return Optional.empty();
        }
        NeckJoint neck = build.design().neck();
        double floor =
                build.faces().planeUnderFinished(Face.FRONT, state.target().value());
        Solid rest = new Solid.Prism(
                neck.pocket(),
                Plane.at(build.faces().frontNow()),
                Plane.tilted(
                        floor, neck.endWallToSaddle(), state.geometry().angle().value()));
        return Optional.of(Operation.of("neck", NeckJoint.FEATURE, "deepen", "Deepen the neck pocket to its new depth")
                .set(new Setting.Routed(
                        "the bit that cut it",
                        "the wall just cut",
                        Setting.Feed.CLOCKWISE,
                        pocket.depthNow(),
                        "deep from the front",
                        List.of()))
                .cuts(Change.Remove.fromBody(NeckJoint.FEATURE, rest))
                .needs(Datum.surround(build, Face.FRONT, neck.pocket()), pocket.atDepth())
                .joins(Set.of(WoodLeft.EDGE, NeckHoles.FEATURE))
                .inspect(new Inspection(
                        new Measurand.DepthOf(NeckJoint.FEATURE),
                        pocket.depthNow(),
                        tolerance,
                        tolerance,
                        "depth gauge"))
                .caution(Caution.ROUTER, Caution.DUST)
                .takes(12, 0, 0.012)
                .build());
    }

    @Override
    public List<Reckoning> reckonings(Build build) {
        PocketState state = PocketState.of(build);
        List<Reckoning> sums = new ArrayList<>();
        sums.add(state.target());
        state.found().ifPresent(sums::add);
        state.stillToCut().ifPresent(sums::add);
        sums.add(state.saddleHeight());
        sums.add(state.proud());
        NeckFit.of(build)
                .ifPresent(fit -> sums.addAll(List.of(
                        fit.pocketEnd(),
                        fit.pocketMouth(),
                        fit.atEnd(),
                        fit.atMouth(),
                        fit.jig(true),
                        fit.jig(false))));
        CentreLine line = CentreLine.of(build);
        line.atBridge().ifPresent(sums::add);
        sums.add(line.permitted());
        return sums;
    }

    /** The holes that the neck's screws pass. */
    record NeckHoles(Build build, PocketState state) {
        static final String FEATURE = NeckJoint.SCREWS;

        Optional<Operation> operation(Condition neckIn, Condition pocketCut) {
            NeckJoint neck = build.design().neck();
            if (neck.screws().isEmpty()) {
                return Optional.empty();
            }
            double through = build.faces().backNow() - build.faces().frontNow();
            Optional<Drill> drill = build.shop().crib().drill(neck.screwHole(), DRILL_MATCH);
            Reckoning depth = Reckoning.of("through the pocket's floor", Quantity.LENGTH)
                    .length("body as it is now", through)
                    .length("pocket", state.target().asFact())
                    .is(through - state.target().value(), "body as it is now − pocket");
            Operation.Builder step = Operation.of("neck", FEATURE, "drill", "Drill the neck screws' holes")
                    .set(new Setting.Drilled(
                            drill.map(Drill::name).orElse("a drill that the crib lacks"),
                            depth,
                            "of wood to drill through"))
                    .needs(neckIn, pocketCut, Datum.flat(build, Face.BACK, neck.pocket()))
                    .gives(new Condition.Access("neck screws' holes"))
                    .joins(Set.of(NeckJoint.FEATURE, WoodLeft.BACK))
                    .caution(Caution.DRILL)
                    .takes(20, 0, 0.006);
            for (Point at : neck.screws()) {
                Region hole = Region.disc(at, neck.screwHole());
                Solid bore = Solid.Prism.between(
                        hole, build.faces().frontNow(), build.faces().backNow());
                step.cuts(Change.Remove.fromBody(FEATURE, bore))
                        .needs(new Condition.Wood(
                                hole,
                                build.faces().backFinished() - 1,
                                build.faces().backFinished()));
            }
            return Optional.of(step.build());
        }
    }
}
