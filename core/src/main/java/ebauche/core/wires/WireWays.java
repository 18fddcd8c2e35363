package ebauche.core.wires;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.Space;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Wire;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Listing;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import ebauche.core.shop.WireStock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** How the wires of a body go: through which spaces and channels, how long they are to be cut, how full each channel is. */
public final class WireWays {
    /** A wire is cut to the next, mm. */
    private static final double ROUNDED = 5;

    /** A cord that turns by less runs on by itself, degrees: common practice. */
    private static final double TURN = 20;

    private final Build build;
    private final BodyDesign design;
    private final Openings openings;
    private final Wiring wiring;
    private final List<Way> ways = new ArrayList<>();
    private final List<Wire> without = new ArrayList<>();

    /**
     * A wire that has a way.
     *
     * @param through the spaces and channels that it passes, those of its ends too
     * @param spots where it goes from one into the next, its ends too
     * @param cut how long it is to be cut
     */
    public record Way(Wire wire, double diameter, List<Feature> through, List<Spot> spots, Reckoning cut) {
        /** Places where a cord that is fished along it turns by more than {@link #TURN}. */
        public int turns() {
            int turns = 0;
            for (int i = 1; i + 1 < spots.size(); i++) {
                turns += spots.get(i).turn(spots.get(i - 1), spots.get(i + 1)) > TURN ? 1 : 0;
            }
            return turns;
        }
    }

    /**
     * How full a channel is.
     *
     * @param share of its section that wires take
     * @param most that is still easy to pull
     */
    public record Fill(Channel channel, List<Way> wires, Reckoning share, double most) {}

    /** Of a build, found out once. */
    public static WireWays of(Build build) {
        return build.once().of(WireWays.class, () -> new WireWays(build));
    }

    public WireWays(Build build) {
        this.build = build;
        this.design = build.design();
        this.openings = new Openings(build, Run.all(build));
        this.wiring = Wiring.of(design);
        for (Wire wire : wiring.wires()) {
            Optional<Way> way = openings.end(wire.from())
                    .flatMap(from -> openings.end(wire.to()).flatMap(to -> openings.shortest(from, to)))
                    .map(path -> way(wire, path));
            way.ifPresentOrElse(ways::add, () -> without.add(wire));
        }
        without.removeIf(w -> wiring.missing(design).contains(w.from())
                || wiring.missing(design).contains(w.to()));
    }

    private Way way(Wire wire, Openings.Path path) {
        WireStock stock = build.shop().wire();
        Reckoning cut = Reckoning.of("length to cut, " + wire.said(), Quantity.LENGTH)
                .length("its way", new Fact(path.length(), Source.COMPUTED, "straight from opening to opening"))
                .length("more at each end", Fact.usual(stock.slack(), "the shop's wire"))
                .length("rounded up to the next", Fact.rule(ROUNDED, "common practice"))
                .is(
                        ROUNDED * Math.ceil((path.length() + 2 * stock.slack()) / ROUNDED - 1e-9),
                        "its way + 2 × more at each end, rounded up");
        return new Way(wire, diameter(wire), path.through(), path.spots(), cut);
    }

    private double diameter(Wire wire) {
        WireStock stock = build.shop().wire();
        return wire.diameter().orElse(wire.isCable() ? stock.cable() : stock.single());
    }

    /** What is wired to what. */
    public Wiring wiring() {
        return wiring;
    }

    /** Wires that get where they go, in the order of the wiring. */
    public List<Way> ways() {
        return List.copyOf(ways);
    }

    /** Wires that have no way. */
    public List<Wire> without() {
        return List.copyOf(without);
    }

    /** How full the channels are that wires pass. */
    public List<Fill> fills() {
        return design.channels().stream()
                .map(this::fill)
                .filter(f -> !f.wires().isEmpty())
                .toList();
    }

    private Fill fill(Channel channel) {
        List<Way> inside = ways.stream()
                .filter(w -> w.through().contains(channel.feature()))
                .toList();
        double squares =
                inside.stream().mapToDouble(w -> w.diameter() * w.diameter()).sum();
        Reckoning.Builder share =
                Reckoning.of("share of the " + channel.feature().said() + " that wires take", Quantity.NUMBER);
        inside.forEach(w -> share.length(
                w.wire().said(),
                w.wire().diameter().isPresent()
                        ? Fact.typed(w.diameter())
                        : Fact.usual(w.diameter(), "the shop's wire")));
        share.length("the channel", Fact.typed(channel.diameter()));
        return new Fill(
                channel,
                inside,
                share.is(
                        squares / (channel.diameter() * channel.diameter()),
                        "("
                                + inside.stream()
                                        .map(w -> w.wire().said() + " × "
                                                + w.wire().said())
                                        .collect(Collectors.joining(" + "))
                                + ") / (the channel × the channel)"),
                mostFull(inside.size()));
    }

    /**
     * The share of a hole's section that so many wires may take and still be pulled: NFPA 70, chapter 9, table 1 (memory). A rule for
     * conduit, used as a guide.
     */
    static double mostFull(int wires) {
        return wires == 1 ? 0.53 : wires == 2 ? 0.31 : 0.40;
    }

    /** What is wrong with what is wired to what, and what has no way. */
    public List<Finding> findings() {
        List<Finding> found = new ArrayList<>();
        for (Feature part : wiring.missing(design)) {
            found.add(Finding.thinkAgain(Work.CHANNEL, "wire-to-nothing")
                    .says(
                            "A wire goes to the " + part.part() + ", which this body does not have.",
                            "Let it go to another part, or take it out."));
        }
        Set<Feature> open = wiring.withoutCircuit(design);
        if (!wiring.usual() && !open.isEmpty()) {
            found.add(Finding.thinkAgain(Work.CHANNEL, "no-circuit")
                    .on(open.iterator().next())
                    .says(
                            "No wires lead from the " + names(open) + " to the jack.",
                            "Add the wire that is missing, or take all of them out for the usual wiring."));
        }
        noWay().ifPresent(found::add);
        return found;
    }

    private static String names(Set<Feature> parts) {
        return Listing.and(parts.stream().map(Feature::part).toList());
    }

    private Optional<Finding> noWay() {
        if (without.isEmpty() || (design.controls().isEmpty() && design.jackAt().isEmpty())) {
            return Optional.empty();
        }
        boolean ground = without.stream().anyMatch(Wire::isGround);
        Set<Feature> parts = new LinkedHashSet<>();
        without.stream().filter(w -> !w.isGround()).map(Wire::from).forEach(parts::add);
        String says = parts.isEmpty()
                ? "No way is planned for the bridge's ground."
                : "No way is planned for the wires of the " + names(parts)
                        + (ground ? ", nor for the bridge's ground." : ".");
        Feature first = parts.isEmpty() ? Bridge.FEATURE : parts.iterator().next();
        Finding.Builder finding =
                Finding.thinkAgain(Work.CHANNEL, "no-way-for-wires").on(first);
        openings.end(first).ifPresent(e -> finding.at(e.at().at()));
        return Optional.of(
                finding.says(
                        says,
                        "Add wire channels to the design before anything is glued over or finished: from the neck pocket, the jack hole or between cavities."));
    }

    /** Pickups and cavities that wires without a way end in and that do not join the jack's cavity, each with its place. */
    public Map<Feature, Point> shut() {
        Map<Feature, Point> shut = new LinkedHashMap<>();
        Set<Feature> reached = reached();
        for (Wire wire : without) {
            for (Feature part : List.of(wire.from(), wire.to())) {
                openings.end(part)
                        .filter(e -> isRoom(e.space()) && !reached.contains(e.space()))
                        .ifPresent(e -> shut.put(e.space(), e.at().at()));
            }
        }
        return shut;
    }

    private static boolean isRoom(Feature space) {
        return space.is(FeatureKind.PICKUP) || space.is(FeatureKind.CAVITY) || space.equals(Bridge.SPRINGS);
    }

    /** What joins the cavity that has the jack, if only through others. */
    public Set<Feature> reached() {
        return design.jackCavity()
                .or(() -> design.cavities().stream().findFirst())
                .map(c -> joinedWith(c.feature()))
                .orElseGet(LinkedHashSet::new);
    }

    /** A space and all that joins it, if only through others. */
    public Set<Feature> joinedWith(Feature space) {
        return openings.joinedWith(space);
    }

    /** Whether anything opens into a space. */
    public boolean isOpen(Space space) {
        return openings.isOpen(space);
    }
}
