package ebauche.app.timber;

import ebauche.app.drawing.Svg;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.measure.Decimals;
import ebauche.core.timber.MoistureReading;
import ebauche.core.timber.Seasoning;
import java.util.List;

/** A board's moisture over the days: what was read, where the air is taking it, and when it will be ready. */
public final class MoistureDrawing {
    private static final double WIDTH = 420;
    private static final double HEIGHT = 190;
    private static final double LEFT = 40;
    private static final double BOTTOM = 160;
    private static final double TOP = 14;
    private static final double RIGHT = 404;

    private final Seasoning seasoning;
    private final double from;
    private final double to;
    private final double least;
    private final double most;
    private final Svg svg;

    private MoistureDrawing(Seasoning seasoning) {
        this.seasoning = seasoning;
        List<MoistureReading> read = seasoning.board().readings();
        double wait = seasoning.daysToWait().map(r -> r.value()).orElse(0.0);
        double first = read.isEmpty() ? seasoning.today() - 1 : read.get(0).day();
        this.from = Math.min(first, seasoning.today() - 1);
        this.to = seasoning.today() + Math.max(wait * 1.15, (seasoning.today() - from) * 0.1 + 1);
        double emc = seasoning.equilibrium();
        this.least = Math.floor(Math.min(
                        emc,
                        read.stream()
                                .mapToDouble(MoistureReading::percent)
                                .min()
                                .orElse(emc))
                - 1);
        this.most = Math.ceil(Math.max(
                        emc,
                        read.stream()
                                .mapToDouble(MoistureReading::percent)
                                .max()
                                .orElse(emc))
                + 1);
        this.svg = new Svg(WIDTH, HEIGHT, "curve", words(read));
    }

    private String words(List<MoistureReading> read) {
        return Words.say(
                "moisture-drawing.reading-of-moisture-the-air-takes",
                read.size(),
                Decimals.plain(seasoning.equilibrium(), 1));
    }

    public static String of(Seasoning seasoning, Figures fig) {
        MoistureDrawing drawing = new MoistureDrawing(seasoning);
        drawing.draw();
        return drawing.svg.done();
    }

    private double x(double day) {
        return LEFT + (day - from) / (to - from) * (RIGHT - LEFT);
    }

    private double y(double percent) {
        return BOTTOM - (percent - least) / (most - least) * (BOTTOM - TOP);
    }

    private void draw() {
        double emc = seasoning.equilibrium();
        double band = seasoning.tolerance();
        double high = y(Math.min(most, emc + band));
        svg.rect("ready", LEFT, high, RIGHT - LEFT, y(Math.max(least, emc - band)) - high);
        svg.line("axis", LEFT, BOTTOM, RIGHT, BOTTOM);
        svg.line("axis", LEFT, TOP, LEFT, BOTTOM);
        svg.line("emc", LEFT, y(emc), RIGHT, y(emc));
        svg.text("caption", LEFT - 6, y(emc) + 5, "end", Decimals.plain(emc, 1));
        svg.text("caption", LEFT - 6, TOP + 8, "end", Decimals.plain(most, 0) + "%");
        expected();
        for (MoistureReading r : seasoning.board().readings()) {
            svg.circle("read", x(r.day()), y(r.percent()), 4.5);
        }
        svg.line("today", x(seasoning.today()), TOP, x(seasoning.today()), BOTTOM);
        svg.text("caption", x(seasoning.today()), BOTTOM + 18, "middle", "today");
        seasoning.daysToWait().ifPresent(w -> {
            double ready = seasoning.today() + w.value();
            svg.line("then", x(ready), TOP, x(ready), BOTTOM);
            svg.text(
                    "caption",
                    Math.min(RIGHT, x(ready)),
                    BOTTOM + 18,
                    "end",
                    Words.say("moisture-drawing.ready-in-d", (int) Math.ceil(w.value())));
        });
    }

    /** From today on, by the model that tells the wait. */
    private void expected() {
        seasoning.moistureNow().ifPresent(now -> {
            StringBuilder path = new StringBuilder();
            for (int i = 0; i <= 24; i++) {
                double day = seasoning.today() + (to - seasoning.today()) * i / 24;
                double percent = new Seasoning(seasoning.board(), seasoning.climate(), seasoning.tolerance(), day)
                        .moistureNow()
                        .orElse(now);
                path.append(i == 0 ? "M" : "L")
                        .append(Svg.n(x(day)))
                        .append(' ')
                        .append(Svg.n(y(percent)));
            }
            svg.path("expected", path.toString());
        });
    }
}
