package ebauche.core.neck;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.Heel;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.design.NeckJoint;
import ebauche.core.design.ScratchPlate;
import ebauche.core.design.StringSetup;
import ebauche.core.feature.Feature;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Bridge;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.shop.Glue;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** Whether neck, strings and bridge fit together, in numbers: the bridge's window, the heel in its pocket, screws and glue. */
final class NeckRules {
    /** What no gauge tells, mm. */
    private static final double HAIR = 1e-6;

    private final Build build;
    private final BodyDesign design;
    private final PocketState state;
    private final NeckPocket geometry;
    private final Point endWall;
    private final List<Rule> rules = new ArrayList<>();

    private NeckRules(Build build) {
        this.build = build;
        this.design = build.design();
        this.state = PocketState.of(build);
        this.geometry = state.geometry();
        this.endWall = new Point(0, geometry.endWallToSaddle().value());
    }

    /** An end that is itself no longer good. */
    static double under(double end) {
        return end - HAIR;
    }

    static List<Rule> of(Build build) {
        NeckRules rules = new NeckRules(build);
        rules.pocket();
        rules.asFound();
        rules.saddleTravel();
        rules.bridgeOnCentre();
        rules.endWallBeforeFret12();
        NeckFit.of(build).ifPresent(rules::fit);
        rules.alignment();
        rules.stringsOnBoard();
        rules.scaleRead();
        rules.plateUnderFingerboard();
        rules.heelInBody();
        rules.fingerboardOverFront();
        NeckScrews.of(build).ifPresent(rules::screws);
        return rules.rules;
    }

    private static Rule.Builder rule(String name, Feature feature, Point at) {
        return Rule.of(Work.NECK, name, Rule.About.NECK).on(feature).at(at);
    }

    private static Finding.Builder stops(String name, Feature feature, Point at) {
        return Finding.stops(Work.NECK, name).on(feature).at(at);
    }

    private static Finding.Builder thinkAgain(String name, Feature feature, Point at) {
        return Finding.thinkAgain(Work.NECK, name).on(feature).at(at);
    }

    private static Finding.Builder goodToKnow(String name, Feature feature, Point at) {
        return Finding.goodToKnow(Work.NECK, name).on(feature).at(at);
    }

    /** The bridge serves a stretch of depths; the work will miss what is aimed at by a little. */
    private void pocket() {
        NeckPocket.Window window = geometry.window(design.bridge());
        NeckPocket.ErrorBudget budget = geometry.errorBudget(build.shop().limits());
        Reckoning target = state.target();
        double depth = target.value();
        rules.add(rule("bridge-window", NeckJoint.FEATURE, endWall)
                .says(
                        "The bridge reaches every string's height over a pocket of this depth, with room for what the work may miss.")
                .between(target, window.shallowest(), window.deepest())
                .tight(budget.likely())
                .cure("Aim for another saddle height, tilt the neck, or let the bridge in or raise it.")
                .fails(() -> outside(window, depth))
                .onlyJust(() -> thinkAgain("little-room", NeckJoint.FEATURE, endWall)
                        .length("room", Math.min(window.roomShallower(depth), window.roomDeeper(depth)))
                        .length("likely miss", budget.likely())
                        .length("worst miss", budget.worst())
                        .says(
                                "The bridge leaves {0} of room; the work is likely to miss by {1}, at worst {2}.",
                                "Aim nearer the middle of the window, or measure heel and fingerboard in hand."))
                .build());
        rules.add(rule("no-pocket", NeckJoint.FEATURE, endWall)
                .says("The neck lies in a pocket.")
                .atLeast(target, HAIR)
                .cure("Check heel, saddle height and angle.")
                .fails(() -> stops("no-pocket", NeckJoint.FEATURE, endWall)
                        .length("pocket depth", depth)
                        .says("The pocket comes out at {0}: there is none.", "Check heel, saddle height and angle."))
                .build());
    }

    private Finding outside(NeckPocket.Window window, double depth) {
        if (!window.isOpen()) {
            return stops("no-depth-serves", NeckJoint.FEATURE, endWall)
                    .length("shallowest", window.shallowest())
                    .length("deepest", window.deepest())
                    .says(
                            "No pocket depth suits every string: one needs at least {0}, another at most {1}.",
                            "A bridge with more saddle height to spare, or one arched to the fingerboard's radius.");
        }
        boolean deep = depth > window.deepest();
        return stops("outside-window", NeckJoint.FEATURE, endWall)
                .length("pocket depth", depth)
                .length("shallowest", window.shallowest())
                .length("deepest", window.deepest())
                .length("outside by", deep ? depth - window.deepest() : window.shallowest() - depth)
                .says(
                        "A pocket of {0} is outside the bridge's range, {1} to {2}, by {3}.",
                        deep
                                ? "Aim for a higher saddle, tilt the neck less, or let the bridge in."
                                : "Aim for a lower saddle, tilt the neck more, or raise the bridge on a plate.");
    }

    private void asFound() {
        state.found().ifPresent(found -> {
            boolean served = geometry.window(design.bridge()).holds(found.value());
            double over = found.value() - state.target().value();
            rules.add(rule("pocket-too-deep", NeckJoint.FEATURE, endWall)
                    .says("The pocket was not cut deeper than wanted.")
                    .atMost(found, state.target().value() + build.bands(NeckJoint.FEATURE, Face.FRONT, true))
                    .cure("Shim the full width of the heel, or live with lower saddles if they are served.")
                    .fails(
                            () -> (served
                                            ? thinkAgain("pocket-too-deep", NeckJoint.FEATURE, endWall)
                                            : stops("pocket-too-deep", NeckJoint.FEATURE, endWall))
                                    .length("too deep by", over)
                                    .length(
                                            "saddle height",
                                            state.saddleHeight().value())
                                    .says(
                                            served
                                                    ? "The pocket is {0} too deep; the saddles come down to {1}, which the bridge can still reach."
                                                    : "The pocket is {0} too deep; the saddles would have to come down to {1}, lower than the bridge goes.",
                                            "Shim the full width of the heel by {0}, or live with lower saddles if they are served."))
                    .build());
        });
    }

    /** Told of the first string whose saddle the bridge misses, else of the one nearest to its travel's end. */
    private void saddleTravel() {
        List<Rule> strings = IntStream.range(0, design.strings().count())
                .mapToObj(this::saddleOf)
                .toList();
        strings.stream()
                .filter(r -> r.finding().isPresent())
                .findFirst()
                .or(() -> strings.stream().min((a, b) -> Double.compare(a.room(), b.room())))
                .ifPresent(rules::add);
    }

    private Rule saddleOf(int string) {
        Bridge bridge = design.bridge();
        StringSetup strings = design.strings();
        double front = bridge.saddleForward();
        double rear = front - bridge.saddleTravel();
        double behind = strings.compensation(string);
        double wanted = -behind;
        boolean ahead = wanted > front;
        String which = "string " + (string + 1) + " from the bass side";
        return rule("saddle-travel", Bridge.FEATURE, new Point(strings.offset(string), wanted))
                .says("Every saddle reaches where its string wants it behind the scale line.")
                .between(
                        Reckoning.of("saddle behind the scale line", Quantity.LENGTH)
                                .length("compensation of " + which, behind)
                                .is(behind, "compensation of " + which),
                        -front,
                        -rear)
                .cure("Move the bridge towards the neck or back, or take one with more travel.")
                .fails(() -> stops("saddle-travel", Bridge.FEATURE, new Point(strings.offset(string), wanted))
                        .length("missing", ahead ? wanted - front : rear - wanted)
                        .length("compensation", behind)
                        .length("travel", bridge.saddleTravel())
                        .says(
                                "String " + (string + 1)
                                        + " from the bass side wants its saddle {1} behind the scale line; the bridge misses that by {0}.",
                                ahead
                                        ? "Move the bridge towards the neck by that."
                                        : "Move the bridge back by that, or take one with more travel than {2}."))
                .build();
    }

    /** Bridge holes within half a millimetre: common practice; the shop's own limit counts. */
    private void bridgeOnCentre() {
        double limit = build.shop().limits().bridgeOffCentre();
        double off = design.bridge().offCentre();
        Point at = new Point(off, design.bridge().footprintY());
        rules.add(rule("bridge-centre", Bridge.FEATURE, at)
                .says("The bridge stands on the centre line.")
                .between(Reckoning.typed("bridge off the centre line", off), -limit, limit)
                .tight(0.1)
                .cure("Move it onto the line, or carry the line on from the neck.")
                .fails(() -> stops("bridge-off-centre", Bridge.FEATURE, at)
                        .length("off the centre line", Math.abs(off))
                        .length("limit", limit)
                        .says(
                                "The bridge stands {0} off the centre line; the shop's limit is {1}.",
                                "Put it back on the line that runs from nut to bridge."))
                .build());
    }

    /** The pocket's end wall must lie between the last frets and the bridge, or the neck is not this scale's. */
    private void endWallBeforeFret12() {
        Reckoning end = Reckoning.of("end wall to the scale line", Quantity.LENGTH)
                .length("end wall to the saddle line, e", geometry.endWallToSaddle())
                .is(geometry.endWallToSaddle().value(), "e");
        double fret12 = design.fret(12);
        rules.add(rule("end-wall-beyond-fret-12", NeckJoint.FEATURE, endWall)
                .says("The pocket's end wall lies between the bridge and fret 12.")
                .atMost(end, under(fret12))
                .cure("Check the scale and the end wall: one belongs to another neck.")
                .fails(() -> stops("end-wall-beyond-fret-12", NeckJoint.FEATURE, endWall)
                        .length("end wall to saddle", end.value())
                        .length("fret 12 to saddle", fret12)
                        .says(
                                "The pocket's end wall is {0} from the scale line, beyond fret 12 at {1}.",
                                "Check the scale and the end wall: one belongs to another neck."))
                .build());
    }

    /** A gap of 1/64 in shows, one of 1/32 is loose: common practice. The worse of the two places is told. */
    private void fit(NeckFit fit) {
        Reckoning wide = fit.atEnd().value() >= fit.atMouth().value() ? fit.atEnd() : fit.atMouth();
        Reckoning tight = fit.atEnd().value() >= fit.atMouth().value() ? fit.atMouth() : fit.atEnd();
        rules.add(rule("neck-gap", NeckJoint.FEATURE, endWall)
                .says("The neck is a snug fit.")
                .between(fit.fit() == NeckFit.Grade.TOO_TIGHT ? tight : wide, 0, under(NeckFit.SHOWS))
                .cure("Ease the jig's middle strip; shim or veneer a pocket that is too wide.")
                .fails(() -> misfit(fit, wide.value(), tight.value()))
                .build());
        if (fit.fit() == NeckFit.Grade.SNUG && fit.heel().made() == Heel.Made.DRAWING_FIRST) {
            sandedLater(wide);
        }
        if (design.neck().kind() == NeckJoint.Kind.SET) {
            glued(wide);
        }
    }

    private Finding misfit(NeckFit fit, double gap, double least) {
        return switch (fit.fit()) {
            case TOO_TIGHT ->
                thinkAgain("neck-too-tight", NeckJoint.FEATURE, endWall)
                        .length("too wide by", -least)
                        .says(
                                "The heel is {0} wider than its pocket.",
                                "Ease the pocket's walls by that, or make the pocket to the neck.");
            case LOOSE ->
                thinkAgain("neck-loose", NeckJoint.FEATURE, endWall)
                        .length("gap", gap)
                        .length("loose from", NeckFit.LOOSE)
                        .says(
                                "The heel leaves a gap of {0} in its pocket; from {1} the neck is loose.",
                                "Make the pocket to the neck that is in hand, or shim its side with veneer.");
            case SHOWS, SNUG ->
                thinkAgain("neck-gap-shows", NeckJoint.FEATURE, endWall)
                        .length("gap", gap)
                        .length("shows from", NeckFit.SHOWS)
                        .says(
                                "The heel leaves a gap of {0} in its pocket; from {1} it shows.",
                                "Make the pocket to the neck that is in hand.");
        };
    }

    /** Finish-sanding takes some of a neck's width: one that is made to the drawing may be loose in the end. */
    private void sandedLater(Reckoning gap) {
        rules.add(rule("neck-sanded-later", NeckJoint.FEATURE, endWall)
                .says("The neck stays snug after finish sanding.")
                .atMost(
                        Reckoning.of("gap once the neck is sanded", Quantity.LENGTH)
                                .length(gap.what(), gap.asFact())
                                .length("sanded off at the most", Fact.rule(NeckFit.SANDED_MOST, "common practice"))
                                .is(gap.value() + NeckFit.SANDED_MOST, gap.what() + " + sanded off at the most"),
                        under(NeckFit.LOOSE))
                .cure("Sand the neck first and make the pocket to it.")
                .fails(() -> goodToKnow("neck-sanded-later", NeckJoint.FEATURE, endWall)
                        .length("sanding takes at least", NeckFit.SANDED_LEAST)
                        .length("at most", NeckFit.SANDED_MOST)
                        .says(
                                "Snug as drawn; finish-sanding the neck takes {0} to {1} off its width and leaves it loose.",
                                "Sand the neck first and make the pocket to it."))
                .build());
    }

    /** A glue fills only so much: the gap of a set neck, shared by its two sides. */
    private void glued(Reckoning gap) {
        Glue glue = build.shop().gluing().glue();
        rules.add(rule("glue-gap", NeckJoint.FEATURE, endWall)
                .says("The glue line of the set neck is thin enough for " + glue.words() + ".")
                .between(
                        Reckoning.of("glue line on each side of the heel", Quantity.LENGTH)
                                .length(gap.what(), gap.asFact())
                                .is(gap.value() / 2, gap.what() + " / 2"),
                        0,
                        glue.widestGap())
                .cure("Veneer the heel or the pocket's wall, or a glue that fills.")
                .fails(Finding.Severity.THINK_AGAIN)
                .build());
    }

    /** The neck must point at the bridge, or the outer strings run off the fingerboard. */
    private void alignment() {
        CentreLine line = CentreLine.of(build);
        double permitted = line.permitted().value();
        line.atBridge().ifPresent(off -> {
            Point at = new Point(design.hand().treble() * off.value(), 0);
            rules.add(rule("neck-off-line", NeckJoint.FEATURE, at)
                    .says("The neck points at the bridge.")
                    .between(off, -permitted, permitted)
                    .cure("Ease one cheek of the pocket, or set the bridge to the neck's line.")
                    .fails(
                            () -> thinkAgain("neck-off-line", NeckJoint.FEATURE, at)
                                    .length("off at the bridge", Math.abs(off.value()))
                                    .length("permitted", permitted)
                                    .says(
                                            "The neck's line meets the saddles {0} off the centre line, to the "
                                                    + (off.value() > 0 ? "treble" : "bass")
                                                    + " side; {1} is permitted.",
                                            "Ease one cheek of the pocket, or set the bridge to the neck's line before its holes are drilled."))
                    .build());
        });
    }

    /** Strings that run beside the fingerboard, or so near to its edge that they slip off it. */
    private void stringsOnBoard() {
        if (design.strings().count() == 1) {
            return;
        }
        CentreLine line = CentreLine.of(build);
        Fact board = line.boardAtEnd();
        double spread = line.spreadAtEnd();
        double beside = (board.value() - spread) / 2;
        Point at = new Point(spread / 2, endWall.y());
        rules.add(rule("strings-on-fingerboard", NeckJoint.FEATURE, at)
                .says("The outer strings run on the fingerboard, with room beside them.")
                .atLeast(
                        Reckoning.of("fingerboard beside the outer string", Quantity.LENGTH)
                                .length("fingerboard there", board)
                                .length("strings' spread there", spread)
                                .is(beside, "(fingerboard there − strings' spread there) / 2"),
                        CentreLine.BESIDE_STRING)
                .cure("Saddles closer together, a wider neck, or check the strings' spread and its unit.")
                .fails(() -> besideBoard(board.value(), spread, beside, at))
                .build());
    }

    private static Finding besideBoard(double board, double spread, double beside, Point at) {
        boolean off = beside < 0;
        return (off
                        ? stops("strings-off-fingerboard", NeckJoint.FEATURE, at)
                        : thinkAgain("strings-near-edge", NeckJoint.FEATURE, at))
                .length("strings' spread there", spread)
                .length("fingerboard there", board)
                .length(off ? "over its edge by" : "beside the outer string", Math.abs(beside))
                .length("least beside a string", CentreLine.BESIDE_STRING)
                .says(
                        off
                                ? "Over the pocket's end the outer strings are {0} apart and the fingerboard is {1} wide: they run {2} beside it on each side."
                                : "Over the pocket's end the outer strings leave {2} of fingerboard beside them; {3} is the least.",
                        "Saddles closer together, a wider neck, or check the strings' spread and its unit.");
    }

    private void scaleRead() {
        build.asBuilt().latest(Dimension.FRET_12_TO_SADDLE).ifPresent(r -> {
            double off = r.value() - design.fret(12);
            double within = build.shop().bands().bridge();
            Point saddles = new Point(0, 0);
            rules.add(rule("scale-off", Bridge.FEATURE, saddles)
                    .says("Fret 12 stands as far from the saddle line as from the nut.")
                    .between(
                            Reckoning.of("fret 12 too far from the saddle line", Quantity.LENGTH)
                                    .length("fret 12 to the saddle line", Fact.measured(r.value(), "read " + r.at()))
                                    .length("half the scale", design.fret(12))
                                    .is(off, "fret 12 to the saddle line − half the scale"),
                            -within,
                            within)
                    .cure("Shift the saddle line before the bridge's holes are drilled, or check the scale.")
                    .fails(
                            () -> thinkAgain("scale-off", Bridge.FEATURE, saddles)
                                    .length("off by", Math.abs(off))
                                    .length("holes within", within)
                                    .says(
                                            "Fret 12 stands {0} " + (off > 0 ? "too far from" : "too near")
                                                    + " the saddle line; bridge holes want to be within {1}.",
                                            "Shift the saddle line by that before the bridge's holes are drilled, or check the scale."))
                    .build());
        });
    }

    /** A plate that runs under the fingerboard wants the heel to stand proud of the front by at least its thickness. */
    private void plateUnderFingerboard() {
        design.neck().scratchPlate().filter(ScratchPlate::underFingerboard).ifPresent(plate -> {
            Reckoning proud = state.proud();
            rules.add(rule("plate-under-fingerboard", NeckJoint.FEATURE, endWall)
                    .says(
                            "The heel stands proud enough for the scratch plate under the fingerboard: prove it with an offcut of the plate.")
                    .atLeast(proud, plate.thickness())
                    .tight(0.2)
                    .cure("A shallower pocket, or a plate that runs beside the fingerboard.")
                    .fails(
                            () -> stops("plate-under-fingerboard", NeckJoint.FEATURE, endWall)
                                    .length("heel stands proud", proud.value())
                                    .length("plate", plate.thickness())
                                    .says(
                                            "The scratch plate is {1} and runs under the fingerboard, but the heel stands only {0} proud of the front.",
                                            "A shallower pocket with higher saddles, a thinner plate, or a plate that stops beside the neck. Prove it with an offcut of plate."))
                    .build());
        });
    }

    private void heelInBody() {
        double heel = geometry.heel().value();
        double body = build.faces().thickness();
        rules.add(rule("heel-thicker-than-body", NeckJoint.FEATURE, endWall)
                .says("The heel is thinner than the body.")
                .atMost(
                        Reckoning.of("heel", Quantity.LENGTH)
                                .length("heel thickness, h", geometry.heel())
                                .is(heel, "h"),
                        under(body))
                .cure("Check the unit of the heel, or thin the heel, or make the body thicker.")
                .fails(() -> thinkAgain("heel-thicker-than-body", NeckJoint.FEATURE, endWall)
                        .length("heel", heel)
                        .length("body", body)
                        .says(
                                "The heel is {0} thick and the whole body {1}.",
                                "Check the unit of the heel, or thin the heel, or make the body thicker."))
                .build());
    }

    /** A heel that lies deeper than its own thickness leaves the fingerboard's underside under the front. */
    private void fingerboardOverFront() {
        Reckoning proud = state.proud();
        rules.add(rule("heel-under-front", NeckJoint.FEATURE, endWall)
                .says("The fingerboard's underside lies over the front, even where it runs past the heel.")
                .atLeast(proud, -build.bands(NeckJoint.FEATURE, Face.FRONT, true))
                .cure("Let its end into the front, or aim for higher saddles.")
                .fails(() -> goodToKnow("heel-under-front", NeckJoint.FEATURE, endWall)
                        .length("under the front", -proud.value())
                        .says(
                                "The heel's top lies {0} under the front at the pocket's end: a fingerboard that runs past it would stand in the wood.",
                                "Let its end into the front by that, or aim for saddles that much higher."))
                .build());
    }

    private void screws(NeckScrews screws) {
        Point at = screws.leastAt();
        rules.add(rule("screw-wood", NeckJoint.SCREWS, at)
                .says("The neck screws have wood to pull against, after any ramp or contour of the back.")
                .atLeast(screws.pulls(), NeckScrews.HOLDS)
                .tight(2)
                .cure("Less ramp, a shallower pocket, or a plate or ferrules under the heads.")
                .fails(Finding.Severity.THINK_AGAIN)
                .build());
        NeckScrews.overInsert(build)
                .ifPresent(wood -> rules.add(rule("insert-depth", NeckJoint.INSERTS, at)
                        .says("The holes for the heel inserts stop short of the fingerboard.")
                        .atLeast(wood, NeckScrews.UNDER_FINGERBOARD)
                        .tight(1)
                        .cure("Take shorter inserts.")
                        .fails(Finding.Severity.STOPS)
                        .build()));
        design.neck().screwLength().ifPresent(length -> {
            boolean tooLong = length > screws.longest().value();
            boolean inserts = design.neck().insert().isPresent();
            rules.add(rule("screw-length", NeckJoint.SCREWS, at)
                    .says("The neck screws bite in the heel and stop short of the fingerboard.")
                    .between(
                            Reckoning.typed("neck screw under its head", length),
                            screws.shortest().value(),
                            screws.longest().value())
                    .tight(1)
                    .cure("Take other screws, or a plate under their heads.")
                    .fails(() -> (tooLong
                                    ? stops("screw-too-long", NeckJoint.SCREWS, at)
                                    : thinkAgain("screw-too-short", NeckJoint.SCREWS, at))
                            .length("screw", length)
                            .length("shortest", screws.shortest().value())
                            .length("longest", screws.longest().value())
                            .says(
                                    "A neck screw {0} long "
                                            + (tooLong
                                                    ? inserts
                                                            ? "meets the end of its insert's hole"
                                                            : "reaches the fingerboard"
                                                    : inserts
                                                            ? "hardly turns into its insert"
                                                            : "hardly bites in the heel")
                                            + "; {1} to {2} will do.",
                                    tooLong
                                            ? "Take shorter screws, or a plate under their heads."
                                            : "Take longer screws."))
                    .build());
        });
    }
}
