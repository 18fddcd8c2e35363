/** What is read off a plan for the bench: depth cards, the drill list, template sheets, and what another plan would move. */
package ebauche.core.sheet;
