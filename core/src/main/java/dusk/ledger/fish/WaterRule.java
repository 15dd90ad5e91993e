package dusk.ledger.fish;

import dusk.ledger.units.Length;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a club wrote down of a water's rules for a species. Never a verdict: the published local rules prevail.
 *
 * @param least shorter fish go back
 * @param most longer fish go back
 * @param slotFrom fish from here to {@code slotTo} go back
 * @param closedFrom first closed day of the year
 * @param closedTo last closed day; before {@code closedFrom} where the season closes over new year
 * @param bag most that may be kept in a day
 */
public record WaterRule(
        String species,
        @Nullable Length least,
        @Nullable Length most,
        @Nullable Length slotFrom,
        @Nullable Length slotTo,
        @Nullable MonthDay closedFrom,
        @Nullable MonthDay closedTo,
        @Nullable Integer bag) {

    /** What of a caution is about. */
    public enum About {
        CLOSED,
        SHORT,
        LONG,
        SLOT,
        BAG
    }

    /** Whether the species is closed on a day. */
    public boolean closed(MonthDay day) {
        if (closedFrom == null || closedTo == null) {
            return false;
        }
        boolean after = !day.isBefore(closedFrom);
        boolean before = !day.isAfter(closedTo);
        return closedFrom.isAfter(closedTo) ? after || before : after && before;
    }

    /**
     * What is to be looked up before this fish is kept.
     *
     * @param length of the fish; without one nothing is said of lengths
     * @param keptToday of this species by this angler, this fish among them where it is kept
     */
    public List<About> cautions(@Nullable Length length, MonthDay day, int keptToday) {
        List<About> cautions = new ArrayList<>();
        if (closed(day)) {
            cautions.add(About.CLOSED);
        }
        if (length != null && least != null && length.compareTo(least) < 0) {
            cautions.add(About.SHORT);
        }
        if (length != null && most != null && length.compareTo(most) > 0) {
            cautions.add(About.LONG);
        }
        if (length != null
                && slotFrom != null
                && slotTo != null
                && length.compareTo(slotFrom) >= 0
                && length.compareTo(slotTo) <= 0) {
            cautions.add(About.SLOT);
        }
        if (bag != null && keptToday > bag) {
            cautions.add(About.BAG);
        }
        return cautions;
    }
}
