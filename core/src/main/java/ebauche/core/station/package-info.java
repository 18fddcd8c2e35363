/** What every kind of work answers. */
package ebauche.core.station;
