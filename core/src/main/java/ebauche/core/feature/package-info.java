/** The lasting names of what a body is made of: its faces and edge, the work on the whole of it, and each thing that is cut into it. */
package ebauche.core.feature;
