package dusk.ledger.web.words;

import dusk.ledger.evidence.Interval;
import dusk.ledger.units.Figures;
import dusk.ledger.web.records.Calls;
import java.util.List;

/** What a rod of a call promised, and what came, in words. */
public final class PromiseWords {
    private PromiseWords() {}

    /** @param came of the call's rods that were fished */
    public static String of(Calls.Rod rod, List<Calls.Came> came) {
        Interval interval = rod.interval();
        String promised = rod.rate() == null || interval == null
                ? "no rate was promised"
                : "promised " + Figures.fixed(rod.rate(), 2) + " a rod-hour (" + Figures.fixed(interval.low(), 2)
                        + " to " + Figures.fixed(interval.high(), 2) + ")";
        return promised
                + came.stream()
                        .filter(one -> one.rod().number() == rod.number())
                        .findFirst()
                        .map(one -> "; " + one.fish() + " fish in "
                                + Figures.fixed(one.rodHours(), 1) + " rod-hours came, "
                                + Figures.fixed(one.fish() / one.rodHours(), 2) + " a rod-hour")
                        .orElse("; not fished");
    }
}
