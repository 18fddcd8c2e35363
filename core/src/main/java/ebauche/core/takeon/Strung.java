package ebauche.core.takeon;

/** What strings are usually like, by the instrument. All of it is common practice, from memory; mm. */
public enum Strung {
    GUITAR("guitar", 647.7, 22, 3.9, 76, 305),
    BASS("bass", 863.6, 20, 6.5, 90, 305);

    /** From so many strings on they lie in pairs. */
    private static final int IN_PAIRS = 10;

    private final String key;
    private final double scale;
    private final int frets;
    private final double boardEdge;
    private final double heelLength;
    private final double radius;

    Strung(String key, double scale, int frets, double boardEdge, double heelLength, double radius) {
        this.key = key;
        this.scale = scale;
        this.frets = frets;
        this.boardEdge = boardEdge;
        this.heelLength = heelLength;
        this.radius = radius;
    }

    /** The word that files and addresses use. */
    public String key() {
        return key;
    }

    /** Its usual string length. */
    public double scale() {
        return scale;
    }

    /** Frets on its usual neck. */
    public int frets() {
        return frets;
    }

    /** From an outer string to the fingerboard's edge. */
    double boardEdge() {
        return boardEdge;
    }

    /** Of the heel that lies in the body. */
    double heelLength() {
        return heelLength;
    }

    /** Across the fingerboard. */
    public double fingerboardRadius() {
        return radius;
    }

    /** Spaces between strings, or between pairs of them: twelve strings lie in six pairs. */
    static int gaps(int strings) {
        boolean pairs = strings >= IN_PAIRS && strings % 2 == 0;
        return (pairs ? strings / 2 : strings) - 1;
    }

    /** From string to string at the saddles. */
    double pitch(int strings) {
        if (this == GUITAR) {
            return 10.5;
        }
        return strings <= 4 ? 19 : strings == 5 ? 18 : 17;
    }

    /** Between the outer strings at the saddles. */
    public double spread(int strings) {
        return gaps(strings) * pitch(strings);
    }

    /** Between the outer strings at the nut. */
    public double nutSpread(int strings) {
        return gaps(strings) * (this == GUITAR ? 7 : strings <= 4 ? 10 : 9.5);
    }

    /** Of the outer treble string over fret 12. */
    public double actionTreble() {
        return this == GUITAR ? 1.6 : 2;
    }

    /** Of the outer bass string over fret 12. */
    public double actionBass() {
        return this == GUITAR ? 2 : 2.6;
    }

    /** How much longer than the scale the treble string wants to be. */
    public double compensationTreble() {
        return this == GUITAR ? 1.5 : 2;
    }

    /** The same for the bass string. */
    public double compensationBass() {
        return this == GUITAR ? 4 : 6;
    }
}
