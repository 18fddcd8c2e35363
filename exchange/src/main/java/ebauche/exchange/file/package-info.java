/** The build file, whatever version wrote it: design, shop and what was done. */
package ebauche.exchange.file;
