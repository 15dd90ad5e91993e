package dusk.ledger.web.records;

import dusk.ledger.journal.Bounds;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.StintBuilder;
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
        Way way,
        @Nullable String stintId,
        Instant touchedAt) {
    /** Rods that one boat can keep an eye on. */
    public static final int MOST = 8;

    public boolean down() {
        return stintId == null;
    }

    /** The same rod with another stint running; null for none: it is down. */
    public RodOut running(@Nullable String stint) {
        return new RodOut(id, number, anglerId, rodId, setUpId, spotId, depth, way, stint, touchedAt);
    }

    /** The stint that begins with what is on the rod, as short as one may be. */
    public Stint stint(String stint, String tripId, Instant from) {
        return StintBuilder.builder()
                .id(stint)
                .tripId(tripId)
                .anglerId(anglerId)
                .setUpId(setUpId)
                .rodId(rodId)
                .spotId(spotId)
                .depth(depth)
                .presentation(way.presentation())
                .speed(way.speed())
                .pauseSeconds(way.pauseSeconds())
                .lineMethod(way.lineMethod())
                .hookSet(way.hookSet())
                .purpose(way.purpose())
                .fishPosition(way.fishPosition())
                .fishDepth(way.fishDepth())
                .startedAt(from)
                .minutes(Bounds.LEAST_MINUTES)
                .build();
    }
}
