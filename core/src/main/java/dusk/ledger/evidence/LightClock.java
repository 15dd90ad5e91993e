package dusk.ledger.evidence;

import dusk.ledger.light.SunHour;
import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.BitSet;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Rates by part of the day, counted from sunrise and sunset.
 *
 * @param year all seasons together
 * @param seasons by season that occurs, in the order of the year
 * @param fair each part of the day against the others, same trip and angler
 */
public record LightClock(Levels year, Map<String, Levels> seasons, LikeForLike fair) {
    private static final int LEAST_TRIPS = 3;

    /** Reckons it; the question's factor is no part of it. Codes of the levels are ordinals of {@link SunHour}. */
    public static LightClock of(StintTable all, Question question) {
        StintTable table = all.placedInDay();
        BitSet rows = Comparison.rows(table, question);
        int[] fish = table.fish(question.species(), question.least());
        Levels year = levels(table, rows, fish);
        Codes season = table.codes(Factor.SEASON);
        Map<String, Levels> seasons = new LinkedHashMap<>();
        for (int code = 1; code < season.levels().size(); code++) {
            BitSet in = new BitSet();
            int wanted = code;
            rows.stream().filter(row -> season.at(row) == wanted).forEach(in::set);
            if (!in.isEmpty()) {
                seasons.put(season.levels().get(code), levels(table, in, fish));
            }
        }
        LikeForLike fair = LikeForLike.of(
                table,
                question,
                row -> table.sunHour(row).ordinal(),
                LightClock::words,
                List.of(Factor.TRIP, Factor.ANGLER));
        return new LightClock(year, seasons, fair);
    }

    private static Levels levels(StintTable table, BitSet rows, int[] fish) {
        return Levels.of(table, rows, fish, row -> table.sunHour(row).ordinal(), LightClock::words);
    }

    private static String words(int code) {
        return SunHour.values()[code].words();
    }

    /** The part of the day to expect most of, of those with enough fishing; none where fewer than two have it. */
    public static Optional<LevelFigures> best(Levels levels) {
        return enough(levels).size() < 2
                ? Optional.empty()
                : enough(levels).stream().max(byRate());
    }

    /** The one to expect least of. */
    public static Optional<LevelFigures> least(Levels levels) {
        return enough(levels).size() < 2
                ? Optional.empty()
                : enough(levels).stream().min(byRate());
    }

    private static List<LevelFigures> enough(Levels levels) {
        return levels.figures().values().stream()
                .filter(l -> l.rodHours() >= RateGrid.LITTLE_ROD_HOURS && l.trips() >= LEAST_TRIPS)
                .filter(l -> l.shrunk() != null)
                .toList();
    }

    private static Comparator<LevelFigures> byRate() {
        return Comparator.comparingDouble(
                l -> l.shrunk() == null ? 0 : l.shrunk().mean());
    }
}
