package ebauche.core.wires;

import ebauche.core.design.BodyDesign;
import ebauche.core.feature.Feature;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Pickup;
import ebauche.core.hardware.Wire;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What is wired to what in a body.
 *
 * @param usual whether it is the usual for these parts, as its design says nothing of it
 */
public record Wiring(List<Wire> wires, boolean usual) {
    public Wiring {
        wires = List.copyOf(wires);
    }

    /** As the design says, else the usual for its parts; none where nothing can be wired. What is left open is not wired yet. */
    public static Wiring of(BodyDesign design) {
        boolean usual = design.wires().isEmpty();
        List<Wire> all = usual ? usual(design) : design.wires();
        return new Wiring(
                all.stream()
                        .filter(w -> !isOpen(design, w.from()) && !isOpen(design, w.to()))
                        .toList(),
                usual);
    }

    private static boolean isOpen(BodyDesign design, Feature part) {
        return design.leavesOpen(part);
    }

    /**
     * The usual, common practice: pickups to the switch where there is one, else to the first pot; the switch to the first pot, pot to pot,
     * the first pot to the jack; the bridge's ground to the first pot. A cavity of its own without controls holds a battery, wired to the jack.
     */
    private static List<Wire> usual(BodyDesign design) {
        List<Wire> all = new ArrayList<>();
        Optional<Feature> jack = design.jackAt().map(j -> Jack.FEATURE);
        List<Feature> pots = design.controls().stream()
                .filter(c -> c.kind() == Control.Kind.POT)
                .map(Control::feature)
                .toList();
        List<Feature> switches = design.controls().stream()
                .filter(c -> c.kind() != Control.Kind.POT)
                .map(Control::feature)
                .toList();
        List<Feature> chain = new ArrayList<>(switches);
        chain.addAll(pots);
        Optional<Feature> first = chain.stream().findFirst().or(() -> jack);
        Optional<Feature> master = pots.stream().findFirst().or(() -> first);
        for (Pickup pickup : design.pickups()) {
            first.ifPresent(f -> all.add(wire(pickup.feature(), f)));
        }
        for (int i = 0; i + 1 < chain.size(); i++) {
            all.add(wire(chain.get(i), chain.get(i + 1)));
        }
        master.filter(m -> !m.equals(Jack.FEATURE)).ifPresent(m -> jack.ifPresent(j -> all.add(wire(m, j))));
        master.ifPresent(m -> all.add(wire(Bridge.FEATURE, m)));
        for (Cavity cavity : design.cavities()) {
            boolean alone =
                    cavity.joins().isEmpty() && design.controlsIn(cavity).isEmpty();
            boolean ofTheJack = design.jackCavity().filter(cavity::equals).isPresent();
            if (alone && !ofTheJack) {
                jack.or(() -> master).ifPresent(j -> all.add(wire(cavity.feature(), j)));
            }
        }
        return all;
    }

    private static Wire wire(Feature from, Feature to) {
        return new Wire(from.word() + "-" + to.word(), from, to);
    }

    /** Parts that a wire ends at and the design does not have. */
    Set<Feature> missing(BodyDesign design) {
        Set<Feature> there = new LinkedHashSet<>();
        design.pickups().forEach(p -> there.add(p.feature()));
        design.controls().forEach(c -> there.add(c.feature()));
        design.cavities().forEach(c -> there.add(c.feature()));
        design.jackAt().ifPresent(j -> there.add(Jack.FEATURE));
        there.add(Bridge.FEATURE);
        Set<Feature> missing = new LinkedHashSet<>();
        wires.forEach(w -> {
            missing.add(w.from());
            missing.add(w.to());
        });
        missing.removeAll(there);
        return missing;
    }

    /** Pickups, and the bridge, from which no wires come to the jack, whatever they pass; none where there is no jack. */
    Set<Feature> withoutCircuit(BodyDesign design) {
        Set<Feature> without = new LinkedHashSet<>();
        if (design.jackAt().isEmpty() || isOpen(design, Jack.FEATURE)) {
            return without;
        }
        Set<Feature> wired = new LinkedHashSet<>(Set.of(Jack.FEATURE));
        boolean grows = true;
        while (grows) {
            grows = false;
            for (Wire wire : wires) {
                if (wired.contains(wire.from()) != wired.contains(wire.to())) {
                    wired.add(wire.from());
                    wired.add(wire.to());
                    grows = true;
                }
            }
        }
        design.pickups().stream().map(Pickup::feature).forEach(without::add);
        without.add(Bridge.FEATURE);
        without.removeIf(p -> wired.contains(p) || isOpen(design, p));
        return without;
    }
}
