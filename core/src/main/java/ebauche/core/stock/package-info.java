/**
 * The wood that is left: solid intervals along the depth over a plan grid, and the exact solids that were taken away.
 *
 * <p>Millimetres. Depth 0 is the first flattened front for good; it grows downward to the back. Rough wood above that
 * front has negative depth.
 */
package ebauche.core.stock;
