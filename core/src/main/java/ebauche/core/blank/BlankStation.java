package ebauche.core.blank;

import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Region;
import ebauche.core.gluing.Clamping;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.History;
import ebauche.core.job.OwnBack;
import ebauche.core.job.Rule;
import ebauche.core.job.UnderTop;
import ebauche.core.layout.Judgement;
import ebauche.core.layout.Need;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.shop.Gluing;
import ebauche.core.station.Station;
import ebauche.core.timber.Flaw;
import ebauche.core.wires.Closing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The rough blank: boards jointed and glued, or cut from one, perhaps with a top over it. */
public final class BlankStation implements Station {
    public static final Feature FEATURE = Feature.of(FeatureKind.BLANK);

    private static final StepKey GLUE = StepKey.of(FEATURE, StepKind.GLUE);

    private static final Condition.Mark JOINTED =
            new Condition.Mark(StepKey.of(FEATURE, StepKind.JOINT), "the mating edges jointed");
    private static final Condition.Mark TOP_JOINTED =
            new Condition.Mark(StepKey.of(FEATURE, StepKind.TOP_JOINT), "the top's edges jointed");
    private static final Condition.Mark PIECES_CUT =
            new Condition.Mark(StepKey.of(FEATURE, StepKind.PIECES), "the blank's pieces cut");
    private static final Condition.Mark CORE_GLUED = new Condition.Mark(GLUE, "the core in one piece");
    private static final Condition.Mark TOP_GLUED =
            new Condition.Mark(StepKey.of(FEATURE, StepKind.TOP_GLUE), "the top in one piece");

    /** A top that finishes thinner than this is sanded through in places: common practice, mm. */
    private static final double THINNEST_TOP = 3;

    @Override
    public Work work() {
        return Work.BLANK;
    }

    @Override
    public List<Finding> check(Build build) {
        List<Finding> found = new ArrayList<>();
        Blank blank = build.design().blank();
        Region outline = build.design().outline().region();
        if (!blank.plan().contains(outline)) {
            Region out = outline.minus(blank.plan());
            found.add(Finding.stops(Work.BLANK, "outline-off-blank")
                    .on(FEATURE)
                    .at(out.centroid())
                    .length("blank width", blank.across())
                    .length("blank length", blank.along())
                    .says(
                            "The outline runs off the blank of {0} by {1}.",
                            "Take a larger blank, or slide it: its middle is where the blank's x and y say."));
        }
        if (SawnPlates.isTooLate(build)) {
            found.add(Finding.stops(Work.BLANK, "plates-too-late")
                    .on(FEATURE)
                    .says(
                            "The body is glued together, and the plates that are drawn were never sawn off it.",
                            "Leave them out of the design: draw the blank as it was glued."));
        }
        return found;
    }

    @Override
    public List<Rule> rules(Build build) {
        List<Rule> rules = new ArrayList<>();
        Blank blank = build.design().blank();
        if (blank.isCovered()) {
            rules.add(topLeft(build, blank.topThickness()));
        }
        CoverSlice.of(build).ifPresent(slice -> rules.add(slice.reach()));
        SawnPlates.of(build).ifPresent(plates -> rules.addAll(plates.rules()));
        return rules;
    }

    private static Rule topLeft(Build build, double top) {
        double off = build.roughAboveFront() + build.faces().frontFinished();
        Reckoning finished = Reckoning.of("top in the finished body", Quantity.LENGTH)
                .length("top as glued on", Fact.typed(top))
                .length("off the front in all", off)
                .is(top - off, "top as glued on − off the front in all");
        return Rule.of(Work.BLANK, "top-too-thin", Rule.About.BLANK)
                .on(FEATURE)
                .says("The top is thick enough to survive sanding.")
                .atLeast(finished, THINNEST_TOP)
                .cure("Take a thicker top, or a blank with less to spare.")
                .fails(() -> Finding.thinkAgain(Work.BLANK, "top-too-thin")
                        .on(FEATURE)
                        .length("top in the finished body", finished.value())
                        .length("thinnest that survives sanding", THINNEST_TOP)
                        .says(
                                "When the front is level and sanded, {0} of the top is left; under {1} it may be sanded through.",
                                "Take a thicker top, or a blank with less to spare, so that less comes off the front."))
                .build();
    }

    /** Faults of the boards that the finished body cannot hide. */
    @Override
    public List<Finding> review(Build build, History history) {
        Blank blank = build.design().blank();
        if (blank.top().isEmpty()) {
            Need need = BlankNeed.whole(build, history);
            return faults(
                    blank.core(), need, build.roughAboveFront() + build.faces().frontFinished());
        }
        double frontAt = build.roughAboveFront() + build.faces().frontFinished();
        double finishedTop = BlankNeed.finishedTop(build).orElseThrow();
        List<Finding> found =
                new ArrayList<>(faults(blank.top().orElseThrow(), BlankNeed.top(build, history, finishedTop), frontAt));
        found.addAll(faults(blank.core(), BlankNeed.core(build, history, finishedTop, blank.sawn()), 0));
        return found;
    }

    private static List<Finding> faults(BlankLayer layer, Need need, double frontAt) {
        List<Finding> found = new ArrayList<>();
        for (Flaw flaw : layer.flaws()) {
            Judgement judged = Judgement.of(flaw, need, frontAt);
            if (judged.bad()) {
                found.add(Finding.thinkAgain(Work.BLANK, "fault-in-the-way")
                        .on(FEATURE)
                        .at(judged.at())
                        .length("long", flaw.maxY() - flaw.minY())
                        .length("wide", flaw.maxX() - flaw.minX())
                        .says(
                                "A fault {0} by {1} cannot be hidden: " + judged.inWords() + ".",
                                "Slide the outline over the blank, turn the piece, or mend it before it is cut."));
            }
        }
        return found;
    }

    @Override
    public List<Operation> operations(Build build) {
        Blank blank = build.design().blank();
        List<Operation> steps = new ArrayList<>();
        Optional<CoverSlice> slice = CoverSlice.of(build);
        Optional<SawnPlates> plates = SawnPlates.of(build);
        boolean inPieces = plates.filter(p -> !p.sawsTheBlank()).isPresent();
        boolean cutFirst = !allBoards(blank).isEmpty() && (blank.top().isPresent() || blank.pieces() > 1 || inPieces);
        if (cutFirst) {
            steps.add(cutPieces(blank));
        }
        slice.ifPresent(s -> steps.add(s.step(needsPieces(blank, cutFirst))));
        List<Condition> ready = new ArrayList<>(slice.isPresent() ? List.of(OwnBack.SLICED) : List.of());
        if (inPieces) {
            List<Condition> before = new ArrayList<>(ready);
            before.addAll(List.of(needsPieces(blank, cutFirst)));
            steps.addAll(plates.get().saw(before));
            ready.addAll(plates.get().allOff());
        }
        String pieces = blank.pieces() + (inPieces ? " pieces of core and plates" : " pieces");
        steps.addAll(ownWood(build, pieces, cutFirst, ready));
        if (!inPieces) {
            plates.ifPresent(p -> {
                steps.addAll(p.saw(List.of(CORE_GLUED)));
                ready.addAll(p.allOff());
            });
        }
        if (blank.isCovered()) {
            addTop(build, steps, ready);
        }
        return steps;
    }

    /** What brings the blank's own wood into one piece. */
    private static List<Operation> ownWood(Build build, String pieces, boolean cutFirst, List<Condition> ready) {
        Blank blank = build.design().blank();
        boolean covered = blank.isCovered();
        List<Operation> steps = new ArrayList<>();
        if (blank.pieces() > 1) {
            steps.add(joint(build, blank.core(), StepKind.JOINT, "Joint the mating edges", needsPieces(blank))
                    .needing(ready));
            Operation.Builder glue = glueUp(build, StepKind.GLUE, "Glue up the " + pieces, blank.pieces());
            steps.add((covered ? glue.gives(CORE_GLUED) : wholeBlank(build, glue))
                    .needs(JOINTED)
                    .build());
        } else if (!cutFirst) {
            String from =
                    allBoards(blank).isEmpty() ? "its board" : allBoards(blank).get(0);
            Operation.Builder cut = Operation.of(Work.BLANK, FEATURE, StepKind.CUT, "Cut the blank from " + from)
                    .needs(ready.toArray(new Condition[0]))
                    .set(new Setting.CutOut("saw, square and rule", Reckoning.typed("blank width", blank.across())))
                    .caution(Caution.SAW, Caution.DUST)
                    .takes(20, 0, 0.001);
            steps.add((covered ? cut.gives(CORE_GLUED) : wholeBlank(build, cut)).build());
        }
        return steps;
    }

    private static List<String> allBoards(Blank blank) {
        List<String> boards = new ArrayList<>(blank.core().boards());
        blank.top().ifPresent(t -> boards.addAll(t.boards()));
        return boards;
    }

    private static Condition[] needsPieces(Blank blank, boolean cutFirst) {
        return cutFirst ? needsPieces(blank) : new Condition[0];
    }

    private static Condition[] needsPieces(Blank blank) {
        return allBoards(blank).isEmpty() ? new Condition[0] : new Condition[] {PIECES_CUT};
    }

    private static Operation cutPieces(Blank blank) {
        List<Condition> gives = new ArrayList<>(List.of(PIECES_CUT));
        if (blank.isCovered() && blank.pieces() == 1) {
            gives.add(CORE_GLUED);
        }
        return Operation.of(
                        Work.BLANK,
                        FEATURE,
                        StepKind.PIECES,
                        "Cut the blank's pieces from " + String.join(", ", allBoards(blank)))
                .set(new Setting.ByHand("saws, by the cut list; mark faces and edges as they come off"))
                .gives(gives.toArray(new Condition[0]))
                .caution(Caution.SAW, Caution.RIP, Caution.DUST)
                .takes(15 + 5 * blank.pieces(), 0, 0.002)
                .build();
    }

    private static Operation joint(Build build, BlankLayer layer, StepKind step, String title, Condition... needs) {
        return Operation.of(Work.BLANK, FEATURE, step, title)
                .set(new Setting.ByHand("jointer, plane or saw; check against the light"))
                .needs(needs)
                .gives(step == StepKind.JOINT ? JOINTED : TOP_JOINTED)
                .caution(Caution.of(build.shop().gluing().edges()))
                .caution(Caution.DUST)
                .takes(20 * (layer.strips().size() - 1), 0, 0.002)
                .build();
    }

    private static Operation.Builder glueUp(Build build, StepKind step, String title, int pieces) {
        return Operation.of(Work.BLANK, FEATURE, step, title)
                .set(glued(build))
                .caution(Caution.of(build.shop().gluing().glue()))
                .takes(30 + 5 * pieces, waitMinutes(build), 0.004);
    }

    private static Setting glued(Build build) {
        Gluing gluing = build.shop().gluing();
        return new Setting.Glued(
                gluing.glue().words() + ", clamps and cauls as the glue-up sheet says",
                build.shop().curing());
    }

    private static int waitMinutes(Build build) {
        return (int) Math.round(build.shop().curing().value());
    }

    private static void addTop(Build build, List<Operation> steps, List<Condition> ready) {
        Blank blank = build.design().blank();
        boolean sawn = !blank.sawn().isNone();
        List<Condition> inOnePiece = new ArrayList<>(List.of(CORE_GLUED));
        blank.top().filter(t -> t.strips().size() > 1).ifPresent(top -> {
            steps.add(joint(build, top, StepKind.TOP_JOINT, "Joint the top's mating edges", needsPieces(blank)));
            steps.add(glueUp(
                            build,
                            StepKind.TOP_GLUE,
                            "Glue up the top",
                            top.strips().size())
                    .needs(TOP_JOINTED)
                    .gives(TOP_GLUED)
                    .build());
            inOnePiece.add(TOP_GLUED);
        });
        Operation.Builder level = Operation.of(
                        Work.BLANK,
                        FEATURE,
                        StepKind.TOP_LEVEL,
                        sawn
                                ? "Level the core and the sawn faces of its plates"
                                : "Level the core's front and the top's underside")
                .set(new Setting.Surfaced(build.thicknessing().words(), coreThickness(blank), "thick, the core"))
                .needs(inOnePiece.toArray(new Condition[0]))
                .needs(ready.toArray(new Condition[0]))
                .gives(UnderTop.LEVELLED)
                .caution(Caution.of(build.thicknessing()))
                .caution(Caution.DUST)
                .takes(40 + 20 * blank.sawn().count(), 0, 0.003);
        if (UnderTop.putsCore(build)
                .filter(StepKey.of(FEATURE, StepKind.TOP_LEVEL)::equals)
                .isPresent()) {
            UnderTop.core(build).forEach(level::cuts);
        }
        steps.add(level.build());
        if (UnderTop.isBacked(build)) {
            steps.add(backing(build));
        }
        String title = blank.sawn().front() > 0 ? "Glue the front plate on" : "Glue the top on";
        Operation.Builder glued = glueUp(build, StepKind.TOP, title, 2).needs(UnderTop.LEVELLED);
        UnderTop.beforeItCloses(build).forEach(glued::needs);
        glued.tick(Closing.of(build).ticks());
        steps.add(wholeBlank(build, glued).gives(UnderTop.CLOSED).build());
    }

    /** The back plate goes on first, while supports stand to be pressed on. */
    private static Operation backing(Build build) {
        Operation.Builder step = glueUp(build, StepKind.BACKING, "Glue the back plate on", 2)
                .onCore()
                .needs(UnderTop.LEVELLED)
                .gives(UnderTop.BACKED);
        UnderTop.beforeItIsBacked(build).forEach(step::needs);
        if (UnderTop.putsCore(build).isPresent()) {
            UnderTop.backPlate(build).forEach(step::cuts);
        }
        return step.build();
    }

    private static Reckoning coreThickness(Blank blank) {
        Reckoning.Builder sum = Reckoning.of("core before its top", Quantity.LENGTH)
                .length("blank", Fact.typed(blank.thickness()))
                .length("top", Fact.typed(blank.topThickness()));
        double plate = blank.sawn().back();
        return plate == 0
                ? sum.is(blank.coreThickness(), "blank - top")
                : sum.length("back plate", Fact.typed(plate)).is(blank.coreThickness(), "blank − top − back plate");
    }

    /** The step after which the blank is whole: it puts all its wood on the bench, or the top on a core that lies there. */
    private static Operation.Builder wholeBlank(Build build, Operation.Builder step) {
        Blank blank = build.design().blank();
        boolean coreLies = UnderTop.putsCore(build).isPresent();
        (coreLies ? UnderTop.top(build) : UnderTop.all(build)).forEach(step::cuts);
        double upper = -build.roughAboveFront();
        return step.gives(new Condition.Wood(blank.plan(), upper, upper + blank.thickness()));
    }

    @Override
    public Clamping clamping(Build build, StepKey step) {
        return step.feature().equals(FEATURE) ? BlankGrips.of(build, step) : Clamping.NONE;
    }

    @Override
    public List<Reckoning> reckonings(Build build) {
        List<Reckoning> sums = new ArrayList<>();
        if (build.design().blank().pieces() > 1) {
            sums.add(build.shop().curing());
        }
        CoverSlice.of(build).ifPresent(slice -> sums.add(slice.board()));
        return sums;
    }
}
