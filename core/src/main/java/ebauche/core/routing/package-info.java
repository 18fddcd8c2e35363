/** What stations share when they cut against a template: shared conditions and the steps of a guided pocket. */
package ebauche.core.routing;
