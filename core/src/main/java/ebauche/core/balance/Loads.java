package ebauche.core.balance;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.Hanging;
import ebauche.core.geometry.Point;
import ebauche.core.measure.Fact;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/** What a guitar carries besides its body's wood: each thing as it was weighed, else as is usual (from memory). */
final class Loads {
    /** A neck of a guitar with six strings without its tuners, g, of this scale and so wide a heel, mm. */
    private static final double NECK = 560;

    private static final double SCALE = 648;
    private static final double HEEL = 56;

    /** From this scale on it is a bass, whose tuners weigh more, mm. */
    private static final double BASS = 750;

    private static final double TUNER = 33;
    private static final double BASS_TUNER = 85;
    private static final double FLAT_BRIDGE = 190;
    private static final double VIBRATO = 420;
    private static final double PICKUP = 95;
    private static final double CONTROL = 40;
    private static final String USUAL = "from memory";

    private final BodyDesign design;
    private final Hanging weighed;
    private final List<Load> loads = new ArrayList<>();

    private Loads(BodyDesign design) {
        this.design = design;
        this.weighed = design.hanging();
    }

    static List<Load> of(BodyDesign design) {
        Loads loads = new Loads(design);
        loads.neck();
        loads.onTheBody();
        return List.copyOf(loads.loads);
    }

    private static Fact fact(OptionalDouble weighed, double usual) {
        return weighed.isPresent() ? Fact.typed(weighed.getAsDouble()) : Fact.usual(usual, USUAL);
    }

    private void neck() {
        double scale = design.scale();
        double end = design.neck().pocket().minY();
        double usual = NECK * scale / SCALE * design.neck().widthAtEnd() / HEEL;
        // Of even thickness from the heel to the tip of the head; the nut stands at the scale's length from the
        // saddles.
        double balance = weighed.neckBalance().orElse(scale - (end + scale + Guitar.HEAD) / 2);
        loads.add(new Load("neck", fact(weighed.neck(), usual), new Point(0, scale - balance)));
        double each = scale > BASS ? BASS_TUNER : TUNER;
        Fact tuner = fact(weighed.tuner(), each);
        int strings = design.strings().count();
        loads.add(new Load(
                strings + " tuners",
                new Fact(tuner.value() * strings, tuner.source(), tuner.origin()),
                new Point(0, scale + Guitar.HEAD / 2)));
    }

    private void onTheBody() {
        boolean vibrato = design.bridge().vibrato().isPresent();
        loads.add(new Load(
                "bridge",
                fact(weighed.bridge(), vibrato ? VIBRATO : FLAT_BRIDGE),
                new Point(design.bridge().offCentre(), design.bridge().footprintY())));
        design.pickups().forEach(p -> loads.add(new Load(p.feature().part(), fact(weighed.pickup(), PICKUP), p.at())));
        design.controls()
                .forEach(c -> loads.add(new Load(c.feature().part(), fact(weighed.control(), CONTROL), c.at())));
        design.jackAt().ifPresent(at -> loads.add(new Load("jack", fact(weighed.control(), CONTROL), at)));
    }
}
