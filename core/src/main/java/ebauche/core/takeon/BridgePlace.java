package ebauche.core.takeon;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;

/**
 * Where a bridge stands for its scale: its saddles wound fully forward on the saddle line, so that all of their travel is there for the
 * strings, which all want to be longer than the scale. Places from the saddle line, to the neck positive, mm; common practice, from memory.
 *
 * @param saddleForward of the saddles wound fully forward
 * @param footprintY of its footprint's middle
 * @param studsY of its posts, where it has them
 * @param routeY of a vibrato's route
 * @param springs of a vibrato's springs, in the back
 * @param stringsY of the row of holes where strings come through the body
 */
record BridgePlace(
        double saddleForward, double footprintY, double studsY, double routeY, Springs springs, double stringsY) {
    /** Of a spring cavity. */
    record Springs(double across, double along, double y, double depth) {
        Region plan() {
            return Region.rectangle(new Point(0, y), across, along, 0, 0);
        }
    }

    /** A flat plate stands before its saddles by so much of its length. */
    private static final double BEFORE = 0.27;

    /** A vibrato's plate stands before its saddles by so much. */
    private static final double VIBRATO_BEFORE = 10;

    private static final double VIBRATO_POSTS = 8;

    /** A vibrato's route, by its middle, where no post stands in its way. */
    private static final double ROUTE = -2;

    private static final double SPRINGS_ACROSS = 56;
    private static final double SPRINGS_ALONG = 92;
    private static final double SPRINGS_DEEP = 16;

    /** Springs reach so far into the route. */
    private static final double INTO_ROUTE = 4;

    /** Strings come through so far before the plate's back edge. */
    private static final double THROUGH = 6.4;

    /**
     * Where it stands.
     *
     * @param block room round a vibrato's block
     * @param wall wood between its route and its posts
     */
    static BridgePlace of(Part bridge, Strung strung, double block, double wall) {
        double travel = bridge.get(PartSize.SADDLE_TRAVEL);
        double spare = travel - (strung.compensationBass() - strung.compensationTreble());
        double forward =
                travel >= strung.compensationBass() ? 0 : -strung.compensationTreble() + Math.max(0, spare) / 2;
        double along = bridge.get(PartSize.ALONG);
        double middle = forward - travel / 2;
        double footprint = switch (bridge.kind()) {
            case POST_BRIDGE -> middle;
            case VIBRATO_ON_TOP, VIBRATO_LET_IN -> forward + VIBRATO_BEFORE - along / 2;
            default -> forward + BEFORE * along - along / 2;
        };
        double studs = bridge.kind() == PartKind.POST_BRIDGE ? middle : VIBRATO_POSTS;
        double route = routeY(bridge, studs, block, wall);
        double top = route + routeAlong(bridge, block) / 2;
        return new BridgePlace(
                forward,
                footprint,
                studs,
                route,
                new Springs(SPRINGS_ACROSS, SPRINGS_ALONG, top - INTO_ROUTE + SPRINGS_ALONG / 2, SPRINGS_DEEP),
                footprint - along / 2 + THROUGH);
    }

    /** Behind its posts, where they would stand in its way. */
    private static double routeY(Part bridge, double studs, double block, double wall) {
        if (!bridge.kind().isVibrato() || !bridge.has(PartSize.STUD_SPACING)) {
            return ROUTE;
        }
        double radius = bridge.get(PartSize.STUD_DIAMETER) / 2;
        double inner = bridge.get(PartSize.STUD_SPACING) / 2 - radius;
        boolean beside = inner - wall >= bridge.get(PartSize.BLOCK_ACROSS) / 2 + block;
        return beside ? ROUTE : Math.min(ROUTE, studs - radius - wall - routeAlong(bridge, block) / 2);
    }

    private static double routeAlong(Part bridge, double block) {
        return bridge.size(PartSize.BLOCK_ALONG).orElse(0)
                + bridge.size(PartSize.SWING).orElse(0)
                + 2 * block;
    }

    /** What it takes of the front, or of the body right through. */
    Region taken(Part bridge, double block) {
        Region all = Region.rectangle(
                new Point(0, footprintY), bridge.get(PartSize.ACROSS), bridge.get(PartSize.ALONG), 0, 0);
        if (bridge.has(PartSize.STUD_SPACING)) {
            Bridge.Studs studs = new Bridge.Studs(
                    bridge.get(PartSize.STUD_SPACING),
                    studsY,
                    bridge.get(PartSize.STUD_DIAMETER),
                    bridge.get(PartSize.STUD_DEPTH));
            all = all.union(studs.holes(0));
        }
        if (bridge.kind().isVibrato()) {
            double across = bridge.get(PartSize.BLOCK_ACROSS) + 2 * block;
            all = all.union(Region.rectangle(new Point(0, routeY), across, routeAlong(bridge, block), 0, 0));
        }
        return all;
    }

    /** What its springs take of the back. */
    Region springRoom(Part bridge) {
        return bridge.kind().isVibrato() ? springs.plan() : Region.EMPTY;
    }
}
