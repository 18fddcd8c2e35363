package ebauche.core.design;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.PartSize;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Refusal;
import ebauche.core.measure.Rounding;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a reading can answer. Written as one word, such as {@code heel-thickness} or {@code depth:neck}. */
public sealed interface Measurand {

    /** The longest word of a feature that can be measured: of what may be an id, and the longest kind. */
    int LONGEST = 40;

    /** The word that files and addresses use. */
    String key();

    /** As it is said at the bench. */
    String label();

    /** Largest value that can be meant, in the quantity's unit. */
    double most();

    default double least() {
        return 0;
    }

    default Quantity quantity() {
        return Quantity.LENGTH;
    }

    /** Which way what it should read is shown on a gauge, so that wood is left: the same as the card's setting. */
    default Rounding rounding() {
        return Rounding.NEAREST;
    }

    /** A size of the design that the part or the wood in hand replaces. */
    enum Dimension implements Measurand {
        BODY_THICKNESS("body-thickness", "body thickness", 120) {
            @Override
            public double least() {
                return 5;
            }

            @Override
            public Rounding rounding() {
                return Rounding.MORE;
            }
        },
        BLANK_THICKEST("blank-thickest", "blank at its thickest", 160),
        BLANK_THINNEST("blank-thinnest", "blank at its thinnest", 160),
        SEAM_STEP("seam-step", "step at the seam", 10),
        HEEL_THICKNESS("heel-thickness", "heel thickness without the fingerboard", 60, Taken.FITTING_THE_NECK),
        FINGERBOARD_THICKNESS("fingerboard-thickness", "fingerboard thickness", 15, Taken.FITTING_THE_NECK),
        FINGERBOARD_RADIUS("fingerboard-radius", "fingerboard radius", 10_000, Taken.FITTING_THE_NECK) {
            @Override
            public double least() {
                return 100;
            }
        },
        FRET_HEIGHT("fret-height", "fret height", 4),
        ACTION_TREBLE("action-treble", "action at fret 12, treble", 10),
        ACTION_BASS("action-bass", "action at fret 12, bass", 10),
        NUT_HEIGHT("nut-height", "string over the frets at the nut", 5),
        END_WALL_TO_SADDLE("end-wall-to-saddle", "pocket end wall to saddle", 400),
        SADDLE_HEIGHT("saddle-height", "saddle height over the front", 60),
        HEEL_WIDTH_END("heel-width-end", "heel width at its end", 120, Taken.FITTING_THE_NECK),
        HEEL_WIDTH_MOUTH("heel-width-mouth", "heel width at the pocket's mouth", 120, Taken.FITTING_THE_NECK),
        HEEL_LENGTH("heel-length", "heel length in the pocket", 300, Taken.FITTING_THE_NECK),
        POCKET_WIDTH_END("pocket-width-end", "pocket width at its end", 120, Taken.FITTING_THE_NECK),
        POCKET_WIDTH_MOUTH("pocket-width-mouth", "pocket width at its mouth", 120, Taken.FITTING_THE_NECK),
        FRET_12_TO_SADDLE("fret-12-to-saddle", "fret 12 to the saddle line", 600),
        CENTRE_AT_NUT("centre-at-nut", "nut's middle off the body's centre line, treble positive", 30) {
            @Override
            public double least() {
                return -30;
            }
        },
        CENTRE_AT_POCKET("centre-at-pocket", "neck's middle at the pocket off the centre line, treble positive", 30) {
            @Override
            public double least() {
                return -30;
            }
        },
        CENTRE_AT_BRIDGE("centre-at-bridge", "neck's line at the bridge off the centre line, treble positive", 30) {
            @Override
            public double least() {
                return -30;
            }
        },
        NECK_ANGLE("neck-angle", "neck angle", 10) {
            @Override
            public Quantity quantity() {
                return Quantity.ANGLE;
            }

            @Override
            public double least() {
                return -10;
            }
        };

        /** When a size is read. */
        public enum Taken {
            /** With the neck in hand, before and while its pocket is made. */
            FITTING_THE_NECK,
            AT_ITS_STEP
        }

        private final String key;
        private final String words;
        private final double most;
        private final Taken taken;

        Dimension(String key, String words, double most) {
            this(key, words, most, Taken.AT_ITS_STEP);
        }

        Dimension(String key, String words, double most, Taken taken) {
            this.key = key;
            this.words = words;
            this.most = most;
            this.taken = taken;
        }

        public Taken taken() {
            return taken;
        }

        @Override
        public String key() {
            return key;
        }

        @Override
        public String label() {
            return words;
        }

        @Override
        public double most() {
            return most;
        }
    }

    /** Depth of a cavity or hole, from the face it is cut from as that face is now. */
    record DepthOf(Feature feature) implements Measurand {
        @Override
        public String key() {
            return "depth:" + feature;
        }

        @Override
        public String label() {
            return "depth of the " + feature.said();
        }

        @Override
        public Rounding rounding() {
            return Rounding.LESS;
        }

        @Override
        public double most() {
            return 120;
        }
    }

    /** Thickness of the body at the hole that a feature is, square to the faces. */
    record ThicknessAt(Feature feature) implements Measurand {
        @Override
        public String key() {
            return "thickness-at:" + feature;
        }

        @Override
        public String label() {
            return "body thickness at the " + feature.said();
        }

        @Override
        public Rounding rounding() {
            return Rounding.MORE;
        }

        @Override
        public double most() {
            return 120;
        }
    }

    /**
     * Thickness of the body at a place of what is carved, square to the faces: a calliper's reading.
     *
     * @param contour what is carved there
     * @param x off the centre line, whole mm
     * @param y from the saddle line to the neck, whole mm
     */
    record WoodAt(Feature contour, int x, int y) implements Measurand {
        private static final String PREFIX = "wood-at:";
        private static final int FARTHEST = 999;

        public WoodAt {
            Refusal.between(x, -FARTHEST, FARTHEST, "measures");
            Refusal.between(y, -FARTHEST, FARTHEST, "measures");
        }

        public Point at() {
            return new Point(x, y);
        }

        @Override
        public String key() {
            return PREFIX + contour + "." + x + "." + y;
        }

        @Override
        public String label() {
            return "body thickness at " + x + " | " + y + " of the " + contour.said();
        }

        @Override
        public Rounding rounding() {
            return Rounding.MORE;
        }

        @Override
        public double most() {
            return 120;
        }

        private static Optional<Measurand> parse(String key) {
            Matcher place = KEY.matcher(key);
            return place.matches()
                    ? Optional.of(new WoodAt(
                            named(place.group(1)), Integer.parseInt(place.group(2)), Integer.parseInt(place.group(3))))
                    : Optional.empty();
        }

        private static final String PLACE = "\\.-?[0-9]{1,3}";
        private static final Pattern KEY = Pattern.compile(PREFIX + "([^.]+)\\.(-?[0-9]{1,3})\\.(-?[0-9]{1,3})");
    }

    /** A size of the part in hand that a feature is cut for; it stands in for the nominal one. */
    record SizeOf(Feature feature, PartSize size) implements Measurand {
        @Override
        public String key() {
            return "size:" + feature + "." + size.key();
        }

        @Override
        public String label() {
            return feature.part() + ": " + size.words();
        }

        @Override
        public double least() {
            return size.least();
        }

        @Override
        public double most() {
            return size.most();
        }

        private static Optional<Measurand> parse(String key) {
            int dot = key.lastIndexOf('.');
            return key.startsWith("size:") && dot > 5
                    ? PartSize.of(key.substring(dot + 1)).map(s -> new SizeOf(named(key.substring(5, dot)), s))
                    : Optional.empty();
        }
    }

    /** Wood sanded or planed off a face since it was flattened; each reading is one amount, and they add up. */
    record SandedOff(Face face) implements Measurand {
        @Override
        public String key() {
            return "sanded-off:" + face.word();
        }

        @Override
        public String label() {
            return "sanded off the " + face.word();
        }

        @Override
        public Rounding rounding() {
            return Rounding.LESS;
        }

        @Override
        public double most() {
            return 10;
        }
    }

    /** How far a face is from flat: highest over lowest against straightedge and winding sticks, cup and twist together. */
    record OutOfFlat(Face face) implements Measurand {
        @Override
        public String key() {
            return "out-of-flat:" + face.word();
        }

        @Override
        public String label() {
            return face.word() + " out of flat";
        }

        @Override
        public double most() {
            return 25;
        }
    }

    /** How far the edge lies inside its template at a station, the template snapped back on; less than nought where it stands proud. */
    record EdgeInside(int station) implements Measurand {
        private static final String PREFIX = "edge-inside:";

        public EdgeInside {
            Refusal.between(station, 1, EdgeReadings.STATIONS, "measures");
        }

        @Override
        public String key() {
            return PREFIX + station;
        }

        @Override
        public String label() {
            return "edge inside its template at station " + station;
        }

        @Override
        public double least() {
            return -10;
        }

        @Override
        public double most() {
            return 10;
        }

        private static Optional<Measurand> parse(String key) {
            return key.matches(PREFIX + "([1-9]|1[0-6])")
                    ? Optional.of(new EdgeInside(Integer.parseInt(key.substring(PREFIX.length()))))
                    : Optional.empty();
        }
    }

    /**
     * Where the middle of an opening lies in a plate that is laid on: what is cut under it follows the plate in hand.
     *
     * @param along from the saddle line to the neck; else off the centre line, to the treble side
     */
    record OpeningAt(Feature feature, boolean along) implements Measurand {
        private static final String ALONG = "opening-along:";
        private static final String ACROSS = "opening-across:";
        private static final double FARTHEST = 600;

        @Override
        public String key() {
            return (along ? ALONG : ACROSS) + feature;
        }

        @Override
        public String label() {
            return feature.part() + "'s opening in the plate, "
                    + (along ? "from the saddle line" : "off the centre line, treble positive");
        }

        @Override
        public double least() {
            return -FARTHEST;
        }

        @Override
        public double most() {
            return FARTHEST;
        }

        private static Optional<Measurand> parse(String key) {
            for (boolean along : new boolean[] {true, false}) {
                String prefix = along ? ALONG : ACROSS;
                if (key.startsWith(prefix)) {
                    return Optional.of(new OpeningAt(named(key.substring(prefix.length())), along));
                }
            }
            return Optional.empty();
        }
    }

    /** What is read of a channel once it is drilled. */
    record BoreRead(Feature channel, Sight sight) implements Measurand {
        /** What one looks at. */
        public enum Sight {
            /** Where its axis comes out, down from where it should: to the back. */
            LOWER("bore-lower:", "too low where it comes out", Quantity.LENGTH, -60, 60),
            /** The same sideways: to the right as one looks along the drill, the front up. */
            ASIDE("bore-aside:", "too far right where it comes out", Quantity.LENGTH, -60, 60),
            /** Of a rod that is put in the hole, against the face. */
            SLOPE("bore-slope:", "slope down of a rod in it", Quantity.ANGLE, -85, 85),
            /** From where it goes into the wood to its end. */
            DEEP("bore-deep:", "depth", Quantity.LENGTH, 0, 600);

            private final String prefix;
            private final String words;
            private final Quantity quantity;
            private final double least;
            private final double most;

            Sight(String prefix, String words, Quantity quantity, double least, double most) {
                this.prefix = prefix;
                this.words = words;
                this.quantity = quantity;
                this.least = least;
                this.most = most;
            }
        }

        @Override
        public String key() {
            return sight.prefix + channel;
        }

        @Override
        public String label() {
            return channel.said() + ": " + sight.words;
        }

        @Override
        public Quantity quantity() {
            return sight.quantity;
        }

        @Override
        public double least() {
            return sight.least;
        }

        @Override
        public double most() {
            return sight.most;
        }

        private static Optional<Measurand> parse(String key) {
            for (Sight sight : Sight.values()) {
                if (key.startsWith(sight.prefix)) {
                    return Optional.of(new BoreRead(named(key.substring(sight.prefix.length())), sight));
                }
            }
            return Optional.empty();
        }
    }

    /**
     * What a meter reads between two that are to be one node, ohms.
     *
     * @param one what one tip is held to, by its key in the ground
     * @param other what the other is held to
     */
    record Ohms(String one, String other) implements Measurand {
        /** An open way: more than a meter for the bench shows. */
        public static final double OPEN = 1e7;

        private static final String PREFIX = "ohms:";
        private static final String NODE = "[a-z0-9-]{1,50}";

        @Override
        public String key() {
            return PREFIX + one + "~" + other;
        }

        @Override
        public String label() {
            return "ohms, " + words(one) + " to " + words(other);
        }

        private static String words(String node) {
            return node.replace('-', ' ');
        }

        @Override
        public Quantity quantity() {
            return Quantity.NUMBER;
        }

        @Override
        public double most() {
            return OPEN;
        }

        private static Optional<Measurand> parse(String key) {
            return key.matches(PREFIX + NODE + "~" + NODE)
                    ? Optional.of(new Ohms(
                            key.substring(PREFIX.length(), key.indexOf('~')), key.substring(key.indexOf('~') + 1)))
                    : Optional.empty();
        }
    }

    /** What every key looks like, as a regular expression. */
    static String pattern() {
        String feature = "[a-z0-9-]{1," + LONGEST + "}";
        String faces = ":(" + Face.FRONT.word() + "|" + Face.BACK.word() + ")";
        List<String> kinds = new ArrayList<>();
        for (Dimension dimension : Dimension.values()) {
            kinds.add(dimension.key());
        }
        kinds.addAll(List.of(
                "depth:" + feature,
                "thickness-at:" + feature,
                WoodAt.PREFIX + feature + WoodAt.PLACE + WoodAt.PLACE,
                "size:" + feature + "\\.[a-z-]{1,30}",
                EdgeInside.PREFIX + "([1-9]|1[0-6])",
                OpeningAt.ALONG + feature,
                OpeningAt.ACROSS + feature,
                Ohms.PREFIX + Ohms.NODE + "~" + Ohms.NODE,
                "sanded-off" + faces,
                "out-of-flat" + faces));
        for (BoreRead.Sight sight : BoreRead.Sight.values()) {
            kinds.add(sight.prefix + feature);
        }
        return "^(" + String.join("|", kinds) + ")$";
    }

    /**
     * Reads the word back.
     *
     * @throws Refusal if it names nothing that can be measured
     */
    static Measurand parse(String key) {
        if (key.startsWith("depth:")) {
            return new DepthOf(named(key.substring(6)));
        }
        if (key.startsWith("thickness-at:")) {
            return new ThicknessAt(named(key.substring(13)));
        }
        Optional<Measurand> size = SizeOf.parse(key);
        if (size.isPresent()) {
            return size.get();
        }
        Optional<Measurand> placed = EdgeInside.parse(key)
                .or(() -> WoodAt.parse(key))
                .or(() -> OpeningAt.parse(key))
                .or(() -> BoreRead.parse(key))
                .or(() -> Ohms.parse(key));
        if (placed.isPresent()) {
            return placed.get();
        }
        for (Face face : Face.values()) {
            if (key.equals("sanded-off:" + face.word())) {
                return new SandedOff(face);
            }
            if (key.equals("out-of-flat:" + face.word())) {
                return new OutOfFlat(face);
            }
        }
        for (Dimension dimension : Dimension.values()) {
            if (dimension.key().equals(key)) {
                return dimension;
            }
        }
        throw new Refusal("measures", "“" + key + "” is nothing that is measured here");
    }

    private static Feature named(String word) {
        Refusal.unless(word.length() <= LONGEST, "measures", "“" + word + "” is no feature's name");
        try {
            return Feature.parse(word);
        } catch (Refusal refusal) {
            throw new Refusal("measures", refusal.getMessage());
        }
    }

    /** Whether a value can be meant at all. */
    default void check(double value) {
        Refusal.between(value, least(), most(), "value");
    }
}
