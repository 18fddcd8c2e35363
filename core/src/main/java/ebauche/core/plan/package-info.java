/** The planner: a pure function from a build to its plan. Depths are the stock's. */
package ebauche.core.plan;
