package ebauche.core.neck;

import ebauche.core.build.Build;
import ebauche.core.build.Finding;
import ebauche.core.design.BodyDesign;
import ebauche.core.design.NeckJoint;
import ebauche.core.design.StringSetup;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Bridge;
import ebauche.core.measure.Reckoning;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Whether neck, strings and bridge fit together. */
final class NeckChecks {
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
        window();
        asFound();
        saddleTravel();
        centreLine();
        fretLine();
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
        double room = Math.min(depth - window.shallowest(), window.deepest() - depth);
        if (room < budget.likely()) {
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
        double tolerance = build.shop().limits().depthTolerance();
        if (now.isEmpty() || now.get().value() <= state.target().value() + tolerance) {
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
                        .on("bridge")
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
                    .on("bridge")
                    .at(new Point(design.bridge().offCentre(), design.bridge().footprintY()))
                    .length("off the centre line", off)
                    .length("limit", limit)
                    .says(
                            "The bridge stands {0} off the centre line; the shop's limit is {1}.",
                            "Put it back on the line that runs from nut to bridge."));
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
