package ebauche.core.layout;

/**
 * What a maker minds most in a blank, as points that count against a layout. The points are a scale of this program's own
 * (common practice decides only which way each counts); what matters is their proportion.
 */
public enum Preference {
    BALANCED("balanced", 1.5, 3, 2.5, 1.5, 1, 0.5),
    LEAST_WASTE("least timber used up", 5, 1.5, 1, 0.5, 0.7, 0.5),
    FEWEST_SEAMS("fewest seams", 1, 10, 3, 2, 1, 0.5),
    CLEANEST("nothing on show", 0.8, 2.5, 2.5, 1.5, 4, 0.5),
    LIGHTEST("lightest", 1, 3, 2.5, 1.5, 1, 8);

    /** What a litre counts that goes back to the rack too small for another body, as a share of one that is used up: common practice
     * keeps it for necks, covers and cauls. */
    static final double CUT_SMALL = 0.5;

    /** Against a board that is not at the shop's moisture, or was never measured. */
    static final double NOT_READY = 3;

    /** Per per cent by which boards of one blank differ beyond what the shop allows. */
    static final double PER_MOISTURE = 3;

    /** Per degree by which a piece's grain runs off the body's length. */
    static final double PER_GRAIN_DEGREE = 0.15;

    /** Per pair of neighbours whose rings cup the same way. */
    static final double RINGS_ALIKE = 1.5;

    /** Per pair of neighbours that are planed in opposite directions. */
    static final double PLANED_APART = 0.5;

    private final String words;
    private final double perLitre;
    private final double perSeam;
    private final double perBoard;
    private final double perOddPair;
    private final double perFault;
    private final double perKilogram;

    Preference(
            String words,
            double perLitre,
            double perSeam,
            double perBoard,
            double perOddPair,
            double perFault,
            double perKilogram) {
        this.words = words;
        this.perLitre = perLitre;
        this.perSeam = perSeam;
        this.perBoard = perBoard;
        this.perOddPair = perOddPair;
        this.perFault = perFault;
        this.perKilogram = perKilogram;
    }

    public String words() {
        return words;
    }

    /** Per litre of timber that is used up. */
    double perLitre() {
        return perLitre;
    }

    /** Per litre that goes back to the rack too small for another body. */
    double perLitreCutSmall() {
        return CUT_SMALL * perLitre;
    }

    /** Points of timber, in litres: what is used up, and what goes back to the rack too small for another body. */
    double timber(double usedUp, double cutSmall) {
        return perLitre() * usedUp + perLitreCutSmall() * cutSmall;
    }

    double perSeam() {
        return perSeam;
    }

    /** Per board beyond the first: two boards seldom match. */
    double perBoard() {
        return perBoard;
    }

    /** Per pair of pieces, mirrored about the centre line, that come from two boards. */
    double perOddPair() {
        return perOddPair;
    }

    /** Multiplies the points of faults. */
    double perFault() {
        return perFault;
    }

    /** Per kilogram of the finished layer's wood. */
    double perKilogram() {
        return perKilogram;
    }
}
