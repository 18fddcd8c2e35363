package ebauche.app.blank;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.body.Bodies;
import ebauche.app.body.Body;
import ebauche.app.body.BodyStore;
import ebauche.app.testing.WithVisitor;
import ebauche.app.timber.BoardStore;
import ebauche.app.timber.Shelved;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.timber.Board;
import ebauche.core.timber.Rings;
import ebauche.core.timber.Rise;
import ebauche.core.timber.Side;
import ebauche.core.timber.Species;
import ebauche.exchange.rack.BoardFile;
import java.net.http.HttpResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Two bodies out of one board: laid out, kept and cut together, each in its turn, all or none. */
class TogetherPagesTest extends WithVisitor {
    private static final Pattern ORDER = Pattern.compile("name=\"bodyOf\" value=\"([^\"]+)\"");

    @Autowired
    private Bodies current;

    @Autowired
    private BodyStore store;

    @Autowired
    private BoardStore boards;

    @Autowired
    private CutPlanStore cutPlans;

    private Body shale;
    private Body twin;

    /** A second body like the first, and a rack with one board that is long enough for two. */
    @BeforeEach
    void twoAlikeAndOneBoard() {
        shale = shop.bodies().get("shale");
        long of = shale.shop();
        twin = store.add(of, store.head(shale).file(), AsBuilt.NOTHING_YET, "me");
        boards.rack(of).forEach(s -> boards.keep(s, s.state(), s.file(), Shelved.Place.GONE, Optional.empty(), "me"));
        Species ash = current.current(shale).plan().build().design().blank().species();
        boards.add(
                of,
                BoardFile.write(new Board(
                        "L1",
                        ash,
                        false,
                        1150,
                        400,
                        52,
                        Rings.FLAT,
                        Optional.of(Side.A),
                        Rise.TO_FAR_END,
                        0,
                        OptionalDouble.empty(),
                        List.of(),
                        List.of())),
                "me");
    }

    private String here(Body body) {
        return "/bodies/" + body.publicId();
    }

    private String page() {
        return me.get(here(shale) + "/blank/together?with=" + twin.publicId()).body();
    }

    private static List<String> order(String page) {
        Matcher found = ORDER.matcher(page);
        return found.results().map(m -> m.group(1)).toList();
    }

    private HttpResponse<String> keep(List<String> order, List<Integer> bases) {
        Map<String, List<String>> fields = new LinkedHashMap<>();
        fields.put("with", List.of(twin.publicId()));
        fields.put("taste", List.of("BALANCED"));
        fields.put("bodyOf", order);
        fields.put("base", bases.stream().map(String::valueOf).toList());
        return me.postAll(here(shale) + "/blank/together", here(shale) + "/blank/together", fields);
    }

    private Body body(String publicId) {
        return store.find(shale.shop(), publicId);
    }

    @Test
    void two_blanks_come_out_of_one_board_each_cut_in_its_turn() {
        String page = page();
        assertThat(page).contains("cut that one first").contains("another");
        List<String> order = order(page);
        assertThat(order).containsExactlyInAnyOrder(shale.publicId(), twin.publicId());
        assertThat(keep(order, List.of(1, 1)).statusCode()).isEqualTo(302);
        Body first = body(order.get(0));
        Body second = body(order.get(1));
        assertThat(store.head(first).number()).isEqualTo(2);
        assertThat(store.head(second).number()).isEqualTo(2);

        String waiting = me.get(here(second) + "/cut-list").body();
        assertThat(waiting).contains("is left once the other body").contains("L1-1");
        HttpResponse<String> early = cut(second);
        assertThat(early.statusCode()).isEqualTo(409);
        assertThat(early.body()).contains("is not on the rack");
        assertThat(boards.rack(shale.shop())).hasSize(1);

        assertThat(cut(first).statusCode()).isEqualTo(302);
        assertThat(boards.rack(shale.shop()))
                .extracting(s -> s.board().name())
                .contains("L1-1")
                .doesNotContain("L1");
        assertThat(cut(second).statusCode()).isEqualTo(302);
        assertThat(boards.rack(shale.shop())).extracting(s -> s.board().name()).doesNotContain("L1-1");
        assertThat(me.get(here(second) + "/cut-list").body()).doesNotContain("cut that one first");
    }

    private HttpResponse<String> cut(Body body) {
        long plan = cutPlans.latest(body).orElseThrow().id();
        return me.post(here(body) + "/cut-list", here(body) + "/cut-list", Map.of("plan", String.valueOf(plan)));
    }

    /** One of the two was changed meanwhile: neither blank is kept, and none is cut into half a plan. */
    @Test
    void if_one_of_them_was_changed_meanwhile_nothing_is_kept() {
        List<String> order = order(page());
        Body second = body(order.get(1));
        store.save(second, 1, store.head(second).file(), "somebody");
        HttpResponse<String> answer = keep(order, List.of(1, 1));
        assertThat(answer.statusCode()).isEqualTo(409);
        assertThat(answer.body()).contains("Nothing was saved; look again.");
        assertThat(cutPlans.latest(body(order.get(0)))).isEmpty();
        assertThat(store.head(body(order.get(0))).number()).isEqualTo(1);
        // another order than the one that was shown is another plan
        assertThat(keep(List.of(order.get(1), order.get(0)), List.of(2, 1)).statusCode())
                .isEqualTo(409);
        assertThat(keep(order, List.of(1)).statusCode()).isEqualTo(409);
    }

    @Test
    void a_rack_that_gives_only_one_says_so_and_more_than_three_are_refused() {
        boards.rack(shale.shop())
                .forEach(s -> boards.keep(s, s.state(), s.file(), Shelved.Place.GONE, Optional.empty(), "me"));
        assertThat(page()).contains("The rack does not give them all").doesNotContain("id=\"keep\"");
        String many = "?with=" + twin.publicId() + "&with=a&with=b";
        HttpResponse<String> four = me.get(here(shale) + "/blank/together" + many);
        assertThat(four.statusCode()).isEqualTo(422);
        assertThat(four.body()).contains("Up to 3 bodies are laid out together");
        assertThat(me.get(here(shale) + "/blank/together?with=nobody").statusCode())
                .isEqualTo(404);
    }
}
