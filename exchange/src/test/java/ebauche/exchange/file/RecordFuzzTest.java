package ebauche.exchange.file;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.design.Measurand;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.memo.Memo;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.plan.Schedule;
import ebauche.exchange.Remembering;
import ebauche.exchange.json.BuildFileException;
import ebauche.exchange.json.JsonText;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A hundred and fifty seeded mutations of each demo body's record, ten times as many with {@code ./ebauche test --long}: each is
 * refused where it stands, in words, or put in order, some with the wood that they leave; nothing falls. The records go half way through the build, so that there is something to spoil.
 */
@Tag("slow")
@ExtendWith(Remembering.class)
class RecordFuzzTest {
    private static final int MUTATIONS = 150 * Integer.getInteger("ebauche.times", 1);

    /** One in so many of those that can be read has its wood cut too: that takes most of the time. */
    private static final int WITH_WOOD = 12;

    private static ObjectNode halfBuilt(String name) {
        BuildFile file = DemoBodies.read(name);
        Build build = file.build();
        List<AsBuilt.Entry> timeline = new ArrayList<>(build.asBuilt().timeline());
        for (int i = 0; i < 30; i++) {
            Schedule schedule = Planner.schedule(new Build(build.drawn(), build.shop(), new AsBuilt(timeline)));
            BuildPlan.PlanStep step = schedule.next().orElseThrow();
            step.operation()
                    .inspections()
                    .forEach(x -> timeline.add(new AsBuilt.Reading(
                            "r" + timeline.size(),
                            "2026-11-20T10:00:00Z",
                            "t",
                            Optional.of(step.operation().key()),
                            x.measurand(),
                            x.expected().value())));
            timeline.add(step.asDone("d" + timeline.size(), "2026-11-20T10:00:00Z", "t"));
        }
        return (ObjectNode) JsonText.tree(BuildFile.write(file.withoutRecord(), new AsBuilt(timeline)));
    }

    @ParameterizedTest
    @ValueSource(strings = {"tussock", "sedge", "shale", "marram"})
    void a_spoilt_record_is_refused_in_words_or_planned(String name) {
        ObjectNode whole = halfBuilt(name);
        Memo memo = Memo.here(); // a memo is its thread's, and the mutations are planned in several
        AtomicInteger refused = new AtomicInteger();
        AtomicInteger planned = new AtomicInteger();
        IntStream.range(0, MUTATIONS).parallel().forEach(i -> {
            Random random = new Random(7_919L * i + name.hashCode());
            ObjectNode file = whole.deepCopy();
            ArrayNode timeline = (ArrayNode) file.at("/asBuilt/timeline");
            String done = "";
            for (int k = 1 + random.nextInt(2); k > 0; k--) {
                done += mutate(timeline, random) + "; ";
            }
            try {
                memo.during(() -> {
                    Build build = BuildFile.of(file).build();
                    return i % WITH_WOOD == 0 ? Planner.plan(build) : Planner.schedule(build);
                });
                planned.incrementAndGet();
            } catch (BuildFileException e) {
                assertThat(e.place()).as(done).startsWith("asBuilt");
                assertThat(e.getMessage()).isNotBlank().doesNotContain("Exception");
                refused.incrementAndGet();
            } catch (RuntimeException e) {
                throw new AssertionError(name + " " + i + ": " + done, e);
            }
        });
        assertThat(refused.get()).isGreaterThan(MUTATIONS / 5);
        assertThat(planned.get()).isGreaterThan(MUTATIONS / 5);
    }

    private static String mutate(ArrayNode timeline, Random random) {
        int at = random.nextInt(timeline.size());
        switch (random.nextInt(6)) {
            case 0 -> {
                timeline.remove(at);
                return "entry " + at + " left out";
            }
            case 1 -> {
                JsonNode entry = timeline.remove(at);
                int to = random.nextInt(timeline.size() + 1);
                timeline.insert(to, entry);
                return "entry " + at + " moved to " + to;
            }
            case 2 -> {
                return reading(timeline, random);
            }
            default -> {
                return at + " " + spoil(timeline.get(at), random);
            }
        }
    }

    /** A reading of anything, anywhere in what a gauge can be thought to show. */
    private static String reading(ArrayNode timeline, Random random) {
        List<String> measures = List.of(
                "body-thickness",
                "heel-thickness",
                "neck-angle",
                "end-wall-to-saddle",
                "fret-12-to-saddle",
                "depth:neck",
                "depth:controls",
                "depth:pickup-bridge",
                "depth:nowhere",
                "thickness-at:control-volume",
                "sanded-off:front",
                "sanded-off:back",
                "out-of-flat:front",
                "blank-thickest",
                "blank-thinnest",
                "size:pickup-bridge.across",
                "size:bridge.lowest-saddle",
                "size:cover.thickness");
        Measurand measurand = Measurand.parse(measures.get(random.nextInt(measures.size())));
        double value = switch (random.nextInt(3)) {
            case 0 -> measurand.least();
            case 1 -> measurand.most();
            default -> measurand.least() + random.nextDouble() * (measurand.most() - measurand.least());
        };
        ObjectNode entry = Timeline.write(new AsBuilt.Reading(
                "x" + random.nextLong(), "2026-11-20T10:00:00Z", "t", Optional.empty(), measurand, value));
        int at = random.nextInt(timeline.size() + 1);
        timeline.insert(at, entry);
        return "read " + measurand.key() + " " + value + " at " + at;
    }

    /** One value somewhere in an entry. */
    private static String spoil(JsonNode node, Random random) {
        if (node instanceof ObjectNode object && !object.isEmpty()) {
            List<String> keys = new ArrayList<>(object.propertyNames());
            String key = keys.get(random.nextInt(keys.size()));
            if (object.get(key).isContainer() && !object.get(key).isEmpty() && random.nextInt(4) > 0) {
                return key + " " + spoil(object.get(key), random);
            }
            switch (random.nextInt(4)) {
                case 0 -> object.remove(key);
                case 1 -> object.put(key, number(random));
                case 2 -> object.put(key, word(random));
                default -> object.set(key, object.get(keys.get(random.nextInt(keys.size()))));
            }
            return key + " -> " + object.get(key);
        }
        if (node instanceof ArrayNode list && !list.isEmpty()) {
            int at = random.nextInt(list.size());
            if (list.get(at).isContainer() && !list.get(at).isEmpty()) {
                return at + " " + spoil(list.get(at), random);
            }
            list.set(at, list.arrayNode().numberNode(number(random)));
            return at + " -> " + list.get(at);
        }
        return "nothing";
    }

    private static double number(Random random) {
        double[] odd = {0, -1, 1, 1e-9, 1e9, 1e308, -1e308, 45, 0.1, 200};
        return random.nextBoolean() ? odd[random.nextInt(odd.length)] : random.nextGaussian() * 100;
    }

    private static String word(Random random) {
        String[] odd = {
            "", "neck", "neck:rout", "controls", "back", "x:y", "1 mm", "1e308 mm", "\u0000", "outline", "blank:glue"
        };
        return odd[random.nextInt(odd.length)];
    }
}
