package ebauche.core.feed;

import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Strip;
import ebauche.core.geometry.Point;

/** Which way the fibres of one layer run, place by place: the halves of a book-matched top differ. */
@FunctionalInterface
public interface Grain {
    /** Degrees by which the grain runs off the body's length there, towards the treble side as it nears the neck. */
    double at(Point place);

    /** The same everywhere. */
    static Grain even(double degrees) {
        return place -> degrees;
    }

    /** As the strips of a layer lie; beyond its edges as in the outermost strip. */
    static Grain of(Blank blank, BlankLayer layer) {
        return place -> {
            double right = blank.middleX() - layer.width() / 2;
            for (Strip strip : layer.strips()) {
                right += strip.width();
                if (place.x() < right) {
                    return strip.grainAngle();
                }
            }
            return layer.strips().get(layer.strips().size() - 1).grainAngle();
        };
    }
}
