package ebauche.app.timber;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.account.Maker;
import ebauche.app.testing.WithApp;
import ebauche.app.ways.WaysStore;
import ebauche.core.layout.OnRack;
import ebauche.core.measure.LengthUnit;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

class RackTest extends WithApp {
    @Autowired
    private BoardStore boards;

    @Autowired
    private ClimateStore climates;

    @Autowired
    private WaysStore ways;

    private List<OnRack> at(Maker maker, String moment) {
        Clock clock = Clock.fixed(Instant.parse(moment), ZoneOffset.UTC);
        return new Rack(boards, climates, ways, clock)
                .all(maker.shop()).stream().map(Rack.Held::onRack).toList();
    }

    /** What was laid out of it is found again by what was asked: it must be the same question a minute later. */
    @Test
    void a_minute_later_it_is_the_same_rack_and_a_week_later_it_is_drier() {
        Maker maker = openShop(LengthUnit.MILLIMETRE).maker();
        List<OnRack> now = at(maker, "2026-11-20T10:05:00Z");
        assertThat(now).anyMatch(b -> b.moisture().isPresent());
        assertThat(at(maker, "2026-11-20T10:06:30Z")).isEqualTo(now);
        assertThat(at(maker, "2026-11-27T10:05:00Z")).isNotEqualTo(now);
    }
}
