package dusk.ledger.places;

import dusk.ledger.season.Season;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Visits of places, from the stints that were fished there. */
public final class Visits {
    private Visits() {}

    /**
     * Gathers them.
     *
     * @param spots ids of the places that are asked about
     * @param species that counts; null for any
     * @param water as it was on a trip of an id, but for its stage of the year, which the stints know
     */
    public static List<Visit> of(
            StintTable table, Set<String> spots, @Nullable String species, Function<String, Visit.State> water) {
        int[] fish = table.fish(species, null);
        Map<List<String>, List<Integer>> rows = new LinkedHashMap<>();
        for (int row = 0; row < table.size(); row++) {
            String spot = table.codes(Factor.SPOT).level(row);
            if (spots.contains(spot)) {
                rows.computeIfAbsent(List.of(spot, table.codes(Factor.TRIP).level(row)), v -> new ArrayList<>())
                        .add(row);
            }
        }
        List<Visit> visits = new ArrayList<>();
        rows.forEach((where, of) -> {
            Visit.State state = water.apply(where.get(1));
            visits.add(new Visit(
                    where.get(0),
                    where.get(1),
                    of.stream().map(table::startedAt).min(Instant::compareTo).orElseThrow(),
                    of.stream().mapToDouble(table::rodHours).sum(),
                    of.stream().mapToInt(row -> fish[row]).sum(),
                    most(table, of, Factor.LIGHT),
                    new Visit.State(
                            season(most(table, of, Factor.SEASON)),
                            state.temperature(),
                            state.clarity(),
                            state.levelTrend(),
                            state.weather())));
        });
        return visits;
    }

    private static @Nullable Season season(@Nullable String word) {
        return Arrays.stream(Season.values())
                .filter(season -> season.word().equals(word))
                .findFirst()
                .orElse(null);
    }

    /** The level that most of the hours have. */
    private static @Nullable String most(StintTable table, List<Integer> rows, Factor factor) {
        Map<String, Double> hours = new HashMap<>();
        rows.stream()
                .filter(row -> table.codes(factor).at(row) > 0)
                .forEach(row -> hours.merge(table.codes(factor).level(row), table.rodHours(row), Double::sum));
        return hours.entrySet().stream()
                .max(Map.Entry.<String, Double>comparingByValue()
                        .thenComparing(
                                Map.Entry.<String, Double>comparingByKey().reversed()))
                .map(Map.Entry::getKey)
                .orElse(null);
    }
}
