package ebauche.app.web;

import ebauche.app.words.Words;
import ebauche.core.design.Hand;
import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.job.Finding;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.Division;
import ebauche.core.measure.Gauge;
import ebauche.core.measure.LengthUnit;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Rounding;
import ebauche.core.measure.Source;
import ebauche.core.operation.Inspection;
import ebauche.core.realism.SpecSheet;
import ebauche.core.sheet.DrillHole;
import ebauche.core.sheet.MarkingOut;
import ebauche.core.stock.WoodLeft;
import ebauche.core.takeon.Laid;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.DoubleFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Writes core's numbers in the maker's unit. Settings round to the side that leaves wood, readings to nearest.
 *
 * <p>Given to every page as {@code fig}.
 */
public record Figures(LengthUnit unit) {
    private static final Pattern FRACTION = Pattern.compile("(?<![\\d/])\\d{1,3}/\\d{1,2}(?![\\d/])");

    /** Decimal noise under which a value counts as lying on a division. */
    private static final double ON_THE_LINE = 1e-6;

    private static final double HALF_A_THOU = 0.0127;

    /** A mark that lies nearer to a line than this is drawn on it, mm. */
    private static final double PENCIL = 0.05;

    /** The avoirdupois pound, exactly; its force at standard gravity; a pound a square inch (NIST SP 811, app. B). */
    private static final double GRAMS_OF_A_POUND = 453.59237;

    private static final double NEWTONS_OF_A_POUND = 4.4482216152605;
    private static final double PSI_OF_A_MEGAPASCAL = 145.03773773;

    private static final Pattern MOMENT = Pattern.compile("\\d{4}-\\d\\d-\\d\\dT[0-9:.]+Z");

    private static DateTimeFormatter written(String pattern) {
        return DateTimeFormatter.ofPattern(Words.say(pattern), Words.language());
    }

    private LengthUnit otherUnit() {
        return unit == LengthUnit.INCH ? LengthUnit.MILLIMETRE : LengthUnit.INCH;
    }

    /** A length in the maker's unit, to nearest. */
    public String length(double millimetres) {
        return new Gauge(unit).text(millimetres, Rounding.NEAREST);
    }

    /** A length without its unit, for drawings. */
    public String brief(double millimetres) {
        return new Gauge(unit).number(millimetres, Rounding.NEAREST);
    }

    /** A cavity's depth without its unit, for drawings: the number that its card shows. */
    public String deep(double millimetres) {
        return setting(millimetres, Rounding.LESS, Division.CALLIPER);
    }

    /** A setting's number in the maker's unit, without it, as fine as what it is set with. */
    public String setting(double millimetres, Rounding rounding, Division division) {
        return new Gauge(unit, division).number(millimetres, rounding);
    }

    /** The same setting as a gauge in the other unit shows it; of thousandths of an inch also the mark of a rule that is nearest. */
    public String besides(double millimetres, Rounding rounding, Division division) {
        String other = new Gauge(otherUnit(), division).text(millimetres, rounding);
        return unit == LengthUnit.INCH && division == Division.CALLIPER ? nearestMark(millimetres) + other : other;
    }

    private static String nearestMark(double millimetres) {
        Gauge rule = new Gauge(LengthUnit.INCH);
        double mark = rule.shown(millimetres, Rounding.NEAREST);
        boolean onIt = Math.abs(millimetres - mark) < HALF_A_THOU;
        return mark == 0
                ? ""
                : onIt
                        ? rule.text(mark, Rounding.NEAREST) + ", "
                        : Words.say("figures.near", rule.text(mark, Rounding.NEAREST));
    }

    /** How far to go down with a stop that is set by a gauge, with its unit: never further than it should be. */
    public String downTo(double millimetres) {
        return new Gauge(unit, Division.CALLIPER).text(millimetres, Rounding.LESS);
    }

    /** How far to go down with a drill's stop, with its unit. */
    public String drilled(double millimetres, Division division) {
        return new Gauge(unit, division).text(millimetres, Rounding.LESS);
    }

    /** How far outside its line to saw, with its unit: never less than it should be. */
    public String sawn(double millimetres) {
        return new Gauge(unit, Division.SAW).text(millimetres, Rounding.MORE);
    }

    /**
     * How far a bit stands out under its base, with its unit: the depth as the gauge shows it, and what lies between base and wood, so
     * that the two agree to the last digit.
     *
     * @param millimetres from the base
     * @param depth of that in the wood
     */
    public String projecting(double millimetres, double depth) {
        Gauge gauge = new Gauge(unit, Division.CALLIPER);
        double shown = gauge.shown(depth, Rounding.LESS) + gauge.shown(millimetres - depth, Rounding.LESS);
        return gauge.text(shown, Rounding.NEAREST);
    }

    /** A thickness to leave, with its unit: never less than it should be. */
    public String above(double millimetres) {
        return new Gauge(unit).text(millimetres, Rounding.MORE);
    }

    /** How far to go down, with its unit: never further than it should be. */
    public String below(double millimetres) {
        return new Gauge(unit).text(millimetres, Rounding.LESS);
    }

    /** The number of a sum, exact to a hundredth: a fraction would hide how it adds up. */
    public String exact(double value, Quantity quantity) {
        return switch (quantity) {
            case LENGTH ->
                unit == LengthUnit.INCH
                        ? Decimals.plain(value, 2) + " mm = " + Decimals.fixed(value / LengthUnit.INCH.millimetres(), 4)
                                + " in"
                        : Decimals.plain(value, 2) + " mm";
            case ANGLE -> Decimals.plain(value, 2) + "°";
            case MASS ->
                metricMass(value) + (unit == LengthUnit.INCH && value >= GRAMS_OF_A_POUND ? " = " + mass(value) : "");
            case TIME -> time((int) Math.round(value));
            case NUMBER -> Decimals.plain(value, 3);
            case FINE -> Decimals.plain(value, 5);
        };
    }

    /** A length of a sum. */
    public String exact(double millimetres) {
        return exact(millimetres, Quantity.LENGTH);
    }

    /** A number that is compared with another, finer than a gauge shows: hundredths, or thousandths of an inch. */
    public String fine(double value, Quantity quantity) {
        return quantity == Quantity.LENGTH && unit == LengthUnit.INCH
                ? Decimals.fixed(value / LengthUnit.INCH.millimetres(), 3) + " in"
                : exact(value, quantity);
    }

    /** A length as it is put into a field to be edited: nothing of it is lost. */
    public String exactText(double millimetres) {
        return Decimals.plain(millimetres, 3) + " mm";
    }

    /** A length that is compared with another. */
    public String fine(double millimetres) {
        return fine(millimetres, Quantity.LENGTH);
    }

    /** What a thicknessing machine is set to or leaves, with its unit. */
    public String machine(double millimetres, Rounding rounding) {
        return new Gauge(unit, Division.CALLIPER).text(millimetres, rounding);
    }

    /** The same without its unit. */
    public String machineNumber(double millimetres, Rounding rounding) {
        return setting(millimetres, rounding, Division.CALLIPER);
    }

    /** What a pass takes off, without its unit: never more than it should. */
    public String bite(double millimetres) {
        return machineNumber(millimetres, Rounding.LESS);
    }

    /** Down by no more than it should be. */
    public String machineDown(double millimetres) {
        return machine(millimetres, Rounding.LESS);
    }

    /** Leaving no less than it should. */
    public String machineLeaves(double millimetres) {
        return machine(millimetres, Rounding.MORE);
    }

    /** What a calliper read. */
    public String calliper(double millimetres) {
        return machine(millimetres, Rounding.NEAREST);
    }

    /** A board's size as a tape shows it: whole millimetres and halves, or sixteenths. */
    public String tape(double millimetres) {
        return new Gauge(unit, Division.TAPE).text(millimetres, Rounding.NEAREST);
    }

    /** Length, width and thickness of a board: tape, tape and calliper. */
    public String boardSize(double length, double width, double thickness) {
        return tape(length) + " x " + tape(width) + " x " + length(thickness);
    }

    /** A clamp's force, N. */
    public String force(double newtons) {
        return unit == LengthUnit.INCH
                ? Decimals.plain(newtons / NEWTONS_OF_A_POUND, 0) + " lbf"
                : Decimals.fixed(newtons / 1000, 1) + " kN";
    }

    /** A glue joint's pressure, MPa. */
    public String pressure(double megapascals) {
        return unit == LengthUnit.INCH
                ? Decimals.plain(megapascals * PSI_OF_A_MEGAPASCAL, 0) + " psi"
                : Decimals.fixed(megapascals, 2) + " MPa";
    }

    /** What a gauge read: a fraction where it is one, else as fine as it was typed. */
    public String reading(AsBuilt.Reading reading) {
        if (reading.measures() instanceof Measurand.Ohms) {
            return reading.value() >= Measurand.Ohms.OPEN
                    ? Words.say("figures.open-way")
                    : Decimals.plain(reading.value(), 2) + " Ω";
        }
        Quantity quantity = reading.measures().quantity();
        double rest = Math.abs(reading.value() - new Gauge(unit).shown(reading.value(), Rounding.NEAREST));
        boolean onMark = quantity == Quantity.LENGTH && unit == LengthUnit.INCH && rest < HALF_A_THOU;
        return onMark ? length(reading.value()) : fine(reading.value(), quantity);
    }

    /** What a reading should be and the band that is good, finer than any mark, its ends inward, so that none shown good is refused. */
    public String shouldRead(Inspection inspection) {
        Quantity quantity = inspection.measurand().quantity();
        return Words.say(
                "figures.good-from-to",
                expected(inspection),
                fine(inside(inspection.least(), quantity, Rounding.MORE), quantity),
                fine(inside(inspection.most(), quantity, Rounding.LESS), quantity),
                inspection.with());
    }

    /** The number that the card's setting shows, rounded once. */
    private String expected(Inspection inspection) {
        Quantity quantity = inspection.measurand().quantity();
        double value = inspection.expected().value();
        return quantity == Quantity.LENGTH
                ? new Gauge(unit, Division.CALLIPER)
                        .text(value, inspection.measurand().rounding())
                : fine(value, quantity);
    }

    /** An end of a band moved inward to the last place that is shown. */
    private double inside(double end, Quantity quantity, Rounding rounding) {
        if (quantity != Quantity.LENGTH) {
            return end;
        }
        double place = unit == LengthUnit.INCH ? LengthUnit.INCH.millimetres() / 1000 : 0.01;
        double places = end / place;
        return place * (rounding == Rounding.MORE ? Math.ceil(places - ON_THE_LINE) : Math.floor(places + ON_THE_LINE));
    }

    /** Where a term of a sum comes from, its moment written in the shop's own time. */
    public String origin(Reckoning.Term term) {
        if (term.source() == Source.COMPUTED) {
            return term.source().words();
        }
        String from = MOMENT.matcher(term.origin()).replaceAll(m -> Matcher.quoteReplacement(moment(m.group())));
        return term.source().words() + ", " + from;
    }

    /** A moment, in the shop's own time. */
    public String moment(String iso) {
        return iso.isEmpty() ? "" : moment(Instant.parse(iso), ZoneId.systemDefault());
    }

    /** A moment on a clock. */
    public String moment(Instant moment, ZoneId zone) {
        return written("figures.moment").format(moment.atZone(zone));
    }

    /** The time of day of a moment on a clock. */
    public String timeOfDay(Instant moment, ZoneId zone) {
        return written("figures.time-of-day").format(moment.atZone(zone));
    }

    /** A day of the week, without its year. */
    public String weekday(LocalDate day) {
        return written("figures.weekday").format(day);
    }

    /** A day, as people write it. */
    public String day(LocalDate day) {
        return written("figures.day").format(day);
    }

    /** A way of many metres, in whole metres or feet. */
    public String metres(double metres) {
        return unit == LengthUnit.INCH
                ? Math.round(metres * 1000 / (12 * LengthUnit.INCH.millimetres())) + " ft"
                : Math.round(metres) + " m";
    }

    public String value(Finding.Value v) {
        return v.quantity() == Quantity.LENGTH ? length(v.value()) : exact(v.value(), v.quantity());
    }

    public String what(Finding finding) {
        return finding.what(this::value);
    }

    /** What is said of something laid out. */
    public String says(Laid laid) {
        return laid.what(this::value);
    }

    /** A line of the page to show. */
    public String says(SpecSheet.Line line) {
        return line.says(v -> line.byTape().contains(v.name()) ? tape(v.value()) : value(v));
    }

    public String cure(Finding finding) {
        return finding.cure(this::value);
    }

    /** What is left somewhere, as a line of words: which floor or wall. */
    public String place(WoodLeft.Thin thin) {
        return thin.feature().said()
                + switch (thin.kind()) {
                    case FLOOR -> Words.say("figures.floor-to-the");
                    case WALL -> Words.say("figures.wall-to-the");
                    case ASLANT -> Words.say("figures.at-an-angle-to-the");
                }
                + thin.neighbour().said();
    }

    /** A feature, or a face or the edge, as it is said at the bench. */
    public String said(Feature feature) {
        return feature.said();
    }

    /** A feature by its word, as it is said at the bench. */
    public String said(String feature) {
        return said(Feature.mentioned(feature));
    }

    /** A move by hand, {@code 2,-1.5}: millimetres across, to the right as seen from the front, and to the neck. */
    public String moved(String move, Hand hand) {
        String[] by = move.split(",");
        double dx = Double.parseDouble(by[0]);
        double dy = Double.parseDouble(by[1]);
        String side = dx == 0 ? "" : Words.say("figures.to-the-side", exact(Math.abs(dx)), hand.side(dx));
        String along = dy == 0 ? "" : exact(Math.abs(dy)) + (dy > 0 ? " towards the neck" : " away from the neck");
        return side + (side.isEmpty() || along.isEmpty() ? "" : ", ") + along;
    }

    /** An area of a body's face. */
    public String area(double squareMillimetres) {
        return unit == LengthUnit.INCH
                ? Decimals.fixed(squareMillimetres / (25.4 * 25.4), 0) + " sq in"
                : Decimals.fixed(squareMillimetres * 1e-4, 2) + " dm²";
    }

    /** How far a place lies to the side of the centre line, and on which. */
    public String sideways(double x, Hand hand) {
        return onItOr(x, this::length, " " + hand.side(x));
    }

    /** A distance to mark: as fine as a rule shows it, or where little hangs on it as a tape does. */
    public String marked(double millimetres, MarkingOut card) {
        return card.roughly() ? tape(millimetres) : length(millimetres);
    }

    /** How far a mark lies to the side of the centre line, and on which. */
    public String sideways(double x, MarkingOut card, Hand hand) {
        return onItOr(x, d -> marked(d, card), " " + hand.side(x));
    }

    /** How far a mark lies along the centre line from what the card measures from. */
    public String lengthways(double y, MarkingOut card) {
        String way = card.oneWay().isPresent() ? "" : toward(y, card.from());
        return onItOr(y, d -> marked(d, card), way);
    }

    /** Nobody marks a distance of nought: what is less than a pencil's line, or reads so, lies on the line. */
    private static String onItOr(double distance, DoubleFunction<String> said, String way) {
        String far = said.apply(Math.abs(distance));
        return Math.abs(distance) < PENCIL || far.equals(said.apply(0)) ? Words.say("figures.on-it") : far + way;
    }

    /** What a card's distances along the centre line are measured from, and which way, if they all go one way. */
    public String from(MarkingOut card) {
        return Words.say(
                "figures.from",
                card.from().words(),
                card.oneWay().stream().mapToObj(way -> toward(way, card.from())).collect(Collectors.joining()));
    }

    private static String toward(double y, MarkingOut.Along from) {
        return from == MarkingOut.Along.SADDLE_LINE
                ? y > 0 ? Words.say("figures.toward-the-neck") : Words.say("figures.toward-the-tail")
                : "";
    }

    /** How far a hole lies along the centre line, with what that is measured from. */
    public String lengthways(DrillHole hole) {
        MarkingOut.Along from = hole.from();
        return Math.abs(hole.along()) < ON_THE_LINE
                ? Words.say("figures.on", from.words())
                : Words.say("figures.from-2", length(Math.abs(hole.along())), toward(hole.along(), from), from.words());
    }

    /** How far along a body a place lies from the saddles, and on which side of them. */
    public String fromSaddles(double y) {
        return length(Math.abs(y)) + (y < 0 ? " tail side" : " neck side");
    }

    /** {@code 9.4 %}. */
    public String percent(double value) {
        return decimal(value, 1) + " %";
    }

    /** Thicknesses parted by semicolons, as they are put into a field: nothing of them is lost. */
    public String thicknesses(List<Double> millimetres) {
        return millimetres.stream().map(this::exactText).collect(Collectors.joining("; "));
    }

    /** A whole number in groups of three. */
    public String thousands(int number) {
        return String.format(Locale.ROOT, "%,d", number).replace(',', '\u202f');
    }

    /** A plain number to so many decimals. */
    public String decimal(double value, int places) {
        return Decimals.fixed(value, places);
    }

    /** Whole days, the last one counted. */
    public String days(double value) {
        long days = (long) Math.ceil(value - 1e-9);
        return days + (days == 1 ? " day" : " days");
    }

    /** Where seams stand under an outline that was moved to the right, as seen from the front, by so much. */
    public String seams(double[] at, double moved, Hand hand) {
        List<String> said = new ArrayList<>();
        for (double x : at) {
            double from = x - moved;
            said.add(
                    Math.abs(from) < 0.05
                            ? Words.say("figures.on-the-centre-line")
                            : Words.say("figures.to-the-side", length(Math.abs(from)), hand.side(from)));
        }
        return String.join(", ", said);
    }

    /** What wood does when its moisture changes. */
    public String moves(double change) {
        return (change < 0 ? "shrink by " : "swell by ") + fine(Math.abs(change));
    }

    /** {@code 2 h 40}, {@code 35 min}. */
    public String time(int minutes) {
        if (minutes < 60) {
            return minutes + " min";
        }
        return minutes / 60 + " h" + (minutes % 60 == 0 ? "" : String.format(" %02d", minutes % 60));
    }

    /** The same of minutes with fractions; under three they are said. */
    public String time(double minutes) {
        return minutes < 3 ? Decimals.plain(minutes, 1) + " min" : time((int) Math.round(minutes));
    }

    /** Grams as a scale shows them, small amounts to a tenth. */
    public String grams(double least, double most) {
        int places = most < 10 ? 1 : 0;
        return Words.say("figures.to-g", decimal(least, places), decimal(most, places));
    }

    /** Kilograms and grams, or pounds and ounces. */
    public String mass(double grams) {
        if (unit == LengthUnit.INCH && grams >= GRAMS_OF_A_POUND) {
            long ounces = Math.round(grams / GRAMS_OF_A_POUND * 16);
            return ounces / 16 + " lb" + (ounces % 16 == 0 ? "" : " " + ounces % 16 + " oz");
        }
        return metricMass(grams);
    }

    private static String metricMass(double grams) {
        return grams < 1000
                ? Decimals.plain(grams, grams < 10 ? 1 : 0) + " g"
                : Decimals.fixed(grams / 1000, 2) + " kg";
    }

    /** Name, value and origin of a sum's terms as one line each. */
    public String term(Reckoning.Term term) {
        return exact(term.value(), term.quantity());
    }

    /** A piece of text, a fraction or not. */
    public record TextPart(String text, boolean fraction) {}

    /** Text cut where fractions stand, so that they can be set as such. */
    public static List<TextPart> parts(String text) {
        List<TextPart> parts = new ArrayList<>();
        Matcher m = FRACTION.matcher(text);
        int from = 0;
        while (m.find()) {
            if (m.start() > from) {
                parts.add(new TextPart(text.substring(from, m.start()), false));
            }
            parts.add(new TextPart(m.group(), true));
            from = m.end();
        }
        if (from < text.length()) {
            parts.add(new TextPart(text.substring(from), false));
        }
        return parts;
    }
}
