package ebauche.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.WithVisitor;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Pages come packed to whoever takes them so, unpacked by the library's own reader (RFC 1952), and plain to everybody else. */
class PackedPagesTest extends WithVisitor {
    private static String unpacked(HttpResponse<byte[]> answer) throws IOException {
        try (GZIPInputStream in = new GZIPInputStream(new ByteArrayInputStream(answer.body()))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private static String coding(HttpResponse<?> answer) {
        return answer.headers().firstValue("Content-Encoding").orElse("plain");
    }

    @ParameterizedTest
    @ValueSource(strings = {"gzip", "deflate, gzip;q=0.5, br", "*;q=0.1, gzip"})
    void a_page_is_the_same_packed_and_plain(String wish) throws IOException {
        String page = shop.path("sedge") + "/depths";
        String plain = me.get(page).body();
        HttpResponse<byte[]> packed = me.packed(page, wish);
        assertThat(coding(packed)).isEqualTo("gzip");
        assertThat(packed.headers().allValues("Vary")).anyMatch("Accept-Encoding"::equalsIgnoreCase);
        assertThat(packed.headers().firstValueAsLong("Content-Length")).hasValue(packed.body().length);
        assertThat(packed.body().length).isLessThan(plain.length() / 3);
        assertThat(unpacked(packed).replaceAll("_csrf\" value=\"[^\"]*", ""))
                .isEqualTo(plain.replaceAll("_csrf\" value=\"[^\"]*", ""));
    }

    @ParameterizedTest
    @ValueSource(strings = {"identity", "gzip;q=0", "gzip;q=x", ";;", "br"})
    void who_does_not_take_it_packed_gets_it_plain(String wish) {
        HttpResponse<byte[]> answer = me.packed(shop.path("sedge") + "/depths", wish);
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(coding(answer)).isEqualTo("plain");
        assertThat(new String(answer.body(), StandardCharsets.UTF_8)).contains("</html>");
    }

    @Test
    void what_is_no_page_goes_its_own_way() throws IOException {
        assertThat(coding(me.packed(shop.path("sedge") + "/traveller.pdf", "gzip")))
                .isEqualTo("plain");
        assertThat(me.packed(shop.path("sedge") + "/traveller.pdf", "gzip").body())
                .startsWith("%PDF".getBytes(StandardCharsets.US_ASCII));
        HttpResponse<byte[]> none = me.packed("/bodies/nothing/depths", "gzip");
        assertThat(none.statusCode()).isEqualTo(404);
        assertThat(coding(none).equals("gzip") ? unpacked(none) : new String(none.body(), StandardCharsets.UTF_8))
                .contains("</html>");
        HttpResponse<byte[]> style = me.packed("/static/css/base.css", "gzip");
        assertThat(coding(style)).as("by the server itself").isEqualTo("gzip");
        assertThat(unpacked(style)).contains("@font-face");
    }
}
