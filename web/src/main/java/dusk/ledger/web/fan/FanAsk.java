package dusk.ledger.web.fan;

import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Figures;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.LaidFan;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.words.DistanceWords;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * A fan of casts as it is asked for.
 *
 * @param laid where and how the casts go
 * @param wind null where nobody said
 * @param current null where there is none
 * @param setUp what is thrown, so that it is told where it comes down; null where it does not matter
 * @param depthM of the bottom
 */
public record FanAsk(
        LaidFan laid,
        LaidFan.@Nullable Stream wind,
        LaidFan.@Nullable Stream current,
        @Nullable SetUp setUp,
        double depthM) {
    private static final double USUAL_DEPTH_M = 4;

    /** More nobody makes from one place. */
    private static final int MOST_CASTS = 120;

    /** The fields that can be wrong, by name. */
    public static final List<String> FIELDS = List.of(
            "toward",
            "arc",
            "cast_m",
            "strike_m",
            "cast_s",
            "wind_mps",
            "wind_from",
            "current_mps",
            "current_toward",
            "setup",
            "depth_m");

    /** Reads where the casts go; null where anything is wrong, which is kept by field. */
    public static @Nullable LaidFan laid(Map<String, String> values, UnitSystem units, Map<String, String> errors) {
        Typed typed = new Typed(values, units);
        LaidFan laid = laid(typed);
        errors.putAll(typed.errors());
        return typed.errors().isEmpty() ? laid : null;
    }

    private static LaidFan laid(Typed typed) {
        LaidFan usual = LaidFan.USUAL;
        LaidFan laid = new LaidFan(
                Typed.or(typed.number("toward", 0, 360, "°"), usual::towardDeg) % 360,
                Typed.or(typed.number("arc", 5, 360, "°"), usual::arcDeg),
                Typed.or(typed.metres("cast_m", 2, 100), usual::castM),
                Typed.or(typed.metres("strike_m", 0.3, 30), usual::strikeM),
                Typed.or(typed.number("cast_s", 5, 1200, " s"), usual::castS));
        if (laid.fan().casts() > MOST_CASTS) {
            typed.wrong(
                    "strike_m",
                    "That makes more than " + MOST_CASTS + " casts. Write a wider strike, or a narrower arc.");
        }
        return laid;
    }

    static @Nullable FanAsk read(Typed typed, Function<String, @Nullable SetUp> setUps) {
        LaidFan laid = laid(typed);
        Double windMps = typed.speed("wind_mps", 0, 40);
        Double windFrom = typed.number("wind_from", 0, 360, "°");
        Double currentMps = typed.speed("current_mps", 0, 3);
        Double currentToward = typed.number("current_toward", 0, 360, "°");
        FanAsk ask = new FanAsk(
                laid,
                windMps == null || windFrom == null ? null : new LaidFan.Stream(windMps, (windFrom + 180) % 360),
                currentMps == null || currentMps == 0
                        ? null
                        : new LaidFan.Stream(currentMps, Typed.or(currentToward, () -> 0.0) % 360),
                typed.known("setup", setUps, "Choose a set-up of the list."),
                Typed.or(typed.metres("depth_m", 0.3, 60), () -> USUAL_DEPTH_M));
        if (windMps != null && windFrom == null) {
            typed.wrong("wind_from", "Say where it comes from, in degrees: 270 is from the west.");
        }
        return typed.errors().isEmpty() ? ask : null;
    }

    /** Numbers of the casts made, as they were ticked: from 0. */
    static Set<Integer> made(List<String> ticked, int casts) {
        return new HashSet<>(Typed.ticks(ticked, casts));
    }

    /** The fields as they stand for a fan. */
    public static Map<String, String> typed(@Nullable LaidFan laid, UnitSystem units) {
        LaidFan shown = laid == null ? LaidFan.USUAL : laid;
        Map<String, String> typed = new HashMap<>();
        typed.put("toward", Figures.trimmed(shown.towardDeg(), 0));
        typed.put("arc", Figures.trimmed(shown.arcDeg(), 0));
        typed.put("cast_m", DistanceWords.round(shown.castM(), units));
        typed.put("strike_m", DistanceWords.round(shown.strikeM(), units));
        typed.put("cast_s", Figures.trimmed(shown.castS(), 0));
        return typed;
    }
}
