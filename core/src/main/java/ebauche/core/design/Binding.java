package ebauche.core.design;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.EdgeWalk;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Refusal;
import ebauche.core.timber.Species;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A strip let into the corner between a face and the edge, all round but for the neck's mouth, or along a part of it.
 *
 * @param id short and lasting, such as {@code front}
 * @param face whose corner it is
 * @param thickness of the strip, as far as its ledge goes in, mm
 * @param height down the edge, mm
 * @param timber what it is made of; empty of plastic
 * @param along the part of the edge that it runs along; empty for all round
 * @param purfling a second, thinner strip inside it; empty without one
 * @param isRoundedFirst whether the corner is rounded over before the ledge is cut, and the strip with it afterwards
 */
public record Binding(
        String id,
        Face face,
        double thickness,
        double height,
        Optional<Species> timber,
        Optional<Along> along,
        Optional<Purfling> purfling,
        boolean isRoundedFirst) {
    /** Beside the neck's mouth its ledge keeps off by so much, mm. */
    private static final double BESIDE_MOUTH = 0.2;

    /** The edge is followed by pieces so long, mm. */
    private static final double STEP = 1;

    /** A part of the edge, walked anticlockwise as seen from the front; the strip ends square at both its ends. */
    public record Along(Point from, Point to) {
        public Along {
            Refusal.unless(from.distance(to) >= 10, "to", "its two ends lie closer than 10 mm together");
        }
    }

    /**
     * A strip in the face beside the binding.
     *
     * @param thickness over the face, mm
     * @param depth of its ledge, less than the binding is high, mm
     */
    public record Purfling(double thickness, double depth) {
        public Purfling {
            Refusal.between(thickness, 0.3, 8, "purfling");
            Refusal.between(depth, 0.5, 10, "purflingDepth");
        }
    }

    /** A single one all round. */
    public Binding(String id, Face face, double thickness, double height, Optional<Species> timber) {
        this(id, face, thickness, height, timber, Optional.empty(), Optional.empty(), false);
    }

    public Binding {
        Refusal.between(thickness, 0.5, 8, "thickness");
        Refusal.between(height, 1, 30, "height");
        purfling.ifPresent(p -> Refusal.unless(
                p.depth() < height, "purflingDepth", "its purfling's ledge is less deep than the binding is high"));
    }

    public Feature feature() {
        return Feature.of(FeatureKind.BINDING, id);
    }

    /** What it takes of the plan of a body which a neck enters at its pocket. */
    public Region on(Outline outline, Region pocket) {
        return band(outline, pocket, 0, thickness);
    }

    /** What its purfling takes of the plan; nothing without one. */
    public Region purflingOn(Outline outline, Region pocket) {
        return purfling.map(p -> band(outline, pocket, thickness, thickness + p.thickness()))
                .orElse(Region.EMPTY);
    }

    private Region band(Outline outline, Region pocket, double from, double to) {
        Region body = outline.region();
        Region mouth = pocket.isEmpty() ? Region.EMPTY : pocket.grown(BESIDE_MOUTH);
        Region all =
                (from == 0 ? body : body.grown(-from)).minus(body.grown(-to)).minus(mouth);
        return along.map(a -> all.intersection(beside(body, a, to))).orElse(all);
    }

    /** All that lies beside a part of the edge, cut off square at its ends. */
    private static Region beside(Region body, Along part, double reach) {
        EdgeWalk walk = new EdgeWalk(body);
        double begins = walk.nearest(part.from());
        double ends = walk.nearest(part.to());
        double length = ends >= begins ? ends - begins : ends - begins + walk.length();
        int pieces = (int) Math.max(2, Math.ceil(length / STEP));
        List<Point> line = new ArrayList<>();
        for (int i = 0; i <= pieces; i++) {
            line.add(walk.at(begins + length * i / pieces, 0));
        }
        Region beside = Region.alongLine(line, 1.5 * reach);
        return beside.minus(cap(line.get(0), line.get(1), reach))
                .minus(cap(line.get(pieces), line.get(pieces - 1), reach));
    }

    /** What lies beyond an end of it. */
    private static Region cap(Point end, Point before, double reach) {
        Region round = Region.disc(end, 4 * reach);
        double dx = before.x() - end.x();
        double dy = before.y() - end.y();
        return round.minus(round.leftOf(end, end.plus(dy, -dx)));
    }
}
