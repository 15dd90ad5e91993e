package dusk.ledger.vocabulary;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What is judged by eye where nothing measures it: a word for each band of a reading, which stands for the middle of its
 * band. The highest bands are open; theirs is a usual value.
 */
public final class Judged {
    private static final Map<String, Map<String, String>> BY_COLUMN = new LinkedHashMap<>();

    static {
        put("clarity_m", "muddy", "0.15 m");
        put("clarity_m", "stained", "0.6 m");
        put("clarity_m", "a little stained", "1.45 m");
        put("clarity_m", "clear", "3 m");
        put("clarity_m", "very clear", "5 m");
        put("wind_mps", "calm", "1 m/s");
        put("wind_mps", "light", "3.5 m/s");
        put("wind_mps", "choppy", "7 m/s");
        put("wind_mps", "rough", "11 m/s");
        put("current_mps", "still", "0.02 m/s");
        put("current_mps", "slow", "0.175 m/s");
        put("current_mps", "steady", "0.5 m/s");
        put("current_mps", "strong", "0.9 m/s");
    }

    private Judged() {}

    private static void put(String column, String word, String stands) {
        BY_COLUMN.computeIfAbsent(column, c -> new LinkedHashMap<>()).put(word, stands);
    }

    /** The words for a column of readings, from little to much; none where it has to be measured or has words of its own. */
    public static List<String> words(String column) {
        return List.copyOf(BY_COLUMN.getOrDefault(column, Map.of()).keySet());
    }

    /** What a word stands for, as a person would type it, with its unit; nothing where it is none of them. */
    public static Optional<String> of(String column, String word) {
        return Optional.ofNullable(BY_COLUMN.getOrDefault(column, Map.of()).get(word.strip()));
    }
}
