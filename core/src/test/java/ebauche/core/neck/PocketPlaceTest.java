package ebauche.core.neck;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.design.NeckJoint;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Finding;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where a pocket lies in a body made up here: its end wall at 165, its mouth at 241, 56 wide. */
class PocketPlaceTest {
    private static final NeckJoint NECK = new TestBody().design().neck();

    private static List<Finding> check(Region body) {
        Region pocket = NECK.pocket();
        return new PocketPlace(NECK, body, pocket, pocket.intersection(body)).check();
    }

    private static Region box(double fromX, double toX, double fromY, double toY) {
        return Region.rectangle(new Point((fromX + toX) / 2, (fromY + toY) / 2), toX - fromX, toY - fromY, 0, 0);
    }

    /** Wood before one half of the mouth keeps the neck out as well; what lies beside it does not. */
    @ParameterizedTest
    @CsvSource({
        "-28, -10, 5, true",
        "10, 28, 5, true",
        "-28, -10, 39, true",
        "-28, 28, 0.2, false",
        "-28, 28, 0.4, true",
        "-60, -29, 20, false",
        "29, 60, 20, false"
    })
    void a_horn_before_either_half_of_the_mouth_is_told(double fromX, double toX, double wood, boolean told) {
        List<Finding> found = check(box(-150, 150, -100, 241).union(box(fromX, toX, 240, 241 + wood)));
        assertThat(found).hasSize(told ? 1 : 0);
        found.forEach(f -> {
            assertThat(f.rule()).isEqualTo("mouth-closed");
            assertThat(f.numbers().get(0).value()).isCloseTo(wood, within(1e-9));
            assertThat(f.where()).contains(new Point(0, 241));
        });
    }

    /** Less than half of it in the body is no pocket: an outline in another unit, or a body that lies elsewhere. */
    @ParameterizedTest
    @CsvSource({"202, true", "204, false", "100, true"})
    void a_pocket_must_lie_in_the_body_by_half(double bodyEnds, boolean off) {
        List<Finding> found = check(box(-150, 150, -100, bodyEnds));
        assertThat(found).extracting(Finding::rule).hasSize(off ? 1 : 0);
        found.forEach(f -> {
            assertThat(f.rule()).isEqualTo("pocket-off-body");
            assertThat(f.numbers()).extracting(Finding.Value::value).containsExactly(165.0, 76.0, 56.0);
        });
    }

    /** Its mouth opens the edge from a little inside it, or from where the body ends before it. */
    @Test
    void only_the_mouth_is_an_opening() {
        Region pocket = NECK.pocket();
        Region longer = box(-150, 150, -100, 241);
        Region shorter = box(-150, 150, -100, 230);
        double inside = new PocketPlace(NECK, longer, pocket, pocket.intersection(longer))
                .mouth()
                .orElseThrow()
                .until();
        assertThat(inside).isLessThan(241);
        assertThat(new PocketPlace(NECK, shorter, pocket, pocket.intersection(shorter))
                        .mouth()
                        .orElseThrow()
                        .until())
                .isCloseTo(inside - 11, within(1e-9));
        assertThat(new PocketPlace(NECK, box(-9, 9, -99, 0), pocket, Region.EMPTY).mouth())
                .isEmpty();
    }
}
