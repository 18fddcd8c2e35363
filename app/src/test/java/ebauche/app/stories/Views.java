package ebauche.app.stories;

import ebauche.app.testing.WithApp;
import java.util.List;

/** The views of the app, each as a maker would come to it: what must hold of every page is asked of each of them. */
final class Views {
    static final List<String> ALL = List.of(
            "/",
            "/log",
            "/bodies/take-on",
            "/bodies/take-on/other",
            "/timers",
            "/calendar",
            "/calendar?from=2031-03-28",
            "/calendar/day",
            "/calendar/week",
            "/timber",
            "/timber/new",
            "/timber/table",
            "/timber/timbers",
            "/ways",
            "/crib",
            "/crib/bits/new",
            "/crib/routers/0",
            "tussock/blank",
            "tussock/cut-list",
            "tussock/glue-up",
            "tussock/thickness",
            "tussock/template",
            "tussock/template/outline",
            "tussock/passes?cut=controls",
            "tussock/feed",
            "marram/feed?school=TABLE",
            "tussock/tiles",
            "/box",
            "/box/new/pickup",
            "sedge/parts",
            "shale/depths",
            "marram/neck",
            "tussock/cavity",
            "tussock/contours",
            "tussock/contours/forearm",
            "marram/contours/top",
            "marram/contours?add=belly",
            "tussock/edges?face=front&radius=1/4%20in",
            "shale/check",
            "shale/one-page",
            "sedge/traveller",
            "tussock/balance",
            "tussock/hollow?round=32%20mm",
            "/crib/machines/new",
            "tussock/x-ray",
            "sedge/x-ray?step=neck:rout&face=BACK&move.pickup-bridge=0,-20",
            "tussock/weigh",
            "tussock/weigh?step=jack:drill&to=70",
            "tussock/what-if?thickness=40&part.bridge=usual:posts-metric",
            "/crib/saws/new",
            "/crib/aids/0",
            "sedge",
            "shale",
            "tussock?step=controls:rout",
            "sedge/design",
            "sedge/bench",
            "shale/bench?step=vibrato:rout",
            "/now",
            "/people",
            "tussock/revisions",
            "tussock/design?held=pickups.1",
            "rush/design?held=body",
            "tussock/record",
            "tussock/shielding",
            "tussock/wires",
            "tussock/cap",
            "tussock/blank/together",
            "tussock/depths",
            "tussock/weigh",
            "tussock/what-if",
            "tussock/hollow");

    private Views() {}

    /** The address of a view: one that begins with a body's name is a page of that body. */
    static String at(WithApp.Shop shop, String view) {
        String name = view.split("[/?]", 2)[0];
        return name.isEmpty() ? view : shop.path(name) + view.substring(name.length());
    }
}
