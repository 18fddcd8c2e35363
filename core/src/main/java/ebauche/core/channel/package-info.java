/** Channels for wires: where they run, how likely they come out through a face, when they are drilled. Depths are the stock's. */
package ebauche.core.channel;
