package ebauche.core.contour;

import ebauche.core.TestBody;
import ebauche.core.design.Contour;
import ebauche.core.design.Contour.Start;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.stock.Profile;
import java.util.List;
import java.util.OptionalDouble;

/** Contours as two tests lay them on their body. */
final class TestContours {
    private TestContours() {}

    static Contour top(double width, double depth) {
        return new Contour(
                "top", Face.FRONT, new Start.Round(width), depth, Profile.Shape.ROUND, OptionalDouble.empty());
    }

    static Contour forearm(double depth) {
        return new Contour(
                "forearm",
                Face.FRONT,
                new Start.Across(new Point(-160, -60), new Point(-60, -150)),
                depth,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty());
    }

    static Contour belly(double depth) {
        return new Contour(
                "belly",
                Face.BACK,
                new Start.Across(new Point(-160, -40), new Point(-50, -150)),
                depth,
                Profile.Shape.HOLLOW,
                OptionalDouble.of(300));
    }

    static TestBody with(Contour... contours) {
        TestBody body = new TestBody();
        body.contours = List.of(contours);
        return body;
    }
}
