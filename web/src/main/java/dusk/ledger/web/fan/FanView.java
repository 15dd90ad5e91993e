package dusk.ledger.web.fan;

import dusk.ledger.units.Bearing;
import dusk.ledger.units.Figures;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Calibrations;
import dusk.ledger.water.Fall;
import dusk.ledger.water.Fan;
import dusk.ledger.water.LaidFan;
import dusk.ledger.web.words.DistanceWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A fan of casts as its page lays it out.
 *
 * @param sentence how many, how far apart, how long
 * @param done what was covered
 * @param doubts what it leaves out
 */
public record FanView(String sentence, String done, String drawing, List<Line> casts, List<String> doubts) {
    /** Within this of where the wind comes from a cast goes into it. */
    private static final double INTO_WIND_DEG = 45;

    private static final double SECONDS_PER_MINUTE = 60;

    /** A cast of the list; its number counts from 0. */
    public record Line(int number, String words, boolean made) {}

    /** Lays it out, the casts made among it. */
    public static FanView of(FanAsk ask, Set<Integer> made, Calibrations calibrations, UnitSystem units) {
        LaidFan laid = ask.laid();
        Fan fan = laid.fan();
        List<Double> bearings = laid.bearings();
        List<LaidFan.@Nullable Landing> landings = landings(ask, bearings, calibrations);
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < bearings.size(); i++) {
            lines.add(new Line(i, line(ask, i, bearings.get(i), landings.get(i), units), made.contains(i)));
        }
        String sentence = fan.casts() + " casts, "
                + Figures.trimmed(fan.apartDeg(), 1)
                + "° apart, cover " + Figures.trimmed(fan.arcDeg(), 0) + "° out to "
                + DistanceWords.of(laid.castM(), units) + ": " + minutes(fan.minutes()) + ".";
        return new FanView(
                sentence,
                done(laid, fan, made),
                FanPicture.svg(ask, made, landings, sentence, units),
                lines,
                doubts(ask, calibrations));
    }

    private static String done(LaidFan laid, Fan fan, Set<Integer> made) {
        if (made.isEmpty()) {
            return "None made yet.";
        }
        int left = fan.casts() - made.size();
        return made.size() + " of " + fan.casts() + " made: " + Math.round(100 * fan.covered(made)) + " % is covered"
                + (left == 0
                        ? "."
                        : ", " + left + " to go, " + minutes(left * laid.castS() / SECONDS_PER_MINUTE) + ".");
    }

    static String minutes(double minutes) {
        return minutes < 1.5
                ? Figures.fixed(minutes * SECONDS_PER_MINUTE, 0) + " seconds"
                : Figures.fixed(minutes, 0) + " minutes";
    }

    private static List<String> doubts(FanAsk ask, Calibrations calibrations) {
        List<String> doubts = new ArrayList<>();
        doubts.add("As if a fish came from half the strike width to either side, and no cast fell short.");
        if (ask.setUp() != null) {
            Fall fall = Fall.of(ask.setUp(), calibrations);
            doubts.add(fall instanceof Fall.Unknown unknown ? unknown.why() : ((Fall.Known) fall).basisWords());
        }
        return doubts;
    }

    private static List<LaidFan.@Nullable Landing> landings(
            FanAsk ask, List<Double> bearings, Calibrations calibrations) {
        Fall fall = ask.setUp() == null ? null : Fall.of(ask.setUp(), calibrations);
        List<LaidFan.@Nullable Landing> landings = new ArrayList<>();
        for (double bearing : bearings) {
            landings.add(ask.laid().landing(bearing, ask.depthM(), fall, ask.current()));
        }
        return landings;
    }

    private static String line(
            FanAsk ask, int number, double bearing, LaidFan.@Nullable Landing landing, UnitSystem units) {
        StringBuilder words = new StringBuilder("cast " + (number + 1) + ", toward "
                + Bearing.ofDegrees(Math.rint(bearing) % 360).show());
        LaidFan.Stream wind = ask.wind();
        if (wind != null && wind.mps() > 0) {
            double from = Math.abs(((wind.towardDeg() + 180 - bearing) % 360 + 540) % 360 - 180);
            words.append(
                    from <= INTO_WIND_DEG ? ", into the wind" : from >= 180 - INTO_WIND_DEG ? ", down the wind" : "");
        }
        if (landing != null) {
            words.append(", carried ").append(DistanceWords.of(Math.hypot(landing.alongM(), landing.asideM()), units));
        }
        return words.toString();
    }
}
