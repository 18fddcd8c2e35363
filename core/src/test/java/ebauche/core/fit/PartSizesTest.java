package ebauche.core.fit;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.TestParts;
import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.hardware.PartSize;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Fact;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A size of a part: as read in hand, else as it is sold. */
class PartSizesTest {
    private static final Feature FEATURE = Feature.parse("pickup-bridge");

    private final TestBody body = new TestBody();

    /** Who read it is told where it is known. */
    @Test
    void a_size_tells_where_it_is_from() {
        PartSizes none = new PartSizes(body.build().asBuilt());
        Fact nominal = none.size(FEATURE, TestParts.pickup(), PartSize.HEIGHT);
        assertThat(nominal.value()).isEqualTo(20);
        assertThat(nominal.origin()).isEqualTo("test pickup, as sold");
        for (String by : List.of("", "me")) {
            body.timeline.add(new AsBuilt.Reading(
                    "r" + by,
                    "2026-11-02T10:00:00Z",
                    by,
                    Optional.empty(),
                    new Measurand.SizeOf(FEATURE, PartSize.HEIGHT),
                    19.5));
            body.timeline.add(new AsBuilt.Reading(
                    "t" + by, "2026-11-02T10:00:00Z", by, Optional.empty(), Measurand.Dimension.FRET_HEIGHT, 1.1));
            PartSizes sizes = new PartSizes(body.build().asBuilt());
            String who = by.isEmpty() ? "" : " by me";
            assertThat(sizes.size(FEATURE, TestParts.pickup(), PartSize.HEIGHT).value())
                    .isEqualTo(19.5);
            assertThat(sizes.size(FEATURE, TestParts.pickup(), PartSize.HEIGHT).origin())
                    .isEqualTo("the part in hand, read 2026-11-02T10:00:00Z" + who);
            assertThat(sizes.fact(Measurand.Dimension.FRET_HEIGHT, 1.2).origin())
                    .isEqualTo("read 2026-11-02T10:00:00Z" + who);
        }
        assertThat(none.fact(Measurand.Dimension.FRET_HEIGHT, 1.2).value()).isEqualTo(1.2);
    }
}
