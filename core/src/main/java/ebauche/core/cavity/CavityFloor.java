package ebauche.core.cavity;

import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Cover;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.station.ControlTop;
import ebauche.core.stock.FaceShape;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;

/**
 * How deep a cavity goes, under a front that is flat or carved, and what top each of its controls gets: the wood over its floor, or
 * the plate that it is mounted through.
 *
 * <p>The floor is level, so the wood over it is least where the front has fallen most: that place sets the cavity's depth.
 * Everywhere else more wood is left; a control for which it is too much has a step in the floor of its own, set by the
 * front's height at its hole. After the carve the body is measured at each control's hole: that reading takes the place of
 * the drawn fall there, and the floor keeps clear of the most that any of them found below the drawing.
 */
public final class CavityFloor {
    private static final double NEARLY = 1e-9;

    /** Inside corners of a step in the floor: a 3/8 in bit, common practice. */
    static final double STEP_CORNER = 4.8;

    private final Build build;
    private final Cavity pit;
    private final List<Control> controls;
    private final FaceShape far;

    CavityFloor(Build build, Cavity pit) {
        this.build = build;
        this.pit = pit;
        this.controls = build.design().controlsIn(pit);
        this.far = build.finished(pit.face().other());
    }

    /** The floors of a body's cavities. */
    public static List<CavityFloor> all(Build build) {
        return build.design().cavities().stream()
                .map(pit -> new CavityFloor(build, pit))
                .toList();
    }

    Cavity cavity() {
        return pit;
    }

    List<Control> controls() {
        return controls;
    }

    /** The tops of the controls that stand on the floor of a feature: the cavity, or a step in it. */
    List<ControlTop> standingOn(Feature feature) {
        return tops().stream()
                .filter(t -> feature.equals(t.stepped() ? step(t.control()) : pit.feature()))
                .toList();
    }

    /** What a step in the floor under a control is called. */
    public static Feature step(Control control) {
        return Feature.of(FeatureKind.STEP, control.id());
    }

    /** Every control with its top, in the order of the design. */
    public List<ControlTop> tops() {
        return controls.stream().map(this::top).toList();
    }

    /** The control's own wish, where the cavity's floor would leave more. */
    boolean stepped(Control control) {
        return pit.throughWood()
                && control.woodOver().isPresent()
                && control.woodOver().getAsDouble() < overCavityFloor(control) - NEARLY;
    }

    /** The area of a step in the floor. */
    Region stepArea(Control control) {
        double room = build.shop().clearances().control();
        return Region.rectangle(control.at(), control.across() + 2 * room, control.along() + 2 * room, STEP_CORNER, 0)
                .intersection(pit.plan());
    }

    /** Depth of the cavity from the finished face that it is cut from. */
    Reckoning cavityDepth() {
        String what = pit.feature().said() + " depth";
        if (pit.floor() instanceof Cavity.Floor.Leaving leaving) {
            return leaving(what, leaving.wood(), fallOver("the " + pit.feature().said(), pit.plan()));
        }
        return pit.floor() instanceof Cavity.Floor.Deep deep
                ? Reckoning.typed(what, deep.depth())
                : build.fitting().depthFor(pit, controls);
    }

    /** Depth of a control's own step from the finished back: its place on the front decides. */
    Reckoning stepDepth(Control control) {
        return leaving("step depth", control.woodOver().orElseThrow(), fallAt(control));
    }

    private Reckoning leaving(String what, double over, Optional<Reckoning> fall) {
        String wood = "wood to leave " + (pit.face() == Face.BACK ? "under the front" : "over the back");
        Reckoning thickness = build.faces().thicknessReckoning(build);
        Reckoning.Builder sum = Reckoning.of(what, Quantity.LENGTH).length("finished thickness", thickness.asFact());
        fall.ifPresent(f -> sum.length(f.what(), f.asFact()));
        sum.length(wood, Fact.typed(over));
        double fallen = fall.map(Reckoning::value).orElse(0.0);
        return sum.is(
                thickness.value() - fallen - over,
                "finished thickness" + fall.map(f -> " − " + f.what()).orElse("") + " − " + wood);
    }

    private double overCavityFloor(Control control) {
        double fall = fallAt(control).map(Reckoning::value).orElse(0.0);
        return build.faces().thickness() - fall - cavityDepth().value();
    }

    private ControlTop top(Control control) {
        if (!pit.throughWood()) {
            Reckoning plate = plate();
            return new ControlTop(control, plate, plate, false, false);
        }
        boolean stepped = stepped(control);
        Optional<Reckoning> fall = fallAt(control);
        Reckoning flat = build.faces().thicknessReckoning(build);
        Reckoning thickness = fall.map(f -> Reckoning.of("body at the " + said(control), Quantity.LENGTH)
                        .length("finished thickness", flat.asFact())
                        .length(f.what(), f.asFact())
                        .is(flat.value() - f.value(), "finished thickness − " + f.what()))
                .orElse(flat);
        Reckoning floor = stepped ? stepDepth(control) : cavityDepth();
        Reckoning wood = Reckoning.of("top at the " + said(control), Quantity.LENGTH)
                .length(thickness.what(), thickness.asFact())
                .length(floor.what(), floor.asFact())
                .is(thickness.value() - floor.value(), thickness.what() + " − " + floor.what());
        return new ControlTop(
                control, thickness, wood, stepped, reading(control).isPresent());
    }

    /** What a control of a cavity from the front is mounted through. */
    private Reckoning plate() {
        return build.fitting()
                .coverThickness(pit)
                .filter(own -> pit.cover().kind() != Cover.Kind.SCRATCH_PLATE)
                .orElseGet(() -> Reckoning.typed(
                        "plate over the " + pit.feature().said(), build.design().plateOver(pit)));
    }

    private static String said(Control control) {
        return control.id().replace('-', ' ') + " " + control.kind().word();
    }

    /** How far the face on the other side lies under its flat over an area, if it is carved there: as drawn, and as the readings found it deeper. */
    private Optional<Reckoning> fallOver(String where, Region area) {
        double drawn = far.drawn().mostFall(area);
        if (drawn < NEARLY) {
            return Optional.empty();
        }
        String what = pit.face().other().word() + " carved down over " + where;
        DoubleStream atHoles = controls.stream()
                .filter(c -> measured(c).isPresent())
                .mapToDouble(c -> measured(c).get().value() - far.drawn().fall(c.at()));
        double asRead = far.mostFall(area) - drawn;
        OptionalDouble off = (asRead > NEARLY ? DoubleStream.concat(atHoles, DoubleStream.of(asRead)) : atHoles).max();
        Reckoning.Builder sum = Reckoning.of(what, Quantity.LENGTH).length("drawn, at the most", drawn);
        return Optional.of(
                off.isPresent()
                        ? sum.length("found deeper than drawn", off.getAsDouble())
                                .is(
                                        Math.max(0, drawn + off.getAsDouble()),
                                        "drawn, at the most + found deeper than drawn")
                        : sum.is(drawn, "drawn, at the most"));
    }

    /** How far the front lies under its flat at a control's hole, if it is carved there: as measured, else as drawn. */
    private Optional<Reckoning> fallAt(Control control) {
        double drawn = far.drawn().fall(control.at());
        if (drawn < NEARLY) {
            return Optional.empty();
        }
        double asRead = far.fall(control.at());
        return Optional.of(measured(control).orElseGet(() -> {
            Reckoning.Builder sum =
                    Reckoning.of(fallWords(control), Quantity.LENGTH).length("drawn there", drawn);
            return asRead > drawn + NEARLY
                    ? sum.length("read deeper at the nearest station", asRead - drawn)
                            .is(asRead, "drawn there + read deeper at the nearest station")
                    : sum.is(drawn, "drawn there");
        }));
    }

    private static String fallWords(Control control) {
        return "front carved down at the " + said(control);
    }

    private Optional<Reckoning> measured(Control control) {
        return reading(control).map(reading -> {
            double thick = build.faces().backNow() - build.faces().frontNow();
            double since = build.sandedSince(Face.FRONT, reading) + build.sandedSince(Face.BACK, reading);
            return Reckoning.of(fallWords(control), Quantity.LENGTH)
                    .length("body now where it is flat", thick)
                    .length("body read there", Fact.measured(reading.value(), "read " + reading.at()))
                    .length("sanded off both faces since", since)
                    .is(
                            thick - (reading.value() - since),
                            "body now where it is flat − (body read there − sanded off both faces since)");
        });
    }

    /** The latest reading of the body at a control's hole, once the front is carved there. */
    private Optional<AsBuilt.Reading> reading(Control control) {
        boolean carved = far.carvedAt(control.at())
                .filter(c -> build.isDone(StepKey.of(c.feature(), StepKind.CARVE)))
                .isPresent();
        return carved ? build.asBuilt().latest(new Measurand.ThicknessAt(control.feature())) : Optional.empty();
    }
}
