package ebauche.core.neck;

import ebauche.core.design.NeckJoint;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.stock.WoodLeft;
import java.util.List;
import java.util.Optional;

/**
 * Where the neck pocket lies in the body: that it is in it, and that its mouth, and only that, comes out of the edge. The wood beside it is
 * judged with all other walls. Plan geometry, millimetres.
 *
 * @param pocket on the plan
 * @param inside what of it lies in the body
 */
record PocketPlace(NeckJoint neck, Region body, Region pocket, Region inside) {
    /** Wood before the mouth that a pencil line can explain, mm. */
    private static final double PENCIL = 0.3;

    /** Less of a pocket in the body than this is no pocket. */
    private static final double SHARE = 0.5;

    /** Farther before its mouth nothing lies in the neck's way that belongs to this body, mm. */
    private static final double AHEAD = 40;

    static PocketPlace of(Build build) {
        NeckJoint neck = build.design().neck();
        Region body = build.design().outline().region();
        Region pocket = neck.pocket();
        return new PocketPlace(neck, body, pocket, pocket.intersection(body));
    }

    private double mouthAt() {
        return neck.endWallToSaddle() + neck.pocketLength();
    }

    /** Its mouth as an opening: the last few millimetres of its cheeks may be rounded off. Nothing where it is not in the body at all. */
    Optional<WoodLeft.Opening> mouth() {
        return inside.isEmpty()
                ? Optional.empty()
                : Optional.of(
                        new WoodLeft.Opening(0, 1, Math.min(mouthAt(), inside.maxY()) - WoodLeft.Opening.ROUNDED));
    }

    List<Finding> check() {
        Point end = new Point(0, neck.endWallToSaddle());
        if (inside.area() < SHARE * pocket.area()) {
            return List.of(Finding.stops(Work.NECK, "pocket-off-body")
                    .on(NeckJoint.FEATURE)
                    .at(end)
                    .length("end wall to saddle", neck.endWallToSaddle())
                    .length("pocket length", neck.pocketLength())
                    .length("pocket width", Math.max(neck.widthAtEnd(), neck.widthAtMouth()))
                    .says(
                            "Most of the neck pocket lies off the body: its end wall is {0} from the scale line, and it is {1} long and {2} wide.",
                            "Check the outline's place and unit, the scale, and the pocket's sizes."));
        }
        double half = neck.widthAtMouth() / 2;
        Region before = Region.quadrilateral(
                        new Point(-half, mouthAt()),
                        new Point(half, mouthAt()),
                        new Point(half, mouthAt() + AHEAD),
                        new Point(-half, mouthAt() + AHEAD))
                .intersection(body);
        double wood = before.isEmpty() ? 0 : before.maxY() - mouthAt();
        if (wood <= PENCIL) {
            return List.of();
        }
        return List.of(Finding.stops(Work.NECK, "mouth-closed")
                .on(NeckJoint.FEATURE)
                .at(new Point(0, mouthAt()))
                .length("wood before the mouth", wood)
                .says(
                        "The neck pocket ends {0} inside the edge: its mouth is closed, and the neck does not go in.",
                        "Make the pocket longer by that, or draw the outline back."));
    }
}
