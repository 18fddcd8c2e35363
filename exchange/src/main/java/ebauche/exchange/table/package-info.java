/** Tables with a row a thing: timbers that ship, the box of parts, and how any such table is read. */
package ebauche.exchange.table;
