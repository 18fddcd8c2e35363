package ebauche.core.timber;

/** How the growth rings stand in a board's end, by their angle to its faces. */
public enum Rings {
    FLAT("flat", "flat sawn", 0),
    RIFT("rift", "rift sawn", 45),
    QUARTERED("quartered", "quarter sawn", 90);

    private final String key;
    private final String words;
    private final double degrees;

    Rings(String key, String words, double degrees) {
        this.key = key;
        this.words = words;
        this.degrees = degrees;
    }

    public String words() {
        return words;
    }

    /** Angle of the rings to the face, degrees. */
    public double degrees() {
        return degrees;
    }

    /**
     * Movement coefficient across the width, per per cent: the two coefficients are principal strains, and a direction
     * at an angle between them strains by C_T cos² + C_R sin² (Mohr's circle; elementary mechanics of materials).
     */
    public double acrossWidth(Species species) {
        return between(species, Math.toRadians(degrees));
    }

    /** The same through the thickness. */
    public double throughThickness(Species species) {
        return between(species, Math.toRadians(90 - degrees));
    }

    private static double between(Species species, double angle) {
        double along = Math.cos(angle) * Math.cos(angle);
        return species.tangential().value() * along + species.radial().value() * (1 - along);
    }

    /** As files write it. */
    public String key() {
        return key;
    }
}
