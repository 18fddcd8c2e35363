/** How an edge meets the grain on the way round an outline, in which bites it is routed, and what carries the router while it is. */
package ebauche.core.feed;
