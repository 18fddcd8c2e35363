/** One value of a file, said once: how it is read and written, what a form asks, what the schema says. */
package ebauche.exchange.field;
