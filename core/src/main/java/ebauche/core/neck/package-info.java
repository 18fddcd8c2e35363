/** The neck pocket: how deep, how cut, and what it does to the strings. Depths are the stock's. */
package ebauche.core.neck;
