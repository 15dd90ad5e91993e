package dusk.ledger.web.security;

import java.nio.charset.StandardCharsets;
import java.util.Optional;

/** What a password must be. */
public final class Passwords {
    private static final int LEAST = 10;

    /** The hash reads no more bytes than this. */
    private static final int MOST_BYTES = 72;

    private Passwords() {}

    /** What is wrong with a password, as a message at its field. */
    public static Optional<String> fault(String password) {
        if (password.codePointCount(0, password.length()) < LEAST) {
            return Optional.of("Too short. Use " + LEAST + " characters or more; a few words will do.");
        }
        if (password.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES) {
            return Optional.of("Too long. Use " + MOST_BYTES + " characters at most.");
        }
        return Optional.empty();
    }
}
