package ebauche.app.depth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.app.testing.Visitor;
import ebauche.app.testing.WithApp;
import ebauche.core.measure.LengthUnit;
import ebauche.core.plan.Planner;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.plan.PlanJson;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Every cavity's card, the sum behind it, the X-ray and the plan's JSON, each read from outside as a maker or a program reads
 * them, tell the same numbers to 0.01 mm.
 */
@Tag("slow")
class AgreementTest extends WithApp {
    private static final double SAME = 0.01;
    private static final Pattern CARD =
            Pattern.compile("<section class=\"depth-card\".*?data-feature=\"([^\"]+)\".*?</section>", Pattern.DOTALL);
    private static final Pattern SUM = Pattern.compile(
            "<tr class=\"result\">\\s*<th scope=\"row\">([^<]+)</th>\\s*<td>(-?[0-9.]+) mm</td>", Pattern.DOTALL);
    private static final Pattern BOX = Pattern.compile("M(-?[0-9.]+) (-?[0-9.]+)H(-?[0-9.]+)V(-?[0-9.]+)H-?[0-9.]+Z");

    private Map<String, Map<String, Double>> cards(Visitor me, String path) {
        Map<String, Map<String, Double>> cards = new LinkedHashMap<>();
        Matcher card = CARD.matcher(me.get(path + "/depths").body());
        while (card.find()) {
            Map<String, Double> sums = new LinkedHashMap<>();
            Matcher sum = SUM.matcher(card.group());
            while (sum.find()) {
                sums.put(sum.group(1), Double.parseDouble(sum.group(2)));
            }
            cards.put(card.group(1), sums);
        }
        return cards;
    }

    private static JsonNode plan(Visitor me, String path) {
        byte[] file = me.get(path + "/file").body().getBytes(StandardCharsets.UTF_8);
        return JsonMapper.shared()
                .readTree(PlanJson.write(Planner.plan(BuildFile.read(file).build())));
    }

    /** What the plan's JSON wants a cavity's last depth to read. */
    private static List<Double> expected(JsonNode plan, String feature) {
        List<Double> all = new ArrayList<>();
        for (JsonNode op : plan.path("operations")) {
            for (JsonNode i : op.path("inspections")) {
                if (i.path("measures").asString("").equals("depth:" + feature)) {
                    all.add(i.path("expected").asDouble());
                }
            }
        }
        return all;
    }

    private static JsonNode thinnest(JsonNode plan, String feature) {
        for (JsonNode thin : plan.path("stock").path("thinnest")) {
            boolean its = thin.path("feature").asString("").equals(feature)
                    || thin.path("neighbour").asString("").equals(feature);
            if (its && thin.path("kind").asString("").equals("floor")) {
                return thin;
            }
        }
        return plan.path("nothing");
    }

    @ParameterizedTest
    @ValueSource(strings = {"tussock", "sedge", "shale", "marram"})
    void card_sum_xray_and_json_agree(String name) {
        Shop shop = openShop(LengthUnit.MILLIMETRE);
        Visitor me = new Visitor(address()).signIn(shop.maker().name(), PASSWORD);
        String path = shop.path(name);
        Map<String, Map<String, Double>> cards = cards(me, path);
        JsonNode plan = plan(me, path);
        double scale = scale(me.get(path + "/x-ray").body());
        assertThat(cards).hasSizeGreaterThan(4);
        int floors = 0;
        for (Map.Entry<String, Map<String, Double>> card : cards.entrySet()) {
            String feature = card.getKey();
            List<Double> wanted = expected(plan, feature);
            assertThat(card.getValue().values())
                    .as("the depth of %s that the plan's JSON wants is one that its card's sums give", feature)
                    .anySatisfy(sum -> assertThat(sum).isCloseTo(wanted.get(wanted.size() - 1), within(SAME)));
            JsonNode thin = thinnest(plan, feature);
            if (!thin.isObject()) {
                continue;
            }
            double json = thin.path("thickness").asDouble();
            double onCard = card.getValue().entrySet().stream()
                    .filter(s -> s.getKey().startsWith("wood left to the"))
                    .mapToDouble(Map.Entry::getValue)
                    .findFirst()
                    .orElseThrow(() -> new AssertionError(feature + " has no wood left on its card"));
            assertThat(onCard).as("wood left at %s", feature).isCloseTo(json, within(SAME));
            if (json > 0) {
                seen(me, path, thin, scale, json, feature);
                floors++;
            }
        }
        assertThat(floors).isGreaterThan(3);
    }

    private static double scale(String page) {
        Matcher m = Pattern.compile("data-scale=\"([0-9.]+)\"").matcher(page);
        assertThat(m.find()).isTrue();
        return Double.parseDouble(m.group(1));
    }

    /** The X-ray's section through the thinnest place, measured on the drawing as with a rule. */
    private static void seen(Visitor me, String path, JsonNode thin, double scale, double expected, String feature) {
        double x = thin.path("where").path("x").asDouble();
        double y = thin.path("where").path("y").asDouble();
        String svg = me.get(path + "/x-ray/section?ax=" + x + "&ay=" + (y - 30) + "&bx=" + x + "&by=" + (y + 30))
                .body();
        Matcher left = Pattern.compile("<text class=\"letter\" x=\"([0-9.]+)\"").matcher(svg);
        assertThat(left.find()).isTrue();
        double at = Double.parseDouble(left.group(1)) + 30 * scale;
        Matcher wood = Pattern.compile("class=\"wood\" d=\"([^\"]+)\"").matcher(svg);
        assertThat(wood.find()).isTrue();
        List<Double> thick = new ArrayList<>();
        List<Double> beside = new ArrayList<>();
        Matcher box = BOX.matcher(wood.group(1));
        double under = Double.NaN;
        double glued = 0;
        while (box.find()) {
            double from = Double.parseDouble(box.group(1));
            double to = Double.parseDouble(box.group(3));
            double top = Double.parseDouble(box.group(2));
            double mm = (Double.parseDouble(box.group(4)) - top) / (2 * scale);
            // A glued-on top and its core are drawn as two boxes that touch: one piece of wood.
            glued = Math.abs(top - under) < 0.02 ? glued + mm : mm;
            under = Double.parseDouble(box.group(4));
            mm = glued;
            if (at >= from - 1e-6 && at <= to + 1e-6) {
                thick.add(mm);
            } else if (at >= from - scale && at <= to + scale) {
                beside.add(mm);
            }
        }
        boolean tilted =
                feature.equals("neck") || (!beside.isEmpty() && thick.stream().noneMatch(t -> near(t, expected)));
        thick.addAll(tilted ? beside : List.of());
        // A tilted or carved surface is drawn cell by cell: within what it falls over one.
        assertThat(thick)
                .as("%s at %.1f, %.1f", feature, x, y)
                .anySatisfy(t -> assertThat(t).isCloseTo(expected, within(tilted ? 0.3 : SAME)));
    }

    private static boolean near(double one, double other) {
        return Math.abs(one - other) <= SAME;
    }
}
