/** Boards of the rack, as JSON and as a table. */
package ebauche.exchange.rack;
