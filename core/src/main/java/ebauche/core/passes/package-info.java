/**
 * How a cut that a bearing guides is taken in passes: what a bit can reach, which bits in which order against which guide.
 * Millimetres; depth downward from the face that the router stands over.
 */
package ebauche.core.passes;
