/** The outline sawn and routed. Depths are the stock's. */
package ebauche.core.outline;
