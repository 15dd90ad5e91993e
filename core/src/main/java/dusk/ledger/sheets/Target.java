package dusk.ledger.sheets;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a column of a sheet may be: a column of the record, by its file and name, or what the record has no column for.
 *
 * @param key as it is written in a mapping: {@code setups.colour}, {@code date}, {@code fish:pike}
 * @param group what it is listed under
 * @param label what a person calls it
 */
public record Target(String key, String group, String label) {
    public static final String SKIP = "skip";
    public static final String DATE = "date";
    public static final String TIME = "time";
    public static final String FROM = "from";
    public static final String UNTIL = "until";
    public static final String HOURS = "hours";
    public static final String RODS = "rods";
    public static final String LURE = "lure";
    public static final String WATER = "waters.name";
    public static final String ANGLER = "anglers.name";
    public static final String SPECIES = "catches.species";
    public static final String COUNT = "catches.count";
    public static final String LOST = "losses.count";
    public static final String NOTE = "trips.note";

    /** Before the name of a species: the column counts its fish. */
    public static final String FISH = "fish:";

    private static final Map<String, Target> ALL = new LinkedHashMap<>();
    private static final Map<String, FileColumn<?>> COLUMNS = new LinkedHashMap<>();
    private static final List<String> UNASKED = List.of("latitude", "longitude", "not_recorded", "source", "how");

    static {
        put(SKIP, "", "leave it out");
        put(DATE, "When", "date, or date and time");
        put(TIME, "When", "time of day");
        put(FROM, "When", "fished from");
        put(UNTIL, "When", "fished until");
        put(HOURS, "When", "hours fished");
        put(RODS, "When", "number of rods or anglers");
        column("Who and where", LedgerFormat.ANGLERS, "name", "angler");
        column("Who and where", LedgerFormat.WATERS, "name", "water");
        column("Who and where", LedgerFormat.SPOTS, "label", "place, by name");
        columns("Who and where", LedgerFormat.SPOTS, List.of("spot_id", "water_id", "kept_by", "label"));
        column("Fish", LedgerFormat.CATCHES, "species", "species");
        column("Fish", LedgerFormat.CATCHES, "count", "number of fish");
        column("Fish", LedgerFormat.CATCHES, "length_mm", "length of the fish");
        column("Fish", LedgerFormat.CATCHES, "mass_g", "weight of the fish");
        columns(
                "Fish",
                LedgerFormat.CATCHES,
                List.of("catch_id", "stint_id", "at", "species", "count", "length_mm", "mass_g"));
        put(LOST, "Fish", "fish lost");
        put(LURE, "What was tied on", "lure, in free words");
        columns("What was tied on", LedgerFormat.SETUPS, List.of("setup_id", "from_setup_id"));
        column("What was tied on", LedgerFormat.RODS, "name", "rod, by name");
        columns(
                "How it was fished",
                LedgerFormat.STINTS,
                List.of("stint_id", "trip_id", "angler_id", "spot_id", "setup_id", "started_at", "minutes", "rod_id"));
        columns("Water and weather", LedgerFormat.READINGS, List.of("reading_id", "trip_id", "at"));
        column("Other", LedgerFormat.TRIPS, "note", "note");
    }

    private static void put(String key, String group, String label) {
        ALL.put(key, new Target(key, group, label));
    }

    private static void column(String group, Table<?> table, String column, String label) {
        String key = table.name() + "." + column;
        put(key, group, label);
        table.columns().stream().filter(c -> c.name().equals(column)).forEach(c -> COLUMNS.put(key, c));
    }

    private static void columns(String group, Table<?> table, List<String> but) {
        for (FileColumn<?> column : table.columns()) {
            if (!but.contains(column.name()) && !UNASKED.contains(column.name())) {
                column(group, table, column.name(), called(column.name()));
            }
        }
    }

    /** {@code head_mass_g} is called head weight. */
    private static String called(String column) {
        return column.replaceAll("_(mm|m|g|c|n|s|mps|deg|hpa)$", "")
                .replace('_', ' ')
                .replace("mass", "weight")
                .replace("forage", "prey")
                .replace("temp", "temperature");
    }

    /** All but those that count one species, in the order in which they are listed. */
    public static List<Target> all() {
        return List.copyOf(ALL.values());
    }

    /** One by its key; nothing where there is none. */
    public static Optional<Target> of(String key) {
        if (key.startsWith(FISH) && key.length() > FISH.length()) {
            return Optional.of(new Target(key, "Fish", "number of " + key.substring(FISH.length())));
        }
        return Optional.ofNullable(ALL.get(key));
    }

    /** The column of the record; nothing for a target of another kind. */
    static Optional<FileColumn<?>> column(String key) {
        return Optional.ofNullable(COLUMNS.get(key));
    }

    /** Name of the column behind the file's. */
    static String name(String key) {
        return key.substring(key.indexOf('.') + 1);
    }

    static String file(String key) {
        return key.substring(0, Math.max(0, key.indexOf('.')));
    }

    /** Units that its cells may be in, or what a yes in them means; none where there is nothing to choose. */
    public static List<String> units(String key) {
        return key.equals("catches.kept") ? List.of("kept", "released") : Figure.units(name(key));
    }

    /** Those of a file of the record. */
    static List<String> keys(Table<?> table) {
        List<String> keys = new ArrayList<>();
        COLUMNS.keySet().stream().filter(k -> file(k).equals(table.name())).forEach(keys::add);
        return keys;
    }
}
