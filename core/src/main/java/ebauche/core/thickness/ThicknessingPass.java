package ebauche.core.thickness;

import ebauche.core.geometry.Face;

/**
 * One pass over a face.
 *
 * @param number counted through both faces
 * @param face that is up
 * @param bite taken off the high spot, mm
 * @param leaves thickness at what was the high spot, after it
 * @param below how far under the face's first high spot the cutter stands
 * @param last whether it is the light one that leaves the surface
 * @param flipFirst whether the blank is turned over before it
 */
public record ThicknessingPass(
        int number, Face face, double bite, double leaves, double below, boolean last, boolean flipFirst) {}
