package ebauche.app.design;

import ebauche.app.body.Bodies;
import ebauche.app.body.BodyStore;
import ebauche.app.web.Stale;
import ebauche.core.job.Build;
import ebauche.exchange.json.BuildFileException;
import org.springframework.stereotype.Service;
import tools.jackson.databind.node.ObjectNode;

/** A part of a design tried and kept: judged whole by the file's reader before a revision is made of it. */
@Service
public class DesignKeeping {
    private final BodyStore store;

    DesignKeeping(BodyStore store) {
        this.store = store;
    }

    /** The body's file, to be changed. */
    public static ObjectNode file(Bodies.Current current) {
        return current.revision().file().deepCopy();
    }

    /**
     * What a changed file means.
     *
     * @throws BuildFileException with the place and the reason, if it means nothing
     */
    public static Build build(Bodies.Current current, ObjectNode file) {
        return Bodies.build(file, current.ways(), current.plan().build().asBuilt());
    }

    /**
     * Keeps a changed file as the next revision.
     *
     * @throws BuildFileException if it means nothing
     * @throws Stale if somebody kept another meanwhile
     */
    public void keep(Bodies.Current current, int base, ObjectNode file, String by) {
        build(current, file);
        store.save(current.body(), base, file, by);
    }

    /** The outline of the design, as path data in millimetres. */
    public static void outline(ObjectNode file, String path) {
        file.withObject("/design").putObject("outline").put("unit", "mm").put("path", path);
    }
}
