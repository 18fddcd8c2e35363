package ebauche.core.hardware;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Refusal;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A bridge and where it stands.
 *
 * @param name as the maker calls it
 * @param lowestSaddle saddle height over the surface it is screwed to, wound right down, mm
 * @param highestSaddle the same, wound right up
 * @param wantedSaddle the height to aim for over the front, if the maker has one; else the middle of the window
 * @param saddleForward y of the saddles wound fully towards the nut, mm from the scale line
 * @param saddleTravel how far they go back from there
 * @param offCentre x of its middle
 * @param across footprint along x
 * @param along footprint along y
 * @param footprintY y of the footprint's middle
 * @param recess how deep its plate is let into the front, 0 when it stands on it
 * @param studs its two posts, if it has them
 * @param vibrato its moving block and springs, if it has them
 * @param stringThrough holes for strings that come through the body, if they do
 * @param part the bridge itself; with it, the sizes here are the bare part's until the build adds the shop's room
 */
public record Bridge(
        String name,
        double lowestSaddle,
        double highestSaddle,
        OptionalDouble wantedSaddle,
        double saddleForward,
        double saddleTravel,
        double offCentre,
        double across,
        double along,
        double footprintY,
        double recess,
        Optional<Studs> studs,
        Optional<Vibrato> vibrato,
        Optional<StringThrough> stringThrough,
        Optional<Part> part) {

    /** The feature's name. */
    public static final Feature FEATURE = Feature.of(FeatureKind.BRIDGE);

    public static final Feature STUDS = Feature.of(FeatureKind.BRIDGE_STUDS);
    public static final Feature SPRINGS = Feature.of(FeatureKind.SPRINGS);

    /** Inside corners of a vibrato's routes, mm: a 1/2 in bit, common practice. */
    public static final double ROUTE_CORNER = 6.35;

    public Bridge {
        Refusal.unless(
                highestSaddle > lowestSaddle,
                "highestSaddle",
                "the highest saddle must stand over the lowest (" + lowestSaddle + ")");
        Refusal.positive(across, "across");
        Refusal.positive(along, "along");
        Refusal.notNegative(saddleTravel, "saddleTravel");
        Refusal.notNegative(recess, "recess");
        part.ifPresent(p -> {
            Refusal.unless(p.kind().isBridge(), "part", "a " + p.kind().word() + " is no bridge");
            Refusal.unless(
                    p.kind().isVibrato() == vibrato.isPresent(),
                    "vibrato",
                    p.kind().isVibrato()
                            ? "is missing: say where the vibrato route and springs lie"
                            : "a " + p.kind().word() + " has none");
            Refusal.unless(
                    p.has(PartSize.STUD_SPACING) == studs.isPresent(),
                    "studs",
                    p.has(PartSize.STUD_SPACING)
                            ? "is missing: say where the bridge's studs stand"
                            : "this bridge has none");
        });
    }

    /** The feature's name of the holes that strings come through. */
    public static final Feature STRING_HOLES = Feature.of(FeatureKind.STRING_HOLES);

    /** The feature's name of the ferrule seats in the back. */
    public static final Feature FERRULES = Feature.of(FeatureKind.FERRULES);

    /**
     * Strings that come through the body.
     *
     * @param y of the row of holes
     * @param diameter of the holes
     * @param ferrule in the back, flush with it, one a string
     */
    public record StringThrough(double y, double diameter, Optional<Part> ferrule) {
        public StringThrough {
            Refusal.between(diameter, 0.5, 10, "diameter");
            ferrule.ifPresent(f -> {
                Refusal.unless(
                        f.kind() == PartKind.FERRULE, "ferrule", "a " + f.kind().word() + " is no ferrule");
                Refusal.unless(
                        f.get(PartSize.DIAMETER) > diameter, "diameter", "the hole is as wide as the ferrule's seat");
            });
        }
    }

    /** Two posts, the same distance either side of the bridge's middle. */
    public record Studs(double spacing, double y, double diameter, double depth) {
        public Studs {
            Refusal.positive(spacing, "spacing");
            Refusal.positive(diameter, "diameter");
            Refusal.positive(depth, "depth");
        }

        /** Their holes, of a bridge whose middle lies so far off the centre line. */
        public Region holes(double offCentre) {
            return Region.disc(new Point(offCentre - spacing / 2, y), diameter)
                    .union(Region.disc(new Point(offCentre + spacing / 2, y), diameter));
        }
    }

    /**
     * A vibrato let through the body.
     *
     * @param blockLength how far the block reaches down from the underside of the bridge's plate: let in, it reaches as much deeper
     * @param blockClearance room wanted between the block's end and the finished back
     * @param routeAcross through-route along x
     * @param routeAlong through-route along y
     * @param routeY its middle
     * @param springsAcross spring cavity in the back, along x
     * @param springsAlong along y
     * @param springsY its middle
     * @param springsDepth from the back
     */
    public record Vibrato(
            double blockLength,
            double blockClearance,
            double routeAcross,
            double routeAlong,
            double routeY,
            double springsAcross,
            double springsAlong,
            double springsY,
            double springsDepth) {
        public Vibrato {
            Refusal.positive(blockLength, "blockLength");
            Refusal.positive(routeAcross, "routeAcross");
            Refusal.positive(routeAlong, "routeAlong");
            Refusal.positive(springsAcross, "springsAcross");
            Refusal.positive(springsAlong, "springsAlong");
            Refusal.positive(springsDepth, "springsDepth");
        }

        /** The route through the body, under a bridge whose middle lies so far off the centre line. */
        public Region route(double offCentre) {
            return Region.rectangle(new Point(offCentre, routeY), routeAcross, routeAlong, ROUTE_CORNER, 0);
        }

        /** The spring cavity in the back. */
        public Region springs(double offCentre) {
            return Region.rectangle(new Point(offCentre, springsY), springsAcross, springsAlong, ROUTE_CORNER, 0);
        }
    }

    /** The same bridge with other sizes: those of its part as it is known. */
    public Bridge with(
            double lowest,
            double highest,
            double travel,
            double wide,
            double long_,
            double letIn,
            Optional<Studs> on,
            Optional<Vibrato> moving) {
        return new Bridge(
                name,
                lowest,
                highest,
                wantedSaddle,
                saddleForward,
                travel,
                offCentre,
                wide,
                long_,
                footprintY,
                letIn,
                on,
                moving,
                stringThrough,
                part);
    }

    /** The same bridge with other ferrules under its strings. */
    public Bridge withFerrule(Part ferrule) {
        return new Bridge(
                name,
                lowestSaddle,
                highestSaddle,
                wantedSaddle,
                saddleForward,
                saddleTravel,
                offCentre,
                across,
                along,
                footprintY,
                recess,
                studs,
                vibrato,
                stringThrough.map(s -> new StringThrough(s.y(), s.diameter(), Optional.of(ferrule))),
                part);
    }

    /** Lowest saddle over the front. */
    public double lowestOverFront() {
        return lowestSaddle - recess;
    }

    /** Highest saddle over the front. */
    public double highestOverFront() {
        return highestSaddle - recess;
    }

    public Region footprint() {
        return Region.rectangle(new Point(offCentre, footprintY), across, along, 0, 0);
    }
}
