package ebauche.core.channel;

import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Channel;
import ebauche.core.job.Build;
import ebauche.core.job.History;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * The finished body cut upright along a channel, without the channel: what its faces and all else that is cut leave.
 *
 * @param slices from before the channel to behind it
 */
public record BoreSection(List<Slice> slices) {
    /** One slice for so much of it, mm. */
    public static final double STRIDE = 0.5;

    /**
     * The wood at one place.
     *
     * @param along on the plan from where the channel begins, mm; before it less than nought
     * @param solid top, bottom, top, bottom ... depths in the stock, mm; nothing beside the body
     */
    @SuppressWarnings("ArrayRecordComponent") // drawn, never compared
    public record Slice(double along, double[] solid) {}

    public BoreSection {
        slices = List.copyOf(slices);
    }

    /**
     * Along a channel.
     *
     * @param before how far ahead of where the channel begins it starts, mm on the plan
     * @param after how far it goes on behind where the channel ends
     */
    public static BoreSection of(Build build, History history, Channel channel, double before, double after) {
        Around around = new Around(build, history, f -> f.equals(channel.feature()));
        double across = channel.across();
        List<Solid> near = near(around, channel, before, after);
        List<Slice> slices = new ArrayList<>();
        for (double s = -before + STRIDE / 2; s < across + after; s += STRIDE) {
            slices.add(new Slice(s, solid(around, near, channel.from().towards(channel.to(), s / across))));
        }
        return new BoreSection(slices);
    }

    /** All that is cut whose box the way of the section may cross. */
    private static List<Solid> near(Around around, Channel channel, double before, double after) {
        double across = channel.across();
        Point first = channel.from().towards(channel.to(), -before / across);
        Point last = channel.from().towards(channel.to(), 1 + after / across);
        return around.features().stream()
                .flatMap(f -> around.of(f).stream())
                .filter(s -> s.plan().minX() <= Math.max(first.x(), last.x())
                        && s.plan().maxX() >= Math.min(first.x(), last.x())
                        && s.plan().minY() <= Math.max(first.y(), last.y())
                        && s.plan().maxY() >= Math.min(first.y(), last.y()))
                .toList();
    }

    private static double[] solid(Around around, List<Solid> near, Point at) {
        if (around.body().outside(at) > 0) {
            return new double[0];
        }
        List<double[]> cut = new ArrayList<>();
        for (Solid solid : near) {
            double[] piece = Line.piece(solid, at);
            if (piece.length > 0) {
                cut.add(piece);
            }
        }
        cut.sort(Comparator.comparingDouble(p -> p[0]));
        List<Double> left = new ArrayList<>();
        double top = around.face(Face.FRONT).depthAt(at);
        double back = around.face(Face.BACK).depthAt(at);
        for (double[] piece : cut) {
            if (piece[0] > top && top < back) {
                left.add(top);
                left.add(Math.min(piece[0], back));
            }
            top = Math.max(top, piece[1]);
        }
        if (top < back) {
            left.add(top);
            left.add(back);
        }
        return left.stream().mapToDouble(d -> d).toArray();
    }
}
