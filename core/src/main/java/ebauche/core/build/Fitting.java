package ebauche.core.build;

import static ebauche.core.hardware.PartSize.*;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.FeatureName;
import ebauche.core.design.Heel;
import ebauche.core.design.Measurand;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.design.NeckJoint;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.ControlCavity;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartSize;
import ebauche.core.hardware.Pickup;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Refusal;
import ebauche.core.shop.Clearances;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What the bought parts ask of the wood: every size as it was measured on the part in hand, else nominal, with the shop's
 * room round it.
 *
 * <p>A design keeps the bare part; a build asks here for the design with cavities that take it. Every number comes as the
 * sum that gives it, so that a cavity can say which part, and which reading, it follows. Millimetres.
 */
public final class Fitting {
    /** A leg's pocket reaches into the cavity by a half-inch bit's radius, so that no sliver is left: common practice. */
    private static final double INTO_CAVITY = 6.35;

    private static final double LEG_CORNER = 3.2;

    private final AsBuilt record;
    private final Clearances room;

    public Fitting(AsBuilt record, Clearances room) {
        this.record = record;
        this.room = room;
    }

    /** A size of the neck or the body as it is known: the latest standing reading, else what the design says. */
    Fact fact(Dimension dimension, double designed) {
        return record.latest(dimension)
                .map(r -> Fact.measured(r.value(), "read " + r.at() + (r.by().isEmpty() ? "" : " by " + r.by())))
                .orElseGet(() -> Fact.typed(designed));
    }

    /** A size of a part as it is known: the latest standing reading, else what it is sold as. */
    public Fact size(String feature, Part part, PartSize size) {
        return record.latest(new Measurand.SizeOf(feature, size))
                .map(r -> Fact.measured(
                        r.value(), "the part in hand, read " + r.at() + (r.by().isEmpty() ? "" : " by " + r.by())))
                .orElseGet(() -> Fact.nominal(part.get(size), part.name()));
    }

    private double value(String feature, Part part, PartSize size) {
        return size(feature, part, size).value();
    }

    /** A part as it is known: measured sizes in the place of nominal ones. */
    public Part known(String feature, Part part) {
        Part known = part;
        for (PartSize size : part.sizes().keySet()) {
            Optional<AsBuilt.Reading> reading = record.latest(new Measurand.SizeOf(feature, size));
            if (reading.isPresent()) {
                known = measured(feature, known, size, reading.get().value());
            }
        }
        return known;
    }

    private static Part measured(String feature, Part part, PartSize size, double value) {
        try {
            return part.with(size, value);
        } catch (Refusal impossible) {
            throw new Refusal(
                    "value",
                    "with that " + size.words() + " the " + FeatureName.part(feature) + " cannot be: "
                            + impossible.getMessage());
        }
    }

    /** The design with cavities and holes that take its parts. */
    public BodyDesign fit(BodyDesign design) {
        NeckJoint neck = fit(design.neck());
        if (design.parts().isEmpty()) {
            return neck == design.neck() ? design : design.with(neck);
        }
        return design.with(neck)
                .with(
                        fit(design.bridge()),
                        design.pickups().stream().map(this::fit).toList(),
                        design.controls().stream().map(this::fit).toList(),
                        design.controlCavity().map(this::fit),
                        design.jack().map(this::fit));
    }

    /** A pocket that is made to the neck in hand is as wide as its heel, and a little. */
    private NeckJoint fit(NeckJoint neck) {
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
        return sum("pocket width at its " + (atEnd ? "end" : "mouth"))
                .length("heel's width there", width)
                .length("room for a snug fit", shops(room.neck()))
                .is(width.value() + room.neck(), "heel's width there + room for a snug fit");
    }

    private Pickup fit(Pickup p) {
        if (p.part().isEmpty()) {
            return p;
        }
        known(p.feature(), p.part().get());
        return new Pickup(
                p.id(),
                p.at(),
                across(p).value(),
                along(p).value(),
                corner(p),
                p.turned(),
                depth(p).value(),
                p.joins(),
                p.proud(),
                p.part());
    }

    private double corner(Pickup p) {
        Part part = p.part().orElseThrow();
        return part.has(CORNER) ? value(p.feature(), part, CORNER) + room.pickupSide() : 0;
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
                            c.part());
                })
                .orElse(c);
    }

    private ControlCavity fit(ControlCavity c) {
        return c.cover()
                .map(cover -> new ControlCavity(
                        c.outline(), c.woodOver(), coverDepth(cover).value(), c.coverLip(), c.screws(), c.cover()))
                .orElse(c);
    }

    private Jack fit(Jack jack) {
        return jack.part()
                .map(part -> new Jack(
                        jack.entry(), jack.aim(), value(Jack.FEATURE, part, HOLE), jack.fromFront(), jack.part()))
                .orElse(jack);
    }

    private Bridge fit(Bridge bridge) {
        if (bridge.part().isEmpty()) {
            return bridge;
        }
        Part part = known(Bridge.FEATURE, bridge.part().get());
        return bridge.with(
                part.get(LOWEST_SADDLE),
                part.get(HIGHEST_SADDLE),
                part.get(SADDLE_TRAVEL),
                part.get(ACROSS),
                part.get(ALONG),
                part.size(RECESS).orElse(0),
                bridge.studs()
                        .map(s -> new Bridge.Studs(
                                part.get(STUD_SPACING), s.y(), part.get(STUD_DIAMETER), part.get(STUD_DEPTH))),
                bridge.vibrato()
                        .map(v -> new Bridge.Vibrato(
                                part.get(BLOCK_LENGTH),
                                v.blockClearance(),
                                routeAcross(bridge).value(),
                                routeAlong(bridge).value(),
                                v.routeY(),
                                v.springsAcross(),
                                v.springsAlong(),
                                v.springsY(),
                                v.springsDepth())));
    }

    /** Width of a pickup's cavity. */
    public Reckoning across(Pickup p) {
        return wide(p, ACROSS);
    }

    /** Length of a pickup's cavity. */
    public Reckoning along(Pickup p) {
        return wide(p, ALONG);
    }

    private Reckoning wide(Pickup p, PartSize size) {
        return sum(FeatureName.said(p.feature()) + " " + size.words())
                .length("pickup " + size.words(), size(p.feature(), p.part().orElseThrow(), size))
                .length("room on each side", shops(room.pickupSide()))
                .is(
                        value(p.feature(), p.part().get(), size) + 2 * room.pickupSide(),
                        "pickup " + size.words() + " + 2 × room on each side");
    }

    /** Depth of a pickup's cavity under the finished front: typed, or from the part. */
    public Reckoning depth(Pickup p) {
        if (p.part().isEmpty()) {
            return Reckoning.typed(p.id() + " pickup cavity depth", p.depth());
        }
        Fact height = size(p.feature(), p.part().get(), HEIGHT);
        return sum(p.id() + " pickup cavity depth")
                .length("pickup's height", height)
                .length("stands proud of the front", Fact.typed(p.proud()))
                .length("room under it", shops(room.pickupUnder()))
                .is(
                        height.value() - p.proud() + room.pickupUnder(),
                        "pickup's height − stands proud of the front + room under it");
    }

    /**
     * The deeper pockets for a pickup's legs.
     *
     * @param plan two of them, one at each end
     * @param depth under the finished front
     */
    public record Legs(Region plan, double corner, Reckoning depth) {}

    /** The leg pockets of a pickup that has legs. */
    public Optional<Legs> legs(Pickup p) {
        Optional<Part> legged = p.part().filter(part -> part.has(LEGS_ACROSS));
        return legged.map(part -> {
            Fact below = size(p.feature(), part, LEGS_BELOW);
            Reckoning cavity = depth(p);
            Reckoning depth = sum(FeatureName.said(p.legs()) + " depth")
                    .length("cavity's depth", cavity.asFact())
                    .length("legs reach below the base", below)
                    .is(cavity.value() + below.value(), "cavity's depth + legs reach below the base");
            double over = value(p.feature(), part, LEGS_ACROSS) + 2 * room.pickupSide();
            double wide = value(p.feature(), part, LEGS_ALONG) + 2 * room.pickupSide();
            double corner = Math.min(LEG_CORNER, wide / 2);
            Region both = Region.rectangle(p.at(), over, wide, corner, p.turned());
            double kept = across(p).value() - 2 * INTO_CAVITY;
            Region between = kept <= 0 ? Region.EMPTY : Region.rectangle(p.at(), kept, wide + 2, 0, p.turned());
            return new Legs(both.minus(between).opened(2 * corner), corner, depth);
        });
    }

    /** Diameter of a pot's hole, width of a blade's slot. */
    public Reckoning opening(Control c) {
        boolean blade = c.kind() == Control.Kind.BLADE_SWITCH;
        PartSize size = blade ? SLOT_WIDTH : BUSHING;
        Fact part = size(c.feature(), c.part().orElseThrow(), size);
        double loose = blade ? 0 : room.bushing();
        return sum(FeatureName.part(c.feature()) + (blade ? " slot's width" : " hole"))
                .length(size.words(), part)
                .length("room in it", shops(loose))
                .is(part.value() + loose, size.words() + " + room in it");
    }

    /** The most top that a control passes. */
    public Reckoning mostTop(Control c) {
        Part part = c.part().orElseThrow();
        Reckoning.Builder sum = sum("most top under the " + FeatureName.part(c.feature()));
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

    /** Depth of the cover's recess: the cover plate is the gauge. */
    public Reckoning coverDepth(Part cover) {
        Fact thickness = size(ControlCavity.COVER, cover, THICKNESS);
        return sum("cover recess depth")
                .length("cover plate's thickness", thickness)
                .is(thickness.value(), "cover plate's thickness");
    }

    /** How deep a bridge's plate is let in: typed, or as its part wants it. */
    public Reckoning recess(Bridge bridge) {
        return asPart(bridge, RECESS, "bridge recess depth", bridge.recess());
    }

    /** Depth of a bridge's stud holes: typed, or as long as their bushings. */
    public Reckoning studDepth(Bridge bridge) {
        return asPart(
                bridge,
                STUD_DEPTH,
                "stud hole depth",
                bridge.studs().orElseThrow().depth());
    }

    private Reckoning asPart(Bridge bridge, PartSize size, String what, double typed) {
        return bridge.part()
                .map(part -> size(Bridge.FEATURE, part, size))
                .map(fact -> sum(what).length(size.words(), fact).is(fact.value(), size.words()))
                .orElseGet(() -> Reckoning.typed(what, typed));
    }

    /** Depth of a ferrule's seat: its length, so that it ends flush with the back. */
    public Reckoning ferruleDepth(Part ferrule) {
        Fact length = size(Bridge.FERRULES, ferrule, LENGTH);
        return sum("ferrule seat depth").length("ferrule's length", length).is(length.value(), "ferrule's length");
    }

    /** Diameter of a ferrule's seat: a ferrule is pressed in. */
    public Reckoning ferruleSeat(Part ferrule) {
        Fact wide = size(Bridge.FERRULES, ferrule, DIAMETER);
        return sum("ferrule seat").length("ferrule's diameter", wide).is(wide.value(), "ferrule's diameter");
    }

    /** Width of a vibrato's route. */
    public Reckoning routeAcross(Bridge bridge) {
        Fact block = size(Bridge.FEATURE, bridge.part().orElseThrow(), BLOCK_ACROSS);
        return sum("vibrato route across")
                .length("block across", block)
                .length("room on each side", shops(room.block()))
                .is(block.value() + 2 * room.block(), "block across + 2 × room on each side");
    }

    /** Length of a vibrato's route: the block and all that its end swings. */
    public Reckoning routeAlong(Bridge bridge) {
        Part part = bridge.part().orElseThrow();
        Fact block = size(Bridge.FEATURE, part, BLOCK_ALONG);
        Fact swing = size(Bridge.FEATURE, part, SWING);
        return sum("vibrato route along")
                .length("block along", block)
                .length("the block's end swings, in all", swing)
                .length("room on each side", shops(room.block()))
                .is(
                        block.value() + swing.value() + 2 * room.block(),
                        "block along + the block's end swings, in all + 2 × room on each side");
    }

    /** Every number that follows from a part of this design. */
    public List<Reckoning> sums(BodyDesign design) {
        return design.parts().keySet().stream()
                .flatMap(feature -> sums(design, feature).stream())
                .toList();
    }

    /** The numbers that follow from the part that one feature is cut for. */
    public List<Reckoning> sums(BodyDesign design, String feature) {
        List<Reckoning> sums = new ArrayList<>();
        design.pickups().stream().filter(p -> p.feature().equals(feature)).forEach(p -> {
            sums.addAll(List.of(across(p), along(p), depth(p)));
            legs(p).ifPresent(l -> sums.add(l.depth()));
        });
        design.controls().stream()
                .filter(c -> c.feature().equals(feature))
                .forEach(c -> sums.addAll(List.of(opening(c), mostTop(c))));
        switch (feature) {
            case Bridge.FEATURE -> bridgeSums(design.bridge(), sums);
            case ControlCavity.COVER ->
                design.controlCavity().flatMap(ControlCavity::cover).ifPresent(c -> sums.add(coverDepth(c)));
            case Bridge.FERRULES ->
                design.bridge()
                        .stringThrough()
                        .flatMap(Bridge.StringThrough::ferrule)
                        .ifPresent(f -> sums.addAll(List.of(ferruleSeat(f), ferruleDepth(f))));
            case Jack.FEATURE -> design.jack().flatMap(Jack::part).ifPresent(part -> sums.add(jackHole(part)));
            default -> {
                // The part of a pickup or a control, told above.
            }
        }
        return sums;
    }

    private void bridgeSums(Bridge bridge, List<Reckoning> sums) {
        Part part = bridge.part().orElseThrow();
        if (part.kind().isVibrato()) {
            sums.addAll(List.of(routeAcross(bridge), routeAlong(bridge)));
        }
        if (part.has(RECESS)) {
            sums.add(recess(bridge));
        }
        if (bridge.studs().isPresent()) {
            sums.add(studDepth(bridge));
        }
    }

    private Reckoning jackHole(Part part) {
        Fact hole = size(Jack.FEATURE, part, HOLE);
        return sum("jack hole").length(HOLE.words(), hole).is(hole.value(), HOLE.words());
    }

    private static Reckoning.Builder sum(String what) {
        return Reckoning.of(what, Quantity.LENGTH);
    }

    private static Fact shops(double clearance) {
        return Fact.usual(clearance, "the room that the shop leaves");
    }
}
