package ebauche.core.neck;

import ebauche.core.design.NeckJoint;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Condition.OuterSurface;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.shop.Glue;
import java.util.Optional;

/** A neck that is glued in. */
final class SetNeck {
    private SetNeck() {}

    /**
     * A set neck is glued in last of all, on a body that lies flat no more: everything that wants its faces comes before. Its joint
     * is dry fitted and checked like a screwed one.
     */
    static Optional<Operation> glued(Build build, Condition neckIn) {
        Optional<JointClamps> clamps = JointClamps.of(build);
        if (clamps.isEmpty()) {
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
        return Optional.of(Operation.of(Work.NECK, NeckJoint.FEATURE, StepKind.GLUE, "Glue the neck in")
                .set(new Setting.Glued(
                        glue.words() + ", a caul on the fingerboard, one under the pocket, "
                                + clamps.get().clamping().words()
                                + "; check the line again wet",
                        peace))
                .needs(
                        neckIn,
                        Datum.BRIDGE_MARKED,
                        new Condition.Settled(OuterSurface.FRONT, build.faces().frontNow(), body),
                        new Condition.Settled(OuterSurface.BACK, build.faces().backNow(), body))
                .caution(Caution.of(glue))
                .takes(30, (int) Math.round(wait * 60), 0.01)
                .build());
    }
}
