package ebauche.app.design;

import ebauche.app.body.Bodies;
import ebauche.app.body.Revision;
import ebauche.core.job.Build;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.design.Additions;
import ebauche.exchange.json.BuildFileException;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.node.ObjectNode;

/**
 * What stands in the form of a design.
 *
 * @param design as typed, with the parts that are marked to be left out
 * @param base revision that is edited, and that the next one follows
 * @param from revision whose design was taken up: the base, or an earlier one to go back to
 * @param leaveOut places of the parts that are marked
 * @param typed as it was sent
 * @param troubles what is wrong, by field
 */
record Draft(
        ObjectNode design,
        int base,
        Revision from,
        List<String> leaveOut,
        Map<String, String> typed,
        Map<String, String> troubles) {

    /** The design of a revision as it is, to be edited over another. */
    static Draft of(int base, Revision from) {
        return new Draft(from.design().deepCopy(), base, from, List.of(), Map.of(), Map.of());
    }

    /** Whether what would be kept is what was saved last. */
    boolean isAsKept(Bodies.Current current) {
        return isUntouched(current)
                || (troubles.isEmpty() && file().equals(current.revision().file()));
    }

    /** Whether it is the design as it was saved last, with nothing in it that is to be left out. */
    boolean isUntouched(Bodies.Current current) {
        return troubles.isEmpty()
                && leaveOut.isEmpty()
                && from.file().equals(current.revision().file())
                && design.equals(current.revision().design());
    }

    /** What was typed over a revision's design. */
    static Draft typed(int base, Revision from, List<String> leaveOut, Map<String, String> typed, LengthUnit unit) {
        ObjectNode skeleton = Additions.shown(from.design(), typed);
        return new Draft(
                DesignEdit.apply(skeleton, typed, unit),
                base,
                from,
                leaveOut,
                typed,
                DesignEdit.troubles(skeleton, typed, unit));
    }

    /** The design that would be kept. */
    ObjectNode kept() {
        return DesignEdit.without(design, leaveOut);
    }

    /** The file that would be kept: with the design goes how this one body is glued, as that revision has it. */
    ObjectNode file() {
        ObjectNode file = from.file().deepCopy();
        file.set("design", kept());
        return file;
    }

    Draft with(Map<String, String> found) {
        return new Draft(design, base, from, leaveOut, typed, found);
    }

    /**
     * What it means for a body.
     *
     * @throws BuildFileException with the place and the reason, if it means nothing
     */
    Build build(Bodies.Current current) {
        return DesignKeeping.build(current, file());
    }

    /** The same with what is wrong: every length that is none, else the first thing that the design refuses. */
    Draft judged(Bodies.Current current) {
        if (!troubles.isEmpty()) {
            return this;
        }
        try {
            build(current);
            return this;
        } catch (BuildFileException e) {
            return with(Map.of(DesignEdit.field(e.place()), e.getMessage()));
        }
    }
}
