package dusk.ledger.demo;

import dusk.ledger.journal.Water;
import dusk.ledger.vocabulary.Words;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The water and weather of one trip, and how willing the fish were that day. */
record Day(
        double waterTempC,
        double clarityM,
        String sky,
        double windMps,
        double currentMps,
        String levelTrend,
        @Nullable String tide,
        String weather,
        double willing) {
    private static final double MEAN_C = 14.5;
    private static final double SWING_C = 9.5;
    private static final int WARMEST_DAY = 212;

    /** How much days differ in what no reading tells. */
    private static final double DAY_SIGMA = 0.45;

    Day(Draw draw, Water water, LocalDate date) {
        this(
                waterTemp(draw, water, date),
                clarity(draw, water),
                draw.one(List.of("clear", "broken cloud", "broken cloud", "overcast", "rain")),
                draw.between(0.2, 8),
                water.kind().equals("reservoir") ? 0 : draw.between(0.05, 0.7),
                draw.one(Words.of("level_trend")),
                water.kind().equals("estuary") ? draw.one(Words.of("tide")) : null,
                draw.weighted(
                        Words.of("weather"), w -> w.equals("settled") ? 0.4 : w.equals("after a front") ? 0.3 : 0.15),
                draw.swing(DAY_SIGMA));
    }

    private static double waterTemp(Draw draw, Water water, LocalDate date) {
        double season = Math.cos(2 * Math.PI * (date.getDayOfYear() - WARMEST_DAY) / 365.0);
        double tempered = water.kind().equals("estuary") ? 0.6 : 1;
        return Math.max(3, MEAN_C + SWING_C * tempered * season + draw.between(-1.5, 1.5));
    }

    private static double clarity(Draw draw, Water water) {
        return switch (water.kind()) {
            case "reservoir" -> draw.between(0.5, 4.6);
            case "river" -> draw.between(0.2, 1.6);
            default -> draw.between(0.5, 2.8);
        };
    }
}
