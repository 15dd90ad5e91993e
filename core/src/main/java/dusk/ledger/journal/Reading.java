package dusk.ledger.journal;

import dusk.ledger.units.Bearing;
import dusk.ledger.units.Length;
import dusk.ledger.units.Speed;
import dusk.ledger.units.Temperature;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * The conditions at one moment of a trip; what was not looked at stays empty.
 *
 * @param clarity depth at which a white disc or lure goes out of sight
 * @param pressure of other anglers
 */
@RecordBuilder
public record Reading(
        String id,
        String tripId,
        Instant at,
        @Nullable Temperature waterTemp,
        @Nullable Length clarity,
        @Nullable String sky,
        @Nullable Speed wind,
        @Nullable Bearing windFrom,
        @Nullable Speed current,
        @Nullable String levelTrend,
        @Nullable String tide,
        @Nullable String weather,
        @Nullable String pressure,
        @Nullable Double airPressureHpa,
        @Nullable Temperature airTemp,
        @Nullable String forage,
        @Nullable Length forageLength,
        @Nullable String source) {
    public Reading {
        new Checks("readings")
                .named("reading_id", id)
                .named("trip_id", tripId)
                .present("at", at)
                .word("tide", tide)
                .word("weather", weather)
                .word("pressure", pressure)
                .word("source", source)
                .within("air_pressure_hpa", airPressureHpa, 850, 1100)
                .that(
                        waterTemp == null || (waterTemp.celsius() >= -3 && waterTemp.celsius() <= 45),
                        "water_temp_c",
                        "not a temperature of water anyone fishes, expected -3 to 45")
                .done();
    }
}
