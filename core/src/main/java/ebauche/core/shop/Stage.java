package ebauche.core.shop;

import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import java.util.Optional;
import java.util.Set;

/** A stretch of the build as makers speak of it when they say what they do first: {@code the pocket before sawing out}. Common practice. */
@SuppressWarnings("ImmutableEnumChecker") // its sets are made by Set.of
public enum Stage {
    THICKNESSING("thicknessing", "thicknessing", FeatureKind.THICKNESS),
    SAWING("sawing", "sawing out", Set.of(StepKind.SAW), FeatureKind.OUTLINE),
    OUTLINE(
            "outline",
            "the outline to its line",
            Set.of(
                    StepKind.START,
                    StepKind.ROUGH,
                    StepKind.ROUT,
                    StepKind.DEEPEN,
                    StepKind.MEET,
                    StepKind.FINISH,
                    StepKind.SAND_TO_LINE),
            FeatureKind.OUTLINE),
    POCKET("pocket", "the neck pocket", FeatureKind.NECK),
    NECK_HOLES("neck-holes", "the neck's screws", FeatureKind.NECK_SCREWS, FeatureKind.NECK_FERRULES),
    PICKUPS("pickups", "pickup cavities", FeatureKind.PICKUP, FeatureKind.LEGS, FeatureKind.SCRATCH_PLATE),
    BRIDGE(
            "bridge",
            "the bridge's holes",
            FeatureKind.BRIDGE,
            FeatureKind.BRIDGE_STUDS,
            FeatureKind.STRING_HOLES,
            FeatureKind.FERRULES),
    VIBRATO("vibrato", "the vibrato's routes", FeatureKind.BRIDGE_RECESS, FeatureKind.VIBRATO, FeatureKind.SPRINGS),
    CAVITIES("cavities", "control cavities", FeatureKind.CAVITY, FeatureKind.COVER),
    CONTROL_HOLES("control-holes", "holes of the controls", FeatureKind.CONTROL, FeatureKind.STEP),
    JACK("jack", "the jack's hole", FeatureKind.JACK),
    CHANNELS("channels", "wire channels", FeatureKind.CHANNEL),
    CHAMBERS("chambers", "chambers", FeatureKind.CHAMBER, FeatureKind.SOUND_HOLES),
    BINDING("binding", "binding", FeatureKind.BINDING),
    ROUND_OVERS("round-overs", "round-overs", FeatureKind.ROUND_OVER),
    CONTOURS("contours", "contours", FeatureKind.CONTOUR),
    SANDING("sanding", "finish sanding", FeatureKind.SANDING),
    FRONT("front", "whatever is cut into the front", Face.FRONT),
    BACK("back", "whatever is cut into the back", Face.BACK);

    private final String key;
    private final String words;
    private final Set<FeatureKind> features;
    /** Empty for every step of its features. */
    private final Set<StepKind> steps;

    private final Optional<Face> cutInto;

    Stage(String key, String words, FeatureKind... features) {
        this(key, words, Set.of(), features);
    }

    Stage(String key, String words, Set<StepKind> steps, FeatureKind... features) {
        this.key = key;
        this.words = words;
        this.features = Set.of(features);
        this.steps = steps;
        this.cutInto = Optional.empty();
    }

    Stage(String key, String words, Face cutInto) {
        this.key = key;
        this.words = words;
        this.features = Set.of();
        this.steps = Set.of();
        this.cutInto = Optional.of(cutInto);
    }

    /** As files write it. */
    public String key() {
        return key;
    }

    public String words() {
        return words;
    }

    /** Whether a step that cuts wood belongs to it. */
    public boolean takesIn(StepKey step, Face face) {
        FeatureKind kind = step.feature().kind();
        if (cutInto.isPresent()) {
            return kind.role() == FeatureKind.Role.VOID && cutInto.get() == face;
        }
        return features.contains(kind) && (steps.isEmpty() || steps.contains(step.kind()));
    }
}
