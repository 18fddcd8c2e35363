package ebauche.core.job;

import ebauche.core.crib.HoldDown;
import ebauche.core.design.Blank;
import ebauche.core.design.BodyDesign;
import ebauche.core.design.Contour;
import ebauche.core.design.EdgeReadings;
import ebauche.core.design.Measurand;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.design.NeckJoint;
import ebauche.core.design.RoundOver;
import ebauche.core.design.Spaces;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.fit.Fitting;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.PartSize;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Refusal;
import ebauche.core.memo.Once;
import ebauche.core.operation.Band;
import ebauche.core.shop.Practice;
import ebauche.core.shop.Shop;
import ebauche.core.stock.Change;
import ebauche.core.stock.FaceShape;
import ebauche.core.stock.Relief;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Everything a plan follows from. Immutable; {@link #fact} and {@link #faces} put what was measured in the design's
 * place and keep where it came from.
 */
public final class Build {
    /** A thinner body is none, mm. */
    private static final double THINNEST = 1;

    private final BodyDesign drawn;
    private final BodyDesign design;
    private final Shop shop;
    private final AsBuilt asBuilt;
    private final Fitting fitting;
    private final FinishedFaces faces;
    private final Spaces spaces;
    private final List<Contour.Laid> contours;
    private final List<RoundOver.Laid> roundOvers;
    private final List<CarveReadings.Read> carveReadings;
    private final List<CarveReadings.Deeper> deeper;
    private final Once once = new Once();

    /**
     * Puts them together.
     *
     * @throws Refusal if a reading makes a part that cannot be, such as a nut longer than its thread, or a body without wood
     */
    public Build(BodyDesign drawn, Shop shop, AsBuilt asBuilt) {
        this.drawn = Objects.requireNonNull(drawn, "design");
        this.shop = Objects.requireNonNull(shop, "shop");
        this.asBuilt = Objects.requireNonNull(asBuilt, "asBuilt");
        this.fitting = new Fitting(asBuilt, shop.clearances());
        this.faces = FinishedFaces.of(thicknessed(drawn, shop), shop, asBuilt);
        this.design = withEdge(followed(asBuilt), asBuilt);
        this.spaces = Spaces.of(design, topReaches());
        Refusal.unless(
                faces.thickness() >= THINNEST,
                "value",
                "with that the body would be finished at " + Decimals.plain(faces.thickness(), 2)
                        + " mm: no wood is left. Is a sanding logged twice, or in another unit?");
        this.contours =
                design.contours().stream().map(c -> c.on(design.outline())).toList();
        this.roundOvers = design.roundOvers().stream()
                .map(r -> r.on(design.outline(), design.neck().pocket()))
                .toList();
        this.carveReadings =
                CarveReadings.of(contours, faces, asBuilt, shop.bands().shaped());
        this.deeper = CarveReadings.deeper(carveReadings);
    }

    /** What takes its parts as they are known, what lies under plates, and the channels that were drilled, where a record reads them to lie. */
    private BodyDesign followed(AsBuilt record) {
        BodyDesign fitted = onBackPlate(new PlateReadings(fitting.fit(drawn), record).followed());
        return new ChannelReadings(Spaces.of(fitted, topReaches()), record).followed();
    }

    /** A chamber that is to leave less wood than the back plate leaves goes through the core, and the plate is its floor. */
    private BodyDesign onBackPlate(BodyDesign fitted) {
        double plate = backReaches().orElse(0);
        return fitted.chambers().stream().allMatch(c -> c.floor() >= plate)
                ? fitted
                : fitted.withChambers(fitted.chambers().stream()
                        .map(c -> c.leaving(Math.max(plate, c.floor())))
                        .toList());
    }

    /** Its outline as the edge was read against its template, where it was; where the edge stands proud it is still to come to its line. */
    private static BodyDesign withEdge(BodyDesign fitted, AsBuilt asBuilt) {
        List<Double> inside = IntStream.rangeClosed(1, EdgeReadings.STATIONS)
                .mapToObj(station -> asBuilt.latest(new Measurand.EdgeInside(station))
                        .map(reading -> Math.max(0, reading.value()))
                        .orElse(0.0))
                .toList();
        return inside.stream().allMatch(off -> off == 0)
                ? fitted
                : fitted.with(new EdgeReadings(fitted.outline(), inside).outline());
    }

    /** The design with cavities and holes that take its parts as they are known, and the edge as it was read. */
    public BodyDesign design() {
        return design;
    }

    /** The design as the maker keeps it, its parts bare. */
    public BodyDesign drawn() {
        return drawn;
    }

    /** What the parts ask of the wood. */
    public Fitting fitting() {
        return fitting;
    }

    public Shop shop() {
        return shop;
    }

    public AsBuilt asBuilt() {
        return asBuilt;
    }

    /** Where front and back are and will be. */
    public FinishedFaces faces() {
        return faces;
    }

    /** What is hollow in it for channels and wires. */
    public Spaces spaces() {
        return spaces;
    }

    /** What others find out from it alone. */
    public Once once() {
        return once;
    }

    /** The contours, laid on the outline. */
    public List<Contour.Laid> contours() {
        return contours;
    }

    /** The round-overs, laid on the outline. */
    public List<RoundOver.Laid> roundOvers() {
        return roundOvers;
    }

    /** What was read of the wood that is left under contours. */
    public List<CarveReadings.Read> carveReadings() {
        return carveReadings;
    }

    /** Where readings found contours deeper than they are drawn. */
    public List<CarveReadings.Deeper> deeper() {
        return deeper;
    }

    /** A channel as it was known to run when its step was called done: what was read of it until then is in that step's cut. */
    Optional<Channel> channelWhenDone(AsBuilt.Done done) {
        List<AsBuilt.Entry> standing = asBuilt.standing();
        AsBuilt until = new AsBuilt(standing.subList(0, standing.indexOf(done)));
        return channel(followed(until), done.operation().feature());
    }

    /** A channel as it is known to run. */
    Optional<Channel> channelNow(Feature feature) {
        return channel(design, feature);
    }

    private static Optional<Channel> channel(BodyDesign among, Feature feature) {
        return among.channels().stream()
                .filter(c -> c.feature().equals(feature))
                .findFirst();
    }

    /** Whatever shapes its faces, decided on or not. */
    public List<Relief> surfaces() {
        List<Relief> all = new ArrayList<>(contours);
        all.addAll(roundOvers);
        return all;
    }

    /** A face as it will be when the body is finished, carves and all, deeper where it was read so; an undecided one keeps its wood. */
    public FaceShape finished(Face face) {
        double flat = faces.finished(face);
        Stream<FaceShape.Carved> drawnSo = surfaces().stream()
                .filter(r -> r.face() == face)
                .filter(r -> !design.leavesOpen(r.feature()))
                .map(r -> new FaceShape.Carved(r.feature(), r.plan(), r.under(flat)));
        Stream<FaceShape.Carved> readSo = deeper.stream()
                .filter(r -> r.face() == face)
                .map(r -> new FaceShape.Carved(r.feature(), r.plan(), r.under(flat), Optional.of(r.cell())));
        return new FaceShape(face, flat, Stream.concat(drawnSo, readSo).toList());
    }

    /** Thickness of the finished body at a place, between what its contours leave of front and back, mm. */
    public double thicknessAt(Point place) {
        return finished(Face.BACK).depthAt(place) - finished(Face.FRONT).depthAt(place);
    }

    /** Thickness of the body as it is now where it is flat, or as thicknessing is to leave it. */
    public double thicknessNow() {
        return faces.backNow() - faces.frontNow();
    }

    /** Thickness that the blank is brought to: finished plus both sanding allowances. */
    public double thicknessed() {
        return thicknessed(drawn, shop);
    }

    private static double thicknessed(BodyDesign design, Shop shop) {
        return design.thickness()
                + shop.practice().sanding(Face.FRONT)
                + shop.practice().sanding(Face.BACK);
    }

    /** How far a vibrato's block reaches under the finished front: measured from its plate, which may be let in or stand on another. */
    public Optional<Reckoning> blockReach() {
        Bridge bridge = design.bridge();
        return bridge.vibrato().map(v -> {
            Fact block = bridge.part()
                    .map(part -> fitting.size(Bridge.FEATURE, part, PartSize.BLOCK_LENGTH))
                    .orElseGet(() -> Fact.typed(v.blockLength()));
            Fact letIn = fitting.bridges().recess(bridge).asFact();
            double under = design.neck().plateUnderBridge();
            return Reckoning.of("block reaches under the front", Quantity.LENGTH)
                    .length("block reaches under its plate", block)
                    .length("its plate is let in", letIn)
                    .length("plate under the bridge", Fact.typed(under))
                    .is(
                            block.value() + letIn.value() - under,
                            "block reaches under its plate + its plate is let in − plate under the bridge");
        });
    }

    /** How thick a feature's template is, mm. */
    public double templateThickness(Feature feature) {
        return design.template(feature)
                .thickness()
                .orElse(shop.crib().templates().get(0));
    }

    /**
     * How far a wedge raises a feature's template over the face: that of a pocket for a neck that tilts back lies so much higher at its
     * end wall, so that the router's base runs parallel to the floor. Nothing for any other.
     */
    public Optional<Reckoning> wedge(Feature feature) {
        Fact angle = fact(Dimension.NECK_ANGLE, design.neck().angle());
        if (!feature.equals(NeckJoint.FEATURE) || angle.value() == 0) {
            return Optional.empty();
        }
        double length = design.neck().pocketLength();
        double rise = length * Math.tan(Math.toRadians(angle.value()));
        return Optional.of(Reckoning.of("wedge under the template rises", Quantity.LENGTH)
                .length("pocket length, l", Fact.typed(length))
                .angle("neck angle, α", angle)
                .is(rise, "l tan α"));
    }

    /** How far a feature's template lies over the face where its depth is measured. */
    public double raised(Feature feature) {
        return wedge(feature).map(w -> Math.max(0, w.value())).orElse(0.0);
    }

    /**
     * A depth under a finished face, from that face as it is now: with what is still to be sanded off it.
     *
     * @param what the sum is called
     * @param name what the depth under the finished face is called
     */
    public Reckoning fromAsItIs(Face face, String what, String name, Fact underFinished) {
        String still = "still to be sanded off the " + face.word();
        double toSand = faces().toSand(face);
        return Reckoning.of(what, Quantity.LENGTH)
                .length(name, underFinished)
                .length(still, toSand)
                .is(underFinished.value() + toSand, name + " + " + still);
    }

    /** How its blank is brought to thickness in this shop. */
    public Practice.Thicknessing thicknessing() {
        Region blank = design.blank().plan();
        return shop.thicknessing(Math.min(blank.maxX() - blank.minX(), blank.maxY() - blank.minY()));
    }

    /** How a feature's template is held. */
    public HoldDown hold(Feature feature) {
        return design.template(feature).hold().orElse(shop.practice().holdDown());
    }

    /** How deep under the finished front a glued-on top reaches, mm; nothing without one. */
    public OptionalDouble topReaches() {
        return drawn.blank().isCovered()
                ? OptionalDouble.of(drawn.blank().topThickness() - roughAboveFront() - faces.frontFinished())
                : OptionalDouble.empty();
    }

    /** How much of a back plate is left in the finished body, mm; nothing where none is sawn off. */
    public OptionalDouble backReaches() {
        Blank blank = drawn.blank();
        double glueLine = blank.thickness() - roughAboveFront() - blank.sawn().back();
        return blank.sawn().back() > 0 ? OptionalDouble.of(faces.backFinished() - glueLine) : OptionalDouble.empty();
    }

    /** Rough wood over the first flattened front: half of what the blank has to spare. */
    public double roughAboveFront() {
        return Math.max(0, (drawn.blank().thickness() - thicknessed()) / 2);
    }

    /** The least depth that wood ever lies at: the rough blank's front, or that of a new cap over it, mm. */
    public double frontmost() {
        double blank = Math.min(-roughAboveFront(), faces.frontNow());
        return drawn.recap()
                .map(r -> Math.min(blank, faces.frontFinished() + r.planed() - r.cap()))
                .orElse(blank);
    }

    /** The latest standing reading of a dimension, else what the design says. */
    public Fact fact(Dimension dimension, double designed) {
        return fitting.fact(dimension, designed);
    }

    /** The floor that the latest reading of a cavity's depth found, carried to the face as it is now. */
    public Optional<FinishedFaces.MeasuredFloor> measuredFloor(Feature feature, Face face) {
        return FinishedFaces.measuredFloor(this, feature, face);
    }

    /** All wood that has come off a face by sanding. */
    public double sandedOff(Face face) {
        return asBuilt.sandedOff(face, 0);
    }

    /** Wood that has come off a face since an entry of the record, the entry itself not counted. */
    public double sandedSince(Face face, AsBuilt.Entry entry) {
        return asBuilt.sandedOff(face, asBuilt.standing().indexOf(entry) + 1);
    }

    /** What a finished step really did to the wood: as recorded, its floor where the gauge found it. */
    public List<Change> changes(AsBuilt.Done done) {
        return MeasuredCut.of(this, done);
    }

    /**
     * How far a floor may lie off its card's number without anybody having worked outside a band: what routing may miss, and
     * once the face is finish sanded what that may miss too. More than this is told, less is not.
     *
     * @param feature what it is the floor of
     * @param deeper whether it lies deeper than wanted: sanding less than allowed leaves it deeper, sanding more shallower
     */
    public double bands(Feature feature, Face face, boolean deeper) {
        double bands = floorBand(feature, face).value() + sanded(face, !deeper);
        // What is left over the threads is reckoned from the other face.
        return floor(feature, face) == FeatureKind.Floor.THREADS ? bands + sanded(face.other(), deeper) : bands;
    }

    /** What the finish sanding of a face may have missed by, once it is done. */
    private double sanded(Face face, boolean more) {
        return isDone(FinishedFaces.finish(face)) ? sandingBand(face, more) : 0;
    }

    private static FeatureKind.Floor floor(Feature feature, Face face) {
        boolean underPlate = feature.is(FeatureKind.CAVITY) && face == Face.FRONT;
        return underPlate ? FeatureKind.Floor.ROOM : feature.kind().floor();
    }

    /** How far off its number the floor of a cavity is still good, by what it does, either way. */
    public Reckoning floorBand(Feature feature, Face face) {
        FeatureKind.Floor floor = floor(feature, face);
        double within = switch (floor) {
            case SEAT -> shop.limits().depthTolerance();
            case THREADS -> shop.bands().threads();
            case ROOM -> shop.bands().room();
        };
        return Band.shop(floor.words(), within);
    }

    /**
     * The chance that the pass which brings a cavity to depth spoils the body, by what its floor does: a recess that is too deep is
     * shimmed or lies under a plate, a neck's pocket that is too deep sets the strings wrong. Common practice.
     */
    public double floorRisk(Feature feature, Face face) {
        return switch (floor(feature, face)) {
            case SEAT -> 0.02;
            case THREADS -> 0.012;
            case ROOM -> 0.008;
        };
    }

    /** How much more, or less, than its allowance a finish sanding may take: all of it may be left, half as much again taken. */
    public double sandingBand(Face face, boolean more) {
        return shop.practice().sanding(face) * (more ? 0.5 : 1);
    }

    public boolean isDone(StepKey operation) {
        return asBuilt.done(operation).isPresent();
    }
}
