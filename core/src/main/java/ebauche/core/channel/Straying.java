package ebauche.core.channel;

import ebauche.core.design.Measurand;
import ebauche.core.design.Measurand.BoreRead;
import ebauche.core.feature.Feature;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Channel.Held;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.logbook.Astray;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.shop.LongHoles;
import ebauche.core.shop.Practice;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How far long holes go off the angle they are begun at. What is usual for a way of holding the drill is believed as if it had been found
 * on so many holes; every hole of the shop that was read since counts for one: the mean of their squares, the shop's own and the usual
 * together (the estimate of a variance about a known mean with a conjugate prior).
 */
public final class Straying {
    private static final String USUAL = "usual spread, degrees";
    private static final String COUNTS = "counts for so many holes";
    private static final String HOLES = "own holes that were read";
    private static final String OWN = "their own spread, degrees";

    private Straying() {}

    /** How a drill is really held: as it is said, else as the shop's hands do it. */
    static Held held(Build build, Held said) {
        if (said != Held.AS_USUAL) {
            return said;
        }
        boolean skilled = build.shop().practice().skills().contains(Practice.Skill.DRILL);
        return skilled ? Held.SQUARE : Held.FREE_HAND;
    }

    /** What a reading of a channel says of the hand that drilled it; nothing where it is none of height. */
    public static Optional<Astray> told(Build build, Measurand measures, double value) {
        if (!(measures instanceof BoreRead read)) {
            return Optional.empty();
        }
        return build.drawn().channels().stream()
                .filter(c -> c.feature().equals(read.channel()))
                .findFirst()
                .flatMap(c -> degrees(build, c, read.sight(), value)
                        .map(degrees -> new Astray(held(build, c.held()), degrees)));
    }

    private static Optional<Double> degrees(Build build, Channel drawn, BoreRead.Sight sight, double value) {
        return switch (sight) {
            case SLOPE -> Optional.of(value - drawn.pitch());
            case LOWER -> {
                double across = build.spaces().passage(drawn).wood() * drawn.across() / drawn.length();
                double slope = Math.toDegrees(Math.atan(Math.tan(Math.toRadians(drawn.pitch())) + value / across));
                yield across > 0 ? Optional.of(slope - drawn.pitch()) : Optional.empty();
            }
            case ASIDE, DEEP -> Optional.empty();
        };
    }

    /** Of the angle that a long hole is begun at, held like this: the shop's own record and what is usual together. */
    static Reckoning spread(Build build, Held held) {
        LongHoles shop = build.shop().longHoles();
        double usual = shop.usual(held);
        List<Double> own = own(build, held);
        int before = shop.own(held).map(LongHoles.Own::holes).orElse(0);
        double squares =
                shop.own(held).map(o -> o.holes() * o.spread() * o.spread()).orElse(0.0)
                        + own.stream().mapToDouble(d -> d * d).sum();
        int holes = before + own.size();
        Reckoning.Builder sum = Reckoning.of("spread of the angle it is begun at, degrees", Quantity.ANGLE)
                .term(USUAL, Fact.usual(usual, held.words() + ", the shop's settings"), Quantity.ANGLE);
        if (holes == 0) {
            return sum.is(usual, USUAL);
        }
        double ownSpread = Math.sqrt(squares / holes);
        return sum.term(COUNTS, Fact.usual(shop.counts(), "the shop's settings"), Quantity.NUMBER)
                .term(HOLES, Fact.measured(holes, "the shop's log, " + held.words()), Quantity.NUMBER)
                .term(OWN, Fact.measured(ownSpread, "the shop's log, " + held.words()), Quantity.ANGLE)
                .is(
                        Math.sqrt((shop.counts() * usual * usual + squares) / (shop.counts() + holes)),
                        "√((" + COUNTS + " × " + USUAL + "² + " + HOLES + " × " + OWN + "²) / (" + COUNTS + " + "
                                + HOLES + "))");
    }

    /** What this body's own holes were off by, a hole once: the last reading of it counts. */
    private static List<Double> own(Build build, Held held) {
        Map<Feature, Astray> last = new LinkedHashMap<>();
        for (AsBuilt.Entry entry : build.asBuilt().standing()) {
            if (entry instanceof AsBuilt.Reading r && r.measures() instanceof BoreRead read) {
                r.astray().ifPresent(a -> last.put(read.channel(), a));
            }
        }
        return last.values().stream()
                .filter(a -> a.held() == held)
                .map(Astray::degrees)
                .toList();
    }

    /** Holes as they were read, of several bodies: how many of each way of holding the drill, and how far they went off. */
    public static List<LongHoles.Own> gathered(List<Astray> holes) {
        Map<Held, List<Double>> byWay = new HashMap<>();
        holes.forEach(
                h -> byWay.computeIfAbsent(h.held(), k -> new ArrayList<>()).add(h.degrees()));
        return byWay.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(e -> new LongHoles.Own(
                        e.getKey(),
                        e.getValue().size(),
                        Math.sqrt(e.getValue().stream()
                                .mapToDouble(d -> d * d)
                                .average()
                                .orElse(0))))
                .toList();
    }
}
