package dusk.ledger.web.records;

import dusk.ledger.units.Length;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A rod on the deck, with what is on it.
 *
 * @param number 1 to 8, as it is called on the boat
 * @param stintId the stint that is running; null while the rod is down
 * @param touchedAt when anything was said of it last
 */
public record RodOut(
        String id,
        int number,
        String anglerId,
        @Nullable String rodId,
        String setUpId,
        @Nullable String spotId,
        @Nullable Length depth,
        @Nullable String presentation,
        @Nullable String stintId,
        Instant touchedAt) {
    /** Rods that one boat can keep an eye on. */
    public static final int MOST = 8;

    public boolean down() {
        return stintId == null;
    }

    /** The same rod with another stint running; null for none: it is down. */
    public RodOut running(@Nullable String stint) {
        return new RodOut(id, number, anglerId, rodId, setUpId, spotId, depth, presentation, stint, touchedAt);
    }
}
