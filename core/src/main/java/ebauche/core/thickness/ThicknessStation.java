package ebauche.core.thickness;

import ebauche.core.design.Measurand;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Band;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.shop.Practice;
import ebauche.core.station.Station;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.List;

/** One face flattened, the other brought parallel to it. */
public final class ThicknessStation implements Station {

    private static final Condition.Mark FRONT_FLAT =
            new Condition.Mark(StepKey.of(Feature.THICKNESS, StepKind.FRONT), "the front flattened");

    @Override
    public Work work() {
        return Work.THICKNESS;
    }

    @Override
    public List<Rule> rules(Build build) {
        return new ThicknessRules(build).all();
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
                        .cuts(Change.Remove.fromBody(Feature.THICKNESS, Solid.Prism.between(blank, -above - 1, 0)))
                        .needs(new Condition.Wood(blank, 0, thick))
                        .gives(FRONT_FLAT, new Condition.Flat(Face.FRONT, 0, blank.grown(1), 0.5))
                        .inspect(new Inspection(
                                new Measurand.OutOfFlat(Face.FRONT),
                                Reckoning.of("flat", Quantity.LENGTH).is(0, "nothing under the straightedge"),
                                new Band(
                                        Band.none("it cannot be flatter than flat"),
                                        Band.shop(
                                                "a face that counts as flat",
                                                build.shop().bands().flat())),
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
                        .cuts(Change.Remove.fromBody(
                                Feature.THICKNESS, Solid.Prism.between(blank, thick, rough - above + 1)))
                        .needs(FRONT_FLAT, new Condition.Wood(blank, 0, thick))
                        .gives(new Condition.Flat(Face.BACK, thick, blank.grown(1), 0.5))
                        .inspect(new Inspection(
                                Dimension.BODY_THICKNESS,
                                target(build),
                                Band.shops(
                                        "a thickness before sanding",
                                        build.shop().bands().thickness()),
                                "calliper at six places"))
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
            StepKind step, String title, Face up, String tool, Reckoning to, Practice.Thicknessing school) {
        return Operation.of(Work.THICKNESS, Feature.THICKNESS, step, title)
                .face(up)
                .set(new Setting.Surfaced(school.words(), tool, to, "thick when done"))
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
