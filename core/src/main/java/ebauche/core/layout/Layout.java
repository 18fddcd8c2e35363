package ebauche.core.layout;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import ebauche.core.timber.Board;
import ebauche.core.timber.Flaw;
import ebauche.core.timber.Species;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A blank laid out of the rack's boards.
 *
 * @param need what it is for
 * @param pieces from left to right
 * @param bookMatched whether its halves are one board opened
 * @param frontAt depth of the finished front under the blank's upper face
 * @param usedUp timber that does not come back to the rack, litres
 * @param points what counts against it, with its terms
 * @param reasons what speaks for it and against it, in words
 * @param judgements what becomes of each fault, worst first
 * @param cuts in order
 * @param offcuts that go back on the rack
 */
public record Layout(
        Need need,
        List<Piece> pieces,
        boolean bookMatched,
        double frontAt,
        double usedUp,
        Reckoning points,
        List<String> reasons,
        List<Judgement> judgements,
        List<Cut> cuts,
        List<Board> offcuts) {

    public Layout {
        pieces = List.copyOf(pieces);
        reasons = List.copyOf(reasons);
        judgements = List.copyOf(judgements);
        cuts = List.copyOf(cuts);
        offcuts = List.copyOf(offcuts);
    }

    public Species species() {
        return pieces.get(0).board().species();
    }

    /** Rough thickness of the blank: that of its thinnest piece. */
    public double thickness() {
        return pieces.stream().mapToDouble(Piece::thickness).min().orElseThrow();
    }

    public double left() {
        return pieces.get(0).left();
    }

    public double right() {
        return pieces.get(pieces.size() - 1).right();
    }

    public double low() {
        return pieces.get(0).low();
    }

    public double length() {
        return pieces.get(0).length();
    }

    /** The blank on the plan. */
    public Region plan() {
        return Region.quadrilateral(
                new Point(left(), low()),
                new Point(right(), low()),
                new Point(right(), low() + length()),
                new Point(left(), low() + length()));
    }

    /** x of the seams, from left to right. */
    public double[] seams() {
        return pieces.stream().skip(1).mapToDouble(Piece::left).toArray();
    }

    public List<Flaw> flaws() {
        List<Flaw> all = new ArrayList<>();
        pieces.forEach(p -> all.addAll(p.flaws()));
        return all;
    }

    /** The boards that are cut, each once. */
    public List<Board> boards() {
        return pieces.stream().map(Piece::board).distinct().toList();
    }

    /** What an offcut still gives, in words: another body like this, a neck, covers. */
    public String gives(Board offcut) {
        return RestUse.said(RestUse.of(offcut, length(), right() - left(), need.rough()));
    }

    /** Share of the used timber that ends up in the finished layer, per cent. */
    public Reckoning timberYield() {
        double finished = need.outline().area() * need.finished() * 1e-6;
        return Reckoning.of("yield, %", Quantity.NUMBER)
                .term("finished wood, dm³", new Fact(finished, Source.COMPUTED, "outline x thickness"), Quantity.NUMBER)
                .term("used up, dm³", new Fact(usedUp, Source.COMPUTED, "boards less offcuts"), Quantity.NUMBER)
                .is(100 * finished / usedUp, "finished wood / used up x 100");
    }

    /** Mass of the finished layer before cavities, at 12 %. */
    public Reckoning mass() {
        return species()
                .mass(
                        need.outline().area() * need.finished(),
                        Fact.rule(Species.AT_MOISTURE, "the moisture that densities are given at"));
    }

    /** How many pieces, in words. */
    public String kind() {
        String[] words = {"one", "two", "three", "four", "five", "six", "seven"};
        String many = words[Math.min(pieces.size(), words.length) - 1];
        String said = many + (pieces.size() == 1 ? " piece" : " pieces") + (bookMatched ? ", book-matched" : "");
        return said.substring(0, 1).toUpperCase(Locale.ROOT) + said.substring(1);
    }
}
