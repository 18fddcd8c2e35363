/** The shop's tools. Millimetres. */
package ebauche.core.crib;
