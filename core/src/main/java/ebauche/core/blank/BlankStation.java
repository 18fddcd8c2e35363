package ebauche.core.blank;

import ebauche.core.build.Build;
import ebauche.core.build.Finding;
import ebauche.core.build.Station;
import ebauche.core.design.Blank;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.stock.Change;
import ebauche.core.stock.Material;
import ebauche.core.stock.Solid;
import ebauche.core.stock.Workpiece;
import java.util.ArrayList;
import java.util.List;

/** The rough blank: boards jointed and glued, or cut from one. */
public final class BlankStation implements Station {
    public static final String FEATURE = "blank";

    private static final Condition.Mark JOINTED = new Condition.Mark("the mating edges jointed");

    @Override
    public String name() {
        return "blank";
    }

    @Override
    public List<Finding> check(Build build) {
        List<Finding> found = new ArrayList<>();
        Blank blank = build.design().blank();
        Region outline = build.design().outline().region();
        if (!blank.plan().contains(outline)) {
            Region out = outline.minus(blank.plan());
            found.add(Finding.stops("blank", "outline-off-blank")
                    .on(FEATURE)
                    .at(out.centroid())
                    .length("blank width", blank.across())
                    .length("blank length", blank.along())
                    .says(
                            "The outline runs off the blank of {0} by {1}.",
                            "Take a larger blank, or slide it: its middle is where the blank's y says."));
        }
        return found;
    }

    @Override
    public List<Operation> operations(Build build) {
        Blank blank = build.design().blank();
        List<Operation> steps = new ArrayList<>();
        if (blank.pieces() > 1) {
            steps.add(Operation.of("blank", FEATURE, "joint", "Joint the mating edges")
                    .set(new Setting.ByHand("jointer, plane or saw; check against light"))
                    .gives(JOINTED)
                    .caution(Caution.SAW, Caution.DUST)
                    .takes(20 * (blank.pieces() - 1), 0, 0.002)
                    .build());
            steps.add(glueUp(build, blank));
        } else {
            steps.add(blankOf(build, Operation.of("blank", FEATURE, "cut", "Cut the blank from its board"))
                    .set(new Setting.ByHand("saw, square and rule"))
                    .caution(Caution.SAW, Caution.DUST)
                    .takes(20, 0, 0.001)
                    .build());
        }
        return steps;
    }

    private static Operation glueUp(Build build, Blank blank) {
        double hours = build.shop().practice().glueHours();
        Reckoning curing = Reckoning.of("wait before machining", Quantity.TIME)
                .term("hours from clamping", Fact.usual(hours, "the shop's practice"), Quantity.NUMBER)
                .is(hours * 60, "hours x 60");
        return blankOf(build, Operation.of("blank", FEATURE, "glue", "Glue up the " + blank.pieces() + " pieces"))
                .set(new Setting.Glued("clamps every few inches, cauls", curing))
                .needs(JOINTED)
                .caution(Caution.GLUE)
                .takes(40, (int) Math.round(hours * 60), 0.004)
                .build();
    }

    private static Operation.Builder blankOf(Build build, Operation.Builder step) {
        Blank blank = build.design().blank();
        double top = -build.roughAboveFront();
        double bottom = top + blank.thickness();
        Solid wood = Solid.Prism.between(blank.plan(), top, bottom);
        return step.cuts(new Change.Add(
                        FEATURE,
                        Workpiece.BODY,
                        wood,
                        new Material(
                                blank.species().key(), blank.species().density().value())))
                .gives(new Condition.Wood(blank.plan(), top, bottom));
    }
}
