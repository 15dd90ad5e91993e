package dusk.ledger.web.words;

import dusk.ledger.journal.Spot;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A place in words; one that is kept from the reader has no name here, for it was never read. */
public final class PlaceWords {
    private PlaceWords() {}

    public static String of(Spot spot) {
        String kind = Stream.of(spot.structure(), spot.bottom())
                .filter(Objects::nonNull)
                .collect(Collectors.joining(", "));
        String label = spot.label();
        if (label == null) {
            return kind.isEmpty() ? "a place kept private" : "a place kept private (" + kind + ")";
        }
        return kind.isEmpty() ? label : label + " (" + kind + ")";
    }
}
