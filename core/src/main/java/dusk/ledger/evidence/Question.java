package dusk.ledger.evidence;

import dusk.ledger.units.Length;
import dusk.ledger.vocabulary.Factor;
import java.util.EnumMap;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What is asked of the records.
 *
 * @param factor whose levels are compared
 * @param where levels that must hold, by factor; of several levels of one factor any
 * @param species null for all
 * @param least least length of a fish to count, null for all
 */
public record Question(
        Factor factor,
        Map<Factor, Set<String>> where,
        @Nullable String species,
        @Nullable Length least) {
    public Question {
        Map<Factor, Set<String>> copy = new EnumMap<>(Factor.class);
        where.forEach((f, levels) -> copy.put(f, Set.copyOf(levels)));
        where = Map.copyOf(copy);
    }
}
