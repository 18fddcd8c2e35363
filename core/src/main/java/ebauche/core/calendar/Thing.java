package ebauche.core.calendar;

import ebauche.core.measure.Refusal;

/**
 * Something that work takes and gives back: a machine, a router, a template, clamps of one kind.
 *
 * @param name tells it from every other
 * @param said what the shop calls it
 * @param count how many of it there are
 */
public record Thing(String name, String said, int count) {
    public Thing {
        Refusal.between(count, 0, 10_000, "count");
    }

    /** One whose name is what it is called. */
    public Thing(String name, int count) {
        this(name, name, count);
    }
}
