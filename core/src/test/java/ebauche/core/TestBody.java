package ebauche.core;

import ebauche.core.crib.Crib;
import ebauche.core.crib.Machine;
import ebauche.core.design.Binding;
import ebauche.core.design.Blank;
import ebauche.core.design.BodyDesign;
import ebauche.core.design.Contour;
import ebauche.core.design.EndsAs;
import ebauche.core.design.Hand;
import ebauche.core.design.Hanging;
import ebauche.core.design.Heel;
import ebauche.core.design.NeckJoint;
import ebauche.core.design.Recap;
import ebauche.core.design.RoundOver;
import ebauche.core.design.ScratchPlate;
import ebauche.core.design.StringSetup;
import ebauche.core.design.Tab;
import ebauche.core.design.TemplateMade;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Chamber;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Cover;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartHole;
import ebauche.core.hardware.Pickup;
import ebauche.core.hardware.Shield;
import ebauche.core.hardware.Wire;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.memo.Memo;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.plan.Schedule;
import ebauche.core.shop.Shop;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/** A sound body for tests to change one thing of: a rounded slab with the numbers of C1's second worked example. */
public final class TestBody {
    /** What the tests of one run reckoned before; nothing hangs on it. */
    static final Memo MEMO = Memo.of(256L << 20);

    public double thickness = 44.5;
    public double scale = 640;
    public String outline = "M -100 -150 L 100 -150 A 60 60 0 0 1 160 -90 L 160 180 A 60 60 0 0 1 100 240"
            + " L -100 240 A 60 60 0 0 1 -160 180 L -160 -90 A 60 60 0 0 1 -100 -150 Z";
    public double blankThickness = 50;
    public int pieces = 2;
    public NeckJoint.Kind joint = NeckJoint.Kind.BOLT_ON;
    public double heel = 25.4;
    public double fingerboard = 6.35;
    public double fret = 1.2;
    public double radius = 305;
    public double angle = 0;
    public double plateUnderHeel = 0;
    public double plateUnderBridge = 0;
    public OptionalDouble screwLength = OptionalDouble.empty();
    public Optional<Part> neckFerrule = Optional.empty();
    public Optional<Part> heelInsert = Optional.empty();
    public Optional<Heel> heelFit = Optional.empty();
    public Optional<ScratchPlate> scratchPlate = Optional.empty();
    public OptionalDouble nutSpread = OptionalDouble.empty();
    public double endWallToSaddle = 165;
    public double pocketWidth = 56;
    public List<Point> screws = new ArrayList<>(List.of(new Point(-19, 180), new Point(19, 180)));
    public double actionTreble = 1.8;
    public double actionBass = 1.8;
    public double nut = 0.5;
    public double spread = 52;
    public int strings = 6;
    public Hand hand = Hand.RIGHT;
    public double lowestSaddle = 9;
    public double highestSaddle = 16;
    public OptionalDouble wantedSaddle = OptionalDouble.of(12);
    public double saddleForward = 0;
    public double saddleTravel = 10;
    public double offCentre = 0;
    public double recess = 0;
    public Optional<Bridge.Studs> studs = Optional.empty();
    public Optional<Bridge.Vibrato> vibrato = Optional.empty();
    public Optional<Bridge.StringThrough> stringThrough = Optional.empty();
    public Optional<Part> bridgePart = Optional.empty();
    public List<Pickup> pickups = new ArrayList<>(List.of(pickup("neck", 0, 130, 19), pickup("bridge", 0, 40, 19)));
    public List<Control> controls = new ArrayList<>(List.of(pot("volume", 100, -40, 8)));
    public List<Cavity> cavities = new ArrayList<>(List.of(cavity(6)));
    public List<TemplateMade> templates = List.of();
    public List<PartHole> holes = new ArrayList<>();
    public List<Channel> channels = new ArrayList<>();
    public List<Wire> wires = new ArrayList<>();
    public List<Shield> shields = new ArrayList<>();
    public List<Chamber> chambers = new ArrayList<>();
    public List<Contour> contours = new ArrayList<>();
    public List<RoundOver> roundOvers = new ArrayList<>();

    public List<Binding> bindings = new ArrayList<>();

    public Optional<Recap> recap = Optional.empty();

    public List<Tab> tabs = List.of();
    public Hanging hanging = Hanging.USUAL;
    public Set<Feature> undecided = Set.of();
    public EndsAs endsAs = EndsAs.FINISHED;
    public List<StepKey> order = List.of();
    public Optional<Jack> jack = Optional.of(new Jack(new Point(165, -40), new Point(110, -40), 22.2, 22));
    public Shop shop = Shop.starter(1);
    /** A blank that was laid out; if null, one of even pieces. */
    public Blank blank;

    public List<AsBuilt.Entry> timeline = new ArrayList<>();

    /** The same with channels for all its wires: from the controls to the bridge pickup, from the neck pocket under the neck pickup, from under the bridge. */
    public TestBody wired() {
        channels.add(new Channel("wires", new Point(75.4, -23.1), 32.1, new Point(36.5, 33.7), 11.9, 7.9375));
        channels.add(new Channel("neck", new Point(-5.3, 177), 11.1, new Point(-5.9, 49), 11.6, 7.9375));
        channels.add(new Channel("ground", new Point(18.6, 4.6), 0, new Point(2.7, 30.1), 5.9, 3.175));
        return this;
    }

    /** A drawn pickup cavity that may break into the controls'. */
    public static Pickup pickup(String id, double x, double y, double depth) {
        return pickup(id, x, y, depth, Set.of(Cavity.ELDEST));
    }

    public static Pickup pickup(String id, double x, double y, double depth, Set<Feature> joins) {
        return new Pickup(id, new Point(x, y), 80, 30, 4.8, 0, depth, joins);
    }

    public static Control pot(String id, double x, double y, double thickestTop) {
        return new Control(
                id, Control.Kind.POT, new Point(x, y), 10, 0, 0, thickestTop, 25, 25, 20, OptionalDouble.empty());
    }

    /** A blade switch beside the pot of {@link #controls}. */
    public static Control bladeSwitch(double thinnestTop, double thickestTop, OptionalDouble woodOver) {
        return new Control(
                "selector",
                Control.Kind.BLADE_SWITCH,
                new Point(82, -40),
                3.2,
                25,
                thinnestTop,
                thickestTop,
                13,
                40,
                20,
                woodOver);
    }

    public static Cavity cavity(double woodOver) {
        Outline outline = Outline.parse(
                "M 75 -70 L 125 -70 A 8 8 0 0 1 133 -62 L 133 -18 A 8 8 0 0 1 125 -10 L 75 -10"
                        + " A 8 8 0 0 1 67 -18 L 67 -62 A 8 8 0 0 1 75 -70 Z",
                1);
        return cavity(outline, woodOver);
    }

    /** A cavity for the controls, from the back, its cover let in. */
    public static Cavity cavity(Outline outline, double woodOver) {
        return new Cavity(
                FeatureKind.ELDEST,
                Face.BACK,
                outline,
                new Cavity.Floor.Leaving(woodOver),
                Cover.letIn(2.5, 5),
                Set.of());
    }

    public static Bridge.Vibrato vibrato(double blockLength) {
        return new Bridge.Vibrato(blockLength, 2, 56, 24, -2, 56, 84, 50, 12);
    }

    public BodyDesign design() {
        Outline edge = Outline.parse(outline, 1);
        return new BodyDesign(
                "Test",
                blank == null ? Blank.plain(TestTimber.ALDER, pieces, 340, 420, 45, blankThickness) : blank,
                thickness,
                edge,
                scale,
                new NeckJoint(
                        joint,
                        heel,
                        fingerboard,
                        fret,
                        radius,
                        angle,
                        plateUnderHeel,
                        plateUnderBridge,
                        endWallToSaddle,
                        76,
                        pocketWidth,
                        pocketWidth,
                        6.4,
                        screws,
                        4.76,
                        screwLength,
                        neckFerrule,
                        heelInsert,
                        heelFit,
                        scratchPlate),
                new StringSetup(strings, spread, actionTreble, actionBass, nut, 1.5, 4, nutSpread, hand),
                new Bridge(
                        "bridge",
                        lowestSaddle,
                        highestSaddle,
                        wantedSaddle,
                        saddleForward,
                        saddleTravel,
                        offCentre,
                        80,
                        40,
                        -10,
                        recess,
                        studs,
                        vibrato,
                        stringThrough,
                        bridgePart),
                pickups,
                controls,
                cavities,
                jack,
                templates,
                holes,
                channels,
                wires,
                shields,
                chambers,
                contours,
                roundOvers,
                bindings,
                recap,
                tabs,
                hanging,
                undecided,
                endsAs,
                order);
    }

    public Build build() {
        return new Build(design(), shop, new AsBuilt(timeline));
    }

    public BuildPlan plan() {
        return MEMO.during(() -> Planner.plan(build()));
    }

    /** Its steps in order alone: for what does not ask about the wood. */
    public Schedule schedule() {
        return MEMO.during(() -> Planner.schedule(build()));
    }

    /** A shop that has a machine besides. */
    public static Shop owning(Shop shop, Machine machine) {
        Crib c = shop.crib();
        List<Machine> machines = new ArrayList<>(c.machines());
        machines.add(machine);
        return shop.with(new Crib(
                c.routers(),
                c.bits(),
                c.drills(),
                c.templates(),
                c.spacers(),
                c.saws(),
                c.drums(),
                c.aids(),
                machines,
                c.bearings()));
    }

    /** Logs a step done exactly as planned now. */
    public TestBody done(String key) {
        timeline.add(
                schedule().step(key).orElseThrow().asDone("done-" + timeline.size(), "2026-11-01T10:00:00Z", "test"));
        return this;
    }

    /** Logs everything up to and including a step. */
    public TestBody doneUpTo(String key) {
        for (BuildPlan.PlanStep step : schedule().steps()) {
            if (!step.done()) {
                done(step.operation().key().written());
            }
            if (step.operation().key().written().equals(key)) {
                return this;
            }
        }
        throw new IllegalArgumentException(key);
    }

    public TestBody read(String measures, double value) {
        return read(measures, value, "");
    }

    public TestBody read(String measures, double value, String at) {
        timeline.add(new AsBuilt.Reading(
                "read-" + timeline.size(),
                "2026-11-01T11:00:00Z",
                "test",
                at.isEmpty() ? Optional.empty() : Optional.of(StepKey.parse(at)),
                ebauche.core.design.Measurand.parse(measures),
                value));
        return this;
    }

    /** The figure on a step's card, mm. */
    public double figure(String step) {
        return schedule()
                .step(step)
                .orElseThrow(() -> new AssertionError(step))
                .operation()
                .setting()
                .figure()
                .orElseThrow()
                .value();
    }

    /** The rules that find something. */
    public List<String> rules() {
        return plan().findings().stream().map(f -> f.rule()).distinct().toList();
    }
}
