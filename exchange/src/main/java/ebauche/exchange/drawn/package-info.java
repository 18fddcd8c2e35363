/** Drawings of other programs, read and written: SVG and DXF. Coordinates are the file's own, y up, until they are placed. */
package ebauche.exchange.drawn;
