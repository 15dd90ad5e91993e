package dusk.ledger.stints;

import dusk.ledger.journal.Catch;
import dusk.ledger.units.Length;
import org.jspecify.annotations.Nullable;

/**
 * What analysis needs of fish that were landed.
 *
 * @param length null where it is not known
 */
record Landed(
        String species,
        @Nullable Length length,
        int count,
        @Nullable String biteOn) {
    static Landed of(Catch fish) {
        return new Landed(fish.species().intern(), fish.length(), fish.count(), interned(fish.biteOn()));
    }

    private static @Nullable String interned(@Nullable String word) {
        return word == null ? null : word.intern();
    }

    /** Whether they count for a species and a least length; a fish without a length fails a least length. */
    boolean countsFor(@Nullable String askedSpecies, @Nullable Length least) {
        return (askedSpecies == null || askedSpecies.equals(species))
                && (least == null || (length != null && length.compareTo(least) >= 0));
    }
}
