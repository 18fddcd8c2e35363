/** What the shop has, how it works and what it will not go below. */
package ebauche.core.shop;
