package ebauche.app.account;

import java.text.Normalizer;
import java.util.Locale;

/** Names of makers and shops as they are kept: one spelling for what looks the same, and nothing that cannot be seen. */
final class Names {
    private Names() {}

    /** Compatibility forms made one (NFKC, Unicode Standard Annex 15), blanks joined and none at the ends. */
    static String normal(String typed) {
        return Normalizer.normalize(typed, Normalizer.Form.NFKC)
                .replaceAll("[\\s\\p{Z}]+", " ")
                .strip();
    }

    /** Whether a name holds what nobody sees: control, format and direction characters, or code points that mean nothing. */
    static boolean hidesSomething(String name) {
        return name.codePoints().anyMatch(c -> switch (Character.getType(c)) {
            case Character.CONTROL,
                    Character.FORMAT,
                    Character.SURROGATE,
                    Character.PRIVATE_USE,
                    Character.UNASSIGNED,
                    Character.LINE_SEPARATOR,
                    Character.PARAGRAPH_SEPARATOR -> true;
            default -> isBlankLetter(c);
        });
    }

    /** Letters and marks that are drawn as nothing: fillers, the joiner of marks, variation selectors. */
    private static boolean isBlankLetter(int c) {
        return c == 0x034F
                || c == 0x115F
                || c == 0x1160
                || c == 0x2800
                || c == 0x3164
                || c == 0xFFA0
                || (c >= 0xFE00 && c <= 0xFE0F)
                || (c >= 0xE0100 && c <= 0xE01EF);
    }

    /** Whether two names read alike: without accents and whatever their case. */
    static boolean alike(String one, String other) {
        return bare(one).equals(bare(other));
    }

    private static String bare(String name) {
        return Normalizer.normalize(name, Normalizer.Form.NFKD)
                .replaceAll("\\p{M}+", "")
                .toLowerCase(Locale.ROOT)
                .strip();
    }
}
