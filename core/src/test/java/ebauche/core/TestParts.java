package ebauche.core;

import static ebauche.core.hardware.PartSize.*;

import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import java.util.EnumMap;
import java.util.Map;

/** Parts as they lie on a bench, with sizes of no maker's. */
public final class TestParts {
    private TestParts() {}

    public static Part of(PartKind kind, Object... sizes) {
        Map<PartSize, Double> all = new EnumMap<>(PartSize.class);
        for (int i = 0; i < sizes.length; i += 2) {
            all.put((PartSize) sizes[i], ((Number) sizes[i + 1]).doubleValue());
        }
        return new Part(kind, "test " + kind.word(), all);
    }

    /** 70 x 38, 20 high, with legs over 82 that reach 4 below its base. */
    public static Part pickup() {
        return of(
                PartKind.PICKUP,
                ACROSS,
                70,
                ALONG,
                38,
                CORNER,
                4,
                HEIGHT,
                20,
                LEGS_ACROSS,
                82,
                LEGS_ALONG,
                12,
                LEGS_BELOW,
                4);
    }

    public static Part pot() {
        return of(PartKind.POT, BUSHING, 9.1, THREAD, 10, NUT, 2, ACROSS, 25, ALONG, 25, BELOW, 20);
    }

    public static Part ferrule() {
        return of(PartKind.FERRULE, DIAMETER, 8, LENGTH, 10);
    }

    /** A ferrule for a neck screw, its head 3 under the rim. */
    public static Part neckFerrule() {
        return of(PartKind.NECK_FERRULE, DIAMETER, 14, LENGTH, 7, HEAD_SUNK, 3);
    }

    /** A vibrato of the same sizes but a shorter block, its plate let in by 3, on two posts. */
    public static Part vibratoLetIn() {
        Map<PartSize, Double> sizes = new EnumMap<>(vibrato().sizes());
        sizes.putAll(
                Map.of(BLOCK_LENGTH, 38.0, RECESS, 3.0, STUD_SPACING, 56.0, STUD_DIAMETER, 10.0, STUD_DEPTH, 20.0));
        return new Part(PartKind.VIBRATO_LET_IN, "test vibrato let in", sizes);
    }

    public static Part vibrato() {
        return of(
                PartKind.VIBRATO_ON_TOP,
                LOWEST_SADDLE,
                9,
                HIGHEST_SADDLE,
                16,
                SADDLE_TRAVEL,
                10,
                ACROSS,
                80,
                ALONG,
                40,
                BLOCK_LENGTH,
                42,
                BLOCK_ACROSS,
                52,
                BLOCK_ALONG,
                12,
                SWING,
                8);
    }
}
