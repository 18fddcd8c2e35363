package ebauche.core.design;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Curve;
import ebauche.core.geometry.EdgeWalk;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.Refusal;
import ebauche.core.stock.Course;
import ebauche.core.stock.Profile;
import ebauche.core.stock.Relief;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A carved part of a face: a forearm or belly contour off a line, or a carved top that falls away all round.
 *
 * @param id short and lasting, such as {@code forearm}
 * @param face that is carved
 * @param start where it begins
 * @param depth how far it lies inside the finished face at its deepest, mm
 * @param shape across it
 * @param radius of a hollow; a round one's follows from width and depth
 * @param by how its maker brings it out; empty for the way that costs least
 * @param edge that it begins with, for veneer or a thick finish, mm; empty where it feathers out onto the face
 */
public record Contour(
        String id,
        Face face,
        Start start,
        double depth,
        Profile.Shape shape,
        OptionalDouble radius,
        Optional<CarveSchool> by,
        OptionalDouble edge) {
    /** One that feathers out onto the face. */
    public Contour(
            String id,
            Face face,
            Start start,
            double depth,
            Profile.Shape shape,
            OptionalDouble radius,
            Optional<CarveSchool> by) {
        this(id, face, start, depth, shape, radius, by, OptionalDouble.empty());
    }

    /** One that is brought out as costs the least here. */
    public Contour(String id, Face face, Start start, double depth, Profile.Shape shape, OptionalDouble radius) {
        this(id, face, start, depth, shape, radius, Optional.empty());
    }

    /** Where a contour begins. */
    public sealed interface Start {
        /**
         * A line over the face; the smaller part of the body is carved.
         *
         * @param through places that it passes between its ends: none of a straight one, the apex of an arc, the handles of a curve
         * @param depths how deep it is along the edge
         */
        record Across(Point from, Point to, List<Point> through, EdgeDepths depths) implements Start {
            private static final int MOST_HANDLES = 8;

            public Across {
                through = List.copyOf(through);
                Refusal.unless(from.distance(to) >= 10, "to", "the line's two ends lie closer than 10 mm together");
                Refusal.unless(
                        through.size() <= MOST_HANDLES,
                        "through",
                        "a line is pulled by at most " + MOST_HANDLES + " handles");
            }

            /** A straight line, one slope off it. */
            public Across(Point from, Point to) {
                this(from, to, List.of(), EdgeDepths.WEDGE);
            }

            /** Whether it is a plane off a straight line. */
            boolean isPlain() {
                return through.isEmpty() && depths.equals(EdgeDepths.WEDGE);
            }

            /** From end to end, as points. */
            public List<Point> line() {
                List<Point> places = new ArrayList<>(List.of(from));
                places.addAll(through);
                places.add(to);
                return Curve.through(places);
            }
        }

        /** So far inside the outline, all round or along a stretch of it. */
        record Round(double width, Optional<Stretch> along) implements Start {
            public Round {
                Refusal.between(width, 3, 250, "width");
                along.ifPresent(s -> Refusal.unless(
                        s.fade() >= width, "fade", "it fades out over no less than its width, as its end is round"));
            }

            /** All round. */
            public Round(double width) {
                this(width, Optional.empty());
            }
        }

        /**
         * Inside a disc, such as a recess that a knob sits in: it falls from the disc's rim to a level floor.
         *
         * @param width of what falls, from the rim inward
         */
        record Disc(Point at, double diameter, double width) implements Start {
            public Disc {
                Refusal.between(diameter, 5, 200, "diameter");
                Refusal.between(width, 0.5, diameter / 2, "width");
            }
        }

        /**
         * A part of the edge, walked anticlockwise as seen from the front, beyond whose ends the work fades out.
         *
         * @param from a place near the edge where it begins
         * @param to a place near the edge where it ends
         * @param fade how far along the edge it takes to fade out, mm
         */
        record Stretch(Point from, Point to, double fade) {
            public Stretch {
                Refusal.between(fade, 1, 300, "fade");
                Refusal.unless(from.distance(to) >= 10, "to", "its two ends lie closer than 10 mm together");
            }

            /**
             * Laid on a body's edge, for work so wide.
             *
             * @throws Refusal if it fades out over more than it is long, or its two ends into each other
             */
            Course.Stretch on(Region body, double width) {
                EdgeWalk walk = new EdgeWalk(body);
                double begins = walk.nearest(from);
                double ends = walk.nearest(to);
                double length = ends >= begins ? ends - begins : ends - begins + walk.length();
                Refusal.unless(
                        fade <= length,
                        "fade",
                        "it fades out over " + Decimals.plain(fade, 1) + " mm, more than its stretch of "
                                + Decimals.plain(length, 1) + " mm is long");
                Refusal.unless(
                        length + 2 * fade <= walk.length(),
                        "fade",
                        "its two ends fade into each other on the other side of the body");
                return Course.Stretch.of(body, from, to, fade, width);
            }
        }
    }

    public Contour {
        Refusal.between(depth, 0.5, 60, "depth");
        edge.ifPresent(e -> {
            Refusal.between(e, 0.2, 10, "edge");
            Refusal.unless(e < depth, "edge", "a definite edge is less deep than the contour behind it");
        });
        radius.ifPresent(r -> {
            Refusal.between(r, 5, 100_000, "radius");
            Refusal.unless(shape == Profile.Shape.HOLLOW, "radius", "only a hollow contour has a radius of its own");
        });
        Refusal.unless(
                shape != Profile.Shape.HOLLOW || radius.isPresent(), "radius", "a hollow contour needs its radius");
    }

    public Feature feature() {
        return Feature.of(FeatureKind.CONTOUR, id);
    }

    /** The same, so deep along the edge. */
    public Contour with(EdgeDepths depths) {
        Start.Across across = (Start.Across) start;
        return new Contour(
                id,
                face,
                new Start.Across(across.from(), across.to(), across.through(), depths),
                depth,
                shape,
                radius,
                by,
                edge);
    }

    /** The same, deeper or less deep. */
    public Contour with(double otherDepth) {
        return new Contour(id, face, start, otherDepth, shape, radius, by, edge);
    }

    /** A contour laid on a body's outline: what it carves of it, how wide that is, and its line. */
    public record Laid(Contour contour, Region plan, Course course, Profile profile) implements Relief {
        @Override
        public Feature feature() {
            return contour.feature();
        }

        @Override
        public Face face() {
            return contour.face();
        }
    }

    /**
     * Lays it on an outline.
     *
     * @throws Refusal with its name, if its line misses the body or its arc cannot be
     */
    public Laid on(Outline outline) {
        try {
            return laid(outline);
        } catch (Refusal refusal) {
            throw new Refusal("contours", "the " + feature().said() + ": " + refusal.getMessage());
        }
    }

    private Laid laid(Outline outline) {
        Region body = outline.region();
        if (start instanceof Start.Round round && round.along().isPresent()) {
            Start.Stretch along = round.along().get();
            Course.Stretch stretch = along.on(body, round.width());
            return new Laid(this, stretch.over(body), stretch, profile(round.width()));
        }
        if (start instanceof Start.Round round) {
            Region flat = body.grown(-round.width());
            return new Laid(
                    this,
                    flat.isEmpty() ? body : body.minus(flat),
                    Course.Rim.of(body, round.width()),
                    profile(round.width()));
        }
        if (start instanceof Start.Disc disc) {
            Region plan = Region.disc(disc.at(), disc.diameter()).intersection(body);
            Refusal.unless(!plan.isEmpty(), "contours", "its disc lies off the body");
            return new Laid(this, plan, new Course.Spot(disc.at(), disc.diameter() / 2), profile(disc.width()));
        }
        Start.Across across = (Start.Across) start;
        if (!across.isPlain()) {
            RuledOff off = RuledOff.of(body, across, this);
            return new Laid(this, off.course().plan().intersection(body), off.course(), off.profile());
        }
        Region left = body.intersection(body.leftOf(across.from(), across.to()));
        boolean small = left.area() <= body.area() / 2;
        Course.Line line =
                small ? new Course.Line(across.from(), across.to()) : new Course.Line(across.to(), across.from());
        Region plan = small ? left : body.intersection(body.leftOf(across.to(), across.from()));
        Refusal.unless(plan.area() >= 100, "contours", "its line does not cross the body; draw it from edge to edge");
        Point deepest = line.farthest(plan);
        return new Laid(this, plan, line, profile(line.across(deepest.x(), deepest.y())));
    }

    Profile profile(double whole) {
        double definite = edge.orElse(0);
        Refusal.unless(definite < whole, "edge", "a definite edge is narrower than the contour behind it");
        double width = whole - definite;
        double deep = depth - definite;
        Profile feathered = switch (shape) {
            case STRAIGHT -> Profile.straight(width, deep);
            case ROUND -> Profile.round(width, deep);
            case BLENDED -> Profile.blended(width, deep);
            case ARCHED -> Profile.arched(width, deep);
            case HOLLOW -> Profile.hollow(width, deep, radius.getAsDouble());
        };
        return definite > 0 ? feathered.behind(definite) : feathered;
    }
}
