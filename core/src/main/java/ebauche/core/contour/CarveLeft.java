package ebauche.core.contour;

import ebauche.core.design.Contour;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.job.Build;
import ebauche.core.job.CarveReadings.Read;
import ebauche.core.operation.LedgerRow;
import java.util.List;
import java.util.Optional;

/**
 * What the readings at a contour's stations leave of its work.
 *
 * @param reads of it, in the order of reading
 */
public record CarveLeft(Contour.Laid laid, List<Read> reads) {
    /** What a scraper takes without anybody planning it, mm: common practice. */
    public static final double SCRAPED = 0.3;

    /** So many places tell how far the whole is. */
    private static final int ENOUGH = 4;

    /** Fairing and looking stay, however little wood is left. */
    private static final double LEAST_SHARE = 0.15;

    public static CarveLeft of(Build build, Contour.Laid laid) {
        return new CarveLeft(
                laid,
                build.carveReadings().stream()
                        .filter(r -> r.feature().equals(laid.feature()))
                        .toList());
    }

    /** The reading at a station; empty where nobody read it. */
    public Optional<Read> at(CarveStation station) {
        return reads.stream().filter(r -> r.at().equals(station.at())).findFirst();
    }

    /** How much of its wood is still to come off, by the places that were read; 1 where too few were. */
    public double share() {
        if (reads.size() < ENOUGH) {
            return 1;
        }
        double drawn =
                reads.stream().mapToDouble(r -> laid.under(0).fall(r.at())).sum();
        double left =
                reads.stream().mapToDouble(r -> Math.max(0, r.over().value())).sum();
        return Math.max(LEAST_SHARE, Math.min(1, left / drawn));
    }

    /** A line of the ledger for every place that was read: what is still to come off, or what is gone. */
    List<LedgerRow> rows(List<CarveStation> stations) {
        return reads.stream()
                .map(r -> {
                    int number =
                            stations.stream().map(CarveStation::at).toList().indexOf(r.at()) + 1;
                    String name = number > 0 ? "Station " + number : "Read at a place of its own";
                    double over = r.over().value();
                    String does = over > SCRAPED
                            ? name + ": this much is still to come off"
                            : over < -SCRAPED
                                    ? name + ": under its surface; take no more here, fair the rest into it"
                                    : name + ": at its surface";
                    return LedgerRow.of(does, r.over());
                })
                .toList();
    }

    /** Places that were read so far off once the contour was called done. */
    static List<Read> off(Build build, Contour.Laid laid) {
        boolean done = build.isDone(StepKey.of(laid.feature(), StepKind.CARVE));
        return of(build, laid).reads().stream()
                .filter(r -> r.deeper() > 0 || (done && r.isProud()))
                .toList();
    }
}
