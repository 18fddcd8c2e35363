package ebauche.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.design.Contour;
import ebauche.core.geometry.Face;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Station;
import ebauche.core.operation.Operation;
import ebauche.core.stock.Profile;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What every station has in common. */
class StationsTest {
    @Test
    void steps_and_findings_carry_the_name_of_their_station() {
        TestBody body = new TestBody();
        body.thickness = 20;
        body.contours.add(new Contour(
                "top", Face.FRONT, new Contour.Start.Round(40), 12, Profile.Shape.ROUND, OptionalDouble.empty()));
        Build build = body.build();
        assertThat(Stations.ALL).flatExtracting(s -> s.check(build)).isNotEmpty();
        for (Station station : Stations.ALL) {
            assertThat(station.operations(build))
                    .as(station.name())
                    .isNotEmpty()
                    .extracting(Operation::station)
                    .allMatch(station.name()::equals);
            assertThat(station.check(build)).extracting(Finding::station).allMatch(station.name()::equals);
            assertThat(station.name()).isNotBlank();
        }
        assertThat(Stations.ALL).extracting(Station::name).doesNotHaveDuplicates();
    }
}
