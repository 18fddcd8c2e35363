package ebauche.exchange.file;

import ebauche.core.shop.Shop;
import ebauche.exchange.design.PartFile;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.paper.Scale;
import ebauche.exchange.table.TimberFile;

/** The {@code shop} part of a build file; what it leaves out comes from the starter shop whose version it names. */
final class ShopReader {
    private ShopReader() {}

    static ShopPart read(JsonPlace spot) {
        int version = spot.has("starter") ? spot.whole("starter") : Shop.STARTER;
        if (version != Shop.STARTER) {
            throw spot.at("starter").trouble("there is no starter shop " + version + "; the newest is " + Shop.STARTER);
        }
        Shop starter = Shop.starter(version);
        Shop shop = new Shop(
                spot.optionalObject("crib", s -> ShopFields.CRIB.read(s, starter.crib()))
                        .orElse(starter.crib()),
                spot.optionalObject("practice", s -> ShopFields.PRACTICE.read(s, starter.practice()))
                        .orElse(starter.practice()),
                spot.optionalObject("limits", s -> ShopFields.LIMITS.read(s, starter.limits()))
                        .orElse(starter.limits()),
                spot.optionalObject("cutting", s -> ShopFields.CUTTING.read(s, starter.cutting()))
                        .orElse(starter.cutting()),
                spot.optionalObject("gluing", s -> ShopFields.GLUING.read(s, starter.gluing()))
                        .orElse(starter.gluing()),
                spot.optionalObject("clearances", s -> ShopFields.CLEARANCES.read(s, starter.clearances()))
                        .orElse(starter.clearances()),
                spot.optionalObject("bands", s -> ShopFields.BANDS.read(s, starter.bands()))
                        .orElse(starter.bands()),
                spot.optionalObject("wire", s -> ShopFields.WIRE.read(s, starter.wire()))
                        .orElse(starter.wire()),
                spot.optionalObject("shielding", s -> ShopFields.SHIELDING.read(s, starter.shielding()))
                        .orElse(starter.shielding()),
                spot.optionalObject("longHoles", s -> ShopFields.LONG_HOLES.read(s, starter.longHoles()))
                        .orElse(starter.longHoles()),
                spot.optionalObject("worth", s -> ShopFields.WORTH.read(s, starter.worth()))
                        .orElse(starter.worth()),
                spot.optionalObject("rules", s -> ShopFields.RULES.read(s, starter.rules()))
                        .orElse(starter.rules()));
        // Judged here with the rest; it changes no plan, only what is printed.
        spot.optionalObject("printing", s -> new Scale(s.number("across", 1), s.number("along", 1)));
        return new ShopPart(
                shop,
                TimberFile.SHIPPED.with(OwnTimbers.timbers(spot)),
                spot.list("box", ShopFields.MOST_TOOLS, s -> s.asObject(PartFile::read)));
    }
}
