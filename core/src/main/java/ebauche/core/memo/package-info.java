/** What was reckoned before, kept by weight. */
package ebauche.core.memo;
