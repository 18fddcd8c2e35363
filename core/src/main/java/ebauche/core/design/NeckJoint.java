package ebauche.core.design;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.measure.Refusal;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The neck's heel and the pocket that takes it.
 *
 * @param kind how it is held
 * @param heelThickness h, without the fingerboard
 * @param fingerboardThickness f
 * @param fretHeight r
 * @param fingerboardRadius R across the fingerboard, infinite for a flat one
 * @param angle alpha, tilt back positive, degrees
 * @param plateUnderHeel thickness of a plate or shim under the heel
 * @param plateUnderBridge thickness of a plate under the bridge
 * @param endWallToSaddle d, from the pocket's end wall to the scale line
 * @param pocketLength from the end wall to the mouth
 * @param widthAtEnd of the pocket at its end wall
 * @param widthAtMouth of the pocket at its mouth
 * @param cornerRadius of the pocket's inside corners
 * @param screws where the neck screws pass, none for a glued neck
 * @param screwHole diameter of their clearing holes
 * @param screwLength under their heads, if they are chosen
 * @param ferrule under the head of each neck screw, let into the back flush with it, in the place of a plate
 * @param insert in the heel at each neck screw, which is then a machine screw
 * @param heel the heel's own width and length, and what the pocket is made to; without it the pocket's sizes stand alone
 * @param scratchPlate on the front, if there is one
 */
public record NeckJoint(
        Kind kind,
        double heelThickness,
        double fingerboardThickness,
        double fretHeight,
        double fingerboardRadius,
        double angle,
        double plateUnderHeel,
        double plateUnderBridge,
        double endWallToSaddle,
        double pocketLength,
        double widthAtEnd,
        double widthAtMouth,
        double cornerRadius,
        List<Point> screws,
        double screwHole,
        OptionalDouble screwLength,
        Optional<Part> ferrule,
        Optional<Part> insert,
        Optional<Heel> heel,
        Optional<ScratchPlate> scratchPlate) {

    /** The feature's name. */
    public static final Feature FEATURE = Feature.of(FeatureKind.NECK);

    public static final Feature SCREWS = Feature.of(FeatureKind.NECK_SCREWS);

    /** The feature's name of the seats for the screws' ferrules in the back. */
    public static final Feature FERRULES = Feature.of(FeatureKind.NECK_FERRULES);

    /** The feature's name of the threaded inserts in the heel. */
    public static final Feature INSERTS = Feature.of(FeatureKind.NECK_INSERTS);

    /** Beyond this a body is no longer a flat one; also keeps the tangent tame. */
    private static final double STEEPEST = 10;

    public enum Kind {
        BOLT_ON("bolt-on"),
        SET("set");

        private final String key;

        Kind(String key) {
            this.key = key;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    public NeckJoint {
        Refusal.positive(heelThickness, "heelThickness");
        Refusal.notNegative(fingerboardThickness, "fingerboardThickness");
        Refusal.notNegative(fretHeight, "fretHeight");
        Refusal.unless(fingerboardRadius >= 50, "fingerboardRadius", "must be at least 50 mm");
        Refusal.between(angle, -STEEPEST, STEEPEST, "angle");
        Refusal.notNegative(plateUnderHeel, "plateUnderHeel");
        Refusal.notNegative(plateUnderBridge, "plateUnderBridge");
        Refusal.positive(endWallToSaddle, "endWallToSaddle");
        Refusal.positive(pocketLength, "pocketLength");
        Refusal.positive(widthAtEnd, "widthAtEnd");
        Refusal.positive(widthAtMouth, "widthAtMouth");
        Refusal.notNegative(cornerRadius, "cornerRadius");
        Refusal.positive(screwHole, "screwHole");
        Refusal.unless(
                2 * cornerRadius < Math.min(Math.min(widthAtEnd, widthAtMouth), pocketLength),
                "cornerRadius",
                "is too large for a pocket of that width and length");
        screwLength.ifPresent(l -> Refusal.between(l, 5, 150, "screwLength"));
        screws = List.copyOf(screws);
        if (ferrule.isPresent()) {
            Part part = ferrule.get();
            Refusal.unless(
                    part.kind() == PartKind.NECK_FERRULE,
                    "ferrule",
                    "a " + part.kind().word() + " takes no neck screw's head");
            Refusal.unless(!screws.isEmpty(), "ferrule", "there are no neck screws for it");
            Refusal.unless(
                    part.get(PartSize.DIAMETER) > screwHole, "screwHole", "the hole is as wide as the ferrule's seat");
        }
        if (insert.isPresent()) {
            Part part = insert.get();
            Refusal.unless(
                    part.kind() == PartKind.HEEL_INSERT,
                    "insert",
                    "a " + part.kind().word() + " takes no neck screw");
            Refusal.unless(!screws.isEmpty(), "insert", "there are no neck screws for it");
            Refusal.unless(
                    part.get(PartSize.SCREW) < screwHole,
                    "screwHole",
                    "the insert's screw does not pass through the hole");
        }
    }

    /** The same joint with a pocket of another width. */
    public NeckJoint withWidths(double end, double mouth) {
        return with(end, mouth, ferrule, scratchPlate);
    }

    /** The same joint with other ferrules under its screws' heads. */
    public NeckJoint withFerrule(Part other) {
        return with(widthAtEnd, widthAtMouth, Optional.of(other), scratchPlate);
    }

    /** The same joint with the scratch plate elsewhere. */
    public NeckJoint withScratchPlate(ScratchPlate other) {
        return with(widthAtEnd, widthAtMouth, ferrule, Optional.of(other));
    }

    private NeckJoint with(double end, double mouth, Optional<Part> under, Optional<ScratchPlate> plate) {
        return new NeckJoint(
                kind,
                heelThickness,
                fingerboardThickness,
                fretHeight,
                fingerboardRadius,
                angle,
                plateUnderHeel,
                plateUnderBridge,
                endWallToSaddle,
                pocketLength,
                end,
                mouth,
                cornerRadius,
                screws,
                screwHole,
                screwLength,
                under,
                insert,
                heel,
                plate);
    }

    /** The pocket on the plan, its end corners rounded, its mouth square. */
    public Region pocket() {
        double end = endWallToSaddle;
        double mouth = end + pocketLength;
        double over = cornerRadius + 1;
        Region sharp = trapezoid(end, mouth + over);
        return sharp.opened(2 * cornerRadius).intersection(trapezoid(end, mouth));
    }

    private Region trapezoid(double from, double to) {
        double grow = (widthAtMouth - widthAtEnd) / 2 / pocketLength;
        double a = widthAtEnd / 2 + grow * (from - endWallToSaddle);
        double b = widthAtEnd / 2 + grow * (to - endWallToSaddle);
        return Region.quadrilateral(new Point(-a, from), new Point(a, from), new Point(b, to), new Point(-b, to));
    }
}
