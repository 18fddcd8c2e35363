/**
 * Plan geometry in the body's frame.
 *
 * <p>Origin where the centre line meets the saddle line (where the scale length ends). The front faces you with the neck
 * up: +y runs towards the nut, +x to the right. Millimetres throughout. Exact curves live in {@link
 * ebauche.core.geometry.Outline}; areas, offsets and distances are JTS's, on curves flattened to
 * {@link ebauche.core.geometry.Segment#FLATNESS} mm.
 */
package ebauche.core.geometry;
