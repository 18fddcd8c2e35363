package ebauche.exchange.drawn;

import ebauche.core.geometry.Segment;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/** Gathers what a reader found: closed shapes as they are, open pieces joined, the largest first. */
final class Shapes {
    private static final int MOST_SHAPES = 200;

    private Shapes() {}

    static DrawnFile of(
            List<DrawnFile.Shape> closed,
            Map<String, List<List<Segment>>> open,
            double apart,
            OptionalDouble unit,
            List<String> notes) {
        Chains chains = new Chains(apart);
        open.forEach((name, pieces) -> pieces.forEach(p -> chains.add(name, p)));
        Chains.Result joined = chains.join();
        List<DrawnFile.Shape> all = new ArrayList<>(closed);
        all.addAll(joined.closed());
        all.removeIf(s -> !(s.area() > 0));
        if (all.stream().mapToInt(s -> s.segments().size()).sum() > DrawnFile.MOST_PIECES) {
            throw new DrawnFileException("the drawing has more than " + DrawnFile.MOST_PIECES
                    + " pieces. Save only the outline, with fewer, longer curves");
        }
        List<String> said = new ArrayList<>(notes);
        if (joined.open() > 0) {
            said.add(joined.open() + (joined.open() == 1 ? " open line was" : " open lines were")
                    + " left out: an outline is closed");
        }
        if (all.isEmpty()) {
            throw new DrawnFileException(
                    "the drawing holds no closed shape" + (said.isEmpty() ? "" : " (" + String.join("; ", said) + ")"));
        }
        all.sort(Comparator.comparingDouble(DrawnFile.Shape::area).reversed());
        if (all.size() > MOST_SHAPES) {
            said.add((all.size() - MOST_SHAPES) + " small shapes were left out");
            all = all.subList(0, MOST_SHAPES);
        }
        return new DrawnFile(all, unit, said);
    }
}
