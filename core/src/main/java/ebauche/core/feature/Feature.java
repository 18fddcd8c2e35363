package ebauche.core.feature;

import ebauche.core.measure.Refusal;

/**
 * One thing that a body is made of, by its lasting name: a kind and, where a body may have several of it, an id. Written as one word,
 * {@code neck} or {@code pickup-bridge}, in files, addresses and the record; the word of a feature never changes.
 *
 * @param id empty for a kind that a body has once; of {@link FeatureKind#UNKNOWN} the whole word
 */
public record Feature(FeatureKind kind, String id) implements Comparable<Feature> {
    private static final int LONGEST = 60;

    public static final Feature FRONT = of(FeatureKind.FRONT);
    public static final Feature BACK = of(FeatureKind.BACK);
    public static final Feature EDGE = of(FeatureKind.EDGE);

    public static final Feature OUTLINE = of(FeatureKind.OUTLINE);
    public static final Feature THICKNESS = of(FeatureKind.THICKNESS);

    public Feature {
        boolean one = kind != FeatureKind.UNKNOWN && id.isEmpty() && !kind.many();
        if (!one && !explains(kind, id)) {
            throw new Refusal("feature", "“" + kind.word(id) + "” is no feature's name");
        }
    }

    private static boolean explains(FeatureKind kind, String id) {
        String word = kind.word(id);
        return kind == FeatureKind.UNKNOWN
                ? !isWord(word) || FeatureKind.of(word) == kind
                : isWord(word) && FeatureKind.of(word) == kind && id.isEmpty() != kind.many();
    }

    /** The feature of a kind that a body has once. */
    public static Feature of(FeatureKind kind) {
        return new Feature(kind, "");
    }

    /** One of the features of a kind. */
    public static Feature of(FeatureKind kind, String id) {
        return new Feature(kind, id);
    }

    /** Whether a word is written as features' are, whatever it names. */
    public static boolean isWord(String word) {
        return !word.isEmpty()
                && word.length() <= LONGEST
                && word.chars().allMatch(c -> (c >= 'a' && c <= 'z') || (c >= '0' && c <= '9') || c == '-');
    }

    /**
     * Reads the word back. A word that no kind explains is kept: a record may come from an earlier or a later program.
     *
     * @throws Refusal unless it is up to 60 small letters, digits and dashes
     */
    public static Feature parse(String word) {
        Refusal.unless(isWord(word), "feature", "“" + word + "” is no feature's name");
        return mentioned(word);
    }

    /** The feature that a design, an address or a form mentions, whatever it wrote: what is no feature's word names none, and is kept. */
    public static Feature mentioned(String word) {
        FeatureKind kind = FeatureKind.of(word);
        if (kind == FeatureKind.UNKNOWN || !isWord(word)) {
            return of(FeatureKind.UNKNOWN, word);
        }
        return kind.many() ? of(kind, kind.idIn(word)) : of(kind);
    }

    public boolean is(FeatureKind which) {
        return kind == which;
    }

    /** Whether it is cut into the body, so that wood is told between it and what lies beside it. */
    public boolean isVoid() {
        return kind.role() == FeatureKind.Role.VOID;
    }

    /** Whether it is the front, the back or the edge of the body. */
    public boolean isFace() {
        return kind.role() == FeatureKind.Role.FACE;
    }

    /** The feature that it comes with, and moves with; itself where it stands alone. */
    public Feature owner() {
        return kind.owner() == kind ? this : new Feature(kind.owner(), id);
    }

    /** As it is said at the bench: {@code neck pickup cavity}. */
    public String said() {
        return kind.said(id);
    }

    /** The part that it is cut for: {@code neck pickup}. */
    public String part() {
        return kind.part(id);
    }

    /** As files and addresses write it. */
    public String word() {
        return kind.word(id);
    }

    /** The same in every run, unlike an enum's own, so that no order can hang on it. */
    @Override
    public int hashCode() {
        return 31 * kind.word().hashCode() + id.hashCode();
    }

    @Override
    public int compareTo(Feature other) {
        return word().compareTo(other.word());
    }

    /** Its word. */
    @Override
    public String toString() {
        return word();
    }
}
