package dusk.ledger.safety;

import dusk.ledger.journal.Reading;
import dusk.ledger.units.Speed;
import dusk.ledger.units.Temperature;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What the water and the weather ask to be careful of. Shown plainly where it applies; never a licence to go. */
public enum Danger {
    COLD_WATER("Cold water: life-jacket on and done up. Whoever falls in has minutes."),
    WARM_WATER("Warm water: short fights, and let the fish go in the water."),
    VERY_WARM_WATER("Very warm water: fish may not survive a fight. Consider stopping."),
    STRONG_WIND("Strong wind for a small boat. Off the water at the first thunder.");

    private static final Temperature COLD_UNDER = Temperature.ofCelsius(15);
    private static final Temperature SHORT_FIGHTS_OVER = Temperature.ofCelsius(24);
    private static final Temperature TOO_WARM_OVER = Temperature.ofCelsius(27);
    private static final Speed SMALL_BOAT_FROM = Speed.ofMetresPerSecond(8);

    private final String words;

    Danger(String words) {
        this.words = words;
    }

    /** As a sentence or two. */
    public String words() {
        return words;
    }

    /** Those of a reading; none where nothing was read. */
    public static List<Danger> of(@Nullable Reading reading) {
        List<Danger> dangers = new ArrayList<>();
        if (reading != null && reading.waterTemp() != null) {
            double celsius = reading.waterTemp().celsius();
            if (celsius < COLD_UNDER.celsius()) {
                dangers.add(COLD_WATER);
            } else if (celsius > TOO_WARM_OVER.celsius()) {
                dangers.add(VERY_WARM_WATER);
            } else if (celsius > SHORT_FIGHTS_OVER.celsius()) {
                dangers.add(WARM_WATER);
            }
        }
        if (reading != null
                && reading.wind() != null
                && reading.wind().metresPerSecond() >= SMALL_BOAT_FROM.metresPerSecond()) {
            dangers.add(STRONG_WIND);
        }
        return dangers;
    }
}
