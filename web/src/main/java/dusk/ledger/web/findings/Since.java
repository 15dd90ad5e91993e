package dusk.ledger.web.findings;

import dusk.ledger.units.Figures;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What has changed of findings since the search before. */
final class Since {
    /** A ratio that moved by less than a tenth has not moved. */
    private static final double MOVED = 1.1;

    private Since() {}

    /** What is to be said of the cards that are new or have moved, by their keys. */
    static Map<String, String> of(List<PatternCard> now, List<PatternCard> before) {
        Map<String, PatternCard> known = before.stream()
                .collect(Collectors.toMap(PatternCard::key, Function.identity(), (first, second) -> first));
        Map<String, String> since = new HashMap<>();
        for (PatternCard card : now) {
            PatternCard was = known.get(card.key());
            String said = was == null ? "new since the last search" : moved(was, card);
            if (!said.isEmpty()) {
                since.put(card.key(), said);
            }
        }
        return since;
    }

    private static String moved(PatternCard was, PatternCard card) {
        if (!was.grade().equals(card.grade())) {
            return card.grade() + " now, was " + was.grade();
        }
        double by = card.ratio() / was.ratio();
        return by >= MOVED || by <= 1 / MOVED
                ? "was " + Figures.fixed(was.ratio(), 1) + " times at the last search"
                : "";
    }
}
