package ebauche.app;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;

/** The web application. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class EbaucheApp {
    /** The one clock that everything asks. */
    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    public static void main(String[] args) {
        SpringApplication.run(EbaucheApp.class, args);
    }
}
