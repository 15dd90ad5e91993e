package dusk.ledger.web.words;

import dusk.ledger.units.Figures;
import dusk.ledger.web.records.SetUps;

/** Fishing that something has seen, in words. */
public final class EffortWords {
    private EffortWords() {}

    /** Such as {@code 12.5 rod-hours in 9 stints: 20 fish, 1.6 an hour as it was fished}; that knows neither angler nor place. */
    public static String of(SetUps.Fished fished) {
        return fished.stints() > 0
                ? Figures.trimmed(fished.rodHours(), 1) + " rod-hours in "
                        + StintWords.count(Math.toIntExact(fished.stints()), "stint", "stints") + ": " + fished.fish()
                        + " fish" + (fished.rodHours() > 0 ? rate(fished) : ", how long is not known")
                : "not fished yet";
    }

    private static String rate(SetUps.Fished fished) {
        return ", " + Figures.fixed(fished.fish() / fished.rodHours(), 1) + " an hour as it was fished";
    }
}
