package ebauche.core.plan;

import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Place;
import ebauche.core.order.Link;
import ebauche.core.passes.Pass;
import ebauche.core.realism.Realism;
import ebauche.core.sheet.DepthCard;
import ebauche.core.sheet.DrillHole;
import ebauche.core.sheet.MarkingOut;
import ebauche.core.sheet.TemplateSheet;
import ebauche.core.shop.Habit;
import ebauche.core.stock.Change;
import ebauche.core.stock.WoodLeft;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** A plan written out as a maker would read it, every figure to a hundredth of a millimetre. */
final class PlanSheet {
    private final StringBuilder out = new StringBuilder();
    private final BuildPlan plan;

    private PlanSheet(BuildPlan plan) {
        this.plan = plan;
    }

    static String of(BuildPlan plan) {
        PlanSheet sheet = new PlanSheet(plan);
        plan.findings().forEach(sheet::finding);
        plan.steps().forEach(sheet::step);
        DepthCard.of(plan).forEach(sheet::card);
        plan.thinnest().forEach(sheet::thin);
        plan.reckonings().forEach(r -> sheet.line("number", sum(r)));
        plan.stillOpen().forEach(sheet::open);
        Realism realism = Realism.of(plan);
        realism.rules().forEach(sheet::rule);
        realism.ways()
                .forEach(w -> sheet.line(
                        "way",
                        w.work(),
                        w.wants(),
                        w.how().words(),
                        w.with(),
                        w.mind(),
                        w.steps().stream().map(StepKey::written).collect(Collectors.joining(" "))));
        realism.unmeasured().forEach(u -> sheet.line("not measured", u));
        DrillHole.of(plan).forEach(sheet::hole);
        TemplateSheet.of(plan).forEach(sheet::template);
        return sheet.out.toString();
    }

    private void line(String head, Object... parts) {
        out.append(head)
                .append(": ")
                .append(java.util.stream.Stream.of(parts)
                        .map(String::valueOf)
                        .filter(p -> !p.isEmpty())
                        .collect(Collectors.joining(" | ")))
                .append('\n');
    }

    private void finding(Finding f) {
        line(
                f.severity().words(),
                f.work().word() + "/" + f.rule(),
                f.feature().map(Feature::word).orElse(""),
                f.where().map(PlanSheet::at).orElse(""),
                f.what(v -> n(v.value())),
                f.cure(v -> n(v.value())));
    }

    private void step(BuildPlan.PlanStep s) {
        Operation o = s.operation();
        out.append('\n');
        line(
                s.done() ? "done" : "step",
                o.key(),
                o.work().word(),
                o.title(),
                o.face().word(),
                s.startMinutes() + "+" + o.handsOnMinutes() + "+" + o.waitMinutes() + " min",
                "risk " + n(o.risk() * 100),
                "slip " + s.slip().minutes() + " min " + n(s.slip().timberGrams()) + " g");
        line(
                "  set",
                o.setting().tool(),
                o.setting().figure().map(PlanSheet::sum).orElse(""),
                o.setting().figureSays(),
                o.setting().feed().name().toLowerCase(Locale.ROOT));
        for (Place p : MarkingOut.places(plan.build(), o)) {
            line("  at", p.name(), at(p.at()));
        }
        for (Pass p : o.setting().passes()) {
            line(
                    "  pass",
                    n(p.from()) + " to " + n(p.to()),
                    p.cutter().bit().name(),
                    p.guide().words(),
                    "out " + n(p.projection()) + " wide " + n(p.engaged()) + " spacer " + n(p.spacer()));
        }
        for (Change c : o.changes()) {
            line(
                    "  cut",
                    c.feature(),
                    n(c.solid().shallowest()) + " to " + n(c.solid().deepest()),
                    area(c.solid().plan()));
        }
        words("  needs", o.needs());
        words("  gives", o.gives());
        words("  spoils", o.spoils());
        for (Inspection i : o.inspections()) {
            line("  read", i.measurand().key(), sum(i.expected()), n(i.least()) + " to " + n(i.most()), i.with());
        }
        if (!o.habits().isEmpty()) {
            line("  before", o.habits().stream().map(Habit::key).collect(Collectors.joining(" ")));
        }
        if (!o.cautions().isEmpty()) {
            line("  mind", o.cautions().stream().map(Caution::name).collect(Collectors.joining(" ")));
        }
        for (Link l : plan.reasons(o.key())) {
            line("  after", l.before(), l.takesAway() ? "takes away" : "", "lag " + l.lagMinutes());
        }
    }

    private void words(String head, List<Condition> conditions) {
        String all = conditions.stream().map(Condition::words).distinct().collect(Collectors.joining(" | "));
        if (!all.isEmpty()) {
            line(head, all);
        }
    }

    private void card(DepthCard c) {
        out.append('\n');
        line("card", c.said(), c.face().word(), c.done() ? "done" : "", c.through() ? "through" : "");
        line("  depth", sum(c.depth()));
        line("  now", sum(c.now()));
        line("  from the template", sum(c.fromTemplate()));
        optional("  stop", c.stop());
        optional("  mouth", c.mouth());
        c.left().forEach(l -> line("  left to " + l.towards(), sum(l.sum())));
        c.walls().forEach(w -> line("  wall", w.feature(), w.neighbour(), n(w.thickness())));
        c.measure().ifPresent(m -> line("  measure", sum(m.expected()), n(m.least()) + " to " + n(m.most())));
        optional("  found", c.found());
        optional("  still to cut", c.stillToCut());
        c.tops()
                .forEach(t -> line(
                        "  top",
                        t.control().id(),
                        sum(t.thickness()),
                        sum(t.wood()),
                        t.stepped() ? "stepped" : "",
                        t.measured() ? "measured" : "",
                        t.tooThick() ? "too thick" : "",
                        t.tooThin() ? "too thin" : ""));
    }

    private void optional(String head, Optional<Reckoning> sum) {
        sum.ifPresent(r -> line(head, sum(r)));
    }

    private void thin(WoodLeft.Thin t) {
        line(
                "wood",
                t.kind().name().toLowerCase(Locale.ROOT),
                t.feature(),
                t.neighbour(),
                n(t.thickness()),
                at(t.at()));
    }

    private void open(StillOpen s) {
        line(
                "open",
                s.feature().said(),
                s.closedBy().map(o -> o.key().written()).orElse(""),
                s.lastOpen().map(o -> o.key().written()).orElse(""),
                s.because());
    }

    private void rule(Rule r) {
        line(
                "rule",
                r.name(),
                r.about().name().toLowerCase(Locale.ROOT),
                r.feature(),
                r.verdict().words(),
                sum(r.number()),
                (r.hasLeast() ? n(r.least()) : "") + ".." + (r.hasMost() ? n(r.most()) : "") + " tight " + n(r.tight()),
                "room " + n(r.room()));
    }

    private void hole(DrillHole h) {
        line(
                "hole",
                h.step().key(),
                h.name(),
                at(h.at()),
                n(h.along()) + " from " + h.from().words(),
                h.face().word(),
                "from fret 12 " + n(h.fromFret12()),
                "wide " + n(h.diameter()),
                n(h.depth().value()),
                h.wall()
                        .map(w -> "on " + w.words() + ", " + n(w.down().value()) + " down")
                        .orElse(""),
                h.through() ? "through" : "",
                h.done() ? "done" : "");
    }

    private void template(TemplateSheet t) {
        line(
                "template",
                t.name(),
                t.face().word(),
                t.rings().size() + " rings",
                t.holes().stream().map(PlanSheet::at).collect(Collectors.joining(" ")),
                t.holding().toString().replaceAll("(-?\\d+[.]\\d\\d)\\d*", "$1"),
                "board " + n(t.thickness()));
    }

    /** A sum with its terms. */
    private static String sum(Reckoning r) {
        return r.what() + " " + n(r.value()) + " = " + r.formula() + " {"
                + r.terms().stream().map(t -> t.name() + " " + n(t.value())).collect(Collectors.joining("; ")) + "}";
    }

    private static String area(Region plan) {
        return n(plan.area()) + " mm² about " + at(plan.centroid());
    }

    private static String at(Point p) {
        return "(" + n(p.x()) + ", " + n(p.y()) + ")";
    }

    /** To a hundredth, and no minus before nought. */
    private static String n(double value) {
        double cents = Math.round(value * 100) / 100.0 + 0.0;
        return cents == Math.rint(cents) && Math.abs(cents) < 1e9
                ? String.valueOf((long) cents)
                : String.format(Locale.ROOT, "%.2f", cents);
    }
}
