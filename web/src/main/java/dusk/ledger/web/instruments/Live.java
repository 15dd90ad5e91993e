package dusk.ledger.web.instruments;

import dusk.ledger.instruments.Known;
import java.time.Instant;
import java.util.Map;

/**
 * What an instrument says of a column of a deck's readings.
 *
 * @param cell as the format has it
 * @param source as the format names it: instrument or service
 * @param by name of the instrument
 */
public record Live(String column, Object cell, Instant at, String source, String by) {
    /** As finely as an instrument means them, in parts of a unit. */
    private static final Map<String, Long> PARTS = Map.of(
            "water_temp_c", 10L,
            "clarity_m", 20L,
            "wind_mps", 10L,
            "wind_from_deg", 1L,
            "current_mps", 100L,
            "air_temp_c", 10L,
            "air_pressure_hpa", 10L);

    private static final double ROUND = 360;

    /** An average is no finer than what it is of. */
    static Live of(Known known, String source, String by) {
        Long parts = PARTS.get(known.column());
        Object cell = known.cell();
        if (parts != null && cell instanceof Double value) {
            double rounded = Math.round(value * parts) / (double) parts;
            cell = known.column().equals("wind_from_deg") ? rounded % ROUND : rounded;
        }
        return new Live(known.column(), cell, known.at(), source, by);
    }
}
