package ebauche.core.edge;

import ebauche.core.shop.Practice;

/**
 * What comes first at the edge, and what that costs a body.
 *
 * @param minutes of all its round-overs, what contours leave of them included
 * @param byHand of their corners that hands shape, mm
 */
public record ShapingCost(Practice.Shaping first, int minutes, double byHand) {}
