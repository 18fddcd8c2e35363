package ebauche.core.cavity;

import ebauche.core.crib.Fit;
import ebauche.core.design.StringSetup;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.job.Build;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Place;
import ebauche.core.routing.Datum;
import ebauche.core.routing.Drilling;
import ebauche.core.routing.SeatedHoles;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;

/** Strings through the body, with or without ferrules in the back. */
record StringWork(Build build, Bridge.StringThrough through) {
    /** One hole a string, the lowest first, at the strings' spread, from the front so that they meet the bridge. */
    List<Place> places() {
        StringSetup strings = build.design().strings();
        double middle = build.design().bridge().offCentre();
        return IntStream.range(0, strings.count())
                .mapToObj(i -> new Place(
                        "string " + (strings.count() - i), new Point(middle + strings.offset(i), through.y())))
                .toList();
    }

    List<Operation> operations() {
        return new SeatedHoles(
                        build,
                        Work.CAVITY,
                        Bridge.STRING_HOLES,
                        "strings",
                        places(),
                        through.diameter(),
                        through.ferrule().map(f -> build.fitting().ferrule(Bridge.FERRULES, f)))
                .operations("Drill the string holes through the body", this::drill);
    }

    private Operation.Builder drill(StepKind of, String title, double wide) {
        double top = build.faces().frontNow();
        double bottom = build.faces().backNow();
        Operation.Builder step = Operation.of(Work.CAVITY, Bridge.STRING_HOLES, of, title)
                .set(Drilling.through(build, wide, Fit.CLEAR, Drilling.throughBody(build)))
                .needs(Datum.BRIDGE_MARKED)
                .needs(Datum.flat(build, Face.FRONT, build.design().bridge().footprint()))
                .joins(Set.of(Feature.BACK, Bridge.FERRULES))
                .caution(Caution.DRILL)
                .takes(25, 0, 0.01);
        for (Place place : places()) {
            Region hole = Region.disc(place.at(), wide);
            step.at(place)
                    .cuts(Change.Remove.fromBody(Bridge.STRING_HOLES, Solid.Prism.between(hole, top, bottom)))
                    .needs(Datum.wood(build, hole));
        }
        return step;
    }
}
