package ebauche.app.blank;

import ebauche.app.body.Bodies;
import ebauche.app.body.BodyStore;
import ebauche.app.timber.BoardStore;
import ebauche.app.web.Stale;
import ebauche.core.design.BlankLayer;
import ebauche.core.layout.Layout;
import ebauche.core.timber.Board;
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
        keep(current, base, planned, List.of(), by);
    }

    /**
     * Keeps the blanks of several bodies that were laid out together, all or none.
     *
     * @param bases revision that each was planned for, in their order
     */
    @Transactional
    public void keep(BlankPlanning.Together together, List<Integer> bases, String by) {
        List<Board> toCome = new ArrayList<>();
        for (int i = 0; i < together.bodies().size(); i++) {
            BlankPlanning.OfBody one = together.bodies().get(i);
            keep(one.current(), bases.get(i), one.planned(), List.copyOf(toCome), by);
            layers(one.planned()).forEach(l -> toCome.addAll(l.offcuts()));
        }
    }

    private void keep(Bodies.Current current, int base, BlankPlanning.Planned planned, List<Board> toCome, String by) {
        List<Layout> layers = layers(planned);
        bodies.save(current.body(), base, file(current, planned), by);
        cutPlans.keep(
                current.body(), CutPlan.of(layers, boards.rack(current.body().shop()), toCome), by);
    }

    private static List<Layout> layers(BlankPlanning.Planned planned) {
        return Stream.concat(planned.core().stream(), planned.top().stream())
                .map(LaidOut::layout)
                .toList();
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
