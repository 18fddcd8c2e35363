package ebauche.app.drawing;

import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Region;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Relief;
import java.util.stream.IntStream;

/** Carved parts of the faces on a plan, in bands of depth like a chart of a sea: carved already, being carved, or to come. */
public final class Carves {
    /** A carve's depth is shown in so many bands. */
    private static final int BANDS = 4;

    private Carves() {}

    /** Whatever shapes a face and is decided on, as it is around a step. */
    public static void draw(Svg svg, Frame frame, BuildPlan plan, int step) {
        for (Relief laid : plan.build().surfaces()) {
            StepKey key = StepKey.of(laid.feature(), StepKind.CARVE);
            IntStream.range(0, plan.steps().size())
                    .filter(i -> plan.steps().get(i).operation().key().equals(key))
                    .findFirst()
                    .ifPresent(at -> {
                        svg.group("carve " + (at < step ? "before" : at == step ? "now" : "later") + side(laid, frame));
                        bands(svg, frame, laid);
                        svg.close();
                    });
        }
    }

    public static String side(Relief laid, Frame frame) {
        return laid.face() == frame.up() ? "" : " far";
    }

    /** The bands of one: the first is all of it. */
    public static void bands(Svg svg, Frame frame, Relief laid) {
        double depth = laid.profile().depth();
        for (int band = 0; band < BANDS; band++) {
            Region deeper = laid.beyond(band == 0 ? 0 : laid.profile().across(depth * band / BANDS));
            if (!deeper.isEmpty()) {
                svg.path(band == 0 ? "band start" : "band", frame.path(deeper));
            }
        }
    }
}
