/** Where wires go: through which spaces and channels, how far, and how much wood lies beside a channel. Depths are the stock's. */
package ebauche.core.wires;
