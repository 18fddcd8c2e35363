package ebauche.core.calendar;

import ebauche.core.crib.Router;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;

/** The kinds of work that a hand is trusted with. */
public enum Trade {
    BENCH("bench", "marking, fitting, bench work"),
    GLUE("glue", "gluing up"),
    SURFACE("surface", "thicknessing"),
    SAW("saw", "sawing"),
    ROUT("rout", "routing by hand"),
    TABLE("table", "the router table"),
    DRILL("drill", "drilling"),
    CARVE("carve", "carving"),
    LINE("line", "shielding"),
    SAND("sand", "sanding");

    private final String key;
    private final String words;

    Trade(String key, String words) {
        this.key = key;
        this.words = words;
    }

    /** As files write it. */
    public String key() {
        return key;
    }

    public String words() {
        return words;
    }

    /** What a step asks of the hand that does it. */
    public static Trade of(Operation step) {
        Setting setting = step.setting();
        boolean onTable =
                setting.passes().stream().anyMatch(p -> p.cutter().router().kind() == Router.Kind.TABLE);
        if (onTable) {
            return TABLE;
        }
        if (!setting.passes().isEmpty() || setting instanceof Setting.Routed) {
            return ROUT;
        }
        if (setting instanceof Setting.Glued) {
            return GLUE;
        }
        if (setting instanceof Setting.Surfaced) {
            return SURFACE;
        }
        if (setting instanceof Setting.Sawn || setting instanceof Setting.Resawn || setting instanceof Setting.CutOut) {
            return SAW;
        }
        if (setting instanceof Setting.Drilled) {
            return DRILL;
        }
        if (setting instanceof Setting.Carved) {
            return CARVE;
        }
        if (setting instanceof Setting.Lined) {
            return LINE;
        }
        return setting instanceof Setting.Sanded ? SAND : BENCH;
    }
}
