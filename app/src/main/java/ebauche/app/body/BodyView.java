package ebauche.app.body;

import ebauche.app.words.Words;
import ebauche.core.feature.Work;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Every page of a body, by where it stands in the one navigation that all of them have. Another page is another line here: it is then
 * no more than two presses from any other.
 */
enum BodyView {
    ORDER(Group.ORDER, ""),
    WEIGH(Group.ORDER, "/weigh"),

    DESIGN(Group.SPEC, "/design"),
    PARTS(Group.SPEC, "/parts"),
    WHAT_IF(Group.SPEC, "/what-if"),
    HOLLOW(Group.SPEC, "/hollow"),
    CAP(Group.SPEC, "/cap"),

    CHECK(Group.CHECK, "/check"),
    X_RAY(Group.CHECK, "/x-ray"),
    BALANCE(Group.CHECK, "/balance"),
    ONE_PAGE(Group.CHECK, "/one-page", true),

    BLANK(Group.BLANK, "/blank"),
    TOGETHER(Group.BLANK, "/blank/together"),
    CUT_LIST(Group.BLANK, "/cut-list", true),
    GLUE_UP(Group.BLANK, "/glue-up", true),

    THICKNESS(Group.THICKNESS, "/thickness", true),

    TEMPLATE(Group.OUTLINE, "/template"),
    PASSES(Group.OUTLINE, "/passes"),
    FEED(Group.OUTLINE, "/feed"),
    TILES(Group.OUTLINE, "/tiles"),

    NECK(Group.NECK, "/neck"),

    DEPTHS(Group.CAVITIES, "/depths"),
    CAVITY(Group.CAVITIES, "/cavity"),

    WIRES(Group.WIRES, "/wires"),
    SHIELDING(Group.WIRES, "/shielding", true),

    CONTOURS(Group.CONTOURS, "/contours"),
    EDGES(Group.CONTOURS, "/edges"),

    BENCH(Group.BENCH, "/bench"),
    TRAVELLER(Group.BENCH, "/traveller", true),

    RECORD(Group.RECORD, "/record"),
    REVISIONS(Group.RECORD, "/revisions");

    /** What pages belong together: looking ahead, the sheets of each kind of work in the order of the trade, the bench, looking back. */
    enum Group {
        ORDER,
        SPEC,
        CHECK,
        BLANK(Work.BLANK),
        THICKNESS(Work.THICKNESS),
        OUTLINE(Work.OUTLINE),
        NECK(Work.NECK),
        CAVITIES(Work.CAVITY),
        WIRES(Work.CHANNEL),
        CONTOURS(Work.CONTOUR),
        BENCH,
        RECORD;

        private final Optional<Work> work;

        Group() {
            this.work = Optional.empty();
        }

        /** Sheets of a kind of work. */
        Group(Work work) {
            this.work = Optional.of(work);
        }

        String label() {
            return Words.say("view-group." + name().toLowerCase(Locale.ROOT));
        }

        Optional<Work> work() {
            return work;
        }
    }

    private final Group group;
    private final String path;
    private final boolean sheet;

    BodyView(Group group, String path) {
        this(group, path, false);
    }

    /** A sheet is printed as it stands. */
    BodyView(Group group, String path, boolean sheet) {
        this.group = group;
        this.path = path;
        this.sheet = sheet;
    }

    Group group() {
        return group;
    }

    String path() {
        return path;
    }

    String label() {
        return Words.say("view." + key());
    }

    boolean sheet() {
        return sheet;
    }

    /** What keys and tests know it by: the last of its address. */
    String key() {
        return path.isEmpty() ? "order" : path.substring(1);
    }

    static List<BodyView> of(Group group) {
        return Arrays.stream(values()).filter(v -> v.group == group).toList();
    }

    /** The view at an address under the body's own: the one that says most of it. */
    static Optional<BodyView> at(String under) {
        return Arrays.stream(values())
                .filter(v -> under.equals(v.path) || (!v.path.isEmpty() && under.startsWith(v.path + "/")))
                .max(Comparator.comparingInt(v -> v.path.length()));
    }
}
