package ebauche.core.job;

import ebauche.core.design.Contour;
import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.stock.Carve;
import ebauche.core.stock.Course;
import ebauche.core.stock.Profile;
import ebauche.core.stock.Relief;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The body read with a calliper at places of what is carved: how far the wood stands over its surface there, or lies under it. A place goes by
 * the reading that is nearest to it. What lies deeper than is good is gone; what stands proud is still to come down.
 */
public final class CarveReadings {
    /** Where less is carved by the design a place is none of its contour any more, mm. */
    private static final double CARVED = 0.3;

    /** Decimal noise under which a reading lies at its band's end, mm. */
    private static final double NOISE = 1e-6;

    /** What lies deeper begins so far over the contour's line: a place on the edge lies on it, mm. */
    private static final double ROUND = 0.1;

    private CarveReadings() {}

    /**
     * One place.
     *
     * @param taken off its face there
     * @param over the contour's surface, wood that is still to come off; less than nought where it is gone
     * @param band how far off is still good, mm
     */
    public record Read(
            Contour.Laid laid, Point at, AsBuilt.Reading reading, Reckoning taken, Reckoning over, double band) {
        public Feature feature() {
            return laid.feature();
        }

        /** How much deeper than its surface it lies, mm; nought where it does not, or no more than is good. */
        public double deeper() {
            return -over.value() > band + NOISE ? -over.value() : 0;
        }

        /** Whether more stands over its surface than is good. */
        public boolean isProud() {
            return over.value() > band + NOISE;
        }
    }

    /**
     * A part of a contour that lies deeper than it is drawn.
     *
     * @param cell what lies nearer to its reading than to any other
     * @param plan of the contour, within the cell
     */
    public record Deeper(Read read, Region cell, Region plan) implements Relief {
        @Override
        public Feature feature() {
            return read.feature();
        }

        @Override
        public Face face() {
            return read.laid().face();
        }

        @Override
        public Course course() {
            return read.laid().course();
        }

        @Override
        public Profile profile() {
            return read.laid().profile();
        }

        @Override
        public Carve under(double flat) {
            return Relief.super.under(flat).lowered(face() == Face.FRONT ? read.deeper() : -read.deeper());
        }
    }

    /** Every place that was read last, of contours that the design still has there, in the order of reading. */
    static List<Read> of(List<Contour.Laid> contours, FinishedFaces faces, AsBuilt record, double band) {
        Map<Measurand, AsBuilt.Reading> latest = new LinkedHashMap<>();
        for (AsBuilt.Entry entry : record.standing()) {
            if (entry instanceof AsBuilt.Reading r && r.measures() instanceof Measurand.WoodAt) {
                latest.put(r.measures(), r);
            }
        }
        List<Read> all = new ArrayList<>();
        latest.forEach((measures, reading) -> {
            Measurand.WoodAt place = (Measurand.WoodAt) measures;
            contours.stream()
                    .filter(l -> l.feature().equals(place.contour()))
                    .filter(l -> l.under(0).fall(place.at()) > CARVED)
                    .findFirst()
                    .ifPresent(l -> all.add(read(l, place, reading, contours, faces, record, band)));
        });
        return List.copyOf(all);
    }

    /** Whether a contour was carved when a reading was taken, which so many entries came up to. */
    private static boolean isCarvedBefore(AsBuilt record, Contour.Laid contour, int entries) {
        return record.done(StepKey.of(contour.feature(), StepKind.CARVE))
                .filter(d -> record.standing().indexOf(d) < entries)
                .isPresent();
    }

    private static Read read(
            Contour.Laid laid,
            Measurand.WoodAt place,
            AsBuilt.Reading reading,
            List<Contour.Laid> contours,
            FinishedFaces faces,
            AsBuilt record,
            double band) {
        int after = record.standing().indexOf(reading) + 1;
        double since = record.sandedOff(Face.FRONT, after) + record.sandedOff(Face.BACK, after);
        double thick = faces.backNow() - faces.frontNow();
        double other = contours.stream()
                .filter(c -> c.face() != laid.face())
                .filter(c -> isCarvedBefore(record, c, after))
                .mapToDouble(c -> c.under(0).fall(place.at()))
                .max()
                .orElse(0);
        double drawn = laid.under(0).fall(place.at());
        String face = laid.face().word();
        double taken = thick - (reading.value() - since) - other;
        Reckoning off = Reckoning.of("taken off the " + face + " there", Quantity.LENGTH)
                .length("body now where it is flat", thick)
                .length("body read there", Fact.measured(reading.value(), "read " + reading.at()))
                .length("sanded off both faces since", since)
                .length("carved off the " + laid.face().other().word() + " there", other)
                .is(
                        taken,
                        "body now where it is flat − (body read there − sanded off both faces since) − carved off the "
                                + laid.face().other().word() + " there");
        Reckoning over = Reckoning.of("over its surface", Quantity.LENGTH)
                .length("drawn there", drawn)
                .length(off.what(), off.asFact())
                .is(drawn - taken, "drawn there − " + off.what());
        return new Read(laid, place.at(), reading, off, over, band);
    }

    /** Where contours lie deeper than they are drawn. */
    static List<Deeper> deeper(List<Read> reads) {
        return reads.stream()
                .filter(r -> r.deeper() > 0)
                .map(r -> {
                    Region around = r.laid().plan().grown(ROUND);
                    Region cell = around;
                    for (Read other : reads) {
                        if (other.feature().equals(r.feature()) && !other.at().equals(r.at())) {
                            Point middle = r.at().towards(other.at(), 0.5);
                            double dx = other.at().x() - r.at().x();
                            double dy = other.at().y() - r.at().y();
                            cell = cell.intersection(around.leftOf(middle, middle.plus(-dy, dx)));
                        }
                    }
                    return new Deeper(r, cell, cell.intersection(r.laid().plan()));
                })
                .toList();
    }
}
