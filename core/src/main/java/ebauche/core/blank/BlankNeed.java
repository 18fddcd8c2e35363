package ebauche.core.blank;

import ebauche.core.design.Plates;
import ebauche.core.geometry.Region;
import ebauche.core.hollow.Resawing;
import ebauche.core.job.Build;
import ebauche.core.job.History;
import ebauche.core.layout.Need;
import ebauche.core.layout.Pocket;
import ebauche.core.stock.Change;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/** What a body asks of its blank: its outline, what will be cut out of it, what hardware hides, and what shows. */
public final class BlankNeed {
    /** A body that was read thinner than its top is judged as if so much of its core were left, mm. */
    private static final double LEAST_CORE = 1;

    private BlankNeed() {}

    /** Of a body as it is designed, in one layer. */
    public static Need whole(Build build, History history) {
        return whole(build, history, build.design().blank().sawn());
    }

    /** What saw and plane take of its pieces before they are what the blank is made of, mm: covers and plates are sawn off them. */
    public static double sawnOff(Build build, Plates sawn) {
        return CoverSlice.takes(build) + Resawing.takes(build, sawn);
    }

    /** Of a body in one layer, with plates sawn off it. */
    public static Need whole(Build build, History history, Plates sawn) {
        double finished = build.faces().thickness();
        double rough = build.thicknessed() + build.shop().cutting().flattening() + sawnOff(build, sawn);
        return need(build, pockets(build, history), finished, atLeast(finished, rough), true, true);
    }

    /**
     * Of the core under a top.
     *
     * @param top thickness of the top in the finished body
     * @param sawn plates that are sawn off it
     */
    public static Need core(Build build, History history, double top, Plates sawn) {
        double finished = Math.max(LEAST_CORE, build.faces().thickness() - top);
        double rough = build.thicknessed() - top + build.shop().cutting().flattening() + sawnOff(build, sawn);
        List<Pocket> under = pockets(build, history).stream()
                .filter(p -> p.bottom() > top)
                .map(p -> new Pocket(p.area(), p.top() - top, p.bottom() - top))
                .toList();
        return need(build, under, finished, atLeast(finished, rough), false, true);
    }

    /** A body measured thicker than its design wants it asks for no less than it is. */
    private static double atLeast(double finished, double rough) {
        return Math.max(finished, rough);
    }

    /** Thickness of the designed top in the finished body, mm; empty without a top of wood apart. */
    public static OptionalDouble finishedTop(Build build) {
        OptionalDouble reaches = build.topReaches();
        return build.design().blank().top().isEmpty() || reaches.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(Math.max(1, reaches.getAsDouble()));
    }

    /** Of the top. */
    public static Need top(Build build, History history, double top) {
        double rough = top
                + build.shop().practice().frontSanding()
                + build.shop().cutting().flattening();
        return need(build, pockets(build, history), top, rough, true, false);
    }

    private static Need need(
            Build build, List<Pocket> pockets, double finished, double rough, boolean showsFront, boolean showsBack) {
        return new Need(
                build.design().outline().region(),
                finished,
                rough,
                build.shop().practice().frontSanding(),
                pockets,
                build.design().bridge().footprint(),
                Region.EMPTY,
                build.design().neck().pocket(),
                showsFront,
                showsBack);
    }

    private static List<Pocket> pockets(Build build, History history) {
        double front = build.faces().frontFinished();
        List<Pocket> pockets = new ArrayList<>();
        for (History.Step step : history.steps()) {
            for (Change change : step.changes()) {
                if (History.isVoid(change)) {
                    pockets.add(new Pocket(
                            change.solid().plan(),
                            change.solid().shallowest() - front,
                            change.solid().deepest() - front));
                }
            }
        }
        return pockets;
    }
}
