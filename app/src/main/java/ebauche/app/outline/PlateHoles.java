package ebauche.app.outline;

import ebauche.app.words.Words;
import ebauche.core.design.BodyDesign;
import ebauche.core.design.ScratchPlate;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Placing;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Pickup;
import ebauche.exchange.design.TracedPlate;
import ebauche.exchange.drawn.DrawnFile;
import ebauche.exchange.drawn.DrawnFileException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** The closed lines inside a plate's, as a form carries them from the picking of the shape to its laying down. */
final class PlateHoles {
    private static final int MOST = 60;
    private static final int NUMBERS = 4;

    private PlateHoles() {}

    /** Shapes whose box lies inside another's, in the file's units. */
    static List<TracedPlate.Opening> inside(DrawnFile.Shape plate, List<DrawnFile.Shape> all) {
        double[] box = plate.box();
        List<TracedPlate.Opening> holes = new ArrayList<>();
        for (DrawnFile.Shape shape : all) {
            double[] its = shape.box();
            if (isWithin(its, box) && holes.size() < MOST) {
                holes.add(new TracedPlate.Opening(
                        new Point((its[0] + its[2]) / 2, (its[1] + its[3]) / 2), its[2] - its[0], its[3] - its[1]));
            }
        }
        return holes;
    }

    static String write(List<TracedPlate.Opening> holes) {
        return holes.stream()
                .map(h -> String.format(
                        Locale.ROOT,
                        "%.4f %.4f %.4f %.4f",
                        h.middle().x(),
                        h.middle().y(),
                        h.across(),
                        h.along()))
                .collect(Collectors.joining(";"));
    }

    /**
     * As they lie on the body.
     *
     * @throws DrawnFileException if the form's text is none of ours
     */
    static List<TracedPlate.Opening> placed(String written, List<Placing> ways) {
        if (written == null || written.isBlank()) {
            return List.of();
        }
        try {
            return Arrays.stream(written.split(";", MOST + 1))
                    .map(one -> Arrays.stream(one.strip().split(" ", NUMBERS))
                            .mapToDouble(Double::parseDouble)
                            .toArray())
                    .map(n -> placed(new Point(n[0], n[1]), n[2], n[NUMBERS - 1], ways))
                    .toList();
        } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
            throw new DrawnFileException(Words.say("plate-holes.the-plates-openings-did-not-come"));
        }
    }

    /** A box stays one: drawings are turned by quarters. */
    private static TracedPlate.Opening placed(Point middle, double across, double along, List<Placing> ways) {
        Point one = ShapePlacing.placed(middle.plus(-across / 2, -along / 2), ways);
        Point other = ShapePlacing.placed(middle.plus(across / 2, along / 2), ways);
        return new TracedPlate.Opening(
                one.towards(other, 0.5), Math.abs(other.x() - one.x()), Math.abs(other.y() - one.y()));
    }

    /** Whether a shape lies inside another: an opening, and no plate. */
    static boolean isInAnother(DrawnFile.Shape shape, List<DrawnFile.Shape> all) {
        double[] its = shape.box();
        return all.stream().map(DrawnFile.Shape::box).anyMatch(box -> isWithin(its, box));
    }

    private static boolean isWithin(double[] its, double[] box) {
        return its[0] > box[0] && its[1] > box[1] && its[2] < box[2] && its[3] < box[3];
    }

    /** Where a plate lies now, or over what it is to lie: its middle goes there. */
    static Region whereItGoes(BodyDesign design, Feature plate) {
        if (plate.is(FeatureKind.SCRATCH_PLATE)) {
            return design.neck()
                    .scratchPlate()
                    .flatMap(ScratchPlate::outline)
                    .map(Outline::region)
                    .orElseGet(() -> design.pickups().stream()
                            .map(Pickup::footprint)
                            .reduce(Region::union)
                            .orElse(design.outline().region()));
        }
        return design.cavities().stream()
                .filter(c -> c.feature().equals(plate))
                .findFirst()
                .map(c -> c.cover().outline().map(Outline::region).orElseGet(c::plan))
                .orElse(design.outline().region());
    }
}
