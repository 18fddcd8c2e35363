package ebauche.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.WithVisitor;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.DefaultParameterNameDiscoverer;
import org.springframework.core.MethodParameter;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Every mapped address, with its own forms' fields missing, doubled, empty, huge, of control characters and of the wrong
 * type: none answers with a fault of ours, and what is refused changes no table. Seeded, so that a failure comes back;
 * {@code ./ebauche test --long} sends ten times as many.
 */
class SweepTest extends WithVisitor {
    private static final int POSTS = 500 * Integer.getInteger("ebauche.times", 1);
    private static final List<String> HOSTILE = List.of(
            "",
            " ",
            "x",
            "-1",
            "0",
            "99999999999",
            "1e308",
            "NaN",
            "1/0 in",
            "[]",
            "{\"a\":1}",
            ",",
            "\"",
            "\u0000",
            "a\u0007\u202e\u200b",
            "\ud83d\ude80",
            "../../x",
            "/{x}",
            "//other.example/\\",
            "\",\"",
            "<b>&amp;",
            "${7*7}",
            "' or 1=1 --",
            "2026-13-40",
            "9".repeat(400),
            "a".repeat(6000));
    private static final List<String> RAW = List.of(
            "%zz=1", "name[0]=a", "name.x=a", "=1", "&&&", "a=%ff%fe", "entry=%00", "%00=1", "[]=", "a[b][c]=1");
    private static final Pattern FORM = Pattern.compile("<form\\b[^>]*>.*?</form>", Pattern.DOTALL);
    private static final Pattern ACTION = Pattern.compile("(?:action|hx-post)=\"([^\"]*)\"");
    private static final Pattern FIELD = Pattern.compile(
            "<(?:input|select|textarea|button)\\b[^>]*\\bname=\"([^\"]+)\"[^>]*>(?:\\s*<option[^>]*>)?");
    private static final Pattern VALUE = Pattern.compile("value=\"([^\"]*)\"");

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping mappings;

    @Autowired
    private JdbcClient sql;

    private final Random random = new Random(20261128);
    private final List<Target> reads = new ArrayList<>();
    private final List<Target> posts = new ArrayList<>();
    /** By address, the fields of every form that leads there, with the values that a maker would send unchanged. */
    private final Map<String, Map<String, String>> forms = new LinkedHashMap<>();

    /** A mapped address and what its handler names. */
    private record Target(String pattern, List<String> fields) {}

    @BeforeEach
    void collect() {
        mappings.getHandlerMethods().forEach((info, handler) -> {
            if (!handler.getBeanType().getName().startsWith("ebauche.")) {
                return;
            }
            for (String pattern : info.getPatternValues()) {
                Target target = new Target(pattern, fields(handler));
                (info.getMethodsCondition().getMethods().contains(RequestMethod.POST) ? posts : reads).add(target);
            }
        });
        reads.sort(java.util.Comparator.comparing(Target::pattern));
        posts.sort(java.util.Comparator.comparing(Target::pattern));
        for (Target page : reads) {
            for (String body : shop.bodies().keySet()) {
                harvest(me.get(good(page.pattern(), body)).body());
            }
        }
    }

    private static List<String> fields(HandlerMethod handler) {
        List<String> names = new ArrayList<>();
        for (MethodParameter parameter : handler.getMethodParameters()) {
            RequestParam named = parameter.getParameterAnnotation(RequestParam.class);
            parameter.initParameterNameDiscovery(new DefaultParameterNameDiscoverer());
            if (named != null && !Map.class.isAssignableFrom(parameter.getParameterType())) {
                names.add(named.name().isEmpty() ? parameter.getParameterName() : named.name());
            }
        }
        return names;
    }

    private void harvest(String page) {
        Matcher form = FORM.matcher(page);
        while (form.find()) {
            Matcher action = ACTION.matcher(form.group());
            if (!action.find()) {
                continue;
            }
            Map<String, String> fields = forms.computeIfAbsent(action.group(1), a -> new LinkedHashMap<>());
            Matcher field = FIELD.matcher(form.group());
            while (field.find()) {
                Matcher value = VALUE.matcher(field.group());
                if (!field.group(1).equals("_csrf")) {
                    fields.putIfAbsent(field.group(1), value.find() ? value.group(1) : "");
                }
            }
        }
    }

    private String good(String pattern, String body) {
        String path = pattern.startsWith("/timber/")
                ? pattern.replace("{id}", board())
                : pattern.replace("/bodies/{id}", shop.path(body));
        return path.replace("{place}", "0").replace("{many}", "drills").replaceAll("\\{[^}]*}", "x");
    }

    private String board() {
        return sql.sql("select public_id from board where shop = :shop order by id limit 1")
                .param("shop", shop.maker().shop())
                .query(String.class)
                .single();
    }

    private Map<String, Long> checksums() {
        List<String> tables = sql.sql("""
                        select table_name from information_schema.tables where table_schema = database()
                        and table_name not like 'SPRING%' and table_name not like 'flyway%'
                        and table_name not in ('sign_in_try', 'known_device')
                        """).query(String.class).list();
        assertThat(tables).contains("entry", "revision", "board", "ways", "maker");
        Map<String, Long> sums = new TreeMap<>();
        sql.sql("checksum table " + String.join(", ", tables))
                .query((row, i) -> sums.put(row.getString(1), row.getLong(2)))
                .list();
        return sums;
    }

    @Test
    void no_address_answers_with_a_fault_of_ours_and_what_is_refused_changes_nothing() {
        assertThat(posts).hasSizeGreaterThan(35);
        assertThat(reads).hasSizeGreaterThan(35);
        assertThat(forms).as("forms with fields of their own").hasSizeGreaterThan(30);
        String token = encode(me.tokenOn("/"));
        TreeSet<String> faults = new TreeSet<>();
        int refused = 0;
        int taken = 0;
        Map<String, Long> before = checksums();
        for (int i = 0; i < POSTS; i++) {
            Target target = posts.get(i % posts.size());
            String path = path(target);
            String body = body(target, path);
            HttpResponse<String> answer = me.sendForm(path, body + "&_csrf=" + token);
            Map<String, Long> after = checksums();
            if (answer.statusCode() >= 500) {
                faults.add(answer.statusCode() + " " + path + " <- " + cut(body));
            } else if (answer.statusCode() >= 400) {
                refused++;
                if (!after.equals(before)) {
                    faults.add("refused, and kept: " + path + " <- " + cut(body));
                }
            } else {
                taken++;
            }
            before = after;
        }
        for (int i = 0; i < POSTS / 4; i++) {
            Target target = reads.get(i % reads.size());
            String query =
                    body(target, "").replaceAll("%(?![0-9a-fA-F]{2})", "%25").replaceAll("[\\[\\]]", "");
            String path = path(target) + "?" + (query.length() > 4000 ? query.substring(0, 4000) : query);
            HttpResponse<String> answer = me.get(path.replaceAll("%[0-9a-fA-F]?$", ""));
            if (answer.statusCode() >= 500) {
                faults.add(answer.statusCode() + " GET " + cut(path) + " <- " + cut(query));
            }
        }
        assertThat(checksums()).as("reading changes nothing").isEqualTo(before);
        for (Target page : reads) {
            for (String body : shop.bodies().keySet()) {
                int status = me.get(good(page.pattern(), body)).statusCode();
                if (status >= 500) {
                    faults.add("afterwards: " + status + " " + page.pattern() + " of " + body);
                }
            }
        }
        assertThat(faults.stream().collect(Collectors.joining("\n"))).isEmpty();
        assertThat(refused).as("refused").isGreaterThan(POSTS / 10);
        assertThat(taken).as("taken").isGreaterThan(POSTS / 20);
    }

    private static String cut(String text) {
        return text.length() > 300 ? text.substring(0, 300) + "…" : text;
    }

    private String path(Target target) {
        List<String> bodies = List.copyOf(shop.bodies().keySet());
        if (random.nextInt(8) > 0) {
            String there = good(target.pattern(), bodies.get(random.nextInt(bodies.size())));
            List<String> like = forms.keySet().stream()
                    .filter(a -> a.matches(target.pattern().replaceAll("\\{[^}]*}", "[^/?]+")))
                    .toList();
            return like.isEmpty()
                            || (target.pattern().startsWith("/bodies/{id}")
                                    && !target.pattern().substring(12).contains("{"))
                    ? there
                    : like.get(random.nextInt(like.size()));
        }
        String odd = List.of("0", "-1", "99999999999", "x", "%20", "%22,%22", "a".repeat(300), "%E2%82%AC")
                .get(random.nextInt(8));
        return target.pattern().replaceAll("\\{[^}]*}", Matcher.quoteReplacement(odd));
    }

    private String body(Target target, String path) {
        Map<String, String> fields = new LinkedHashMap<>();
        target.fields().forEach(f -> fields.put(f, HOSTILE.get(random.nextInt(HOSTILE.size()))));
        fields.putAll(forms.getOrDefault(path, Map.of()));
        fields.computeIfPresent("entry", (k, v) -> UUID.randomUUID().toString());
        List<String> names = new ArrayList<>(fields.keySet());
        List<String> parts = new ArrayList<>();
        int changes = names.isEmpty() ? 0 : random.nextInt(4);
        List<Integer> changed =
                random.ints(changes, 0, Math.max(1, names.size())).boxed().toList();
        for (int i = 0; i < names.size(); i++) {
            String name = names.get(i);
            String hostile = HOSTILE.get(random.nextInt(HOSTILE.size()));
            String as = encode(name) + "=" + encode(fields.get(name));
            if (!changed.contains(i)) {
                parts.add(as);
                continue;
            }
            switch (random.nextInt(5)) {
                case 0 -> {} // missing
                case 1 -> parts.addAll(Arrays.asList(as, encode(name) + "=" + encode(hostile)));
                default -> parts.add(encode(name) + "=" + encode(hostile));
            }
        }
        if (random.nextInt(12) == 0) {
            parts.add(RAW.get(random.nextInt(RAW.size())));
        }
        return String.join("&", parts);
    }

    private static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
