package ebauche.exchange.drawn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Hostile and broken drawings: answered in words, within bounded time, by nothing but the reader's own refusal. */
@Tag("slow")
class DrawnFileFuzzTest {
    private static final String SVG = "<svg xmlns='http://www.w3.org/2000/svg' width='10mm' viewBox='0 0 10 10'>";

    private static byte[] file(String name) throws IOException {
        try (InputStream in = DrawnFileFuzzTest.class.getResourceAsStream("/drawn/" + name)) {
            return in.readAllBytes();
        }
    }

    /** Bytes changed, doubled, cut out; numbers replaced by others; whole stretches moved: 1500 of each kind of file. */
    @ParameterizedTest
    @CsvSource({"maker.svg, 1", "maker.dxf, 2"})
    void broken_files_are_read_or_refused_and_nothing_else(String name, long seed) throws IOException {
        byte[] sound = file(name);
        Random random = new Random(seed);
        int refused = 0;
        for (int i = 0; i < 1500; i++) {
            byte[] broken = broken(sound, random);
            long before = System.nanoTime();
            try {
                assertThat(DrawnFile.read(broken).shapes()).isNotEmpty();
            } catch (DrawnFileException e) {
                refused++;
                assertThat(e.getMessage()).isNotBlank().doesNotContain("Exception");
            }
            assertThat(Duration.ofNanos(System.nanoTime() - before)).isLessThan(Duration.ofSeconds(5));
        }
        assertThat(refused).isBetween(50, 1499);
    }

    private static final String[] NASTY = {
        "NaN", "-Infinity", "1e400", "-1", "0", "99999999999", "1e-300", "", "&x;", "\u00e9", "<", "70", "1e6"
    };

    private static byte[] broken(byte[] sound, Random random) {
        String text = new String(sound, StandardCharsets.UTF_8);
        for (int k = 1 + random.nextInt(3); k > 0; k--) {
            int at = random.nextInt(text.length());
            int to = Math.min(text.length(), at + 1 + random.nextInt(12));
            switch (random.nextInt(5)) {
                case 0 -> text = text.substring(0, at) + text.substring(to);
                case 1 -> text = text.substring(0, at) + (char) (32 + random.nextInt(95)) + text.substring(at + 1);
                case 2 -> text = text.substring(0, at) + text.substring(at, to) + text.substring(at);
                case 3 -> text = text.substring(0, at) + NASTY[random.nextInt(NASTY.length)] + text.substring(to);
                default -> {
                    int from = random.nextInt(text.length());
                    String moved = text.substring(Math.min(from, at), Math.max(from, at));
                    text = moved + text;
                }
            }
            text = text.isEmpty() ? " " : text;
        }
        return text.getBytes(StandardCharsets.UTF_8);
    }

    static Stream<Arguments> hostile() {
        String bomb = "<!DOCTYPE svg [<!ENTITY a 'aaaaaaaaaa'><!ENTITY b '&a;&a;&a;&a;&a;&a;&a;&a;&a;&a;'>"
                + "<!ENTITY c '&b;&b;&b;&b;&b;&b;&b;&b;&b;&b;'>]>" + SVG + "<text>&c;</text></svg>";
        String outside = "<!DOCTYPE svg [<!ENTITY x SYSTEM 'file:///etc/hostname'>]>" + SVG + "<path d='&x;'/></svg>";
        return Stream.of(
                Arguments.of("a bomb of entities", bomb, "entities"),
                Arguments.of("an entity from outside", outside, "entities"),
                Arguments.of("deep groups", SVG + "<g>".repeat(50_000) + "</g>".repeat(50_000) + "</svg>", "nested"),
                Arguments.of("a reference to itself", SVG + "<g id='a'><use href='#a'/></g></svg>", "not followed"),
                Arguments.of("no number", SVG + "<circle cx='NaN' cy='1' r='2'/></svg>", "far outside"),
                Arguments.of("endless", SVG + "<circle cx='1e999' cy='1' r='2'/></svg>", "far outside"),
                Arguments.of("a path of letters", SVG + "<path d='M 0 0 K 5 5 z'/></svg>", "cannot be read"),
                Arguments.of("a path far away", SVG + "<path d='M0 0L1e9 0L0 5z'/></svg>", "far outside"),
                Arguments.of(
                        "a blow-up", SVG + "<path transform='scale(1e30)' d='M0 0L1 0L0 5z'/></svg>", "far outside"),
                Arguments.of("open", SVG + "<path d='M0 0L5 0L5 5'/></svg>", "open line"),
                Arguments.of("text only", SVG + "<text>body</text></svg>", "no closed shape"),
                Arguments.of("torn", SVG + "<path d='M0 0", "not well formed"),
                Arguments.of("another XML", "<html><body/></html>", "no SVG"),
                Arguments.of("binary", "binary dxf\r\n\0\0\1", "binary"),
                Arguments.of("prose", "Dear shop,\nhere is the outline.\n", "no SVG, and no DXF"),
                Arguments.of("an empty DXF", "0\nSECTION\n2\nENTITIES\n0\nENDSEC\n0\nEOF\n", "no closed shape"),
                Arguments.of("pairs without end", "0\nSECTION\n2\nENTITIES\n0\nLINE\n10\n", "a number is wanted"),
                Arguments.of(
                        "a DXF's NaN",
                        "0\nSECTION\n2\nENTITIES\n0\nCIRCLE\n10\nNaN\n20\n0\n40\n5\n0\nENDSEC\n",
                        "far outside"),
                Arguments.of(
                        "a word for a number",
                        "0\nSECTION\n2\nENTITIES\n0\nCIRCLE\n10\nwide\n20\n0\n40\n5\n0\nENDSEC\n",
                        "line 8: a number is wanted"),
                Arguments.of(
                        "no radius",
                        "0\nSECTION\n2\nENTITIES\n0\nCIRCLE\n10\n1\n20\n0\n40\n-5\n0\nENDSEC\n",
                        "draws nothing"),
                Arguments.of(
                        "a block that holds itself",
                        "0\nSECTION\n2\nBLOCKS\n0\nBLOCK\n2\nA\n0\nINSERT\n2\nA\n0\nENDBLK\n0\nENDSEC\n0\nSECTION\n2\n"
                                + "ENTITIES\n0\nINSERT\n2\nA\n0\nENDSEC\n0\nEOF\n",
                        "blocks are not followed"),
                Arguments.of(
                        "a spline of a thousand degrees",
                        "0\nSECTION\n2\nENTITIES\n0\nSPLINE\n71\n1000\n10\n0\n20\n0\n10\n5\n20\n5\n0\nENDSEC\n",
                        "degree"),
                Arguments.of(
                        "knots backwards",
                        "0\nSECTION\n2\nENTITIES\n0\nSPLINE\n71\n1\n40\n0\n40\n0\n40\n-3\n40\n1\n10\n0\n20\n0\n10\n5\n20\n"
                                + "5\n0\nENDSEC\n",
                        "backwards"),
                Arguments.of(
                        "so many lines",
                        "0\nSECTION\n2\nENTITIES\n" + "0\nPOINT\n".repeat(60_000) + "0\nENDSEC\n",
                        "more than 50000 entities"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("hostile")
    void what_cannot_be_read_says_why(String name, String text, String words) {
        assertTimeoutPreemptively(
                Duration.ofSeconds(10),
                () -> assertThatThrownBy(() -> DrawnFile.read(text.getBytes(StandardCharsets.UTF_8)))
                        .isInstanceOf(DrawnFileException.class)
                        .hasMessageContaining(words));
    }

    @Test
    void a_huge_file_is_refused_before_it_is_read() {
        assertThatThrownBy(() -> DrawnFile.read(new byte[DrawnFile.MOST_BYTES + 1]))
                .isInstanceOf(DrawnFileException.class)
                .hasMessageContaining("at most 4");
        assertThatThrownBy(() -> DrawnFile.read(new byte[0])).hasMessageContaining("empty");
    }

    /** The slowest sound file: as many loose pieces as are read, in no order. */
    @Test
    void thirty_thousand_loose_lines_are_joined_in_bounded_time() {
        StringBuilder dxf = new StringBuilder("0\nSECTION\n2\nENTITIES\n");
        int n = 30_000;
        for (int i = 0; i < n; i++) {
            int k = (int) ((i * 7919L) % n);
            double a = 2 * Math.PI * k / n;
            double b = 2 * Math.PI * (k + 1) / n;
            dxf.append(String.format(
                    Locale.ROOT,
                    "0\nLINE\n10\n%.6f\n20\n%.6f\n11\n%.6f\n21\n%.6f\n",
                    1e4 * Math.cos(a),
                    1e4 * Math.sin(a),
                    1e4 * Math.cos(b),
                    1e4 * Math.sin(b)));
        }
        byte[] bytes = dxf.append("0\nENDSEC\n0\nEOF\n").toString().getBytes(StandardCharsets.UTF_8);
        assertTimeoutPreemptively(
                Duration.ofSeconds(10),
                () -> assertThat(DrawnFile.read(bytes).shapes()).hasSize(1));
    }
}
