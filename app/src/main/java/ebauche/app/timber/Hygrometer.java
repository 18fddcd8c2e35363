package ebauche.app.timber;

import ebauche.core.timber.Climate;
import java.time.Clock;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import org.springframework.stereotype.Component;

/**
 * A simulated hygrometer on the shop's wall: a heated shop in a temperate place, damper in summer, a little drier in the
 * afternoon. Stands in for a real one until it is plugged in; it says so wherever it is read.
 */
@Component
class Hygrometer {
    private final Clock clock;

    Hygrometer(Clock clock) {
        this.clock = clock;
    }

    Climate read() {
        ZonedDateTime now = clock.instant().atZone(ZoneOffset.UTC);
        double year = Math.cos(2 * Math.PI * (now.getDayOfYear() - 200) / 365);
        double day = Math.cos(2 * Math.PI * (now.getHour() * 60 + now.getMinute() - 15 * 60) / 1440);
        double celsius = 19 + 2.5 * year + 1.2 * day;
        double humidity = 48 + 9 * year - 3 * day;
        return new Climate(Math.round(celsius * 10) / 10.0, Math.round(humidity) / 100.0);
    }
}
