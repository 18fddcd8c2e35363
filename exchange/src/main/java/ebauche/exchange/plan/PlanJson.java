package ebauche.exchange.plan;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Point;
import ebauche.core.job.Finding;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.LedgerRow;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.order.Link;
import ebauche.core.passes.Cutter;
import ebauche.core.passes.Pass;
import ebauche.core.plan.BuildPlan;
import ebauche.core.sheet.MarkingOut;
import ebauche.core.stock.Stock;
import ebauche.core.stock.WoodLeft;
import ebauche.exchange.json.JsonText;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A plan as one JSON document. Lengths are millimetres, angles degrees, masses grams, not rounded. */
public final class PlanJson {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private PlanJson() {}

    public static byte[] write(BuildPlan plan) {
        ObjectNode root = JSON.objectNode().put("format", "ebauche-plan").put("version", 1);
        root.put("name", plan.build().design().name());
        ArrayNode findings = root.putArray("findings");
        plan.findings().forEach(f -> findings.add(finding(f)));
        ArrayNode operations = root.putArray("operations");
        plan.steps().forEach(s -> operations.add(operation(plan, s)));
        root.set("stock", stock(plan));
        root.set("wiring", WiringJson.of(plan));
        ArrayNode reckonings = root.putArray("reckonings");
        plan.reckonings().forEach(r -> reckonings.add(reckoning(r)));
        return JsonText.bytes(root);
    }

    private static ObjectNode finding(Finding finding) {
        ObjectNode out = JSON.objectNode();
        out.put("severity", word(finding.severity()))
                .put("station", finding.work().word())
                .put("rule", finding.rule());
        out.put("what", finding.what(PlanJson::said))
                .put("feature", finding.feature().map(Feature::word).orElse(""));
        finding.where().ifPresentOrElse(p -> out.set("where", point(p)), () -> out.putNull("where"));
        ArrayNode numbers = out.putArray("numbers");
        for (Finding.Value v : finding.numbers()) {
            numbers.addObject().put("name", v.name()).put("value", v.value()).put("unit", unit(v.quantity()));
        }
        return out.put("cure", finding.cure(PlanJson::said));
    }

    private static String said(Finding.Value value) {
        return (Decimals.plain(value.value(), 2) + " " + unit(value.quantity())).strip();
    }

    private static String unit(Quantity quantity) {
        return switch (quantity) {
            case LENGTH -> "mm";
            case ANGLE -> "degrees";
            case MASS -> "g";
            case TIME -> "min";
            case NUMBER, FINE -> "";
        };
    }

    private static ObjectNode operation(BuildPlan plan, BuildPlan.PlanStep step) {
        Operation op = step.operation();
        ObjectNode out = JSON.objectNode()
                .put("id", op.key().written())
                .put("station", op.work().word())
                .put("title", op.title());
        out.put("face", op.face().word()).put("done", step.done());
        out.set("setting", setting(op.setting()));
        MarkingOut.of(plan, plan.indexOf(step)).ifPresent(m -> out.set("marks", marks(m)));
        out.set("needs", words(op.needs()));
        out.set("gives", words(op.gives()));
        out.set("spoils", words(op.spoils()));
        ArrayNode after = out.putArray("after");
        ArrayNode because = out.putArray("because");
        for (Link link : plan.reasons(op.key())) {
            after.add(link.before().written());
            because.add(link.because());
        }
        ArrayNode inspections = out.putArray("inspections");
        op.inspections().forEach(i -> inspections.add(inspection(i)));
        ArrayNode cautions = out.putArray("cautions");
        op.cautions().forEach(c -> cautions.add(c.words()));
        ArrayNode before = out.putArray("beforeYouBegin");
        op.habits().forEach(h -> before.add(h.says()));
        if (!op.ticks().isEmpty()) {
            ArrayNode ticks = out.putArray("tickedFirst");
            op.ticks().forEach(ticks::add);
        }
        out.put("cannotBeTakenBack", op.cannotBeTakenBack());
        out.put("handsOnMinutes", op.handsOnMinutes()).put("waitMinutes", op.waitMinutes());
        out.putObject("slip")
                .put("minutes", step.slip().minutes())
                .put("timberGrams", step.slip().timberGrams());
        return out;
    }

    /** Where it marks or drills: along the centre line from a line or an end of the body, and across from the centre line. */
    private static ObjectNode marks(MarkingOut card) {
        ObjectNode out = JSON.objectNode().put("alongFrom", word(card.from()));
        ArrayNode places = out.putArray("places");
        card.marks().forEach(m -> {
            ObjectNode place = places.addObject()
                    .put("name", m.place().name())
                    .put("along", m.along())
                    .put("across", m.across());
            m.place().wall().ifPresent(w -> place.put("on", w.words()).set("down", reckoning(w.down())));
        });
        return out;
    }

    private static ArrayNode words(List<Condition> conditions) {
        ArrayNode out = JSON.arrayNode();
        conditions.forEach(c -> out.add(c.words()));
        return out;
    }

    private static ObjectNode setting(Setting setting) {
        ObjectNode out = JSON.objectNode();
        out.put("kind", setting.kind());
        out.put("tool", setting.tool());
        if (setting instanceof Setting.Routed routed) {
            out.put("guide", routed.guide()).put("feed", word(routed.feed()));
            ArrayNode passes = out.putArray("passes");
            routed.passes().forEach(p -> passes.add(pass(p)));
        }
        setting.figure().ifPresent(f -> {
            out.put("says", setting.figureSays());
            out.set("figure", reckoning(f));
        });
        if (!setting.ledger().isEmpty()) {
            ArrayNode ledger = out.putArray("ledger");
            for (LedgerRow row : setting.ledger()) {
                ArrayNode figures = ledger.addObject().put("does", row.does()).putArray("figures");
                row.figures().forEach(f -> figures.add(reckoning(f)));
            }
        }
        if (!setting.also().isEmpty()) {
            ArrayNode also = out.putArray("also");
            setting.also().forEach(f -> also.add(reckoning(f)));
        }
        return out;
    }

    private static ObjectNode pass(Pass p) {
        Cutter.Speeds speeds = p.cutter().speeds();
        return JSON.objectNode()
                .put("bit", p.cutter().bit().name())
                .put("router", p.cutter().router().name())
                .put("guide", p.guide().name().toLowerCase(Locale.ROOT).replace('_', '-'))
                .put("spacer", p.spacer())
                .put("from", p.from())
                .put("to", p.to())
                .put("projection", p.projection())
                .put("crossSection", p.crossSection())
                .put("turns", speeds.dial())
                .put("leastTurns", speeds.least())
                .put("mostTurns", speeds.most());
    }

    private static ObjectNode inspection(Inspection i) {
        ObjectNode out = JSON.objectNode()
                .put("measures", i.measurand().key())
                .put("what", i.measurand().label());
        return out.put("expected", i.expected().value())
                .put("least", i.least())
                .put("most", i.most())
                .put("with", i.with());
    }

    static ObjectNode reckoning(Reckoning r) {
        ObjectNode out =
                JSON.objectNode().put("what", r.what()).put("value", r.value()).put("unit", unit(r.quantity()));
        out.put("formula", r.formula());
        ArrayNode terms = out.putArray("terms");
        for (Reckoning.Term t : r.terms()) {
            terms.addObject()
                    .put("name", t.name())
                    .put("value", t.value())
                    .put("unit", unit(t.quantity()))
                    .put("source", t.source().words())
                    .put("from", t.origin());
        }
        return out;
    }

    private static ObjectNode stock(BuildPlan plan) {
        Stock.Balance balance = plan.history().finished().balance();
        ObjectNode out = JSON.objectNode().put("massGrams", balance.grams());
        ObjectNode centre = point(balance.at());
        out.set("centreOfMass", centre.put("depth", balance.depth()));
        ArrayNode thinnest = out.putArray("thinnest");
        for (WoodLeft.Thin thin : plan.thinnest()) {
            ObjectNode one = thinnest.addObject();
            one.put("kind", word(thin.kind()))
                    .put("feature", thin.feature().word())
                    .put("neighbour", thin.neighbour().word());
            one.put("thickness", thin.thickness());
            one.set("where", point(thin.at()));
        }
        return out;
    }

    static ObjectNode point(Point p) {
        return JSON.objectNode().put("x", p.x()).put("y", p.y());
    }

    static String word(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
