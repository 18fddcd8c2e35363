package ebauche.core.order;

import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;

/**
 * What an order of some steps costs, in minutes: set-ups between them, what slips cost on the average, props for a body that lies on a
 * carved face, and templates that can no longer be held as the shop means to.
 *
 * <p>A slip at a step spoils the body with the chance that the step has; it then costs the hands-on minutes that are in the body when the
 * step is done, and the timber in it, in minutes at the shop's rate. So the loss of an order is the sum over its steps of chance times
 * what is in by then, the weighted sum of completion times of scheduling theory.
 *
 * <p>All is kept in arrays by the steps' numbers, so that the search can ask some ten thousand times for a plan.
 */
public final class Costs {
    static final int NOTHING = -1;

    /** The place of a step that an order does not have yet. */
    private static final int STILL_TO_COME = Integer.MAX_VALUE;

    private final List<Operation> steps;
    private final Map<StepKey, Integer> numbers = new HashMap<>();
    /** What a step puts into the body: its minutes, and its timber's. */
    final double[] brings;

    final double[] risk;
    final List<Holder> holders = new ArrayList<>();
    /** Minutes of a change in each holder. */
    final int[] change;
    /** What each step wants in each holder at its beginning and leaves there at its end; nothing where it does not use it. */
    final int[][] first;

    final int[][] last;
    /** Steps that are carves, and which steps each would have propped. */
    final boolean[][] props;

    /** For a step that fixes a template: steps of which one must come after it, so that the template can be held as the shop means to. */
    final int[][] seats;

    private Costs(
            List<Operation> steps,
            ToDoubleFunction<Operation> timber,
            Map<StepKey, Set<StepKey>> seated,
            boolean templateDay) {
        this.steps = List.copyOf(steps);
        int n = steps.size();
        brings = new double[n];
        risk = new double[n];
        props = new boolean[n][];
        seats = new int[n][];
        List<Map<Holder, Holder.Wants>> wanted = new ArrayList<>();
        Map<Holder, Integer> places = new LinkedHashMap<>();
        Set<Feature> onTemplates = steps.stream()
                .filter(Holder::isOnTemplate)
                .map(Operation::feature)
                .collect(Collectors.toSet());
        for (int i = 0; i < n; i++) {
            Operation step = steps.get(i);
            numbers.put(step.key(), i);
            brings[i] = minutes(step) + timber.applyAsDouble(step);
            risk[i] = step.risk();
            Map<Holder, Holder.Wants> its = Holder.of(step);
            if (templateDay) {
                Holder.ofTemplateDay(step, onTemplates).ifPresent(w -> its.put(new Holder(SetUp.TEMPLATE_DAY, ""), w));
            }
            its.keySet().forEach(h -> places.putIfAbsent(h, places.size()));
            wanted.add(its);
        }
        holders.addAll(places.keySet());
        change = holders.stream().mapToInt(h -> h.kind().minutes()).toArray();
        first = new int[n][holders.size()];
        last = new int[n][holders.size()];
        Map<String, Integer> things = new HashMap<>();
        for (int i = 0; i < n; i++) {
            Arrays.fill(first[i], NOTHING);
            Arrays.fill(last[i], NOTHING);
            for (Map.Entry<Holder, Holder.Wants> its : wanted.get(i).entrySet()) {
                int place = places.get(its.getKey());
                first[i][place] = number(things, its.getValue().first());
                last[i][place] = number(things, its.getValue().last());
            }
            Operation once = steps.get(i);
            if (Lying.carves(once)) {
                props[i] = new boolean[n];
                for (int j = 0; j < n; j++) {
                    props[i][j] = Lying.propped(steps.get(j), once);
                }
            }
        }
        seated.forEach((fit, firstCuts) -> {
            if (numbers.containsKey(fit)) {
                seats[numbers.get(fit)] = firstCuts.stream()
                        .filter(numbers::containsKey)
                        .mapToInt(numbers::get)
                        .toArray();
            }
        });
    }

    /**
     * What orders of some steps cost.
     *
     * @param timber minutes, at the shop's rate, of the timber that a step puts into the body
     * @param seated by the step that fixes a template with screws or pins in waste, the first cut of each cavity that has room for them: it
     *     can be held so as long as one of these is still to come
     * @param templateDay whether it counts if work on templates is left for other work and taken up again
     */
    public static Costs of(
            List<Operation> steps,
            ToDoubleFunction<Operation> timber,
            Map<StepKey, Set<StepKey>> seated,
            boolean templateDay) {
        return new Costs(steps, timber, seated, templateDay);
    }

    /** A jig or a template that is made is not lost with the body. */
    private static int minutes(Operation step) {
        return step.setting() instanceof Setting.Made ? 0 : step.handsOnMinutes();
    }

    private static int number(Map<String, Integer> things, String thing) {
        return things.computeIfAbsent(thing, t -> things.size());
    }

    int size() {
        return steps.size();
    }

    Operation step(int number) {
        return steps.get(number);
    }

    int number(Operation step) {
        return numbers.get(step.key());
    }

    int[] numbers(List<Operation> order) {
        return order.stream().mapToInt(this::number).toArray();
    }

    /** What an order of the steps, or of some of them, costs. What is set up for the first costs nothing: it does so in every order. */
    public Price price(List<Operation> order) {
        return price(numbers(order));
    }

    Price price(int[] order) {
        Map<SetUp, Integer> setUps = new LinkedHashMap<>();
        int[] held = new int[change.length];
        Arrays.fill(held, NOTHING);
        double in = 0;
        double slips = 0;
        int propped = 0;
        int loose = 0;
        int[] place = new int[steps.size()];
        Arrays.fill(place, STILL_TO_COME);
        for (int at = 0; at < order.length; at++) {
            place[order[at]] = at;
        }
        for (int at = 0; at < order.length; at++) {
            int step = order[at];
            for (int h = 0; h < held.length; h++) {
                if (first[step][h] != NOTHING) {
                    if (held[h] != NOTHING && held[h] != first[step][h]) {
                        setUps.merge(holders.get(h).kind(), 1, Integer::sum);
                    }
                    held[h] = last[step][h];
                }
            }
            in += brings[step];
            slips += risk[step] * in;
            for (int before = 0; before < at; before++) {
                boolean[] its = props[order[before]];
                if (its != null && its[step]) {
                    propped++;
                }
            }
            loose += isLoose(step, place) ? 1 : 0;
        }
        return new Price(setUps, slips, propped, loose);
    }

    /** Whether a template that a step fixes finds no waste any more to be held in. */
    boolean isLoose(int step, int[] place) {
        if (seats[step] == null) {
            return false;
        }
        for (int cut : seats[step]) {
            if (place[cut] > place[step]) {
                return false;
            }
        }
        return true;
    }
}
