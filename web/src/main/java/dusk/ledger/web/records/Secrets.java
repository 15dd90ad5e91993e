package dusk.ledger.web.records;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Base64;
import java.util.HexFormat;
import java.util.random.RandomGenerator;
import org.springframework.stereotype.Component;

/** What nobody can guess: handed out once, and recognised by its digest alone. */
@Component
public class Secrets {
    private static final int BYTES = 32;

    private final RandomGenerator random;

    public Secrets(RandomGenerator random) {
        this.random = random;
    }

    /** 256 bits, in letters that an address can hold. */
    String next() {
        byte[] bytes = new byte[BYTES];
        random.nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    /** SHA-256 in hexadecimal: of 256 random bits a slow hash would keep no more secret. */
    static String digest(String secret) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(secret.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
