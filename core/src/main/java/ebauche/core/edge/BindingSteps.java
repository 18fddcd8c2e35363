package ebauche.core.edge;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Router;
import ebauche.core.design.Binding;
import ebauche.core.design.RoundOver;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Gauge;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Rounding;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.LedgerRow;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Place;
import ebauche.core.operation.Setting;
import ebauche.core.passes.Cutter;
import ebauche.core.passes.Pass;
import ebauche.core.passes.Travel;
import ebauche.core.routing.Datum;
import ebauche.core.stock.Change;
import ebauche.core.stock.Material;
import ebauche.core.stock.Solid;
import ebauche.core.stock.Workpiece;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** A binding: its ledge routed down in steps, the strip bent, glued in and scraped flush. It comes before round-overs, which take its corner with them, or after them, and is rounded then. */
final class BindingSteps {
    /** A ledge goes down by so much at a time, mm: common practice. */
    private static final double STEP = 3;

    /** A ledge that is off by less is scraped flush, mm: common practice. */
    private static final double NEAR = 0.15;

    /** So much longer than the edge a strip is cut, for its seam and what tears: common practice. */
    private static final double LONGER = 1.1;

    /** Its density where it is plastic, kg/m³: celluloid and ABS are near it (memory). */
    private static final double PLASTIC = 1250;

    private static final double FLAT = 40;

    /** A place of the edge that lies so near to its ledge has it, mm. */
    static final double ON_IT = 0.1;

    /** Minutes to set a bit to a ledge, for a metre of it by router and by hand: common practice. */
    private static final double SET = 15;

    private static final double BY_ROUTER = 8;
    private static final double BY_HAND = 60;

    final Build build;
    final Binding binding;
    final Region plan;
    private final Region purfled;
    /** The round-overs that are done before its ledge. */
    private final List<RoundOver.Laid> corners;

    private BindingSteps(Build build, Binding binding) {
        this.build = build;
        this.binding = binding;
        this.plan = binding.on(build.design().outline(), build.design().neck().pocket());
        this.corners = build.roundOvers().stream()
                .filter(r -> binding.isRoundedFirst() && r.face() == binding.face())
                .filter(r -> r.plan().overlaps(plan))
                .toList();
        this.purfled = binding.purflingOn(
                build.design().outline(), build.design().neck().pocket());
    }

    static List<Operation> of(Build build) {
        return build.design().bindings().stream()
                .flatMap(b -> new BindingSteps(build, b).steps().stream())
                .toList();
    }

    static List<Rule> rules(Build build) {
        return build.design().bindings().stream()
                .flatMap(b -> BindingRules.of(new BindingSteps(build, b)).stream())
                .toList();
    }

    String said() {
        return binding.feature().said();
    }

    private Condition.Mark done(StepKind kind, String words) {
        return new Condition.Mark(StepKey.of(binding.feature(), kind), words);
    }

    private Solid ledge() {
        return under(plan, binding.height());
    }

    private Solid under(Region area, double deep) {
        double now = build.faces().now(binding.face());
        return binding.face() == Face.FRONT
                ? Solid.Prism.between(area, now, now + deep)
                : Solid.Prism.between(area, now - deep, now);
    }

    /** Where the ledge is routed and where gramil and chisel cut it, and why; empty where no bit here has the bearing. */
    private Optional<EdgeZones> zones() {
        return cut(binding.thickness())
                .map(c -> EdgeZones.of(
                        build,
                        new EdgeZones.Ride(
                                binding.face(),
                                binding.height(),
                                c.bearing(),
                                c.bit().bearingWidth(),
                                c.router().baseDiameter(),
                                false,
                                at -> plan.outside(at) < ON_IT)));
    }

    /** Where its ledge is cut by hand; empty where no bit of the crib has the bearing for it. */
    static Optional<EdgeZones> zones(Build build, Binding binding) {
        return new BindingSteps(build, binding).zones();
    }

    private double length() {
        return plan.area() / binding.thickness();
    }

    /** A rabbeting bit with the bearing that gives the ledge: bearing = bit − 2 × ledge. */
    private record Cut(Bit bit, Router router, double bearing) {}

    private Optional<Cut> cut(double ledge) {
        List<Double> drawer = build.shop().crib().bearings();
        return build.shop().crib().bits().stream()
                .filter(b -> b.profile() == Bit.Profile.RABBET
                        && b.bearingSound()
                        && b.bearing().atTip())
                .flatMap(b -> {
                    double wanted = b.diameter() - 2 * ledge;
                    List<Double> has = new ArrayList<>(drawer);
                    has.add(b.bearingDiameter());
                    return has.stream()
                            .filter(d -> Math.abs(d - wanted) / 2 <= NEAR)
                            .min(Comparator.comparingDouble(d -> Math.abs(d - wanted)))
                            .flatMap(d -> build.shop().crib().inHand(b).map(r -> new Cut(b, r, d)))
                            .stream();
                })
                .findFirst();
    }

    private List<Operation> steps() {
        List<Operation> steps = new ArrayList<>();
        if (binding.purfling().isPresent()) {
            steps.add(purfle(binding.purfling().get()));
        }
        steps.addAll(List.of(rout(), bend(), glue(), flush()));
        if (!corners.isEmpty()) {
            steps.add(round());
        }
        return steps;
    }

    /** The purfling's ledge comes first, while the wood outside it still carries the bearing: wider and less deep. */
    private Operation purfle(Binding.Purfling purfling) {
        double ledge = binding.thickness() + purfling.thickness();
        Reckoning deep = Reckoning.of("purfling's ledge down from the face", Quantity.LENGTH)
                .length("its depth", Fact.typed(purfling.depth()))
                .is(purfling.depth(), "its depth");
        Reckoning in = Reckoning.of("in from the edge", Quantity.LENGTH)
                .length("binding's thickness", Fact.typed(binding.thickness()))
                .length("purfling's thickness", Fact.typed(purfling.thickness()))
                .is(ledge, "binding's thickness + purfling's thickness");
        return cutting(
                        StepKind.PURFLE,
                        "Cut the ledge of the " + said() + "'s purfling",
                        cut(ledge),
                        deep,
                        in,
                        "the purfling's ledge of the " + said())
                .cuts(Change.Remove.fromBody(binding.feature(), under(purfled, purfling.depth())))
                .build();
    }

    private Operation rout() {
        Reckoning deep = Reckoning.of("ledge down the edge", Quantity.LENGTH)
                .length("binding's height", Fact.typed(binding.height()))
                .is(binding.height(), "binding's height");
        Reckoning in = Reckoning.of("in from the edge", Quantity.LENGTH)
                .length("strip's thickness", Fact.typed(binding.thickness()))
                .is(binding.thickness(), "strip's thickness");
        Operation.Builder step = cutting(
                        StepKind.ROUT,
                        "Cut the ledge of the " + said(),
                        cut(binding.thickness()),
                        deep,
                        in,
                        "the ledge of the " + said())
                .cuts(Change.Remove.fromBody(binding.feature(), ledge()));
        if (binding.purfling().isPresent()) {
            step.needs(done(StepKind.PURFLE, "the purfling's ledge of the " + said()));
        }
        zones().ifPresent(z -> z.byHand().forEach(e -> step.at(new Place("by hand: " + e.words(), e.middle()))));
        return step.build();
    }

    /** A ledge so deep and so far in: by router where its bearing rides, by gramil and chisel where not. */
    private Operation.Builder cutting(
            StepKind kind, String title, Optional<Cut> cut, Reckoning deep, Reckoning in, String given) {
        double byHand =
                cut.isEmpty() ? length() : zones().map(EdgeZones::byHandLength).orElse(0.0);
        double byRouter = Math.max(0, length() - byHand);
        Setting set = cut.<Setting>map(c -> new Setting.Routed(
                        c.bit().name(),
                        "edge; bearing of " + Gauge.settable(c.bearing(), Rounding.LESS)
                                + " mm, a gramil and chisel where it finds no wall; over a contour so much less as that takes",
                        Setting.Feed.ANTICLOCKWISE,
                        deep,
                        "deep, the strip a hair proud of it",
                        passes(c, deep.value(), in.value()),
                        new Travel(byRouter, 0)))
                .orElseGet(() -> new Setting.ByHand(
                        "gramil to both lines, then chisel: no rabbeting bit here has the bearing for it",
                        List.of(LedgerRow.of("Gramil round the edge and round the face", deep, in))));
        return Operation.of(Work.EDGE, binding.feature(), kind, title)
                .face(binding.face())
                .set(set)
                .needs(Datum.OUTLINE_ROUTED, Datum.flat(build, binding.face(), base()))
                .needs(corners.stream().map(r -> Datum.carved(r.feature())).toArray(Condition[]::new))
                .gives(done(kind, given))
                .caution(Caution.ROUTER, Caution.DUST)
                .takes((int) Math.round(SET + (BY_ROUTER * byRouter + BY_HAND * byHand) / 1000), 0, 0.015);
    }

    /** The face beside it that carries the base: where the corner is rounded already, what that leaves of it. */
    private Region base() {
        Region body = build.design().outline().region();
        Region beside = body.minus(body.grown(-FLAT)).intersection(plan.grown(FLAT));
        return corners.stream().map(RoundOver.Laid::plan).reduce(beside, Region::minus);
    }

    /** The strip stands square in a rounded corner: it is brought to the same round. */
    private Operation round() {
        double now = build.faces().now(binding.face());
        double radius =
                corners.stream().mapToDouble(r -> r.roundOver().radius()).max().orElse(0);
        Operation.Builder step = Operation.of(
                        Work.EDGE, binding.feature(), StepKind.CARVE, "Round the " + said() + " over with its corner")
                .face(binding.face())
                .set(new Setting.ByHand(
                        "the same bit, light, where its bearing rides; file and scraper along the strip elsewhere",
                        List.of(LedgerRow.of(
                                "Down to the round that the corner has", Reckoning.typed("radius", radius)))))
                .needs(done(StepKind.FINISH, "the " + said() + " flush"))
                .gives(Datum.carved(binding.feature()))
                .caution(Caution.ROUTER, Caution.DUST)
                .takes((int) Math.round(5 + 15 * length() / 1000), 0, 0.006);
        for (RoundOver.Laid corner : corners) {
            Region both = corner.plan().intersection(plan.union(purfled));
            step.cuts(corner.cut(both, now));
        }
        return step.build();
    }

    private static List<Pass> passes(Cut cut, double deep, double in) {
        int steps = (int) Math.ceil(deep / STEP);
        List<Pass> passes = new ArrayList<>();
        double from = 0;
        for (int i = 1; i <= steps; i++) {
            double to = i == steps ? deep : Gauge.settable(deep * i / steps, Rounding.LESS);
            passes.add(new Pass(new Cutter(cut.bit(), cut.router()), Pass.Guide.EDGE, 0, from, to, to, in));
            from = to;
        }
        return passes;
    }

    List<Bends> bends() {
        return Bends.of(build.design().outline(), binding.thickness()).stream()
                .filter(b -> plan.outside(b.at()) < ON_IT)
                .toList();
    }

    private List<Bends.Corner> corners() {
        return Bends.corners(build.design().outline()).stream()
                .filter(c -> plan.outside(c.at()) < ON_IT)
                .toList();
    }

    private Operation bend() {
        List<LedgerRow> rows = new ArrayList<>();
        rows.add(LedgerRow.of(
                binding.along().isPresent()
                        ? "Cut the strip to length, both its ends square"
                        : "Cut the strip to length; its seam on the centre line at the tail",
                Reckoning.of("strip", Quantity.LENGTH)
                        .length("edge that it goes round", length())
                        .term("longer", Fact.rule(LONGER, "common practice"), Quantity.NUMBER)
                        .is(length() * LONGER, "edge that it goes round × longer")));
        Operation.Builder step = Operation.of(Work.EDGE, binding.feature(), StepKind.BEND, "Bend and fit the " + said())
                .face(binding.face());
        int number = 0;
        for (Bends each : bends()) {
            number++;
            rows.add(LedgerRow.of("Turn " + number + ": " + how(each), each.figures(binding.thickness())));
            step.at(new Place("turn " + number, each.at()));
        }
        int mitres = 0;
        for (Bends.Corner each : corners()) {
            mitres++;
            rows.add(LedgerRow.of(
                    "Corner " + mitres + ", " + (each.inside() ? "inside" : "outside")
                            + ": two strips, mitred; the second is fitted to the first",
                    each.mitre()));
            step.at(new Place("corner " + mitres, each.at()));
        }
        binding.purfling()
                .ifPresent(p -> rows.add(LedgerRow.of(
                        "Purfling into its own ledge inside the strip, bent with it",
                        Reckoning.typed("purfling's thickness", p.thickness()))));
        rows.add(LedgerRow.of("Dry fit with tape all round; it lies in the ledge without a gap at its inner corner"));
        return step.set(new Setting.ByHand(
                        binding.timber().isPresent() ? "bending iron, soaked strip, tape" : "warm air, tape", rows))
                .needs(done(StepKind.ROUT, "the ledge of the " + said()))
                .gives(done(StepKind.BEND, "the " + said() + " fitted"))
                .takes((int) Math.round(20 + 6.0 * number + 10.0 * mitres + 8 * length() / 1000), 0, 0.01)
                .build();
    }

    private String how(Bends bend) {
        String where = bend.inside() ? "an inside turn" : "an outside turn";
        if (binding.timber().isEmpty()) {
            return where + ", warmed as its maker says";
        }
        return bend.strain() > Bends.HOT
                ? where + ", tighter than wood bends: a mitre there, or thinner strips one over the other"
                : where + ", soaked and over the hot iron, a hair tighter than the edge";
    }

    private Operation glue() {
        Reckoning curing = build.shop().curing();
        boolean wood = binding.timber().isPresent();
        Material material = binding.timber()
                .map(t -> new Material(t.key(), t.density().value()))
                .orElse(new Material("plastic", PLASTIC));
        Operation.Builder step = Operation.of(Work.EDGE, binding.feature(), StepKind.GLUE, "Glue the " + said() + " in")
                .face(binding.face())
                .set(new Setting.Glued(
                        (wood ? build.shop().gluing().glue().words() : "the glue that its maker names")
                                + ", tape every 50 mm across it, from the middle to the seam; CA that soaks into the wood beside it blocks stain: seal that first",
                        curing))
                .cuts(new Change.Add(binding.feature(), Workpiece.BODY, ledge(), material))
                .needs(done(StepKind.BEND, "the " + said() + " fitted"))
                .gives(done(StepKind.GLUE, "the " + said() + " glued in"))
                .caution(wood ? Caution.of(build.shop().gluing().glue()) : new Caution[] {Caution.CA})
                .takes((int) Math.round(10 + 20 * length() / 1000), (int) Math.round(curing.value()), 0.01);
        binding.purfling()
                .ifPresent(p -> step.cuts(
                        new Change.Add(binding.feature(), Workpiece.BODY, under(purfled, p.depth()), material)));
        return step.build();
    }

    private Operation flush() {
        return Operation.of(Work.EDGE, binding.feature(), StepKind.FINISH, "Scrape the " + said() + " flush")
                .face(binding.face())
                .set(new Setting.ByHand(
                        "cabinet scraper along it, never across: its own corner stays for the round-over"))
                .needs(done(StepKind.GLUE, "the " + said() + " glued in"))
                .gives(
                        corners.isEmpty()
                                ? Datum.carved(binding.feature())
                                : done(StepKind.FINISH, "the " + said() + " flush"))
                .caution(Caution.DUST)
                .takes((int) Math.round(5 + 12 * length() / 1000), 0, 0.004)
                .build();
    }
}
