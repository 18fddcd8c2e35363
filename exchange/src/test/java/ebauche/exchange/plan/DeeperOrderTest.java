package ebauche.exchange.plan;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.feature.StepKey;
import ebauche.core.operation.Operation;
import ebauche.core.order.Link;
import ebauche.core.order.Ordering;
import ebauche.core.plan.Planner;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.json.JsonText;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What a deeper look finds beside the order of a plan. */
class DeeperOrderTest {
    private static final int TRIES = 100;

    private static Ordering ordering(byte[] file) {
        return Planner.schedule(BuildFile.read(file).build()).ordering();
    }

    /** A few per cent, by orders that nobody finds by moving neighbours: every link holds, what is done stays, and it is the same each time. */
    @ParameterizedTest
    @ValueSource(strings = {"tussock", "marram"})
    void a_cheaper_order_keeps_every_link_and_what_is_done(String name) {
        Ordering ordering = ordering(DemoBodies.bytes(name));
        Ordering.Deeper deeper = ordering.deeper(TRIES).orElseThrow();
        List<StepKey> keys = deeper.order().stream().map(Operation::key).toList();
        for (Link link : ordering.links()) {
            assertThat(keys.indexOf(link.before()))
                    .as(link.before() + " before " + link.after())
                    .isLessThan(keys.indexOf(link.after()));
        }
        assertThat(deeper.order()).containsExactlyInAnyOrderElementsOf(ordering.operations());
        assertThat(deeper.order().subList(0, ordering.done()))
                .isEqualTo(ordering.operations().subList(0, ordering.done()));
        assertThat(deeper.price().total())
                .isEqualTo(ordering.costs().price(deeper.order()).total())
                .isLessThan(ordering.least().total() - 1)
                .isGreaterThan(0.95 * ordering.least().total());
        assertThat(deeper.saves())
                .isEqualTo(ordering.least().total() - deeper.price().total());
        assertThat(ordering.deeper(TRIES)).contains(deeper);
    }

    /** Sedge's is as good as any that is found: half a minute is not worth a word. And nobody looks for another where it is the maker's own. */
    @Test
    void nothing_is_said_where_nothing_is_to_be_gained_or_the_order_is_the_makers_own() {
        assertThat(ordering(DemoBodies.bytes("sedge")).deeper(TRIES)).isEmpty();
        ObjectNode file = (ObjectNode) JsonText.tree(DemoBodies.bytes("marram"));
        ArrayNode order = file.withObject("/design").putArray("order");
        ordering(DemoBodies.bytes("marram"))
                .operations()
                .forEach(o -> order.add(o.key().written()));
        Ordering own = ordering(file.toString().getBytes(StandardCharsets.UTF_8));
        assertThat(own.own()).isTrue();
        assertThat(own.deeper(TRIES)).isEmpty();
    }
}
