package ebauche.core.timber;

/** How a timber answers the cutter; common practice sorts body woods this way. */
public enum Hardness {
    SOFT,
    MEDIUM,
    HARD
}
