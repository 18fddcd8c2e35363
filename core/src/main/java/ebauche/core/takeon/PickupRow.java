package ebauche.core.takeon;

import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartSize;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * Pickups between the neck's end and the bridge: the neck's as near to the neck as a wall and its ring allow, the bridge's where it is
 * usual on that scale, else nearer to the bridge, the middle one halfway. Millimetres along the centre line.
 *
 * @param at y of each pickup's middle
 * @param run from the bridge's front to the neck's end
 * @param asked what the pickups take of it, with the walls between
 */
record PickupRow(Map<PickupPlace, Double> at, double run, double asked) {
    /** The bridge's pickup stands at this share of the scale from the saddles: common practice, from memory. */
    private static final double BRIDGE_SHARE = 0.066;

    /** Between a ring or a plate and what stands beside it on the front. */
    private static final double BESIDE = 1;

    /** What each takes either way: its rout in the wood, its ring on the front. */
    private record Half(double rout, double ring) {
        static Half of(Part part, double side) {
            return new Half(
                    part.get(PartSize.ALONG) / 2 + side,
                    part.size(PartSize.RING_ALONG).orElse(0) / 2);
        }

        /** From its middle to what stands there. */
        double to(double wall) {
            return Math.max(rout + wall, ring > 0 ? ring + BESIDE : 0);
        }

        double to(Half other, double wall) {
            return Math.max(rout + other.rout + wall, ring > 0 && other.ring > 0 ? ring + other.ring + BESIDE : 0);
        }
    }

    /**
     * Lays them out.
     *
     * @param end y of the neck's end
     * @param front y of the bridge's front
     * @param side room beside a pickup in its rout
     * @param wall least wood between two routs
     */
    static PickupRow of(
            Map<PickupPlace, Part> pickups, double end, double front, double scale, double side, double wall) {
        List<PickupPlace> places = pickups.keySet().stream().sorted().toList();
        Map<PickupPlace, Half> halves = new EnumMap<>(PickupPlace.class);
        pickups.forEach((place, part) -> halves.put(place, Half.of(part, side)));
        double asked = 0;
        for (int i = 0; i < places.size(); i++) {
            Half own = halves.get(places.get(i));
            asked += i == 0 ? own.to(wall) : own.to(halves.get(places.get(i - 1)), wall);
            asked += i == places.size() - 1 ? own.to(wall) : 0;
        }
        Map<PickupPlace, Double> at = new EnumMap<>(PickupPlace.class);
        double spare = Math.max(0, end - front - asked);
        if (pickups.containsKey(PickupPlace.NECK)) {
            at.put(PickupPlace.NECK, end - halves.get(PickupPlace.NECK).to(wall) - Math.min(1, spare / 4));
        }
        if (pickups.containsKey(PickupPlace.BRIDGE)) {
            double nearest = front + halves.get(PickupPlace.BRIDGE).to(wall);
            at.put(PickupPlace.BRIDGE, Math.max(nearest, Math.min(scale * BRIDGE_SHARE, nearest + spare / 2)));
        }
        if (pickups.containsKey(PickupPlace.MIDDLE)) {
            double above = at.containsKey(PickupPlace.NECK)
                    ? at.get(PickupPlace.NECK) - halves.get(PickupPlace.NECK).to(halves.get(PickupPlace.MIDDLE), wall)
                    : end - halves.get(PickupPlace.MIDDLE).to(wall);
            double below = at.containsKey(PickupPlace.BRIDGE)
                    ? at.get(PickupPlace.BRIDGE)
                            + halves.get(PickupPlace.BRIDGE).to(halves.get(PickupPlace.MIDDLE), wall)
                    : front + halves.get(PickupPlace.MIDDLE).to(wall);
            at.put(PickupPlace.MIDDLE, (above + below) / 2);
        }
        return new PickupRow(at, end - front, asked);
    }

    /** Whether they have room. */
    boolean fits() {
        return asked <= run;
    }

    /** What is left of the run between them. */
    double spare() {
        return run - asked;
    }
}
