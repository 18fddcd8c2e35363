/** Open formats in and out: the build file, and the plan as JSON. No database, no framework. */
package ebauche.exchange;
