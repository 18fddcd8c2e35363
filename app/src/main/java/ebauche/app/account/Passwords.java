package ebauche.app.account;

import ebauche.app.words.Words;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/** What a password must be, and its hash; run on the machine itself it makes a hash of the line that it reads. */
public final class Passwords {
    private static final int SHORTEST = 10;

    /** What the hash reads, bytes; a longer one would be cut off silently. */
    private static final int LONGEST = 72;

    private Passwords() {}

    /** What is wrong with one; empty if nothing. */
    public static Optional<String> trouble(String password) {
        boolean fits = password.length() >= SHORTEST && password.getBytes(StandardCharsets.UTF_8).length <= LONGEST;
        return fits
                ? Optional.empty()
                : Optional.of(Words.say("account-controller.take-a-password-of-to-characters", SHORTEST, LONGEST));
    }

    /** The hash of the line that comes in; exit 1 with what is wrong. */
    public static void main(String[] none) throws java.io.IOException {
        String password = new String(System.in.readAllBytes(), StandardCharsets.UTF_8).strip();
        Optional<String> trouble = trouble(password);
        if (trouble.isPresent()) {
            System.err.println(trouble.get());
            System.exit(1);
        }
        System.out.println(new BCryptPasswordEncoder().encode(password));
    }
}
