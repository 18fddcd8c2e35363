package ebauche.core.fit;

import static ebauche.core.hardware.PartSize.*;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.Heel;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.design.NeckJoint;
import ebauche.core.feature.Feature;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Reckoning;
import ebauche.core.shop.Clearances;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What the bought parts ask of the wood: every size as it was measured on the part in hand, else nominal, with the shop's
 * room round it.
 *
 * <p>A design keeps the bare part; a build asks here for the design with cavities that take it. Every number comes as the
 * sum that gives it, so that a cavity can say which part, and which reading, it follows. Millimetres.
 */
public final class Fitting {
    private final PartSizes sizes;
    private final Clearances room;
    private final PickupFit pickups;
    private final BridgeFit bridges;

    public Fitting(AsBuilt record, Clearances room) {
        this.sizes = new PartSizes(record);
        this.room = room;
        this.pickups = new PickupFit(sizes, room);
        this.bridges = new BridgeFit(sizes, room);
    }

    /** What pickups ask for. */
    public PickupFit pickups() {
        return pickups;
    }

    /** What a bridge asks for. */
    public BridgeFit bridges() {
        return bridges;
    }

    /** What a ferrule asks for. */
    public FerruleFit ferrule(Feature feature, Part part) {
        return new FerruleFit(sizes, feature, part);
    }

    /** What the ferrules under the neck screws ask for, if it has them. */
    public Optional<FerruleFit> neckFerrule(NeckJoint neck) {
        return neck.ferrule().map(f -> ferrule(NeckJoint.FERRULES, f));
    }

    /** A size of the insert in the heel, as it is known. */
    public Optional<Fact> heelInsert(NeckJoint neck, PartSize size) {
        return neck.insert().map(part -> size(NeckJoint.INSERTS, part, size));
    }

    /** Diameter of what is bored into the back at each neck screw: its hole, or the seat of its ferrule. */
    public double boredForScrew(NeckJoint neck) {
        return neckFerrule(neck).map(f -> f.seat().value()).orElse(neck.screwHole());
    }

    /** A size of the neck or the body as it is known: the latest standing reading, else what the design says. */
    public Fact fact(Dimension dimension, double designed) {
        return sizes.fact(dimension, designed);
    }

    /** A size of a part as it is known: the latest standing reading, else what it is sold as. */
    public Fact size(Feature feature, Part part, PartSize size) {
        return sizes.size(feature, part, size);
    }

    /** A part as it is known: measured sizes in the place of nominal ones. */
    public Part known(Feature feature, Part part) {
        return sizes.known(feature, part);
    }

    /** The design with cavities and holes that take its parts. */
    public BodyDesign fit(BodyDesign design) {
        NeckJoint neck = fit(design.neck());
        boolean forParts = design.cavities().stream().anyMatch(c -> c.floor() instanceof Cavity.Floor.ForParts);
        if (design.parts().isEmpty() && !forParts) {
            return neck.equals(design.neck()) ? design : design.with(neck);
        }
        return design.with(neck)
                .with(
                        bridges.fit(design.bridge()),
                        design.pickups().stream().map(pickups::fit).toList(),
                        design.controls().stream().map(this::fit).toList(),
                        design.cavities().stream()
                                .map(c -> fit(c, design.controlsIn(c)))
                                .toList(),
                        design.jack().map(this::fit));
    }

    /** A pocket that is made to the neck in hand is as wide as its heel, and a little; ferrules leave their seats round the holes. */
    private NeckJoint fit(NeckJoint neck) {
        NeckJoint wide = fitHeel(neck);
        return neck.ferrule()
                .map(f -> sizes.fitted(NeckJoint.FERRULES, f, wide::withFerrule))
                .orElse(wide);
    }

    private NeckJoint fitHeel(NeckJoint neck) {
        return neck.heel()
                .filter(h -> h.made() == Heel.Made.NECK_FIRST)
                .map(h -> neck.withWidths(
                        pocketWidth(h, true).value(), pocketWidth(h, false).value()))
                .orElse(neck);
    }

    /** Width of a pocket that is made to the heel, at its end wall or at its mouth. */
    public Reckoning pocketWidth(Heel heel, boolean atEnd) {
        Fact width = atEnd
                ? fact(Dimension.HEEL_WIDTH_END, heel.widthAtEnd())
                : fact(Dimension.HEEL_WIDTH_MOUTH, heel.widthAtMouth());
        return PartSizes.sum("pocket width at its " + (atEnd ? "end" : "mouth"))
                .length("heel's width there", width)
                .length("room for a snug fit", PartSizes.shops(room.neck()))
                .is(width.value() + room.neck(), "heel's width there + room for a snug fit");
    }

    private Control fit(Control c) {
        return c.part()
                .map(part -> {
                    Control bare = Control.of(c.id(), c.at(), c.woodOver(), known(c.feature(), part));
                    return new Control(
                            c.id(),
                            c.kind(),
                            c.at(),
                            opening(c).value(),
                            bare.slot(),
                            bare.thinnestTop(),
                            bare.thickestTop(),
                            bare.across(),
                            bare.along(),
                            bare.below(),
                            c.woodOver(),
                            c.cavity(),
                            c.part());
                })
                .orElse(c);
    }

    private Cavity fit(Cavity c, List<Control> inIt) {
        Cavity covered =
                coverThickness(c).map(t -> c.with(c.cover().thick(t.value()))).orElse(c);
        boolean known = c.floor() instanceof Cavity.Floor.ForParts && !(inIt.isEmpty() && dish(c).isEmpty());
        return known
                ? covered.with(new Cavity.Floor.ForParts(
                        OptionalDouble.of(depthFor(covered, inIt).value())))
                : covered;
    }

    private Jack fit(Jack jack) {
        return jack.part()
                .map(part -> new Jack(
                        jack.entry(), jack.aim(), sizes.value(Jack.FEATURE, part, HOLE), jack.fromFront(), jack.part()))
                .orElse(jack);
    }

    /** Diameter of a pot's hole, width of a blade's slot. */
    public Reckoning opening(Control c) {
        boolean blade = c.kind() == Control.Kind.BLADE_SWITCH;
        PartSize size = blade ? SLOT_WIDTH : BUSHING;
        Fact part = size(c.feature(), c.part().orElseThrow(), size);
        double loose = blade ? 0 : room.bushing();
        return PartSizes.sum(c.feature().part() + (blade ? " slot's width" : " hole"))
                .length(size.words(), part)
                .length("room in it", PartSizes.shops(loose))
                .is(part.value() + loose, size.words() + " + room in it");
    }

    /** The most top that a control passes. */
    public Reckoning mostTop(Control c) {
        Part part = c.part().orElseThrow();
        Reckoning.Builder sum =
                PartSizes.sum("most top under the " + c.feature().part());
        if (c.kind() == Control.Kind.BLADE_SWITCH) {
            Fact most = size(c.feature(), part, THICKEST_TOP);
            return sum.length("most top it passes", most).is(most.value(), "most top it passes");
        }
        Fact thread = size(c.feature(), part, THREAD);
        Fact nut = part.has(NUT) ? size(c.feature(), part, NUT) : Fact.usual(0, "none given");
        return sum.length("thread over its body", thread)
                .length("nut and washers", nut)
                .is(thread.value() - nut.value(), "thread over its body − nut and washers");
    }

    /** Thickness of the plate that closes a cavity, if it follows a part: of one that is let in the depth of its recess, the plate is the gauge. */
    public Optional<Reckoning> coverThickness(Cavity c) {
        return c.cover().part().map(plate -> {
            Fact thickness = size(c.recess(), plate, THICKNESS);
            String what = c.cover().kind().liesOnTheFace()
                    ? "plate over the " + c.feature().said()
                    : c.recess().said() + " depth";
            return PartSizes.sum(what)
                    .length("cover plate's thickness", thickness)
                    .is(thickness.value(), "cover plate's thickness");
        });
    }

    /**
     * Depth of a cavity under a plate: as deep as the deepest of its controls, or the dish that closes it, reaches, and the shop's
     * room; a cover that is let in lies lower.
     */
    public Reckoning depthFor(Cavity cavity, List<Control> controls) {
        double letIn = cavity.cover().isLetIn() ? cavity.cover().thickness() : 0;
        Optional<Control> deepest = controls.stream().max(Comparator.comparingDouble(Control::below));
        Fact below = deepest.map(this::below).orElse(Fact.typed(0));
        String reaches = "reaches down, " + deepest.map(Control::said).orElse("nothing in it");
        Optional<Fact> dish = dish(cavity);
        if (dish.isPresent() && dish.get().value() > below.value()) {
            below = dish.get();
            reaches = "reaches down, dish with its jack";
        }
        Reckoning.Builder sum =
                PartSizes.sum(cavity.feature().said() + " depth").length(reaches, below);
        if (letIn > 0) {
            sum.length("cover let in", Fact.typed(letIn));
        }
        return sum.length("room under it", PartSizes.shops(room.control()))
                .is(
                        below.value() + letIn + room.control(),
                        reaches + (letIn > 0 ? " + cover let in" : "") + " + room under it");
    }

    /** How far the dish that closes a cavity reaches down with its jack and a plug in it; empty where none closes it, or nobody said which. */
    public Optional<Fact> dish(Cavity c) {
        return c.cover().part().filter(p -> p.kind() == PartKind.JACK_DISH).map(dish -> size(c.recess(), dish, BELOW));
    }

    private Fact below(Control c) {
        return c.part().map(part -> size(c.feature(), part, BELOW)).orElseGet(() -> Fact.typed(c.below()));
    }

    /** Every number that follows from a part of this design. */
    public List<Reckoning> sums(BodyDesign design) {
        return design.parts().keySet().stream()
                .flatMap(feature -> sums(design, feature).stream())
                .toList();
    }

    /** The numbers that follow from the part that one feature is cut for. */
    public List<Reckoning> sums(BodyDesign design, Feature feature) {
        List<Reckoning> sums = new ArrayList<>();
        switch (feature.kind()) {
            case PICKUP ->
                design.pickups().stream()
                        .filter(p -> p.feature().equals(feature))
                        .forEach(p -> sums.addAll(pickups.sums(p)));
            case CONTROL ->
                design.controls().stream()
                        .filter(c -> c.feature().equals(feature))
                        .forEach(c -> sums.addAll(List.of(opening(c), mostTop(c))));
            case HOLE ->
                design.holes().stream()
                        .filter(h -> h.feature().equals(feature))
                        .forEach(h -> sums.add(hole(feature, h.part())));
            case BRIDGE -> sums.addAll(bridges.sums(design.bridge()));
            case COVER ->
                design.cavities().stream()
                        .filter(c -> c.recess().equals(feature))
                        .forEach(c -> coverThickness(c).ifPresent(sums::add));
            case FERRULES ->
                design.bridge()
                        .stringThrough()
                        .flatMap(Bridge.StringThrough::ferrule)
                        .ifPresent(f -> sums.addAll(ferrule(feature, f).sums()));
            case NECK_FERRULES -> neckFerrule(design.neck()).ifPresent(f -> sums.addAll(f.sums()));
            case NECK_INSERTS -> design.neck().insert().ifPresent(part -> sums.add(hole(NeckJoint.INSERTS, part)));
            case JACK -> design.jack().flatMap(Jack::part).ifPresent(part -> sums.add(hole(Jack.FEATURE, part)));
            default -> {
                // Nothing else is cut for a part.
            }
        }
        return sums;
    }

    private Reckoning hole(Feature feature, Part part) {
        Fact hole = size(feature, part, HOLE);
        return PartSizes.sum(feature.said()).length(HOLE.words(), hole).is(hole.value(), HOLE.words());
    }
}
