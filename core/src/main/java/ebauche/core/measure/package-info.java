/**
 * Lengths as makers write them, and numbers that can say where they come from.
 *
 * <p>Inside all computations lengths are plain {@code double} millimetres, angles are degrees at the borders and
 * radians inside a method, and depth is measured downward from the finished front plane unless a name says otherwise.
 */
package ebauche.core.measure;
