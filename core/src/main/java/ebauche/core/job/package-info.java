/** A build as one value: what is wanted, what the shop has, what was done and measured. Depths are the stock's. */
package ebauche.core.job;
