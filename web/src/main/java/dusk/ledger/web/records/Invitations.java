package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.INVITATIONS;

import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.Base64;
import java.util.HexFormat;
import java.util.Optional;
import java.util.random.RandomGenerator;
import org.springframework.stereotype.Component;

/** Links that let one person into a club, once and until a moment. The store keeps their digests only. */
@Component
public class Invitations {
    private static final int TOKEN_BYTES = 32;

    private final Store store;
    private final RandomGenerator random;

    public Invitations(Store store, RandomGenerator random) {
        this.store = store;
        this.random = random;
    }

    /** What a link lets one in to. */
    public record Invited(String clubId, Viewer.Role role) {}

    /** A new invitation; the secret part of its link, which is nowhere else. */
    public String invite(String clubId, Viewer.Role role, Instant endsAt) {
        byte[] bytes = new byte[TOKEN_BYTES];
        random.nextBytes(bytes);
        String token = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        store.writeApart(tx -> tx.insertInto(INVITATIONS)
                .set(INVITATIONS.DIGEST, digest(token))
                .set(INVITATIONS.CLUB_ID, clubId)
                .set(INVITATIONS.ROLE, role.word())
                .set(INVITATIONS.ENDS_AT, endsAt)
                .execute());
        return token;
    }

    /** What a link is for; nothing where it was used, ended or never was. */
    public Optional<Invited> of(String token, Instant now) {
        return store.read()
                .selectFrom(INVITATIONS)
                .where(INVITATIONS.DIGEST.eq(digest(token)))
                .and(INVITATIONS.ENDS_AT.gt(now))
                .fetchOptional(r -> new Invited(r.getClubId(), Viewer.Role.of(r.getRole())));
    }

    /** Uses a link up; false where another hand was quicker. */
    boolean use(String token) {
        return store.writeApart(tx -> tx.deleteFrom(INVITATIONS)
                        .where(INVITATIONS.DIGEST.eq(digest(token)))
                        .execute()
                > 0);
    }

    private static String digest(String token) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
