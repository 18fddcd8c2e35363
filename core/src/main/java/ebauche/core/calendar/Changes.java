package ebauche.core.calendar;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.stream.IntStream;

/**
 * A list of blocks, each after what it comes after, and ways to change it by chance: a block elsewhere, alone or with all that must go along; of two
 * bodies one before the other, or one before or behind all; half days filled; blocks together that one set-up would do for; another hand.
 */
final class Changes {
    /** How often half days are filled in a shop of few blocks: of many there is always one that fits, and a change of so much made them worse. */
    private static final double FILLS = 0.08;

    /** So many are few. */
    private static final int FEW = 100;

    private final Workload load;
    private final Placing placing;
    private final int[][] after;
    private final SplittableRandom chance;
    /** Of each body its blocks. */
    private final int[][] ofJob;

    private final Filling filling;
    private final List<int[]> alike = new ArrayList<>();
    private final int[] place;
    private final boolean[] goes;
    /** The list as it is now. */
    int[] list;

    /**
     * Begins with a list.
     *
     * @param after what comes after each block
     * @param begun the list placed last; kept as it is: what is changed is a copy
     */
    Changes(Workload load, Placing placing, int[][] after, int[] begun, SplittableRandom chance) {
        this.load = load;
        this.placing = placing;
        this.after = after;
        this.chance = chance;
        list = begun.clone();
        place = new int[placing.size()];
        goes = new boolean[placing.size()];
        ofJob = IntStream.range(0, load.jobs().size())
                .mapToObj(j -> IntStream.range(0, placing.size())
                        .filter(i -> load.blocks().get(i).job() == j && placing.hasPlace(i))
                        .toArray())
                .toArray(int[][]::new);
        gatherAlike();
        filling = new Filling(load, placing, chance);
    }

    /** The list as it is now was placed last: changes begin with it. */
    void stands() {
        filling.stands();
    }

    /** Blocks that one set-up would do for, of several bodies. */
    private void gatherAlike() {
        Map<String, List<Integer>> by = new TreeMap<>();
        for (int i = 0; i < placing.size(); i++) {
            for (Block.Use use : load.blocks().get(i).uses()) {
                if (use.setUp() > 0 && !use.first().isEmpty() && placing.hasPlace(i)) {
                    by.computeIfAbsent(use.thing() + " " + use.first(), k -> new ArrayList<>())
                            .add(i);
                }
            }
        }
        by.values().stream()
                .filter(l -> l.size() > 1)
                .map(l -> l.stream().mapToInt(x -> x).toArray())
                .forEach(alike::add);
    }

    /** Changes the list; whether anything was changed. */
    boolean change() {
        for (int i = 0; i < list.length; i++) {
            place[list[i]] = i;
        }
        if (placing.size() <= FEW && chance.nextDouble() < FILLS) {
            return filling.change(list);
        }
        double what = chance.nextDouble();
        if (what < 0.05 && ofJob.length > 1) {
            return apart();
        }
        if (what < 0.1 && ofJob.length > 1) {
            return body();
        }
        if (what < 0.25 && !alike.isEmpty()) {
            return together();
        }
        int i = list[chance.nextInt(list.length)];
        if (what < 0.4 && placing.able(i).length > 1) {
            int h = chance.nextInt(placing.able(i).length + 1) - 1;
            int hand = h < 0 ? -1 : placing.able(i)[h];
            boolean other = placing.by[i] != hand;
            placing.by[i] = hand;
            return other;
        }
        if (what < 0.7) {
            return ahead(i, chance.nextInt(list.length));
        }
        int low = low(i);
        int high = high(i);
        return high > low && move(i, low + chance.nextInt(high - low + 1));
    }

    /** Puts a block before or behind a place, and with it all that must go along: what it comes after, or what comes after it. */
    private boolean ahead(int block, int to) {
        int at = place[block];
        if (at == to) {
            return false;
        }
        Arrays.fill(goes, false);
        goes[block] = true;
        int low = Math.min(at, to);
        int high = Math.max(at, to);
        if (to < at) {
            for (int k = at; k >= to; k--) {
                if (goes[list[k]]) {
                    for (int b : placing.before(list[k])) {
                        goes[b] = true;
                    }
                }
            }
        } else {
            for (int k = at; k <= to; k++) {
                if (goes[list[k]]) {
                    for (int next : after[list[k]]) {
                        goes[next] = true;
                    }
                }
            }
        }
        int[] part = Arrays.copyOfRange(list, low, high + 1);
        int k = low;
        for (int pass = 0; pass < 2; pass++) {
            for (int b : part) {
                if (goes[b] == (to < at == (pass == 0))) {
                    list[k++] = b;
                }
            }
        }
        return true;
    }

    /** Puts a block right behind one that leaves the machine as it wants it. */
    private boolean together() {
        int[] group = alike.get(chance.nextInt(alike.size()));
        int a = group[chance.nextInt(group.length)];
        int b = group[chance.nextInt(group.length)];
        if (a == b || load.blocks().get(a).job() == load.blocks().get(b).job()) {
            return false;
        }
        int wanted = place[a] < place[b] ? place[a] + 1 : place[a];
        return move(b, Math.max(low(b), Math.min(high(b), wanted)));
    }

    /** Of two bodies all of one before the other, in the places that both have. */
    private boolean apart() {
        int[] first = ofJob[chance.nextInt(ofJob.length)];
        int[] second = ofJob[chance.nextInt(ofJob.length)];
        if (first == second || first.length == 0 || second.length == 0) {
            return false;
        }
        int[] places = IntStream.concat(Arrays.stream(first), Arrays.stream(second))
                .map(b -> place[b])
                .sorted()
                .toArray();
        int[] in = IntStream.concat(byPlace(first), byPlace(second)).toArray();
        for (int k = 0; k < places.length; k++) {
            list[places[k]] = in[k];
        }
        return true;
    }

    /** All of one body that comes after a place goes there, before the others, or all of it that comes before a place goes there, behind them. */
    private boolean body() {
        int job = chance.nextInt(ofJob.length);
        int to = chance.nextInt(list.length);
        boolean first = chance.nextBoolean();
        int low = first ? to : 0;
        int high = first ? list.length : to + 1;
        int[] part = Arrays.copyOfRange(list, low, high);
        int k = low;
        for (int pass = 0; pass < 2; pass++) {
            for (int b : part) {
                if ((load.blocks().get(b).job() == job) == (first == (pass == 0))) {
                    list[k++] = b;
                }
            }
        }
        return !Arrays.equals(part, 0, part.length, list, low, high);
    }

    private IntStream byPlace(int[] blocks) {
        return Arrays.stream(blocks)
                .boxed()
                .sorted((a, b) -> Integer.compare(place[a], place[b]))
                .mapToInt(x -> x);
    }

    private int low(int block) {
        int low = 0;
        for (int b : placing.before(block)) {
            low = Math.max(low, place[b] + 1);
        }
        return low;
    }

    private int high(int block) {
        int high = list.length - 1;
        for (int next : after[block]) {
            if (placing.hasPlace(next)) {
                high = Math.min(high, place[next] - 1);
            }
        }
        return high;
    }

    private boolean move(int block, int to) {
        int at = place[block];
        if (at == to) {
            return false;
        }
        if (at < to) {
            System.arraycopy(list, at + 1, list, at, to - at);
        } else {
            System.arraycopy(list, to, list, to + 1, at - to);
        }
        list[to] = block;
        return true;
    }
}
