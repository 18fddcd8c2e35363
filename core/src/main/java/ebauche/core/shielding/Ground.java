package ebauche.core.shielding;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Shield;
import ebauche.core.hardware.Wire;
import ebauche.core.job.Build;
import ebauche.core.shop.ShieldStock;
import ebauche.core.wires.Wiring;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * All that is to be one electrical node with the jack's sleeve, and what joins it. Of a star each is joined by exactly one way, so that
 * what would make a second is left out; of a bus by any.
 *
 * @param bonds what joins two, each proved by one reading
 * @param leftOut what a star leaves out
 */
public record Ground(List<Node> nodes, List<Bond> bonds, List<Bond> leftOut) {
    /** Limits of a reading, ohms: a wire, a nut or foil, and across a painted space; common practice. */
    public static final double WIRED = 1;

    public static final double PAINTED = 100;

    /**
     * One thing that is grounded.
     *
     * @param key short and lasting
     * @param at where on the plan
     */
    public record Node(String key, String said, Point at) {}

    /**
     * What joins two.
     *
     * @param ohms most that a meter may read across it
     */
    public record Bond(String one, String other, String how, double ohms) {
        boolean isOf(String node) {
            return one.equals(node) || other.equals(node);
        }

        String beyond(String node) {
            return one.equals(node) ? other : one;
        }
    }

    public static final String SLEEVE = "sleeve";

    public Ground {
        nodes = List.copyOf(nodes);
        bonds = List.copyOf(bonds);
        leftOut = List.copyOf(leftOut);
    }

    /** Of a body as it is designed. */
    public static Ground of(Build build) {
        return new Gathering(build).ground();
    }

    /** How a node is said. */
    public String said(String key) {
        return nodes.stream()
                .filter(n -> n.key().equals(key))
                .map(Node::said)
                .findFirst()
                .orElse(key);
    }

    /** What the bonds do not join to the jack's sleeve. */
    public List<Node> alone() {
        Set<String> joined = joined(SLEEVE, bonds);
        return nodes.stream().filter(n -> !joined.contains(n.key())).toList();
    }

    /** What some bonds join, from one node on. */
    static Set<String> joined(String from, List<Bond> by) {
        Set<String> joined = new HashSet<>();
        Deque<String> ahead = new ArrayDeque<>(Set.of(from));
        while (!ahead.isEmpty()) {
            String here = ahead.remove();
            if (joined.add(here)) {
                by.stream().filter(b -> b.isOf(here)).map(b -> b.beyond(here)).forEach(ahead::add);
            }
        }
        return joined;
    }

    /** One reading a bond, from the jack's sleeve outward; of a bus only as many as join all. */
    public List<Bond> readings() {
        List<Bond> taken = new ArrayList<>();
        Set<String> known = new HashSet<>(Set.of(SLEEVE));
        boolean more = true;
        while (more) {
            more = false;
            for (Bond bond : bonds) {
                if (known.contains(bond.one()) != known.contains(bond.other())) {
                    known.add(bond.one());
                    known.add(bond.other());
                    taken.add(bond);
                    more = true;
                }
            }
        }
        return taken;
    }

    /** The bonds between two, by the way with the fewest; empty where nothing joins them, or they are one. */
    public List<Bond> between(String one, String other) {
        Map<String, Bond> came = new LinkedHashMap<>();
        Deque<String> ahead = new ArrayDeque<>(Set.of(one));
        Set<String> seen = new HashSet<>(Set.of(one));
        while (!ahead.isEmpty() && !came.containsKey(other)) {
            String here = ahead.remove();
            for (Bond bond : bonds) {
                if (bond.isOf(here) && seen.add(bond.beyond(here))) {
                    came.put(bond.beyond(here), bond);
                    ahead.add(bond.beyond(here));
                }
            }
        }
        List<Bond> way = new ArrayList<>();
        for (String here = other; came.containsKey(here); here = came.get(here).beyond(here)) {
            way.add(came.get(here));
        }
        return way;
    }

    /** Most that a meter may read between two, ohms: the sum over the bonds between them. */
    public double most(String one, String other) {
        return between(one, other).stream().mapToDouble(Bond::ohms).sum();
    }

    /** Whether what a meter reads between two says that they are one; an open way never does. */
    public boolean isGood(String one, String other, double ohms) {
        return ohms < Measurand.Ohms.OPEN && ohms <= most(one, other);
    }

    /** Whether there is a node of that key. */
    public boolean has(String key) {
        return nodes.stream().anyMatch(n -> n.key().equals(key));
    }

    /** Gathers nodes and bonds from parts, wires and shields. */
    private static final class Gathering {
        private final BodyDesign design;
        private final ShieldStock stock;
        private final Map<String, Node> nodes = new LinkedHashMap<>();
        private final List<Bond> fixed = new ArrayList<>();
        private final List<Bond> wired = new ArrayList<>();
        private final Build build;

        Gathering(Build build) {
            this.build = build;
            this.design = build.design();
            this.stock = build.shop().shielding();
        }

        Ground ground() {
            design.jackAt().ifPresent(at -> node(SLEEVE, "jack's sleeve", at));
            if (!nodes.containsKey(SLEEVE)) {
                return new Ground(List.of(), List.of(), List.of());
            }
            Skin.all(build).forEach(this::shield);
            Wiring.of(design).wires().forEach(this::wire);
            List<Bond> bonds = new ArrayList<>();
            List<Bond> leftOut = new ArrayList<>();
            List<Bond> all = new ArrayList<>(fixed);
            all.addAll(wired);
            all.addAll(lugs(all));
            for (Bond bond : all) {
                boolean second = stock.grounding() == ShieldStock.Grounding.STAR
                        && joined(bond.one(), bonds).contains(bond.other());
                (second ? leftOut : bonds).add(bond);
            }
            return new Ground(List.copyOf(nodes.values()), bonds, leftOut);
        }

        private String node(String key, String said, Point at) {
            nodes.putIfAbsent(key, new Node(key, said, at));
            return key;
        }

        private void shield(Skin skin) {
            Feature space = skin.shield().space();
            double ohms = skin.shield().by().isFoil() ? WIRED : PAINTED;
            String shield = node(
                    "shield-" + space.word(),
                    "shield of the " + space.said(),
                    skin.space().plan().inner());
            if (!skin.cover().isEmpty()) {
                String cover = node(
                        "cover-" + space.word(),
                        "cover of the " + space.said(),
                        skin.space().plan().centroid());
                fixed.add(new Bond(shield, cover, skin.lip() > 0 ? "lip" : "under its screws", ohms));
            }
            if (design.jackDish().filter(c -> c.feature().equals(space)).isPresent()) {
                fixed.add(new Bond(shield, SLEEVE, "under the screws of the jack's dish", ohms));
            }
            for (Control control : design.controls()) {
                boolean here = design.cavityOf(control)
                        .map(Cavity::feature)
                        .filter(space::equals)
                        .isPresent();
                if (here) {
                    fixed.add(new Bond(shield, part(control.feature()).orElseThrow(), "its nut", ohms));
                }
            }
            for (Skin other : Skin.all(build)) {
                boolean touch = joins(space).contains(other.shield().space())
                        && skin.space().plan().overlaps(other.space().plan());
                if (touch) {
                    double most = Math.max(ohms, other.shield().by().isFoil() ? WIRED : PAINTED);
                    fixed.add(new Bond(
                            shield, "shield-" + other.shield().space().word(), "where their walls join", most));
                }
            }
        }

        private Set<Feature> joins(Feature space) {
            return space.is(FeatureKind.PICKUP)
                    ? design.pickups().stream()
                            .filter(p -> p.feature().equals(space))
                            .findFirst()
                            .orElseThrow()
                            .joins()
                    : design.cavities().stream()
                            .filter(c -> c.feature().equals(space))
                            .findFirst()
                            .orElseThrow()
                            .joins();
        }

        /** The node of a part that wires go to; none of a cavity, which holds what needs no ground of its own. */
        private Optional<String> part(Feature part) {
            return switch (part.kind()) {
                case JACK -> Optional.of(SLEEVE);
                case BRIDGE ->
                    Optional.of(node(
                            "bridge",
                            "bridge",
                            new Point(
                                    design.bridge().offCentre(), design.bridge().footprintY())));
                case PICKUP ->
                    design.pickups().stream()
                            .filter(p -> p.feature().equals(part))
                            .findFirst()
                            .map(p -> node(part.word(), "shield of the " + part.part(), p.at()));
                case CONTROL ->
                    design.controls().stream()
                            .filter(c -> c.feature().equals(part))
                            .findFirst()
                            .map(c -> node(part.word(), "case of the " + part.part(), c.at()));
                default -> Optional.empty();
            };
        }

        private void wire(Wire wire) {
            Optional<String> from = part(wire.from());
            Optional<String> to = part(wire.to());
            if (from.isPresent() && to.isPresent()) {
                String how = wire.isGround()
                        ? "ground wire"
                        : wire.isCable() ? "its cable's shield" : "a wire from case to case";
                wired.add(new Bond(from.get(), to.get(), how, WIRED));
            }
        }

        /** A shield that nothing joins yet gets a wire from a lug to the part that the jack is wired to; so does one that is said to have one. */
        private List<Bond> lugs(List<Bond> known) {
            Optional<String> star = known.stream()
                    .filter(b -> b.isOf(SLEEVE))
                    .map(b -> b.beyond(SLEEVE))
                    .findFirst();
            List<Bond> lugs = new ArrayList<>();
            List<Bond> all = new ArrayList<>(known);
            for (Shield shield : design.shields()) {
                String key = "shield-" + shield.space().word();
                boolean asked = shield.joined() != Shield.Joined.AS_USUAL;
                if (nodes.containsKey(key) && (asked || !joined(SLEEVE, all).contains(key))) {
                    Shield.Joined by = asked ? shield.joined() : Shield.Joined.LUG;
                    Bond lug = new Bond(key, star.orElse(SLEEVE), by.words(), WIRED);
                    lugs.add(lug);
                    all.add(lug);
                }
            }
            return lugs;
        }
    }

    /** Whether a jack's tip stands in a shielded space, whose wall it must not touch. */
    public static boolean tipIsNearShield(BodyDesign design) {
        return design.jackCavity()
                .filter(c -> design.shields().stream().anyMatch(s -> s.space().equals(c.feature())))
                .isPresent();
    }
}
