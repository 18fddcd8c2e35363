package ebauche.core.shop;

import ebauche.core.measure.Refusal;

/** A habit of a shop about its order: one stage before another, wherever that can be. */
public record HouseRule(Stage first, Stage then) {
    public HouseRule {
        Refusal.unless(first != then, "then", "“" + first.words() + "” cannot come before itself");
    }

    /** As in {@code the neck pocket before sawing out}. */
    public String words() {
        return first.words() + " before " + then.words();
    }
}
