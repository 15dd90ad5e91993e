package dusk.ledger.places;

import dusk.ledger.light.Sun;
import dusk.ledger.units.Position;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A day to be fished over some places.
 *
 * @param spotIds at most {@link DayRun#MOST_PLACES}
 * @param end after the start, no more than a day
 * @param where the light falls
 * @param move minutes between any two places
 * @param highWater of a tidal water; null for none
 */
public record RunAsk(
        List<String> spotIds,
        Instant start,
        Instant end,
        Position where,
        int move,
        @Nullable Instant highWater) {
    public static final Duration SLOT = Duration.ofMinutes(10);
    public static final Duration LONGEST = Duration.ofHours(24);

    /** From high water to low water and back. */
    private static final Duration TIDE = Duration.ofMinutes(745);

    /** So long about high and low water it stands. */
    private static final Duration SLACK = Duration.ofMinutes(30);

    public RunAsk {
        spotIds = List.copyOf(spotIds);
        if (spotIds.isEmpty() || spotIds.size() > DayRun.MOST_PLACES) {
            throw new IllegalArgumentException(
                    "expected 1 to " + DayRun.MOST_PLACES + " places, not " + spotIds.size());
        }
        if (!end.isAfter(start) || Duration.between(start, end).compareTo(LONGEST) > 0 || move < 0) {
            throw new IllegalArgumentException("expected an end within a day after the start and 0 minutes or more"
                    + " between places, not " + start + " to " + end + " and " + move);
        }
    }

    int slots() {
        return (int) (Duration.between(start, end).toMinutes() / SLOT.toMinutes());
    }

    /** When a slot begins. */
    public Instant at(int slot) {
        return start.plus(SLOT.multipliedBy(slot));
    }

    /** The day with the bites to be expected of each place and slot, one rod fishing. */
    public DayRun.Day day(PlaceRates rates) {
        int slots = slots();
        double[][] bites = new double[spotIds.size()][slots];
        for (int slot = 0; slot < slots; slot++) {
            Instant middle = at(slot).plus(SLOT.dividedBy(2));
            String light = Sun.lightAt(middle, where).word();
            for (int place = 0; place < bites.length; place++) {
                bites[place][slot] = rates.at(spotIds.get(place), light, tide(middle)) * SLOT.toMinutes() / 60.0;
            }
        }
        int steps = (int) Math.ceil(move / (double) SLOT.toMinutes());
        int[][] moves = new int[bites.length][bites.length];
        for (int from = 0; from < bites.length; from++) {
            for (int to = 0; to < bites.length; to++) {
                moves[from][to] = from == to ? 0 : steps;
            }
        }
        double slotHours = SLOT.toMinutes() / 60.0;
        return new DayRun.Day(bites, moves, new int[bites.length], Math.pow(0.5, slotHours / rates.wearHours()));
    }

    /** The tide's word at a moment; null on a water without one. */
    public @Nullable String tide(Instant at) {
        if (highWater == null) {
            return null;
        }
        long since = Math.floorMod(Duration.between(highWater, at).toMinutes(), TIDE.toMinutes());
        long half = TIDE.toMinutes() / 2;
        long slack = SLACK.toMinutes();
        if (since <= slack || since >= TIDE.toMinutes() - slack) {
            return "high slack";
        }
        if (Math.abs(since - half) <= slack) {
            return "low slack";
        }
        return since < half ? "ebb" : "flood";
    }
}
