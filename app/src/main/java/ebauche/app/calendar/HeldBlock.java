package ebauche.app.calendar;

import ebauche.core.calendar.Block;
import ebauche.core.calendar.BodyWork;
import ebauche.core.calendar.Timetable;
import java.util.Optional;

/**
 * A block that is looked at.
 *
 * @param body id of its body
 * @param name of the body
 * @param place in its body's work
 * @param slot where it stands; empty where it has no place
 * @param why it has none
 * @param step under which something was said of it by hand, or would be
 * @param mark the last word on it
 */
public record HeldBlock(
        String body,
        String name,
        int place,
        BodyWork.Part part,
        Optional<Timetable.Slot> slot,
        Optional<Timetable.Why> why,
        String step,
        Mark mark) {

    /** The block of a body with a step; empty where that step is done, or there is none. */
    static Optional<HeldBlock> of(Timetables.Shown shown, String body, String step) {
        if (!shown.byId().containsKey(body) || shown.table().isEmpty()) {
            return Optional.empty();
        }
        return shown.bodies().bodies().stream()
                .filter(b -> b.id().equals(body))
                .findFirst()
                .flatMap(b -> b.work()
                        .with(step)
                        .map(part ->
                                of(shown, b.id(), b.name(), b.work().parts().indexOf(part), part)));
    }

    private static HeldBlock of(Timetables.Shown shown, String body, String name, int place, BodyWork.Part part) {
        Timetable table = shown.table().orElseThrow();
        Marks marks = shown.content().marks();
        long id = shown.byId().get(body).body().id();
        String said = part.pieces().stream()
                .map(Block.Piece::key)
                .filter(k -> marks.of(id, Mark.About.BLOCK, k).kind() != Mark.Kind.FREE)
                .findFirst()
                .orElse(part.name());
        return new HeldBlock(
                body,
                name,
                place,
                part,
                table.slots().stream()
                        .filter(s -> is(table, s.block(), body, part))
                        .findFirst(),
                table.left().stream()
                        .filter(l -> is(table, l.block(), body, part))
                        .map(Timetable.Left::why)
                        .findFirst(),
                said,
                marks.of(id, Mark.About.BLOCK, said));
    }

    private static boolean is(Timetable table, int block, String body, BodyWork.Part part) {
        Block there = table.load().blocks().get(block);
        return there.name().equals(part.name())
                && table.load().jobs().get(there.job()).id().equals(body);
    }

    /** Whether it was put where it stands by hand. */
    public boolean isPut() {
        return mark.kind() == Mark.Kind.PUT;
    }

    public boolean isOut() {
        return mark.kind() == Mark.Kind.OUT;
    }

    /** Whether it was put somewhere by hand and stands elsewhere. */
    public boolean isElsewhere() {
        return isPut()
                && slot.isPresent()
                && mark.pin().orElseThrow().at() != slot.get().from();
    }
}
