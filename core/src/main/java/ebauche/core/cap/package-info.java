/** A new cap on a body that is built: how it goes on, and how what lies under it is found and opened again. */
package ebauche.core.cap;
