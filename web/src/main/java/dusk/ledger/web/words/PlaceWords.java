package dusk.ledger.web.words;

import dusk.ledger.journal.Spot;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A place in words; one that is kept from the reader has no name here, for it was never read. */
public final class PlaceWords {
    private static final Pattern MARK = Pattern.compile("\\[place ([^\\]]+)]");

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

    /** Stands for a place in words that are stored: everyone who reads them sees the place as they may. */
    public static String mark(Spot spot) {
        return "[place " + spot.id() + "]";
    }

    /** Stored words with their places as the reader sees them. */
    public static String shown(String words, Map<String, Spot> seen) {
        return MARK.matcher(words).replaceAll(mark -> {
            Spot spot = seen.get(mark.group(1));
            return Matcher.quoteReplacement(spot == null ? "another place" : of(spot));
        });
    }
}
