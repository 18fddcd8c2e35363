package ebauche.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class ListingTest {
    @Test
    void several_things_are_said_in_one_breath() {
        assertThat(Listing.or(List.of())).isEmpty();
        assertThat(Listing.or(List.of("neck"))).isEqualTo("neck");
        assertThat(Listing.and(List.of("neck", "bridge"))).isEqualTo("neck and bridge");
        assertThat(Listing.or(List.of("neck", "bridge", "cover"))).isEqualTo("neck, bridge or cover");
    }
}
