package dusk.ledger.web.records;

import dusk.ledger.instruments.Kind;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * An instrument that a club listens to.
 *
 * @param address {@code host:port} of a feed of lines, else of a web service
 * @param anglerId in whose boat it is; null for one of a water
 * @param waterId which water it is of; null for one of a boat
 */
public record Instrument(
        String clubId,
        String id,
        Kind kind,
        String name,
        String address,
        @Nullable String anglerId,
        @Nullable String waterId) {
    /**
     * Whether it tells of a trip.
     *
     * @param water where it is fished
     * @param aboard ids of the anglers on it
     */
    public boolean tellsOf(String club, String water, Set<String> aboard) {
        return clubId.equals(club) && (anglerId == null ? water.equals(waterId) : aboard.contains(anglerId));
    }
}
