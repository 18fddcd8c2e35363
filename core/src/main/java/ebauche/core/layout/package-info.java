/**
 * Which boards a blank comes out of, how they are cut and laid, and what becomes of their faults.
 *
 * <p>Millimetres in the body's frame: x to the treble side, y to the nut; depth down from the upper face of the blank, or
 * from the finished front where it says so.
 */
package ebauche.core.layout;
