package ebauche.core.feature;

import ebauche.core.measure.Refusal;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A step's lasting name: a feature and what is done to it, never a number in a row. Written {@code neck:rout} in the record and in addresses.
 *
 * @param word what is done, as it is written; the kind's own unless nobody knows it
 */
public record StepKey(Feature feature, StepKind kind, String word) implements Comparable<StepKey> {
    private static final Pattern WORD = Pattern.compile("[a-z0-9-]{1,40}");
    private static final Pattern WRITTEN = Pattern.compile("([^:]*):([^:]*)");

    public StepKey {
        boolean itsOwn = kind != StepKind.UNKNOWN && word.equals(kind.word());
        if (!itsOwn && !(WORD.matcher(word).matches() && StepKind.of(word) == kind)) {
            throw new Refusal("step", "“" + word + "” names no step");
        }
    }

    public static StepKey of(Feature feature, StepKind kind) {
        return new StepKey(feature, kind, kind.word());
    }

    /**
     * Reads it back. A step that nobody knows is kept: a record may come from an earlier or a later program.
     *
     * @throws Refusal unless it is written as a feature and a word
     */
    public static StepKey parse(String written) {
        return mentioned(written)
                .orElseThrow(
                        () -> new Refusal("step", "“" + written + "” is no step; steps are written like neck:rout"));
    }

    /** The step that an address or a form names, if it is written as one. */
    public static Optional<StepKey> mentioned(String written) {
        Matcher parts = WRITTEN.matcher(written);
        if (!parts.matches() || !WORD.matcher(parts.group(2)).matches() || !Feature.isWord(parts.group(1))) {
            return Optional.empty();
        }
        String word = parts.group(2);
        return Optional.of(new StepKey(Feature.parse(parts.group(1)), StepKind.of(word), word));
    }

    public boolean is(StepKind which) {
        return kind == which;
    }

    /** As records and addresses write it. */
    public String written() {
        return feature.word() + ":" + word;
    }

    /** The same in every run, unlike an enum's own. */
    @Override
    public int hashCode() {
        return 31 * feature.hashCode() + word.hashCode();
    }

    @Override
    public int compareTo(StepKey other) {
        return written().compareTo(other.written());
    }

    /** As it is written. */
    @Override
    public String toString() {
        return written();
    }
}
