package ebauche.core.outline;

import ebauche.core.crib.Saw;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.geometry.Segment;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.routing.GuidedWork;
import ebauche.core.routing.TemplateLine;
import ebauche.core.shop.Practice;
import ebauche.core.station.Station;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Centre line, outline drawn, sawn outside the line, brought to it as the shop does that. */
public final class OutlineStation implements Station {
    /** The saw's line is no finer at the pocket's mouth, mm. */
    private static final double MOUTH = 0.5;

    @Override
    public Work work() {
        return Work.OUTLINE;
    }

    @Override
    public List<Finding> check(Build build) {
        return sandsToLine(build) ? OutlineSanding.check(build).stream().toList() : new OutlineRouting(build).check();
    }

    /** The outline, unless it is sanded to its line. */
    @Override
    public List<GuidedWork> guidedWork(Build build) {
        if (sandsToLine(build)) {
            return List.of();
        }
        OutlineRouting routing = new OutlineRouting(build);
        return List.of(new GuidedWork(
                Feature.OUTLINE,
                "outline",
                Face.FRONT,
                build.drawn().withTabs(),
                true,
                Datum.OUTLINE_ROUTED,
                Optional.of(routing.cut()),
                routing.crib()));
    }

    @Override
    public List<TemplateLine> templates(Build build) {
        return List.of(new TemplateLine(Feature.OUTLINE, "outline", Face.FRONT, lines(build), Optional.empty()));
    }

    /** The template's own line, and each tab as a piece beside it. */
    private static List<List<Segment>> lines(Build build) {
        List<List<Segment>> lines = new ArrayList<>();
        lines.add(build.drawn().outline().segments());
        build.drawn()
                .tabs()
                .forEach(t -> t.region(build.drawn().outline()).forEachRing(ring -> lines.add(closed(ring))));
        return lines;
    }

    private static List<Segment> closed(double[] ring) {
        List<Segment> pieces = new ArrayList<>();
        for (int i = 0; i < ring.length; i += 2) {
            int next = (i + 2) % ring.length;
            Point from = new Point(ring[i], ring[i + 1]);
            Point to = new Point(ring[next], ring[next + 1]);
            if (from.distance(to) > 0) {
                pieces.add(new Segment.Line(from, to));
            }
        }
        return pieces;
    }

    private static boolean sandsToLine(Build build) {
        return build.shop().practice().edge() == Practice.EdgeSchool.SAND_TO_LINE;
    }

    @Override
    public List<Rule> rules(Build build) {
        List<Rule> rules = new ArrayList<>(Tabs.rules(build));
        Sawing.allowance(build)
                .filter(wanted -> !sandsToLine(build))
                .ifPresent(wanted -> rules.add(sawnOutside(build, wanted)));
        return rules;
    }

    private static Rule sawnOutside(Build build, Reckoning wanted) {
        double left = build.shop().practice().sawAllowance();
        return Rule.of(Work.OUTLINE, "saw-near-line", Rule.About.BLANK)
                .on(Feature.OUTLINE)
                .says("The saw stays as far outside the line as this blade in this hand wants.")
                .atLeast(left(build), wanted.value())
                .cure("Leave more, or saw with another blade.")
                .fails(() -> Finding.thinkAgain(Work.OUTLINE, "saw-near-line")
                        .on(Feature.OUTLINE)
                        .length("left outside the line", left)
                        .length("saw allowance", wanted.value())
                        .says(
                                "The outline is sawn {0} outside the line; this saw in this hand wants {1}.",
                                "Leave more, or saw with another blade."))
                .build();
    }

    /** What the shop leaves outside the line. */
    private static Reckoning left(Build build) {
        double allowance = build.shop().practice().sawAllowance();
        return Reckoning.of("saw allowance", Quantity.LENGTH)
                .length("left outside the line", Fact.usual(allowance, "the shop's practice"))
                .is(allowance, "left outside the line");
    }

    @Override
    public List<Operation> operations(Build build) {
        Region body = build.drawn().withTabs();
        Region blank = build.design().blank().plan();
        List<Operation> steps = new ArrayList<>(marking(build, body));
        steps.add(sawn(build, body, blank));
        if (sandsToLine(build)) {
            steps.add(OutlineSanding.step(build));
            steps.add(OutlineSanding.read(build));
        } else {
            steps.addAll(new OutlineRouting(build).operations());
        }
        Tabs.off(build).ifPresent(steps::add);
        return steps;
    }

    private static List<Operation> marking(Build build, Region body) {
        return List.of(
                Operation.of(Work.OUTLINE, Feature.OUTLINE, StepKind.CENTRE, "Mark the centre line on both faces")
                        .set(new Setting.ByHand("long rule, knife or sharp pencil, square over the edges"))
                        .needs(Datum.flat(build, Face.FRONT, body), Datum.flat(build, Face.BACK, body))
                        .gives(Datum.centreLine(Face.FRONT), Datum.centreLine(Face.BACK))
                        .takes(10, 0, 0.002)
                        .build(),
                Operation.of(Work.OUTLINE, Feature.OUTLINE, StepKind.DRAW, "Draw the outline from the template")
                        .set(new Setting.ByHand("template on the centre line; white pencil on dark wood"))
                        .needs(Datum.centreLine(Face.FRONT))
                        .gives(Datum.OUTLINE_DRAWN)
                        .takes(10, 0, 0.001)
                        .build());
    }

    private static Operation sawn(Build build, Region body, Region blank) {
        double allowance = build.shop().practice().sawAllowance();
        Region kept = body.grown(allowance);
        Region waste = blank.minus(kept);
        return Operation.of(Work.OUTLINE, Feature.OUTLINE, StepKind.SAW, "Saw the outline outside the line")
                .set(new Setting.Sawn(
                        Sawing.saw(build).map(Saw::name).orElse("a saw that the crib lacks"), left(build)))
                .cuts(Change.Remove.fromBody(
                        Feature.OUTLINE,
                        Solid.Prism.between(
                                waste, build.faces().frontNow(), build.faces().backNow())))
                .needs(
                        Datum.OUTLINE_DRAWN,
                        Datum.flat(build, Face.BACK, body),
                        Datum.wood(build, ring(build, kept.minus(body)).intersection(blank)))
                .gives(Datum.OUTLINE_SAWN)
                .caution(Caution.SAW, Caution.DUST)
                .takes(25, 0, 0.006)
                .build();
    }

    /** The wood that the saw leaves round the line. Where the neck pocket comes out a shop may have routed it before: the saw runs across. */
    private static Region ring(Build build, Region outside) {
        return outside.minus(build.design().neck().pocket().grown(MOUTH));
    }
}
