/** One step of work at the bench: what is set, what it does to the wood, what it needs and takes away. */
package ebauche.core.operation;
