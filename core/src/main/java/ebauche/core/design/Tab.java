package ebauche.core.design;

import ebauche.core.geometry.EdgeWalk;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Refusal;

/**
 * Wood left standing outside the outline until everything is located: a tab to screw the template to, or a flat to lay against a fence.
 * Its outer end is straight and square to the edge's direction at its middle.
 *
 * @param id short and lasting, such as {@code tail}
 * @param at a place near the edge where its middle is
 * @param width along the edge, mm
 * @param reach how far it stands out, mm
 */
public record Tab(String id, Point at, double width, double reach) {
    /** A bearing bit turns into the corners beside it, mm. */
    private static final double FILLET = 13;

    public Tab {
        Refusal.between(width, 10, 300, "width");
        Refusal.between(reach, 2, 150, "reach");
    }

    /** What stands outside an outline, the corners beside it rounded out. */
    public Region region(Outline outline) {
        Region body = outline.region();
        EdgeWalk walk = new EdgeWalk(body);
        double way = walk.nearest(at);
        Point middle = walk.at(way, 0);
        Point out = walk.at(way, 1);
        double nx = out.x() - middle.x();
        double ny = out.y() - middle.y();
        double turned = Math.toDegrees(Math.atan2(ny, nx)) - 90;
        // Into the body as far as it is wide, so that it is joined to a curved edge all along.
        double length = width + reach;
        Point centre = middle.plus(nx * (reach - width) / 2, ny * (reach - width) / 2);
        Region tab = Region.rectangle(centre, width, length, 0, turned);
        Region near = tab.grown(2 * FILLET);
        Region both = tab.union(body.intersection(near));
        Region filled = both.grown(FILLET).grown(-FILLET).intersection(tab.grown(FILLET));
        return tab.union(filled).minus(body);
    }
}
