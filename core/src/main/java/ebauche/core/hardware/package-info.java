/** Parts that a body is cut for, with the sizes that matter to the wood. Millimetres. */
package ebauche.core.hardware;
