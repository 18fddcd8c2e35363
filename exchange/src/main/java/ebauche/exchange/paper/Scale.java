package ebauche.exchange.paper;

import ebauche.core.measure.Refusal;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a printer makes of a length: printed over meant, across and along the sheet. Drawings are divided by it, so that they come out
 * true.
 */
public record Scale(double across, double along) {
    public static final Scale TRUE = new Scale(1, 1);

    /** The bar's length, mm. */
    public static final double BAR = 100;

    /** A printer that misses by more has scaled the page to fit, or the wrong bar was measured. */
    private static final double MOST = 0.1;

    public Scale {
        Refusal.between(across, 1 - MOST, 1 + MOST, "across");
        Refusal.between(along, 1 - MOST, 1 + MOST, "along");
    }

    /** As the shop's ways hold it under {@code printing}; true where they say nothing. */
    public static Scale of(ObjectNode ways) {
        JsonNode printing = ways.path("printing");
        return new Scale(
                printing.path("across").asDouble(1), printing.path("along").asDouble(1));
    }

    /** Puts it into the shop's ways. */
    public void into(ObjectNode ways) {
        ways.putObject("printing").put("across", across).put("along", along);
    }

    /**
     * What is known once the bars of a sheet were measured that was printed with this.
     *
     * @param across what the bar across the sheet measures, mm
     * @param along what the bar along the sheet measures
     * @throws Refusal if a bar is off by more than a tenth
     */
    public Scale measured(double across, double along) {
        Refusal.between(across, BAR * (1 - MOST), BAR * (1 + MOST), "across");
        Refusal.between(along, BAR * (1 - MOST), BAR * (1 + MOST), "along");
        return new Scale(this.across * across / BAR, this.along * along / BAR);
    }
}
