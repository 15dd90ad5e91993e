package dusk.ledger.places;

import dusk.ledger.vocabulary.Bands;
import java.util.EnumSet;
import java.util.Set;

/** What has changed at a water since a visit: each of it ages a find as much as one of its half-lives. */
public enum Change {
    TEMPERATURE("3 °C warmer or colder"),
    LEVEL("the level moves otherwise"),
    CLARITY("clearer or dirtier by a band"),
    FRONT("a front went through");

    /** A find outlasts less than this. */
    private static final double DEGREES = 3;

    private final String words;

    Change(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** What differs, as far as both were looked at. */
    static Set<Change> between(Visit.State then, Visit.State now) {
        Set<Change> changes = EnumSet.noneOf(Change.class);
        if (then.temperature() != null
                && now.temperature() != null
                && Math.abs(then.temperature().celsius() - now.temperature().celsius()) >= DEGREES) {
            changes.add(TEMPERATURE);
        }
        if (then.levelTrend() != null
                && now.levelTrend() != null
                && !then.levelTrend().equals(now.levelTrend())) {
            changes.add(LEVEL);
        }
        if (then.clarity() != null
                && now.clarity() != null
                && !Bands.clarity(then.clarity()).equals(Bands.clarity(now.clarity()))) {
            changes.add(CLARITY);
        }
        if ("after a front".equals(now.weather()) && !"after a front".equals(then.weather())) {
            changes.add(FRONT);
        }
        return changes;
    }
}
