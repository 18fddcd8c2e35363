package ebauche.app;

import java.util.List;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * What the start command decides.
 *
 * @param demo whether the demo shop is loaded and its account may sign in
 * @param hosts further names by which it is called, such as a proxy's
 */
@ConfigurationProperties("ebauche")
public record EbaucheProperties(boolean demo, @DefaultValue List<String> hosts) {}
