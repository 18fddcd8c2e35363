package ebauche.app.timber;

import ebauche.app.account.Maker;
import ebauche.core.timber.Climate;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.rack.RackCsv;
import ebauche.exchange.table.TimberFile;
import java.time.LocalDate;
import org.springframework.stereotype.Component;

/** The demo shop's boards: the table that stands in docs/format/examples, and a reading of its air. */
@Component
public class DemoRack {
    private final Rack rack;
    private final ClimateStore climates;

    DemoRack(Rack rack, ClimateStore climates) {
        this.rack = rack;
        this.climates = climates;
    }

    /** Fills a shop's empty rack; to be called in a transaction. */
    public void load(Maker maker) {
        // The table is ours: a machine whose clock is behind takes it all the same.
        RackCsv.read(DemoBodies.rack(), TimberFile.SHIPPED, LocalDate.MAX)
                .good()
                .forEach(row -> rack.take(maker, row));
        climates.add(maker.shop(), new Climate(19.5, 0.48), ClimateStore.Source.HYGROMETER, maker.name());
    }
}
