/** Corners between faces and edge, rounded over. */
package ebauche.core.edge;
