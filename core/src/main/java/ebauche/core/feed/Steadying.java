package ebauche.core.feed;

import ebauche.core.crib.Aid;
import ebauche.core.crib.Router;
import ebauche.core.geometry.Region;
import ebauche.core.passes.BaseSupport;
import ebauche.core.passes.BaseSupport.Footing;
import ebauche.core.passes.Foot;
import java.util.ArrayList;
import java.util.List;

/**
 * One way to steady a router round an outline, and how its base then stands.
 *
 * @param with what steadies it, in words; the router itself where nothing does
 * @param places round the outline; none on a table, where the work lies on it
 */
public record Steadying(String with, List<Place> places) {
    /** Bases are judged at every so many edges: they are much larger than an edge is long. */
    private static final int EVERY = 4;

    /** How far the edges of what carries may be off for it, mm. */
    private static final double COARSE = 0.25;

    /** A place along an edge, and how the base stands there. */
    public record Place(FeedMap.Edge edge, BaseSupport support) {}

    public Steadying {
        places = List.copyOf(places);
    }

    /** The template on, with nothing else. */
    public static Steadying bare(FeedMap map, Region template, double bitDiameter, Router router) {
        return around(router.name() + ", template on", map, template, bitDiameter, Foot.round(router.baseDiameter()));
    }

    /**
     * What a shop can do about a router whose base tips.
     *
     * @param open the face where the base stands once the template is off: the body without what is cut into it by then
     * @param others the shop's other routers
     */
    public static List<Steadying> remedies(
            FeedMap map,
            Region template,
            Region open,
            double bitDiameter,
            Router router,
            List<Router> others,
            List<Aid> aids) {
        Foot foot = Foot.round(router.baseDiameter());
        List<Steadying> found = new ArrayList<>();
        found.add(around(router.name() + ", template off", map, open, bitDiameter, foot));
        for (Aid aid : aids) {
            switch (aid.kind()) {
                case LARGE_BASE -> found.add(around(aid.name(), map, template, bitDiameter, Foot.round(aid.size())));
                case OFFSET_BASE ->
                    found.add(around(
                            aid.name(), map, template, bitDiameter, Foot.offset(router.baseDiameter(), aid.size())));
                case SUPPORT_BLOCK -> {
                    Region block = BaseSupport.block(template, bitDiameter, aid.size());
                    found.add(around(aid.name(), map, template.union(block), bitDiameter, foot));
                }
                case EDGE_GUIDE, STRAIGHTEDGE -> {
                    // They lead a router, and carry nothing.
                }
            }
        }
        for (Router other : others) {
            if (other.kind() == Router.Kind.TABLE) {
                found.add(new Steadying(other.name(), List.of()));
            } else if (!other.equals(router)) {
                found.add(bare(map, template, bitDiameter, other));
            }
        }
        return found;
    }

    private static Steadying around(String with, FeedMap map, Region carries, double bitDiameter, Foot foot) {
        List<FeedMap.Edge> some = new ArrayList<>();
        for (int i = 0; i < map.edges().size(); i += EVERY) {
            some.add(map.edges().get(i));
        }
        Region nearly = carries.coarser(COARSE);
        return new Steadying(with, along(new FeedMap(map.face(), some), nearly, bitDiameter, foot));
    }

    /** How a base stands all along an outline, the bit's axis a radius outside the guided edge. */
    static List<Place> along(FeedMap map, Region carries, double bitDiameter, Foot foot) {
        List<Place> places = new ArrayList<>();
        for (FeedMap.Edge edge : map.edges()) {
            places.add(new Place(edge, BaseSupport.at(carries, edge.outside(bitDiameter / 2), edge.outward(), foot)));
        }
        return places;
    }

    /** Length of the outline where it goes so, mm. */
    public double length(Footing footing) {
        return EVERY
                * places.stream()
                        .filter(p -> p.support().footing() == footing)
                        .mapToDouble(p -> p.edge().length())
                        .sum();
    }
}
