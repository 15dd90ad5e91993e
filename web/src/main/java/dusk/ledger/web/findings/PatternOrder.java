package dusk.ledger.web.findings;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** In which order cards stand. */
enum PatternOrder {
    /** As the search grades them. */
    SUREST("surest first"),
    LARGEST("largest first"),
    MOST_FISHED("most fished first"),
    NEWEST("new first");

    private final String words;

    PatternOrder(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** As in an address. */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The surest first where it is none of these. */
    static PatternOrder of(String key) {
        return Arrays.stream(values())
                .filter(order -> order.key().equals(key))
                .findFirst()
                .orElse(SUREST);
    }

    /** @param since what is said of a card since the search before, by its key */
    List<PatternCard> sorted(Stream<PatternCard> cards, Map<String, String> since) {
        Predicate<PatternCard> old = card -> !since.containsKey(card.key());
        Comparator<PatternCard> order = switch (this) {
            case SUREST -> (one, other) -> 0;
            case LARGEST -> Comparator.comparingDouble(card -> -Math.abs(Math.log(card.ratio())));
            case MOST_FISHED -> Comparator.comparingDouble(card -> -card.rodHours());
            case NEWEST -> Comparator.comparing(old::test);
        };
        return cards.sorted(order).toList();
    }
}
