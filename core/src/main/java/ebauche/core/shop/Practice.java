package ebauche.core.shop;

import ebauche.core.crib.HoldDown;
import ebauche.core.geometry.Face;
import ebauche.core.measure.Refusal;
import java.util.Set;

/**
 * The schools that the shop follows, and its usual allowances.
 *
 * @param thicknessing how blanks are brought to thickness
 * @param holdDown how templates are held
 * @param frontSanding wood left on the front for its finish sanding, mm
 * @param backSanding the same for the back
 * @param sawAllowance how far outside the line the outline is sawn
 * @param wasteShy how far above the final floor the waste is drilled, beyond the drill's spur
 * @param lastPass depth of the last light pass of a pocket
 * @param glueHours from clamping to machining
 * @param hollowMinutes that a litre of a hollow takes to rout, once the router is set up
 * @param edge how outlines are brought to the line
 * @param hand how steady the hand at the saw is
 * @param skills what its hands are trusted with where no machine does it
 * @param habits small habits that it keeps
 * @param waste how a pocket's waste is taken before its template guides
 * @param shaping what comes first at the edge
 * @param laidOutTo the finest that things are laid out to, mm: a thing is moved by so much at a time. No plan follows from it
 */
public record Practice(
        Thicknessing thicknessing,
        HoldDown holdDown,
        double frontSanding,
        double backSanding,
        double sawAllowance,
        double wasteShy,
        double lastPass,
        double glueHours,
        double hollowMinutes,
        EdgeSchool edge,
        Hand hand,
        Set<Skill> skills,
        Set<Habit> habits,
        Waste waste,
        Shaping shaping,
        double laidOutTo) {

    /** What comes first at the edge, its round-overs or the contours. */
    public enum Shaping {
        /** The bearing has all its wall, and the base its face; where a contour takes the corner a new one is broken by hand. */
        ROUND_OVER_FIRST("round-over-first", "round-overs before contours"),
        /** The corner runs into the contour and blends with it; where a contour lies hands do it. */
        CONTOURS_FIRST("contours-first", "contours before round-overs");

        private final String key;
        private final String words;

        Shaping(String key, String words) {
            this.key = key;
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    /** How the waste of a pocket is taken before its template guides. */
    public enum Waste {
        DRILL("drill", "drilled out"),
        FREEHAND("freehand", "routed freehand, inside the line");

        private final String key;
        private final String words;

        Waste(String key, String words) {
            this.key = key;
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    /** What hands can do where no machine does it. */
    public enum Skill {
        PLANE("plane", "true an edge or a face with a hand plane"),
        DRILL("drill", "drill upright beside a square"),
        SAW("saw", "saw a kerf to a line by hand"),
        CARVE("carve", "rasp and file to a line by eye"),
        ROUT("rout", "rout an outline freehand");

        private final String key;
        private final String words;

        Skill(String key, String words) {
            this.key = key;
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    /** How an outline is brought to the line. */
    public enum EdgeSchool {
        HAND("hand", "routed by hand, both faces"),
        TABLE("table", "routed on the table"),
        SAND_TO_LINE("sand-to-line", "sanded to the line");

        private final String key;
        private final String words;

        EdgeSchool(String key, String words) {
            this.key = key;
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    /** How steady the hand at the saw is. */
    public enum Hand {
        NEW("new", "new to it", 0),
        USUAL("usual", "used to it", 0.75),
        STEADY("steady", "steady", 1);

        private final String key;
        private final String words;
        private final double steadiness;

        Hand(String key, String words, double steadiness) {
            this.key = key;
            this.words = words;
            this.steadiness = steadiness;
        }

        /** From 0 to 1. */
        public double steadiness() {
            return steadiness;
        }

        public String words() {
            return words;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    public enum Thicknessing {
        PLANER("planer", "thickness planer"),
        ROUTER_SLED("router-sled", "router sled"),
        DRUM_SANDER("drum-sander", "drum sander"),
        HAND_PLANE("hand-plane", "hand plane");

        private final String key;
        private final String words;

        Thicknessing(String key, String words) {
            this.key = key;
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    public Practice {
        Refusal.between(frontSanding, 0, 5, "frontSanding");
        Refusal.between(backSanding, 0, 5, "backSanding");
        Refusal.between(sawAllowance, 0, 30, "sawAllowance");
        Refusal.between(wasteShy, 0, 10, "wasteShy");
        Refusal.between(lastPass, 0.1, 5, "lastPass");
        Refusal.between(glueHours, 0, 400, "glueHours");
        Refusal.between(hollowMinutes, 1, 600, "hollowMinutes");
        Refusal.between(laidOutTo, 0.01, 10, "laidOutTo");
        skills = Set.copyOf(skills);
        habits = Set.copyOf(habits);
    }

    /** Whether it keeps a habit. */
    public boolean keeps(Habit habit) {
        return habits.contains(habit);
    }

    /** The same with other habits. */
    public Practice with(Set<Habit> kept) {
        return with(thicknessing, kept, waste, shaping);
    }

    /** The same with another way to take a pocket's waste. */
    public Practice with(Waste way) {
        return with(thicknessing, habits, way, shaping);
    }

    /** Wood left on a face for its finish sanding, mm. */
    public double sanding(Face face) {
        return face == Face.FRONT ? frontSanding : backSanding;
    }

    /** The same with another way of thicknessing. */
    public Practice withThicknessing(Thicknessing school) {
        return with(school, habits, waste, shaping);
    }

    /** The same with another order at the edge. */
    public Practice with(Shaping first) {
        return with(thicknessing, habits, waste, first);
    }

    private Practice with(Thicknessing school, Set<Habit> kept, Waste way, Shaping first) {
        return new Practice(
                school,
                holdDown,
                frontSanding,
                backSanding,
                sawAllowance,
                wasteShy,
                lastPass,
                glueHours,
                hollowMinutes,
                edge,
                hand,
                skills,
                kept,
                way,
                first,
                laidOutTo);
    }
}
