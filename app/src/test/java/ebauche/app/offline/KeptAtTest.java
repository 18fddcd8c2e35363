package ebauche.app.offline;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.reading.KeptAt;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** When something was entered without a network, by a clock that may go wrong. */
class KeptAtTest {
    private static final Instant NOW = Instant.parse("2026-05-14T12:00:00Z");
    private static final Clock SHOP = Clock.fixed(NOW, ZoneOffset.UTC);

    /** Ten minutes ago is ten minutes ago, whether the device's clock is right, an hour fast or a year slow. */
    @ParameterizedTest
    @CsvSource({
        "2026-05-14T11:50:00Z, 2026-05-14T12:00:00Z",
        "2026-05-14T12:50:00Z, 2026-05-14T13:00:00Z",
        "2025-05-14T11:50:00.000Z, 2025-05-14T12:00:00.000Z"
    })
    void aClockThatGoesWrongTellsHowLongAgoItWas(String at, String sent) {
        assertThat(new KeptAt(at, sent).written(SHOP)).isEqualTo("2026-05-14T11:50:00Z");
    }

    @ParameterizedTest
    @CsvSource(
            value = {
                "'', ''",
                "'', 2026-05-14T12:00:00Z",
                "yesterday, today",
                "2026-05-14T12:00:00Z, 2026-05-14T11:00:00Z",
                "2026-01-14T12:00:00Z, 2026-05-14T11:00:00Z",
                "2026-05-14T12:00:00Z, NULL"
            },
            nullValues = "NULL")
    void whatCannotBeMeantIsNow(String at, String sent) {
        assertThat(new KeptAt(at, sent).when(SHOP)).isEqualTo(NOW);
    }

    @Test
    void whatIsEnteredNowIsNow() {
        assertThat(new KeptAt(null, null).when(SHOP)).isEqualTo(NOW);
    }
}
