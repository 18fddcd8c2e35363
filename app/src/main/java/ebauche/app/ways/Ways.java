package ebauche.app.ways;

import ebauche.core.shop.Cutting;
import ebauche.core.shop.Gluing;
import ebauche.core.shop.LongHoles;
import ebauche.core.timber.Timbers;
import ebauche.exchange.file.ShopFields;
import ebauche.exchange.file.ShopPart;
import java.util.List;
import tools.jackson.databind.node.ObjectNode;

/**
 * How a shop works: one numbered state, never changed once it is there.
 *
 * @param number 0 before anything was kept
 * @param holes the shop's own long holes as they were read, which its log tells
 * @param json a build file's shop part; shared, so copied before anything is changed
 */
public record Ways(int number, List<LongHoles.Own> holes, ObjectNode json, ShopPart means) {
    public static Ways of(int number, ObjectNode json) {
        return new Ways(number, List.of(), json, ShopPart.read(json));
    }

    /** The same with what its log tells of its long holes. */
    public Ways drilling(List<LongHoles.Own> own) {
        if (own.equals(holes)) {
            return this;
        }
        ObjectNode told = json.deepCopy();
        var list = told.withObject("/longHoles").putArray("own");
        own.forEach(o -> list.add(ShopFields.OWN_HOLES.write(o)));
        return new Ways(number, own, told, ShopPart.read(told));
    }

    /** Tells one state from every other. */
    public State state() {
        return new State(number, holes);
    }

    /** What a plan follows from, of a shop's ways. */
    public record State(int number, List<LongHoles.Own> holes) {}

    public Cutting cutting() {
        return means.shop().cutting();
    }

    public Gluing gluing() {
        return means.shop().gluing();
    }

    /** The timbers that ship and the shop's own. */
    public Timbers timbers() {
        return means.timbers();
    }
}
