package dusk.ledger.stints;

import dusk.ledger.journal.Catch;
import dusk.ledger.units.Length;
import org.jspecify.annotations.Nullable;

/**
 * What analysis needs of fish that were landed.
 *
 * @param length null where it is not known
 * @param measured whether the length was measured, not estimated
 */
record Landed(
        String species,
        @Nullable Length length,
        boolean measured,
        int count,
        @Nullable String biteOn) {
    private static final String MEASURED = "measured";

    static Landed of(Catch fish) {
        return new Landed(
                fish.species().intern(),
                fish.length(),
                MEASURED.equals(fish.lengthHow()),
                fish.count(),
                interned(fish.biteOn()));
    }

    private static @Nullable String interned(@Nullable String word) {
        return word == null ? null : word.intern();
    }

    /** Whether they count for a species and a least length; a fish without a length fails a least length. */
    boolean countsFor(@Nullable String askedSpecies, @Nullable Length least) {
        return (askedSpecies == null || askedSpecies.equals(species))
                && (least == null || (length != null && length.compareTo(least) >= 0));
    }

    /** Whether it has a length that may be counted. */
    boolean hasLength(boolean estimatedToo) {
        return length != null && (estimatedToo || measured);
    }
}
