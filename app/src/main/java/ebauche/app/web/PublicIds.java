package ebauche.app.web;

import java.security.SecureRandom;

/** Random names for addresses: nobody guesses another shop's. */
public final class PublicIds {
    private static final char[] LETTERS = "abcdefghijkmnpqrstuvwxyz23456789".toCharArray();
    private static final SecureRandom RANDOM = new SecureRandom();

    private PublicIds() {}

    public static String next() {
        StringBuilder id = new StringBuilder();
        RANDOM.ints(16, 0, LETTERS.length).forEach(i -> id.append(LETTERS[i]));
        return id.toString();
    }
}
