package ebauche.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;

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

    /** A probe for a look: how far from what is proved. */
    @Test
    void within_two_per_cent_of_what_is_proved() {
        int proved = 0;
        double worst = 0;
        double sum = 0;
        int count = Integer.getInteger("instances", 100);
        for (int seed = 0; seed < count; seed++) {
            Workload load = new SmallShops(10_000 + seed, true).of(20 + seed % 21, 3 + seed % 4, 40);
            Timetable table = Search.of(load);
            assertThat(Checker.flaws(table)).as("shop " + seed).isEmpty();
            assertThat(table.left()).isEmpty();
            SolverTimetable.Found found =
                    SolverTimetable.of(load, table, Double.parseDouble(System.getProperty("seconds", "10")));
            double over = table.loss().total() / found.loss() - 1;
            System.err.printf(
                    "DBG %d %d blocks %.0f solver %.1f bound %.1f %s over %.3f %%%n",
                    seed,
                    load.blocks().size(),
                    table.loss().total(),
                    found.loss(),
                    found.bound(),
                    found.proved(),
                    100 * over);
            proved += found.proved() ? 1 : 0;
            worst = Math.max(worst, over);
            sum += over;
        }
        System.err.printf("DBG proved %d worst %.3f mean %.3f%n", proved, 100 * worst, 100 * sum / count);
        assertThat(worst).isLessThan(0.02);
    }
}
