package ebauche.core.plan;

import ebauche.core.blank.BlankStation;
import ebauche.core.cap.CapStation;
import ebauche.core.cavity.CavityStation;
import ebauche.core.chamber.ChamberStation;
import ebauche.core.channel.ChannelStation;
import ebauche.core.contour.ContourStation;
import ebauche.core.design.Binding;
import ebauche.core.design.RoundOver;
import ebauche.core.edge.EdgeStation;
import ebauche.core.edge.EdgeZones;
import ebauche.core.edge.ShapingCost;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.gluing.Clamping;
import ebauche.core.hardware.Chamber;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.neck.NeckStation;
import ebauche.core.outline.OutlineStation;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.routing.GuidedWork;
import ebauche.core.routing.TemplateLine;
import ebauche.core.sanding.SandingStation;
import ebauche.core.shielding.ShieldingStation;
import ebauche.core.station.Station;
import ebauche.core.thickness.ThicknessStation;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The kinds of work, in the order in which a body usually meets them. A new kind is one line here. */
public final class Stations {
    public static final List<Station> ALL = List.of(
            new BlankStation(),
            new ChamberStation(),
            new ThicknessStation(),
            new OutlineStation(),
            new NeckStation(),
            new CavityStation(),
            new ChannelStation(),
            new ShieldingStation(),
            new EdgeStation(),
            new ContourStation(),
            new SandingStation(),
            new CapStation());

    private Stations() {}

    /** Every pocket that is routed along a template: by station, then by the order of the design. */
    public static List<GuidedPocket> pockets(Build build) {
        return ALL.stream().flatMap(s -> s.pockets(build).stream()).toList();
    }

    /** What cannot work, or only just, with one kind of work, told from the build alone. */
    public static List<Finding> findings(Build build, Feature feature) {
        return build.once().of(Told.class, () -> Told.of(build)).all().stream()
                .filter(f -> f.isOn(feature))
                .toList();
    }

    /** What the stations tell of a build. */
    private record Told(List<Finding> all) {
        static Told of(Build build) {
            return new Told(ALL.stream()
                    .flatMap(s -> Stream.concat(
                            s.rules(build).stream().flatMap(r -> r.finding().stream()), s.check(build).stream()))
                    .toList());
        }
    }

    /** What the stations print of a build. */
    private record Papers(List<TemplateLine> all) {
        static Papers of(Build build) {
            return new Papers(
                    ALL.stream().flatMap(s -> s.papers(build).stream()).toList());
        }
    }

    /** All that is routed along a template, the outline too. */
    public static List<GuidedWork> guidedWork(Build build) {
        return ALL.stream().flatMap(s -> s.guidedWork(build).stream()).toList();
    }

    /** What of a feature is routed along a template. */
    public static Optional<GuidedWork> guidedWork(Build build, Feature feature) {
        return guidedWork(build).stream()
                .filter(w -> w.feature().equals(feature))
                .findFirst();
    }

    /** Which of the shop's clamps and cauls a step takes. */
    public static Clamping clamping(Build build, StepKey step) {
        return ALL.stream()
                .map(s -> s.clamping(build, step))
                .filter(c -> !c.equals(Clamping.NONE))
                .findFirst()
                .orElse(Clamping.NONE);
    }

    /** Every template that the work wants: by station, then by the order of the design. */
    public static List<TemplateLine> templates(Build build) {
        return ALL.stream().flatMap(s -> s.templates(build).stream()).toList();
    }

    /** What is printed at full size besides the templates: by station, then by the order of the design. */
    public static List<TemplateLine> papers(Build build) {
        return build.once().of(Papers.class, () -> Papers.of(build)).all();
    }

    /** Where a corner is rounded over by hand, and why; empty where the crib has no bit for it. */
    public static Optional<EdgeZones> zones(Build build, RoundOver.Laid laid) {
        return EdgeStation.zones(build, laid);
    }

    /** Where a binding's ledge is cut by hand, and why; empty where no bit of the crib has the bearing for it. */
    public static Optional<EdgeZones> zones(Build build, Binding binding) {
        return EdgeStation.zones(build, binding);
    }

    /** Round-overs or contours first, and what each costs; the shop's own order before the other. */
    public static List<ShapingCost> shapingCosts(Build build) {
        return EdgeStation.costs(build);
    }

    /** A chamber with supports that carry the router which hollows it out, as far as they help. */
    public static Chamber supported(Build build, Chamber chamber) {
        return ChamberStation.supported(build, chamber);
    }
}
