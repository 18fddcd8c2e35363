package ebauche.app.order;

import ebauche.app.drawing.Svg;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.operation.Operation;
import ebauche.core.order.Ordering;
import ebauche.core.order.WhyHere;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;

/**
 * The places that one step may take, as a stretch of the rule: over each division how much more the order would cost with the step
 * there, or less, which is drawn hollow. Each place can be pressed.
 */
final class PlacesDrawing {
    private static final double WIDTH = 560;
    private static final double HEIGHT = 112;
    private static final double BASE = 82;
    private static final double HIGH = 56;
    /** So many minutes more fill the height at least: small differences are not drawn large. */
    private static final double LEAST_SCALE = 10;

    private PlacesDrawing() {}

    /**
     * The drawing.
     *
     * @param pressed place that is tried
     * @param address where a place leads
     */
    static String of(
            WhyHere why, Ordering ordering, Optional<Integer> pressed, Figures fig, IntFunction<String> address) {
        List<WhyHere.Place> places = why.places();
        Svg svg =
                new Svg(WIDTH, HEIGHT, "places", Words.say("places-drawing.what-it-would-cost-at-each", places.size()));
        double most = Math.max(
                LEAST_SCALE,
                places.stream().mapToDouble(p -> Math.abs(why.more(p))).max().orElse(0));
        double wide = WIDTH / places.size();
        svg.line("ground", 0, BASE, WIDTH, BASE);
        for (int i = 0; i < places.size(); i++) {
            WhyHere.Place place = places.get(i);
            boolean here = place.at() == why.place();
            double more = why.more(place);
            String state =
                    here ? "place here" : pressed.filter(p -> p == place.at()).isPresent() ? "place tried" : "place";
            svg.open("a", "href", address.apply(place.at()), "class", state);
            String after = place.next().map(Operation::title).orElseGet(() -> Words.say("places-drawing.the-start"));
            String costs = Words.say(
                    more < 0 ? "places-drawing.after-it-saves" : "places-drawing.after-it-costs",
                    after,
                    fig.time(Math.abs(more)));
            svg.title(here ? Words.say("places-drawing.where-it-stands", after) : costs);
            svg.rect("reach", i * wide, 0, wide, HEIGHT - 20);
            double high = HIGH * Math.abs(more) / most;
            svg.rect(more < 0 ? "less" : "more", i * wide + wide * 0.12, BASE - high - 3, wide * 0.76, high + 3);
            svg.rect("division", i * wide, BASE, wide, 12);
            svg.close();
        }
        svg.text("end", 0, HEIGHT - 4, "start", Words.say("places-drawing.earlier"));
        svg.text("end", WIDTH, HEIGHT - 4, "end", Words.say("places-drawing.later"));
        boolean saves = places.stream().anyMatch(p -> why.more(p) < 0);
        String scale = fig.time(most);
        svg.text(
                "end",
                0,
                12,
                "start",
                saves
                        ? Words.say("places-drawing.minutes-more-or-less", scale)
                        : Words.say("places-drawing.minutes-more", scale));
        return svg.done();
    }
}
