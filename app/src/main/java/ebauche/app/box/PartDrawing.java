package ebauche.app.box;

import static ebauche.core.hardware.PartSize.*;

import ebauche.app.drawing.Svg;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartSize;

/**
 * A part from the side, as it stands to the front: the line is the front, what is under it wants wood cut away. All parts
 * are drawn to one scale.
 */
public final class PartDrawing {
    private static final double SCALE = 2;
    private static final double SHEET_WIDTH = 220;
    private static final double SHEET_HEIGHT = 132;
    private static final double FRONT = 44;
    private static final double MIDDLE = SHEET_WIDTH / 2;

    /** A pickup is drawn standing this much over the front, mm: common practice. */
    private static final double PROUD = 4;

    /** The line under which something shallower needs no figure of its own, mm. */
    private static final double FLAT = 2;

    private final Part part;
    private final Svg svg;

    private PartDrawing(Part part) {
        this.part = part;
        this.svg = new Svg(
                SHEET_WIDTH,
                SHEET_HEIGHT,
                "part-side",
                Words.say("part-drawing.from-the-side-as-it-stands", part.name()));
    }

    public static String of(Part part, Figures fig) {
        PartDrawing drawing = new PartDrawing(part);
        drawing.svg.rect("wood", 0, FRONT, SHEET_WIDTH, SHEET_HEIGHT - FRONT);
        drawing.draw();
        drawing.svg.line("front", 0, FRONT, SHEET_WIDTH, FRONT);
        drawing.depth(fig);
        return drawing.svg.done();
    }

    private double size(PartSize size) {
        return part.size(size).orElse(0);
    }

    /** A box across the middle between two depths, less than nought over the front. */
    private void box(String css, double across, double from, double to) {
        svg.rect(css, MIDDLE - across * SCALE / 2, FRONT + from * SCALE, across * SCALE, (to - from) * SCALE);
    }

    private void draw() {
        switch (part.kind()) {
            case POT, TOGGLE_SWITCH -> {
                box("metal", size(BUSHING), -size(NUT), size(THREAD) - size(NUT));
                box("metal", size(BUSHING) * 1.5, -size(NUT), 0);
                box("metal", size(ACROSS), size(THREAD) - size(NUT), size(THREAD) - size(NUT) + size(BELOW));
            }
            case BLADE_SWITCH -> {
                box("metal", size(SLOT_WIDTH), -9, size(THICKEST_TOP));
                box("metal", size(ACROSS), size(THICKEST_TOP), size(THICKEST_TOP) + size(BELOW));
            }
            case PICKUP -> {
                box("metal", size(ACROSS), -PROUD, size(HEIGHT) - PROUD);
                if (part.has(LEGS_ACROSS)) {
                    legs(size(HEIGHT) - PROUD);
                }
            }
            case COVER -> box("metal", 60, 0, size(THICKNESS));
            case JACK_DISH -> {
                box("metal", 60, -size(THICKNESS), 0);
                box("metal", 20, 0, size(BELOW));
            }
            case JACK -> box("metal", size(HOLE), 0, part.has(BELOW) ? size(BELOW) : size(HOLE));
            case FERRULE -> box("metal", size(DIAMETER), 0, size(LENGTH));
            case NECK_FERRULE -> {
                box("metal", size(DIAMETER), 0, size(LENGTH));
                box("travel", size(DIAMETER) * 0.7, 0, size(HEAD_SUNK));
            }
            case HEEL_INSERT, INSERT, STRAP_BUTTON -> box("metal", size(HOLE), 0, size(LENGTH));
            default -> bridge();
        }
    }

    private void legs(double base) {
        double over = size(LEGS_ACROSS) * SCALE / 2;
        double wide = (size(LEGS_ACROSS) - size(ACROSS)) * SCALE / 2;
        double top = FRONT + (base - 2) * SCALE;
        double deep = (size(LEGS_BELOW) + 2) * SCALE;
        svg.rect("metal", MIDDLE - over, top, wide, deep);
        svg.rect("metal", MIDDLE + over - wide, top, wide, deep);
    }

    private void bridge() {
        box("metal", size(ACROSS), -Math.max(2, size(LOWEST_SADDLE) - size(RECESS) - 3), size(RECESS));
        box("travel", size(ACROSS) * 0.7, size(RECESS) - size(HIGHEST_SADDLE), size(RECESS) - size(LOWEST_SADDLE));
        if (part.has(BLOCK_LENGTH)) {
            box("metal", size(BLOCK_ACROSS), size(RECESS), size(BLOCK_LENGTH));
        }
        if (part.has(STUD_SPACING)) {
            double side = size(STUD_SPACING) * SCALE / 2;
            double wide = size(STUD_DIAMETER) * SCALE;
            svg.rect("metal", MIDDLE - side - wide / 2, FRONT, wide, size(STUD_DEPTH) * SCALE);
            svg.rect("metal", MIDDLE + side - wide / 2, FRONT, wide, size(STUD_DEPTH) * SCALE);
        }
    }

    /** How far it reaches under the front. */
    private double below() {
        return switch (part.kind()) {
            case POT, TOGGLE_SWITCH -> size(THREAD) - size(NUT) + size(BELOW);
            case BLADE_SWITCH -> size(THICKEST_TOP) + size(BELOW);
            case PICKUP -> size(HEIGHT) - PROUD + size(LEGS_BELOW);
            case COVER -> size(THICKNESS);
            case JACK, JACK_DISH -> size(BELOW);
            case FERRULE, NECK_FERRULE, HEEL_INSERT, INSERT, STRAP_BUTTON -> size(LENGTH);
            default -> Math.max(size(BLOCK_LENGTH), Math.max(size(STUD_DEPTH), size(RECESS)));
        };
    }

    private void depth(Figures fig) {
        double below = below();
        if (below > FLAT) {
            double y = FRONT + below * SCALE;
            svg.line("reach-line", 8, y, SHEET_WIDTH - 8, y);
            svg.figure("figure", SHEET_WIDTH - 10, y + 16, "end", Figures.parts(fig.length(below)));
        }
    }
}
