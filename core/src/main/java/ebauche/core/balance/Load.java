package ebauche.core.balance;

import ebauche.core.geometry.Point;
import ebauche.core.measure.Fact;

/**
 * One thing that a guitar carries.
 *
 * @param grams what it weighs, g
 * @param at its centre of mass on the plan, mm
 */
public record Load(String said, Fact grams, Point at) {}
