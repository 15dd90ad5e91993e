package dusk.ledger.stints;

import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.season.WaterYear;
import dusk.ledger.units.Position;
import dusk.ledger.units.Temperature;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The temperatures read on each water of a club. What a stage of the year is told by reaches over trips, so a reading
 * may change the stage of stints on other days.
 *
 * @param byWater by id
 */
public record WaterYears(Map<String, WaterYear> byWater) {
    /** A temperature read on a water. */
    public record Read(String waterId, Instant at, Temperature temperature) {}

    /** @param read of two on a water at the same moment the last counts */
    public static WaterYears of(Collection<Water> waters, List<Read> read) {
        Map<String, WaterYear> years = new HashMap<>();
        waters.forEach(w -> years.put(w.id(), new WaterYear(positionOf(w).latitude() < 0)));
        for (Read one : read) {
            WaterYear year = years.get(one.waterId());
            if (year != null) {
                year.read(one.at(), one.temperature());
            }
        }
        return new WaterYears(Map.copyOf(years));
    }

    /** Those of a ledger's trips. */
    public static WaterYears of(Ledger ledger) {
        Map<String, String> waterOf = new HashMap<>();
        ledger.trips().forEach((Trip t) -> waterOf.put(t.id(), t.waterId()));
        return of(
                ledger.waters(),
                ledger.readings().stream()
                        .filter(r -> r.waterTemp() != null && waterOf.containsKey(r.tripId()))
                        .map((Reading r) -> new Read(waterOf.getOrDefault(r.tripId(), ""), r.at(), temperatureOf(r)))
                        .toList());
    }

    private static Temperature temperatureOf(Reading reading) {
        Temperature known = reading.waterTemp();
        if (known == null) {
            throw new IllegalArgumentException("no temperature in " + reading.id());
        }
        return known;
    }

    static Position positionOf(@Nullable Water water) {
        Position position = water == null ? null : water.position();
        return position == null ? LevelReader.NOWHERE : position;
    }

    /** The stage of the year by its word. */
    String season(String waterId, Instant when, @Nullable Temperature temperature) {
        WaterYear year = byWater.get(waterId);
        return (year == null ? new WaterYear(false) : year)
                .at(when, temperature)
                .word();
    }

    /** When a water's stage may be another than it was by others' readings. */
    boolean changed(WaterYears before, String waterId, Instant when) {
        WaterYear now = byWater.get(waterId);
        WaterYear then = before.byWater.get(waterId);
        return now == null || then == null ? now != then : now.tellsOtherwise(then, when);
    }

    /** Waters whose readings are not what they were. */
    List<String> changedSince(WaterYears before) {
        return byWater.entrySet().stream()
                .filter(year -> !year.getValue().equals(before.byWater.get(year.getKey())))
                .map(Map.Entry::getKey)
                .sorted()
                .toList();
    }
}
