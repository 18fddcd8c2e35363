package ebauche.app.body;

import ebauche.core.feature.Work;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Every page of a body, by where it stands in the one navigation that all of them have. Another page is another line here: it is then
 * no more than two presses from any other.
 */
enum BodyView {
    ORDER(Group.ORDER, "", "Step by step"),

    DESIGN(Group.SPEC, "/design", "Design"),
    PARTS(Group.SPEC, "/parts", "Parts"),
    WHAT_IF(Group.SPEC, "/what-if", "What if"),

    CHECK(Group.CHECK, "/check", "Can it be made"),
    X_RAY(Group.CHECK, "/x-ray", "X-ray"),
    ONE_PAGE(Group.CHECK, "/one-page", "One page to show", true),

    BLANK(Group.BLANK, "/blank", "From the rack"),
    TOGETHER(Group.BLANK, "/blank/together", "With others"),
    CUT_LIST(Group.BLANK, "/cut-list", "Cut list", true),
    GLUE_UP(Group.BLANK, "/glue-up", "Glue-up", true),

    THICKNESS(Group.THICKNESS, "/thickness", "Ledger", true),

    TEMPLATE(Group.OUTLINE, "/template", "Template"),
    PASSES(Group.OUTLINE, "/passes", "Passes"),
    FEED(Group.OUTLINE, "/feed", "Feed"),
    TILES(Group.OUTLINE, "/tiles", "On paper"),

    NECK(Group.NECK, "/neck", "Pocket"),

    DEPTHS(Group.CAVITIES, "/depths", "Depths"),
    CAVITY(Group.CAVITIES, "/cavity", "From its parts"),

    CONTOURS(Group.CONTOURS, "/contours", "Lines and depths"),

    BENCH(Group.BENCH, "/bench", "At the bench"),

    RECORD(Group.RECORD, "/record", "What was done");

    /** What pages belong together: looking ahead, the sheets of each kind of work in the order of the trade, the bench, looking back. */
    enum Group {
        ORDER("Order"),
        SPEC("Spec"),
        CHECK("Check"),
        BLANK("Blank", Work.BLANK),
        THICKNESS("Thickness", Work.THICKNESS),
        OUTLINE("Outline", Work.OUTLINE),
        NECK("Neck", Work.NECK),
        CAVITIES("Cavities", Work.CAVITY),
        CONTOURS("Contours", Work.CONTOUR),
        BENCH("Bench"),
        RECORD("Record");

        private final String label;
        private final Optional<Work> work;

        Group(String label) {
            this.label = label;
            this.work = Optional.empty();
        }

        /** Sheets of a kind of work. */
        Group(String label, Work work) {
            this.label = label;
            this.work = Optional.of(work);
        }

        String label() {
            return label;
        }

        Optional<Work> work() {
            return work;
        }
    }

    private final Group group;
    private final String path;
    private final String label;
    private final boolean sheet;

    BodyView(Group group, String path, String label) {
        this(group, path, label, false);
    }

    /** A sheet is printed as it stands. */
    BodyView(Group group, String path, String label, boolean sheet) {
        this.group = group;
        this.path = path;
        this.label = label;
        this.sheet = sheet;
    }

    Group group() {
        return group;
    }

    String path() {
        return path;
    }

    String label() {
        return label;
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
