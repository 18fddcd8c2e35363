package ebauche.core.shielding;

import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Shield;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Band;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Condition.OuterSurface;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.shop.ShieldStock;
import ebauche.core.station.Station;
import ebauche.core.wires.Run;
import java.util.ArrayList;
import java.util.List;

/** Shielding of cavities and pickups' routs, by paint or foil, and the meter that proves that all of it is one node. */
public final class ShieldingStation implements Station {
    /** Hands-on minutes for a coat of paint, and for a space lined with foil: common practice (memory). */
    private static final int COAT = 8;

    private static final int FOIL = 40;
    private static final int METER = 10;
    private static final int HOUR = 60;

    @Override
    public Work work() {
        return Work.SHIELDING;
    }

    @Override
    public List<Operation> operations(Build build) {
        List<Operation> steps = new ArrayList<>();
        List<Condition> lined = new ArrayList<>();
        for (Skin skin : Skin.all(build)) {
            if (!build.design().leavesOpen(skin.shield().space())) {
                Operation step = line(build, skin);
                steps.add(step);
                lined.addAll(step.gives());
            }
        }
        if (!steps.isEmpty() && build.design().jackAt().isPresent()) {
            steps.add(meter(build, lined));
        }
        return steps;
    }

    private static Operation line(Build build, Skin skin) {
        ShieldStock stock = build.shop().shielding();
        Shield.By by = skin.shield().by();
        Feature space = skin.shield().space();
        StepKey key = StepKey.of(space, StepKind.SHIELD);
        Operation.Builder step = Operation.of(
                        Work.SHIELDING, space, StepKind.SHIELD, "Line the " + space.said() + " with " + by.words())
                .set(by.isFoil() ? foil(skin, stock) : paint(skin, stock))
                .needs(new Condition.Mark(StepKey.of(space, StepKind.ROUT), "the " + space.said() + " at depth"))
                .needs(sanded(build))
                .gives(new Condition.Mark(key, "the " + space.said() + " shielded"))
                .caution(by.isFoil() ? Caution.FOIL : Caution.PAINT);
        // A hole drilled later would cut through it, and its chips lie in it.
        for (Run run : Run.all(build)) {
            if (run.spaces().stream().anyMatch(s -> s.feature().equals(space))) {
                Feature channel = run.channel().feature();
                step.needs(new Condition.Access(StepKey.of(channel, StepKind.DRILL), channel.said()));
            }
        }
        int drying = (int) Math.round(stock.drying() * HOUR);
        return by.isFoil()
                ? step.takes(FOIL, 0, 0.001).build()
                : step.takes(COAT * stock.coats(), drying * stock.coats(), 0.001)
                        .build();
    }

    private static Condition[] sanded(Build build) {
        var body = build.design().outline().region();
        return new Condition[] {
            new Condition.Settled(OuterSurface.FRONT, build.faces().frontFinished(), body),
            new Condition.Settled(OuterSurface.BACK, build.faces().backFinished(), body)
        };
    }

    private static Setting paint(Skin skin, ShieldStock stock) {
        String coats = stock.coats() == 1 ? "one coat" : stock.coats() + " coats";
        return new Setting.Lined(
                "a brush; " + coats + ", " + hours(stock.drying()) + " to dry after each", skin.paint(), "mL in all");
    }

    private static String hours(double hours) {
        return (hours == Math.rint(hours) ? String.valueOf((int) hours) : String.valueOf(hours)) + " h";
    }

    private static Setting foil(Skin skin, ShieldStock stock) {
        Roll roll = skin.foil();
        Reckoning length = Reckoning.of("foil for the " + skin.shield().space().said(), Quantity.LENGTH)
                .length("roll's width", Fact.usual(roll.width(), "the shop's shielding"))
                .length("cut off the roll, row by row", roll.length())
                .is(roll.length(), "cut off the roll, row by row");
        return new Setting.Lined(
                roll.pieces().size() + " pieces by the cut list, pressed down with a roller"
                        + (stock.conductingGlue()
                                ? ""
                                : "; " + overlap(skin.shield().by()) + ": its glue does not conduct"),
                length,
                "of the roll");
    }

    /** What carries the ground over an overlap: solder takes on copper only, common practice. */
    private static String overlap(Shield.By foil) {
        return foil == Shield.By.COPPER
                ? "a spot of solder on every overlap"
                : "every overlap folded under and pressed, metal on metal";
    }

    private static Inspection reading(Ground ground, Ground.Bond bond) {
        String joined = "joined, as drawn";
        String limit = "limit of what joins them";
        return new Inspection(
                new Measurand.Ohms(bond.one(), bond.other()),
                Reckoning.of("ohms between two that are one node", Quantity.NUMBER)
                        .term(joined, Fact.rule(0, bond.how()), Quantity.NUMBER)
                        .is(0, joined),
                new Band(
                        Band.none("ohms are not below zero"),
                        Reckoning.of("ohms that are still good", Quantity.NUMBER)
                                .term(
                                        limit,
                                        Fact.rule(
                                                ground.most(bond.one(), bond.other()),
                                                bond.how() + ", common practice"),
                                        Quantity.NUMBER)
                                .is(ground.most(bond.one(), bond.other()), limit)),
                "a meter on its ohms, nothing plugged in");
    }

    private static Operation meter(Build build, List<Condition> lined) {
        Ground ground = Ground.of(build);
        Operation.Builder step = Operation.of(
                        Work.SHIELDING, Jack.FEATURE, StepKind.METER, "Prove the ground with a meter, pair by pair")
                .set(new Setting.ByHand(ground.readings().size()
                        + " readings, from the jack's sleeve outward, as the shielding page lists them"))
                .needs(lined.toArray(Condition[]::new))
                .caution(Caution.SIGNAL_ONLY)
                .takes(METER, 0, 0.002);
        ground.readings().forEach(b -> step.inspect(reading(ground, b)));
        return step.build();
    }

    @Override
    public List<Reckoning> reckonings(Build build) {
        return Skin.all(build).stream().map(Skin::area).toList();
    }

    @Override
    public List<Finding> check(Build build) {
        List<Finding> found = new ArrayList<>();
        for (Shield shield : build.design().shields()) {
            boolean there = Skin.all(build).stream().anyMatch(s -> s.shield().equals(shield));
            if (!there && !build.design().leavesOpen(shield.space())) {
                found.add(Finding.thinkAgain(Work.SHIELDING, "shield-of-nothing")
                        .says(
                                "The " + shield.space().said() + " is to be shielded, and this body has none.",
                                "Name a cavity or a pickup that it has, or take the shield out."));
            }
        }
        Ground ground = Ground.of(build);
        ground.alone().stream()
                .filter(n -> !build.design().shields().isEmpty())
                .forEach(n -> found.add(Finding.thinkAgain(Work.SHIELDING, "not-grounded")
                        .on(build.design().shields().get(0).space())
                        .at(n.at())
                        .says(
                                "Nothing joins the " + n.said() + " to the jack's sleeve.",
                                "Add the wire that is missing, or a lug with a wire.")));
        if (!ground.leftOut().isEmpty() && !build.design().shields().isEmpty()) {
            Ground.Bond first = ground.leftOut().get(0);
            found.add(Finding.goodToKnow(Work.SHIELDING, "second-way")
                    .on(build.design().shields().get(0).space())
                    .says(
                            "The " + ground.said(first.one()) + " and the " + ground.said(first.other())
                                    + " are joined already: " + first.how() + " would be a second way"
                                    + (ground.leftOut().size() > 1
                                            ? ", and so would "
                                                    + (ground.leftOut().size() - 1) + " more."
                                            : "."),
                            "Leave it out for a star, or say in the shop settings that a bus will do."));
        }
        if (Ground.tipIsNearShield(build.design())) {
            found.add(Finding.goodToKnow(Work.SHIELDING, "hot-tip")
                    .on(Feature.of(FeatureKind.JACK))
                    .says(
                            "With a plug in it the jack's tip comes near the shield of its cavity.",
                            "Keep 3 mm clear of it, or a strip of tape over the shield there; try it with a plug in."));
        }
        return found;
    }
}
