package ebauche.app.check;

import ebauche.app.drawing.Svg;
import ebauche.app.web.Figures;
import ebauche.core.job.Rule;
import java.util.Locale;

/**
 * A rule's number as a mark on the scale of what it may be: the good stretch thick, its ends ticked, the mark where this body
 * stands. A range without one end is drawn running out on that side.
 */
public final class RuleBar {
    private static final double WIDTH = 150;
    private static final double HEIGHT = 22;
    private static final double MARGIN = 12;

    /** A range is drawn with so much beside it, as a share of it. */
    private static final double BESIDE = 0.35;

    /** What is drawn of a range without an end, mm, at the least. */
    private static final double OPEN = 3;

    private RuleBar() {}

    public static String of(Rule rule, Figures fig) {
        double number = rule.number().value();
        double least = rule.hasLeast() ? rule.least() : Math.min(rule.most() - OPEN, number - OPEN);
        double most = rule.hasMost() ? rule.most() : Math.max(rule.least() + OPEN, number + OPEN);
        double beside = Math.max((most - least) * BESIDE, 0.1);
        double from = Math.min(least - (rule.hasLeast() ? beside : 0), number - beside / 2);
        double to = Math.max(most + (rule.hasMost() ? beside : 0), number + beside / 2);
        double scale = (WIDTH - 2 * MARGIN) / (to - from);
        double middle = HEIGHT / 2;
        Svg svg = new Svg(
                WIDTH,
                HEIGHT,
                "rule-bar " + rule.verdict().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                fig.fine(number, rule.number().quantity()) + ", "
                        + rule.verdict().words());
        svg.line("whole", MARGIN, middle, WIDTH - MARGIN, middle);
        double a = MARGIN + (least - from) * scale;
        double b = MARGIN + (most - from) * scale;
        if (b > a) {
            svg.line("may", a, middle, b, middle);
        }
        if (rule.hasLeast()) {
            svg.line("end", a, middle - 7, a, middle + 7);
        }
        if (rule.hasMost()) {
            svg.line("end", b, middle - 7, b, middle + 7);
        }
        svg.circle("mark", MARGIN + (number - from) * scale, middle, 5);
        return svg.done();
    }
}
