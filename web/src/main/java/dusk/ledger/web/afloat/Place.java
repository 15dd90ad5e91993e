package dusk.ledger.web.afloat;

import dusk.ledger.units.Length;
import org.jspecify.annotations.Nullable;

/** Where a rod is fished: null fields are not known. */
public record Place(@Nullable String spotId, @Nullable Length depth) {
    public static final Place UNKNOWN = new Place(null, null);
}
