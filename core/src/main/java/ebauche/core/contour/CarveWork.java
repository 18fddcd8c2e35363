package ebauche.core.contour;

import ebauche.core.design.Contour;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.stock.Course;
import ebauche.core.stock.Profile;
import ebauche.core.timber.Hardness;
import java.util.Optional;

/** What every way to bring a contour out asks of it. */
record CarveWork(Build build, Contour.Laid laid, Optional<OtherLine> line) {
    /** A first and a second cut of a file leave so much, and a coarse belt, mm: common practice. */
    static final double FIRST_CUT = 0.3;

    static final double SECOND_CUT = 0.1;
    static final double BELT_MARKS = 0.2;

    double depth() {
        return laid.profile().depth();
    }

    double width() {
        return laid.profile().width();
    }

    double area() {
        return laid.plan().area() / 10_000;
    }

    Hardness hardness() {
        return build.design().blank().hardness();
    }

    /** How much longer it takes by hand than in a middling timber. */
    double hard() {
        return switch (hardness()) {
            case SOFT -> 0.72;
            case MEDIUM -> 1;
            case HARD -> 1.4;
        };
    }

    boolean isPlane() {
        return laid.course() instanceof Course.Line && laid.profile().shape() == Profile.Shape.STRAIGHT && !isEdged();
    }

    /** Whether it ends on a definite edge, which nothing that runs out over its line leaves. */
    boolean isEdged() {
        return laid.profile().edge() > 0;
    }

    boolean isRound() {
        return laid.contour().start() instanceof Contour.Start.Round;
    }

    Reckoning slope() {
        return laid.slope();
    }

    /** What a tool leaves over the surface. */
    static Reckoning left(String name, double left) {
        return Reckoning.of("left over the surface", Quantity.LENGTH)
                .length(name, Fact.rule(left, "common practice"))
                .is(left, name);
    }
}
