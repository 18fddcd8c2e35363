package ebauche.app.account;

import java.security.SecureRandom;
import java.time.Duration;
import java.util.Locale;

/** A code that is read out over the bench and typed on another tablet: no letter that looks like a digit. */
public final class InviteCode {
    /** For how long it lets somebody in. */
    public static final Duration HOLDS = Duration.ofDays(7);

    private static final String LETTERS = "23456789ABCDEFGHJKLMNPQRSTUVWXYZ";
    private static final int EACH = 5;
    private static final int PARTS = 3;
    private static final SecureRandom RANDOM = new SecureRandom();

    private InviteCode() {}

    /** A new one, such as {@code K7QDM-3FHMX-29ZTA}: 75 bits. */
    public static String fresh() {
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < EACH * PARTS; i++) {
            code.append(i > 0 && i % EACH == 0 ? "-" : "").append(LETTERS.charAt(RANDOM.nextInt(LETTERS.length())));
        }
        return code.toString();
    }

    /** As it counts: whatever stands between its letters, and small ones, are the typist's. */
    public static String bare(String typed) {
        return typed.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
    }
}
