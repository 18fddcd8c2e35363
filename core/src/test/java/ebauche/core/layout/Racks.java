package ebauche.core.layout;

import ebauche.core.TestTimber;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.timber.Board;
import ebauche.core.timber.Defect;
import ebauche.core.timber.Rings;
import ebauche.core.timber.Rise;
import ebauche.core.timber.Side;
import ebauche.core.timber.Species;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;

/** Boards and bodies for the layout's tests. */
final class Racks {
    /** A body of 320 x 400 with round corners, a pocket at the neck's end and a rear cavity. */
    static Need need() {
        Region outline = Region.rectangle(new Point(0, 40), 320, 400, 90, 0);
        Region neck = Region.rectangle(new Point(0, 205), 56, 76, 6, 0);
        Region controls = Region.rectangle(new Point(90, -60), 80, 100, 15, 0);
        Region bridge = Region.rectangle(new Point(0, -5), 84, 45, 0, 0);
        return new Need(
                outline,
                44.45,
                47.05,
                0.3,
                List.of(new Pocket(neck, 0, 16), new Pocket(controls, 6, 44.45)),
                bridge,
                Region.EMPTY,
                neck,
                true,
                true);
    }

    /** A top over the same body: 6 thick when finished, its lower face hidden. */
    static Need top() {
        Need body = need();
        return new Need(
                body.outline(),
                6,
                8,
                0.3,
                List.of(new Pocket(body.pockets().get(0).area(), 0, 6)),
                body.coveredFront(),
                Region.EMPTY,
                Region.EMPTY,
                true,
                false);
    }

    private Racks() {}

    static Board board(String name, Species species, double length, double width, double thickness, Defect... defects) {
        return new Board(
                name,
                species,
                false,
                length,
                width,
                thickness,
                Rings.FLAT,
                Optional.of(Side.A),
                Rise.TO_FAR_END,
                0,
                OptionalDouble.empty(),
                List.of(),
                List.of(defects));
    }

    static Board board(String name, double length, double width, double thickness, Defect... defects) {
        return board(name, TestTimber.ASH, length, width, thickness, defects);
    }

    static OnRack ready(Board board) {
        return new OnRack(board, OptionalDouble.of(9), true);
    }

    /** A rack of boards such as a small shop has. */
    static List<OnRack> random(int boards, Random random) {
        return random(boards, 3, random);
    }

    /** The same with up to so many faults a board. */
    static List<OnRack> random(int boards, int mostFaults, Random random) {
        List<OnRack> rack = new ArrayList<>();
        for (int i = 0; i < boards; i++) {
            double length = 450 + random.nextInt(2000);
            double width = 80 + random.nextInt(270);
            double thickness = 47.5 + random.nextInt(8);
            List<Defect> defects = new ArrayList<>();
            for (int d = random.nextInt(mostFaults + 1); d > 0; d--) {
                double along = 10 + random.nextInt(60);
                double across = 5 + random.nextInt(30);
                defects.add(new Defect(
                        Defect.Kind.values()[random.nextInt(Defect.Kind.values().length)],
                        random.nextDouble() * (length - along),
                        random.nextDouble() * (width - across),
                        along,
                        across,
                        0,
                        random.nextBoolean() ? thickness : thickness / 2));
            }
            Board board = new Board(
                    "B" + (i + 1),
                    TestTimber.ASH,
                    random.nextInt(5) == 0,
                    length,
                    width,
                    thickness,
                    Rings.values()[random.nextInt(3)],
                    random.nextInt(3) == 0 ? Optional.empty() : Optional.of(Side.values()[random.nextInt(2)]),
                    Rise.values()[random.nextInt(3)],
                    random.nextInt(11) - 5,
                    OptionalDouble.empty(),
                    List.of(),
                    defects);
            rack.add(new OnRack(board, OptionalDouble.of(7 + random.nextDouble() * 6), random.nextInt(4) > 0));
        }
        return rack;
    }
}
