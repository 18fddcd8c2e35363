package ebauche.core.thickness;

import ebauche.core.design.Measurand;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.FinishedFaces;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.operation.StepKey;
import ebauche.core.operation.StepKind;
import ebauche.core.shop.Practice;
import ebauche.core.station.Station;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.List;

/** One face flattened, the other brought parallel to it. */
public final class ThicknessStation implements Station {
    public static final Feature FEATURE = Feature.of(FeatureKind.THICKNESS);

    private static final double BAND = FinishedFaces.THICKNESS_BAND;

    /** Decimal noise under which a thickness counts as the limit itself, mm. */
    private static final double NOISE = 1e-9;

    private static final Condition.Mark FRONT_FLAT =
            new Condition.Mark(StepKey.of(FEATURE, StepKind.FRONT), "the front flattened");

    @Override
    public String name() {
        return "thickness";
    }

    @Override
    public List<Finding> check(Build build) {
        List<Finding> found = new ArrayList<>();
        Ledger ledger = Ledger.of(build);
        ledger.surelyShort()
                .ifPresent(by -> found.add(Finding.stops("thickness", "blank-too-thin")
                        .on(FEATURE)
                        .length("thinnest spot", ledger.lowNow().value())
                        .length("finished body with its sanding", ledger.target())
                        .length("short by", by.value())
                        .says(
                                "The blank is {0}; the body with its sanding needs {1}: short by {2}.",
                                "Take thicker stock, make the body thinner by that, or add a top.")));
        ledger.perhapsShort()
                .ifPresent(
                        by -> found.add(
                                Finding.thinkAgain("thickness", "blank-only-just")
                                        .on(FEATURE)
                                        .length("short by at worst", by.value())
                                        .length(
                                                "front out of flat",
                                                ledger.outOfFlat(Face.FRONT).value())
                                        .length(
                                                "over the body's width only",
                                                ledger.cupOverBody().value())
                                        .says(
                                                "With the front {1} out of flat, the blank may end up short by {0}.",
                                                "Measure it on winding sticks. Sawn out first, it is out of flat by about {2} only; or make the body thinner, or let the hollow fall where a pocket takes it.")));
        checkSnipe(build, found);
        checkMeasured(build, found);
        return found;
    }

    /** A planer dips at both ends of what runs through it. */
    private static void checkSnipe(Build build, List<Finding> found) {
        if (build.thicknessing() != Practice.Thicknessing.PLANER) {
            return;
        }
        Region blank = build.design().blank().plan();
        Region body = build.design().outline().region();
        double room = Math.min(blank.maxY() - body.maxY(), body.minY() - blank.minY());
        double snipe = build.shop().cutting().snipe();
        if (room >= 0 && room < snipe) {
            found.add(
                    Finding.thinkAgain("thickness", "snipe-reaches-body")
                            .on(FEATURE)
                            .length("body from the blank's end", room)
                            .length("snipe", snipe)
                            .says(
                                    "The planer dips over the last {1} of each end, and the body begins {0} from it.",
                                    "Leave the blank longer, run sacrificial strips beside it, or take another way to thickness it."));
        }
    }

    /** The body as it is known against what is wanted, but for what the cards' bands let pass. */
    private static void checkMeasured(Build build, List<Finding> found) {
        double left = build.faces().thickness();
        double wanted = build.design().thickness();
        boolean known = build.asBuilt().latest(Dimension.BODY_THICKNESS).isPresent()
                || build.isDone(StepKey.of(FEATURE, StepKind.BACK));
        if (!known) {
            return;
        }
        if (left < wanted - bands(build, true) - NOISE) {
            found.add(
                    Finding.thinkAgain("thickness", "thinner-than-wanted")
                            .on(FEATURE)
                            .length("finished thickness now", left)
                            .length("wanted", wanted)
                            .says(
                                    "As measured, the body will finish at {0} instead of {1}.",
                                    "Depths from the front stay; check what is left under the rear cavities, or change the thickness."));
        } else if (left > wanted + bands(build, false) + NOISE) {
            found.add(
                    Finding.goodToKnow("thickness", "thicker-than-wanted")
                            .on(FEATURE)
                            .length("finished thickness now", left)
                            .length("wanted", wanted)
                            .length("more", left - wanted)
                            .says(
                                    "As it is, the body will finish at {0} instead of {1}.",
                                    "Take {2} more off the back before anything is cut into it and read the thickness again, or change the thickness."));
        }
    }

    private static double bands(Build build, boolean thinner) {
        double off = BAND;
        for (Face face : Face.values()) {
            off += build.isDone(FinishedFaces.finish(face)) ? build.sandingBand(face, thinner) : 0;
        }
        return off;
    }

    @Override
    public List<Operation> operations(Build build) {
        Ledger ledger = Ledger.of(build);
        Practice.Thicknessing school = build.thicknessing();
        Region blank = build.design().blank().plan();
        // Where it was read already, in band, it stays.
        double thick = build.faces().backNow() + build.sandedOff(Face.BACK);
        double above = build.roughAboveFront();
        double rough = build.design().blank().thickness();
        Reckoning off = ledger.offFront();
        double high = off.terms().get(0).value();
        Reckoning left = Reckoning.of("left after flattening", Quantity.LENGTH)
                .length("high spot at first", high)
                .length("off the front's high spot", off.asFact())
                .is(high - off.value(), "high spot at first − off the front's high spot");
        return List.of(
                surface(StepKind.FRONT, "Flatten the front", Face.FRONT, tool(build, ledger, Face.FRONT), left, school)
                        .cuts(Change.Remove.fromBody(FEATURE, Solid.Prism.between(blank, -above - 1, 0)))
                        .needs(new Condition.Wood(blank, 0, thick))
                        .gives(FRONT_FLAT, new Condition.Flat(Face.FRONT, 0, blank.grown(1), 0.5))
                        .inspect(new Inspection(
                                new Measurand.OutOfFlat(Face.FRONT),
                                Reckoning.of("flat", Quantity.LENGTH).is(0, "nothing under the straightedge"),
                                0,
                                Ledger.FLAT_ENOUGH,
                                "straightedge and winding sticks"))
                        .takes(30, 0, 0.003)
                        .build(),
                surface(
                                StepKind.BACK,
                                "Bring the back parallel, to thickness",
                                Face.BACK,
                                tool(build, ledger, Face.BACK),
                                target(build),
                                school)
                        .cuts(Change.Remove.fromBody(FEATURE, Solid.Prism.between(blank, thick, rough - above + 1)))
                        .needs(FRONT_FLAT, new Condition.Wood(blank, 0, thick))
                        .gives(new Condition.Flat(Face.BACK, thick, blank.grown(1), 0.5))
                        .inspect(new Inspection(
                                Dimension.BODY_THICKNESS, target(build), BAND, BAND, "calliper at six places"))
                        .takes(40, 0, 0.004)
                        .build());
    }

    /** The machine with how many passes it still takes over that face. */
    private static String tool(Build build, Ledger ledger, Face face) {
        long passes = ledger.passes().stream().filter(p -> p.face() == face).count();
        String machine = build.thicknessing().words();
        return passes == 0 ? machine : machine + (passes == 1 ? ", one pass" : ", " + passes + " passes");
    }

    private static Operation.Builder surface(
            StepKind step, String title, Face up, String machine, Reckoning to, Practice.Thicknessing school) {
        return Operation.of("thickness", FEATURE, step, title)
                .face(up)
                .set(new Setting.Surfaced(machine, to, "thick when done"))
                .caution(Caution.of(school))
                .caution(Caution.DUST);
    }

    private static Reckoning target(Build build) {
        double thickness = build.design().thickness();
        double front = build.shop().practice().frontSanding();
        double back = build.shop().practice().backSanding();
        return Reckoning.of("thickness before sanding", Quantity.LENGTH)
                .length("finished thickness", Fact.typed(thickness))
                .length("front sanding", Fact.usual(front, "the shop's practice"))
                .length("back sanding", Fact.usual(back, "the shop's practice"))
                .is(thickness + front + back, "finished thickness + front sanding + back sanding");
    }

    @Override
    public List<Reckoning> reckonings(Build build) {
        Ledger ledger = Ledger.of(build);
        return List.of(build.faces().thicknessReckoning(build), ledger.offFront(), ledger.massNow(), ledger.massThen());
    }
}
