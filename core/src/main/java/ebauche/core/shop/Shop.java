package ebauche.core.shop;

import ebauche.core.crib.Aid;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Drill;
import ebauche.core.crib.Drum;
import ebauche.core.crib.HoldDown;
import ebauche.core.crib.Machine;
import ebauche.core.crib.Router;
import ebauche.core.crib.Saw;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import java.util.EnumSet;
import java.util.List;
import java.util.stream.Stream;

/** A shop: its tools, its ways, its limits, how it cuts and joins its blanks, the room it leaves round parts, how close is good, its wire, what it shields with, how straight it drills, what its time is worth, what it likes to do first. */
public record Shop(
        Crib crib,
        Practice practice,
        Limits limits,
        Cutting cutting,
        Gluing gluing,
        Clearances clearances,
        Bands bands,
        WireStock wire,
        ShieldStock shielding,
        LongHoles longHoles,
        Worth worth,
        HouseRules rules) {
    /** A machine that takes all of a width but for this is wide enough, mm. */
    private static final double NEARLY = 0.05;

    /** The newest starter shop. */
    public static final int STARTER = 1;

    private static final double INCH = 25.4;

    /**
     * The sensible small shop that stands in for whatever a build file leaves out. A version, once shipped, never
     * changes, so that an old file keeps its plan. Tools and allowances are common practice.
     */
    public static Shop starter(int version) {
        if (version != STARTER) {
            throw new IllegalArgumentException("there is no starter shop " + version + "; the newest is " + STARTER);
        }
        return new Shop(
                starterCrib(),
                starterPractice(),
                Limits.USUAL,
                Cutting.USUAL,
                Gluing.USUAL,
                Clearances.USUAL,
                Bands.USUAL,
                WireStock.USUAL,
                ShieldStock.USUAL,
                LongHoles.USUAL,
                Worth.USUAL,
                HouseRules.NONE);
    }

    /** The same shop with other habits. */
    public Shop with(Practice other) {
        return new Shop(
                crib, other, limits, cutting, gluing, clearances, bands, wire, shielding, longHoles, worth, rules);
    }

    /** The same shop with other tools. */
    public Shop with(Crib other) {
        return new Shop(
                other, practice, limits, cutting, gluing, clearances, bands, wire, shielding, longHoles, worth, rules);
    }

    /** The same shop that is content with other bands. */
    public Shop with(Bands other) {
        return new Shop(
                crib, practice, limits, cutting, gluing, clearances, other, wire, shielding, longHoles, worth, rules);
    }

    /** The same shop that shields in another way. */
    public Shop with(ShieldStock other) {
        return new Shop(
                crib, practice, limits, cutting, gluing, clearances, bands, wire, other, longHoles, worth, rules);
    }

    /** The same shop whose long holes turn out otherwise. */
    public Shop with(LongHoles other) {
        return new Shop(
                crib, practice, limits, cutting, gluing, clearances, bands, wire, shielding, other, worth, rules);
    }

    /** The same shop with other limits. */
    public Shop with(Limits other) {
        return new Shop(
                crib, practice, other, cutting, gluing, clearances, bands, wire, shielding, longHoles, worth, rules);
    }

    /** The same shop that glues otherwise, or with other clamps. */
    public Shop with(Gluing other) {
        return new Shop(
                crib, practice, limits, cutting, other, clearances, bands, wire, shielding, longHoles, worth, rules);
    }

    /** The same shop that likes to do other things first. */
    public Shop with(HouseRules other) {
        return new Shop(
                crib, practice, limits, cutting, gluing, clearances, bands, wire, shielding, longHoles, worth, other);
    }

    /** The longer of what the shop waits and what its glue wants. */
    public Reckoning curing() {
        double habit = practice.glueHours();
        double glue = gluing.glue().waitHours();
        String wants = "hours that " + gluing.glue().words() + " wants";
        return Reckoning.of("wait before machining", Quantity.TIME)
                .term("hours by the shop's habit", Fact.usual(habit, "the shop's practice"), Quantity.NUMBER)
                .term(wants, Fact.rule(glue, "common practice"), Quantity.NUMBER)
                .is(Math.max(habit, glue) * 60, "60 × the larger of (hours by the shop's habit) and (" + wants + ")");
    }

    /**
     * How a blank so wide is brought to thickness here: as the shop likes to, or where its crib or hands do not give that, the first way
     * round that they do: sled, planer, drum sander, hand plane.
     */
    public Practice.Thicknessing thicknessing(double wide) {
        Practice.Thicknessing chosen = practice.thicknessing();
        return Stream.of(
                        chosen,
                        Practice.Thicknessing.ROUTER_SLED,
                        Practice.Thicknessing.PLANER,
                        Practice.Thicknessing.DRUM_SANDER,
                        Practice.Thicknessing.HAND_PLANE)
                .filter(way -> canThickness(way, wide))
                .findFirst()
                .orElse(chosen);
    }

    /** Whether a way to thickness a blank so wide can be gone here. */
    public boolean canThickness(Practice.Thicknessing way, double wide) {
        return switch (way) {
            case ROUTER_SLED -> crib.bits().stream().anyMatch(b -> b.profile() == Bit.Profile.SURFACING);
            case PLANER -> takes(Machine.Kind.PLANER, wide);
            case DRUM_SANDER -> takes(Machine.Kind.DRUM_SANDER, wide);
            case HAND_PLANE -> practice.skills().contains(Practice.Skill.PLANE);
        };
    }

    private boolean takes(Machine.Kind machine, double wide) {
        return crib.machine(machine).filter(m -> m.size() >= wide - NEARLY).isPresent();
    }

    private static Practice starterPractice() {
        return new Practice(
                Practice.Thicknessing.ROUTER_SLED,
                HoldDown.SCREWS_IN_WASTE,
                0.3,
                0.3,
                4.0,
                0.5,
                0.8,
                24,
                20,
                Practice.EdgeSchool.HAND,
                Practice.Hand.USUAL,
                EnumSet.allOf(Practice.Skill.class),
                EnumSet.allOf(Habit.class),
                Practice.Waste.DRILL,
                Practice.Shaping.ROUND_OVER_FIRST,
                0.5);
    }

    private static Crib starterCrib() {
        return new Crib(
                List.of(Router.usual("trimmer", 90, 30), Router.usual("plunge router", 152.4, 60)),
                List.of(
                        Bit.usual("short pattern bit 1/2", Bit.Bearing.AT_SHANK, INCH / 2, INCH / 2, INCH / 4),
                        Bit.usual("pattern bit 1/2", Bit.Bearing.AT_SHANK, INCH / 2, INCH, INCH / 2),
                        Bit.usual("pattern bit 3/8", Bit.Bearing.AT_SHANK, INCH * 3 / 8, INCH, INCH / 4),
                        Bit.usual("long pattern bit 3/8", Bit.Bearing.AT_SHANK, INCH * 3 / 8, INCH * 5 / 4, INCH / 4),
                        Bit.usual("pattern bit 1/4", Bit.Bearing.AT_SHANK, INCH / 4, INCH * 5 / 8, INCH / 4),
                        Bit.usual("flush bit 1/2", Bit.Bearing.AT_TIP, INCH / 2, INCH * 3 / 2, INCH / 2),
                        Bit.usual("surfacing bit 1", Bit.Bearing.NONE, INCH, INCH / 4, INCH / 2),
                        Bit.usual("slot bit 3/32", Bit.Bearing.NONE, INCH * 3 / 32, 8, INCH / 4)),
                List.of(
                        Drill.usual("Forstner 1 1/4", Drill.Kind.FORSTNER, INCH * 5 / 4, 2.5),
                        Drill.usual("Forstner 1", Drill.Kind.FORSTNER, INCH, 2.5),
                        Drill.usual("Forstner 7/8", Drill.Kind.FORSTNER, INCH * 7 / 8, 2.5),
                        Drill.usual("Forstner 5/8", Drill.Kind.FORSTNER, INCH * 5 / 8, 2),
                        Drill.usual("Forstner 3/8", Drill.Kind.FORSTNER, INCH * 3 / 8, 1.5),
                        Drill.usual("brad point 10", Drill.Kind.BRAD_POINT, 10, 2),
                        Drill.usual("brad point 11", Drill.Kind.BRAD_POINT, 11, 2),
                        Drill.usual("brad point 8", Drill.Kind.BRAD_POINT, 8, 2),
                        Drill.usual("brad point 3/16", Drill.Kind.BRAD_POINT, INCH * 3 / 16, 1.5),
                        Drill.usual("brad point 5/16", Drill.Kind.BRAD_POINT, INCH * 5 / 16, 2),
                        Drill.usual("twist 1/8", Drill.Kind.TWIST, INCH / 8, 1),
                        Drill.usual("twist 3/32", Drill.Kind.TWIST, INCH * 3 / 32, 0.8),
                        Drill.usual("twist 5/64", Drill.Kind.TWIST, INCH * 5 / 64, 0.7),
                        Drill.usual("twist 1/16", Drill.Kind.TWIST, INCH / 16, 0.6),
                        new Drill("long 5/16", Drill.Kind.LONG, INCH * 5 / 16, 2, 400),
                        new Drill("long 1/8", Drill.Kind.LONG, INCH / 8, 1, 250)),
                List.of(INCH / 4, INCH / 2),
                List.of(INCH / 4, INCH / 2),
                List.of(
                        Saw.usual("band saw, 1/4 blade", Saw.Kind.BAND, INCH / 4),
                        Saw.usual("jigsaw", Saw.Kind.JIG, 7)),
                List.of(
                        new Drum("drum 1/2", INCH / 2, 50),
                        new Drum("drum 1", INCH, 50),
                        new Drum("drum 2", INCH * 2, 50),
                        new Drum("drum 3", INCH * 3, 76)),
                List.of(
                        new Aid("offset base", Aid.Kind.OFFSET_BASE, 150),
                        new Aid("support block", Aid.Kind.SUPPORT_BLOCK, 60),
                        new Aid("edge guide", Aid.Kind.EDGE_GUIDE, 150)),
                List.of(
                        new Machine("jointer", Machine.Kind.JOINTER, 150),
                        new Machine("drill press", Machine.Kind.DRILL_PRESS, 165)),
                List.of(INCH / 2, INCH * 3 / 8));
    }
}
