package ebauche.core.crib;

/** Anything on the rack that an operation names. */
public sealed interface Tool permits Bit, Drill, Router, Saw, Drum, Aid, Machine {
    String name();
}
