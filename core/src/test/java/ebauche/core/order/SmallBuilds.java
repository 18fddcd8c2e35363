package ebauche.core.order;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Router;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.passes.Cutter;
import ebauche.core.passes.Pass;
import ebauche.core.passes.Travel;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/**
 * Small builds by chance: drills, routers with one bit or two, saw, hands, carves, templates that go on and come off; marks that later steps
 * need, wood that others take away, faces that must be settled.
 */
final class SmallBuilds {
    private static final Router[] ROUTERS = {Router.usual("plunge", 150, 60), Router.usual("trimmer", 90, 40)};

    final List<Operation> steps = new ArrayList<>();
    final Map<StepKey, Set<StepKey>> seats = new HashMap<>();
    private final Random chance;
    private final List<Condition.Mark> given = new ArrayList<>();

    private SmallBuilds(Random chance) {
        this.chance = chance;
    }

    /** One of so many steps. */
    static SmallBuilds of(long seed, int count) {
        SmallBuilds build = new SmallBuilds(new Random(seed));
        build.fill(count);
        return build;
    }

    Costs costs() {
        return Costs.of(steps, o -> 0, seats, false);
    }

    /** Those links that an order can keep: a later step of the list never comes before an earlier one that it shares a circle with. */
    List<Link> links() {
        Map<StepKey, Integer> place = new HashMap<>();
        steps.forEach(o -> place.put(o.key(), place.size()));
        return Precedence.of(steps).links().stream()
                .filter(l -> place.get(l.before()) < place.get(l.after()))
                .toList();
    }

    private void fill(int count) {
        while (steps.size() < count) {
            int left = count - steps.size();
            if (left >= 3 && chance.nextInt(4) == 0) {
                onATemplate();
            } else {
                one();
            }
        }
        Set<StepKey> cuts = new HashSet<>();
        steps.stream().filter(Operation::cannotBeTakenBack).forEach(o -> cuts.add(o.key()));
        steps.stream()
                .filter(o -> o.setting() instanceof Setting.Fixed)
                .forEach(fit -> seats.put(fit.key(), new HashSet<>(some(cuts))));
    }

    private Set<StepKey> some(Set<StepKey> cuts) {
        Set<StepKey> some = new HashSet<>();
        cuts.stream().sorted().filter(k -> chance.nextInt(3) == 0).forEach(some::add);
        return some;
    }

    private Operation.Builder step(String name) {
        int number = steps.size();
        StepKey key = StepKey.parse("part-" + number + ":" + name);
        Condition.Mark mark = new Condition.Mark(key, "mark " + number);
        Operation.Builder step = Operation.of(Work.PLAN, key, "Do " + number)
                .face(chance.nextBoolean() ? Face.FRONT : Face.BACK)
                .takes(1 + chance.nextInt(40), 0, chance.nextInt(21) / 1000.0)
                .gives(mark);
        if (!given.isEmpty() && chance.nextInt(3) == 0) {
            step.needs(given.get(chance.nextInt(given.size())));
        }
        given.add(mark);
        if (chance.nextInt(3) == 0) {
            step.needs(new Condition.Wood(Region.disc(place(), 15), 0, 10));
        }
        if (chance.nextInt(8) == 0) {
            step.needs(new Condition.Settled(Condition.OuterSurface.FRONT, 0, Region.disc(place(), 40)));
        }
        return step;
    }

    private Point place() {
        return new Point(60 * chance.nextInt(4), 60 * chance.nextInt(3));
    }

    private Change cut(double radius) {
        return Change.Remove.fromBody(
                Feature.parse("part-" + steps.size()), Solid.Prism.between(Region.disc(place(), radius), 0, 8));
    }

    private static Reckoning deep() {
        return Reckoning.of("depth", Quantity.LENGTH).is(8, "8");
    }

    private Setting routed() {
        List<Pass> passes = new ArrayList<>();
        Router router = ROUTERS[chance.nextInt(2)];
        for (int i = 0; i <= chance.nextInt(2); i++) {
            Bit bit = Bit.usual("bit " + chance.nextInt(3), Bit.Bearing.AT_SHANK, 12.7, 25.4, 12.7);
            passes.add(new Pass(new Cutter(bit, router), Pass.Guide.TEMPLATE, 0, 0, 8, 8, 2));
        }
        return new Setting.Routed(
                "a bit", "template", Setting.Feed.CLOCKWISE, deep(), "deep", passes, new Travel(100, 0));
    }

    private void one() {
        Operation.Builder step = step("do");
        switch (chance.nextInt(6)) {
            case 0, 1 ->
                step.set(new Setting.Drilled("drill " + chance.nextInt(3), deep(), "deep"))
                        .cuts(cut(10));
            case 2, 3 -> step.set(routed()).cuts(cut(20));
            case 4 -> step.set(new Setting.Carved("rasp", deep())).cuts(cut(30));
            default -> step.set(new Setting.ByHand("pencil"));
        }
        steps.add(step.build());
    }

    private void onATemplate() {
        Face face = chance.nextBoolean() ? Face.FRONT : Face.BACK;
        Condition.Held held = new Condition.Held(StepKey.parse("part-" + steps.size() + ":fit"), "template");
        steps.add(step("fit")
                .face(face)
                .set(new Setting.Fixed("screws", Optional.empty()))
                .gives(held)
                .build());
        steps.add(
                step("rout").face(face).set(routed()).needs(held).cuts(cut(20)).build());
        steps.add(step("off")
                .face(face)
                .set(new Setting.ByHand("wedge"))
                .needs(given.get(given.size() - 2))
                .spoils(held)
                .build());
    }
}
