package ebauche.app.account;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/**
 * How often a password may be tried. A try is counted before the password is looked at, under the maker whom the name means
 * (however it is spelt) and under the address it comes from. The count begins anew a minute after its first try; tries that
 * are refused do not prolong it. A device on which the maker has signed in before is counted alone, so that nobody keeps
 * a maker out by trying their name from elsewhere. The counts lie in the database: all that serve share them.
 */
@Repository
class SignInStore {
    /** Wrong passwords for one maker, or on one known device, within {@link #WAIT}. */
    static final int TRIES = 5;
    /** From one address: a shop's makers may sit behind one. */
    static final int TRIES_FROM_AN_ADDRESS = 30;

    static final Duration WAIT = Duration.ofMinutes(1);
    private static final Duration KEPT = Duration.ofDays(1);
    private static final SecureRandom RANDOM = new SecureRandom();

    private final JdbcClient sql;
    private final MakerStore makers;
    private final Clock clock;

    SignInStore(JdbcClient sql, MakerStore makers, Clock clock) {
        this.sql = sql;
        this.makers = makers;
        this.clock = clock;
    }

    /**
     * One count and how far it may go.
     *
     * @param shared by several makers, so that a right password takes back its own try only
     */
    private record Count(String tried, int most, boolean shared) {}

    /** A try that was let through. */
    static final class Try {
        private final List<Count> counts;

        private Try(List<Count> counts) {
            this.counts = counts;
        }
    }

    /**
     * Counts a try.
     *
     * @param device what the device keeps from an earlier sign-in; empty if nothing
     * @return empty if it must wait
     */
    Optional<Try> count(String name, String address, String device) {
        List<Count> counts = counts(name, address, device);
        for (Count count : counts) {
            if (counted(count.tried()) > count.most()) {
                return Optional.empty();
            }
        }
        return Optional.of(new Try(counts));
    }

    private List<Count> counts(String name, String address, String device) {
        Optional<Maker> maker = makers.find(name);
        if (maker.isPresent() && !device.isEmpty() && knows(maker.get(), device)) {
            return List.of(new Count("device " + Hash.of(device), TRIES, false));
        }
        String who = maker.map(m -> "maker " + m.id()).orElseGet(() -> "name " + Hash.of(Names.normal(name)));
        // The address first: one that tries many names writes no more counts than it has tries.
        return List.of(
                new Count("from " + Hash.of(address), TRIES_FROM_AN_ADDRESS, true), new Count(who, TRIES, false));
    }

    /** Adds one in a single statement, so that tries at the same moment each see their own number. */
    private int counted(String tried) {
        long now = clock.millis();
        return sql.sql("""
                insert into sign_in_try (tried, began, tries) values (:tried, :now, 1)
                on duplicate key update
                    tries = if(began <= :before, 1, least(tries + 1, 1000000)),
                    began = if(began <= :before, :now, began)
                returning tries
                """)
                .param("tried", tried)
                .param("now", now)
                .param("before", now - WAIT.toMillis())
                .query(Integer.class)
                .single();
    }

    /** The password was right: its counts are taken back, and what is long past is cleared away. */
    void succeeded(Try let) {
        for (Count count : let.counts) {
            sql.sql("update sign_in_try set tries = if(:shared, greatest(tries - 1, 0), 0) where tried = :tried")
                    .param("shared", count.shared())
                    .param("tried", count.tried())
                    .update();
        }
        sql.sql("delete from sign_in_try where began < :before")
                .param("before", clock.millis() - KEPT.toMillis())
                .update();
    }

    boolean knows(Maker maker, String device) {
        return sql.sql("select count(*) from known_device where shop = :shop and maker = :maker and device = :device")
                        .param("shop", maker.shop())
                        .param("maker", maker.id())
                        .param("device", Hash.of(device))
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** Remembers a device; gives what it has to keep. */
    String meet(Maker maker) {
        byte[] random = new byte[32];
        RANDOM.nextBytes(random);
        String device = Base64.getUrlEncoder().withoutPadding().encodeToString(random);
        sql.sql("insert into known_device (shop, maker, device) values (:shop, :maker, :device)")
                .param("shop", maker.shop())
                .param("maker", maker.id())
                .param("device", Hash.of(device))
                .update();
        return device;
    }
}
