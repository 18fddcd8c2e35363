package ebauche.core.calendar;

import ebauche.core.measure.Refusal;
import java.util.List;
import java.util.OptionalLong;

/**
 * What is to be done and with what: all that a timetable follows from. No clock: the moment from which it counts is part of it.
 *
 * @param from no work sooner, minutes since 1970
 * @param hands who works
 * @param things what they work with
 * @param jobs the bodies
 * @param blocks of all bodies
 */
public record Workload(long from, List<Worker> hands, List<Thing> things, List<Job> jobs, List<Block> blocks) {

    /** A hand with its time. */
    public record Worker(Hand hand, Stretches time) {}

    /**
     * A body.
     *
     * @param id by which it is known
     * @param name what it is called
     * @param due when it should be done, minutes since 1970
     */
    public record Job(String id, String name, OptionalLong due) {}

    public Workload {
        hands = List.copyOf(hands);
        things = List.copyOf(things);
        jobs = List.copyOf(jobs);
        blocks = List.copyOf(blocks);
        for (Block block : blocks) {
            Refusal.unless(block.job() >= 0 && block.job() < jobs.size(), "job", "a block is of one of the bodies");
            for (Block.After after : block.after()) {
                Refusal.unless(
                        after.block() >= 0
                                && after.block() < blocks.size()
                                && blocks.get(after.block()).job() == block.job()
                                && after.rest() >= 0,
                        "after",
                        "a block comes after another of its body");
            }
        }
    }

    /** The same blocks, done otherwise. */
    public Workload with(List<Block> others) {
        return new Workload(from, hands, things, jobs, others);
    }

    /** The same with other hands. */
    public Workload by(List<Worker> others) {
        return new Workload(from, others, things, jobs, blocks);
    }

    /** The same with other things. */
    public Workload having(List<Thing> others) {
        return new Workload(from, hands, others, jobs, blocks);
    }
}
