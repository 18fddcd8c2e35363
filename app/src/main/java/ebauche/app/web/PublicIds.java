package ebauche.app.web;

import java.security.SecureRandom;

/** Random names for addresses: nobody guesses another shop's. */
public final class PublicIds {
    private static final String ALPHABET = "abcdefghijkmnpqrstuvwxyz23456789";
    private static final int LENGTH = 16;
    private static final SecureRandom RANDOM = new SecureRandom();

    private PublicIds() {}

    public static String next() {
        StringBuilder id = new StringBuilder();
        RANDOM.ints(LENGTH, 0, ALPHABET.length()).forEach(i -> id.append(ALPHABET.charAt(i)));
        return id.toString();
    }

    /**
     * An address's part as an id that can be looked for.
     *
     * @throws NotHere if it is none, so that nothing can lie there
     */
    public static String read(String typed) {
        if (typed.length() != LENGTH || typed.chars().anyMatch(c -> ALPHABET.indexOf(c) < 0)) {
            throw new NotHere();
        }
        return typed;
    }
}
