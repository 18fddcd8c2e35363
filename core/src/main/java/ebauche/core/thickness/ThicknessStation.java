package ebauche.core.thickness;

import ebauche.core.build.Build;
import ebauche.core.build.Finding;
import ebauche.core.build.Station;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.List;

/** One face flattened, the other brought parallel to it. */
public final class ThicknessStation implements Station {
    public static final String FEATURE = "thickness";

    /** Least wood that flattening a rough blank takes off both faces together: common practice. */
    private static final double FLATTENING = 1.0;

    /** How far the thicknessed blank may miss: common practice, what a light hand sanding evens out. */
    private static final double BAND = 0.3;

    private static final Condition.Mark FRONT_FLAT = new Condition.Mark("the front flattened");

    @Override
    public String name() {
        return "thickness";
    }

    @Override
    public List<Finding> check(Build build) {
        List<Finding> found = new ArrayList<>();
        double rough = build.design().blank().thickness();
        double wanted = build.thicknessed();
        if (rough < wanted) {
            found.add(Finding.stops("thickness", "blank-too-thin")
                    .on(FEATURE)
                    .length("rough blank", rough)
                    .length("finished body with its sanding", wanted)
                    .length("short by", wanted - rough)
                    .says(
                            "The blank is {0}; the body with its sanding needs {1}: short by {2}.",
                            "Take thicker stock, make the body thinner by that, or add a cap."));
        } else if (rough < wanted + FLATTENING && !build.isDone(FEATURE + ":back")) {
            found.add(Finding.thinkAgain("thickness", "blank-only-just")
                    .on(FEATURE)
                    .length("to spare", rough - wanted)
                    .length("flattening usually takes", FLATTENING)
                    .says(
                            "The blank has only {0} to spare; flattening both faces usually takes {1}.",
                            "Check it for cup and twist before the first cut."));
        }
        checkMeasured(build, found);
        return found;
    }

    private static void checkMeasured(Build build, List<Finding> found) {
        double left = build.faces().thickness();
        double wanted = build.design().thickness();
        if (build.asBuilt().latest(Dimension.BODY_THICKNESS).isPresent() && left < wanted - BAND) {
            found.add(
                    Finding.thinkAgain("thickness", "thinner-than-wanted")
                            .on(FEATURE)
                            .length("finished thickness now", left)
                            .length("wanted", wanted)
                            .says(
                                    "As measured, the body will finish at {0} instead of {1}.",
                                    "Depths from the front stay; check what is left under the rear cavities, or change the thickness."));
        }
    }

    @Override
    public List<Operation> operations(Build build) {
        String machine = build.shop().practice().thicknessing().words();
        Region blank = build.design().blank().plan();
        double thick = build.thicknessed();
        double above = build.roughAboveFront();
        double rough = build.design().blank().thickness();
        return List.of(
                surface(
                                "front",
                                "Flatten the front",
                                Face.FRONT,
                                machine,
                                Reckoning.of("left after flattening", Quantity.LENGTH)
                                        .length("rough thickness", Fact.typed(rough))
                                        .length("taken off the front", above)
                                        .is(rough - above, "rough thickness - half of what there is to spare"))
                        .cuts(Change.Remove.fromBody(FEATURE, Solid.Prism.between(blank, -above - 1, 0)))
                        .needs(new Condition.Wood(blank, 0, thick))
                        .gives(FRONT_FLAT, new Condition.Flat(Face.FRONT, 0, blank.grown(1), 0.5))
                        .takes(30, 0, 0.003)
                        .build(),
                surface("back", "Bring the back parallel, to thickness", Face.BACK, machine, target(build))
                        .cuts(Change.Remove.fromBody(FEATURE, Solid.Prism.between(blank, thick, rough - above + 1)))
                        .needs(FRONT_FLAT, new Condition.Wood(blank, 0, thick))
                        .gives(new Condition.Flat(Face.BACK, thick, blank.grown(1), 0.5))
                        .inspect(new Inspection(
                                Dimension.BODY_THICKNESS, target(build), BAND, BAND, "calliper at six places"))
                        .takes(40, 0, 0.004)
                        .build());
    }

    private static Operation.Builder surface(String step, String title, Face up, String machine, Reckoning to) {
        return Operation.of("thickness", FEATURE, step, title)
                .face(up)
                .set(new Setting.Surfaced(machine, to, "thick when done"))
                .caution(Caution.BIT_SPEED, Caution.DUST);
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
        return List.of(build.faces().thicknessReckoning(build));
    }
}
