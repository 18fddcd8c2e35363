import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How long an app that runs takes for its pages: whole answers over loopback, warm, beside a bare page of the same app in the same run.
 * {@code java tools/PageTimes.java http://127.0.0.1:8420 [BODIES]} signs in to the demo shop, takes as many bodies on as are wanted,
 * copies of Tussock with fifty entries each, and asks every page of Tussock's navigation and of the shop's own in turns.
 */
final class PageTimes {
    private static final int WARM = 160;
    private static final int COUNTED = 40;
    private static final int ENTRIES = 50;
    /** Bare: the frame of every page and next to nothing in it. */
    private static final String BARE = "/crib/aids/new";

    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
    private final String app;

    private PageTimes(String app) {
        this.app = app;
    }

    public static void main(String[] arguments) throws Exception {
        PageTimes times = new PageTimes(arguments[0]);
        times.signIn();
        if (arguments.length > 1) {
            times.fill(Integer.parseInt(arguments[1]));
        }
        times.measure();
    }

    private String get(String path) throws Exception {
        HttpResponse<String> answer =
                client.send(HttpRequest.newBuilder(URI.create(app + path)).build(), BodyHandlers.ofString());
        if (answer.statusCode() != 200) {
            throw new IllegalStateException(path + " answers " + answer.statusCode());
        }
        return answer.body();
    }

    /** As a browser asks for it: packed, which takes the app a good part of its time. */
    private void packed(String path) throws Exception {
        HttpRequest asked = HttpRequest.newBuilder(URI.create(app + path))
                .header("Accept-Encoding", "gzip")
                .build();
        HttpResponse<byte[]> answer = client.send(asked, BodyHandlers.ofByteArray());
        if (answer.statusCode() != 200 || answer.body().length == 0) {
            throw new IllegalStateException(path + " answers " + answer.statusCode());
        }
    }

    private static String first(String pattern, String text) {
        Matcher found = Pattern.compile(pattern).matcher(text);
        if (!found.find()) {
            throw new IllegalStateException(pattern + " is not there");
        }
        return found.group(1);
    }

    private String token(String path) throws Exception {
        return first("name=\"_csrf\" value=\"([^\"]+)\"", get(path));
    }

    private int post(String path, String type, String body) throws Exception {
        return client.send(
                        HttpRequest.newBuilder(URI.create(app + path))
                                .header("Content-Type", type)
                                .POST(BodyPublishers.ofString(body))
                                .build(),
                        BodyHandlers.discarding())
                .statusCode();
    }

    private void signIn() throws Exception {
        String token = URLEncoder.encode(token("/sign-in"), StandardCharsets.UTF_8);
        post("/sign-in", "application/x-www-form-urlencoded", "username=demo&password=demo&_csrf=" + token);
    }

    private String tussock() throws Exception {
        return first("href=\"(/bodies/[a-z0-9]+)[^\"]*\"[^>]*>(?:<[^>]*>|\\s|No\\.|\\d+)*Tussock", get("/?sought=Tussock"));
    }

    /** Copies whose every entry is a reading, so that no step is done before its turn. */
    private void fill(int bodies) throws Exception {
        String file = get(tussock() + "/file");
        StringBuilder readings = new StringBuilder();
        for (int i = 0; i < ENTRIES; i++) {
            readings.append(i == 0 ? "" : ",")
                    .append("{\"id\": \"times-%d\", \"kind\": \"reading\", \"at\": \"2026-11-%02dT%02d:10:00Z\", \"by\": \"demo\", "
                            .formatted(i, 1 + i / 24, i % 24))
                    .append("\"measures\": \"fret-height\", \"value\": \"1.%d mm\"}".formatted(i % 5));
        }
        String timeline = file.replaceFirst("(?s)\"timeline\"\\s*:\\s*\\[.*", "\"timeline\": [" + readings + "]}}");
        String token = token("/bodies/take-on/other");
        long begun = System.nanoTime();
        for (int i = 0; i < bodies; i++) {
            String own = timeline.replaceFirst("\"Tussock\"", "\"Tussock " + i + "\"");
            String part = "--x\r\nContent-Disposition: form-data; name=\"";
            int status = post(
                    "/bodies/from-file",
                    "multipart/form-data; boundary=x",
                    part + "_csrf\"\r\n\r\n" + token + "\r\n" + part
                            + "file\"; filename=\"t.json\"\r\nContent-Type: application/json\r\n\r\n" + own
                            + "\r\n--x--\r\n");
            if (status >= 400) {
                throw new IllegalStateException("body " + i + " was answered " + status);
            }
        }
        System.out.printf("%d bodies taken on in %.0f s%n", bodies, (System.nanoTime() - begun) / 1e9);
    }

    private Set<String> pages() throws Exception {
        String body = tussock();
        Set<String> pages = new LinkedHashSet<>(
                List.of("/", "/now", "/timers", "/timber", "/crib", "/box", "/ways", "/log", "/people", "/bodies/take-on",
                        "/calendar", "/calendar/day", "/calendar/week"));
        Matcher views = Pattern.compile("id=\"to-[^\"]+\" href=\"([^\"]+)\"|href=\"([^\"]+)\"[^>]* id=\"to-")
                .matcher(get(body));
        while (views.find()) {
            pages.add(views.group(1) == null ? views.group(2) : views.group(1));
        }
        pages.add(body + "/revisions");
        return pages;
    }

    private void measure() throws Exception {
        Map<String, List<Double>> taken = new LinkedHashMap<>();
        taken.put(BARE, new ArrayList<>());
        pages().forEach(p -> taken.put(p, new ArrayList<>()));
        for (int round = 0; round < WARM + COUNTED; round++) {
            for (Map.Entry<String, List<Double>> page : taken.entrySet()) {
                long begun = System.nanoTime();
                packed(page.getKey());
                if (round >= WARM) {
                    page.getValue().add((System.nanoTime() - begun) / 1e6);
                }
            }
        }
        double bare = at(taken.get(BARE), 0.5);
        System.out.println("| page | median, ms | 95 of 100, ms | ratio to a bare page |\n|---|---|---|---|");
        taken.forEach((page, times) -> System.out.printf(
                "| %s | %.1f | %.1f | %.1f |%n",
                page.replaceFirst("^/bodies/[a-z0-9]{16}", "body"),
                at(times, 0.5),
                at(times, 0.95),
                at(times, 0.5) / bare));
    }

    private static double at(List<Double> times, double share) {
        double[] sorted = times.stream().mapToDouble(d -> d).sorted().toArray();
        return sorted[(int) Math.min(sorted.length - 1, Math.ceil(share * sorted.length) - 1)];
    }
}
