package ebauche.app;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * What the start command decides.
 *
 * @param demo whether the demo shop is loaded and its account may sign in
 */
@ConfigurationProperties("ebauche")
public record EbaucheProperties(boolean demo) {}
