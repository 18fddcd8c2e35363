package ebauche.core.hardware;

import static ebauche.core.hardware.PartSize.*;

import ebauche.core.measure.Refusal;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * A bought part as its maker's sheet or the trade has it: every size nominal, until somebody measures the part in hand.
 *
 * @param name what the shop calls it
 * @param sizes mm
 */
public record Part(PartKind kind, String name, Map<PartSize, Double> sizes) {
    private static final List<PartSize> LEGS = List.of(LEGS_ACROSS, LEGS_ALONG, LEGS_BELOW);
    private static final List<PartSize> RING = List.of(RING_ACROSS, RING_ALONG);
    private static final List<PartSize> STUDS = List.of(STUD_SPACING, STUD_DIAMETER, STUD_DEPTH);

    public Part {
        Refusal.unless(!name.isBlank() && name.length() <= 80, "name", "needs a name of up to 80 letters");
        for (Map.Entry<PartSize, Double> size : sizes.entrySet()) {
            Refusal.unless(
                    kind.sizes().contains(size.getKey()),
                    size.getKey().key(),
                    "a " + kind.word() + " has no such size");
            Refusal.between(
                    size.getValue(),
                    size.getKey().least(),
                    size.getKey().most(),
                    size.getKey().key());
        }
        for (PartSize needed : kind.needed()) {
            Refusal.unless(
                    sizes.containsKey(needed),
                    needed.key(),
                    "is missing: a " + kind.word() + " needs its “" + needed.words() + "”");
        }
        together(sizes, LEGS);
        together(sizes, RING);
        together(sizes, STUDS);
        above(sizes, HIGHEST_SADDLE, LOWEST_SADDLE, "the highest saddle must stand over the lowest");
        above(sizes, THICKEST_TOP, THINNEST_TOP, "the most top it passes must be more than the least it wants");
        above(sizes, THREAD, NUT, "nut and washers take the whole thread: none is left for the wood");
        above(sizes, LENGTH, HEAD_SUNK, "the screw's head would lie under the ferrule, not in it");
        above(sizes, LEGS_ACROSS, ACROSS, "the legs stand out beyond the pickup's ends");
        sizes = Collections.unmodifiableMap(new EnumMap<>(withKind(sizes)));
    }

    /** An enum map of nothing cannot tell its kind of key. */
    private static EnumMap<PartSize, Double> withKind(Map<PartSize, Double> sizes) {
        EnumMap<PartSize, Double> all = new EnumMap<>(PartSize.class);
        all.putAll(sizes);
        return all;
    }

    private static void together(Map<PartSize, Double> sizes, List<PartSize> group) {
        boolean some = group.stream().anyMatch(sizes::containsKey);
        for (PartSize size : group) {
            Refusal.unless(
                    !some || sizes.containsKey(size),
                    size.key(),
                    "is missing: “" + size.words() + "” goes with " + words(group, size));
        }
    }

    private static String words(List<PartSize> group, PartSize but) {
        return group.stream()
                .filter(s -> s != but)
                .map(s -> "“" + s.words() + "”")
                .reduce((a, b) -> a + " and " + b)
                .orElseThrow();
    }

    private static void above(Map<PartSize, Double> sizes, PartSize more, PartSize less, String why) {
        Refusal.unless(
                !sizes.containsKey(more) || !sizes.containsKey(less) || sizes.get(more) > sizes.get(less),
                more.key(),
                why);
    }

    /** A size, nominal, that a part of its kind always has. */
    public double get(PartSize size) {
        return size(size).orElseThrow(() -> new IllegalArgumentException(kind + " has no " + size));
    }

    /** A size, nominal, if the part has it. */
    public OptionalDouble size(PartSize size) {
        Double value = sizes.get(size);
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    public boolean has(PartSize size) {
        return sizes.containsKey(size);
    }

    /** The same part with other sizes: as it is once somebody measured it. */
    public Part with(Map<PartSize, Double> measured) {
        EnumMap<PartSize, Double> other = new EnumMap<>(sizes);
        other.putAll(measured);
        return new Part(kind, name, other);
    }
}
