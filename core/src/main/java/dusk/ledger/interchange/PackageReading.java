package dusk.ledger.interchange;

import dusk.ledger.journal.Ledger;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.SortedSet;

/**
 * A package that was read whole.
 *
 * @param ledger its records
 * @param counts rows by file name
 * @param wordsOutside words outside the vocabulary, kept as they are, by column
 * @param keptOut unknown files and columns that were not read
 */
public record PackageReading(
        Ledger ledger,
        Map<String, Integer> counts,
        SortedMap<String, SortedSet<String>> wordsOutside,
        List<String> keptOut) {}
