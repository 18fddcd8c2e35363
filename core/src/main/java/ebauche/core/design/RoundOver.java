package ebauche.core.design;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.EdgeWalk;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Refusal;
import ebauche.core.stock.Course;
import ebauche.core.stock.Profile;
import ebauche.core.stock.Relief;
import java.util.Optional;

/**
 * The corner between a face and the edge, rounded over.
 *
 * @param id short and lasting, such as {@code front}
 * @param face whose corner it is
 * @param radius mm
 * @param along the stretch of the edge that it runs along; empty for all round but where the neck enters
 */
public record RoundOver(String id, Face face, double radius, Optional<Contour.Start.Stretch> along) {
    /** It leaves so much of the edge whole beside the neck's mouth, mm: common practice. */
    private static final double BESIDE = 2;

    /** It fades out over no less, mm. */
    private static final double SHORTEST_FADE = 10;

    /** The neck's mouth is looked for at every so much of the edge, mm. */
    private static final double STEP = 1;

    public RoundOver {
        Refusal.between(radius, 1, 25, "radius");
        along.ifPresent(s -> Refusal.unless(
                s.fade() >= radius, "fade", "it fades out over no less than its radius, as its end is round"));
    }

    public Feature feature() {
        return Feature.of(FeatureKind.ROUND_OVER, id);
    }

    /** A round-over laid on a body's outline. */
    public record Laid(RoundOver roundOver, Region plan, Course course, Profile profile) implements Relief {
        @Override
        public Feature feature() {
            return roundOver.feature();
        }

        @Override
        public Face face() {
            return roundOver.face();
        }
    }

    /** Lays it on an outline which a neck enters at its pocket. */
    public Laid on(Outline outline, Region pocket) {
        Region body = outline.region();
        Profile quarter = Profile.round(radius, radius);
        Optional<Contour.Start.Stretch> stretch = along.or(() -> besideTheNeck(body, pocket));
        if (stretch.isPresent()) {
            Course.Stretch course = stretch.get().on(body, radius);
            return new Laid(this, course.over(body), course, quarter);
        }
        Region flat = body.grown(-radius);
        return new Laid(this, flat.isEmpty() ? body : body.minus(flat), Course.Rim.of(body, radius), quarter);
    }

    /** All round but for the neck's mouth; empty where the neck does not come to the edge. */
    private Optional<Contour.Start.Stretch> besideTheNeck(Region body, Region pocket) {
        if (pocket.isEmpty()) {
            return Optional.empty();
        }
        EdgeWalk walk = new EdgeWalk(body);
        Region kept = pocket.grown(BESIDE);
        double fade = Math.max(2 * radius, SHORTEST_FADE);
        double inside = walk.nearest(pocket.centroid());
        double begins = Double.NaN;
        double ends = Double.NaN;
        for (double off = -walk.length() / 2; off < walk.length() / 2; off += STEP) {
            if (kept.contains(walk.at(inside + off, 0))) {
                begins = Double.isNaN(begins) ? off : begins;
                ends = off;
            }
        }
        if (Double.isNaN(begins)) {
            return Optional.empty();
        }
        Point from = walk.at(inside + ends + fade, 0);
        Point to = walk.at(inside + begins - fade, 0);
        return Optional.of(new Contour.Start.Stretch(from, to, fade));
    }
}
