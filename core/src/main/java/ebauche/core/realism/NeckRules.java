package ebauche.core.realism;

import static ebauche.core.realism.Rule.About.*;

import ebauche.core.design.NeckJoint;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Bridge;
import ebauche.core.job.Build;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.neck.NeckFit;
import ebauche.core.neck.NeckPocket;
import ebauche.core.neck.NeckScrews;
import ebauche.core.neck.PocketState;
import ebauche.core.shop.Glue;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Whether neck, strings and bridge fit together, in numbers: the bridge's window, the heel in its pocket, screws and glue. */
final class NeckRules {
    private static final double NO_END = Double.POSITIVE_INFINITY;

    private final Build build;
    private final List<Rule> rules = new ArrayList<>();

    private NeckRules(Build build) {
        this.build = build;
    }

    static List<Rule> of(Build build) {
        NeckRules rules = new NeckRules(build);
        rules.neck();
        rules.bridgeOnCentre();
        return rules.rules;
    }

    private void add(
            String name,
            Feature feature,
            String says,
            Reckoning number,
            double least,
            double most,
            double tight,
            Point at,
            String cure) {
        rules.add(new Rule(name, NECK, feature, says, number, least, most, tight, Optional.of(at), cure));
    }

    private void neck() {
        PocketState pocket = PocketState.of(build);
        NeckPocket geometry = pocket.geometry();
        NeckPocket.Window window = geometry.window(build.design().bridge());
        Point endWall = new Point(0, geometry.endWallToSaddle().value());
        double miss = geometry.errorBudget(build.shop().limits()).worst();
        add(
                "bridge-window",
                NeckJoint.FEATURE,
                "The bridge serves every string over a pocket of this depth, and takes up the worst miss of the work.",
                pocket.target(),
                window.shallowest(),
                window.deepest(),
                miss,
                endWall,
                "Aim for another saddle height, tilt the neck, or let the bridge in or raise it.");
        build.design()
                .neck()
                .scratchPlate()
                .filter(p -> p.underFingerboard())
                .ifPresent(plate -> add(
                        "plate-under-fingerboard",
                        NeckJoint.FEATURE,
                        "The heel stands proud enough for the scratch plate under the fingerboard: prove it with an offcut of the plate.",
                        pocket.proud(),
                        plate.thickness(),
                        NO_END,
                        0.2,
                        endWall,
                        "A shallower pocket, or a plate that runs beside the fingerboard."));
        NeckFit.of(build).ifPresent(fit -> {
            gap("at the pocket's end", fit.atEnd(), endWall);
            gap("at the pocket's mouth", fit.atMouth(), endWall);
            if (build.design().neck().kind() == NeckJoint.Kind.SET) {
                glued(fit, endWall);
            }
        });
        NeckScrews.of(build).ifPresent(this::screws);
    }

    /** A gap of 1/64 in shows: common practice. */
    private void gap(String where, Reckoning gap, Point at) {
        add(
                "neck-gap",
                NeckJoint.FEATURE,
                "The neck goes in and is snug " + where + ".",
                gap,
                0,
                NeckFit.SHOWS,
                0,
                at,
                "Ease the jig's middle strip; shim or veneer a pocket that is too wide.");
    }

    /** A glue fills only so much: the gap of a set neck, shared by its two sides. */
    private void glued(NeckFit fit, Point at) {
        Reckoning wider = fit.atEnd().value() >= fit.atMouth().value() ? fit.atEnd() : fit.atMouth();
        Glue glue = build.shop().gluing().glue();
        add(
                "glue-gap",
                NeckJoint.FEATURE,
                "The glue line of the set neck is thin enough for " + glue.words() + ".",
                Reckoning.of("glue line on each side of the heel", Quantity.LENGTH)
                        .length(wider.what(), wider.asFact())
                        .is(wider.value() / 2, wider.what() + " / 2"),
                0,
                glue.widestGap(),
                0,
                at,
                "Veneer the heel or the pocket's wall, or a glue that fills.");
    }

    private void screws(NeckScrews screws) {
        add(
                "screw-wood",
                NeckJoint.SCREWS,
                "The neck's screws have wood to pull against, after any ramp or contour of the back.",
                screws.pulls(),
                NeckScrews.HOLDS,
                NO_END,
                2,
                screws.leastAt(),
                "Less ramp, a shallower pocket, or a plate or ferrules under the heads.");
        build.design()
                .neck()
                .screwLength()
                .ifPresent(length -> add(
                        "screw-length",
                        NeckJoint.SCREWS,
                        "The neck's screws bite in the heel and stop short of the fingerboard.",
                        Reckoning.typed("neck screw under its head", length),
                        screws.shortest().value(),
                        screws.longest().value(),
                        1,
                        screws.leastAt(),
                        "Take other screws, or a plate under their heads."));
    }

    /** Bridge holes within half a millimetre: common practice; the shop's own limit counts. */
    private void bridgeOnCentre() {
        double limit = build.shop().limits().bridgeOffCentre();
        double off = build.design().bridge().offCentre();
        add(
                "bridge-centre",
                Bridge.FEATURE,
                "The bridge stands on the centre line.",
                Reckoning.typed("bridge off the centre line", off),
                -limit,
                limit,
                0.1,
                new Point(off, build.design().bridge().footprintY()),
                "Move it onto the line, or carry the line on from the neck.");
    }
}
