package ebauche.core.shop;

import ebauche.core.measure.Refusal;

/**
 * How far from its number work may lie and still be good, either way, mm. What a part sits on is hit within
 * {@link Limits#depthTolerance}; these are the rest, wider where less hangs on them.
 *
 * @param threads a floor that controls go through: their threads must still come out for the nut
 * @param room a floor that only gives a part room
 * @param pass a depth between passes, which the next pass takes up
 * @param thickness a body's thickness before it is sanded
 * @param flat what counts as a flat face, highest over lowest
 * @param bridge the saddle line, and with it the bridge's holes, along the centre line
 * @param shaped wood that is shaped by hand to a line
 */
public record Bands(
        double threads, double room, double pass, double thickness, double flat, double bridge, double shaped) {

    /** Common practice: 1/64 in under threads, 1/32 in where there is only room, what a light hand sanding evens out. */
    public static final Bands USUAL = new Bands(0.4, 0.8, 0.5, 0.3, 0.15, 0.5, 0.5);

    public Bands {
        Refusal.between(threads, 0.01, 5, "threads");
        Refusal.between(room, 0.01, 5, "room");
        Refusal.between(pass, 0.01, 5, "pass");
        Refusal.between(thickness, 0.01, 5, "thickness");
        Refusal.between(flat, 0.01, 5, "flat");
        Refusal.between(bridge, 0.01, 5, "bridge");
        Refusal.between(shaped, 0.01, 5, "shaped");
    }
}
