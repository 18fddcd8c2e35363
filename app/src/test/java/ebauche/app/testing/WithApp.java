package ebauche.app.testing;

import ebauche.app.EbaucheApp;
import ebauche.app.account.Maker;
import ebauche.app.account.MakerStore;
import ebauche.app.body.Body;
import ebauche.app.body.BodyStore;
import ebauche.app.timber.DemoRack;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.DemoBodies;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Tag;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** The whole app on a free port, over a real MariaDB; one app serves all tests, each test opens a shop of its own. */
@SpringBootTest(
        classes = EbaucheApp.class,
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = "ebauche.demo=true")
@Tag("slow")
public abstract class WithApp {
    protected static final PrivateDatabase DATABASE = new PrivateDatabase();
    public static final String PASSWORD = "a long enough word";
    private static final AtomicInteger SHOPS = new AtomicInteger();

    /** Made to be told soon: hundreds of shops are opened. */
    private static final String HASH = new BCryptPasswordEncoder(4).encode(PASSWORD);

    private static final Map<String, BuildFile> DEMO = new LinkedHashMap<>();

    static {
        DemoBodies.NAMES.forEach(name -> DEMO.put(name, DemoBodies.read(name)));
    }

    @LocalServerPort
    protected int port;

    @Autowired
    protected MakerStore makers;

    @Autowired
    protected BodyStore bodies;

    @Autowired
    private DemoRack rack;

    @DynamicPropertySource
    static void database(DynamicPropertyRegistry properties) {
        DATABASE.connection().forEach((name, value) -> properties.add(name, () -> value));
    }

    protected String address() {
        return "http://127.0.0.1:" + port;
    }

    /** A shop with its maker, the demo's rack and its bodies, by name. */
    public record Shop(Maker maker, Map<String, Body> bodies) {
        public String path(String body) {
            return "/bodies/" + bodies.get(body).publicId();
        }
    }

    protected Shop openShop(LengthUnit unit) {
        String name = "maker " + SHOPS.incrementAndGet() + " " + System.nanoTime();
        Maker maker = makers.open("Test shop", name, HASH, unit).orElseThrow();
        Map<String, Body> there = new LinkedHashMap<>();
        DEMO.forEach((body, file) -> there.put(
                body,
                bodies.add(maker.shop(), file.withoutRecord(), file.build().asBuilt(), name)));
        rack.load(maker);
        return new Shop(maker, there);
    }
}
