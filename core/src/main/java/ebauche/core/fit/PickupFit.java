package ebauche.core.fit;

import static ebauche.core.hardware.PartSize.*;

import ebauche.core.geometry.Region;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartSize;
import ebauche.core.hardware.Pickup;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Reckoning;
import ebauche.core.shop.Clearances;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The cavity that a pickup asks for, and the deeper pockets for its legs. Millimetres; each number with its sum. */
public record PickupFit(PartSizes sizes, Clearances room) {
    /** A leg's pocket reaches into the cavity by a half-inch bit's radius, so that no sliver is left: common practice. */
    private static final double INTO_CAVITY = 6.35;

    private static final double LEG_CORNER = 3.2;

    Pickup fit(Pickup p) {
        if (p.part().isEmpty()) {
            return p;
        }
        sizes.known(p.feature(), p.part().get());
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
        return part.has(CORNER) ? sizes.value(p.feature(), part, CORNER) + room.pickupSide() : 0;
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
        return PartSizes.sum(p.feature().said() + " " + size.words())
                .length(
                        "pickup " + size.words(),
                        sizes.size(p.feature(), p.part().orElseThrow(), size))
                .length("room on each side", PartSizes.shops(room.pickupSide()))
                .is(
                        sizes.value(p.feature(), p.part().get(), size) + 2 * room.pickupSide(),
                        "pickup " + size.words() + " + 2 × room on each side");
    }

    /** Depth of a pickup's cavity under the finished front: typed, or from the part. */
    public Reckoning depth(Pickup p) {
        if (p.part().isEmpty()) {
            return Reckoning.typed(p.id() + " pickup cavity depth", p.depth());
        }
        Fact height = sizes.size(p.feature(), p.part().get(), HEIGHT);
        return PartSizes.sum(p.id() + " pickup cavity depth")
                .length("pickup's height", height)
                .length("stands proud of the front", Fact.typed(p.proud()))
                .length("room under it", PartSizes.shops(room.pickupUnder()))
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
            Fact below = sizes.size(p.feature(), part, LEGS_BELOW);
            Reckoning cavity = depth(p);
            Reckoning depth = PartSizes.sum(p.legs().said() + " depth")
                    .length("cavity's depth", cavity.asFact())
                    .length("legs reach below the base", below)
                    .is(cavity.value() + below.value(), "cavity's depth + legs reach below the base");
            double over = sizes.value(p.feature(), part, LEGS_ACROSS) + 2 * room.pickupSide();
            double wide = sizes.value(p.feature(), part, LEGS_ALONG) + 2 * room.pickupSide();
            double corner = Math.min(LEG_CORNER, wide / 2);
            Region both = Region.rectangle(p.at(), over, wide, corner, p.turned());
            double kept = across(p).value() - 2 * INTO_CAVITY;
            Region between = kept <= 0 ? Region.EMPTY : Region.rectangle(p.at(), kept, wide + 2, 0, p.turned());
            return new Legs(both.minus(between).opened(2 * corner), corner, depth);
        });
    }

    /** The numbers that follow from a pickup. */
    List<Reckoning> sums(Pickup p) {
        List<Reckoning> sums = new ArrayList<>(List.of(across(p), along(p), depth(p)));
        legs(p).ifPresent(l -> sums.add(l.depth()));
        return sums;
    }
}
