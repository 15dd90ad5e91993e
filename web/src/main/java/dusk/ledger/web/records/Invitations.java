package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.LINKS;

import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Links that let one person into a club, or back in where they lost their password, once and until a moment. The store
 * keeps their digests only.
 */
@Component
public class Invitations {
    private final Store store;
    private final Secrets secrets;
    private final NewId newId;

    public Invitations(Store store, Secrets secrets, NewId newId) {
        this.store = store;
        this.secrets = secrets;
        this.newId = newId;
    }

    /**
     * What a link lets one in to.
     *
     * @param role what a newcomer may do; for somebody of the club null
     * @param anglerId whose records are the newcomer's; null for somebody new in them
     * @param personId who chooses a new password by it; null for a newcomer
     * @param forWhom in words, for whoever looks after the links
     */
    public record Invited(
            String clubId,
            Viewer.@Nullable Role role,
            @Nullable String anglerId,
            @Nullable String personId,
            String forWhom) {
        /** A newcomer who is in no records yet. */
        public static Invited newcomer(String clubId, Viewer.Role role) {
            return new Invited(clubId, role, null, null, "");
        }
    }

    /** A link that is still good, without its secret, which nobody has but whom it was given to. */
    public record Open(String id, Invited invited, Instant endsAt) {}

    /** A new link; the secret part of it, which is nowhere else. A person has one way back in at a time: the newest. */
    public String invite(Invited invited, @Nullable String madeBy, Instant endsAt) {
        String token = secrets.next();
        store.writeApart(tx -> {
            if (invited.personId() != null) {
                tx.deleteFrom(LINKS)
                        .where(LINKS.PERSON_ID.eq(invited.personId()))
                        .execute();
            }
            Viewer.Role role = invited.role();
            return tx.insertInto(LINKS)
                    .set(LINKS.DIGEST, Secrets.digest(token))
                    .set(LINKS.LINK_ID, newId.next())
                    .set(LINKS.CLUB_ID, invited.clubId())
                    .set(LINKS.ROLE, role == null ? null : role.word())
                    .set(LINKS.ANGLER_ID, invited.anglerId())
                    .set(LINKS.PERSON_ID, invited.personId())
                    .set(LINKS.FOR_WHOM, invited.forWhom())
                    .set(LINKS.MADE_BY, madeBy)
                    .set(LINKS.ENDS_AT, endsAt)
                    .execute();
        });
        return token;
    }

    /** What a link is for; nothing where it was used, ended or never was. */
    public Optional<Invited> of(String token, Instant now) {
        return open(LINKS.DIGEST.eq(Secrets.digest(token)), now).stream()
                .map(Open::invited)
                .findFirst();
    }

    /** Links of a club that are still good, those that end first before the others. */
    public List<Open> open(String clubId, Instant now) {
        return open(LINKS.CLUB_ID.eq(clubId), now);
    }

    private List<Open> open(Condition which, Instant now) {
        return store.read()
                .selectFrom(LINKS)
                .where(which)
                .and(LINKS.ENDS_AT.gt(now))
                .orderBy(LINKS.ENDS_AT, LINKS.LINK_ID)
                .fetch(r -> new Open(
                        r.getLinkId(),
                        new Invited(
                                r.getClubId(),
                                r.getRole() == null ? null : Viewer.Role.of(r.getRole()),
                                r.getAnglerId(),
                                r.getPersonId(),
                                r.getForWhom()),
                        r.getEndsAt()));
    }

    /** Ends a link before its time. */
    public void end(String clubId, String linkId) {
        store.writeApart(tx -> tx.deleteFrom(LINKS)
                .where(LINKS.CLUB_ID.eq(clubId))
                .and(LINKS.LINK_ID.eq(linkId))
                .execute());
    }

    /** Uses a link up; false where another hand was quicker. */
    boolean use(String token) {
        return store.writeApart(tx -> tx.deleteFrom(LINKS)
                        .where(LINKS.DIGEST.eq(Secrets.digest(token)))
                        .execute()
                > 0);
    }
}
