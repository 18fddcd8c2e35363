package ebauche.app.shopfloor;

import ebauche.app.EbaucheProperties;
import ebauche.app.account.Maker;
import ebauche.app.account.MakerStore;
import ebauche.app.blank.DemoBlank;
import ebauche.app.body.Body;
import ebauche.app.body.BodyStore;
import ebauche.app.calendar.DemoCalendar;
import ebauche.app.timber.DemoRack;
import ebauche.app.ways.WaysStore;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.DemoBodies;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Loads the demo shop once, before the first page is answered, whole or not at all; what is there is never overwritten. */
@Component
class DemoShop implements SmartInitializingSingleton {
    private final EbaucheProperties properties;
    private final MakerStore makers;
    private final BodyStore bodies;
    private final DemoRack rack;
    private final DemoBlank blank;
    private final DemoCalendar calendar;
    private final WaysStore ways;
    private final PasswordEncoder passwords;
    private final TransactionTemplate transaction;

    DemoShop(
            EbaucheProperties properties,
            MakerStore makers,
            BodyStore bodies,
            DemoRack rack,
            DemoBlank blank,
            DemoCalendar calendar,
            WaysStore ways,
            PasswordEncoder passwords,
            TransactionTemplate transaction) {
        this.properties = properties;
        this.makers = makers;
        this.bodies = bodies;
        this.rack = rack;
        this.blank = blank;
        this.calendar = calendar;
        this.ways = ways;
        this.passwords = passwords;
        this.transaction = transaction;
    }

    @Override
    public void afterSingletonsInstantiated() {
        if (properties.demo() && makers.find(Maker.DEMO).isEmpty()) {
            transaction.executeWithoutResult(t -> load());
        }
    }

    private void load() {
        Maker demo = makers.open("Low Barn Bodies", Maker.DEMO, passwords.encode(Maker.DEMO), LengthUnit.MILLIMETRE)
                .orElseThrow();
        ways.keep(demo.shop(), 0, DemoBodies.shop(), demo.name());
        Map<String, Body> there = new LinkedHashMap<>();
        for (String name : DemoBodies.NAMES) {
            BuildFile file = DemoBodies.read(name);
            there.put(
                    name,
                    bodies.add(demo.shop(), file.withoutRecord(), file.build().asBuilt(), demo.name()));
        }
        rack.load(demo);
        blank.lay(demo, there.get("shale"));
        calendar.load(demo, there);
    }
}
