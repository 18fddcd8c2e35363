package ebauche.core.neck;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.Heel;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.design.NeckJoint;
import ebauche.core.design.ScratchPlate;
import ebauche.core.design.StringSetup;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Bridge;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.measure.Reckoning;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Whether neck, strings and bridge fit together. */
final class NeckChecks {
    /** Bridge holes within half a millimetre: common practice. */
    static final double HOLES_WITHIN = 0.5;

    /** Decimal noise under which a reading counts as the limit itself, mm. */
    private static final double NOISE = 1e-9;

    private final Build build;
    private final BodyDesign design;
    private final PocketState state;
    private final NeckPocket geometry;
    private final List<Finding> found = new ArrayList<>();

    NeckChecks(Build build) {
        this.build = build;
        this.design = build.design();
        this.state = PocketState.of(build);
        this.geometry = state.geometry();
    }

    List<Finding> findings() {
        found.addAll(PocketPlace.of(build).check());
        window();
        asFound();
        saddleTravel();
        centreLine();
        fretLine();
        NeckFit.of(build).ifPresent(this::fit);
        alignment();
        stringsOnBoard();
        found.addAll(NeckScrews.place(build));
        scaleRead();
        scratchPlate();
        heelInBody();
        fingerboardOverFront();
        NeckScrews.of(build).ifPresent(s -> found.addAll(s.check(build)));
        return found;
    }

    private Point endWall() {
        return new Point(0, geometry.endWallToSaddle().value());
    }

    private void window() {
        NeckPocket.Window window = geometry.window(design.bridge());
        double depth = state.target().value();
        if (!window.isOpen()) {
            found.add(Finding.stops("neck", "no-depth-serves")
                    .on(NeckJoint.FEATURE)
                    .at(endWall())
                    .length("shallowest", window.shallowest())
                    .length("deepest", window.deepest())
                    .says(
                            "No pocket depth serves every string: one needs at least {0}, another at most {1}.",
                            "A bridge with more saddle height to spare, or one arched to the fingerboard's radius."));
        } else if (!window.holds(depth)) {
            boolean deep = depth > window.deepest();
            found.add(Finding.stops("neck", "outside-window")
                    .on(NeckJoint.FEATURE)
                    .at(endWall())
                    .length("pocket depth", depth)
                    .length("shallowest", window.shallowest())
                    .length("deepest", window.deepest())
                    .length("outside by", deep ? depth - window.deepest() : window.shallowest() - depth)
                    .says(
                            "A pocket of {0} is outside what the bridge can serve, {1} to {2}, by {3}.",
                            deep
                                    ? "Aim for a higher saddle, tilt the neck less, or let the bridge in."
                                    : "Aim for a lower saddle, tilt the neck more, or raise the bridge on a plate."));
        } else {
            room(window, depth);
        }
        if (depth <= 0) {
            found.add(Finding.stops("neck", "no-pocket")
                    .on(NeckJoint.FEATURE)
                    .at(endWall())
                    .length("pocket depth", depth)
                    .says("The pocket comes out at {0}: there is none.", "Check heel, saddle height and angle."));
        }
    }

    private void room(NeckPocket.Window window, double depth) {
        NeckPocket.ErrorBudget budget = geometry.errorBudget(build.shop().limits());
        double room = Math.min(window.roomShallower(depth), window.roomDeeper(depth));
        if (!window.takesUp(depth, budget.likely())) {
            found.add(Finding.thinkAgain("neck", "little-room")
                    .on(NeckJoint.FEATURE)
                    .at(endWall())
                    .length("room", room)
                    .length("likely miss", budget.likely())
                    .length("worst miss", budget.worst())
                    .says(
                            "The bridge leaves {0} of room; the work is likely to miss by {1}, at worst {2}.",
                            "Aim nearer the middle of the window, or measure heel and fingerboard in hand."));
        }
    }

    private void asFound() {
        Optional<Reckoning> now = state.found();
        double tolerance = build.bands(Face.FRONT, true);
        if (now.isEmpty() || now.get().value() <= state.target().value() + tolerance + NOISE) {
            return;
        }
        NeckPocket.Window window = geometry.window(design.bridge());
        double over = now.get().value() - state.target().value();
        boolean served = window.holds(now.get().value());
        Finding.Builder deep =
                served ? Finding.thinkAgain("neck", "pocket-too-deep") : Finding.stops("neck", "pocket-too-deep");
        found.add(deep.on(NeckJoint.FEATURE)
                .at(endWall())
                .length("too deep by", over)
                .length("saddle height", state.saddleHeight().value())
                .says(
                        served
                                ? "The pocket is {0} too deep; the saddles come down to {1}, which the bridge still serves."
                                : "The pocket is {0} too deep; the saddles would have to come down to {1}, lower than the bridge goes.",
                        "Shim the full width of the heel by {0}, or live with lower saddles if they are served."));
    }

    private void saddleTravel() {
        Bridge bridge = design.bridge();
        StringSetup strings = design.strings();
        double front = bridge.saddleForward();
        double rear = front - bridge.saddleTravel();
        for (int i = 0; i < strings.count(); i++) {
            double wanted = -strings.compensation(i);
            if (wanted > front + 1e-9 || wanted < rear - 1e-9) {
                double miss = wanted > front ? wanted - front : rear - wanted;
                found.add(Finding.stops("neck", "saddle-travel")
                        .on(Bridge.FEATURE)
                        .at(new Point(strings.offset(i), wanted))
                        .length("missing", miss)
                        .length("compensation", strings.compensation(i))
                        .length("travel", bridge.saddleTravel())
                        .says(
                                "String " + (i + 1)
                                        + " from the bass side wants its saddle {1} behind the scale line; the bridge misses that by {0}.",
                                wanted > front
                                        ? "Move the bridge towards the neck by that."
                                        : "Move the bridge back by that, or take one with more travel than {2}."));
                return;
            }
        }
    }

    private void centreLine() {
        double off = Math.abs(design.bridge().offCentre());
        double limit = build.shop().limits().bridgeOffCentre();
        if (off > limit) {
            found.add(Finding.stops("neck", "bridge-off-centre")
                    .on(Bridge.FEATURE)
                    .at(new Point(design.bridge().offCentre(), design.bridge().footprintY()))
                    .length("off the centre line", off)
                    .length("limit", limit)
                    .says(
                            "The bridge stands {0} off the centre line; the shop's limit is {1}.",
                            "Put it back on the line that runs from nut to bridge."));
        }
    }

    private void fit(NeckFit fit) {
        double gap = Math.max(fit.atEnd().value(), fit.atMouth().value());
        double least = Math.min(fit.atEnd().value(), fit.atMouth().value());
        switch (fit.fit()) {
            case TOO_TIGHT ->
                found.add(Finding.thinkAgain("neck", "neck-too-tight")
                        .on(NeckJoint.FEATURE)
                        .at(endWall())
                        .length("too wide by", -least)
                        .says(
                                "The heel is {0} wider than its pocket.",
                                "Ease the pocket's walls by that, or make the pocket to the neck."));
            case SHOWS ->
                found.add(Finding.thinkAgain("neck", "neck-gap-shows")
                        .on(NeckJoint.FEATURE)
                        .at(endWall())
                        .length("gap", gap)
                        .length("shows from", NeckFit.SHOWS)
                        .says(
                                "The heel leaves a gap of {0} in its pocket; from {1} it shows.",
                                "Make the pocket to the neck that is in hand."));
            case LOOSE ->
                found.add(Finding.thinkAgain("neck", "neck-loose")
                        .on(NeckJoint.FEATURE)
                        .at(endWall())
                        .length("gap", gap)
                        .length("loose from", NeckFit.LOOSE)
                        .says(
                                "The heel leaves a gap of {0} in its pocket; from {1} the neck is loose.",
                                "Make the pocket to the neck that is in hand, or shim its side with veneer."));
            case SNUG -> {
                if (fit.after(NeckFit.SANDED_MOST) == NeckFit.Grade.LOOSE
                        && fit.heel().made() == Heel.Made.DRAWING_FIRST) {
                    found.add(Finding.goodToKnow("neck", "neck-sanded-later")
                            .on(NeckJoint.FEATURE)
                            .at(endWall())
                            .length("sanding takes at least", NeckFit.SANDED_LEAST)
                            .length("at most", NeckFit.SANDED_MOST)
                            .says(
                                    "Snug as drawn; finish-sanding the neck takes {0} to {1} off its width and leaves it loose.",
                                    "Sand the neck first and make the pocket to it."));
                }
            }
        }
    }

    /** The neck must point at the bridge, or the outer strings run off the fingerboard. */
    private void alignment() {
        CentreLine line = CentreLine.of(build);
        line.atBridge().ifPresent(off -> {
            double permitted = line.permitted().value();
            if (Math.abs(off.value()) > permitted + NOISE) {
                found.add(
                        Finding.thinkAgain("neck", "neck-off-line")
                                .on(NeckJoint.FEATURE)
                                .at(new Point(design.hand().treble() * off.value(), 0))
                                .length("off at the bridge", Math.abs(off.value()))
                                .length("permitted", permitted)
                                .says(
                                        "The neck's line meets the saddles {0} off the centre line, to the "
                                                + (off.value() > 0 ? "treble" : "bass") + " side; {1} is permitted.",
                                        "Ease one cheek of the pocket, or set the bridge to the neck's line before its holes are drilled."));
            }
        });
    }

    /** Strings that run beside the fingerboard, or so near to its edge that they slip off it. */
    private void stringsOnBoard() {
        CentreLine line = CentreLine.of(build);
        double board = line.boardAtEnd().value();
        double spread = line.spreadAtEnd();
        double beside = (board - spread) / 2;
        if (design.strings().count() == 1 || beside >= CentreLine.BESIDE_STRING - NOISE) {
            return;
        }
        boolean off = beside < 0;
        Finding.Builder finding = off
                ? Finding.stops("neck", "strings-off-fingerboard")
                : Finding.thinkAgain("neck", "strings-near-edge");
        found.add(finding.on(NeckJoint.FEATURE)
                .at(new Point(spread / 2, geometry.endWallToSaddle().value()))
                .length("strings' spread there", spread)
                .length("fingerboard there", board)
                .length(off ? "over its edge by" : "beside the outer string", Math.abs(beside))
                .length("least beside a string", CentreLine.BESIDE_STRING)
                .says(
                        off
                                ? "Over the pocket's end the outer strings are {0} apart and the fingerboard is {1} wide: they run {2} beside it on each side."
                                : "Over the pocket's end the outer strings leave {2} of fingerboard beside them; {3} is the least.",
                        "Saddles closer together, a wider neck, or check the strings' spread and its unit."));
    }

    private void scaleRead() {
        build.asBuilt().latest(Dimension.FRET_12_TO_SADDLE).ifPresent(r -> {
            double off = r.value() - design.fret(12);
            if (Math.abs(off) > HOLES_WITHIN + NOISE) {
                found.add(
                        Finding.thinkAgain("neck", "scale-off")
                                .on(Bridge.FEATURE)
                                .at(new Point(0, 0))
                                .length("off by", Math.abs(off))
                                .length("holes within", HOLES_WITHIN)
                                .says(
                                        "Fret 12 stands {0} " + (off > 0 ? "too far from" : "too near")
                                                + " the saddle line; bridge holes want to be within {1}.",
                                        "Shift the saddle line by that before the bridge's holes are drilled, or check the scale."));
            }
        });
    }

    /** A plate that runs under the fingerboard wants the heel to stand proud of the front by at least its thickness. */
    private void scratchPlate() {
        design.neck().scratchPlate().filter(ScratchPlate::underFingerboard).ifPresent(plate -> {
            double proud = state.proud().value();
            if (proud < plate.thickness() - 1e-9) {
                found.add(
                        Finding.stops("neck", "plate-under-fingerboard")
                                .on(NeckJoint.FEATURE)
                                .at(endWall())
                                .length("heel stands proud", proud)
                                .length("plate", plate.thickness())
                                .says(
                                        "The scratch plate is {1} and runs under the fingerboard, but the heel stands only {0} proud of the front.",
                                        "A shallower pocket with higher saddles, a thinner plate, or a plate that stops beside the neck. Prove it with an offcut of plate."));
            }
        });
    }

    /** A heel that lies deeper than its own thickness leaves the fingerboard's underside under the front. */
    private void fingerboardOverFront() {
        double under = -state.proud().value();
        if (under > build.bands(Face.FRONT, true) + NOISE) {
            found.add(Finding.goodToKnow("neck", "heel-under-front")
                    .on(NeckJoint.FEATURE)
                    .at(endWall())
                    .length("under the front", under)
                    .says(
                            "The heel's top lies {0} under the front at the pocket's end: a fingerboard that runs past it would stand in the wood.",
                            "Let its end into the front by that, or aim for saddles that much higher."));
        }
    }

    private void heelInBody() {
        double heel = geometry.heel().value();
        double body = build.faces().thickness();
        if (heel >= body) {
            found.add(Finding.thinkAgain("neck", "heel-thicker-than-body")
                    .on(NeckJoint.FEATURE)
                    .at(endWall())
                    .length("heel", heel)
                    .length("body", body)
                    .says(
                            "The heel is {0} thick and the whole body {1}.",
                            "Check the unit of the heel, or thin the heel, or make the body thicker."));
        }
    }

    /** The pocket's end wall must lie between the last frets and the bridge, or the neck is not this scale's. */
    private void fretLine() {
        double end = geometry.endWallToSaddle().value();
        if (end >= design.fret(12)) {
            found.add(Finding.stops("neck", "end-wall-beyond-fret-12")
                    .on(NeckJoint.FEATURE)
                    .at(endWall())
                    .length("end wall to saddle", end)
                    .length("fret 12 to saddle", design.fret(12))
                    .says(
                            "The pocket's end wall is {0} from the scale line, beyond fret 12 at {1}.",
                            "Check the scale and the end wall: one belongs to another neck."));
        }
    }
}
