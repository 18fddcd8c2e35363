/** The plan as JSON, and the command that prints it. */
package ebauche.exchange.plan;
