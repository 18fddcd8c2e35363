/** Finish sanding of faces and edges. Depths are the stock's. */
package ebauche.core.sanding;
