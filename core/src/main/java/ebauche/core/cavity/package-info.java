/** Pickup, bridge and control cavities, and the jack. Depths are the stock's. */
package ebauche.core.cavity;
