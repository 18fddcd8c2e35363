package ebauche.app.words;

import java.text.FieldPosition;
import java.text.Format;
import java.text.MessageFormat;
import java.text.ParsePosition;
import java.util.Locale;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.context.support.ResourceBundleMessageSource;
import org.springframework.stereotype.Component;

/**
 * What the pages say, from {@code messages.properties}; another language is another such file, {@code messages_de.properties}. What
 * core finds, cautions and calls things stands beside each rule in core.
 *
 * <p>Every text is a {@link MessageFormat}: an apostrophe is doubled, {@code {0}} is put in as it stands.
 */
@Component("messageSource")
public class Words extends ResourceBundleMessageSource {
    private static final Words SHIPPED = new Words();

    public Words() {
        setBasename("messages");
        setDefaultEncoding("UTF-8");
        setFallbackToSystemLocale(false);
        setAlwaysUseMessageFormat(true);
    }

    /** A text in the language of whoever asks; a drawing's, a refusal's. */
    public static String say(String key, Object... args) {
        return SHIPPED.getMessage(key, args, LocaleContextHolder.getLocale());
    }

    /** The language of the texts that {@link #say} gives. */
    public static Locale language() {
        return Locale.forLanguageTag(say("layout.language"));
    }

    /** Numbers come as they are to be read, so none is grouped or rounded here. */
    @Override
    protected MessageFormat createMessageFormat(String text, Locale locale) {
        MessageFormat message = super.createMessageFormat(text, locale);
        Format[] formats = message.getFormats();
        for (int i = 0; i < formats.length; i++) {
            if (formats[i] == null) {
                message.setFormat(i, AsItStands.ONLY);
            }
        }
        return message;
    }

    private static final class AsItStands extends Format {
        private static final long serialVersionUID = 1;
        private static final AsItStands ONLY = new AsItStands();

        @Override
        public StringBuffer format(Object value, StringBuffer to, FieldPosition at) {
            return to.append(value);
        }

        @Override
        public Object parseObject(String source, ParsePosition at) {
            throw new UnsupportedOperationException("texts are only written");
        }
    }
}
