/** What bought parts ask of the wood: each size as read in hand, else nominal, with the shop's room round it. */
package ebauche.core.fit;
