package ebauche.core.neck;

import ebauche.core.design.NeckJoint;
import ebauche.core.feature.Work;
import ebauche.core.fit.FerruleFit;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.PartSize;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.stock.Plane;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How long the neck screws may be: long enough to bite in the heel where most wood lies under it, short enough not to
 * reach the fingerboard where least does (C13). A machine screw in an insert wants its own diameter of thread in it, and stops at the
 * end of the insert's hole. Lengths are measured under the head: from the back as it is finished there, a heel
 * ramp or contour included, or from where a ferrule lets the head in.
 *
 * @param mostWood under the pocket's floor at a screw
 * @param leastWood the same where it is least
 * @param pulls wood that the screws pull against where it is least: under the ferrule seats, if there are any
 * @param leastUnderHead wood that a screw passes under its head where it is least
 * @param shortest that bites enough
 * @param longest that stays out of the fingerboard
 */
public record NeckScrews(
        Reckoning mostWood,
        Reckoning leastWood,
        Point leastAt,
        Reckoning pulls,
        Reckoning leastUnderHead,
        Reckoning shortest,
        Reckoning longest) {
    /** A neck screw bites at least 5/8 in into the heel: common practice (memory). */
    static final double BITE = 25.4 * 5 / 8;

    /** The hole for an insert goes so much deeper than the insert, for chips and the screw's end: common practice, mm. */
    static final double BELOW_INSERT = 2;

    /** Wood kept between a screw's point and the fingerboard: common practice. */
    static final double UNDER_FINGERBOARD = 2;

    /** Wood that the screws pull against, 3/8 in at least: common practice (memory). */
    public static final double HOLDS = 25.4 * 3 / 8;

    /** The window of a neck that is screwed on. */
    public static Optional<NeckScrews> of(Build build) {
        List<Point> screws = build.design().neck().screws();
        if (screws.isEmpty()) {
            return Optional.empty();
        }
        Plane floor = NeckStation.pocket(build).floor();
        Comparator<Point> byWood =
                Comparator.comparingDouble(p -> under(build, floor, p).value());
        Point most = screws.stream().max(byWood).orElseThrow();
        Point least = screws.stream().min(byWood).orElseThrow();
        Reckoning mostWood = under(build, floor, most);
        Reckoning leastWood = under(build, floor, least);
        Fact heel = PocketState.of(build).geometry().heel();
        Optional<FerruleFit> ferrule =
                build.fitting().neckFerrule(build.design().neck());
        Reckoning mostUnderHead = underHead("most", mostWood, ferrule);
        Reckoning leastUnderHead = underHead("least", leastWood, ferrule);
        return Optional.of(new NeckScrews(
                mostWood,
                leastWood,
                least,
                pulls(leastWood, ferrule),
                leastUnderHead,
                shortest(build, mostUnderHead),
                longest(build, leastUnderHead, heel)));
    }

    private static Reckoning shortest(Build build, Reckoning under) {
        Reckoning.Builder sum =
                Reckoning.of("shortest neck screw", Quantity.LENGTH).length(under.what(), under.asFact());
        Optional<Fact> thread = build.fitting().heelInsert(build.design().neck(), PartSize.SCREW);
        return thread.map(t -> sum.length("thread in the insert, its diameter", t)
                        .is(under.value() + t.value(), under.what() + " + thread in the insert, its diameter"))
                .orElseGet(() -> sum.length("bite in the heel", Fact.rule(BITE, "common practice (memory)"))
                        .is(under.value() + BITE, under.what() + " + bite in the heel"));
    }

    private static Reckoning longest(Build build, Reckoning under, Fact heel) {
        Reckoning.Builder sum =
                Reckoning.of("longest neck screw", Quantity.LENGTH).length(under.what(), under.asFact());
        Optional<Reckoning> hole = insertHole(build);
        return hole.map(h ->
                        sum.length(h.what(), h.asFact()).is(under.value() + h.value(), under.what() + " + " + h.what()))
                .orElseGet(() -> sum.length("heel thickness, h", heel)
                        .length("kept under the fingerboard", Fact.rule(UNDER_FINGERBOARD, "common practice"))
                        .is(
                                under.value() + heel.value() - UNDER_FINGERBOARD,
                                under.what() + " + h − kept under the fingerboard"));
    }

    /** How deep the heel is drilled for its inserts, if it has them. */
    static Optional<Reckoning> insertHole(Build build) {
        return build.fitting()
                .heelInsert(build.design().neck(), PartSize.LENGTH)
                .map(length -> Reckoning.of("hole for an insert in the heel", Quantity.LENGTH)
                        .length("insert's length", length)
                        .length("below it", Fact.rule(BELOW_INSERT, "common practice"))
                        .is(length.value() + BELOW_INSERT, "insert's length + below it"));
    }

    /** What lies between the end of the inserts' holes and the fingerboard, if there are any. */
    static Optional<Reckoning> overInsert(Build build) {
        Fact heel = PocketState.of(build).geometry().heel();
        return insertHole(build)
                .map(hole -> Reckoning.of("wood between an insert's hole and the fingerboard", Quantity.LENGTH)
                        .length("heel thickness, h", heel)
                        .length(hole.what(), hole.asFact())
                        .is(heel.value() - hole.value(), "h − " + hole.what()));
    }

    /** A ferrule lets a screw's head into the back. */
    private static Reckoning underHead(String which, Reckoning wood, Optional<FerruleFit> ferrule) {
        String what = which + " wood that a neck screw passes";
        if (ferrule.isEmpty()) {
            return Reckoning.of(what, Quantity.LENGTH)
                    .length(wood.what(), wood.asFact())
                    .is(wood.value(), wood.what());
        }
        Fact sunk = ferrule.get().headSunk();
        return Reckoning.of(what, Quantity.LENGTH)
                .length(wood.what(), wood.asFact())
                .length(PartSize.HEAD_SUNK.words(), sunk)
                .is(wood.value() - sunk.value(), wood.what() + " − " + PartSize.HEAD_SUNK.words());
    }

    /** What lies between the pocket's floor and what carries the head: the back, or a ferrule's seat in it. */
    private static Reckoning pulls(Reckoning wood, Optional<FerruleFit> ferrule) {
        if (ferrule.isEmpty()) {
            return wood;
        }
        Reckoning seat = ferrule.get().depth();
        return Reckoning.of("wood between the pocket and a neck ferrule", Quantity.LENGTH)
                .length(wood.what(), wood.asFact())
                .length(seat.what(), seat.asFact())
                .is(wood.value() - seat.value(), wood.what() + " − " + seat.what());
    }

    private static Reckoning under(Build build, Plane floor, Point at) {
        double depth = build.faces().fromFaceFinished(Face.FRONT, floor.depthAt(at));
        double fall = build.finished(Face.BACK).fall(at);
        double thick = build.faces().thickness();
        return Reckoning.of("wood under the pocket at a neck screw", Quantity.LENGTH)
                .length(
                        "finished thickness",
                        build.faces().thicknessReckoning(build).asFact())
                .length("pocket's depth there", depth)
                .length("carved off the back there", fall)
                .is(thick - depth - fall, "finished thickness − pocket's depth there − carved off the back there");
    }

    /** Screws that pass beside the pocket, or beside the body, hold no neck. */
    static List<Finding> place(Build build) {
        NeckJoint neck = build.design().neck();
        Region body = build.design().outline().region();
        Region pocket = neck.pocket();
        List<Finding> found = new ArrayList<>();
        for (Point at : neck.screws()) {
            Region hole = Region.disc(at, neck.screwHole());
            Region seat = Region.disc(at, build.fitting().boredForScrew(neck));
            boolean onBody = body.contains(seat);
            if (onBody && pocket.contains(hole)) {
                continue;
            }
            double off = onBody ? hole.reachesBeyond(pocket) : seat.reachesBeyond(body);
            found.add(Finding.stops(Work.NECK, onBody ? "screw-off-pocket" : "screw-off-body")
                    .on(NeckJoint.SCREWS)
                    .at(at)
                    .length("across from the centre line", at.x())
                    .length("from the scale line", at.y())
                    .length("beyond by", off)
                    .says(
                            "The neck screw at {0} from the centre line and {1} from the scale line reaches {2} "
                                    + (onBody ? "out of the pocket: it would miss the heel." : "off the body."),
                            "Move it by at least {2} towards the middle of the pocket."));
        }
        return found;
    }
}
