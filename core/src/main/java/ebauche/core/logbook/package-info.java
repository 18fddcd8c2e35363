/** What was done and measured, as it was entered. */
package ebauche.core.logbook;
