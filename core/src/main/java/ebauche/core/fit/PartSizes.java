package ebauche.core.fit;

import static ebauche.core.hardware.PartSize.*;

import ebauche.core.design.Measurand;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.feature.Feature;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartSize;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Refusal;
import java.util.EnumMap;
import java.util.Map;
import java.util.function.Function;

/**
 * Sizes as they are known: the latest standing reading, else what the design says or the part is sold as. Millimetres.
 *
 * @param record what was measured
 */
record PartSizes(AsBuilt record) {
    /** A size of the neck or the body as it is known: the latest standing reading, else what the design says. */
    Fact fact(Dimension dimension, double designed) {
        return record.latest(dimension)
                .map(r -> Fact.measured(r.value(), "read " + r.at() + (r.by().isEmpty() ? "" : " by " + r.by())))
                .orElseGet(() -> Fact.typed(designed));
    }

    /** A size of a part as it is known: the latest standing reading, else what it is sold as. */
    Fact size(Feature feature, Part part, PartSize size) {
        return record.latest(new Measurand.SizeOf(feature, size))
                .map(r -> Fact.measured(
                        r.value(), "the part in hand, read " + r.at() + (r.by().isEmpty() ? "" : " by " + r.by())))
                .orElseGet(() -> Fact.nominal(part.get(size), part.name()));
    }

    double value(Feature feature, Part part, PartSize size) {
        return size(feature, part, size).value();
    }

    /** A part as it is known: measured sizes in the place of nominal ones. */
    Part known(Feature feature, Part part) {
        return fitted(feature, part, known -> known);
    }

    /**
     * What takes a part, made for the part as it is known.
     *
     * @throws Refusal of the value that was read, if there is no such part or it does not go there
     */
    <T> T fitted(Feature feature, Part part, Function<Part, T> takes) {
        Map<PartSize, Double> read = new EnumMap<>(PartSize.class);
        for (PartSize size : part.sizes().keySet()) {
            record.latest(new Measurand.SizeOf(feature, size)).ifPresent(r -> read.put(size, r.value()));
        }
        try {
            return takes.apply(part.with(read));
        } catch (Refusal impossible) {
            throw new Refusal(
                    "value",
                    "with what is read of the " + feature.part() + " it cannot be: " + impossible.getMessage());
        }
    }

    /** A sum of lengths. */
    static Reckoning.Builder sum(String what) {
        return Reckoning.of(what, Quantity.LENGTH);
    }

    /** A clearance of the shop's. */
    static Fact shops(double clearance) {
        return Fact.usual(clearance, "the room that the shop leaves");
    }
}
