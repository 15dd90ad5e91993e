package dusk.ledger.web.words;

import dusk.ledger.journal.Reading;
import dusk.ledger.units.UnitSystem;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** A reading of the water and the weather in words. */
public final class ReadingWords {
    private ReadingWords() {}

    /** What was read, fact by fact, such as {@code water 9.5 °C}. */
    public static List<String> of(Reading reading, UnitSystem units) {
        String forage = reading.forage();
        return Stream.of(
                        waterTemp(reading, units),
                        clarity(reading, units),
                        reading.sky(),
                        reading.weather(),
                        reading.wind() == null ? null : "wind " + reading.wind().show(units.wind()),
                        reading.levelTrend() == null ? null : "level " + reading.levelTrend(),
                        reading.tide(),
                        forage == null || forage.equals("not seen") ? null : "prey " + forage)
                .filter(Objects::nonNull)
                .toList();
    }

    /** Null where it was not taken. */
    private static @Nullable String waterTemp(Reading reading, UnitSystem units) {
        return reading.waterTemp() == null
                ? null
                : "water " + reading.waterTemp().show(units.temperature());
    }

    /** Such as {@code clear to 1.4 m}; null where it was not taken. */
    public static @Nullable String clarity(Reading reading, UnitSystem units) {
        return reading.clarity() == null
                ? null
                : "clear to " + reading.clarity().show(units.depth());
    }
}
