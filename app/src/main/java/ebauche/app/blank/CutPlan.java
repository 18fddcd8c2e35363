package ebauche.app.blank;

import ebauche.app.timber.Shelved;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.layout.Cut;
import ebauche.core.layout.Layout;
import ebauche.core.layout.Piece;
import ebauche.core.timber.Board;
import ebauche.core.timber.Timbers;
import ebauche.exchange.rack.BoardFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Which boards a kept blank is cut from, in which state they were, how, and what goes back on the rack.
 *
 * @param id in the shop
 * @param done whether it was cut
 */
public record CutPlan(long id, boolean done, String madeBy, String madeAt, ObjectNode json) {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    /**
     * A board to be cut, in the state that was planned with.
     *
     * @param publicId empty for a rest that another body's blank is to leave
     */
    public record Used(String publicId, int state, ObjectNode file) {
        /** Whether it is on the rack only once another body's blank is cut. */
        public boolean isToCome() {
            return publicId.isEmpty();
        }

        public String name() {
            return file.path("name").asString("");
        }
    }

    /** Where a piece lies in its board, numbered as in its layer. */
    public record Place(
            String layer, int number, String board, double fromEnd, double fromEdge, double along, double across) {}

    /**
     * How layers are cut.
     *
     * @param toCome rests that other bodies' blanks are to leave
     * @throws Stale if a board is no longer on the rack as it was laid out
     */
    static ObjectNode of(List<Layout> layers, List<Shelved> rack, List<Board> toCome) {
        ObjectNode out = JSON.objectNode();
        ArrayNode boards = out.putArray("boards");
        ArrayNode pieces = out.putArray("pieces");
        ArrayNode cuts = out.putArray("cuts");
        ArrayNode offcuts = out.putArray("offcuts");
        ArrayNode gives = out.putArray("gives");
        List<Board> there = new ArrayList<>(toCome);
        for (int i = 0; i < layers.size(); i++) {
            String layer = i == 0 ? "blank" : "top";
            Layout layout = layers.get(i);
            layout.boards().forEach(b -> boards.add(used(b, rack, there)));
            for (int p = 0; p < layout.pieces().size(); p++) {
                pieces.add(place(layer, p + 1, layout.pieces().get(p)));
            }
            layout.cuts().forEach(c -> cuts.add(cut(layer, c)));
            layout.offcuts().forEach(o -> offcuts.add(BoardFile.write(o)));
            there.addAll(layout.offcuts());
            layout.offcuts().forEach(o -> gives.add(layout.gives(o)));
        }
        return out;
    }

    private static ObjectNode used(Board board, List<Shelved> rack, List<Board> toCome) {
        Optional<Shelved> shelved =
                rack.stream().filter(s -> s.board().equals(board)).findFirst();
        if (shelved.isEmpty() && !toCome.contains(board)) {
            throw new Stale(Words.say("cut-plan.is-no-longer-on-the-rack", board.name()));
        }
        ObjectNode out = JSON.objectNode()
                .put("id", shelved.map(Shelved::publicId).orElse(""))
                .put("state", shelved.map(Shelved::state).orElse(0));
        out.set("file", shelved.map(Shelved::file).orElseGet(() -> BoardFile.write(board)));
        return out;
    }

    private static ObjectNode place(String layer, int number, Piece piece) {
        return JSON.objectNode()
                .put("layer", layer)
                .put("number", number)
                .put("board", piece.board().name())
                .put("fromEnd", piece.fromEnd())
                .put("fromEdge", piece.fromEdge())
                .put("along", piece.length())
                .put("across", piece.roughWidth());
    }

    private static ObjectNode cut(String layer, Cut cut) {
        return JSON.objectNode()
                .put("layer", layer)
                .put("kind", cut.kind().name())
                .put("board", cut.board())
                .put("at", cut.at())
                .put("kerf", cut.kerf())
                .put("gives", cut.gives());
    }

    public List<Used> boards() {
        List<Used> all = new ArrayList<>();
        json.path("boards")
                .forEach(b -> all.add(
                        new Used(b.path("id").asString(""), b.path("state").asInt(), (ObjectNode) b.get("file"))));
        return all;
    }

    public List<Place> pieces() {
        List<Place> all = new ArrayList<>();
        json.path("pieces")
                .forEach(p -> all.add(new Place(
                        p.path("layer").asString(""),
                        p.path("number").asInt(),
                        p.path("board").asString(""),
                        p.path("fromEnd").asDouble(),
                        p.path("fromEdge").asDouble(),
                        p.path("along").asDouble(),
                        p.path("across").asDouble())));
        return all;
    }

    public List<Cut> cuts() {
        List<Cut> all = new ArrayList<>();
        json.path("cuts")
                .forEach(c -> all.add(new Cut(
                        Cut.Kind.valueOf(c.path("kind").asString("")),
                        c.path("board").asString(""),
                        c.path("at").asDouble(),
                        c.path("kerf").asDouble(),
                        c.path("gives").asString(""))));
        return all;
    }

    public List<ObjectNode> offcutFiles() {
        List<ObjectNode> all = new ArrayList<>();
        for (JsonNode o : json.path("offcuts")) {
            all.add((ObjectNode) o);
        }
        return all;
    }

    /**
     * What goes back on the rack.
     *
     * @param gives what it is good for, in words; empty in plans from before that was kept
     */
    public record Rest(Board board, String gives) {}

    public List<Rest> rests(Timbers timbers) {
        List<Rest> rests = new ArrayList<>();
        List<ObjectNode> all = offcutFiles();
        for (int i = 0; i < all.size(); i++) {
            if (!isCutAgain(all.get(i))) {
                rests.add(new Rest(
                        BoardFile.read(all.get(i), timbers, List.of()),
                        json.path("gives").path(i).asString("")));
            }
        }
        return rests;
    }

    /** Whether one layer's rest goes into the next layer. */
    boolean isCutAgain(ObjectNode offcut) {
        return boards().stream().anyMatch(u -> u.isToCome() && u.file().equals(offcut));
    }

    /** Boards that another body's blank is to leave first. */
    public List<Used> awaited() {
        List<ObjectNode> own = offcutFiles();
        return boards().stream()
                .filter(u -> u.isToCome() && !own.contains(u.file()))
                .toList();
    }
}
