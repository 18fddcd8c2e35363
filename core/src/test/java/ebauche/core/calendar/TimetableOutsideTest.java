package ebauche.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Timetables looked through by a checker of its own, and held to what a constraint solver proves to be the best. */
class TimetableOutsideTest {
    private static final int SHOPS = 2_000;

    @Test
    void two_thousand_shops_are_never_booked_twice_and_no_wait_is_broken() {
        int placed = 0;
        int saved = 0;
        int stays = 0;
        for (int seed = 0; seed < SHOPS; seed++) {
            Workload load = new SmallShops(seed, false).of(8 + seed % 25, 1 + seed % 5, 60);
            Timetable table = Search.of(load, 2_000, Search.Watch.NOBODY);
            assertThat(Checker.flaws(table)).as("shop " + seed).isEmpty();
            placed += table.slots().size();
            saved += (int) table.slots().stream()
                    .filter(s -> s.setUp() < load.blocks().get(s.block()).setUp())
                    .count();
            stays += (int) table.slots().stream()
                    .filter(s -> load.blocks().get(s.block()).pin().isPresent()
                            && load.blocks().get(s.block()).pin().get().at() == s.from())
                    .count();
            assertThat(table.loss().total())
                    .isGreaterThanOrEqualTo(Bound.of(table).loss() - 1e-6);
        }
        assertThat(placed).as("blocks placed").isGreaterThan(SHOPS * 8);
        assertThat(saved).as("set-ups saved").isGreaterThan(SHOPS / 4);
        assertThat(stays).as("blocks that stay where they were put").isGreaterThan(SHOPS / 10);
    }

    /**
     * Of 170 seeded shops of 20 to 40 blocks the solver proved the least loss of 99 within fifteen seconds on two cores; they are kept beside this test. Aim: all within
     * two per cent. With little time to spare the pieces must fill half days to the minute, which the search does not always find.
     */
    @Test
    void as_near_to_what_is_proved_as_was_measured() throws IOException {
        Map<Integer, Double> proved = proved();
        assertThat(proved).hasSize(99);
        double[] over = proved.entrySet().parallelStream()
                .mapToDouble(least -> {
                    Timetable table = Search.of(proved(least.getKey()));
                    assertThat(Checker.flaws(table))
                            .as("shop " + least.getKey())
                            .isEmpty();
                    double share = table.loss().total() / least.getValue() - 1;
                    assertThat(share).as("shop " + least.getKey()).isBetween(-1e-6, 0.12);
                    return share;
                })
                .toArray();
        assertThat(Arrays.stream(over).filter(share -> share <= 0.02).count())
                .as("within two per cent")
                .isGreaterThanOrEqualTo(90);
        assertThat(Arrays.stream(over).average().orElseThrow())
                .as("above the least in the mean")
                .isLessThan(0.006);
    }

    /** That what is kept is what the solver says. */
    @Test
    void some_of_them_are_proved_again() throws IOException {
        Map<Integer, Double> proved = proved();
        for (int seed : List.of(0, 1, 2, 3)) {
            Workload load = proved(seed);
            SolverTimetable.Found found = SolverTimetable.of(load, Search.of(load), 60);
            assertThat(found.proved()).as("proved " + seed).isTrue();
            assertThat(found.loss()).as("shop " + seed).isCloseTo(proved.get(seed), within(1e-3));
            assertThat(Bound.of(Search.of(load)).loss()).isLessThanOrEqualTo(found.loss() + 1e-6);
        }
    }

    private static Workload proved(int seed) {
        return new SmallShops(10_000 + seed, true).of(20 + seed % 21, 3 + seed % 4, 40);
    }

    private static Map<Integer, Double> proved() throws IOException {
        try (InputStream kept = TimetableOutsideTest.class.getResourceAsStream("proved-timetables.csv")) {
            Map<Integer, Double> proved = new LinkedHashMap<>();
            new String(kept.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .skip(1)
                    .map(l -> l.split(","))
                    .forEach(f -> proved.put(Integer.parseInt(f[0]), Double.parseDouble(f[1])));
            return proved;
        }
    }
}
