package ebauche.exchange.design;

import ebauche.core.design.Binding;
import ebauche.core.design.BodyDesign;
import ebauche.core.design.Contour;
import ebauche.core.design.Hand;
import ebauche.core.design.Hanging;
import ebauche.core.design.RoundOver;
import ebauche.core.design.Tab;
import ebauche.core.geometry.Outline;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Chamber;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.PartHole;
import ebauche.core.hardware.Pickup;
import ebauche.core.hardware.Shield;
import ebauche.core.hardware.Wire;
import ebauche.core.timber.Timbers;
import ebauche.exchange.json.JsonPlace;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;

/** The {@code design} part of a build file, by the fields of its elements. */
public final class DesignReader {
    private DesignReader() {}

    public static BodyDesign read(JsonPlace spot, Timbers timbers) {
        Outline outline = BodyElements.OUTLINE.of(spot);
        Hand hand = BodyElements.HAND.of(spot);
        return new BodyDesign(
                BodyElements.NAME.of(spot),
                spot.object("blank", s -> BlankReader.read(s, outline, timbers)),
                BodyElements.THICKNESS.of(spot),
                outline,
                BodyElements.SCALE.of(spot),
                spot.object("neck", NeckElements::neck),
                spot.object("strings", s -> NeckElements.strings(s, hand)),
                spot.object("bridge", BridgeElements::bridge),
                distinct(spot, "pickups", CavityElements::pickup, Pickup::id),
                distinct(spot, "controls", CavityElements::control, Control::id),
                distinct(spot, "cavities", CavityElements::cavity, Cavity::id),
                spot.optionalObject("jack", CavityElements::jack),
                distinct(
                        spot,
                        "templates",
                        BodyElements::template,
                        t -> t.feature().word()),
                distinct(spot, "holes", CavityElements::hole, PartHole::id),
                distinct(spot, "channels", CavityElements::channel, Channel::id),
                distinct(spot, "wires", CavityElements::wire, Wire::id),
                distinct(spot, "shields", CavityElements::shield, Shield::id),
                distinct(spot, "chambers", ChamberElements::chamber, Chamber::id),
                distinct(spot, "contours", s -> BodyElements.contour(s, outline), Contour::id),
                distinct(spot, "roundOvers", BodyElements::roundOver, RoundOver::id),
                distinct(spot, "bindings", s -> BodyElements.binding(s, timbers), Binding::id),
                spot.optionalObject("newCap", s -> BodyElements.recap(s, timbers)),
                distinct(spot, "tabs", BodyElements::tab, Tab::id),
                spot.optionalObject("hanging", BodyElements::hanging).orElse(Hanging.USUAL),
                BodyElements.UNDECIDED.of(spot),
                BodyElements.ENDS_AS.of(spot),
                BodyElements.ORDER.of(spot));
    }

    private static <T> List<T> distinct(
            JsonPlace spot, String key, Function<JsonPlace, T> reader, Function<T, String> id) {
        List<T> parts = spot.list(key, Element.MOST_MEMBERS, s -> s.asObject(reader));
        Set<String> seen = new HashSet<>();
        for (T part : parts) {
            if (!seen.add(id.apply(part))) {
                throw spot.trouble("two parts are called “" + id.apply(part) + "”; give each its own id");
            }
        }
        return parts;
    }
}
