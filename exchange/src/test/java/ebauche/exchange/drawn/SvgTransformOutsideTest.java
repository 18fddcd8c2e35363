package ebauche.exchange.drawn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.geometry.Point;
import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Transforms against the JDK's {@link AffineTransform}, which is built up the same way, the last in the list first. */
class SvgTransformOutsideTest {
    private static void like(AffineTransform jdk, String text) {
        Affine read = SvgTransform.of(text);
        for (Point p : new Point[] {new Point(0, 0), new Point(3, -2), new Point(-7.5, 11)}) {
            Point2D there = jdk.transform(new Point2D.Double(p.x(), p.y()), null);
            assertThat(read.of(p).distance(new Point(there.getX(), there.getY())))
                    .as(text)
                    .isCloseTo(0, within(1e-9));
        }
    }

    @Test
    void every_kind_does_what_the_jdk_does() {
        like(new AffineTransform(1, 2, 3, 4, 5, 6), "matrix(1 2 3 4 5 6)");
        like(AffineTransform.getTranslateInstance(4, 0), "translate(4)");
        like(AffineTransform.getTranslateInstance(4, -5), "translate(4-5)");
        like(AffineTransform.getScaleInstance(2, 2), " scale( 2 ) ");
        like(AffineTransform.getScaleInstance(2, -0.5), "scale(2,-.5)");
        like(AffineTransform.getRotateInstance(Math.toRadians(30)), "rotate(30)");
        like(AffineTransform.getRotateInstance(Math.toRadians(-40), 5, 7), "rotate(-40 5 7)");
        like(AffineTransform.getShearInstance(Math.tan(Math.toRadians(20)), 0), "skewX(20)");
        like(AffineTransform.getShearInstance(0, Math.tan(Math.toRadians(-15))), "skewY(-15)");
    }

    @Test
    void a_list_is_done_from_its_end() {
        AffineTransform jdk = AffineTransform.getTranslateInstance(10, 20);
        jdk.rotate(Math.toRadians(90));
        jdk.scale(2, 3);
        like(jdk, "translate(10,20) rotate(90), scale(2 3)");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "turn(3)",
                "scale(1,2,3)",
                "rotate()",
                "matrix(1 2)",
                "scale(2",
                "scale(two)",
                "scale(2) and more"
            })
    void what_is_none_is_refused(String text) {
        assertThatThrownBy(() -> SvgTransform.of(text)).isInstanceOf(IllegalArgumentException.class);
    }
}
