package ebauche.core.fit;

import static ebauche.core.hardware.PartSize.*;

import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartSize;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Reckoning;
import ebauche.core.shop.Clearances;
import java.util.ArrayList;
import java.util.List;

/**
 * What a bridge asks of the wood: its studs, its recess, a vibrato route. Millimetres; each number with its sum.
 */
public record BridgeFit(PartSizes sizes, Clearances room) {
    Bridge fit(Bridge bridge) {
        Bridge known = fitPart(bridge);
        return bridge.stringThrough()
                .flatMap(Bridge.StringThrough::ferrule)
                .map(f -> sizes.fitted(Bridge.FERRULES, f, known::withFerrule))
                .orElse(known);
    }

    private Bridge fitPart(Bridge bridge) {
        if (bridge.part().isEmpty()) {
            return bridge;
        }
        Part part = sizes.known(Bridge.FEATURE, bridge.part().get());
        return bridge.with(
                part.get(LOWEST_SADDLE),
                part.get(HIGHEST_SADDLE),
                part.get(SADDLE_TRAVEL),
                part.get(ACROSS),
                part.get(ALONG),
                part.size(RECESS).orElse(0),
                bridge.studs()
                        .map(s -> new Bridge.Studs(
                                part.get(STUD_SPACING), s.y(), part.get(STUD_DIAMETER), part.get(STUD_DEPTH))),
                bridge.vibrato()
                        .map(v -> new Bridge.Vibrato(
                                part.get(BLOCK_LENGTH),
                                v.blockClearance(),
                                routeAcross(bridge).value(),
                                routeAlong(bridge).value(),
                                v.routeY(),
                                v.springsAcross(),
                                v.springsAlong(),
                                v.springsY(),
                                v.springsDepth())));
    }

    /** How deep a bridge's plate is let in: typed, or as its part wants it. */
    public Reckoning recess(Bridge bridge) {
        return asPart(bridge, RECESS, "bridge recess depth", bridge.recess());
    }

    /** Depth of a bridge stud holes: typed, or as long as their bushings. */
    public Reckoning studDepth(Bridge bridge) {
        return asPart(
                bridge,
                STUD_DEPTH,
                "stud hole depth",
                bridge.studs().orElseThrow().depth());
    }

    private Reckoning asPart(Bridge bridge, PartSize size, String what, double typed) {
        return bridge.part()
                .filter(part -> part.has(size))
                .map(part -> sizes.size(Bridge.FEATURE, part, size))
                .map(fact -> PartSizes.sum(what).length(size.words(), fact).is(fact.value(), size.words()))
                .orElseGet(() -> Reckoning.typed(what, typed));
    }

    /** Width of a vibrato route. */
    public Reckoning routeAcross(Bridge bridge) {
        Fact block = sizes.size(Bridge.FEATURE, bridge.part().orElseThrow(), BLOCK_ACROSS);
        return PartSizes.sum("vibrato route across")
                .length("block across", block)
                .length("room on each side", PartSizes.shops(room.block()))
                .is(block.value() + 2 * room.block(), "block across + 2 × room on each side");
    }

    /** Length of a vibrato route: the block and all that its end swings. */
    public Reckoning routeAlong(Bridge bridge) {
        Part part = bridge.part().orElseThrow();
        Fact block = sizes.size(Bridge.FEATURE, part, BLOCK_ALONG);
        Fact swing = sizes.size(Bridge.FEATURE, part, SWING);
        return PartSizes.sum("vibrato route along")
                .length("block along", block)
                .length("the block's end swings, in all", swing)
                .length("room on each side", PartSizes.shops(room.block()))
                .is(
                        block.value() + swing.value() + 2 * room.block(),
                        "block along + the block's end swings, in all + 2 × room on each side");
    }

    /** The numbers that follow from a bridge that has a part. */
    List<Reckoning> sums(Bridge bridge) {
        List<Reckoning> sums = new ArrayList<>();
        Part part = bridge.part().orElseThrow();
        if (part.kind().isVibrato()) {
            sums.addAll(List.of(routeAcross(bridge), routeAlong(bridge)));
        }
        if (part.has(RECESS)) {
            sums.add(recess(bridge));
        }
        if (bridge.studs().isPresent()) {
            sums.add(studDepth(bridge));
        }
        return sums;
    }
}
