/** Shielding: how much paint or foil a space takes, what must be one electrical node, and which meter readings prove it. */
package ebauche.core.shielding;
