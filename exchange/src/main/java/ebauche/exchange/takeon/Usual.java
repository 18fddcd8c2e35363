package ebauche.exchange.takeon;

import ebauche.core.hardware.Part;
import ebauche.core.takeon.Strung;
import ebauche.exchange.table.BoxFile;

/** Parts of the library that are usual for so many strings, where nobody has chosen others: common practice. */
final class Usual {
    private Usual() {}

    static Part bridge(Strung strung, int strings) {
        if (strung == Strung.BASS) {
            return BoxFile.shipped(strings <= 4 ? "bass-four" : strings == 5 ? "bass-five" : "bass-six");
        }
        return BoxFile.shipped(
                switch (strings) {
                    case 4 -> "flat-four";
                    case 5, 6 -> "flat-six";
                    case 7 -> "flat-seven";
                    case 10, 12 -> "flat-pairs";
                    default -> "flat-eight";
                });
    }

    static Part pickup(Strung strung, int strings) {
        if (strung == Strung.BASS) {
            return BoxFile.shipped(strings <= 4 ? "coil-bass" : "coil-bass-wide");
        }
        return BoxFile.shipped(
                strings == 7 || strings == 8 || strings == 9 || strings == 11 ? "coil-wide-seven" : "coil-double");
    }

    static Part pot() {
        return BoxFile.shipped("pot-metric");
    }

    static Part toggle() {
        return BoxFile.shipped("toggle");
    }

    static Part jack() {
        return BoxFile.shipped("jack-cup");
    }

    static Part cover() {
        return BoxFile.shipped("cover-plastic");
    }

    static Part strap() {
        return BoxFile.shipped("strap");
    }
}
