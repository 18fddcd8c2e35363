package ebauche.core.plan;

import ebauche.core.blank.BlankStation;
import ebauche.core.cavity.CavityStation;
import ebauche.core.contour.ContourStation;
import ebauche.core.feature.Feature;
import ebauche.core.job.Build;
import ebauche.core.neck.NeckStation;
import ebauche.core.outline.OutlineStation;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.routing.GuidedWork;
import ebauche.core.sanding.SandingStation;
import ebauche.core.station.Station;
import ebauche.core.thickness.ThicknessStation;
import java.util.List;
import java.util.Optional;

/** The kinds of work, in the order in which a body usually meets them. A new kind is one line here. */
public final class Stations {
    public static final List<Station> ALL = List.of(
            new BlankStation(),
            new ThicknessStation(),
            new OutlineStation(),
            new NeckStation(),
            new CavityStation(),
            new ContourStation(),
            new SandingStation());

    private Stations() {}

    /** The pocket of a feature, if it is one that is routed along a template. */
    static Optional<GuidedPocket> pocket(Build build, Feature feature) {
        return pockets(build).stream().filter(p -> p.feature().equals(feature)).findFirst();
    }

    /** Every pocket that is routed along a template: by station, then by the order of the design. */
    public static List<GuidedPocket> pockets(Build build) {
        return ALL.stream().flatMap(s -> s.pockets(build).stream()).toList();
    }

    /** All that is routed along a template, the outline too. */
    public static List<GuidedWork> guidedWork(Build build) {
        return ALL.stream().flatMap(s -> s.guidedWork(build).stream()).toList();
    }
}
