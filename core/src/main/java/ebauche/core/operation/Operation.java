package ebauche.core.operation;

import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.shop.Habit;
import ebauche.core.stock.Change;
import ebauche.core.stock.WoodLeft;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * One step at the bench.
 *
 * @param key its lasting name, with the feature of the design that it makes
 * @param work the kind of work
 * @param title an instruction
 * @param face which face is up
 * @param setting tool and figure
 * @param changes to the wood, exact
 * @param needs what must hold when it starts, each once
 * @param gives what holds after it
 * @param spoils what it takes away by declaration; cuts take away more by where they are
 * @param joins features that this one is meant to break into
 * @param opening where what it cuts is meant to break out of the edge, if it is
 * @param places where it marks, drills or draws, in the order of marking
 * @param inspections what to measure
 * @param cautions what can go wrong
 * @param ticks what is looked at and ticked before it may be called done, as nobody can look afterwards
 * @param onCore whether it is done on the core, before its top: whatever is done on the whole blank comes after it, so it spoils none of that
 * @param habits small habits of the shop that its card reminds of
 * @param handsOnMinutes of work
 * @param waitMinutes before what follows may start
 * @param risk chance of spoiling the body, or of finding it spoiled by what was done before, 0 to 1
 */
public record Operation(
        StepKey key,
        Work work,
        String title,
        Face face,
        Setting setting,
        List<Change> changes,
        List<Condition> needs,
        List<Condition> gives,
        List<Condition> spoils,
        Set<Feature> joins,
        Optional<WoodLeft.Opening> opening,
        List<Place> places,
        List<Inspection> inspections,
        List<Caution> cautions,
        List<String> ticks,
        boolean onCore,
        List<Habit> habits,
        int handsOnMinutes,
        int waitMinutes,
        double risk) {

    public Operation {
        changes = List.copyOf(changes);
        needs = needs.stream().distinct().toList();
        gives = List.copyOf(gives);
        spoils = List.copyOf(spoils);
        joins = Set.copyOf(joins);
        places = List.copyOf(places);
        inspections = List.copyOf(inspections);
        cautions = List.copyOf(cautions);
        ticks = List.copyOf(ticks);
        habits = List.copyOf(habits);
    }

    /** The feature of the design that it makes. */
    public Feature feature() {
        return key.feature();
    }

    /** Whether it takes wood away that cannot be put back. */
    public boolean cannotBeTakenBack() {
        return changes.stream().anyMatch(Change.Remove.class::isInstance);
    }

    /** The same step with one more need. */
    public Operation needing(Condition more) {
        return needing(List.of(more));
    }

    /** The same step with more needs. */
    public Operation needing(List<Condition> more) {
        return same().needs(more.toArray(Condition[]::new)).build();
    }

    /** The same step without needs that nothing gives. */
    public Operation notNeeding(Set<Condition> never) {
        Builder step = same();
        step.needs.removeAll(never);
        return step.build();
    }

    /** The same step, its card reminding of habits. */
    public Operation remindingOf(List<Habit> kept) {
        Builder step = same();
        step.habits.addAll(kept);
        return step.build();
    }

    /** The same step with more to mind. */
    public Operation minding(List<Caution> more) {
        return same().caution(more.toArray(Caution[]::new)).build();
    }

    /** The same step with other things to measure. */
    public Operation measuring(List<Inspection> instead) {
        Builder step = same();
        step.inspections.clear();
        instead.forEach(step::inspect);
        return step.build();
    }

    /** The same step, what it cuts meant to break out of the edge. */
    public Operation opening(WoodLeft.Opening where) {
        return same().opens(Optional.of(where)).build();
    }

    /** The same step, set up otherwise. */
    public Operation with(Setting how) {
        return same().set(how).build();
    }

    /** What is measured, as this step calls it: by the name that its place has here. */
    public String called(Measurand measured) {
        return measured instanceof Measurand.WoodAt wood
                ? places.stream()
                        .filter(p -> p.at().equals(wood.at()))
                        .findFirst()
                        .map(p -> "body thickness at " + p.name())
                        .orElseGet(measured::label)
                : measured.label();
    }

    private Builder same() {
        Builder step = of(work, key, title).face(face).set(setting).joins(joins).opens(opening);
        step.changes.addAll(changes);
        step.needs.addAll(needs);
        step.gives.addAll(gives);
        step.spoils.addAll(spoils);
        step.places.addAll(places);
        step.inspections.addAll(inspections);
        step.cautions.addAll(cautions);
        step.ticks.addAll(ticks);
        step.onCore = onCore;
        step.habits.addAll(habits);
        return step.takes(handsOnMinutes, waitMinutes, risk);
    }

    public static Builder of(Work work, Feature feature, StepKind step, String title) {
        return of(work, StepKey.of(feature, step), title);
    }

    public static Builder of(Work work, StepKey key, String title) {
        return new Builder(work, key, title);
    }

    /** Gathers an operation in the order in which one thinks of it. */
    public static final class Builder {
        private final Work work;
        private final StepKey key;
        private final String title;
        private Face face = Face.FRONT;
        private Setting setting = new Setting.ByHand("");
        private final List<Change> changes = new ArrayList<>();
        private final List<Condition> needs = new ArrayList<>();
        private final List<Condition> gives = new ArrayList<>();
        private final List<Condition> spoils = new ArrayList<>();
        private final Set<Feature> joins = new TreeSet<>();
        private Optional<WoodLeft.Opening> opening = Optional.empty();
        private final List<Place> places = new ArrayList<>();
        private final List<Inspection> inspections = new ArrayList<>();
        private final List<Caution> cautions = new ArrayList<>();
        private final List<String> ticks = new ArrayList<>();
        private boolean onCore;
        private final List<Habit> habits = new ArrayList<>();
        private int handsOn;
        private int wait;
        private double risk;

        private Builder(Work work, StepKey key, String title) {
            this.work = work;
            this.key = key;
            this.title = title;
        }

        public Builder face(Face up) {
            face = up;
            return this;
        }

        public Builder set(Setting how) {
            setting = how;
            return this;
        }

        public Builder cuts(Change change) {
            changes.add(change);
            return this;
        }

        public Builder needs(Condition... conditions) {
            needs.addAll(List.of(conditions));
            return this;
        }

        public Builder gives(Condition... conditions) {
            gives.addAll(List.of(conditions));
            return this;
        }

        public Builder spoils(Condition... conditions) {
            spoils.addAll(List.of(conditions));
            return this;
        }

        public Builder joins(Set<Feature> features) {
            joins.addAll(features);
            return this;
        }

        public Builder opens(Optional<WoodLeft.Opening> where) {
            opening = where;
            return this;
        }

        /** A place that it marks, drills or draws through. */
        public Builder at(Place place) {
            places.add(place);
            return this;
        }

        public Builder at(String name, Point where) {
            return at(new Place(name, where));
        }

        public Builder inspect(Inspection inspection) {
            inspections.add(inspection);
            return this;
        }

        public Builder caution(Caution... said) {
            cautions.addAll(List.of(said));
            return this;
        }

        /** What is looked at and ticked before it may be called done. */
        public Builder tick(List<String> said) {
            ticks.addAll(said);
            return this;
        }

        /** Done on the core, before its top. */
        public Builder onCore() {
            onCore = true;
            return this;
        }

        /** Minutes of work, minutes of waiting after it, and the chance of spoiling the body, or of finding it spoiled. */
        public Builder takes(int handsOnMinutes, int waitMinutes, double chance) {
            handsOn = handsOnMinutes;
            wait = waitMinutes;
            risk = chance;
            return this;
        }

        public Operation build() {
            List<Caution> minded = new ArrayList<>(cautions);
            setting.cautions().stream().filter(c -> !cautions.contains(c)).forEach(minded::add);
            return new Operation(
                    key,
                    work,
                    title,
                    face,
                    setting,
                    changes,
                    needs,
                    gives,
                    spoils,
                    joins,
                    opening,
                    places,
                    inspections,
                    minded,
                    ticks,
                    onCore,
                    habits,
                    handsOn,
                    wait,
                    risk);
        }
    }
}
