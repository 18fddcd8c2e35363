package ebauche.core.shop;

import ebauche.core.timber.Hardness;

/**
 * The glues that bodies are joined with. Spread, times and gaps are common practice (the pot's own label comes first);
 * pressures for PVA and hide glue are the Wood Handbook's, chapter 10 (from memory); epoxy wants contact, not force.
 */
public enum Glue {
    PVA(
            "pva",
            "PVA",
            150,
            250,
            8,
            60,
            24,
            0.1,
            10,
            false,
            "Easy, strong, and it swells the seam: level it only when that has gone down. Creeps a little under string load."),
    HIDE(
            "hide",
            "hot hide glue",
            200,
            300,
            2,
            240,
            72,
            0.08,
            18,
            false,
            "Pulls the joint together and comes apart again with heat. Gels in a minute or two: warm the edges, work fast."),
    EPOXY(
            "epoxy",
            "epoxy",
            200,
            350,
            25,
            600,
            24,
            0.5,
            15,
            true,
            "Fills a gap and has time, but force squeezes the joint dry: clamp to contact only. Wear gloves; it sensitises.");

    private final String key;
    private static final double SOFT_LEAST = 0.7;
    private static final double SOFT_MOST = 1.0;
    private static final double HARD_LEAST = 1.2;
    private static final double HARD_MOST = 1.7;
    private static final double CONTACT_LEAST = 0.02;
    private static final double CONTACT_MOST = 0.1;

    private final String words;
    private final double spreadLeast;
    private final double spreadMost;
    private final int openMinutes;
    private final int clampMinutes;
    private final int waitHours;
    private final double widestGap;
    private final double coldest;
    private final boolean contactOnly;
    private final String consequence;

    Glue(
            String key,
            String words,
            double spreadLeast,
            double spreadMost,
            int openMinutes,
            int clampMinutes,
            int waitHours,
            double widestGap,
            double coldest,
            boolean contactOnly,
            String consequence) {
        this.key = key;
        this.words = words;
        this.spreadLeast = spreadLeast;
        this.spreadMost = spreadMost;
        this.openMinutes = openMinutes;
        this.clampMinutes = clampMinutes;
        this.waitHours = waitHours;
        this.widestGap = widestGap;
        this.coldest = coldest;
        this.contactOnly = contactOnly;
        this.consequence = consequence;
    }

    public String words() {
        return words;
    }

    /** Least spread, g per m² of joint. */
    public double spreadLeast() {
        return spreadLeast;
    }

    public double spreadMost() {
        return spreadMost;
    }

    /** Minutes from the first spread to the last clamp, at 20 °C. */
    public int openMinutes() {
        return openMinutes;
    }

    /** Minutes in the clamps. */
    public int clampMinutes() {
        return clampMinutes;
    }

    /** Hours from clamping to machining. */
    public int waitHours() {
        return waitHours;
    }

    /** Widest gap that it bridges soundly, mm. */
    public double widestGap() {
        return widestGap;
    }

    /** Below this the film does not form, °C. */
    public double coldest() {
        return coldest;
    }

    /** Whether it wants contact rather than pressure. */
    public boolean contactOnly() {
        return contactOnly;
    }

    public String consequence() {
        return consequence;
    }

    /** Least pressure on the joint, MPa. */
    public double pressureLeast(Hardness hardness) {
        return contactOnly
                ? CONTACT_LEAST
                : hardness == Hardness.SOFT ? SOFT_LEAST : hardness == Hardness.HARD ? HARD_LEAST : SOFT_MOST;
    }

    /** Most pressure, MPa; beyond it a soft timber is crushed and a thin film starved. */
    public double pressureMost(Hardness hardness) {
        return contactOnly
                ? CONTACT_MOST
                : hardness == Hardness.SOFT ? SOFT_MOST : hardness == Hardness.HARD ? HARD_MOST : HARD_LEAST;
    }

    /** As files write it. */
    public String key() {
        return key;
    }
}
