package ebauche.app.testing;

import ebauche.exchange.json.JsonText;
import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import tools.jackson.databind.node.ObjectNode;

/** Somebody with a browser and no script: reads pages, sends their forms. */
public final class Visitor {
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

    private String language = "en";
    private final String address;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(cookies)
            .followRedirects(HttpClient.Redirect.NEVER)
            .build();

    public Visitor(String address) {
        this.address = address;
    }

    /** The same, in another language. */
    public Visitor asking(String other) {
        language = other;
        return this;
    }

    public HttpResponse<String> get(String path) {
        return send(HttpRequest.newBuilder(URI.create(address + path)).GET().build());
    }

    /** A file as it is downloaded. */
    public HttpResponse<byte[]> bytes(String path) {
        return send(HttpRequest.newBuilder(URI.create(address + path)).GET().build(), BodyHandlers.ofByteArray());
    }

    /** The same by a client that takes it packed so. */
    public HttpResponse<byte[]> packed(String path, String wish) {
        return send(
                HttpRequest.newBuilder(URI.create(address + path))
                        .header("Accept-Encoding", wish)
                        .GET()
                        .build(),
                BodyHandlers.ofByteArray());
    }

    /** Sends a form that stands on a page. */
    public HttpResponse<String> post(String page, String path, Map<String, String> fields) {
        String token = token(get(page).body());
        return send(HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(encoded(fields) + "&_csrf=" + encode(token)))
                .build());
    }

    /** Sends a form of which some fields come more than once. */
    public HttpResponse<String> postAll(String page, String path, Map<String, List<String>> fields) {
        String body = fields.entrySet().stream()
                .flatMap(e -> e.getValue().stream().map(v -> encode(e.getKey()) + "=" + encode(v)))
                .collect(Collectors.joining("&"));
        return sendForm(path, body + "&_csrf=" + encode(tokenOn(page)));
    }

    /** Sends a form without the token that a page of ours carries. */
    public HttpResponse<String> forge(String path, Map<String, String> fields) {
        return send(HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(encoded(fields)))
                .build());
    }

    /** The token that the forms of a page carry; good for as long as the sign-in. */
    public String tokenOn(String page) {
        return token(get(page).body());
    }

    /** Sends a body as it stands, and nothing else. */
    public HttpResponse<String> sendForm(String path, String body) {
        return send(HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build());
    }

    /** Sends a file through a page's form. */
    public HttpResponse<String> upload(String page, String path, byte[] file) {
        String token = token(get(page).body());
        String edge = "----edge" + System.nanoTime();
        byte[] head = ("--" + edge + "\r\nContent-Disposition: form-data; name=\"_csrf\"\r\n\r\n" + token + "\r\n--"
                        + edge
                        + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"b.ebauche.json\"\r\nContent-Type: application/json\r\n\r\n")
                .getBytes(StandardCharsets.UTF_8);
        byte[] tail = ("\r\n--" + edge + "--\r\n").getBytes(StandardCharsets.UTF_8);
        byte[] all = new byte[head.length + file.length + tail.length];
        System.arraycopy(head, 0, all, 0, head.length);
        System.arraycopy(file, 0, all, head.length, file.length);
        System.arraycopy(tail, 0, all, head.length + file.length, tail.length);
        return send(HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "multipart/form-data; boundary=" + edge)
                .POST(HttpRequest.BodyPublishers.ofByteArray(all))
                .build());
    }

    public Visitor signIn(String name, String password) {
        post("/sign-in", "/sign-in", Map.of("username", name, "password", password));
        return this;
    }

    /** What the app has given to know this visitor by. */
    List<HttpCookie> cookies() {
        return cookies.getCookieStore().getCookies();
    }

    /** A body's file as it is downloaded, to be changed and taken on. */
    public ObjectNode fileOf(String body) {
        return (ObjectNode) JsonText.tree(get(body + "/file").body().getBytes(StandardCharsets.UTF_8));
    }

    /** Takes a file on as a new body: its address. */
    public String takenOn(ObjectNode file) {
        return upload("/bodies/take-on", "/bodies/from-file", file.toString().getBytes(StandardCharsets.UTF_8))
                .headers()
                .firstValue("Location")
                .orElseThrow()
                .replaceFirst("^https?://[^/]+", "");
    }

    private static String token(String page) {
        Matcher m = TOKEN.matcher(page);
        if (!m.find()) {
            throw new IllegalStateException("no form on that page");
        }
        return m.group(1);
    }

    private static String encoded(Map<String, String> fields) {
        return fields.entrySet().stream()
                .map(e -> encode(e.getKey()) + "=" + encode(e.getValue()))
                .collect(Collectors.joining("&"));
    }

    private static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    private HttpResponse<String> send(HttpRequest request) {
        return send(request, BodyHandlers.ofString());
    }

    private <T> HttpResponse<T> send(HttpRequest request, HttpResponse.BodyHandler<T> as) {
        try {
            HttpRequest asking = HttpRequest.newBuilder(request, (name, value) -> true)
                    .header("Accept", "text/html")
                    .header("Accept-Language", language)
                    .build();
            return client.send(asking, as);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** What the fields of a page's form hold, as a browser would send them back; ticks are left out. */
    public static Map<String, String> filled(String page) {
        Map<String, String> typed = new LinkedHashMap<>();
        Pattern.compile("<input class=\"form-control\" name=\"([^\"]+)\"[^>]*? value=\"([^\"]*)\"")
                .matcher(page)
                .results()
                .forEach(m -> typed.put(m.group(1), m.group(2)));
        Pattern.compile(
                        "(?s)<select class=\"form-select\" name=\"([^\"]+)\"(?:(?!</select>).)*?value=\"([^\"]*)\" selected")
                .matcher(page)
                .results()
                .forEach(m -> typed.put(m.group(1), m.group(2)));
        return typed;
    }
}
