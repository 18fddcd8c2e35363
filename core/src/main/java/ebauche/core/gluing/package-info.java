/** With what of the shop's a glue-up is pressed, whatever is glued: cauls and clamps over a face, and which of them each glue-up takes. */
package ebauche.core.gluing;
