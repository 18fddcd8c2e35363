package ebauche.core.contour;

import ebauche.core.crib.Bit;
import ebauche.core.design.CarveSchool;
import ebauche.core.design.Contour;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.CarveReadings;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Gauge;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Rounding;
import ebauche.core.operation.Caution;
import ebauche.core.operation.LedgerRow;
import ebauche.core.stock.Profile;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;

/**
 * A carved top roughed out along a family of templates, each smaller than the one before: a bowl bit takes all between the template's
 * line and the edge, at the rim first and deepest, each next time shallower; what stays over the surface is taken by disc and scraper.
 *
 * @param laid the carve
 * @param corner radius of the bowl bit, mm; nought of a straight one
 * @param proud that every cut stays over the surface, mm
 * @param step most that stands over the surface between two of them, mm
 * @param all from the rim inward
 */
public record NestedTemplates(Contour.Laid laid, double corner, double proud, double step, List<Template> all) {
    /** Every cut stays so far over the surface, mm: common practice, what a 40 grit disc takes at once. */
    public static final double PROUD = 0.5;

    /** So high a step between two templates a disc still takes, mm: common practice. */
    public static final double STEP = 2.5;

    private static final double[] USUAL_STEPS = {1, 1.5, 2.5, 4};

    /** No more templates than that are made, and no shallower cut, mm. */
    private static final int MOST = 12;

    private static final double SHALLOWEST = 0.5;

    /** A line is found so closely, mm. */
    private static final double CLOSE = 0.01;

    /** Along a cut the surface is compared every so far, mm. */
    private static final double LOOK = 0.2;

    /**
     * One of them.
     *
     * @param inside its line lies so far inside the edge, mm
     * @param depth its cut is set to, under the face, mm
     * @param line what it leaves: the plan inside its line
     */
    public record Template(double inside, double depth, Region line) {}

    /**
     * Templates that leave no more than a step standing.
     *
     * @param first depth at the rim where something sets it, such as a binding's height
     */
    public static NestedTemplates of(
            Contour.Laid laid, Region body, double corner, double proud, double step, Optional<Double> first) {
        Profile profile = laid.profile();
        List<Template> all = new ArrayList<>();
        double depth = Gauge.settable(first.orElse(profile.depth() - proud), Rounding.LESS);
        while (depth >= SHALLOWEST && all.size() < MOST) {
            double inside = Gauge.settable(reaches(profile, corner, proud, depth), Rounding.LESS);
            double before = all.isEmpty() ? 0 : all.get(all.size() - 1).inside();
            if (inside > before + CLOSE) {
                all.add(new Template(inside, depth, body.minus(laid.beyond(profile.width() - inside))));
                before = inside;
            }
            // Beside its line the surface lies so deep: the next leaves a step of it at most.
            double next = profile.fall(profile.width() - before) - step;
            depth = Gauge.settable(Math.min(next, depth - SHALLOWEST), Rounding.LESS);
        }
        return new NestedTemplates(laid, corner, proud, step, List.copyOf(all));
    }

    /** How deep the bit cuts so far outside its template's line, set to a depth: its corner is round. */
    static double cut(double corner, double depth, double outside) {
        if (outside < 0) {
            return 0;
        }
        double in = Math.max(0, corner - outside);
        return depth - (corner - Math.sqrt(corner * corner - in * in));
    }

    /** The farthest inside the edge that a template's line may lie, every place of its cut proud of the surface: by halving. */
    private static double reaches(Profile profile, double corner, double proud, double depth) {
        double least = 0;
        double most = profile.width();
        while (most - least > CLOSE) {
            double middle = (least + most) / 2;
            if (isProud(profile, corner, proud, depth, middle)) {
                least = middle;
            } else {
                most = middle;
            }
        }
        return least;
    }

    private static boolean isProud(Profile profile, double corner, double proud, double depth, double inside) {
        int pieces = (int) Math.ceil(inside / LOOK);
        for (int i = 0; i <= pieces; i++) {
            double outside = inside * i / Math.max(1, pieces);
            double surface = profile.fall(profile.width() - (inside - outside));
            if (cut(corner, depth, outside) > surface - proud + 1e-9) {
                return false;
            }
        }
        return true;
    }

    /** Whether every place that was read under one is as deep already as it cuts there; not where none was. */
    boolean isCut(Template template, List<CarveReadings.Read> reads) {
        List<CarveReadings.Read> under =
                reads.stream().filter(r -> inside(r) < template.inside()).toList();
        return !under.isEmpty()
                && under.stream()
                        .allMatch(r -> r.taken().value()
                                >= cut(corner, template.depth(), template.inside() - inside(r)) - CarveLeft.SCRAPED);
    }

    private double inside(CarveReadings.Read read) {
        return laid.profile().width()
                - laid.course().across(read.at().x(), read.at().y());
    }

    /** What stands over the surface so far inside the edge once all are cut, mm. */
    public double over(double inside) {
        double deepest = all.stream()
                .mapToDouble(t -> Math.max(0, cut(corner, t.depth(), t.inside() - inside)))
                .max()
                .orElse(0);
        return laid.profile().fall(laid.profile().width() - inside) - deepest;
    }

    /** The most that stands over it anywhere, mm. */
    public double mostOver() {
        double most = 0;
        for (double inside = 0; inside <= laid.profile().width(); inside += LOOK) {
            most = Math.max(most, over(inside));
        }
        return most;
    }

    /** The crib's bit for it: a bowl bit with a bearing on its shank, else a straight one, the widest that a router takes. */
    static Optional<Bit> bit(Build build) {
        return build.shop().crib().bits().stream()
                .filter(b -> b.profile() == Bit.Profile.BOWL || b.profile() == Bit.Profile.STRAIGHT)
                .filter(b -> b.bearing().turns() && !b.bearing().atTip() && b.bearingSound())
                .filter(b -> build.shop().crib().inHand(b).isPresent())
                .max(Comparator.<Bit, Boolean>comparing(b -> b.profile() == Bit.Profile.BOWL)
                        .thenComparingDouble(Bit::diameter));
    }

    /** Those of a body's carve in its shop. */
    public static NestedTemplates of(Build build, Contour.Laid laid) {
        return of(
                laid,
                build.design().outline().region(),
                bit(build).map(Bit::floorRadius).orElse(0.0),
                PROUD,
                STEP,
                atTheRim(build, laid));
    }

    /** As deep as a binding of that face is high: its step at the edge is the first template's. */
    private static Optional<Double> atTheRim(Build build, Contour.Laid laid) {
        return build.design().bindings().stream()
                .filter(b -> b.face() == laid.face())
                .map(b -> Math.min(b.height(), laid.profile().depth() - PROUD))
                .min(Comparator.naturalOrder());
    }

    /**
     * How many templates leave steps of no more than a height.
     *
     * @param step mm
     */
    public record Count(double step, int templates) {}

    /** Steps that are usual, with how many templates each wants: common practice. */
    public static List<Count> counts(Build build, Contour.Laid laid) {
        return DoubleStream.of(USUAL_STEPS)
                .mapToObj(s -> new Count(
                        s,
                        of(
                                        laid,
                                        build.design().outline().region(),
                                        bit(build).map(Bit::floorRadius).orElse(0.0),
                                        PROUD,
                                        s,
                                        atTheRim(build, laid))
                                .all()
                                .size()))
                .toList();
    }

    static Removal removal(Build build, Contour.Laid laid) {
        Optional<Bit> bit = bit(build);
        NestedTemplates nested = of(build, laid);
        List<LedgerRow> rows = new ArrayList<>();
        rows.add(LedgerRow.of(
                "Cut the templates from the outline's own, each so far inside it; mark the flat for pickups and bridge on each"
                        + bit.map(b -> "; " + b.name()).orElse("")));
        CarveLeft left = CarveLeft.of(build, laid);
        int number = 0;
        int cut = 0;
        for (Template each : nested.all()) {
            number++;
            if (nested.isCut(each, left.reads())) {
                cut++;
                rows.add(LedgerRow.of("Template " + number + ": cut, as the stations under it were read"));
                continue;
            }
            rows.add(LedgerRow.of(
                    "Template " + number + ": all between its line and the edge, the base on the template"
                            + (number == 1 ? "" : ", shallower than the last"),
                    Reckoning.of("line inside the edge", Quantity.LENGTH)
                            .length("farthest that stays over the surface", each.inside())
                            .is(
                                    each.inside(),
                                    "farthest that stays over the surface, set to the side that leaves wood"),
                    Reckoning.of("deep", Quantity.LENGTH)
                            .length("cut under the face", each.depth())
                            .is(each.depth(), "cut under the face")));
        }
        double over = nested.mostOver();
        rows.add(LedgerRow.of(
                "40 grit disc down to where the steps' corners just go, 80 grit by a light held low, then scraper; lines that stay are pencilled anew",
                Reckoning.of("stands over the surface at most", Quantity.LENGTH)
                        .length("step between two templates", Fact.rule(STEP, "common practice"))
                        .length("every cut stays over by", Fact.rule(PROUD, "common practice"))
                        .is(over, "found along the profile")));
        double area = laid.plan().area() / 10_000;
        return new Removal(
                CarveSchool.TEMPLATES,
                rows,
                over,
                (int) Math.round(20 + 8 * (number - cut) + 6 * area),
                List.of(Caution.ROUTER, Caution.DUST, Caution.CARVE),
                bit.isPresent()
                        ? nested.all().isEmpty()
                                ? Optional.of("it is too shallow for a template to help")
                                : Optional.empty()
                        : Optional.of("the crib has no sound bit with its bearing on the shank, or no router for it"));
    }
}
