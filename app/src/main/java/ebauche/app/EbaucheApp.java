package ebauche.app;

import ebauche.core.memo.Memo;
import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;

/** The web application. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class EbaucheApp {
    /** Of the memory, areas and wood may take one part in so many; plans, pages and what is reckoned just now need the rest. */
    private static final int SHARE = 3;

    /** The one clock that everything asks. */
    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    /** What was reckoned before, for all that this server does. */
    @Bean
    Memo memo() {
        return Memo.of(Runtime.getRuntime().maxMemory() / SHARE);
    }

    public static void main(String[] args) {
        SpringApplication.run(EbaucheApp.class, args);
    }
}
