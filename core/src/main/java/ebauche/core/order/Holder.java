package ebauche.core.order;

import ebauche.core.crib.Router;
import ebauche.core.feature.Feature;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.passes.Cutter;
import ebauche.core.passes.Pass;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Something that stays as a step left it until another step wants it otherwise: which face is up, at which machine the body lies, the bit
 * in a router, the drill in the chuck, the template on the body. A step that does not use it leaves it alone.
 *
 * @param kind what changing it is
 * @param of the router whose bit it is; empty for what there is one of
 */
public record Holder(SetUp kind, String of) {
    /**
     * What a step wants in it.
     *
     * @param first when the step begins
     * @param last when it ends
     */
    public record Wants(String first, String last) {
        private Wants then(String later) {
            return new Wants(first, later);
        }
    }

    /** What a step finds to be set up, and how it leaves it. */
    public static Map<Holder, Wants> of(Operation step) {
        Map<Holder, Wants> wanted = new LinkedHashMap<>();
        Setting setting = step.setting();
        if (isOnTheBody(setting)) {
            one(wanted, SetUp.FACE, step.face().word());
            wanted.put(new Holder(SetUp.TEMPLATE, ""), template(step));
        }
        for (Pass pass : setting.passes()) {
            Cutter cutter = pass.cutter();
            one(wanted, SetUp.MACHINE, machine(cutter.router()));
            wanted.merge(
                    new Holder(SetUp.BIT, cutter.router().name()),
                    new Wants(cutter.bit().name(), cutter.bit().name()),
                    (so, far) -> so.then(far.last()));
        }
        if (setting instanceof Setting.Drilled) {
            one(wanted, SetUp.MACHINE, "the drill");
            one(wanted, SetUp.DRILL, setting.tool());
        } else if (setting instanceof Setting.Sawn
                || setting instanceof Setting.Resawn
                || setting instanceof Setting.CutOut) {
            one(wanted, SetUp.MACHINE, "the saw");
        } else if (setting instanceof Setting.Surfaced surfaced) {
            one(wanted, SetUp.MACHINE, surfaced.machine());
        }
        return wanted;
    }

    /** Whether it fixes a template, works on one or takes it off. */
    static boolean isOnTemplate(Operation step) {
        return !(template(step.needs()) + template(step.gives()) + template(step.spoils())).isEmpty();
    }

    /**
     * What a step wants where the shop does all template work in one stretch: the templates out, or away; empty where it leaves them as
     * they are, as drilling does, and what is smoothed for a template.
     *
     * @param onTemplates features that are cut on templates
     */
    static Optional<Wants> ofTemplateDay(Operation step, Set<Feature> onTemplates) {
        boolean out = isOnTemplate(step);
        boolean either = step.setting() instanceof Setting.Drilled
                || onTemplates.contains(step.feature())
                || !isOnTheBody(step.setting());
        String wants = out ? "templates" : "other work";
        return out || !either ? Optional.of(new Wants(wants, wants)) : Optional.empty();
    }

    /** A template that it works on is fixed before it and stays; what works on none wants none on the body, where it would lie in the way. */
    private static Wants template(Operation step) {
        String off = template(step.spoils());
        String on = template(step.gives());
        String needed = template(step.needs());
        return !off.isEmpty() ? new Wants(off, "") : new Wants(needed, on.isEmpty() ? needed : on);
    }

    private static String template(List<Condition> conditions) {
        return conditions.stream()
                .filter(Condition.Held.class::isInstance)
                .map(c -> ((Condition.Held) c).by().written())
                .findFirst()
                .orElse("");
    }

    /** Boards that are jointed, sawn or glued, and jigs, are no body yet. */
    private static boolean isOnTheBody(Setting setting) {
        return !(setting instanceof Setting.Glued
                || setting instanceof Setting.Made
                || setting instanceof Setting.Resawn
                || setting instanceof Setting.CutOut);
    }

    private static String machine(Router router) {
        return router.kind() == Router.Kind.TABLE ? router.name() : "the router";
    }

    private static void one(Map<Holder, Wants> wanted, SetUp kind, String what) {
        wanted.merge(new Holder(kind, ""), new Wants(what, what), (so, far) -> so.then(far.last()));
    }
}
