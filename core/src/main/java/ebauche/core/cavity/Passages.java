package ebauche.core.cavity;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import java.util.ArrayList;
import java.util.List;

/**
 * Whether every part passes the opening that it is fitted through: a control into its cavity and its bushing
 * through the top, a pickup into its cavity, a vibrato's block through its route, a jack through the edge. Sizes are the part's
 * as it is known; a cavity that was drawn without a part is not judged.
 */
final class Passages {
    /** Room that is nought is enough for what is turned or pressed in, and only just so for the rest, mm. */
    private static final double SNUG = 0.2;

    private final Build build;
    private final List<Rule> rules = new ArrayList<>();

    private Passages(Build build) {
        this.build = build;
    }

    static List<Rule> of(Build build) {
        Passages passages = new Passages(build);
        build.design().controls().forEach(passages::control);
        build.design().pickups().forEach(passages::pickup);
        passages.block();
        passages.jack();
        return passages.rules;
    }

    private void add(Feature feature, String says, Reckoning room, Point at, String cure) {
        rules.add(rule(feature, says, room, at, cure).build());
    }

    private static Rule.Builder rule(Feature feature, String says, Reckoning room, Point at, String cure) {
        return Rule.of(Work.CAVITY, "passes", Rule.About.CAVITIES)
                .on(feature)
                .at(at)
                .says(says)
                .atLeast(room, 0)
                .tight(SNUG)
                .cure(cure);
    }

    private Fact size(Feature feature, Part part, PartSize size) {
        return build.fitting().size(feature, part, size);
    }

    private void control(Control control) {
        String said = control.said();
        build.design().cavityOf(control).ifPresent(pit -> intoCavity(control, said, pit));
        build.drawn().controls().stream()
                .filter(c -> c.id().equals(control.id()) && control.kind() != Control.Kind.BLADE_SWITCH)
                .flatMap(c -> c.part().stream())
                .findFirst()
                .ifPresent(part -> {
                    Fact bushing = size(control.feature(), part, PartSize.BUSHING);
                    Reckoning room = Reckoning.of("room round the bushing of the " + said, Quantity.LENGTH)
                            .length("hole", Fact.typed(control.opening()))
                            .length("bushing", bushing)
                            .is(control.opening() - bushing.value(), "hole − bushing");
                    add(
                            control.feature(),
                            "The bushing of the " + said + " passes its hole.",
                            room,
                            control.at(),
                            "A wider hole, or another part.");
                });
    }

    /** Through the mouth of the cavity: its body, and how far it stays from the wall. */
    private void intoCavity(Control control, String said, Cavity pit) {
        Region mouth = pit.plan();
        Region body = control.footprint();
        Region out = body.minus(mouth);
        Point[] ends = body.nearestToEdge(mouth);
        double room = out.isEmpty() ? ends[0].distance(ends[1]) : -out.reachesBeyond(mouth);
        rules.add(rule(
                        control.feature(),
                        "The " + said + " fits through the cavity's opening.",
                        Reckoning.of("room beside the " + said, Quantity.LENGTH)
                                .length("to the nearest wall, below zero beyond it", room)
                                .is(room, "to the nearest wall, below zero beyond it"),
                        control.at(),
                        "Move it, or widen the cavity there.")
                .fails(() -> Finding.stops(Work.CAVITY, "control-outside")
                        .on(control.feature())
                        .at(control.at())
                        .says(
                                "The body of the " + control.id() + " "
                                        + control.kind().word() + " does not fit in the "
                                        + pit.feature().said() + ".",
                                "Move it, or widen the cavity there."))
                .build());
    }

    private void pickup(Pickup pickup) {
        pickup.part().ifPresent(part -> {
            for (PartSize size : List.of(PartSize.ACROSS, PartSize.ALONG)) {
                Fact wide = size(pickup.feature(), part, size);
                double cavity = size == PartSize.ACROSS ? pickup.across() : pickup.along();
                add(
                        pickup.feature(),
                        "The " + pickup.feature().part() + " drops into its cavity, " + size.words() + ".",
                        Reckoning.of("room for the " + pickup.feature().part() + " " + size.words(), Quantity.LENGTH)
                                .length("cavity", Fact.typed(cavity))
                                .length("pickup", wide)
                                .is(cavity - wide.value(), "cavity − pickup"),
                        pickup.at(),
                        "A wider cavity: measure the pickup in hand before it is cut.");
            }
        });
    }

    private void block() {
        Bridge bridge = build.design().bridge();
        if (bridge.vibrato().isEmpty() || bridge.part().isEmpty()) {
            return;
        }
        Bridge.Vibrato route = bridge.vibrato().get();
        Part part = bridge.part().get();
        Fact along = size(Bridge.FEATURE, part, PartSize.BLOCK_ALONG);
        Fact swing = size(Bridge.FEATURE, part, PartSize.SWING);
        add(
                Feature.of(FeatureKind.VIBRATO),
                "The vibrato's block passes its route and swings in it.",
                Reckoning.of("room for the vibrato's block along its route", Quantity.LENGTH)
                        .length("route along", Fact.typed(route.routeAlong()))
                        .length("block along", along)
                        .length("its end swings, in all", swing)
                        .is(
                                route.routeAlong() - along.value() - swing.value(),
                                "route along − block along − its end swings, in all"),
                new Point(bridge.offCentre(), route.routeY()),
                "A longer route.");
    }

    private void jack() {
        build.design()
                .jack()
                .ifPresent(jack -> jack.part()
                        .filter(p -> p.kind() == PartKind.JACK)
                        .ifPresent(part -> {
                            Fact hole = size(Jack.FEATURE, part, PartSize.HOLE);
                            add(
                                    Jack.FEATURE,
                                    "The jack goes in through its hole.",
                                    Reckoning.of("room round the jack", Quantity.LENGTH)
                                            .length("hole", Fact.typed(jack.diameter()))
                                            .length("jack", hole)
                                            .is(jack.diameter() - hole.value(), "hole − jack"),
                                    jack.entry(),
                                    "A wider hole, or another jack.");
                        }));
    }
}
