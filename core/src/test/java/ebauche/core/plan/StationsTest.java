package ebauche.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.build.Build;
import ebauche.core.build.Finding;
import ebauche.core.build.Station;
import ebauche.core.operation.Operation;
import org.junit.jupiter.api.Test;

/** What every station has in common. */
class StationsTest {
    @Test
    void steps_and_findings_carry_the_name_of_their_station() {
        TestBody body = new TestBody();
        body.thickness = 20;
        Build build = body.build();
        for (Station station : Stations.ALL) {
            assertThat(station.operations(build))
                    .as(station.name())
                    .extracting(Operation::station)
                    .allMatch(station.name()::equals);
            assertThat(station.check(build)).extracting(Finding::station).allMatch(station.name()::equals);
            assertThat(station.name()).isNotBlank();
        }
        assertThat(Stations.ALL).extracting(Station::name).doesNotHaveDuplicates();
    }
}
