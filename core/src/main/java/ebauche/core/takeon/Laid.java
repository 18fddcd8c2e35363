package ebauche.core.takeon;

import ebauche.core.job.Finding;
import ebauche.core.measure.Quantity;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;

/**
 * What is said of one thing that was laid out: where it lies and why, what it forecloses, or why it cannot lie there.
 *
 * @param about which of the things on the bench
 * @param kind what sort of saying it is
 * @param what its template, with {@code {0}} for numbers
 */
public record Laid(About about, Kind kind, String what, List<Finding.Value> numbers) {
    /** Things on the bench, as the page asks for them. */
    public enum About {
        STRINGS("strings"),
        NECK("neck"),
        BRIDGE("bridge"),
        PICKUPS("pickups"),
        CONTROLS("controls"),
        JACK("jack"),
        OUTLINE("outline"),
        WOOD("wood");

        private final String word;

        About(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /** What sort of saying it is. */
    public enum Kind {
        /** Where it lies, and why there. */
        LIES,
        /** What can no longer be had with it. */
        FORECLOSES,
        /** It cannot be so, and what would help. */
        CANNOT
    }

    public Laid {
        numbers = List.copyOf(numbers);
    }

    static Laid of(About about, Kind kind, String what, double... lengths) {
        List<Finding.Value> values = Arrays.stream(lengths)
                .mapToObj(l -> new Finding.Value("", l, Quantity.LENGTH))
                .toList();
        return new Laid(about, kind, what, values);
    }

    /** Why it cannot be so, with what would help. */
    public static Laid cannot(About about, String what, double... lengths) {
        return of(about, Kind.CANNOT, what, lengths);
    }

    /** Where it lies, and why. */
    public static Laid lies(About about, String what, double... lengths) {
        return of(about, Kind.LIES, what, lengths);
    }

    /** What it forecloses. */
    public static Laid forecloses(About about, String what, double... lengths) {
        return of(about, Kind.FORECLOSES, what, lengths);
    }

    /** As it is read, its numbers written by {@code writer}. */
    public String what(Function<Finding.Value, String> writer) {
        return Finding.filled(what, numbers, writer);
    }
}
