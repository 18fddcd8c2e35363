package ebauche.app.blank;

import ebauche.app.body.Bodies;
import ebauche.app.body.BodyStore;
import ebauche.app.timber.BoardStore;
import ebauche.app.web.Stale;
import ebauche.core.design.BlankLayer;
import ebauche.core.layout.Layout;
import ebauche.core.timber.Species;
import ebauche.exchange.design.BlankReader;
import ebauche.exchange.file.OwnTimbers;
import ebauche.exchange.table.TimberFile;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Keeps a laid out blank in its body's design, and how it is cut; both or neither. */
@Service
public class BlankKeeping {
    private final BodyStore bodies;
    private final BoardStore boards;
    private final CutPlanStore cutPlans;

    BlankKeeping(BodyStore bodies, BoardStore boards, CutPlanStore cutPlans) {
        this.bodies = bodies;
        this.boards = boards;
        this.cutPlans = cutPlans;
    }

    /**
     * Keeps what was planned.
     *
     * @param base revision that it was planned for
     * @param planned complete
     * @throws Stale if the body has another revision by now
     */
    @Transactional
    public void keep(Bodies.Current current, int base, BlankPlanning.Planned planned, String by) {
        List<Layout> layers = new ArrayList<>();
        planned.core().ifPresent(c -> layers.add(c.layout()));
        planned.top().ifPresent(t -> layers.add(t.layout()));
        bodies.save(current.body(), base, file(current, planned), by);
        cutPlans.keep(
                current.body(), CutPlan.of(layers, boards.rack(current.body().shop())), by);
    }

    private static ObjectNode file(Bodies.Current current, BlankPlanning.Planned planned) {
        ObjectNode file = current.revision().file().deepCopy();
        file.withObject("/design").set("blank", BlankReader.write(planned.blank()));
        Stream.concat(planned.core().stream(), planned.top().stream())
                .map(LaidOut::layer)
                .map(BlankLayer::species)
                .filter(s -> !TimberFile.SHIPPED.all().contains(s))
                .forEach(s -> carry(file, s));
        return file;
    }

    /** A timber of the shop's own goes with the file, so that it can be read anywhere. */
    private static void carry(ObjectNode file, Species species) {
        ArrayNode timbers = file.withObject("/shop").withArray("timbers");
        for (JsonNode t : timbers) {
            if (t.path("key").asString("").equals(species.key())) {
                return;
            }
        }
        timbers.add(OwnTimbers.write(species));
    }
}
