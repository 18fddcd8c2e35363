package ebauche.core.shielding;

import ebauche.core.shielding.Ground.Bond;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Which bonds may be bad, from readings between pairs: those sets of bonds without which every bad pair is parted and every good one is
 * still joined; one bond if one explains all, else two.
 *
 * @param faults each a set of bonds that explains every reading; empty where no reading is bad, or nothing explains them
 */
public record Suspects(List<Set<Bond>> faults) {
    /** A reading between two nodes: good if it is within what the way may read. */
    public record Read(String one, String other, boolean good) {}

    public Suspects {
        faults = List.copyOf(faults);
    }

    /** What explains readings of a ground. */
    public static Suspects of(Ground ground, List<Read> readings) {
        if (readings.stream().allMatch(Read::good)) {
            return new Suspects(List.of());
        }
        List<Bond> bonds = ground.bonds();
        List<Set<Bond>> single = new ArrayList<>();
        for (Bond bond : bonds) {
            if (explains(bonds, Set.of(bond), readings)) {
                single.add(Set.of(bond));
            }
        }
        if (!single.isEmpty()) {
            return new Suspects(single);
        }
        List<Set<Bond>> pairs = new ArrayList<>();
        for (int i = 0; i < bonds.size(); i++) {
            for (int k = i + 1; k < bonds.size(); k++) {
                Set<Bond> two = Set.of(bonds.get(i), bonds.get(k));
                if (explains(bonds, two, readings)) {
                    pairs.add(two);
                }
            }
        }
        return new Suspects(pairs);
    }

    private static boolean explains(List<Bond> bonds, Set<Bond> bad, List<Read> readings) {
        List<Bond> sound = bonds.stream().filter(b -> !bad.contains(b)).toList();
        return readings.stream().allMatch(r -> Ground.joined(r.one(), sound).contains(r.other()) == r.good());
    }

    /** All bonds to look at. */
    public Set<Bond> bonds() {
        Set<Bond> all = new LinkedHashSet<>();
        faults.forEach(all::addAll);
        return all;
    }

    /** The pair whose reading parts what may be bad most evenly; empty where one more tells nothing. */
    public Optional<Read> next(Ground ground) {
        int best = 0;
        Optional<Read> chosen = Optional.empty();
        List<Ground.Node> nodes = ground.nodes();
        for (int i = 0; i < nodes.size(); i++) {
            for (int k = i + 1; k < nodes.size(); k++) {
                String one = nodes.get(i).key();
                String other = nodes.get(k).key();
                int good = 0;
                for (Set<Bond> fault : faults) {
                    List<Bond> sound = ground.bonds().stream()
                            .filter(b -> !fault.contains(b))
                            .toList();
                    good += Ground.joined(one, sound).contains(other) ? 1 : 0;
                }
                int parted = Math.min(good, faults.size() - good);
                if (parted > best) {
                    best = parted;
                    chosen = Optional.of(new Read(one, other, true));
                }
            }
        }
        return chosen;
    }
}
