package dusk.ledger.web.security;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What a password must be. */
public final class Passwords {
    private static final int LEAST = 10;

    private static final int LEAST_DIFFERENT = 4;

    /** The hash reads no more bytes than this. */
    private static final int MOST_BYTES = 72;

    /** Those tried first by whoever guesses, of the length that is asked for; one a line, in lower case. */
    private static final Set<String> COMMON = common();

    private Passwords() {}

    private static Set<String> common() {
        try (InputStream in = Passwords.class.getResourceAsStream("/common-passwords.txt")) {
            return new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.isBlank())
                    .collect(Collectors.toUnmodifiableSet());
        } catch (IOException e) {
            throw new UncheckedIOException("the list of common passwords that ships cannot be read", e);
        }
    }

    /** What is wrong with a password, as a message at its field. */
    public static Optional<String> fault(String password) {
        if (password.codePointCount(0, password.length()) < LEAST) {
            return Optional.of("Too short. Use " + LEAST + " characters or more; a few words will do.");
        }
        if (password.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES) {
            return Optional.of("Too long. Use " + MOST_BYTES + " characters at most.");
        }
        if (COMMON.contains(password.toLowerCase(Locale.ROOT))
                || password.codePoints().distinct().count() < LEAST_DIFFERENT) {
            return Optional.of("Too easily guessed: many others chose it. A few words of your own will do.");
        }
        return Optional.empty();
    }
}
