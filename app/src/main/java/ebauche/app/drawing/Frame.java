package ebauche.app.drawing;

import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;

/**
 * From the body's frame to a drawing: the body lies on its back or its front with the neck to the right, as on a bench.
 * Turning it over mirrors it about the centre line, as in the hand.
 *
 * @param scale units of the drawing per mm
 * @param left x in the drawing of the body's y = 0
 * @param middle y in the drawing of the centre line
 * @param up the face that is seen
 * @param coarse edges may be drawn so far off, mm
 */
public record Frame(double scale, double left, double middle, Face up, double coarse) {
    /** So little that an edge is off, in units of the drawing, cannot be seen; it leaves a third of the corners of a curve. */
    private static final double UNSEEN = 0.05;

    public Frame(double scale, double left, double middle, Face up) {
        this(scale, left, middle, up, UNSEEN / scale);
    }

    /** The same for a small picture: no edge is drawn more than so much off, in units of the drawing, and takes few corners. */
    public Frame within(double units) {
        return new Frame(scale, left, middle, up, units / scale);
    }

    /** A body in the middle of a sheet so wide, as large as it and the height that is left for it allow. */
    public static Frame holding(Region body, double width, double tallest, double margin, Face up) {
        double along = body.maxY() - body.minY();
        double across = body.maxX() - body.minX();
        double scale = Math.min((width - 2 * margin) / along, tallest / across);
        double left = (width - along * scale) / 2 - body.minY() * scale;
        double middle = margin + (up == Face.FRONT ? -body.minX() : body.maxX()) * scale;
        return new Frame(scale, left, middle, up);
    }

    /** How tall a sheet must be that holds a body with a margin above and below it. */
    public double height(Region body, double margin) {
        return (body.maxX() - body.minX()) * scale + 2 * margin;
    }

    /** Along the body (its y) to the drawing's x. */
    public double x(double bodyY) {
        return left + bodyY * scale;
    }

    /** Across the body (its x) to the drawing's y. */
    public double y(double bodyX) {
        return middle + (up == Face.FRONT ? bodyX : -bodyX) * scale;
    }

    public String path(Region region) {
        StringBuilder data = new StringBuilder();
        region.coarser(coarse).forEachRing(ring -> {
            for (int i = 0; i < ring.length - 2; i += 2) {
                Svg.n(x(ring[i + 1]), data.append(i == 0 ? 'M' : 'L'));
                Svg.n(y(ring[i]), data.append(' '));
            }
            data.append('Z');
        });
        return data.toString();
    }

    public double x(Point p) {
        return x(p.y());
    }

    public double y(Point p) {
        return y(p.x());
    }
}
