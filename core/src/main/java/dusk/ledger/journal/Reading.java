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
 * @param how measured, or judged by a word that stands for the middle of its band
 * @param preyColour of the prey that was seen
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
        @Nullable String source,
        @Nullable String how,
        @Nullable String preyColour) {
    public Reading {
        new Checks("readings")
                .id("reading_id", id)
                .id("trip_id", tripId)
                .present("at", at)
                .at("at", at)
                .in("water_temp_c", waterTemp == null ? null : waterTemp.celsius())
                .in("clarity_m", clarity == null ? null : clarity.metres())
                .text("sky", sky)
                .in("wind_mps", wind == null ? null : wind.metresPerSecond())
                .in("current_mps", current == null ? null : current.metresPerSecond())
                .text("level_trend", levelTrend)
                .word("tide", tide)
                .word("weather", weather)
                .word("pressure", pressure)
                .in("air_pressure_hpa", airPressureHpa)
                .in("air_temp_c", airTemp == null ? null : airTemp.celsius())
                .text("forage", forage)
                .in("forage_length_mm", forageLength == null ? null : forageLength.millimetres())
                .word("source", source)
                .word("how", how)
                .text("prey_colour", preyColour)
                .done();
    }
}
