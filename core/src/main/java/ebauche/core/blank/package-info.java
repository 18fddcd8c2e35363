/** The boards jointed and glued. Depths are the stock's. */
package ebauche.core.blank;
