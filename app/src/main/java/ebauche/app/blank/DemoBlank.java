package ebauche.app.blank;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.body.Body;
import ebauche.core.measure.LengthUnit;
import org.springframework.stereotype.Component;

/** In the demo shop one body's blank is laid out of the rack and kept, its boards still to be cut. */
@Component
public class DemoBlank {
    private final Bodies bodies;
    private final BlankPlanning planning;
    private final BlankKeeping keeping;

    DemoBlank(Bodies bodies, BlankPlanning planning, BlankKeeping keeping) {
        this.bodies = bodies;
        this.planning = planning;
        this.keeping = keeping;
    }

    /** Keeps the layout that the planner puts first; to be called once the rack is filled. */
    public void lay(Maker maker, Body body) {
        Bodies.Current current = bodies.current(body);
        BlankPlanning.Planned planned = planning.plan(
                current, BlankChoice.USUAL.orDesigned(current.plan().build()), LengthUnit.MILLIMETRE);
        keeping.keep(current, current.revision().number(), planned, maker.name());
    }
}
