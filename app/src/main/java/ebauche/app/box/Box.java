package ebauche.app.box;

import ebauche.app.ways.Ways;
import ebauche.app.words.Words;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.exchange.table.BoxFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The hardware box of a shop: its own parts first, then the generic ones that ship. */
public final class Box {
    private final List<InBox> parts = new ArrayList<>();

    private Box() {}

    /**
     * A part in the box.
     *
     * @param key by which it is picked
     * @param from where its sizes come from
     * @param place among the shop's own, or -1 for one that ships
     */
    public record InBox(String key, Part part, String from, int place) {
        public boolean own() {
            return place >= 0;
        }
    }

    public static Box of(Ways ways) {
        Box box = new Box();
        List<Part> own = ways.means().box();
        for (int i = 0; i < own.size(); i++) {
            box.parts.add(new InBox("own:" + own.get(i).name(), own.get(i), Words.say("box.as-the-shop-typed-it"), i));
        }
        BoxFile.SHIPPED.forEach(g -> box.parts.add(new InBox("usual:" + g.key(), g.part(), g.from(), -1)));
        return box;
    }

    public List<InBox> all() {
        return List.copyOf(parts);
    }

    public List<InBox> of(PartKind kind) {
        return parts.stream().filter(p -> p.part().kind() == kind).toList();
    }

    /** Parts that could stand in the place of one: bridges for a bridge, controls for a control, a jack's dish for a cover. */
    public List<InBox> insteadOf(PartKind kind) {
        return parts.stream()
                .filter(p -> kind.isBridge()
                        ? p.part().kind().isBridge()
                        : kind.isControl()
                                ? p.part().kind().isControl()
                                : kind.isCover()
                                        ? p.part().kind().isCover()
                                        : p.part().kind() == kind)
                .toList();
    }

    public Optional<InBox> find(String key) {
        return parts.stream().filter(p -> p.key().equals(key)).findFirst();
    }
}
