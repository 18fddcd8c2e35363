package ebauche.core.design;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Chamber;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Cover;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartHole;
import ebauche.core.hardware.Pickup;
import ebauche.core.hardware.Shield;
import ebauche.core.hardware.Wire;
import ebauche.core.measure.Refusal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A body as the maker wants it.
 *
 * @param name what the maker calls it
 * @param thickness finished
 * @param outline finished, seen from the front
 * @param scale string length S, nut to scale line
 * @param templates those that are not made as the shop usually does, at most one a feature
 * @param cavities for controls and wires, from either face
 * @param holes single holes for inserts and strap buttons
 * @param channels for wires
 * @param wires what is wired to what; none where it is the usual for these parts
 * @param shields spaces that are lined with paint or foil
 * @param chambers hollows in the core, under the top
 * @param contours carved parts of front and back
 * @param roundOvers corners between face and edge that are rounded
 * @param bindings strips let into corners between face and edge
 * @param recap a new cap for when it is built
 * @param tabs wood left outside the outline until everything is located
 * @param hanging what the guitar carries besides its wood, and its strap
 * @param undecided features that the maker has not decided on yet: their wood is kept, and nothing is cut for them
 * @param endsAs as what it leaves the shop
 * @param order the steps in the maker's own order; none where the plan orders them
 */
public record BodyDesign(
        String name,
        Blank blank,
        double thickness,
        Outline outline,
        double scale,
        NeckJoint neck,
        StringSetup strings,
        Bridge bridge,
        List<Pickup> pickups,
        List<Control> controls,
        List<Cavity> cavities,
        Optional<Jack> jack,
        List<TemplateMade> templates,
        List<PartHole> holes,
        List<Channel> channels,
        List<Wire> wires,
        List<Shield> shields,
        List<Chamber> chambers,
        List<Contour> contours,
        List<RoundOver> roundOvers,
        List<Binding> bindings,
        Optional<Recap> recap,
        List<Tab> tabs,
        Hanging hanging,
        Set<Feature> undecided,
        EndsAs endsAs,
        List<StepKey> order) {

    public BodyDesign {
        Refusal.between(thickness, 5, 120, "thickness");
        Refusal.between(scale, 200, 1200, "scale");
        Refusal.unless(
                outline.region().maxX() - outline.region().minX() <= 600
                        && outline.region().maxY() - outline.region().minY() <= 1200,
                "outline",
                "the body is larger than 600 x 1200 mm. Is the path's unit right?");
        Refusal.unless(
                Math.abs(outline.region().centroid().x()) <= 300
                        && Math.abs(outline.region().centroid().y()) <= 1200,
                "outline",
                "the body lies far from its saddle line. x is 0 on the centre line, y is 0 at the saddles");
        Refusal.unless(
                strings.spread() / 2 < neck.fingerboardRadius(),
                "strings",
                "the strings' spread is wider than the fingerboard's radius allows; check both");
        pickups = List.copyOf(pickups);
        controls = List.copyOf(controls);
        templates = List.copyOf(templates);
        holes = List.copyOf(holes);
        channels = List.copyOf(channels);
        wires = List.copyOf(wires);
        shields = List.copyOf(shields);
        chambers = List.copyOf(chambers);
        cavities = List.copyOf(cavities);
        contours = List.copyOf(contours);
        roundOvers = List.copyOf(roundOvers);
        bindings = List.copyOf(bindings);
        tabs = List.copyOf(tabs);
        undecided = Set.copyOf(undecided);
        order = List.copyOf(order);
        recap.ifPresent(
                r -> Refusal.unless(r.planed() < thickness - 1, "planed", "with that no body is left under the cap"));
        for (Contour contour : contours) {
            Refusal.unless(
                    contour.depth() < thickness,
                    "contours",
                    "the " + contour.feature().said() + " is deeper than the body is thick");
        }
    }

    /** On which side its bass strings lie. */
    public Hand hand() {
        return strings.hand();
    }

    /** The bought parts that cavities follow from, by the feature that is cut for each, in the order of the design. */
    public Map<Feature, Part> parts() {
        Map<Feature, Part> parts = new LinkedHashMap<>();
        neck.ferrule().ifPresent(p -> parts.put(NeckJoint.FERRULES, p));
        neck.insert().ifPresent(p -> parts.put(NeckJoint.INSERTS, p));
        bridge.part().ifPresent(p -> parts.put(Bridge.FEATURE, p));
        bridge.stringThrough().flatMap(Bridge.StringThrough::ferrule).ifPresent(p -> parts.put(Bridge.FERRULES, p));
        pickups.forEach(pickup -> pickup.part().ifPresent(p -> parts.put(pickup.feature(), p)));
        controls.forEach(control -> control.part().ifPresent(p -> parts.put(control.feature(), p)));
        cavities.forEach(cavity -> cavity.cover().part().ifPresent(p -> parts.put(cavity.recess(), p)));
        jack.flatMap(Jack::part).ifPresent(p -> parts.put(Jack.FEATURE, p));
        holes.forEach(hole -> parts.put(hole.feature(), hole.part()));
        return parts;
    }

    /** The same design with another neck joint. */
    public BodyDesign with(NeckJoint otherNeck) {
        return changed(outline, otherNeck, bridge, pickups, controls, cavities, jack, channels, chambers, contours);
    }

    /** The same design with another outline. */
    public BodyDesign with(Outline edge) {
        return changed(edge, neck, bridge, pickups, controls, cavities, jack, channels, chambers, contours);
    }

    /** The same design with its channels elsewhere. */
    public BodyDesign withChannels(List<Channel> others) {
        return changed(outline, neck, bridge, pickups, controls, cavities, jack, others, chambers, contours);
    }

    /** The same design with other hollows in its core. */
    public BodyDesign withChambers(List<Chamber> others) {
        return changed(outline, neck, bridge, pickups, controls, cavities, jack, channels, others, contours);
    }

    /** The same design with other contours. */
    public BodyDesign withContours(List<Contour> others) {
        return changed(outline, neck, bridge, pickups, controls, cavities, jack, channels, chambers, others);
    }

    /** The same design with its hardware cut for other sizes. */
    public BodyDesign with(
            Bridge otherBridge,
            List<Pickup> otherPickups,
            List<Control> otherControls,
            List<Cavity> otherCavities,
            Optional<Jack> otherJack) {
        return changed(
                outline,
                neck,
                otherBridge,
                otherPickups,
                otherControls,
                otherCavities,
                otherJack,
                channels,
                chambers,
                contours);
    }

    /** The same design with what others may change of it in their places. */
    private BodyDesign changed(
            Outline otherEdge,
            NeckJoint otherNeck,
            Bridge otherBridge,
            List<Pickup> otherPickups,
            List<Control> otherControls,
            List<Cavity> otherCavities,
            Optional<Jack> otherJack,
            List<Channel> otherChannels,
            List<Chamber> otherChambers,
            List<Contour> otherContours) {
        return new BodyDesign(
                name,
                blank,
                thickness,
                otherEdge,
                scale,
                otherNeck,
                strings,
                otherBridge,
                otherPickups,
                otherControls,
                otherCavities,
                otherJack,
                templates,
                holes,
                otherChannels,
                wires,
                shields,
                otherChambers,
                otherContours,
                roundOvers,
                bindings,
                recap,
                tabs,
                hanging,
                undecided,
                endsAs,
                order);
    }

    /** The chamber that a pot or toggle stands in, mounted through the top: it names no cavity, and is drawn over the chamber and over no cavity. */
    public Optional<Chamber> chamberOf(Control control) {
        boolean elsewhere = control.cavity().isPresent()
                || control.kind() == Control.Kind.BLADE_SWITCH
                || !blank.isCovered()
                || cavities.stream().anyMatch(c -> c.plan().contains(control.at()));
        return elsewhere
                ? Optional.empty()
                : chambers.stream().filter(c -> c.plan().contains(control.at())).findFirst();
    }

    /** The cavity that a control stands in: the one it names, else the one it is drawn in, else the first; none where it stands in a chamber. */
    public Optional<Cavity> cavityOf(Control control) {
        if (chamberOf(control).isPresent()) {
            return Optional.empty();
        }
        return control.cavity().isPresent() ? cavity(control.cavity().get()) : cavityAt(control.at());
    }

    /** The cavity with an id. */
    public Optional<Cavity> cavity(String id) {
        return cavities.stream().filter(c -> c.id().equals(id)).findFirst();
    }

    /** The cavity that the jack hole is to end in: the one that it points into, else the first. */
    public Optional<Cavity> cavityOf(Jack plug) {
        return cavityAt(plug.aim());
    }

    /** The rout whose dish carries the jack, of a body that has none in its edge. */
    public Optional<Cavity> jackDish() {
        return jack.isPresent() ? Optional.empty() : dishes().findFirst();
    }

    private Stream<Cavity> dishes() {
        return cavities.stream().filter(c -> c.cover().kind() == Cover.Kind.JACK_DISH);
    }

    /** Jacks that it has, in the edge and in dishes. */
    public int jacks() {
        return (jack.isPresent() ? 1 : 0) + (int) dishes().count();
    }

    /** The cavity that the jack stands in: under its dish, or where its hole ends. */
    public Optional<Cavity> jackCavity() {
        return jackDish().or(() -> jack.flatMap(this::cavityOf));
    }

    /** Where the jack's plug goes in. */
    public Optional<Point> jackAt() {
        return jack.map(Jack::entry).or(() -> jackDish().map(c -> c.plan().inner()));
    }

    private Optional<Cavity> cavityAt(Point at) {
        return cavities.stream()
                .filter(c -> c.plan().contains(at))
                .findFirst()
                .or(() -> cavities.stream().findFirst());
    }

    /** Whether a control is mounted through the wood of the front, and not through a plate. */
    public boolean isThroughWood(Control control) {
        return cavityOf(control).map(Cavity::throughWood).orElse(true);
    }

    /** The controls that stand in a cavity, in the order of the design. */
    public List<Control> controlsIn(Cavity cavity) {
        return controls.stream()
                .filter(c ->
                        cavityOf(c).filter(own -> own.id().equals(cavity.id())).isPresent())
                .toList();
    }

    /** Thickness of the plate that closes a cavity, mm: of the scratch plate as the neck joint has it. */
    public double plateOver(Cavity cavity) {
        return cavity.cover().kind() == Cover.Kind.SCRATCH_PLATE
                ? neck.scratchPlate().map(ScratchPlate::thickness).orElse(0.0)
                : cavity.cover().thickness();
    }

    /** The outline with the tabs that stand outside it until everything is located. */
    public Region withTabs() {
        return tabs.stream().map(t -> t.region(outline)).reduce(outline.region(), Region::union);
    }

    /** The plates that lie on its faces: the scratch plate, and each control plate or dish by the cavity under it. */
    public List<Feature> plates() {
        List<Feature> plates = new ArrayList<>();
        neck.scratchPlate().ifPresent(p -> plates.add(Feature.of(FeatureKind.SCRATCH_PLATE)));
        cavities.stream()
                .filter(c -> c.cover().kind().isOfItsOwn())
                .map(Cavity::feature)
                .forEach(plates::add);
        return plates;
    }

    /** The lines of those plates that somebody drew, as they lie. */
    public List<Region> plateLines() {
        return Stream.concat(
                        neck.scratchPlate().flatMap(ScratchPlate::outline).stream(),
                        cavities.stream().flatMap(c -> c.cover().outline().stream()))
                .map(Outline::region)
                .toList();
    }

    /** What comes through a plate that lies on a face, and where it is drawn: pickups of the scratch plate, controls of either kind. */
    public Map<Feature, Point> onPlates() {
        Map<Feature, Point> openings = new LinkedHashMap<>();
        if (neck.scratchPlate().isPresent()) {
            pickups.stream()
                    .filter(p -> neck.scratchPlate()
                            .flatMap(ScratchPlate::outline)
                            .map(o -> o.region().contains(p.at()))
                            .orElse(true))
                    .forEach(p -> openings.put(p.feature(), p.at()));
        }
        cavities.stream()
                .filter(c -> c.cover().kind().liesOnTheFace())
                .flatMap(c -> controlsIn(c).stream())
                .forEach(c -> openings.put(c.feature(), c.at()));
        return openings;
    }

    /** Whether nothing is cut for a feature: it is not decided on, or whoever buys the body unfinished cuts it. */
    public boolean leavesOpen(Feature feature) {
        return undecided.contains(feature) || !endsAs.has(feature);
    }

    /** How the template of a feature is made. */
    public TemplateMade template(Feature feature) {
        return templates.stream()
                .filter(t -> t.feature().equals(feature))
                .findFirst()
                .orElseGet(() -> TemplateMade.usual(feature));
    }

    /**
     * Where fret n stands, mm from the scale line: S / 2^(n/12), twelve-tone equal temperament.
     */
    public double fret(int n) {
        return scale / Math.pow(2, n / 12.0);
    }
}
