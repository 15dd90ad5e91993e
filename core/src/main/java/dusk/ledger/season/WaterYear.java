package dusk.ledger.season;

import dusk.ledger.units.Temperature;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * The temperatures read on one water, and the stage of the year they tell. Bounds are those of the handbook: winter
 * under 10 C, pre-spawn to 15.5 and spawn to 20 while rising, post-spawn the three weeks after the water passed 20
 * rising, summer over 20 after that, autumn falling from 20 to 10. Whether the water rises is told by the 14 days
 * before; where they hold too little, by the calendar.
 */
public final class WaterYear {
    private static final double WINTER_BELOW_C = 10;
    private static final double SPAWN_FROM_C = 15.5;
    private static final double SUMMER_FROM_C = 20;
    private static final Duration TREND = Duration.ofDays(14);
    private static final Duration POST_SPAWN = Duration.ofDays(21);

    /** Less than this over the trend's span is noise of thermometer and hour. */
    private static final double STEADY_WITHIN_C = 0.5;

    private final boolean southern;
    private final NavigableMap<Instant, Double> celsius = new TreeMap<>();

    /** @param southern whether the water lies south of the equator, where the calendar is shifted by six months */
    public WaterYear(boolean southern) {
        this.southern = southern;
    }

    /** Adds a reading; of two at the same moment the last counts. */
    public void read(Instant at, Temperature temperature) {
        celsius.put(at, temperature.celsius());
    }

    /**
     * Whether a stage at a moment may be another than by other readings of the water: a reading tells on stages no longer
     * than the two spans behind post-spawn.
     */
    public boolean tellsOtherwise(WaterYear other, Instant when) {
        Instant from = when.minus(POST_SPAWN).minus(POST_SPAWN);
        return southern != other.southern
                || !celsius.subMap(from, true, when, true).equals(other.celsius.subMap(from, true, when, true));
    }

    @Override
    public boolean equals(@Nullable Object o) {
        return o instanceof WaterYear other && southern == other.southern && celsius.equals(other.celsius);
    }

    @Override
    public int hashCode() {
        return celsius.hashCode();
    }

    /** The stage at a moment, given the water's temperature then; by the calendar alone where that is not known. */
    public Season at(Instant when, @Nullable Temperature temperature) {
        if (temperature == null) {
            return byCalendar(when);
        }
        double now = temperature.celsius();
        if (now < WINTER_BELOW_C) {
            return Season.WINTER;
        }
        if (now >= SUMMER_FROM_C) {
            return passedSummerMarkWithin(when) && risingHalf(when) ? Season.POST_SPAWN : Season.SUMMER;
        }
        if (!rising(when, now)) {
            return Season.AUTUMN;
        }
        return now < SPAWN_FROM_C ? Season.PRE_SPAWN : Season.SPAWN;
    }

    private boolean rising(Instant when, double now) {
        Map.Entry<Instant, Double> earliest = celsius.ceilingEntry(when.minus(TREND));
        if (earliest == null || !earliest.getKey().isBefore(when)) {
            return risingHalf(when);
        }
        double change = now - earliest.getValue();
        return Math.abs(change) <= STEADY_WITHIN_C ? risingHalf(when) : change > 0;
    }

    /**
     * Whether the water was last read under 20 C no more than three weeks before it was first read at 20 C or over,
     * and that was at most three weeks ago.
     */
    private boolean passedSummerMarkWithin(Instant when) {
        Instant firstOver = null;
        for (Map.Entry<Instant, Double> reading :
                celsius.headMap(when, true).descendingMap().entrySet()) {
            if (reading.getValue() < SUMMER_FROM_C) {
                Instant passed = firstOver == null ? when : firstOver;
                return Duration.between(reading.getKey(), passed).compareTo(POST_SPAWN) <= 0
                        && Duration.between(passed, when).compareTo(POST_SPAWN) <= 0;
            }
            firstOver = reading.getKey();
        }
        return false;
    }

    /** January to July in the north: the half of the year in which waters warm. */
    private boolean risingHalf(Instant when) {
        return month(when) <= 7;
    }

    private Season byCalendar(Instant when) {
        return switch (month(when)) {
            case 12, 1, 2 -> Season.WINTER;
            case 3, 4 -> Season.PRE_SPAWN;
            case 5 -> Season.SPAWN;
            case 6 -> Season.POST_SPAWN;
            case 7, 8, 9 -> Season.SUMMER;
            default -> Season.AUTUMN;
        };
    }

    private int month(Instant when) {
        LocalDate date = LocalDate.ofInstant(when, ZoneOffset.UTC);
        return (southern ? date.plusMonths(6) : date).getMonthValue();
    }
}
