package ebauche.core.operation;

import ebauche.core.crib.HoldDown;
import ebauche.core.shop.Glue;
import ebauche.core.shop.Gluing;
import ebauche.core.shop.Practice;
import ebauche.core.timber.Species;
import java.util.List;

/**
 * What can hurt someone, or ruin the wood, said where it can. Local codes and the tool's manual come first.
 *
 * @param name short and lasting
 */
public record Caution(String name, String words) {
    public static final Caution ROUTER = new Caution(
            "router",
            "Unplug before you touch the bit or its stop; half an inch of shank in the collet, and tight. Feel the bearing for play."
                    + " Start with the bit clear of the wood, both hands on the router; stop if it wants force, and wait until the bit stands still.");
    public static final Caution FREEHAND = new Caution(
            "router-freehand",
            "Nothing guides the bit: pencil a line 3 mm, 1/8 in, inside the edge, shallow bites, both hands, elbows on the bench, and away from the line to start.");
    public static final Caution RIDDEN = new Caution(
            "router-shank",
            "No bearing: the shank turns on the template. Hard template, waxed edge, light pressure, keep moving: where it stops it burns in.");
    public static final Caution ROUTER_CLIMB = new Caution(
            "router-climb", "Never feed with the rotation on a full-depth edge: the bit pulls itself along.");
    public static final Caution ROUTER_TIP =
            new Caution("router-tip", "Narrow wings and horns tip the base. Support it or use the table.");
    public static final Caution TABLE = new Caution(
            "table",
            "Starting pin or guard in place, hands well clear of the bit, and never trap the work between bit and fence.");
    public static final Caution BRITTLE = new Caution(
            "brittle",
            "This timber chips: a sharp bit, light bites, a backer where the bit comes out. Drill tight corners before the router comes; leave end grain and horns to the drum.");
    public static final Caution UNEVEN = new Caution(
            "uneven",
            "Hard and soft wood meet in this cut, and the bit is drawn to the soft side: light bites, and hold the base down. On the outside leave that stretch to the drum.");
    public static final Caution BIT_SPEED =
            new Caution("bit-speed", "Large bit: turn the speed down, and take light bites.");
    public static final Caution DRILL = new Caution(
            "drill",
            "Clamp the work. No gloves and no loose sleeves near the drill. Clear the chips often; a packed bit is hot.");
    public static final Caution LARGE_DRILL = new Caution(
            "large-drill", "A large bit snatches where it breaks in: slow, both hands, the work clamped, speed down.");
    public static final Caution LONG_DRILL = new Caution(
            "long-drill",
            "A long bit goes where it is begun: a centre punch or a brad point to start, sight it from above, along the line between its marks, and from the side. Withdraw and clear it often. Tape over the face where the chuck would strike.");
    public static final Caution PAINT = new Caution(
            "paint",
            "Conductive paint: fresh air, gloves, the tin's own sheet. Keep it off the finish and out of threads. Touch up after any later cut.");
    public static final Caution FOIL = new Caution(
            "foil",
            "Cut foil is a blade: gloves, press down every edge. Solder in fresh air, and mind the finish beside the iron.");
    public static final Caution SIGNAL_ONLY = new Caution(
            "signal-only", "Signal side only, nothing plugged in. Whatever is on mains belongs to a licensed person.");
    public static final Caution SAW =
            new Caution("saw", "Guard down, hands out of the blade's line, relief cuts first.");
    public static final Caution RIP = new Caution(
            "rip",
            "Push stick wherever a strip is ripped, riving knife in, guard down. Stand out of the line of kickback.");
    public static final Caution JOINTER = new Caution(
            "jointer",
            "Guard over the cutter, push blocks, no hand over it. Nothing shorter or thinner than its manual allows.");
    public static final Caution PLANER = new Caution(
            "planer",
            "Stand beside it, not behind: it kicks back. Nothing shorter or thinner than its manual allows, one piece at a time.");
    public static final Caution DUST =
            new Caution("dust", "Eyes, ears, mask and extraction. Hardwood dust is a carcinogen.");
    public static final Caution EPOXY = new Caution(
            "epoxy", "Gloves, and air in the room: the resin sensitises. Off the skin with soap, not with solvent.");
    public static final Caution HOT_GLUE = new Caution("hot-glue", "The pot scalds. Mind the flex and the bench.");
    public static final Caution CA = new Caution(
            "ca",
            "CA and its accelerator: glasses, air in the room, no flame; it takes skin with it. Keep it off wet cloths.");
    public static final Caution CARVE = new Caution(
            "carve",
            "Cut toward the waste, never out over an edge that stays. Measure what is left before and during it.");
    public static final Caution CHISEL =
            new Caution("chisel", "The work clamped, both hands behind the edge, the chisel sharp.");
    public static final Caution LAST_OF_FLOOR = new Caution(
            "last-of-floor", "The floor becomes the top. Creep up on it, and measure before the last pass.");

    /** A drill from so wide on is a large one, 3/4 in: common practice, mm. */
    private static final double LARGE = 19;

    /** What can hurt where a blank is brought flat or to thickness, as the shop does that. */
    public static Caution[] of(Practice.Thicknessing school) {
        return switch (school) {
            case PLANER -> new Caution[] {PLANER};
            case ROUTER_SLED -> new Caution[] {ROUTER, BIT_SPEED};
            case DRUM_SANDER, HAND_PLANE -> new Caution[0];
        };
    }

    /** What can hurt where edges are trued. */
    public static Caution[] of(Gluing.Edges edges) {
        return switch (edges) {
            case JOINTER -> new Caution[] {JOINTER};
            case TABLE_SAW -> new Caution[] {SAW, RIP};
            case ROUTER -> new Caution[] {ROUTER};
            case HAND_PLANE -> new Caution[0];
        };
    }

    /** What can hurt about a glue; PVA is water and harmless on the skin. */
    public static Caution[] of(Glue glue) {
        return switch (glue) {
            case PVA -> new Caution[0];
            case HIDE -> new Caution[] {HOT_GLUE};
            case EPOXY -> new Caution[] {EPOXY};
        };
    }

    /** What can hurt where a template is fixed. */
    public static Caution[] of(HoldDown hold) {
        return hold == HoldDown.TAPE_AND_CA ? new Caution[] {CA} : new Caution[0];
    }

    /** What can hurt where a hole of a diameter is drilled: a large bit snatches from about 20 mm on, common practice. */
    public static Caution[] drilling(double diameter) {
        return diameter >= LARGE ? new Caution[] {DRILL, LARGE_DRILL} : new Caution[] {DRILL};
    }

    /** How what every hardwood's dust does begins in the table of timbers: that is said already. */
    private static final String USUAL = "Hardwood dust";

    /** What the dust of a body's timbers does beside what all dust does, by their names and in their table's words. */
    public static List<Caution> dustOf(List<Species> timbers) {
        return timbers.stream()
                .filter(t -> !t.dust().isBlank() && !t.dust().startsWith(USUAL))
                .distinct()
                .map(t -> new Caution(
                        "dust-" + t.key(),
                        Character.toUpperCase(t.name().charAt(0)) + t.name().substring(1) + ": " + t.dust()))
                .toList();
    }
}
