package ebauche.app.account;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.WithApp;
import ebauche.core.measure.LengthUnit;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

/** The brake at the door, over the real database; each test tries from addresses of its own. */
class SignInStoreTest extends WithApp {
    @Autowired
    private JdbcClient sql;

    private Instant now = Instant.parse("2026-11-28T08:00:00Z");

    /** One of several that serve: it shares nothing with another but the database. */
    private SignInStore instance() {
        return new SignInStore(sql, makers, new Clock() {
            @Override
            public ZoneId getZone() {
                return ZoneOffset.UTC;
            }

            @Override
            public Clock withZone(ZoneId zone) {
                return this;
            }

            @Override
            public Instant instant() {
                return now;
            }
        });
    }

    private Maker maker() {
        return openShop(LengthUnit.MILLIMETRE).maker();
    }

    private static String somewhere() {
        return "test " + System.nanoTime();
    }

    @Test
    void every_spelling_of_a_name_counts_for_the_maker_whom_it_lets_in() {
        Maker maker = maker();
        List<String> spellings = List.of(
                maker.name(),
                maker.name().toUpperCase(Locale.ROOT),
                maker.name().replace("maker", "máker"),
                maker.name().replace("maker", "ma\u200bker"),
                " " + maker.name().replace("maker", "ｍaker") + " ");
        SignInStore brake = instance();
        for (String name : spellings) {
            assertThat(makers.find(name)).as(name).contains(maker);
            assertThat(brake.count(name, somewhere(), "")).as(name).isPresent();
        }
        for (String name : spellings) {
            assertThat(brake.count(name, somewhere(), "")).as(name).isEmpty();
        }
    }

    @Test
    void of_twenty_four_at_once_five_are_let_through_whoever_serves_them() throws Exception {
        String name = maker().name();
        String address = somewhere();
        ExecutorService together = Executors.newFixedThreadPool(24);
        try {
            List<Callable<Optional<SignInStore.Try>>> tries = IntStream.range(0, 24)
                    .mapToObj(i -> (Callable<Optional<SignInStore.Try>>)
                            () -> instance().count(name, address, ""))
                    .toList();
            int let = 0;
            for (Future<Optional<SignInStore.Try>> one : together.invokeAll(tries)) {
                let += one.get().isPresent() ? 1 : 0;
            }
            assertThat(let).isEqualTo(SignInStore.TRIES);
        } finally {
            together.shutdownNow();
        }
    }

    @Test
    void tries_that_are_refused_do_not_prolong_the_wait() {
        String name = maker().name();
        SignInStore brake = instance();
        for (int i = 0; i < SignInStore.TRIES; i++) {
            assertThat(brake.count(name, somewhere(), "")).isPresent();
        }
        for (int second = 1; second < SignInStore.WAIT.toSeconds(); second++) {
            now = now.plusSeconds(1);
            assertThat(brake.count(name, somewhere(), "")).as(second + " s").isEmpty();
        }
        now = now.plusSeconds(1);
        assertThat(brake.count(name, somewhere(), "")).isPresent();
    }

    @Test
    void a_device_that_the_maker_was_let_in_on_is_not_kept_out_by_tries_from_elsewhere() {
        Maker maker = maker();
        SignInStore brake = instance();
        String device = brake.meet(maker);
        String full = somewhere();
        for (int i = 0; i < SignInStore.TRIES_FROM_AN_ADDRESS + 1; i++) {
            brake.count(maker.name(), full, "");
        }
        assertThat(brake.count(maker.name(), full, "")).isEmpty();
        assertThat(brake.count(maker.name(), full, "no device of ours")).isEmpty();
        for (int i = 0; i < SignInStore.TRIES; i++) {
            assertThat(brake.count(maker.name(), full, device)).isPresent();
        }
        assertThat(brake.count(maker.name(), full, device))
                .as("nor guesses on it")
                .isEmpty();
        Maker other = maker();
        assertThat(brake.knows(other, device)).as("known for one maker only").isFalse();
    }

    @Test
    void an_address_that_tries_many_names_waits_too_and_writes_no_more_counts() {
        SignInStore brake = instance();
        String address = somewhere();
        int let = 0;
        int before = counts();
        for (int i = 0; i < 50; i++) {
            let += brake.count("nobody " + System.nanoTime(), address, "").isPresent() ? 1 : 0;
        }
        assertThat(let).isEqualTo(SignInStore.TRIES_FROM_AN_ADDRESS);
        assertThat(counts() - before).isEqualTo(SignInStore.TRIES_FROM_AN_ADDRESS + 1);
        now = now.plus(SignInStore.WAIT);
        assertThat(brake.count("nobody", address, "")).isPresent();
    }

    private int counts() {
        return sql.sql("select count(*) from sign_in_try").query(Integer.class).single();
    }

    @Test
    void a_right_password_clears_the_makers_count_and_takes_its_own_try_off_the_address() {
        String name = maker().name();
        String address = somewhere();
        SignInStore brake = instance();
        for (int i = 0; i < 4 * SignInStore.TRIES_FROM_AN_ADDRESS; i++) {
            Optional<SignInStore.Try> let = brake.count(name, address, "");
            assertThat(let).as("sign-in " + i).isPresent();
            brake.succeeded(let.get());
        }
        for (int i = 0; i < SignInStore.TRIES; i++) {
            assertThat(brake.count(name, address, "")).isPresent();
        }
        assertThat(brake.count(name, address, "")).isEmpty();
        now = now.plus(Duration.ofDays(2));
        brake.succeeded(brake.count(name, address, "").orElseThrow());
        assertThat(sql.sql("select count(*) from sign_in_try where began < :long")
                        .param("long", now.minus(Duration.ofDays(1)).toEpochMilli())
                        .query(Integer.class)
                        .single())
                .isZero();
    }
}
