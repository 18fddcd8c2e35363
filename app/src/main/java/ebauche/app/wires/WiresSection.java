package ebauche.app.wires;

import ebauche.app.drawing.Svg;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.channel.BoreLook;
import ebauche.core.channel.BoreSection;
import ebauche.core.geometry.Face;
import ebauche.core.hardware.Channel;
import ebauche.core.job.FinishedFaces;
import ebauche.core.measure.Decimals;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.WoodLeft;

/** The body cut along a channel, true to scale both ways: its wood, the hole, drill and chuck, and how far the bit may stray. */
final class WiresSection {
    private static final double WIDTH = 800;
    private static final double MARGIN = 16;

    /** Shown before and behind the channel, and over the front, mm. */
    private static final double BEFORE = 70;

    private static final double AFTER = 24;
    private static final double OVER = 18;
    private static final double UNDER = 9;

    /** No taller than so. */
    private static final double TALLEST = 190;

    /** So many spreads to either side the bit is hardly ever off. */
    private static final double SPREADS = 2;

    private final BoreLook look;
    private final Channel channel;
    private final FinishedFaces faces;
    private final Figures fig;
    private final double scale;
    private final double left;

    private WiresSection(BoreLook look, Figures fig) {
        this.look = look;
        this.fig = fig;
        this.channel = look.run().channel();
        this.faces = look.run().build().faces();
        double long_ = BEFORE + channel.across() + AFTER;
        this.scale = Math.min((WIDTH - 2 * MARGIN) / long_, TALLEST / (OVER + faces.thickness() + UNDER));
        this.left = (WIDTH - long_ * scale) / 2;
    }

    static BoreSection wood(BoreLook look, BuildPlan plan) {
        return BoreSection.of(look.run().build(), plan.history(), look.run().channel(), BEFORE, AFTER);
    }

    static String of(BoreLook look, BoreSection wood, Figures fig) {
        return new WiresSection(look, fig).drawn(wood);
    }

    private double x(double along) {
        return left + (BEFORE + along) * scale;
    }

    /** Of a depth under the finished front. */
    private double y(double under) {
        return (OVER + under) * scale;
    }

    private String drawn(BoreSection wood) {
        double thick = faces.thickness();
        Svg svg = new Svg(
                WIDTH,
                (OVER + thick + UNDER) * scale,
                "bore-section",
                Words.say("wires-section.the-body-cut-along-the-channel"));
        svg.attribute("data-scale", Decimals.plain(scale, 6)).attribute("data-top", Decimals.plain(y(0), 4));
        StringBuilder data = new StringBuilder();
        for (BoreSection.Slice slice : wood.slices()) {
            for (int i = 0; i < slice.solid().length; i += 2) {
                double half = BoreSection.STRIDE / 2 * scale + 0.2;
                data.append('M')
                        .append(Svg.n(x(slice.along()) - half))
                        .append(' ')
                        .append(Svg.n(y(slice.solid()[i] - faces.frontFinished())));
                data.append('H').append(Svg.n(x(slice.along()) + half));
                data.append('V').append(Svg.n(y(slice.solid()[i + 1] - faces.frontFinished())));
                data.append('H').append(Svg.n(x(slice.along()) - half)).append('Z');
            }
        }
        svg.path("wood", data.toString());
        if (!look.isFact()) {
            fan(svg);
            drill(svg);
        }
        svg.path("hole", strip(0, channel.length(), channel.diameter() / 2));
        tightest(svg, Face.FRONT);
        tightest(svg, Face.BACK);
        if (!look.isFact()) {
            end(svg, "from", 0, channel.fromUnder(), "1");
            end(svg, "to", channel.across(), channel.toUnder(), "2");
        }
        return svg.done();
    }

    /** A strip along the axis, between two places along it. */
    private String strip(double from, double to, double half) {
        double flat = channel.across() / channel.length();
        double down = (channel.toUnder() - channel.fromUnder()) / channel.length();
        StringBuilder data = new StringBuilder();
        double[][] corners = {{from, half}, {to, half}, {to, -half}, {from, -half}};
        for (double[] c : corners) {
            double along = c[0] * flat - c[1] * down;
            double under = channel.fromUnder() + c[0] * down + c[1] * flat;
            data.append(data.isEmpty() ? 'M' : 'L')
                    .append(Svg.n(x(along)))
                    .append(' ')
                    .append(Svg.n(y(under)));
        }
        return data.append('Z').toString();
    }

    /** Where the bit may go, begun off its angle. */
    private void fan(Svg svg) {
        double in = look.run().entersAt();
        double spread = look.spread();
        double length = channel.length() - in;
        double pitch = Math.toRadians(channel.pitch());
        double off = Math.toRadians(SPREADS * spread);
        double flat = channel.across() / channel.length();
        StringBuilder data = new StringBuilder();
        double at = in * flat;
        double under = channel.under(in);
        data.append('M').append(Svg.n(x(at))).append(' ').append(Svg.n(y(under)));
        for (int side = -1; side <= 1; side += 2) {
            double angle = pitch + side * off;
            data.append('L')
                    .append(Svg.n(x(at + length * Math.cos(angle))))
                    .append(' ')
                    .append(Svg.n(y(under + length * Math.sin(angle))));
        }
        svg.path("fan", data.append('Z').toString());
    }

    private void drill(Svg svg) {
        look.heldOut().ifPresent(held -> {
            double in = look.run().entersAt();
            svg.path("drill", strip(in - held, in, channel.diameter() / 2));
            svg.path("chuck", strip(in - held - BoreLook.CHUCK_LONG, in - held, BoreLook.CHUCK));
        });
    }

    /** By the shop's own limit. */
    private boolean isThin(double wood) {
        return look.run().build().shop().limits().tooThin(WoodLeft.Kind.FLOOR, wood);
    }

    private void tightest(Svg svg, Face face) {
        boolean begunThere = BoreLookWords.beginsOn(look, face);
        look.tightest(face).filter(c -> !begunThere).ifPresent(c -> {
            double s = look.run().entersAt() + c.along();
            double flat = channel.across() / channel.length();
            double half = channel.diameter() / 2 * flat;
            int side = face == Face.FRONT ? -1 : 1;
            double from = channel.under(s) + side * half;
            double to = from + side * c.wood();
            svg.line(isThin(c.wood()) ? "least bad" : "least", x(s * flat), y(from), x(s * flat), y(to));
            double at = face == Face.FRONT ? y(Math.min(from, to)) - 6 : y(Math.max(from, to)) + 18;
            svg.figure("figure", x(s * flat), at, "middle", Figures.parts(fig.brief(c.wood())));
        });
    }

    private void end(Svg svg, String name, double along, double under, String number) {
        svg.open("g", "class", "depth-end", "data-end", name, "tabindex", "0", "role", "button");
        svg.attribute("data-under", Svg.n(under));
        svg.attribute("aria-label", Words.say("wires-section.depth-of-" + name));
        svg.circle("grab", x(along), y(under), 22);
        svg.circle("grip", x(along), y(under), 8);
        svg.text("letter", x(along), y(under) + 4.5, "middle", number);
        svg.close();
    }
}
