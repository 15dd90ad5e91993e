package dusk.ledger.web.store;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * For whom a row is read or written.
 *
 * @param clubId the only club whose rows they see
 * @param personId null for the club as such, which sees no one's own places: exports are made for it
 * @param anglerId the angler they are in the records, if any
 * @param least the least that anybody of the club said to share when the viewer was read, which spares asking for every
 *     row; null where that is not known. Where somebody has said less since, less is shown, never more.
 */
public record Viewer(
        String clubId,
        @Nullable String personId,
        @Nullable String anglerId,
        Role role,
        @Nullable Level least) {
    /** Of whose club is not known what it shares. */
    public Viewer(String clubId, @Nullable String personId, @Nullable String anglerId, Role role) {
        this(clubId, personId, anglerId, role, null);
    }

    /** What a person may do in their club. */
    public enum Role {
        /** Reads findings and their own card, and changes nothing. */
        GUEST,
        MEMBER,
        GUIDE,
        OFFICER;

        /** The word in the store. */
        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }

        public static Role of(String word) {
            return valueOf(word.toUpperCase(Locale.ROOT));
        }
    }

    /** The club as such. */
    public static Viewer club(String clubId) {
        return new Viewer(clubId, null, null, Role.MEMBER);
    }

    /** Whether they only read. */
    public boolean guest() {
        return role == Role.GUEST;
    }

    public boolean officer() {
        return role == Role.OFFICER;
    }
}
