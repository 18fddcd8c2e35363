package ebauche.app.ways;

import ebauche.core.shop.Cutting;
import ebauche.core.shop.Gluing;
import ebauche.core.timber.Timbers;
import ebauche.exchange.file.ShopPart;
import tools.jackson.databind.node.ObjectNode;

/**
 * How a shop cuts and joins its blanks: one numbered state, never changed once it is there.
 *
 * @param number 0 before anything was kept
 * @param json a build file's shop part; shared, so copied before anything is changed
 */
public record Ways(int number, ObjectNode json, ShopPart means) {
    public static Ways of(int number, ObjectNode json) {
        return new Ways(number, json, ShopPart.read(json));
    }

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
