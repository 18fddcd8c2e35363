package ebauche.app.outline;

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
            boolean within = its[0] > box[0] && its[1] > box[1] && its[2] < box[2] && its[3] < box[3];
            if (within && holes.size() < MOST) {
                double across = its[2] - its[0];
                double along = its[3] - its[1];
                holes.add(new TracedPlate.Opening(
                        new Point((its[0] + its[2]) / 2, (its[1] + its[3]) / 2),
                        Math.min(across, along),
                        Math.max(across, along)));
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
                        h.least(),
                        h.most()))
                .collect(Collectors.joining(";"));
    }

    /**
     * As they lie on the body.
     *
     * @throws DrawnFileException if the form's text is none of ours
     */
    static List<TracedPlate.Opening> placed(String written, List<Placing> ways, double perUnit) {
        if (written == null || written.isBlank()) {
            return List.of();
        }
        try {
            return Arrays.stream(written.split(";", MOST + 1))
                    .map(one -> Arrays.stream(one.strip().split(" ", NUMBERS))
                            .mapToDouble(Double::parseDouble)
                            .toArray())
                    .map(n -> new TracedPlate.Opening(
                            ShapePlacing.placed(new Point(n[0], n[1]), ways), n[2] * perUnit, n[NUMBERS - 1] * perUnit))
                    .toList();
        } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
            throw new DrawnFileException("the plate's openings did not come through whole; import the drawing again");
        }
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
