package dusk.ledger.journal;

import dusk.ledger.units.Length;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * What a club wrote down of a water's rules: for a species, or, without one, for all that is fished there.
 *
 * @param closedFrom first closed day of the year, such as 03-15
 * @param closedTo last closed day
 * @param bag most that may be kept in a day
 * @param leadForbidden said of a water, not of a species
 * @param most longer fish go back
 * @param gear what is ruled of gear, in words; said of a water, as bait and prey are
 * @param bait of bait
 * @param prey of prey that is caught, kept or moved
 */
@RecordBuilder
public record Rule(
        String id,
        String waterId,
        @Nullable String species,
        @Nullable Length least,
        @Nullable Length slotFrom,
        @Nullable Length slotTo,
        @Nullable String closedFrom,
        @Nullable String closedTo,
        @Nullable Integer bag,
        @Nullable Boolean leadForbidden,
        @Nullable Length most,
        @Nullable String gear,
        @Nullable String bait,
        @Nullable String prey) {
    private static final Pattern DAY = Pattern.compile("(0[1-9]|1[0-2])-(0[1-9]|[12][0-9]|3[01])");

    public Rule {
        new Checks("rules")
                .id("rule_id", id)
                .id("water_id", waterId)
                .text("species", species)
                .in("least_mm", millimetres(least))
                .in("slot_from_mm", millimetres(slotFrom))
                .in("slot_to_mm", millimetres(slotTo))
                .that(
                        (slotFrom == null) == (slotTo == null),
                        "slot_to_mm",
                        "one end of a slot alone, expected both or neither")
                .that(
                        slotFrom == null || slotTo == null || slotFrom.compareTo(slotTo) <= 0,
                        "slot_to_mm",
                        "less than where the slot begins, expected the higher of the two")
                .that(day(closedFrom), "closed_from", "not a day of the year, expected one like 03-15")
                .that(day(closedTo), "closed_to", "not a day of the year, expected one like 06-15")
                .that(
                        (closedFrom == null) == (closedTo == null),
                        "closed_to",
                        "one end of a close season alone, expected both or neither")
                .in("bag", bag)
                .in("most_mm", millimetres(most))
                .that(
                        least == null || most == null || least.compareTo(most) <= 0,
                        "most_mm",
                        "less than the shortest that may be kept, expected that or more")
                .text("gear", gear)
                .text("bait", bait)
                .text("prey", prey)
                .done();
    }

    private static @Nullable Double millimetres(@Nullable Length length) {
        return length == null ? null : length.millimetres();
    }

    private static boolean day(@Nullable String text) {
        return text == null || DAY.matcher(text).matches();
    }
}
