package ebauche.core.cap;

import ebauche.core.crib.Bit;
import ebauche.core.design.Recap;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.gluing.Clamping;
import ebauche.core.gluing.Grips;
import ebauche.core.hollow.NewCap;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Place;
import ebauche.core.operation.Setting;
import ebauche.core.passes.Cutter;
import ebauche.core.passes.Pass;
import ebauche.core.passes.Travel;
import ebauche.core.routing.Datum;
import ebauche.core.station.Station;
import ebauche.core.stock.Change;
import ebauche.core.stock.Material;
import ebauche.core.stock.Plane;
import ebauche.core.stock.Relief;
import ebauche.core.stock.Solid;
import ebauche.core.stock.Workpiece;
import ebauche.core.timber.Species;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A new cap on a body that is built. What lies under it is what the record says was cut; all that is still to be cut into the front
 * comes before it. Depths stay the old front's: the cap stands over it, its front at minus what it comes up by.
 */
public final class CapStation implements Station {
    /** A cap stands out over the edge by so much until it is trimmed, mm: common practice. */
    private static final double OVERHANG = 4;

    /** A window's drill is no wider, mm: common practice, a Forstner bit that a hand drill turns. */
    private static final double WINDOW = 25;

    /** A front that comes up or goes down by less is where it was for neck, bridge and pickups, mm: common practice. */
    private static final double SAME_HEIGHT = 1;

    /** A cap that is thinner is sanded through at its edges, mm: common practice. */
    private static final double THINNEST = 2;

    /** A carve that is hollow under the cap by less is filled by the glue's cauls, mm: common practice. */
    private static final double BENDS = 0.5;

    /** Minutes for each kind of step, and for a metre of edge or of cavity's wall: common practice. */
    private static final int MARKING = 25;

    private static final int CLEANING = 40;
    private static final int LEVELLING = 45;
    private static final int GLUING = 40;
    private static final double ROUTING_A_METRE = 12;
    private static final int EACH_WINDOW = 6;
    private static final int EACH_HOLE = 4;
    private static final int EACH_CARVE = 60;
    private static final int SANDING = 60;

    @Override
    public Work work() {
        return Work.CAP;
    }

    @Override
    public List<Operation> operations(Build build) {
        return NewCap.overWhatIsCut(build)
                .map(cap -> new Steps(
                                build, cap, build.design().recap().orElseThrow().timber())
                        .all())
                .orElse(List.of());
    }

    /** The steps of one cap, each after the one before it. */
    private static final class Steps {
        private final Build build;
        private final NewCap cap;
        private final Species timber;
        private final Region body;
        /** Nothing but the cap itself is cut into front, back and edge any more. */
        private final Condition[] settled;

        private final List<Operation> steps = new ArrayList<>();

        Steps(Build build, NewCap cap, Species timber) {
            this.build = build;
            this.cap = cap;
            this.timber = timber;
            this.body = build.design().outline().region();
            this.settled = new Condition[] {
                new Condition.Settled(
                        Condition.OuterSurface.FRONT, build.faces().frontNow(), body),
                new Condition.Settled(Condition.OuterSurface.BACK, build.faces().backNow(), body),
                new Condition.Settled(Condition.OuterSurface.EDGE, 0, body)
            };
        }

        /** The cap's upper side, and the old front under it, mm under the old front. */
        private double upper() {
            return lower() - cap.cap();
        }

        private double lower() {
            return build.faces().frontFinished() + cap.planed();
        }

        List<Operation> all() {
            mark();
            clean();
            level();
            glue();
            trim();
            open();
            drill();
            carve();
            sand();
            return List.copyOf(steps);
        }

        private static Operation.Builder step(StepKind kind, String title) {
            return Operation.of(Work.CAP, Recap.FEATURE, kind, title).face(Face.FRONT);
        }

        /** Puts a step after the last one. */
        private void add(StepKind kind, Operation.Builder step) {
            if (steps.isEmpty()) {
                step.needs(Datum.sanded(Face.FRONT));
            } else {
                Operation last = steps.get(steps.size() - 1);
                step.needs(done(last.key(), last.title()));
            }
            Operation made = step.needs(settled).build();
            steps.add(step.gives(done(StepKey.of(Recap.FEATURE, kind), made.title()))
                    .build());
        }

        private static Condition.Mark done(StepKey step, String title) {
            return new Condition.Mark(step, "“" + title + "” done");
        }

        private void mark() {
            Operation.Builder step = step(StepKind.MARK, "Mark what the new cap will bury")
                    .set(
                            new Setting.ByHand(
                                    "centre line over both ends and down the edge, each place measured from it and from the saddle line; screws, bushes and foil out"))
                    .takes(MARKING, 0, 0.01);
            cap.deeper().forEach(d -> step.at(new Place(d.feature().said(), d.window())));
            cap.buried().forEach(b -> named(b).forEach(step::at));
            add(StepKind.MARK, step);
        }

        private static List<Place> named(NewCap.Buried holes) {
            String said = holes.feature().said();
            return holes.places().size() == 1
                    ? List.of(new Place(said, holes.places().get(0)))
                    : Place.numbered(said, holes.places());
        }

        private void clean() {
            Reckoning left = Reckoning.of("body under its new cap", Quantity.LENGTH)
                    .length("body as it was finished", build.faces().thickness())
                    .length("planed off the old front", Fact.typed(cap.planed()))
                    .is(build.faces().thickness() - cap.planed(), "body as it was finished − planed off the old front");
            Operation.Builder step = cap.planed() > 0
                    ? step(StepKind.FRONT, "Plane the old front down")
                            .set(new Setting.Surfaced(
                                    "planer or router sled, the back down", left, "to take the body down to"))
                            .cuts(remove(body, build.faces().frontFinished() - 1, lower()))
                            .caution(Caution.PLANER)
                    : step(StepKind.FRONT, "Bring the old front to bare wood")
                            .set(new Setting.ByHand("cabinet scraper and flat block, until glue can bite everywhere"));
            add(StepKind.FRONT, step.caution(Caution.DUST).takes(CLEANING, 0, 0.02));
        }

        private void level() {
            Reckoning thick = Reckoning.of("new cap", Quantity.LENGTH)
                    .length("as it is wanted", Fact.typed(cap.cap()))
                    .is(cap.cap(), "as it is wanted");
            add(
                    StepKind.TOP_LEVEL,
                    step(StepKind.TOP_LEVEL, "Join the new cap of " + timber.name() + " and level it")
                            .set(new Setting.Surfaced(
                                    "as tops are levelled here, its seam tight on the centre line",
                                    thick,
                                    "to level it to"))
                            .caution(Caution.DUST)
                            .takes(LEVELLING, 0, 0.02));
        }

        private void glue() {
            Reckoning curing = build.shop().curing();
            add(
                    StepKind.TOP,
                    step(StepKind.TOP, "Glue the new cap on")
                            .set(new Setting.Glued(
                                    build.shop().gluing().glue().words()
                                            + ", cauls over the block, no glue over the cavities, two pins through the waste",
                                    curing))
                            .cuts(new Change.Add(
                                    Recap.FEATURE,
                                    Workpiece.BODY,
                                    Solid.Prism.between(body.grown(OVERHANG), upper(), lower()),
                                    new Material(timber.key(), timber.density().value())))
                            .caution(Caution.of(build.shop().gluing().glue()))
                            .takes(GLUING, (int) Math.round(curing.value()), 0.01));
        }

        private void trim() {
            Operation.Builder step = step(StepKind.EDGE, "Trim the new cap flush")
                    .set(routed(
                            cap.trims(),
                            "old edge under the cap",
                            Setting.Feed.ANTICLOCKWISE,
                            body.perimeter(),
                            OVERHANG))
                    .cuts(remove(body.grown(OVERHANG + 1).minus(body), upper() - 1, lower()))
                    .caution(Caution.ROUTER, Caution.DUST)
                    .takes((int) Math.round(10 + ROUTING_A_METRE * body.perimeter() / 1000), 0, 0.02);
            add(StepKind.EDGE, step);
        }

        /** With the bit, its bearing on what stands; by hand where the crib has none for it. */
        private Setting routed(Optional<Bit> bit, String guide, Setting.Feed feed, double length, double engaged) {
            Optional<Cutter> cutter =
                    bit.flatMap(b -> build.shop().crib().inHand(b).map(r -> new Cutter(b, r)));
            if (cutter.isEmpty()) {
                return new Setting.ByHand(
                        "knife, chisel and block plane down to the old wood: no sound bit here follows it");
            }
            Reckoning deep = Reckoning.of("bit under the new front", Quantity.LENGTH)
                    .length("cap", Fact.typed(cap.cap()))
                    .is(cap.cap(), "cap");
            return new Setting.Routed(
                    cutter.get().bit().name(),
                    guide,
                    feed,
                    deep,
                    "deep: the bearing just under the glue line",
                    List.of(new Pass(cutter.get(), Pass.Guide.UNDER, 0, 0, cap.cap(), cap.cap(), engaged)),
                    new Travel(length, 0));
        }

        private void open() {
            List<NewCap.Deeper> found = cap.deeper().stream()
                    .filter(d -> d.widest() >= NewCap.NARROWEST)
                    .toList();
            if (!found.isEmpty()) {
                Operation.Builder windows = step(StepKind.START, "Drill a window into each buried cavity")
                        .set(new Setting.Drilled(
                                "Forstner bit up to " + Math.round(WINDOW) + " mm, no wider than its place gives",
                                Reckoning.of("through the cap", Quantity.LENGTH)
                                        .length("cap", Fact.typed(cap.cap()))
                                        .is(cap.cap(), "cap"),
                                "deep, until it falls through"))
                        .caution(Caution.LARGE_DRILL)
                        .takes(EACH_WINDOW * found.size(), 0, 0.01);
                found.forEach(d -> windows.at(new Place(d.feature().said(), d.window()))
                        .cuts(remove(window(d), upper() - 1, lower())));
                add(StepKind.START, windows);
            }
            if (!cap.deeper().isEmpty()) {
                double walls = cap.deeper().stream()
                        .mapToDouble(d -> d.plan().perimeter())
                        .sum();
                Operation.Builder step = step(StepKind.ROUT, "Open the new cap along the old walls")
                        .set(routed(
                                cap.opens(),
                                "old wall, felt for from the window",
                                Setting.Feed.CLOCKWISE,
                                walls,
                                cap.opens().map(Bit::diameter).orElse(0.0)))
                        .caution(Caution.ROUTER, Caution.DUST)
                        .takes((int) Math.round(10 + ROUTING_A_METRE * walls / 1000), 0, 0.03);
                for (NewCap.Deeper each : cap.deeper()) {
                    step.at(new Place(each.feature().said(), each.window()))
                            .cuts(remove(each.plan(), upper() - 1, lower()));
                }
                add(StepKind.ROUT, step);
            }
        }

        private static Region window(NewCap.Deeper cavity) {
            return Region.disc(cavity.window(), Math.min(WINDOW, cavity.widest()) / 2);
        }

        private void drill() {
            if (cap.buried().isEmpty()) {
                return;
            }
            Operation.Builder step = step(StepKind.DRILL, "Drill the buried holes anew through the cap")
                    .set(
                            new Setting.ByHand(
                                    "each with the drill of its old hole, a brad point first; from the back where the hole comes through"))
                    .caution(Caution.DRILL);
            int holes = 0;
            for (NewCap.Buried each : cap.buried()) {
                holes += each.places().size();
                named(each).forEach(step::at);
                step.cuts(remove(each.plan(), upper() - 1, lower()));
            }
            add(StepKind.DRILL, step.takes(EACH_HOLE * holes, 0, 0.02));
        }

        /** The old surfaces are carved free of the cap again. */
        private void carve() {
            List<Relief> carved = build.surfaces().stream()
                    .filter(r -> r.face() == Face.FRONT)
                    .filter(r -> !build.design().leavesOpen(r.feature()))
                    .toList();
            if (carved.isEmpty()) {
                return;
            }
            double deepest =
                    carved.stream().mapToDouble(r -> r.profile().depth()).max().orElse(0);
            Reckoning deep = Reckoning.of("deepest under the new front", Quantity.LENGTH)
                    .length("deepest under the old front", Fact.typed(deepest))
                    .length("new front over the old", cap.higher())
                    .is(deepest + cap.higher(), "deepest under the old front + new front over the old");
            Operation.Builder step = step(
                            StepKind.CARVE, "Carve the front's shapes free of the cap, and carry them on to its front")
                    .set(new Setting.Carved(
                            "rasp and scraper, down to the old surface, then its slope on over the cap", deep))
                    .caution(Caution.CARVE, Caution.DUST)
                    .takes(EACH_CARVE * carved.size(), 0, 0.03);
            for (Relief each : carved) {
                step.at(new Place(each.feature().said(), each.plan().inner()))
                        .cuts(Change.Remove.fromBody(
                                Recap.FEATURE,
                                new Solid.Prism(
                                        each.plan(),
                                        Plane.at(upper() - 1),
                                        each.under(build.faces().frontFinished()))));
            }
            add(StepKind.CARVE, step);
        }

        private void sand() {
            add(
                    StepKind.FINISH,
                    step(StepKind.FINISH, "Sand the new front and its glue line, 120 to 320")
                            .set(
                                    new Setting.ByHand(
                                            "long flat block on the front, thin at the edge: what is left of the cap is looked at there"))
                            .caution(Caution.DUST)
                            .takes(SANDING, 0, 0.01));
        }

        private static Change remove(Region plan, double from, double to) {
            return Change.Remove.fromBody(Recap.FEATURE, Solid.Prism.between(plan, from, to));
        }
    }

    @Override
    public Clamping clamping(Build build, StepKey step) {
        return step.equals(StepKey.of(Recap.FEATURE, StepKind.TOP))
                ? NewCap.overWhatIsCut(build)
                        .map(cap -> new Grips(build.shop().gluing())
                                .take(cap.press())
                                .clamping())
                        .orElse(Clamping.NONE)
                : Clamping.NONE;
    }

    @Override
    public List<Rule> rules(Build build) {
        return NewCap.overWhatIsCut(build)
                .map(cap -> List.of(sameHeight(cap), thickEnough(cap)))
                .orElse(List.of());
    }

    private static Rule sameHeight(NewCap cap) {
        Reckoning by = Reckoning.of("new front off the old", Quantity.LENGTH)
                .length("cap", Fact.typed(cap.cap()))
                .length("planed off the old front", Fact.typed(cap.planed()))
                .is(Math.abs(cap.higher()), "cap and planed off the old front, the less from the more");
        String cure = "Plane as much off the old front as comes on, or raise neck, bridge and pickups with it.";
        return Rule.of(Work.CAP, "cap-moves-the-front", Rule.About.BLANK)
                .on(Recap.FEATURE)
                .says("The new front lies where the old one lay: neck, bridge and pickups stand as they stood.")
                .atMost(by, SAME_HEIGHT)
                .cure(cure)
                .fails(() -> Finding.thinkAgain(Work.CAP, "cap-moves-the-front")
                        .on(Recap.FEATURE)
                        .length("new front off the old", by.value())
                        .says(
                                cap.higher() > 0
                                        ? "The new front comes {0} over the old one: the neck sits so much lower in the body, bridge and pickups so much higher under the strings."
                                        : "The new front lies {0} under the old one: the neck stands so much higher over the body, bridge and pickups so much lower under the strings.",
                                cure))
                .build();
    }

    private static Rule thickEnough(NewCap cap) {
        Reckoning thick = Reckoning.of("new cap", Quantity.LENGTH)
                .length("as it is wanted", Fact.typed(cap.cap()))
                .is(cap.cap(), "as it is wanted");
        String cure = "Take a thicker cap, and plane more off the old front.";
        return Rule.of(Work.CAP, "new-cap-too-thin", Rule.About.BLANK)
                .on(Recap.FEATURE)
                .says("The new cap is thick enough to be levelled and sanded.")
                .atLeast(thick, THINNEST)
                .cure(cure)
                .fails(() -> Finding.thinkAgain(Work.CAP, "new-cap-too-thin")
                        .on(Recap.FEATURE)
                        .length("new cap", cap.cap())
                        .length("thinnest", THINNEST)
                        .says(
                                "The new cap is {0} thick; under {1} it is sanded through where the body is not flat.",
                                cure))
                .build();
    }

    @Override
    public List<Finding> check(Build build) {
        List<Finding> told = new ArrayList<>();
        NewCap.overWhatIsCut(build).ifPresent(cap -> {
            if (cap.deeper().isEmpty() && cap.buried().isEmpty()) {
                told.add(Finding.thinkAgain(Work.CAP, "cap-on-nothing")
                        .on(Recap.FEATURE)
                        .says(
                                "A new cap is for a body that is built, and nothing is cut into the front of this one yet.",
                                "Give its blank a top, or take the new cap out of the design until the front is cut."));
            }
            for (NewCap.Overhung each : cap.overhung()) {
                if (each.deepest() > BENDS) {
                    Point at = each.where().isEmpty()
                            ? new Point(0, 0)
                            : each.where().inner();
                    told.add(
                            Finding.thinkAgain(Work.CAP, "cap-over-a-carve")
                                    .on(each.feature())
                                    .at(at)
                                    .length("hollow under the cap", each.deepest())
                                    .says(
                                            "The new cap lies hollow over the old "
                                                    + each.feature().said()
                                                    + ", by up to {0}: its edge there has nothing to be pressed onto.",
                                            "Saw the cap back to the carve's line before it is glued, or plane more off the old front."));
                }
            }
        });
        return told;
    }
}
