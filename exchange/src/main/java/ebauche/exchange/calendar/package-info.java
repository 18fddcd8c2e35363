/** A shop's week as JSON, and its calendar for other programs: iCalendar (RFC 5545) and a table. */
package ebauche.exchange.calendar;
