package ebauche.exchange.drawn;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.OptionalDouble;

/**
 * What a drawing file holds of closed shapes.
 *
 * @param shapes closed, the largest first; in the file's units, y up
 * @param millimetresPerUnit as the file states it; empty if it does not
 * @param notes what was left out, and why
 */
public record DrawnFile(List<Shape> shapes, OptionalDouble millimetresPerUnit, List<String> notes) {
    public static final int MOST_BYTES = 4_000_000;

    /** A body's outline needs some hundreds of pieces; a whole drawing some thousands. */
    static final int MOST_PIECES = 50_000;

    /** Farther from the origin than this, in the file's units, nothing is drawn that a body comes from. */
    static final double FARTHEST = 1e7;

    /** A byte that no text holds. */
    private static final byte BINARY = 0;

    /**
     * A closed shape.
     *
     * @param name what the file calls it, with its layer or id
     */
    public record Shape(String name, List<Segment> segments) {
        public Shape {
            segments = List.copyOf(segments);
        }

        /** The area inside, in square units. */
        public double area() {
            return Math.abs(segments.stream().mapToDouble(Segment::areaShare).sum());
        }

        /** Least x, least y, greatest x, greatest y, of its curves' points. */
        public double[] box() {
            double[] box = {
                Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY
            };
            for (Segment s : segments) {
                for (int i = 0; i <= SAMPLES; i++) {
                    Point p = s.at((double) i / SAMPLES);
                    box[0] = Math.min(box[0], p.x());
                    box[1] = Math.min(box[1], p.y());
                    box[2] = Math.max(box[2], p.x());
                    box[3] = Math.max(box[3], p.y());
                }
            }
            return box;
        }
    }

    private static final int SAMPLES = 16;

    public DrawnFile {
        shapes = List.copyOf(shapes);
        notes = List.copyOf(notes);
    }

    /**
     * Reads a drawing, told by its first characters.
     *
     * @throws DrawnFileException if it is neither, or holds no closed shape
     */
    public static DrawnFile read(byte[] bytes) {
        if (bytes.length > MOST_BYTES) {
            throw new DrawnFileException("the file has " + bytes.length / 1_000_000 + " MB; at most "
                    + MOST_BYTES / 1_000_000 + " are read. Save only the outline");
        }
        if (bytes.length == 0) {
            throw new DrawnFileException("the file is empty");
        }
        for (byte b : bytes) {
            if (b == BINARY) {
                throw new DrawnFileException(
                        "this is a binary file. Save the drawing as SVG, or as DXF in text form (ASCII)");
            }
        }
        String text = new String(bytes, StandardCharsets.UTF_8).replace("\uFEFF", "");
        return text.stripLeading().startsWith("<") ? SvgReader.read(bytes) : DxfReader.read(text);
    }
}
