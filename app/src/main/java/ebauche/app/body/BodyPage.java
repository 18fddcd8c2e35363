package ebauche.app.body;

import ebauche.core.plan.BuildPlan;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * What every page of a body shows round its own matter.
 *
 * @param here the body's address
 * @param next title of the step that is next, if one is left
 * @param doneMinutes that are in it
 * @param minutesToGo by the plan
 * @param groups of pages, one of them with the page that is shown
 * @param sheet whether this page can be printed as it stands
 * @param step that things are moved by on a drawing, mm
 */
public record BodyPage(
        int number,
        String name,
        String here,
        Optional<String> next,
        int doneMinutes,
        int minutesToGo,
        List<Places> groups,
        boolean sheet,
        double step) {

    /**
     * A group of pages.
     *
     * @param done share of that kind of work that is done, 0 to 1; empty where it is none
     */
    public record Places(String label, boolean here, Optional<Double> done, List<Place> views) {
        /** Where a press on it leads. */
        public Place first() {
            return views.get(0);
        }
    }

    /** One page. */
    public record Place(String key, String label, String path, boolean here) {}

    static BodyPage of(Bodies.Current current, Optional<BodyView> shown) {
        BuildPlan plan = current.plan();
        String here = current.here();
        List<Places> groups = Arrays.stream(BodyView.Group.values())
                .map(g -> places(g, here, plan, shown))
                .toList();
        return new BodyPage(
                current.body().number(),
                current.name(),
                here,
                plan.next().map(s -> s.operation().title()),
                plan.doneMinutes(),
                plan.totalMinutes() - plan.doneMinutes(),
                groups,
                shown.filter(BodyView::sheet).isPresent(),
                plan.build().shop().practice().laidOutTo());
    }

    private static Places places(BodyView.Group group, String here, BuildPlan plan, Optional<BodyView> shown) {
        List<Place> views = BodyView.of(group).stream()
                .map(v -> new Place(
                        v.key(),
                        v.label(),
                        here + v.path(),
                        shown.filter(v::equals).isPresent()))
                .toList();
        return new Places(
                group.label(),
                shown.filter(v -> v.group() == group).isPresent(),
                group.work().map(plan.schedule()::doneShare),
                views);
    }
}
