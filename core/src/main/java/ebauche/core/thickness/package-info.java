/** The blank brought flat and to thickness. Depths are the stock's. */
package ebauche.core.thickness;
