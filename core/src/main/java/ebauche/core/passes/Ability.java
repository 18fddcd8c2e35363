package ebauche.core.passes;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Router;
import ebauche.core.passes.Reach.Window;
import java.util.ArrayList;
import java.util.List;

/**
 * What a bit can and cannot do with the rest of a crib.
 *
 * @param held routers whose collet closes on its shank, with the turns and the projection that both allow
 * @param guided depths of a first pass on each template, raised by each spacer or by none; where there are none, none
 * @param wall depths with the template off, on a wall that one first pass of it has cut
 */
public record Ability(Bit bit, List<Held> held, List<Guided> guided, Window wall) {

    /** A router that holds the bit. */
    public record Held(Router router, Cutter.Speeds speeds, boolean slowEnough, double projection) {}

    /** What it reaches on a template. */
    public record Guided(double template, double spacer, Window window) {}

    public Ability {
        held = List.copyOf(held);
        guided = List.copyOf(guided);
    }

    /** Works out a bit's abilities. */
    public static Ability of(Bit bit, Crib crib) {
        List<Held> held = new ArrayList<>();
        for (Router router : crib.routers()) {
            Cutter cutter = new Cutter(bit, router);
            if (cutter.fits()) {
                held.add(new Held(router, cutter.speeds(), cutter.slowEnough(), cutter.projection()));
            }
        }
        double projection = held.stream().mapToDouble(Held::projection).max().orElse(0);
        List<Guided> guided = new ArrayList<>();
        for (double template : crib.templates()) {
            guided(guided, bit, template, 0, projection);
            crib.spacers().forEach(s -> guided(guided, bit, template, s, projection));
        }
        Window wall = Reach.onWall(bit, bit.cutterLength());
        return new Ability(bit, held, guided, new Window(wall.least(), Math.min(wall.most(), projection)));
    }

    /** A first pass is no deeper than the edges are long, nor than the bit stands out of the sole. */
    private static void guided(List<Guided> found, Bit bit, double template, double spacer, double projection) {
        Window reach = Reach.onTemplate(bit, template, spacer);
        double most = Math.min(Math.min(reach.most(), bit.cutterLength()), projection - template - spacer);
        Window window = new Window(reach.least(), most);
        if (!window.isEmpty() && most > Reach.NOTHING) {
            found.add(new Guided(template, spacer, window));
        }
    }

    /** Whether no router of the crib can turn it. */
    public boolean heldByNone() {
        return held.isEmpty();
    }
}
