package dusk.ledger.sheets;

import dusk.ledger.interchange.Fault;
import dusk.ledger.journal.Ledger;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.SortedSet;

/**
 * What a spreadsheet comes to.
 *
 * @param ledger the records it makes, with those of the club that they stand on; ids go by what the rows say, so that the
 *     same rows make the same records
 * @param fates what becomes of each row, in their order
 * @param faults rows that cannot be read; where there are any and they are not to be left out, nothing may be stored
 * @param fish landed, by species
 * @param stints by how much is known of them: {@code timed}, {@code without hours}
 * @param wordsOutside words outside the vocabulary that are kept, by column
 */
public record Brought(
        Ledger ledger,
        List<Fate> fates,
        List<Fault> faults,
        Map<String, Integer> fish,
        Map<String, Integer> stints,
        SortedMap<String, SortedSet<String>> wordsOutside) {
    public long count(Fate.Kind kind) {
        return fates.stream().filter(f -> f.kind() == kind).count();
    }
}
