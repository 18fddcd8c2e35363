package ebauche.app.timber;

import ebauche.app.ways.Ways;
import ebauche.app.ways.WaysStore;
import ebauche.app.web.NotHere;
import ebauche.app.web.PublicIds;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.memo.Memo;
import ebauche.core.timber.MoistureReading;
import ebauche.core.timber.Timbers;
import ebauche.exchange.json.JsonText;
import ebauche.exchange.rack.BoardFile;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.ObjectNode;

/** The boards of each shop: their states and their moisture readings, only ever added to. */
@Repository
public class BoardStore {
    private static final double MILLIS_A_DAY = 86_400_000.0;

    /** What a board weighs, bytes for each letter of its file: the file itself, as a tree, and the board. */
    private static final int READ = 20;

    private static final String NEWEST = """
            select b.id, b.public_id, s.number, s.place, s.board_file
            from board b join board_state s on s.shop = b.shop and s.board = b.id
            where b.shop = :shop and s.number =
                (select max(n.number) from board_state n where n.shop = b.shop and n.board = b.id)
            """;

    private final JdbcClient sql;
    private final WaysStore ways;

    public BoardStore(JdbcClient sql, WaysStore ways) {
        this.sql = sql;
        this.ways = ways;
    }

    private record Row(long id, String publicId, int number, String place, String boardFile) {}

    /** All that a board is read from; the timbers are those of the shop's ways of that number. */
    private record Asked(long shop, Row row, List<Shelved.Measured> readings, int ways) {}

    /** The boards on the rack, by name. */
    public List<Shelved> rack(long shop) {
        List<Row> rows = sql.sql(NEWEST + " and s.place = 'RACK' order by b.id")
                .param("shop", shop)
                .query(Row.class)
                .list();
        Map<Long, List<Shelved.Measured>> readings = readings(shop);
        Ways now = ways.of(shop);
        return rows.stream()
                .map(r -> shelved(
                        new Asked(shop, r, readings.getOrDefault(r.id(), List.of()), now.number()), now.timbers()))
                .toList();
    }

    /**
     * The board at an address of this shop, wherever it is now.
     *
     * @throws NotHere if there is none
     */
    public Shelved find(long shop, String publicId) {
        Row row = sql.sql(NEWEST + " and b.public_id = :id")
                .param("shop", shop)
                .param("id", PublicIds.read(publicId))
                .query(Row.class)
                .optional()
                .orElseThrow(NotHere::new);
        Ways now = ways.of(shop);
        return shelved(
                new Asked(shop, row, readings(shop).getOrDefault(row.id(), List.of()), now.number()), now.timbers());
    }

    /** A board's file, read once as long as nothing changes that it is read with. */
    private static Shelved shelved(Asked asked, Timbers timbers) {
        return Memo.here()
                .get(
                        asked,
                        () -> read(asked, timbers),
                        s -> READ * (long) asked.row().boardFile().length());
    }

    private static Shelved read(Asked asked, Timbers timbers) {
        Row row = asked.row();
        ObjectNode file = (ObjectNode) JsonText.tree(row.boardFile());
        List<MoistureReading> moisture = asked.readings().stream()
                .map(m -> new MoistureReading(day(m.at()), m.percent()))
                .toList();
        return new Shelved(
                asked.shop(),
                row.id(),
                row.publicId(),
                row.number(),
                Shelved.Place.valueOf(row.place()),
                file,
                BoardFile.read(file, timbers, moisture),
                asked.readings());
    }

    /** A moment as core counts days. */
    public static double day(Instant at) {
        return at.toEpochMilli() / MILLIS_A_DAY;
    }

    private Map<Long, List<Shelved.Measured>> readings(long shop) {
        Map<Long, List<Shelved.Measured>> byBoard = new HashMap<>();
        sql.sql("""
                select m.id, m.board, m.percent, m.measured_at, m.made_by from moisture m
                where m.shop = :shop and m.withdraws is null and not exists
                    (select 1 from moisture w where w.shop = m.shop and w.withdraws = m.id)
                order by m.measured_at, m.id
                """)
                .param("shop", shop)
                .query((row, n) -> byBoard.computeIfAbsent(row.getLong("board"), b -> new ArrayList<>())
                        .add(new Shelved.Measured(
                                row.getLong("id"),
                                row.getDouble("percent"),
                                row.getTimestamp("measured_at").toInstant(),
                                row.getString("made_by"))))
                .list();
        return byBoard;
    }

    /** Puts a board on the rack. */
    @Transactional
    public String add(long shop, ObjectNode file, String by) {
        String publicId = PublicIds.next();
        GeneratedKeyHolder key = new GeneratedKeyHolder();
        sql.sql("insert into board (shop, public_id) values (:shop, :publicId)")
                .param("shop", shop)
                .param("publicId", publicId)
                .update(key, "id");
        insert(shop, key.getKey().longValue(), 0, file, Shelved.Place.RACK, Optional.empty(), by);
        return publicId;
    }

    /**
     * Keeps a board's next state.
     *
     * @param basedOn number of the state that was edited
     * @throws Stale if it is no longer the newest
     */
    public void keep(Shelved board, int basedOn, ObjectNode file, Shelved.Place place, Optional<Long> body, String by) {
        int newest = sql.sql("select max(number) from board_state where shop = :shop and board = :board")
                .param("shop", board.shop())
                .param("board", board.id())
                .query(Integer.class)
                .single();
        if (newest != basedOn) {
            throw new Stale(
                    Words.say("board-store.was-changed-meanwhile", board.board().name()));
        }
        try {
            insert(board.shop(), board.id(), basedOn, file, place, body, by);
        } catch (DuplicateKeyException sameMoment) {
            throw new Stale(Words.say(
                    "board-store.was-changed-at-the-same-moment", board.board().name()));
        }
    }

    private void insert(
            long shop, long board, int basedOn, ObjectNode file, Shelved.Place place, Optional<Long> body, String by) {
        sql.sql("""
                insert into board_state (shop, board, number, based_on, board_file, place, body, made_by)
                values (:shop, :board, :number, nullif(:basedOn, 0), :file, :place, :body, :by)
                """)
                .param("shop", shop)
                .param("board", board)
                .param("number", basedOn + 1)
                .param("basedOn", basedOn)
                .param("file", file.toString())
                .param("place", place.name())
                .param("body", body.orElse(null))
                .param("by", by)
                .update();
    }

    /** Adds a reading; one whose id the shop already has is not added again. */
    public void measure(Shelved board, String clientId, double percent, Instant at, String by) {
        try {
            sql.sql("""
                    insert into moisture (shop, board, client_id, percent, measured_at, made_by)
                    values (:shop, :board, :client, :percent, :at, :by)
                    """)
                    .param("shop", board.shop())
                    .param("board", board.id())
                    .param("client", clientId)
                    .param("percent", percent)
                    .param("at", Timestamp.from(at))
                    .param("by", by)
                    .update();
        } catch (DuplicateKeyException repeated) {
            // The first answer stands: the same reading sent twice counts once.
            return;
        }
    }

    /** Withdraws a reading of this board; withdrawn twice is withdrawn once. */
    public void withdraw(Shelved board, long reading, String by) {
        boolean itsOwn = board.readings().stream().anyMatch(m -> m.id() == reading);
        if (!itsOwn) {
            return;
        }
        try {
            sql.sql("""
                    insert into moisture (shop, board, client_id, percent, withdraws, made_by)
                    values (:shop, :board, :client, 0, :reading, :by)
                    """)
                    .param("shop", board.shop())
                    .param("board", board.id())
                    .param("client", "withdraws-" + reading)
                    .param("reading", reading)
                    .param("by", by)
                    .update();
        } catch (DuplicateKeyException repeated) {
            return;
        }
    }
}
