package dusk.ledger.evidence;

import org.jspecify.annotations.Nullable;

/**
 * What the records say of one level.
 *
 * @param fishOnBestTrip of the fish, those of the trip with most
 * @param shrunk null where no level has a fish
 * @param swing f_l: how much more its trips differ than chance, by which it is shrunk
 */
public record LevelFigures(
        String level,
        int stints,
        int trips,
        int anglers,
        double rodHours,
        int fish,
        int fishOnBestTrip,
        CatchRate rate,
        @Nullable ShrunkRate shrunk,
        double swing) {}
