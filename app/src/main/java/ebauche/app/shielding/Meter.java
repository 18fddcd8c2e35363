package ebauche.app.shielding;

import ebauche.core.measure.Decimals;
import ebauche.core.shielding.Ground;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.springframework.stereotype.Component;

/**
 * A stand-in for a meter on its ohms: it reads what the bonds between its two tips come to, or that the way is open. To practise with, one
 * bond can be bad without saying which.
 */
@Component
class Meter {
    /** What it shows where nothing joins its tips. */
    static final String OPEN = "OL";

    /** A good bond reads this share of what it may, and its leads so many ohms. */
    private static final double GOOD = 0.2;

    private static final double LEADS = 0.1;

    /** The bond that is bad in a practice; empty where all are good. */
    Optional<Ground.Bond> bad(Ground ground, long practice) {
        List<Ground.Bond> bonds = ground.bonds();
        return practice == 0 || bonds.isEmpty()
                ? Optional.empty()
                : Optional.of(bonds.get(new Random(practice).nextInt(bonds.size())));
    }

    /**
     * What it shows between two nodes.
     *
     * @param practice nought where every bond is good
     */
    String read(Ground ground, String one, String other, long practice) {
        Optional<Ground.Bond> bad = bad(ground, practice);
        Ground sound = new Ground(
                ground.nodes(),
                ground.bonds().stream()
                        .filter(b -> bad.filter(b::equals).isEmpty())
                        .toList(),
                List.of());
        List<Ground.Bond> way = sound.between(one, other);
        return way.isEmpty()
                ? OPEN
                : Decimals.fixed(
                        LEADS
                                + GOOD
                                        * way.stream()
                                                .mapToDouble(Ground.Bond::ohms)
                                                .sum(),
                        1);
    }
}
