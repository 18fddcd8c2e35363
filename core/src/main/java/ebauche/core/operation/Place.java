package ebauche.core.operation;

import ebauche.core.geometry.Point;

/**
 * A place that a step marks, drills or draws through, as the bench says it.
 *
 * @param name within its step, such as {@code string 6}
 * @param at where it lies on the plan, mm
 */
public record Place(String name, Point at) {}
