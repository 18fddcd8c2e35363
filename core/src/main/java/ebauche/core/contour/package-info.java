/** Contours and carved tops: their lines, their carving, what they run into. Depths are the stock's. */
package ebauche.core.contour;
