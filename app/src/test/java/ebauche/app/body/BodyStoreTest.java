package ebauche.app.body;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ebauche.app.testing.WithApp;
import ebauche.app.web.NotHere;
import ebauche.app.web.Stale;
import ebauche.core.design.Measurand;
import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Face;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.DemoBodies;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.node.ObjectNode;

class BodyStoreTest extends WithApp {
    @Autowired
    private JdbcClient sql;

    @Autowired
    private LogStore log;

    private static AsBuilt.Reading reading(String id, double value) {
        return new AsBuilt.Reading(
                id,
                "2026-11-20T10:00:00Z",
                "t",
                Optional.of(StepKey.parse("neck:rout")),
                Measurand.parse("depth:neck"),
                value);
    }

    private static AsBuilt.Done done(String feature) {
        return new AsBuilt.Done(
                UUID.randomUUID().toString(),
                "2026-11-20T10:00:00Z",
                "t",
                StepKey.parse(feature + ":rout"),
                "Rout it",
                Face.FRONT,
                List.of(),
                Map.of(),
                Map.of());
    }

    @Test
    void the_same_reading_sent_twice_is_kept_once_and_answered_with_the_first() {
        Body sedge = openShop(LengthUnit.MILLIMETRE).bodies().get("sedge");
        String id = UUID.randomUUID().toString();
        int before = bodies.standing(sedge).entries();
        assertThat(bodies.log(sedge, reading(id, 24.1))).isEqualTo(reading(id, 24.1));
        assertThat(bodies.log(sedge, reading(id, 19))).isEqualTo(reading(id, 24.1));
        assertThat(bodies.standing(sedge).entries()).isEqualTo(before + 1);
        assertThat(bodies.record(sedge)
                        .latest(Measurand.parse("depth:neck"))
                        .orElseThrow()
                        .value())
                .isEqualTo(24.1);
    }

    @Test
    void an_id_that_came_with_the_file_is_taken_too() {
        Body sedge = openShop(LengthUnit.MILLIMETRE).bodies().get("sedge");
        String first = bodies.record(sedge).timeline().get(0).id();
        assertThat(bodies.log(sedge, reading(first, 24)).id()).isEqualTo(first);
        assertThat(bodies.record(sedge).timeline()).doesNotHaveDuplicates();
    }

    /** Ids are compared letter by letter: what differs in case or by a space is another entry. */
    @Test
    void ids_that_only_look_alike_are_different_entries() {
        Body sedge = openShop(LengthUnit.MILLIMETRE).bodies().get("sedge");
        int before = bodies.standing(sedge).entries();
        for (String id : new String[] {"a", "A", "a ", "ä"}) {
            assertThat(bodies.log(sedge, reading(id, 24)).id()).isEqualTo(id);
        }
        assertThat(bodies.standing(sedge).entries()).isEqualTo(before + 4);
    }

    @Test
    void sixteen_at_once_with_one_id_leave_one_entry() throws Exception {
        Body sedge = openShop(LengthUnit.MILLIMETRE).bodies().get("sedge");
        String id = UUID.randomUUID().toString();
        int before = bodies.standing(sedge).entries();
        ExecutorService hands = Executors.newFixedThreadPool(8);
        List<Callable<AsBuilt.Entry>> sends = java.util.stream.IntStream.range(0, 16)
                .<Callable<AsBuilt.Entry>>mapToObj(i -> () -> bodies.log(sedge, reading(id, 20 + i)))
                .toList();
        List<Future<AsBuilt.Entry>> answers = hands.invokeAll(sends);
        hands.shutdown();
        AsBuilt.Entry first = answers.get(0).get();
        for (Future<AsBuilt.Entry> answer : answers) {
            assertThat(answer.get()).isEqualTo(first);
        }
        assertThat(bodies.standing(sedge).entries()).isEqualTo(before + 1);
    }

    @Test
    void of_two_editors_the_second_is_told_and_nothing_of_the_first_is_lost() {
        Shop shop = openShop(LengthUnit.MILLIMETRE);
        Body sedge = shop.bodies().get("sedge");
        ObjectNode mine = bodies.head(sedge).file().deepCopy();
        ((ObjectNode) mine.get("design")).put("thickness", "43 mm");
        ObjectNode theirs = bodies.head(sedge).file().deepCopy();
        ((ObjectNode) theirs.get("design")).put("thickness", "42 mm");
        assertThat(bodies.save(sedge, 1, theirs, "them")).isEqualTo(2);
        assertThatThrownBy(() -> bodies.save(sedge, 1, mine, "me")).isInstanceOf(Stale.class);
        assertThat(bodies.head(sedge).design().path("thickness").asString()).isEqualTo("42 mm");
        assertThat(bodies.revision(sedge, 1)
                        .orElseThrow()
                        .design()
                        .path("thickness")
                        .asString())
                .isEqualTo("44.5 mm");
    }

    /** What the database keeps of every body beside its rows is what the rows say. */
    @Test
    void how_far_a_body_has_come_is_what_its_rows_say() {
        Shop shop = openShop(LengthUnit.MILLIMETRE);
        Body sedge = shop.bodies().get("sedge");
        ObjectNode renamed = bodies.head(sedge).file().deepCopy();
        ((ObjectNode) renamed.get("design")).put("name", "Sedge \u00e9 \"two\"");
        bodies.save(sedge, 1, renamed, "me");
        bodies.log(sedge, new AsBuilt.Settled("n-1", "2026-11-28T10:00:00Z", "Mo \u00c9", "n-0"));
        bodies.log(sedge, new AsBuilt.Settled("n-1", "2026-11-28T10:00:00Z", "Mo \u00c9", "n-0"));
        assertThat(bodies.standing(shop.maker().shop())).allSatisfy(s -> {
            assertThat(s.revision()).isEqualTo(bodies.head(s.body()).number());
            assertThat(s.name()).isEqualTo(bodies.head(s.body()).name());
            assertThat(s.entries()).isEqualTo(bodies.record(s.body()).timeline().size());
        });
        assertThat(bodies.standing(shop.maker().shop()))
                .filteredOn(s -> s.isCalled("\u00c9 \"TWO"))
                .extracting(BodyStore.Standing::body)
                .containsExactly(sedge);
        assertThat(log.hands(shop.maker().shop()))
                .contains("Mo \u00c9")
                .containsExactlyInAnyOrderElementsOf(
                        log.logged(shop.maker().shop(), new LogStore.LogPage(null, "", "", null, 10_000)).stream()
                                .map(l -> l.entry().by())
                                .filter(by -> !by.isEmpty())
                                .distinct()
                                .toList());
    }

    /** Steps that may happen once stand in the shop's queue while readings of the same body come: neither waits for the other in a ring. */
    @Test
    void what_happens_once_and_what_may_happen_often_do_not_hold_each_other_up() throws Exception {
        Shop shop = openShop(LengthUnit.MILLIMETRE);
        Body shale = shop.bodies().get("shale");
        int before = bodies.standing(shale).entries();
        AtomicInteger next = new AtomicInteger();
        List<Callable<Object>> presses = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            presses.add(() -> bodies.log(shale, reading("often-" + next.incrementAndGet(), 24)));
            presses.add(() -> bodies.logOnce(shale, done("cavity-" + next.incrementAndGet())));
        }
        ExecutorService tablets = Executors.newFixedThreadPool(6);
        try {
            for (Future<Object> pressed : tablets.invokeAll(presses)) {
                pressed.get();
            }
        } finally {
            tablets.shutdownNow();
        }
        assertThat(bodies.record(shale).timeline()).hasSize(before + presses.size());
        assertThat(bodies.standing(shale).entries()).isEqualTo(before + presses.size());
    }

    @Test
    void another_shops_body_is_not_there() {
        Body other = openShop(LengthUnit.MILLIMETRE).bodies().get("sedge");
        Shop mine = openShop(LengthUnit.INCH);
        assertThatThrownBy(() -> bodies.find(mine.maker().shop(), other.publicId()))
                .isInstanceOf(NotHere.class);
        assertThat(bodies.standing(mine.maker().shop()))
                .hasSize(DemoBodies.NAMES.size())
                .allMatch(b -> b.body().shop() == mine.maker().shop());
        assertThat(log.logged(mine.maker().shop(), new LogStore.LogPage(null, "", "", null, 1000)))
                .allMatch(l -> l.body().shop() == mine.maker().shop());
    }

    @Test
    void bodies_are_numbered_per_shop() {
        assertThat(openShop(LengthUnit.INCH).bodies().values())
                .extracting(Body::number)
                .containsExactly(1, 2, 3, 4, 5, 6);
    }

    /** The app's own database user cannot change or take out what was done, nor a revision. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "update entry set entry = '{}'",
                "delete from entry",
                "update revision set made_by = 'x'",
                "delete from revision",
                "delete from body",
                "delete from board_state",
                "update board_state set place = 'GONE'",
                "update moisture set percent = 1",
                "delete from cut_done",
                "update ways set ways = '{}'",
                "drop table entry",
                "update how_far set entries = 0",
                "delete from hand",
                "update maker set password = 'x'",
                "update maker_password set password = 'x'",
                "delete from maker_gone",
                "update timer set ends_at = 0",
                "delete from timer",
                "delete from timer_off",
                "update body_put_by set put_by = false",
                "update invitation set ends_at = 1",
                "delete from invitation_used",
                "create table x (a int)"
            })
    void the_record_cannot_be_rewritten(String statement) {
        assertThatThrownBy(() -> sql.sql(statement).update()).rootCause().hasMessageContaining("denied");
    }

    @Test
    void a_revision_that_is_no_json_is_refused_by_the_database_itself() {
        Body sedge = openShop(LengthUnit.INCH).bodies().get("sedge");
        assertThatThrownBy(() -> sql.sql(
                                "insert into revision (shop, body, number, file, made_by) values (:s, :b, 9, 'no json', 'x')")
                        .param("s", sedge.shop())
                        .param("b", sedge.id())
                        .update())
                .hasMessageContaining("CONSTRAINT");
    }

    @Test
    void a_stored_body_plans_like_its_file() {
        Body sedge = openShop(LengthUnit.MILLIMETRE).bodies().get("sedge");
        AsBuilt record = bodies.record(sedge);
        assertThat(BuildFile.write(bodies.head(sedge).file(), record))
                .isEqualTo(BuildFile.write(
                        DemoBodies.read("sedge").withoutRecord(),
                        DemoBodies.read("sedge").build().asBuilt()));
    }
}
