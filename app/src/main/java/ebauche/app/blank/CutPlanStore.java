package ebauche.app.blank;

import ebauche.app.body.Body;
import ebauche.app.timber.BoardStore;
import ebauche.app.timber.Shelved;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.exchange.json.JsonText;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.ObjectNode;

/** The cut plans of each body, only ever added to; the newest counts. */
@Repository
class CutPlanStore {
    private final JdbcClient sql;
    private final BoardStore boards;

    CutPlanStore(JdbcClient sql, BoardStore boards) {
        this.sql = sql;
        this.boards = boards;
    }

    void keep(Body body, ObjectNode plan, String by) {
        sql.sql("insert into cut_plan (shop, body, plan, made_by) values (:shop, :body, :plan, :by)")
                .param("shop", body.shop())
                .param("body", body.id())
                .param("plan", plan.toString())
                .param("by", by)
                .update();
    }

    Optional<CutPlan> latest(Body body) {
        return sql.sql("""
                select p.id, p.plan, p.made_by, p.made_at, d.cut_plan from cut_plan p
                left join cut_done d on d.shop = p.shop and d.cut_plan = p.id
                where p.shop = :shop and p.body = :body order by p.id desc limit 1
                """)
                .param("shop", body.shop())
                .param("body", body.id())
                .query((row, n) -> new CutPlan(
                        row.getLong("id"),
                        row.getObject("cut_plan") != null,
                        row.getString("made_by"),
                        row.getTimestamp("made_at").toInstant().toString(),
                        (ObjectNode) JsonText.tree(row.getString("plan"))))
                .optional();
    }

    /** The board that a rest was cut from, or that the rest was cut from which it was cut from. */
    private static Shelved parent(Map<String, Shelved> cut, String name) {
        int dash = name.lastIndexOf('-');
        if (dash < 0) {
            return null;
        }
        String whole = name.substring(0, dash);
        return cut.containsKey(whole) ? cut.get(whole) : parent(cut, whole);
    }

    /** The rest that another body's blank was to leave, as it was laid out. */
    private Shelved left(long shop, CutPlan.Used used) {
        return boards.rack(shop).stream()
                .filter(s -> s.file().equals(used.file()))
                .findFirst()
                .orElseThrow(() -> new Stale(Words.say("cut-plan-store.is-not-on-the-rack-it", used.name())));
    }

    /**
     * Logs that a plan was cut: its boards leave the rack, its offcuts come onto it with their board's readings; whole or
     * not at all.
     *
     * @throws Stale if a board is no longer as it was planned with, or the plan was cut already
     */
    @Transactional
    public void cut(Body body, CutPlan plan, String by) {
        try {
            sql.sql("insert into cut_done (shop, cut_plan, made_by) values (:shop, :plan, :by)")
                    .param("shop", body.shop())
                    .param("plan", plan.id())
                    .param("by", by)
                    .update();
        } catch (DuplicateKeyException already) {
            throw new Stale(Words.say("cut-plan-store.this-blank-was-cut-already"));
        }
        Map<String, Shelved> cut = new HashMap<>();
        Set<String> awaited = plan.awaited().stream().map(CutPlan.Used::name).collect(Collectors.toUnmodifiableSet());
        for (CutPlan.Used used : plan.boards()) {
            if (used.isToCome() && !awaited.contains(used.name())) {
                continue;
            }
            Shelved board = used.isToCome() ? left(body.shop(), used) : boards.find(body.shop(), used.publicId());
            cut.putIfAbsent(board.board().name(), board);
            if (board.place() != Shelved.Place.RACK) {
                throw new Stale(Words.say(
                        "cut-plan-store.is-no-longer-on-the-rack", board.board().name()));
            }
            boards.keep(
                    board,
                    used.isToCome() ? board.state() : used.state(),
                    board.file(),
                    Shelved.Place.CUT,
                    Optional.of(body.id()),
                    by);
        }
        for (ObjectNode offcut : plan.offcutFiles()) {
            if (plan.isCutAgain(offcut)) {
                continue;
            }
            String name = offcut.path("name").asString("");
            String id = boards.add(body.shop(), offcut, by);
            Shelved parent = parent(cut, name);
            Shelved fresh = boards.find(body.shop(), id);
            if (parent != null) {
                parent.readings()
                        .forEach(r -> boards.measure(fresh, UUID.randomUUID().toString(), r.percent(), r.at(), r.by()));
            }
        }
    }
}
