package dusk.ledger.places;

import dusk.ledger.season.Season;
import dusk.ledger.units.Length;
import dusk.ledger.units.Temperature;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A place fished on one trip, by whoever was on it.
 *
 * @param at when fishing began there
 * @param rodHours above 0
 * @param fish landed
 * @param light word of the light that most of it was fished in; null where it is not known
 * @param water as it was then
 */
public record Visit(
        String spotId,
        String tripId,
        Instant at,
        double rodHours,
        int fish,
        @Nullable String light,
        State water) {
    public Visit {
        if (!(rodHours > 0) || fish < 0) {
            throw new IllegalArgumentException(
                    "expected rod-hours above 0 and 0 fish or more, not " + rodHours + " and " + fish);
        }
    }

    /** A water at a moment; null for what was not looked at. */
    public record State(
            @Nullable Season season,
            @Nullable Temperature temperature,
            @Nullable Length clarity,
            @Nullable String levelTrend,
            @Nullable String weather) {
        public static final State UNKNOWN = new State(null, null, null, null, null);
    }
}
