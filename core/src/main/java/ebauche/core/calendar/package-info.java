/**
 * When everything is done, and by whom: the bodies of a shop, its hands with their hours and what they are trusted with, machines, clamps and
 * templates, glue and drying as waiting, and days by which bodies are due.
 */
package ebauche.core.calendar;
