package ebauche.app.whatif;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import ebauche.app.body.Bodies;
import ebauche.app.box.Box;
import ebauche.app.design.DesignKeeping;
import ebauche.app.ways.Ways;
import ebauche.core.job.Build;
import ebauche.core.measure.LengthUnit;
import java.util.Map;
import org.springframework.stereotype.Service;
import tools.jackson.databind.node.ObjectNode;

/**
 * What-ifs planned. A trial is a pure function of the body as it stands and of what is asked, so the last few are kept in
 * memory: a section line dragged over a moved cavity is not planned anew for every place.
 */
@Service
public class Trials {
    private static final int KEPT = 8;

    private final Cache<Key, Trial> known =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    private record Key(
            long body, int revision, int entries, Ways.State ways, LengthUnit bare, Map<String, String> asked) {}

    /**
     * What is asked, built and not planned, for a hand that is still moving.
     *
     * @throws BuildFileException if it cannot be read
     */
    public Build build(Bodies.Current current, WhatIfQuestion asked, LengthUnit bare) {
        ObjectNode file = DesignKeeping.file(current);
        asked.into(file.withObject("/design"), Box.of(current.ways()), bare);
        return DesignKeeping.build(current, file);
    }

    public Trial of(Bodies.Current current, WhatIfQuestion asked, LengthUnit bare) {
        Key key = new Key(
                current.body().id(),
                current.revision().number(),
                current.plan().build().asBuilt().timeline().size(),
                current.ways().state(),
                bare,
                asked.fields());
        return known.get(key, k -> Trial.of(current, asked, bare));
    }
}
