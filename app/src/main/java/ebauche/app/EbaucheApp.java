package ebauche.app;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;

/** The web application. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class EbaucheApp {
    public static void main(String[] args) {
        SpringApplication.run(EbaucheApp.class, args);
    }
}
