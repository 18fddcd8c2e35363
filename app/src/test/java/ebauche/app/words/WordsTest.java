package ebauche.app.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.Format;
import java.text.MessageFormat;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.context.i18n.LocaleContextHolder;

/** Every text of the pages lies in {@code messages.properties}; each there is asked for, with the arguments that it puts in. */
class WordsTest {
    private static final Path MAIN = Path.of("src", "main");
    private static final Path TEXTS = MAIN.resolve(Path.of("resources", "messages.properties"));

    private static final Pattern TOKEN =
            Pattern.compile("<!--.*?-->|<[^>\"']*(?:\"[^\"]*\"[^>\"']*|'[^']*'[^>\"']*)*>|[^<]+", Pattern.DOTALL);
    private static final Pattern SILENT = Pattern.compile("<(script|style|kbd)\\b.*");
    private static final Pattern LETTERS = Pattern.compile(".*\\p{L}.*", Pattern.DOTALL);

    /** Units are written alike everywhere. */
    private static final Set<String> UNITS = Set.of("mm", "mm/in");

    private static final Pattern PLAIN =
            Pattern.compile("\\s(?:aria-label|title|placeholder|alt)=\"[^\"]*\\p{L}[^\"]*\"");
    private static final Pattern SAID =
            Pattern.compile("\\s(?:th|fig):(?:text|aria-label|title|placeholder|attr)=\"([^\"]*)\"");
    private static final Pattern LITERAL = Pattern.compile("'([^']*)'");
    private static final Pattern SENTENCE = Pattern.compile(".*(\\p{L}{2,} | \\p{L}{2,}).*");

    private static final Pattern ASKED = Pattern.compile("#\\{([\\w./-]+)([({]?)|Words\\.say\\(\\s*\"([\\w./-]+)\"");
    private static final Pattern NAMED = Pattern.compile("\"([a-z-]+\\.[\\w./-]+)\"");

    /** Keys that are put together where they are asked for. */
    private static final List<String> PUT_TOGETHER = List.of(
            "price-line.",
            "view.",
            "view-group.",
            "entry.",
            "drawn-unit.",
            "plain-outline.",
            "already.",
            "floor.standing.",
            "calendar.stage.",
            "tool-kind.",
            "board.fault-",
            "wires-drawing.end-",
            "wires-section.depth-of-");

    @AfterEach
    void forget() {
        LocaleContextHolder.resetLocaleContext();
    }

    private static Map<Path, String> files(String folder, String ending) {
        Map<Path, String> read = new HashMap<>();
        try (Stream<Path> all = Files.walk(MAIN.resolve(folder))) {
            for (Path file : all.filter(f -> f.toString().endsWith(ending)).toList()) {
                read.put(file, Files.readString(file));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return read;
    }

    private static Map<String, String> texts() throws IOException {
        Properties read = new Properties();
        try (Reader from = Files.newBufferedReader(TEXTS)) {
            read.load(from);
        }
        Map<String, String> texts = new HashMap<>();
        read.forEach((key, text) -> texts.put(key.toString(), text.toString()));
        return texts;
    }

    @Test
    void no_template_says_anything_of_its_own() {
        List<String> own = new ArrayList<>();
        Map<Path, String> templates = files("resources/templates", ".html");
        assertThat(templates).hasSizeGreaterThan(40);
        templates.forEach((file, html) -> saysOf(html).forEach(s -> own.add(file.getFileName() + ": " + s)));
        assertThat(own).isEmpty();
    }

    private static List<String> saysOf(String html) {
        List<String> says = new ArrayList<>();
        String last = "";
        for (Matcher token = TOKEN.matcher(html); token.find(); ) {
            String text = token.group();
            if (text.startsWith("<")) {
                last = text;
                PLAIN.matcher(text).results().forEach(m -> says.add(m.group()));
                SAID.matcher(text)
                        .results()
                        .forEach(m -> LITERAL.matcher(m.group(1))
                                .results()
                                .filter(l -> SENTENCE.matcher(l.group(1)).matches())
                                .forEach(l -> says.add(l.group())));
            } else {
                String plain = text.replaceAll("(?s)\\[\\[.*?]]", "").strip();
                boolean silent = SILENT.matcher(last).matches() || UNITS.contains(plain);
                if (!silent && LETTERS.matcher(plain).matches()) {
                    says.add(plain);
                }
            }
        }
        return says;
    }

    /** The search above does find what it looks for. */
    @Test
    void a_template_that_speaks_is_found() {
        assertThat(saysOf("<p>Cut it</p>")).containsExactly("Cut it");
        assertThat(saysOf("<p>[[#{a.b}]] mm <kbd>p</kbd></p>")).isEmpty();
        assertThat(saysOf("<p>mm</p><p title=\"Cut it\"></p>")).hasSize(1);
        assertThat(saysOf("<p th:text=\"${n} + ' bites taken'\"></p>")).containsExactly("' bites taken'");
        assertThat(saysOf("<p th:text=\"${a.name() == 'ROUTED'} ? #{a.b} : '', ', '\">"))
                .isEmpty();
    }

    @Test
    void every_text_is_asked_for_and_every_one_asked_for_is_there() throws IOException {
        Set<String> asked = new HashSet<>();
        Set<String> named = new HashSet<>();
        files("resources/templates", ".html")
                .values()
                .forEach(s -> ASKED.matcher(s).results().forEach(m -> asked.add(m.group(1))));
        for (String java : files("java", ".java").values()) {
            ASKED.matcher(java).results().filter(m -> m.group(3) != null).forEach(m -> asked.add(m.group(3)));
            NAMED.matcher(java).results().forEach(m -> named.add(m.group(1)));
        }
        asked.removeIf(PUT_TOGETHER::contains);
        Map<String, String> texts = texts();
        assertThat(texts.keySet()).containsAll(asked);
        assertThat(texts.keySet().stream()
                        .filter(k -> !asked.contains(k) && !named.contains(k))
                        .filter(k -> PUT_TOGETHER.stream().noneMatch(k::startsWith)))
                .isEmpty();
    }

    /** Each is a message format, and is given as many arguments as it puts in. */
    @Test
    void every_text_puts_in_what_it_is_given() throws IOException {
        Map<String, String> texts = texts();
        List<String> sources =
                new ArrayList<>(files("resources/templates", ".html").values());
        sources.addAll(files("java", ".java").values());
        int checked = 0;
        for (String source : sources) {
            for (Matcher m = ASKED.matcher(source); m.find(); ) {
                String key = m.group(1) == null ? m.group(3) : m.group(1);
                if (!texts.containsKey(key)) {
                    continue;
                }
                boolean template = m.group(1) != null;
                int given =
                        template ? "(".equals(m.group(2)) ? 1 + commas(source, m.end()) : 0 : commas(source, m.end());
                Format[] wants = new MessageFormat(texts.get(key), Locale.ENGLISH).getFormatsByArgumentIndex();
                assertThat(wants).as(key).hasSize(given);
                checked++;
            }
        }
        assertThat(checked).isGreaterThan(1200);
    }

    /** Commas between the arguments of a call, from inside its brackets to their end. */
    private static int commas(String source, int from) {
        int depth = 0;
        int commas = 0;
        char quoted = 0;
        for (int i = from; depth >= 0; i++) {
            char c = source.charAt(i);
            if (quoted != 0) {
                quoted = c == quoted ? 0 : quoted;
            } else if (c == '"' || c == '\'') {
                quoted = c;
            } else if ("([{".indexOf(c) >= 0) {
                depth++;
            } else if (")]}".indexOf(c) >= 0) {
                depth--;
            } else if (c == ',' && depth == 0) {
                commas++;
            }
        }
        return commas;
    }

    /** A file of a few texts is enough for a language; what it lacks is said in English, dates and counts in its own way. */
    @Test
    void another_language_is_another_file() {
        LocaleContextHolder.setLocale(Locale.forLanguageTag("eo"));
        assertThat(Words.say("rule-drawing.step", "Borado", "20 min")).isEqualTo("Borado: 20 min");
        assertThat(Words.say("feed.bite", 1)).isEqualTo("1 mordo");
        assertThat(Words.say("feed.bite", 12_000)).isEqualTo("12000 mordoj");
        assertThat(Words.say("feed.relief-cut")).isEqualTo("relief cut");
        assertThat(Words.language()).isEqualTo(Locale.forLanguageTag("eo"));
        LocaleContextHolder.setLocale(Locale.GERMAN);
        assertThat(Words.say("feed.bite", 2)).isEqualTo("2 bites");
        assertThat(Words.language()).isEqualTo(Locale.ENGLISH);
    }
}
