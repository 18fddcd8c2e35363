package ebauche.core.realism;

import ebauche.core.crib.Aid;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Machine;
import ebauche.core.crib.Saw;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.plan.BuildPlan;
import ebauche.core.routing.HowDrilled;
import ebauche.core.shop.Gluing;
import ebauche.core.shop.Practice;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * The steps of a plan against what the shop has and what its hands are trusted with. Each kind of step has its usual tool and,
 * where that is missing or too small, a stand-in: common practice of small shops.
 */
final class ToolSubstitutes {
    /** A tool that reaches as far as the work but for this is long enough, mm. */
    private static final double NEARLY = 0.05;

    private final BuildPlan plan;
    private final Build build;
    private final Crib crib;
    private final List<ToolChoice> ways = new ArrayList<>();

    private ToolSubstitutes(BuildPlan plan) {
        this.plan = plan;
        this.build = plan.build();
        this.crib = build.shop().crib();
    }

    /** Looked for once: the card of every step asks for its own. */
    private record Known(List<ToolChoice> ways) {}

    static List<ToolChoice> of(BuildPlan plan) {
        return plan.build().once().of(Known.class, () -> new Known(found(plan))).ways();
    }

    private static List<ToolChoice> found(BuildPlan plan) {
        ToolSubstitutes ways = new ToolSubstitutes(plan);
        ways.edges();
        ways.thickness();
        ways.sawing();
        ways.drilling();
        ways.jack();
        ways.slot();
        ways.routing();
        ways.contours();
        return List.copyOf(ways.ways);
    }

    private List<StepKey> steps(Predicate<Operation> which) {
        return plan.steps().stream()
                .filter(s -> !s.done())
                .map(BuildPlan.PlanStep::operation)
                .filter(which)
                .map(Operation::key)
                .toList();
    }

    private boolean trusted(Practice.Skill skill) {
        return build.shop().practice().skills().contains(skill);
    }

    /** A way of doing something, and whether the shop can. */
    private record Option(boolean can, String with, String mind) {}

    /** The first way that can be gone: the usual one, or a stand-in; steps that are not in the plan say nothing. */
    private void add(String work, String wants, List<StepKey> steps, Option usual, Option... standIns) {
        if (steps.isEmpty()) {
            return;
        }
        if (usual.can()) {
            ways.add(new ToolChoice(work, wants, ToolChoice.How.AS_USUAL, usual.with(), usual.mind(), steps));
            return;
        }
        for (Option other : standIns) {
            if (other.can()) {
                ways.add(new ToolChoice(work, wants, ToolChoice.How.STAND_IN, other.with(), other.mind(), steps));
                return;
            }
        }
        Option easiest = standIns.length > 0 ? standIns[0] : usual;
        ways.add(new ToolChoice(work, wants, ToolChoice.How.NOT_HERE, easiest.with(), easiest.mind(), steps));
    }

    private Optional<Machine> machine(Machine.Kind kind, double size) {
        return crib.machine(kind).filter(m -> m.size() >= size - NEARLY);
    }

    private Option machine(Machine.Kind kind, double size, String mind) {
        Optional<Machine> found = machine(kind, size);
        return new Option(found.isPresent(), found.map(Machine::name).orElse(kind.words()), mind);
    }

    /** No jointer: flush-trim along a straightedge, or a hand plane. */
    private void edges() {
        double thick = build.design().blank().thickness();
        Option jointer = machine(Machine.Kind.JOINTER, thick, "");
        Option saw = machine(Machine.Kind.TABLE_SAW, thick, "a fresh blade; plane the saw's marks off");
        Optional<Bit> flush = crib.bits().stream()
                .filter(b -> b.copies() && b.cutterLength() >= thick - NEARLY)
                .findFirst();
        boolean straight = crib.aids().stream().anyMatch(a -> a.kind() == Aid.Kind.STRAIGHTEDGE);
        Option router = new Option(
                flush.isPresent() && straight,
                flush.map(Bit::name).orElse("a flush-trim bit as long as the blank is thick") + " along a straightedge",
                "edges side by side, one bite thin; check against the light");
        Option plane = new Option(
                trusted(Practice.Skill.PLANE),
                "hand plane",
                "both edges together in the vice, so that an error off square closes; check against the light");
        Gluing.Edges chosen = build.shop().gluing().edges();
        List<Option> options = new ArrayList<>(List.of(jointer, router, plane, saw));
        Option usual = switch (chosen) {
            case JOINTER -> jointer;
            case TABLE_SAW -> saw;
            case ROUTER -> router;
            case HAND_PLANE -> plane;
        };
        options.remove(usual);
        add(
                "Joint mating edges",
                chosen.words(),
                steps(o -> o.key().kind().isJoint()),
                usual,
                options.toArray(Option[]::new));
    }

    private boolean can(Practice.Thicknessing way, double wide) {
        return build.shop().canThickness(way, wide);
    }

    /** No planer wide enough: a router on a sled. */
    private void thickness() {
        Region blank = build.design().blank().plan();
        double wide = Math.min(blank.maxX() - blank.minX(), blank.maxY() - blank.minY());
        Optional<Bit> surfacing = crib.bits().stream()
                .filter(b -> b.profile() == Bit.Profile.SURFACING)
                .findFirst();
        Option sled = new Option(
                can(Practice.Thicknessing.ROUTER_SLED, wide),
                "router sled" + surfacing.map(b -> ", " + b.name()).orElse(""),
                "zero the bit on the high spot; flatten one face, flip, bring the other parallel");
        Option plane = new Option(
                can(Practice.Thicknessing.HAND_PLANE, wide),
                "hand plane",
                "winding sticks; across the grain first, then along it");
        Option planer = machine(Machine.Kind.PLANER, wide, "");
        Option drum = machine(Machine.Kind.DRUM_SANDER, wide, "light bites, so that it does not burn");
        Practice.Thicknessing chosen = build.shop().practice().thicknessing();
        List<Option> options = new ArrayList<>(List.of(sled, planer, drum, plane));
        Option usual = switch (chosen) {
            case PLANER -> planer;
            case DRUM_SANDER -> drum;
            case ROUTER_SLED -> sled;
            case HAND_PLANE -> plane;
        };
        options.remove(usual);
        add(
                "Bring the blank to thickness",
                chosen.words(),
                steps(o -> o.feature().is(FeatureKind.THICKNESS)),
                usual,
                options.toArray(Option[]::new));
    }

    /** No band saw: a jigsaw in small bites, well outside the line. */
    private void sawing() {
        Option band = saw(Saw.Kind.BAND, "");
        Option jig = saw(Saw.Kind.JIG, "small bites well outside the line; its blade wanders in thick curves");
        Option coping = saw(Saw.Kind.COPING, "slow in this thickness, and a long way outside the line");
        add("Saw the outline", "band saw", steps(o -> o.key().is(StepKind.SAW)), band, jig, coping);
    }

    private Option saw(Saw.Kind kind, String mind) {
        Optional<Saw> saw = crib.saws().stream().filter(s -> s.kind() == kind).findFirst();
        return new Option(saw.isPresent(), saw.map(Saw::name).orElse(kind.words()), mind);
    }

    /** No drill press that reaches: a square beside the drill. */
    private void drilling() {
        Region body = build.design().outline().region();
        List<Operation> upright = plan.steps().stream()
                .filter(s -> !s.done())
                .map(BuildPlan.PlanStep::operation)
                .filter(o -> o.setting() instanceof Setting.Drilled && !HowDrilled.isInEdge(build, o))
                .toList();
        // Without a press there is no reach to fall short of: one way round serves every hole.
        double farthest =
                crib.machine(Machine.Kind.DRILL_PRESS).map(Machine::size).orElse(Double.POSITIVE_INFINITY);
        List<StepKey> within = new ArrayList<>();
        List<StepKey> beyond = new ArrayList<>();
        for (Operation o : upright) {
            (HowDrilled.reach(o, body) <= farthest + NEARLY ? within : beyond).add(o.key());
        }
        Option press = machine(Machine.Kind.DRILL_PRESS, 0, "");
        Option square = new Option(
                trusted(Practice.Skill.DRILL),
                "a square beside the drill",
                "sight it from two sides; start with a punch or a brad point");
        add("Drill upright", "drill press", within, press, square);
        add(
                "Drill upright, farther in than the drill press reaches",
                "drill press",
                beyond,
                new Option(false, "a drill press that reaches farther in", ""),
                square);
    }

    private void jack() {
        Option level = new Option(
                trusted(Practice.Skill.DRILL),
                "the drill held level, or a drilling jig on the edge",
                "the body on its edge in the vice, a square each way; the long bit finds the way out in the face");
        add(
                "Drill into the edge",
                "a drilling jig",
                steps(o -> o.setting() instanceof Setting.Drilled && HowDrilled.isInEdge(build, o)),
                level);
    }

    /** No slot bit: a knife between two drilled holes. */
    private void slot() {
        Optional<Bit> bit = build.shop().crib().slotBit();
        add(
                "Cut the blade switch slot",
                "slot bit, 1/16 to 3/32 in",
                steps(o -> o.key().is(StepKind.SLOT)),
                new Option(bit.isPresent(), bit.map(Bit::name).orElse("slot bit"), "a fence on both sides"),
                new Option(
                        true,
                        "knife between two drilled holes",
                        "many light strokes; stiffen a thin top with CA first"));
    }

    /** A cut for which the crib has no bit stands in no other way: its finding names the bit that would do. */
    private void routing() {
        List<StepKey> lacking =
                steps(o -> o.setting() instanceof Setting.Routed r && r.passes().isEmpty());
        add(
                "Rout what no bit here reaches",
                "a bit and a guide that reach",
                lacking,
                new Option(false, "the bit, template or spacer that the finding names", ""));
        List<StepKey> freehand = steps(o -> o.feature().is(FeatureKind.OUTLINE)
                && o.setting() instanceof Setting.Routed
                && build.shop().practice().edge() == Practice.EdgeSchool.HAND);
        add(
                "Rout the outline",
                "a hand-held router",
                freehand,
                new Option(trusted(Practice.Skill.ROUT), "hand-held router", "never with the rotation; the feed map"),
                new Option(
                        !crib.tables(true).routers().isEmpty(),
                        "router table",
                        "the worked face down, a starting pin, the feed turns round"),
                new Option(
                        !crib.drums().isEmpty(),
                        "drum and flat block to the line",
                        "sawn closer to the line; choose it among the ways"));
    }

    /** No big band saw for a contour: rasps, or some twenty hand-saw kerfs from line to line and a chisel. */
    private void contours() {
        Option rasp = new Option(trusted(Practice.Skill.CARVE), "saw rasp, then files", "");
        Option kerfs = new Option(
                trusted(Practice.Skill.SAW),
                "some twenty hand-saw kerfs from line to line, then chisel",
                "stop each kerf short of both lines; then sand to a straightedge");
        add(
                "Carve contours",
                "rasp and files",
                steps(o -> o.feature().is(FeatureKind.CONTOUR) && o.setting() instanceof Setting.Carved),
                rasp,
                kerfs);
    }
}
