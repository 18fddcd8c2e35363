package ebauche.core.cavity;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.ScratchPlate;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Cover;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** A plate that was drawn, against the body that it lies on and what it hides; one that nobody drew is not judged. */
record PlateRules(Build build) {
    /** A plate hides the edge of what is cut under it by so much, mm: a sixteenth of an inch, common practice. */
    private static final double HIDES = 1.5;

    /** From a screw to the plate's edge, mm: common practice. */
    private static final double PLATE_ROUND_A_SCREW = 3;

    private static final double TIGHT = 0.5;

    /**
     * A plate as it lies.
     *
     * @param hidden what is cut under it, where it goes
     */
    private record Plate(String said, Feature feature, Region area, List<Point> screws, Map<Feature, Region> hidden) {}

    List<Rule> all() {
        List<Rule> rules = new ArrayList<>();
        for (Plate plate : plates()) {
            rules.add(onTheBody(plate));
            plate.hidden().forEach((feature, under) -> rules.add(hides(plate, feature, under)));
            plate.screws().stream()
                    .max(Comparator.comparingDouble(plate.area()::outside))
                    .ifPresent(screw -> rules.add(inPlate(plate, screw)));
            nearestScrew(plate).ifPresent(rules::add);
        }
        return rules;
    }

    private List<Plate> plates() {
        BodyDesign design = build.design();
        List<Plate> plates = new ArrayList<>();
        design.neck().scratchPlate().ifPresent(p -> p.outline().ifPresent(o -> plates.add(scratchPlate(p, o))));
        for (Cavity cavity : design.cavities()) {
            cavity.cover()
                    .outline()
                    .ifPresent(o -> plates.add(new Plate(
                            "The plate over the " + cavity.feature().said(),
                            cavity.feature(),
                            o.region(),
                            cavity.cover().screws(),
                            Map.of(cavity.feature(), cavity.plan()))));
        }
        return plates;
    }

    private Plate scratchPlate(ScratchPlate plate, Outline outline) {
        BodyDesign design = build.design();
        Map<Feature, Region> hidden = new LinkedHashMap<>();
        design.pickups().stream()
                .filter(p -> build.drawn().onPlates().containsKey(p.feature()))
                .forEach(p -> hidden.put(p.feature(), p.footprint()));
        design.cavities().stream()
                .filter(c -> c.cover().kind() == Cover.Kind.SCRATCH_PLATE)
                .forEach(c -> hidden.put(c.feature(), c.plan()));
        return new Plate(
                "The scratch plate", Feature.of(FeatureKind.SCRATCH_PLATE), outline.region(), plate.screws(), hidden);
    }

    private static Rule.Builder rule(String name, Plate plate, Point at) {
        return Rule.of(Work.CAVITY, name, Rule.About.CAVITIES)
                .on(plate.feature())
                .at(at)
                .tight(TIGHT);
    }

    private static Finding.Builder finding(String name, Plate plate, Point at) {
        return Finding.thinkAgain(Work.CAVITY, name).on(plate.feature()).at(at);
    }

    /** How far a place or an area lies inside another, less than nought where it stands out, mm. */
    private static double inside(Region area, Region around) {
        double beyond = area.reachesBeyond(around);
        if (beyond > 0) {
            return -beyond;
        }
        Point[] ends = area.nearestToEdge(around);
        return ends[0].distance(ends[1]);
    }

    private Rule onTheBody(Plate plate) {
        Region body = build.design().outline().region();
        double room = inside(plate.area(), body);
        Point at = plate.area().nearestToEdge(body)[0];
        return rule("plate-on-body", plate, at)
                .says(plate.said() + " lies on the body all round.")
                .atLeast(sum("from its edge to the body's", "plate's edge inside the body's", room), 0)
                .cure("Trim the plate, or shift it.")
                .fails(() -> finding("plate-off-body", plate, at)
                        .length("beyond the edge", -room)
                        .says(plate.said() + " stands {0} over the body's edge.", "Trim the plate, or shift it."))
                .build();
    }

    private Rule hides(Plate plate, Feature feature, Region under) {
        double over = inside(under, plate.area());
        Point at = under.nearestToEdge(plate.area())[0];
        return rule("plate-hides", plate, at)
                .says(plate.said() + " hides the edge of the " + feature.said() + ".")
                .atLeast(sum("plate over its edge", "its edge inside the plate's", over), HIDES)
                .cure("A smaller rout there, or a larger plate.")
                .fails(() -> finding("plate-shows-rout", plate, at)
                        .length("over its edge", over)
                        .length("wanted", HIDES)
                        .says(
                                over < 0
                                        ? "The " + feature.said() + " would show beside " + lower(plate) + "."
                                        : plate.said() + " hides the edge of the " + feature.said()
                                                + " by {0} only; {1} is wanted.",
                                "A smaller rout there, or a larger plate."))
                .build();
    }

    private static String lower(Plate plate) {
        return plate.said().substring(0, 1).toLowerCase(Locale.ROOT)
                + plate.said().substring(1);
    }

    /** Of all its screws the one with the least wood beside a void. */
    private static Optional<Rule> nearestScrew(Plate plate) {
        Point nearest = null;
        Map.Entry<Feature, Region> beside = null;
        for (Point screw : plate.screws()) {
            for (Map.Entry<Feature, Region> under : plate.hidden().entrySet()) {
                if (nearest == null
                        || under.getValue().outside(screw) < beside.getValue().outside(nearest)) {
                    nearest = screw;
                    beside = under;
                }
            }
        }
        return nearest == null
                ? Optional.empty()
                : Optional.of(inWood(plate, nearest, beside.getKey(), beside.getValue()));
    }

    private static Rule inPlate(Plate plate, Point screw) {
        double room = -plate.area().outside(screw);
        return rule("plate-screw-in-plate", plate, screw)
                .says("Every screw of " + lower(plate) + " has plate round it.")
                .atLeast(sum("screw to the plate's edge", "screw inside the plate's edge", room), PLATE_ROUND_A_SCREW)
                .cure("Shift the screw inward.")
                .fails(() -> finding("plate-screw-at-edge", plate, screw)
                        .length("to the edge", Math.abs(room))
                        .length("wanted", PLATE_ROUND_A_SCREW)
                        .says(
                                "A screw of " + lower(plate)
                                        + (room < 0
                                                ? " stands {0} outside the plate."
                                                : " stands {0} inside the plate's edge; {1} is wanted."),
                                "Shift the screw inward."))
                .build();
    }

    private static Rule inWood(Plate plate, Point screw, Feature feature, Region under) {
        double wood = under.outside(screw);
        return rule("plate-screw-in-wood", plate, screw)
                .says("Every screw of " + lower(plate) + " finds wood; the nearest stands beside the " + feature.said()
                        + ".")
                .atLeast(sum("screw to the rout", "screw outside the rout's edge", wood), Cover.WOOD_ROUND_A_SCREW)
                .cure("Shift the screw, or leave wood there.")
                .fails(() -> finding("plate-screw-over-rout", plate, screw)
                        .length("to the rout", Math.max(0, wood))
                        .length("wanted", Cover.WOOD_ROUND_A_SCREW)
                        .says(
                                wood < 0
                                        ? "A screw of " + lower(plate) + " stands over the " + feature.said()
                                                + ": there is no wood for it."
                                        : "A screw of " + lower(plate) + " stands {0} from the " + feature.said()
                                                + "; {1} of wood is wanted.",
                                "Shift the screw, or leave wood there."))
                .build();
    }

    private static Reckoning sum(String what, String name, double value) {
        return Reckoning.of(what, Quantity.LENGTH)
                .length(name, Fact.typed(value))
                .is(value, name);
    }
}
