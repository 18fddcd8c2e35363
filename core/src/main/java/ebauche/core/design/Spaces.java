package ebauche.core.design;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Chamber;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Pickup;
import ebauche.core.stock.Bore;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** What is hollow in a body for channels and wires, and what channels make of it. */
public record Spaces(BodyDesign design, List<Space> all) {
    public Spaces {
        all = List.copyOf(all);
    }

    /**
     * All of a design, as it draws them.
     *
     * @param topReaches how deep under the finished front its top reaches, mm: its chambers begin there; empty without one, and it has none
     */
    public static Spaces of(BodyDesign design, OptionalDouble topReaches) {
        List<Space> spaces = new ArrayList<>();
        double thick = design.thickness();
        spaces.add(new Space(NeckJoint.FEATURE, design.neck().pocket(), 0, thick));
        for (Cavity cavity : design.cavities()) {
            spaces.add(new Space(cavity.feature(), cavity.plan(), roof(cavity, thick), floor(cavity, thick)));
        }
        for (Pickup pickup : design.pickups()) {
            spaces.add(new Space(pickup.feature(), pickup.footprint(), 0, pickup.depth()));
        }
        design.jack()
                .ifPresent(j -> spaces.add(new Space(
                        Jack.FEATURE,
                        Bore.level(j.entry(), j.aim(), j.fromFront(), j.diameter())
                                .plan(),
                        j.fromFront() - j.diameter() / 2,
                        j.fromFront() + j.diameter() / 2)));
        Bridge bridge = design.bridge();
        bridge.studs().ifPresent(s -> spaces.add(new Space(Bridge.STUDS, s.holes(bridge.offCentre()), 0, s.depth())));
        bridge.vibrato()
                .ifPresent(v -> spaces.add(
                        new Space(Bridge.SPRINGS, v.springs(bridge.offCentre()), thick - v.springsDepth(), thick)));
        topReaches.ifPresent(roof -> design.chambers().forEach(c -> addHollows(c, roof, thick, spaces)));
        spaces.removeIf(s -> s.plan().isEmpty() || design.leavesOpen(s.feature()));
        return new Spaces(design, spaces);
    }

    private static void addHollows(Chamber chamber, double roof, double thick, List<Space> spaces) {
        int piece = 1;
        for (Region hollow : chamber.plan().parts()) {
            spaces.add(new Space(chamber.feature(), piece++, hollow, roof, thick - chamber.floor()));
        }
    }

    /** Depth of a cavity's nearer end under the finished front: of one from the front nought. */
    private static double roof(Cavity cavity, double thick) {
        if (cavity.face() == Face.FRONT) {
            return 0;
        }
        return cavity.floor() instanceof Cavity.Floor.Leaving leaving
                ? leaving.wood()
                : cavity.floor() instanceof Cavity.Floor.Deep deep ? thick - deep.depth() : 0;
    }

    private static double floor(Cavity cavity, double thick) {
        if (cavity.face() == Face.BACK) {
            return thick;
        }
        if (cavity.floor() instanceof Cavity.Floor.ForParts parts) {
            return parts.depth().orElse(thick);
        }
        return cavity.floor() instanceof Cavity.Floor.Leaving leaving
                ? thick - leaving.wood()
                : cavity.floor() instanceof Cavity.Floor.Deep deep ? deep.depth() : thick;
    }

    /** The space of a feature; of a chamber in pieces its first. */
    public Optional<Space> of(Feature feature) {
        return all.stream().filter(s -> s.feature().equals(feature)).findFirst();
    }

    /** What a channel passes. */
    public Passage passage(Channel channel) {
        return Passage.of(design, all, channel);
    }

    /** What all channels of the design pass that count. */
    public List<Passage> passages() {
        return design.channels().stream()
                .filter(c -> !design.leavesOpen(c.feature()))
                .map(this::passage)
                .toList();
    }
}
