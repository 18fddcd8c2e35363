package ebauche.exchange.file;

import ebauche.core.design.BodyDesign;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Refusal;
import ebauche.core.shop.Shop;
import ebauche.exchange.design.DesignReader;
import ebauche.exchange.json.BuildFileException;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.json.JsonText;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * The build file, {@code *.ebauche.json}: design, shop and what was done, from which a plan can be computed.
 *
 * <p>Described in docs/format. Limits come before allocation: {@value #MOST_BYTES} bytes, {@value JsonText#DEEPEST} levels.
 *
 * @param design the JSON as it was written, so that lengths read as they were typed
 * @param shop the JSON, empty where the starter shop serves
 * @param build what they mean
 */
public record BuildFile(ObjectNode design, ObjectNode shop, Build build) {
    public static final String FORMAT = "ebauche-build";
    public static final int VERSION = 2;
    public static final int MOST_BYTES = 4_000_000;
    private static final int MOST_ENTRIES = 20_000;

    /**
     * Reads a build file.
     *
     * @throws BuildFileException with the place and the reason, if it cannot be read
     */
    public static BuildFile read(byte[] bytes) {
        if (bytes.length > MOST_BYTES) {
            throw new BuildFileException(
                    "", "the file has " + bytes.length + " bytes; at most " + MOST_BYTES + " are read");
        }
        return of(JsonText.tree(bytes));
    }

    /** Reads a build file that is parsed already. */
    public static BuildFile of(JsonNode tree) {
        try {
            return JsonPlace.root(EarlierVersions.raised(tree)).asObject(BuildFile::file);
        } catch (BuildFileException e) {
            throw new BuildFileException(EarlierVersions.placeIn(tree, e.place()), e.getMessage());
        }
    }

    /**
     * A file as it was stored, whatever version wrote it, as the present version has it. Nothing in it is read.
     *
     * @throws BuildFileException if it is no JSON
     */
    public static ObjectNode stored(byte[] json) {
        return (ObjectNode) EarlierVersions.raised(JsonText.tree(json));
    }

    /** The same file with nothing done yet: what a revision of the design keeps. */
    public ObjectNode withoutRecord() {
        ObjectNode root = header();
        root.set("design", design);
        if (!shop.isEmpty()) {
            root.set("shop", shop);
        }
        return root;
    }

    private static ObjectNode header() {
        return JsonNodeFactory.instance.objectNode().put("format", FORMAT).put("version", VERSION);
    }

    private static BuildFile file(JsonPlace root) {
        if (!root.text("format", 60).equals(FORMAT)) {
            throw root.at("format").trouble("must be “" + FORMAT + "”: this is another kind of file");
        }
        int version = root.whole("version");
        if (version > VERSION) {
            throw root.at("version")
                    .trouble("the file is of version " + version + ", and this program reads up to " + VERSION
                            + ". Open it with a newer program");
        }
        if (version < 1) {
            throw root.at("version").trouble("must be 1 or more");
        }
        ShopPart part = root.optionalObject("shop", ShopReader::read).orElse(ShopPart.STARTER);
        BodyDesign design = root.object("design", s -> DesignReader.read(s, part.timbers()));
        List<AsBuilt.Entry> entries = root.optionalObject(
                        "asBuilt", s -> s.list("timeline", MOST_ENTRIES, Timeline::read))
                .orElse(List.of());
        ObjectNode shopJson =
                root.has("shop") ? (ObjectNode) root.at("shop").node() : JsonNodeFactory.instance.objectNode();
        AsBuilt record = record(entries);
        try {
            return new BuildFile(
                    (ObjectNode) root.at("design").node(), shopJson, new Build(design, part.shop(), record));
        } catch (Refusal refusal) {
            throw inRecord(design, part.shop(), record, refusal);
        }
    }

    /** A build that its record makes impossible: the first entry with which it is. */
    private static BuildFileException inRecord(BodyDesign design, Shop shop, AsBuilt record, Refusal refusal) {
        List<AsBuilt.Entry> timeline = record.timeline();
        for (int i = 0; i <= timeline.size(); i++) {
            try {
                new Build(design, shop, new AsBuilt(timeline.subList(0, i)));
            } catch (Refusal first) {
                String place = i == 0 ? "design" : "asBuilt.timeline[" + i + "]." + first.field();
                return new BuildFileException(place, first.getMessage());
            }
        }
        return new BuildFileException("asBuilt", refusal.getMessage());
    }

    private static AsBuilt record(List<AsBuilt.Entry> entries) {
        try {
            return new AsBuilt(entries);
        } catch (IllegalArgumentException e) {
            throw new BuildFileException("asBuilt.timeline", e.getMessage());
        }
    }

    /** Reads one entry of the record, as it was stored; one that cannot be read comes back as such, under its id. */
    public static AsBuilt.Entry stored(String json, String otherId) {
        String id = otherId;
        try {
            JsonNode tree = JsonText.tree(json);
            id = tree.path("id").asString(otherId);
            return Timeline.read(JsonPlace.root(tree));
        } catch (BuildFileException unreadable) {
            return new AsBuilt.Unreadable(id, "", "", unreadable.inWords());
        }
    }

    /** Reads one entry of the record. */
    public static AsBuilt.Entry entry(ObjectNode entry) {
        return Timeline.read(JsonPlace.root(entry));
    }

    /**
     * Writes a build file.
     *
     * @param withoutRecord a file as {@link #withoutRecord} gives it
     */
    public static byte[] write(ObjectNode withoutRecord, AsBuilt asBuilt) {
        ObjectNode root = withoutRecord.deepCopy();
        if (!asBuilt.timeline().isEmpty()) {
            var timeline = root.putObject("asBuilt").putArray("timeline");
            asBuilt.timeline().stream()
                    .filter(e -> !(e instanceof AsBuilt.Unreadable))
                    .forEach(e -> timeline.add(Timeline.write(e)));
        }
        return JsonText.bytes(root);
    }
}
