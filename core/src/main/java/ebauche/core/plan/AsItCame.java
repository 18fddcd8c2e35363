package ebauche.core.plan;

import ebauche.core.design.Measurand.Dimension;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.logbook.AsBuilt;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * What a body already has when a shop takes it on, a bought one, a kit's or one to be re-topped: its steps recorded as done, as the design
 * has them, so that holes, cavities and thickness are facts that no later design changes.
 */
public final class AsItCame {
    /** What a body may have already. */
    public enum Has {
        SHAPE("shape") {
            @Override
            boolean is(Feature feature) {
                return WHOLE.contains(feature.kind()) || SHAPES.contains(feature.kind());
            }
        },
        NECK("neck") {
            @Override
            boolean is(Feature feature) {
                return feature.owner().is(FeatureKind.NECK);
            }
        },
        BRIDGE("bridge") {
            @Override
            boolean is(Feature feature) {
                return feature.owner().is(FeatureKind.BRIDGE);
            }
        },
        PICKUPS("pickups") {
            @Override
            boolean is(Feature feature) {
                return feature.owner().is(FeatureKind.PICKUP);
            }
        },
        CONTROLS("controls") {
            @Override
            boolean is(Feature feature) {
                return feature.owner().is(FeatureKind.CAVITY) || feature.owner().is(FeatureKind.CONTROL);
            }
        },
        JACK("jack") {
            @Override
            boolean is(Feature feature) {
                return feature.is(FeatureKind.JACK);
            }
        },
        HOLES("holes") {
            @Override
            boolean is(Feature feature) {
                return feature.is(FeatureKind.HOLE);
            }
        },
        FINISH("finish") {
            @Override
            boolean is(Feature feature) {
                return feature.is(FeatureKind.SANDING);
            }
        };

        private static final Set<FeatureKind> WHOLE =
                Set.of(FeatureKind.BLANK, FeatureKind.THICKNESS, FeatureKind.OUTLINE, FeatureKind.CHAMBER);
        private static final Set<FeatureKind> SHAPES =
                Set.of(FeatureKind.CONTOUR, FeatureKind.ROUND_OVER, FeatureKind.BINDING);

        private final String word;

        Has(String word) {
            this.word = word;
        }

        /** The word that forms send. */
        public String word() {
            return word;
        }

        /** The one with that word. */
        public static Optional<Has> of(String word) {
            return Arrays.stream(values()).filter(h -> h.word.equals(word)).findFirst();
        }

        abstract boolean is(Feature feature);
    }

    private AsItCame() {}

    /**
     * The record of it. A body that has anything has its shape.
     *
     * @param ids gives each entry an id of its own
     * @param at when it was taken on (ISO 8601)
     * @param by who took it on
     * @param title makes a step's title the entry's
     */
    public static List<AsBuilt.Entry> record(
            BuildPlan plan, Set<Has> has, Supplier<String> ids, String at, String by, Function<String, String> title) {
        List<AsBuilt.Entry> record = new ArrayList<>();
        for (BuildPlan.PlanStep step : plan.steps()) {
            Feature feature = step.operation().feature();
            if (!has.isEmpty() && (Has.SHAPE.is(feature) || has.stream().anyMatch(h -> h.is(feature)))) {
                AsBuilt.Done done = step.asDone(ids.get(), at, by);
                record.add(new AsBuilt.Done(
                        done.id(),
                        done.at(),
                        done.by(),
                        done.operation(),
                        title.apply(done.title()),
                        done.face(),
                        done.changes(),
                        done.expected()));
            }
        }
        if (!record.isEmpty()) {
            record.add(new AsBuilt.Reading(
                    ids.get(),
                    at,
                    by,
                    Optional.empty(),
                    Dimension.BODY_THICKNESS,
                    plan.build().design().thickness()));
        }
        return record;
    }
}
