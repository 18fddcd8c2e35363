package ebauche.core.stock;

/** The pieces of wood that a body is worked from. */
public enum Workpiece {
    BODY,
    CAP,
    BACK_PLATE
}
