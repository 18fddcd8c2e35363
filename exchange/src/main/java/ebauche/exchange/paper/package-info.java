/** Templates on paper: PDF at true size, in tiles. Millimetres; x to the right and y up on the sheet. */
package ebauche.exchange.paper;
