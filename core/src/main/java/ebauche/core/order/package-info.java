/** What must precede what, and why. */
package ebauche.core.order;
