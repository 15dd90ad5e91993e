package dusk.ledger.sheets;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Water;
import dusk.ledger.vocabulary.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** What a sheet is likeliest to be, by the names of its columns and what stands in them. */
public final class MappingGuess {
    /** Of the cells of a column so many must be of a kind for the column to be it. */
    private static final double MOST = 0.7;

    private static final int LOOKED_AT = 400;

    /** Words of the sheet itself that others of it may be spellings of. */
    private static final int MOST_OWN = 300;

    /** Names of a column that numbers its rows, or counts fish. */
    private static final Set<String> NUMBERED = Set.of("no", "nr");

    private static final Pattern IMPERIAL = Pattern.compile(
            "\\d\\s*(?:oz|lbs?|#|\"|”|″|in|inch(?:es)?|ft|mph|°?\\s*f)\\b?.*|.*\\d/(?:2|4|8|16)\\b.*",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern COMMA = Pattern.compile("\\d+,\\d{1,2}(?!\\d).*|\\d{1,3}(\\.\\d{3})+,\\d+.*");
    private static final Pattern POINT = Pattern.compile("\\d+\\.\\d{1,2}(?![.\\d]).*");

    /** Above this a temperature of water is in Fahrenheit. */
    private static final double WARM_C = 36;

    private static final double LONG_MM = 130;

    private final Ledger known;
    private final List<String> species;
    private final Map<String, WordGuess> spellings = new HashMap<>();

    /**
     * @param known what the club has: the names of its waters, anglers, places and rods are recognised
     * @param species that it has landed
     */
    public MappingGuess(Ledger known, List<String> species) {
        this.known = known;
        this.species = List.copyOf(species);
    }

    /** One for each sheet that looks like a record: with a date and something of fish or fishing. */
    public List<SheetMapping> all(SheetFile file) {
        List<SheetMapping> all = file.sheets().stream().map(this::of).toList();
        List<SheetMapping> records =
                all.stream().filter(m -> m.has(Target.DATE)).toList();
        return records.isEmpty() ? List.of(all.get(0)) : records;
    }

    /** Of one sheet. */
    public SheetMapping of(Sheet sheet) {
        return of(sheet, Head.of(sheet));
    }

    SheetMapping of(Sheet sheet, Head head) {
        List<Sheet.Line> lines =
                sheet.lines().subList(head.until(), sheet.lines().size());
        List<Sheet.Line> looked = lines.subList(0, Math.min(LOOKED_AT, lines.size()));
        boolean imperial = imperial(head, looked);
        boolean commas = commas(looked);
        Map<String, SheetMapping.Column> columns = new LinkedHashMap<>();
        Set<String> taken = new HashSet<>();
        for (int at = 0; at < head.names().size(); at++) {
            String name = head.names().get(at);
            List<String> cells = cells(looked, at);
            String key = cells.isEmpty() ? Target.SKIP : target(name, head.own().get(at), cells, commas);
            if (!name.isEmpty()) {
                boolean again = !key.startsWith(Target.FISH) && !key.equals(Target.NOTE) && !taken.add(key);
                String to = again && !key.equals(Target.SKIP) ? Target.SKIP : key;
                columns.put(name, new SheetMapping.Column(to, unit(to, name, cells, imperial, commas)));
            }
        }
        counted(head, looked, columns);
        DateForm dates = DateForm.among(dates(looked, head, columns), imperial);
        SheetMapping guessed = new SheetMapping(
                sheet.name(),
                head.row(sheet),
                head.rows(sheet),
                dates,
                commas,
                row(columns),
                carried(looked, head, columns, dates),
                false,
                "",
                columns,
                Map.of(),
                Map.of(),
                Map.of());
        return guessed.withWords(words(sheet, guessed));
    }

    /** Beside columns that count a species, one of an unknown name with small numbers counts a species too. */
    private static void counted(Head head, List<Sheet.Line> lines, Map<String, SheetMapping.Column> columns) {
        if (columns.values().stream().noneMatch(c -> c.to().startsWith(Target.FISH))) {
            return;
        }
        for (int at = 0; at < head.names().size(); at++) {
            String own = head.own().get(at);
            List<String> cells = cells(lines, at);
            boolean numbers = !cells.isEmpty() && cells.stream().allMatch(c -> c.matches("\\d{1,2}"));
            if (numbers && NameGuess.of(own, head.names().get(at)).isEmpty() && own.matches("\\D{3,}")) {
                String species = Target.FISH + own.toLowerCase(Locale.ROOT);
                columns.replace(head.names().get(at), new SheetMapping.Column(species, ""));
            }
        }
    }

    private static List<String> cells(List<Sheet.Line> lines, int at) {
        return lines.stream().map(l -> l.cell(at)).filter(c -> !c.isEmpty()).toList();
    }

    private static boolean imperial(Head head, List<Sheet.Line> lines) {
        Stream<String> units = head.names().stream().flatMap(n -> NameGuess.unit(n).stream());
        boolean named = units.anyMatch(Set.of("in", "oz", "lb", "F", "ft", "mph")::contains);
        return named
                || lines.stream()
                        .flatMap(l -> l.cells().stream())
                        .anyMatch(c -> IMPERIAL.matcher(c).matches());
    }

    private static boolean commas(List<Sheet.Line> lines) {
        List<String> cells = lines.stream().flatMap(l -> l.cells().stream()).toList();
        long commas = cells.stream().filter(c -> COMMA.matcher(c).matches()).count();
        long points = cells.stream().filter(c -> POINT.matcher(c).matches()).count();
        return commas > points;
    }

    private static List<String> dates(List<Sheet.Line> lines, Head head, Map<String, SheetMapping.Column> columns) {
        return of(head, columns, Target.DATE).stream()
                .flatMap(at -> cells(lines, at).stream())
                .map(Moment::dateOf)
                .toList();
    }

    private static List<Integer> of(Head head, Map<String, SheetMapping.Column> columns, String key) {
        List<Integer> places = new ArrayList<>();
        for (int at = 0; at < head.names().size(); at++) {
            SheetMapping.Column column = columns.get(head.names().get(at));
            if (column != null && column.to().equals(key)) {
                places.add(at);
            }
        }
        return places;
    }

    /** Whether many rows say all but their date. */
    private static boolean carried(
            List<Sheet.Line> lines, Head head, Map<String, SheetMapping.Column> columns, DateForm dates) {
        List<Integer> places = of(head, columns, Target.DATE);
        if (places.isEmpty()) {
            return false;
        }
        int at = places.get(0);
        long without = lines.stream()
                .filter(l -> l.cell(at).isEmpty() && l.filled() > 1 && !Skipping.total(l))
                .count();
        long with = lines.stream()
                .filter(l -> dates.read(Moment.dateOf(l.cell(at))).isPresent())
                .count();
        return without > 1 && without * 10 >= with;
    }

    private static SheetMapping.Row row(Map<String, SheetMapping.Column> columns) {
        Set<String> keys = new HashSet<>();
        columns.values().forEach(c -> keys.add(c.to()));
        if (keys.stream().anyMatch(k -> k.startsWith(Target.FISH))) {
            return SheetMapping.Row.DAY;
        }
        boolean timed = keys.contains(Target.HOURS) || keys.contains(Target.FROM) && keys.contains(Target.UNTIL);
        boolean one = keys.contains("catches.length_mm") || keys.contains("catches.mass_g");
        if (timed && !one || keys.contains(Target.COUNT) && timed) {
            return SheetMapping.Row.STINT;
        }
        return one || keys.contains(Target.SPECIES) ? SheetMapping.Row.FISH : SheetMapping.Row.STINT;
    }

    private String target(String name, String own, List<String> cells, boolean commas) {
        Optional<String> species = NameGuess.species(own, this.species);
        boolean counts = share(cells, c -> c.matches("\\d{1,3}|-|–|x+|")) >= MOST;
        if (species.isPresent() && counts) {
            return Target.FISH + species.get();
        }
        String named = NameGuess.of(own, name).orElse("");
        return switch (named) {
            case "" -> byContents(cells);
            case Target.SKIP ->
                NUMBERED.contains(NameGuess.plain(own)) && counts && !rising(cells) ? Target.COUNT : named;
            case Target.TIME, Target.HOURS -> span(cells, commas) ? Target.HOURS : Target.TIME;
            case Target.COUNT -> counts ? Target.COUNT : numbers(cells, commas) ? Target.COUNT : Target.SPECIES;
            case "catches.mass_g" -> heads(cells, commas) ? "setups.head_mass_g" : named;
            case "setups.head_mass_g" -> share(cells, c -> c.matches("\\D+")) >= MOST ? "setups.head_shape" : named;
            case "catches.length_mm" -> numbers(cells, commas) ? named : Target.NOTE;
            case "spots.label" -> vocabulary(cells, "spots.structure").orElse(named);
            case "stints.presentation" ->
                vocabulary(cells, "stints.presentation")
                        .or(() -> vocabulary(cells, "setups.rig"))
                        .orElse(named);
            case Target.LURE ->
                vocabulary(cells, "setups.plastic")
                        .or(() -> vocabulary(cells, "setups.rig"))
                        .orElse(named);
            case "readings.sky" -> vocabulary(cells, "readings.sky").orElse(Target.NOTE);
            case "readings.wind_mps" ->
                share(cells, c -> wind(c, commas)) >= MOST
                        ? named
                        : share(cells, MappingGuess::bearing) >= MOST ? "readings.wind_from_deg" : Target.NOTE;
            case "readings.clarity_m", "readings.current_mps" ->
                share(cells, c -> figure(Target.name(named), c, commas)) >= MOST ? named : Target.NOTE;
            case "readings.level_trend", "readings.tide" ->
                vocabulary(cells, named).orElse(Target.NOTE);
            default -> named;
        };
    }

    /** Whether it only numbers the rows. */
    private static boolean rising(List<String> cells) {
        for (int i = 1; i < cells.size(); i++) {
            if (!cells.get(i).matches("\\d{1,6}")
                    || !cells.get(i - 1).matches("\\d{1,6}")
                    || Integer.parseInt(cells.get(i)) <= Integer.parseInt(cells.get(i - 1))) {
                return false;
            }
        }
        return true;
    }

    private static boolean wind(String cell, boolean commas) {
        return figure("wind_mps", cell, commas);
    }

    private static boolean bearing(String cell) {
        return figure("wind_from_deg", cell, false);
    }

    private static boolean figure(String column, String cell, boolean commas) {
        try {
            Figure.read(
                    column,
                    cell,
                    Figure.units(column).isEmpty() ? "" : Figure.units(column).get(0),
                    commas);
            return true;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    private static boolean numbers(List<String> cells, boolean commas) {
        return share(cells, c -> Figure.pointed(c, commas).matches("[~<>]?\\s*\\d.*")) >= MOST;
    }

    /** Whether a column of times holds how long and not when. */
    private static boolean span(List<String> cells, boolean commas) {
        List<String> pointed =
                cells.stream().map(c -> Figure.pointed(c, commas)).toList();
        long spans = pointed.stream()
                .filter(
                        c -> c.matches(
                                "(?i)\\d{1,2}(\\.\\d+)?(\\s*\\d/\\d)?(\\s*(h|hr|hrs|hours|std|min|mins|minutes))?\\.?|\\d/\\d|\\d{2,3}\\s*min.*"))
                .filter(c -> !c.matches("\\d{1,2}\\.\\d{2}"))
                .count();
        return spans >= MOST * cells.size();
    }

    /** Whether a column of weights is of heads and not of fish: they are fractions of an ounce. */
    private static boolean heads(List<String> cells, boolean commas) {
        double heads = share(cells, c -> {
            String text = Figure.pointed(c, commas).toLowerCase(Locale.ROOT);
            return text.matches("\\d{1,2}/\\d{1,2}\\s*(oz.*)?") && !text.contains("lb");
        });
        return heads >= 0.5;
    }

    private static double share(List<String> cells, Predicate<String> of) {
        return cells.isEmpty() ? 0 : (double) cells.stream().filter(of).count() / cells.size();
    }

    /** A target of words that most of the different cells are spellings of. */
    private Optional<String> vocabulary(List<String> cells, String key) {
        Set<String> different = new HashSet<>(cells);
        long told = different.stream()
                .filter(c -> spelling(key).of(c).filter(WordGuess.Guess::sure).isPresent())
                .count();
        return told * 2 >= different.size() ? Optional.of(key) : Optional.empty();
    }

    private String byContents(List<String> cells) {
        if (share(
                        cells,
                        c -> Stream.of(DateForm.values())
                                .anyMatch(f -> f.read(Moment.dateOf(c)).isPresent()))
                >= MOST) {
            return Target.DATE;
        }
        return Stream.of(
                        "setups.rig",
                        "setups.plastic",
                        "setups.colour",
                        Target.SPECIES,
                        "spots.structure",
                        "stints.presentation",
                        "readings.sky")
                .flatMap(key -> vocabulary(cells, key).stream())
                .findFirst()
                .orElse(Target.SKIP);
    }

    private static String unit(String key, String name, List<String> cells, boolean imperial, boolean commas) {
        if (key.equals("catches.kept")) {
            return NameGuess.plain(name).contains("releas")
                            || NameGuess.plain(name).contains("c r")
                    ? "released"
                    : "kept";
        }
        List<String> units = Target.units(key);
        if (units.isEmpty()) {
            return "";
        }
        Optional<String> named = NameGuess.unit(name).filter(units::contains);
        if (named.isPresent()) {
            return named.get();
        }
        List<Double> bare = cells.stream()
                .map(c -> Figure.pointed(c, commas))
                .filter(c -> c.matches("\\d+(\\.\\d+)?"))
                .map(Double::valueOf)
                .sorted()
                .toList();
        double middle = bare.isEmpty() ? 0 : bare.get(bare.size() / 2);
        return switch (key) {
            case Target.HOURS -> middle > 24 ? "min" : "h";
            case "readings.water_temp_c", "readings.air_temp_c" -> middle > WARM_C ? "F" : "C";
            case "catches.length_mm" -> middle > LONG_MM ? "mm" : imperial ? "in" : "cm";
            case "catches.mass_g" -> imperial ? "lb" : middle > 0 && middle < 20 ? "kg" : "g";
            case "setups.head_mass_g" -> imperial && middle < 2 ? "oz" : "g";
            case "setups.plastic_length_mm" -> imperial || middle > 0 && middle < 8 ? "in" : middle > 25 ? "mm" : "cm";
            case "stints.depth_m", "stints.fish_depth_m", "readings.clarity_m", "spots.top_m", "spots.foot_m" ->
                imperial ? "ft" : "m";
            case "readings.wind_mps", "readings.current_mps" -> imperial ? "mph" : "m/s";
            case "setups.line_strength_n", "setups.leader_strength_n" -> imperial ? "lb" : "kg";
            case "setups.line_diameter_mm", "setups.leader_diameter_mm" -> "mm";
            default -> imperial && units.contains("in") ? "in" : units.get(0);
        };
    }

    /** The words that a cell of a target may be a spelling of: the club's names, and the trade's words. */
    public List<String> candidates(String key) {
        Set<String> words = new TreeSet<>();
        switch (key) {
            case Target.WATER -> known.waters().stream().map(Water::name).forEach(words::add);
            case Target.ANGLER ->
                known.anglers().stream()
                        .map(Angler::name)
                        .filter(Objects::nonNull)
                        .forEach(words::add);
            case "spots.label" ->
                known.spots().stream().map(Spot::label).filter(Objects::nonNull).forEach(words::add);
            case "rods.name" ->
                known.rods().stream()
                        .map(r -> r.name())
                        .filter(Objects::nonNull)
                        .forEach(words::add);
            case Target.SPECIES -> words.addAll(species);
            default -> {}
        }
        List<String> closed = Words.closed(Target.name(key), Target.file(key));
        words.addAll(closed.isEmpty() ? Words.of(Target.name(key)) : closed);
        return List.copyOf(words);
    }

    private WordGuess spelling(String key) {
        return spellings.computeIfAbsent(key, k -> new WordGuess(candidates(k)));
    }

    /** Whether the cells of a target are words or names, which may be spelt in many ways. */
    public boolean worded(String key) {
        return Set.of(Target.WATER, Target.ANGLER, "spots.label", "rods.name", Target.SPECIES)
                        .contains(key)
                || Target.column(key).isPresent() && !Words.of(Target.name(key)).isEmpty();
    }

    /** The filled columns of a sheet by name, with some of what stands in each. */
    public Map<String, List<String>> columns(Sheet sheet, SheetMapping mapping, int examples) {
        Rows rows = Rows.of(sheet, mapping);
        Map<String, List<String>> columns = new LinkedHashMap<>();
        for (int at = 0; at < rows.names().size(); at++) {
            String name = rows.names().get(at);
            if (mapping.columns().containsKey(name)) {
                columns.put(
                        name,
                        cells(rows.lines(), at).stream()
                                .distinct()
                                .limit(examples)
                                .toList());
            }
        }
        return columns;
    }

    /** A mapping with the words that are surely meant beside those that it says. */
    public SheetMapping withGuessedWords(Sheet sheet, SheetMapping mapping) {
        return mapping.withWordsBehind(words(sheet, mapping));
    }

    /** The different texts of each worded target, the commonest first. */
    public Map<String, List<String>> texts(Sheet sheet, SheetMapping mapping) {
        Map<String, Map<String, Integer>> found = new LinkedHashMap<>();
        Rows.of(sheet, mapping).texts((key, text) -> {
            if (worded(key)) {
                found.computeIfAbsent(key, k -> new HashMap<>()).merge(text, 1, Integer::sum);
            }
        });
        Map<String, List<String>> texts = new LinkedHashMap<>();
        found.forEach((key, counts) -> texts.put(
                key,
                counts.entrySet().stream()
                        .sorted(Map.Entry.<String, Integer>comparingByValue()
                                .reversed()
                                .thenComparing(Map.Entry.comparingByKey()))
                        .map(Map.Entry::getKey)
                        .toList()));
        return texts;
    }

    /** What each text that is no word of its target is surely a spelling of, also of another text of the sheet. */
    Map<String, Map<String, String>> words(Sheet sheet, SheetMapping mapping) {
        Map<String, Map<String, String>> all = new LinkedHashMap<>();
        texts(sheet, mapping).forEach((key, texts) -> {
            Set<String> known = new HashSet<>(candidates(key));
            List<String> own = new ArrayList<>();
            Map<String, String> of = new LinkedHashMap<>();
            for (String text : texts) {
                if (known.contains(text)) {
                    continue;
                }
                Optional<String> sure = spelling(key)
                        .of(text)
                        .filter(WordGuess.Guess::sure)
                        .or(() -> new WordGuess(own).of(text).filter(WordGuess.Guess::sure))
                        .map(WordGuess.Guess::word);
                if (sure.isPresent()) {
                    of.put(text, sure.get());
                } else if (own.size() < MOST_OWN) {
                    own.add(text);
                }
            }
            if (!of.isEmpty()) {
                all.put(key, of);
            }
        });
        return all;
    }
}
