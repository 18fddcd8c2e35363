/** What a body can be hollowed by under a cap: the wood that must stay and why, the largest region, round holes, and what the cap carries. */
package ebauche.core.hollow;
