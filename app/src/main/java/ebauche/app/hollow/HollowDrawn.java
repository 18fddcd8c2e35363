package ebauche.app.hollow;

import ebauche.core.design.BodyDesign;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Chamber;
import ebauche.core.hollow.Hollow;
import ebauche.core.job.AsCut;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Decimals;
import ebauche.core.plan.Stations;
import ebauche.core.stock.Change;
import ebauche.exchange.design.ChamberElements;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A hollow as a design's file has it: as chambers under its top, or as cavities in the back under plates of their own. */
final class HollowDrawn {
    /** How the ids of cavities begin that are drawn so. */
    private static final String UNDER_PLATE = "hollow-";

    /** Ledge that a plate lies on: common practice, mm. */
    private static final double LEDGE = 6;

    private HollowDrawn() {}

    /**
     * What is made of it.
     *
     * @param fromTheBack under plates let into the back, not under the top
     * @param supported with supports that carry the router's base
     */
    record How(boolean fromTheBack, boolean supported) {}

    private static boolean isHollow(Cavity cavity) {
        return cavity.id().startsWith(UNDER_PLATE);
    }

    /** What a design has of such. */
    static List<Feature> features(BodyDesign design) {
        return Stream.concat(
                        design.chambers().stream().map(Chamber::feature),
                        design.cavities().stream().filter(HollowDrawn::isHollow).map(Cavity::feature))
                .toList();
    }

    /** Those of them that are cut already, if only in part. */
    static List<Feature> cut(Build build) {
        return features(build.design()).stream()
                .filter(f -> new AsCut(build, f, f.is(FeatureKind.CAVITY) ? Face.BACK : Face.FRONT).isBegun())
                .toList();
    }

    /** The record as if no hollow of it were cut; a chamber's step that put the core on the bench still does. */
    static AsBuilt uncut(Build build) {
        List<Feature> drawn = features(build.design());
        return new AsBuilt(build.asBuilt().standing().stream()
                .map(e -> e instanceof AsBuilt.Done done
                                && drawn.contains(done.operation().feature())
                        ? uncut(done)
                        : e)
                .toList());
    }

    private static AsBuilt.Done uncut(AsBuilt.Done done) {
        return new AsBuilt.Done(
                done.id(),
                done.at(),
                done.by(),
                done.operation(),
                done.title(),
                done.face(),
                done.changes().stream()
                        .filter(c ->
                                !(c instanceof Change.Remove) || c.feature().is(FeatureKind.BLANK))
                        .toList(),
                Map.of(),
                done.routed());
    }

    /** The same design without. */
    static BodyDesign without(BodyDesign design) {
        List<Cavity> others =
                design.cavities().stream().filter(c -> !isHollow(c)).toList();
        return design.withChambers(List.of())
                .with(design.bridge(), design.pickups(), design.controls(), others, design.jack());
    }

    /** Puts it in the place of those that a design's file has. */
    static void into(ObjectNode design, Build build, Hollow hollow, How how) {
        design.remove("chambers");
        ArrayNode cavities = design.withArray("cavities");
        for (int i = cavities.size() - 1; i >= 0; i--) {
            if (cavities.get(i).path("id").asString("").startsWith(UNDER_PLATE)) {
                cavities.remove(i);
            }
        }
        for (Chamber chamber : hollow.chambers()) {
            if (how.fromTheBack()) {
                cavities.add(underPlate(chamber, hollow));
            } else {
                design.withArray("chambers")
                        .add(ChamberElements.written(how.supported() ? Stations.supported(build, chamber) : chamber));
            }
        }
    }

    private static ObjectNode underPlate(Chamber chamber, Hollow hollow) {
        ObjectNode out = ChamberElements.written(chamber);
        out.remove("floor");
        out.put("id", UNDER_PLATE + chamber.id());
        out.putObject("outline")
                .put("unit", "mm")
                .put("path", Outline.writeAll(chamber.parts().subList(0, 1)));
        out.put("woodOver", mm(hollow.asked().floor())).put("coverLip", mm(LEDGE));
        return out.put("coverThickness", mm(hollow.asked().cap()));
    }

    private static String mm(double length) {
        return Decimals.plain(length, 2) + " mm";
    }
}
