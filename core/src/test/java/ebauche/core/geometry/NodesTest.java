package ebauche.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.measure.Refusal;
import org.junit.jupiter.api.Test;

/** A path by its points, there and back, and moved by one. */
class NodesTest {
    private static final Outline SHAPE =
            Outline.parse("M -60 0 L 60 0 C 80 0 80 40 60 60 A 60 60 0 0 1 -60 60 L -60 0 Z", 1);

    @Test
    void there_and_back_is_the_same_path() {
        Nodes nodes = Nodes.of(SHAPE.segments());
        Outline back = Outline.of(nodes.segments());
        assertThat(back.area()).isEqualTo(SHAPE.area(), within(0.01));
        assertThat(back.perimeter()).isEqualTo(SHAPE.perimeter(), within(0.001));
        assertThat(Nodes.of(back.segments())).isEqualTo(nodes);
    }

    @Test
    void a_point_takes_its_handles_along() {
        Nodes nodes = Nodes.of(SHAPE.segments());
        int i = 0;
        while (nodes.points().get(i).at().distance(new Point(60, 60)) > 1e-6) {
            i++;
        }
        Nodes.Node before = nodes.points().get(i);
        Nodes.Node after =
                nodes.moved(i, Nodes.Grip.POINT, new Point(65, 58)).points().get(i);
        assertThat(after.at()).isEqualTo(new Point(65, 58));
        assertThat(after.into()
                        .orElseThrow()
                        .distance(before.into().orElseThrow().plus(5, -2)))
                .isLessThan(1e-9);
        assertThat(after.out().orElseThrow().distance(before.out().orElseThrow().plus(5, -2)))
                .isLessThan(1e-9);
        Nodes.Node turned =
                nodes.moved(i, Nodes.Grip.OUT, new Point(1, 2)).points().get(i);
        assertThat(turned.out()).contains(new Point(1, 2));
        assertThat(turned.into()).isEqualTo(before.into());
    }

    @Test
    void a_corner_of_lines_has_no_handles() {
        Nodes nodes = Nodes.of(Outline.parse("M 0 0 L 10 0 L 10 10 Z", 1).segments());
        assertThat(nodes.points())
                .hasSize(3)
                .allMatch(n -> n.into().isEmpty() && n.out().isEmpty());
        assertThatThrownBy(() -> nodes.moved(0, Nodes.Grip.OUT, new Point(1, 1)))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> nodes.moved(3, Nodes.Grip.POINT, new Point(1, 1)))
                .isInstanceOf(Refusal.class);
    }
}
