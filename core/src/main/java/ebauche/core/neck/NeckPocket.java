package ebauche.core.neck;

import ebauche.core.design.Measurand.Dimension;
import ebauche.core.design.NeckJoint;
import ebauche.core.design.StringSetup;
import ebauche.core.geometry.Face;
import ebauche.core.hardware.Bridge;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import ebauche.core.shop.Limits;
import java.util.List;

/**
 * How deep to cut a neck pocket so that the strings meet a given saddle height, and what each number in it matters.
 *
 * <p>The heel stands on the pocket's floor, the fret plane is parallel to that floor and tilted by the neck angle. A
 * string runs straight from a0 over the fret plane at the nut, through its action a12 halfway along the scale, so at the
 * saddle it is 2 a12 - a0 over that plane. The fret plane over the front at the saddle line is
 * (h + f + r) / cos(alpha) + d tan(alpha) - p. Hence
 *
 * <pre>  H = (h + f + r + 2 a12 - a0) / cos(alpha) + d tan(alpha) + plate under heel - plate under bridge + carved - p</pre>
 *
 * which is solved for the depth p or the height H. A string e off the centre of a fingerboard of radius R has its
 * saddle lower by R - sqrt(R² - e²) (measured across the fret plane, so divided by cos(alpha) too). Millimetres and
 * degrees; p is measured at the pocket's end wall on the centre line, H over the front at the bridge (over the plate, if one lies under it; carved is how far the front lies under its flat there). Plane geometry; checked in tests against strings and floors drawn in coordinates.
 */
public record NeckPocket(
        Fact heel,
        Fact fingerboard,
        Fact fret,
        double fingerboardRadius,
        Fact actionBass,
        Fact actionTreble,
        Fact nut,
        Fact angle,
        Fact endWallToSaddle,
        Fact plateUnderHeel,
        Fact plateUnderBridge,
        Fact carvedAtBridge,
        StringSetup strings) {

    /** The design's numbers, each replaced by its latest reading. */
    public static NeckPocket of(Build build) {
        NeckJoint neck = build.design().neck();
        StringSetup strings = build.design().strings();
        return new NeckPocket(
                build.fact(Dimension.HEEL_THICKNESS, neck.heelThickness()),
                build.fact(Dimension.FINGERBOARD_THICKNESS, neck.fingerboardThickness()),
                build.fact(Dimension.FRET_HEIGHT, neck.fretHeight()),
                build.fact(Dimension.FINGERBOARD_RADIUS, neck.fingerboardRadius())
                        .value(),
                build.fact(Dimension.ACTION_BASS, strings.actionBass()),
                build.fact(Dimension.ACTION_TREBLE, strings.actionTreble()),
                build.fact(Dimension.NUT_HEIGHT, strings.nutHeight()),
                build.fact(Dimension.NECK_ANGLE, neck.angle()),
                build.fact(Dimension.END_WALL_TO_SADDLE, neck.endWallToSaddle()),
                Fact.typed(neck.plateUnderHeel()),
                Fact.typed(neck.plateUnderBridge()),
                carvedAtBridge(build),
                strings);
    }

    /** How far the front is carved down where the bridge stands. */
    private static Fact carvedAtBridge(Build build) {
        double fall = build.finished(Face.FRONT)
                .fall(build.design().bridge().footprint().centroid());
        return new Fact(fall, Source.COMPUTED, "the carve of the front");
    }

    private double cos() {
        return Math.cos(Math.toRadians(angle.value()));
    }

    private double tan() {
        return Math.tan(Math.toRadians(angle.value()));
    }

    /** Saddle height plus pocket depth, for an action and a fall across the fingerboard: they trade one for one. */
    private double heightAndDepth(double action, double fall) {
        double overFrets = 2 * action - nut.value();
        return (heel.value() + fingerboard.value() + fret.value() + overFrets - fall) / cos()
                + endWallToSaddle.value() * tan()
                + plateUnderHeel.value()
                - plateUnderBridge.value()
                + carvedAtBridge.value();
    }

    /** Action at the centre line: the mean of the outer strings'. */
    public double actionAtCentre() {
        return (actionBass.value() + actionTreble.value()) / 2;
    }

    /** Depth that puts the saddle on the centre line at {@code saddleHeight} over the front. */
    public Reckoning depthFor(Fact saddleHeight) {
        double p = heightAndDepth(actionAtCentre(), 0) - saddleHeight.value();
        return terms(Reckoning.of("pocket depth", Quantity.LENGTH))
                .length("saddle height over the front, H", saddleHeight)
                .is(p, formula() + " − H");
    }

    /** Saddle height over the front on the centre line that a pocket of this depth calls for. */
    public Reckoning saddleHeightFor(Fact depth) {
        double height = heightAndDepth(actionAtCentre(), 0) - depth.value();
        return terms(Reckoning.of("saddle height", Quantity.LENGTH))
                .length("pocket depth at the end wall, p", depth)
                .is(height, formula() + " − p");
    }

    private boolean carved() {
        return carvedAtBridge.value() != 0;
    }

    private String formula() {
        return "(h + f + r + 2 a12 − a0) / cos α + d tan α + plate under the heel − plate under the bridge"
                + (carved() ? " + front carved down at the bridge" : "");
    }

    private Reckoning.Builder terms(Reckoning.Builder sum) {
        sum.length("heel thickness, h", heel)
                .length("fingerboard thickness, f", fingerboard)
                .length("fret height, r", fret)
                .length("action at fret 12 at the centre, a12", centreAction())
                .length("string over the frets at the nut, a0", nut)
                .angle("neck angle, α", angle)
                .length("end wall to saddle, d", endWallToSaddle)
                .length("plate under the heel", plateUnderHeel)
                .length("plate under the bridge", plateUnderBridge);
        return carved() ? sum.length("front carved down at the bridge", carvedAtBridge) : sum;
    }

    private Fact centreAction() {
        return new Fact(actionAtCentre(), actionBass.source(), "mean of bass and treble");
    }

    /** How much lower the saddle of a string e mm off the centre stands than on the centre line, over the fret plane. */
    public double fall(double e) {
        return Double.isInfinite(fingerboardRadius)
                ? 0
                : fingerboardRadius - Math.sqrt(fingerboardRadius * fingerboardRadius - e * e);
    }

    /** Action of a string, 0 on the bass side, spaced evenly between the outer ones as they are now. */
    private double action(int string) {
        double share = strings.count() == 1 ? 0.5 : (double) string / (strings.count() - 1);
        return actionBass.value() + (actionTreble.value() - actionBass.value()) * share;
    }

    /** Saddle height over the front of string {@code i} (0 is the bass side) over a pocket of this depth. */
    public double saddleHeight(int i, double depth) {
        return heightAndDepth(action(i), fall(strings.offset(i))) - depth;
    }

    /**
     * The pocket depths that a bridge can serve, string by string.
     *
     * @param shallowest no string's saddle then stands higher than the bridge reaches
     * @param deepest no string's saddle then stands lower than the bridge reaches
     * @param governsShallowest the string (0 is the bass side) that sets the shallow end
     * @param governsDeepest the string that sets the deep end
     */
    public record Window(double shallowest, double deepest, int governsShallowest, int governsDeepest) {
        public boolean isOpen() {
            return shallowest <= deepest;
        }

        public boolean holds(double depth) {
            return depth >= shallowest - 1e-9 && depth <= deepest + 1e-9;
        }

        /** How much shallower than a depth the pocket may come out; less than nought where it is too shallow already. */
        public double roomShallower(double depth) {
            return depth - shallowest;
        }

        /** How much deeper than a depth the pocket may come out. */
        public double roomDeeper(double depth) {
            return deepest - depth;
        }

        /** Whether the bridge takes up a miss of so much either way. */
        public boolean takesUp(double depth, double miss) {
            return isOpen() && miss <= Math.min(roomShallower(depth), roomDeeper(depth));
        }
    }

    /** The depths that keep every string's saddle between the bridge's lowest and highest. */
    public Window window(Bridge bridge) {
        double shallowest = Double.NEGATIVE_INFINITY;
        double deepest = Double.POSITIVE_INFINITY;
        int governsShallow = 0;
        int governsDeep = 0;
        for (int i = 0; i < strings.count(); i++) {
            double sum = saddleHeight(i, 0);
            if (sum - bridge.highestOverFront() > shallowest) {
                shallowest = sum - bridge.highestOverFront();
                governsShallow = i;
            }
            if (sum - bridge.lowestOverFront() < deepest) {
                deepest = sum - bridge.lowestOverFront();
                governsDeep = i;
            }
        }
        return new Window(shallowest, deepest, governsShallow, governsDeep);
    }

    /** The saddle height to aim for: the maker's, else what the middle of the window gives on the centre line. */
    public Fact aim(Bridge bridge) {
        if (bridge.wantedSaddle().isPresent()) {
            return Fact.typed(bridge.wantedSaddle().getAsDouble());
        }
        Window window = window(bridge);
        double middle = (window.shallowest() + window.deepest()) / 2;
        return new Fact(heightAndDepth(actionAtCentre(), 0) - middle, Source.COMPUTED, "middle of the bridge's window");
    }

    /**
     * What a millimetre (or a degree) more of one number does to the depth.
     *
     * @param perUnit mm of depth per mm, or per degree
     */
    public record Sensitivity(String of, double perUnit, Quantity quantity) {}

    /** Partial derivatives of the depth: exact. */
    public List<Sensitivity> sensitivities() {
        double one = 1 / cos();
        double rise = heel.value() + fingerboard.value() + fret.value() + 2 * actionAtCentre() - nut.value();
        double perRadian = rise * tan() / cos() + endWallToSaddle.value() / (cos() * cos());
        return List.of(
                new Sensitivity("heel thickness", one, Quantity.LENGTH),
                new Sensitivity("fingerboard thickness", one, Quantity.LENGTH),
                new Sensitivity("fret height", one, Quantity.LENGTH),
                new Sensitivity("action at fret 12", 2 * one, Quantity.LENGTH),
                new Sensitivity("string height at the nut", -one, Quantity.LENGTH),
                new Sensitivity("end wall to saddle", tan(), Quantity.LENGTH),
                new Sensitivity("neck angle", Math.toRadians(perRadian), Quantity.ANGLE));
    }

    /**
     * How far the saddle height may miss.
     *
     * @param worst every tolerance to its end, the same way
     * @param likely root sum square
     */
    public record ErrorBudget(double worst, double likely) {}

    /** Tolerances of heel, fingerboard, pocket floor and angle carried through to the saddle. */
    public ErrorBudget errorBudget(Limits limits) {
        double one = limits.thicknessTolerance() / cos();
        double[] parts = {
            one, one, limits.depthTolerance(), sensitivities().get(6).perUnit() * limits.angleTolerance()
        };
        double worst = 0;
        double squares = 0;
        for (double part : parts) {
            worst += Math.abs(part);
            squares += part * part;
        }
        return new ErrorBudget(worst, Math.sqrt(squares));
    }
}
