package dusk.ledger.web.afloat;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The conditions that the deck's strip shows, in the order they are looked at, and how long a look at each is good for. */
public final class ConditionWords {
    private static final Map<String, Condition> ALL = new LinkedHashMap<>();

    /**
     * @param hint how it is written; empty for a word, or for a speed, which goes by the person's units
     * @param good so long a look may be trusted; older is doubtful
     */
    public record Condition(String column, String name, String hint, Duration good) {}

    static {
        add("water_temp_c", "water temperature", "12.5 C or 54 F", 180);
        add("clarity_m", "clarity", "depth at which a white lure goes out of sight", 180);
        add("sky", "sky", "", 60);
        add("wind_mps", "wind", "", 60);
        add("current_mps", "current", "", 90);
        add("level_trend", "level", "", 240);
        add("tide", "tide", "", 60);
        add("weather", "weather", "", 240);
        add("pressure", "other anglers", "", 120);
        add("forage", "prey", "", 180);
    }

    private ConditionWords() {}

    private static void add(String column, String name, String hint, long goodMinutes) {
        ALL.put(column, new Condition(column, name, hint, Duration.ofMinutes(goodMinutes)));
    }

    public static List<Condition> all() {
        return List.copyOf(ALL.values());
    }

    public static boolean knows(String column) {
        return ALL.containsKey(column);
    }

    /** How long a look at a column is good for; where the wind comes from is looked at with the wind. */
    private static Duration good(String column) {
        Condition condition = ALL.get(column.equals("wind_from_deg") ? "wind_mps" : column);
        return condition == null ? Duration.ZERO : condition.good();
    }

    /** Whether a column was looked at by hand, and so lately that it is good still: that goes before every instrument. */
    public static boolean good(@Nullable Instant looked, String column, Instant now) {
        return looked != null && Duration.between(looked, now).compareTo(good(column)) <= 0;
    }

    public static String name(String column) {
        Condition condition = ALL.get(column);
        return condition == null ? column : condition.name();
    }

    public static List<String> names(Collection<String> columns) {
        return columns.stream().map(ConditionWords::name).toList();
    }
}
