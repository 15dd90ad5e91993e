package dusk.ledger.sheets;

import dusk.ledger.format.Cells;
import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.interchange.Fault;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.vocabulary.Factor;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/**
 * Records that entries come to: an angler's day on a water is a trip; rows that are fish of one place, set-up and way of
 * fishing are of one stint. Every id is made of what it is the id of, so that the same rows come to the same records.
 */
final class Gathered {
    /** Stands in for hours that nobody wrote down; such a stint counts for no rate. */
    private static final double STAND_IN_MINUTES = 60;

    private static final LocalTime NOON = LocalTime.NOON;
    private static final String UNNAMED = "not noted";
    private static final String LAKE = "lake";

    /** What stands in a water's name, by the kind that it is. */
    private static final Map<String, String> KINDS = new LinkedHashMap<>();

    static {
        KINDS.put("reservoir", "reservoir|stausee|dam\\b");
        KINDS.put("canal", "canal|kanal");
        KINDS.put("pond", "pond|weiher|pool|etang");
        KINDS.put("estuary", "estuary|sound|bay|harbou?r|sea|lagoon|coast|fjord");
        KINDS.put("river", "river|stream|creek|brook|fluss|beck|burn");
    }

    private final Ledger known;
    private final Map<String, Angler> anglers = new LinkedHashMap<>();
    private final Map<String, Water> waters = new LinkedHashMap<>();
    private final Map<String, Spot> spots = new LinkedHashMap<>();
    private final Map<String, SetUp> setUps = new LinkedHashMap<>();
    private final Map<String, Rod> rods = new LinkedHashMap<>();
    private final Map<String, Day> days = new LinkedHashMap<>();
    private final Map<List<Object>, SetUp> knownSetUps = new HashMap<>();

    Gathered(Ledger known) {
        this.known = known;
        known.setUps().forEach(s -> knownSetUps.putIfAbsent(make(s), s));
    }

    /** A trip as it gathers. */
    private static final class Day {
        private final String id;
        private final Water water;
        private final Angler angler;
        private final ZoneId zone;
        private final Map<String, Span> spans = new LinkedHashMap<>();
        private final Map<String, Reading> readings = new LinkedHashMap<>();
        private final Set<String> notes = new java.util.LinkedHashSet<>();

        Day(String id, Water water, Angler angler, ZoneId zone) {
            this.id = id;
            this.water = water;
            this.angler = angler;
            this.zone = zone;
        }
    }

    /** A stint as it gathers. */
    private static final class Span {
        private final String id;
        private final String place;
        private final Entry first;
        private final Cells cells = new Cells();
        private final Map<String, Object> stintCells = new LinkedHashMap<>();
        private @Nullable Instant from;
        private @Nullable Instant lastFish;
        private @Nullable Double minutes;
        private final List<Landing> landings = new ArrayList<>();
        private int lost;

        Span(String id, String place, Entry first) {
            this.id = id;
            this.place = place;
            this.first = first;
        }
    }

    /** Fish of one row. */
    private record Landing(
            String id,
            Entry entry,
            String species,
            int count,
            @Nullable Instant at) {}

    /**
     * Takes an entry in.
     *
     * @param content what the row says, different for two rows that say the same
     */
    void add(Entry entry, SheetMapping mapping, String place, String content, String speciesUnsaid) {
        Water water = water(entry, mapping);
        Angler angler = angler(entry);
        ZoneId zone = zone(water, mapping);
        String tripId = id("trip", water.id(), angler.id(), entry.date());
        Day day = days.computeIfAbsent(tripId, k -> new Day(tripId, water, angler, zone));
        Object note = entry.cells().get(Target.NOTE);
        if (note != null) {
            day.notes.add(note.toString());
        }
        if (!entry.lure().isEmpty()) {
            day.notes.add("lure: " + entry.lure());
        }
        String spotId = spot(entry, water);
        String setUpId = setUp(entry);
        String rodId = rod(entry);
        Map<String, Object> fished = of(LedgerFormat.STINTS, entry);
        fished.keySet().removeAll(Set.of("follows", "bites", "hooked"));
        boolean fishRows = mapping.row() == SheetMapping.Row.FISH;
        String key = id(
                "stint",
                tripId,
                spotId,
                setUpId,
                rodId,
                fished,
                entry.from(),
                entry.until(),
                entry.minutes(),
                fishRows ? "" : content);
        Span span = day.spans.computeIfAbsent(key, k -> new Span(key, place, entry));
        fished.forEach(span.cells::with);
        span.cells.with("spot_id", spotId).with("setup_id", setUpId).with("rod_id", rodId);
        for (String count : List.of("follows", "bites", "hooked")) {
            Object value = entry.cells().get("stints." + count);
            if (value instanceof Long number) {
                span.stintCells.merge(count, number, (a, b) -> (Long) a + (Long) b);
            }
        }
        Instant at = entry.at() == null ? null : at(entry, entry.at(), zone);
        Instant from = entry.from() != null ? at(entry, entry.from(), zone) : at;
        span.from = span.from == null || from != null && from.isBefore(span.from) ? from : span.from;
        span.minutes = entry.minutes();
        if (at != null && (span.lastFish == null || at.isAfter(span.lastFish))) {
            span.lastFish = at;
        }
        entry.fish()
                .forEach((species, count) -> span.landings.add(new Landing(
                        id("catch", key, content, species),
                        entry,
                        species.isEmpty() ? speciesUnsaid : species,
                        count,
                        fishRows ? at : null)));
        span.lost += entry.lost();
        reading(entry, day, from != null ? from : at(entry, NOON, zone));
    }

    private static Instant at(Entry entry, LocalTime time, ZoneId zone) {
        return entry.date().atTime(time).atZone(zone).toInstant();
    }

    private static ZoneId zone(Water water, SheetMapping mapping) {
        if (water.timeZone() != null) {
            return water.timeZone();
        }
        return mapping.timeZone().isEmpty() ? ZoneOffset.UTC : ZoneId.of(mapping.timeZone());
    }

    private Water water(Entry entry, SheetMapping mapping) {
        String name = named(entry, Target.WATER);
        return waters.computeIfAbsent(
                small(name),
                k -> known.waters().stream()
                        .filter(w -> small(w.name()).equals(k))
                        .findFirst()
                        .orElseGet(() -> new Water(
                                id("water", k),
                                name,
                                mapping.waterKinds().getOrDefault(name, kind(name)),
                                null,
                                mapping.timeZone().isEmpty() ? null : ZoneId.of(mapping.timeZone()))));
    }

    /** What a water's name says that it is. */
    static String kind(String name) {
        String plain = NameGuess.plain(name);
        return KINDS.entrySet().stream()
                .filter(e -> java.util.regex.Pattern.compile(e.getValue())
                        .matcher(plain)
                        .find())
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse(LAKE);
    }

    private Angler angler(Entry entry) {
        String name = named(entry, Target.ANGLER);
        return anglers.computeIfAbsent(
                small(name),
                k -> known.anglers().stream()
                        .filter(a -> a.name() != null && small(a.name()).equals(k))
                        .findFirst()
                        .orElseGet(() -> new Angler(id("angler", k), name)));
    }

    private static String named(Entry entry, String key) {
        return Objects.toString(entry.cells().get(key), UNNAMED);
    }

    private static String small(String name) {
        return name.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
    }

    private @Nullable String spot(Entry entry, Water water) {
        Map<String, Object> cells = of(LedgerFormat.SPOTS, entry);
        if (cells.isEmpty()) {
            return null;
        }
        Object label = cells.get("label");
        if (label != null) {
            String wanted = small(label.toString());
            for (Spot spot : known.spots()) {
                if (spot.waterId().equals(water.id())
                        && spot.label() != null
                        && small(spot.label()).equals(wanted)) {
                    return spot.id();
                }
            }
        }
        String id = label == null ? id("spot", water.id(), cells) : id("spot", water.id(), small(label.toString()));
        spots.computeIfAbsent(id, k -> read(LedgerFormat.SPOTS, cells, Map.of("spot_id", k, "water_id", water.id())));
        return id;
    }

    private @Nullable String rod(Entry entry) {
        Object name = entry.cells().get("rods.name");
        if (name == null) {
            return null;
        }
        String wanted = small(name.toString());
        Rod rod = rods.computeIfAbsent(
                wanted,
                k -> known.rods().stream()
                        .filter(r -> r.name() != null && small(r.name()).equals(k))
                        .findFirst()
                        .orElseGet(
                                () -> read(LedgerFormat.RODS, Map.of("name", name), Map.of("rod_id", id("rod", k)))));
        return rod.id();
    }

    private String setUp(Entry entry) {
        Map<String, Object> cells = of(LedgerFormat.SETUPS, entry);
        cells.putIfAbsent("rig", Factor.NOT_RECORDED);
        SetUp made = read(LedgerFormat.SETUPS, cells, Map.of("setup_id", id("setup", cells)));
        SetUp there = knownSetUps.get(make(made));
        SetUp used = there == null ? made : there;
        setUps.putIfAbsent(used.id(), used);
        return used.id();
    }

    /** All of a set-up but which it is and what it was made of. */
    private static List<Object> make(SetUp setUp) {
        List<Object> make = new ArrayList<>();
        LedgerFormat.SETUPS.columns().stream()
                .filter(c -> !c.name().endsWith("setup_id"))
                .forEach(c -> make.add(Objects.requireNonNullElse(c.value().apply(setUp), "")));
        return make;
    }

    private static void reading(Entry entry, Day day, Instant at) {
        Map<String, Object> cells = of(LedgerFormat.READINGS, entry);
        if (cells.isEmpty()) {
            return;
        }
        String said = cells.toString();
        boolean again = day.readings.values().stream()
                .anyMatch(r -> of(LedgerFormat.READINGS, r).equals(cells));
        if (!again) {
            String id = id("reading", day.id, said);
            boolean judged = entry.guessed().stream().anyMatch(k -> k.startsWith("readings."));
            cells.put("source", "hand");
            if (judged) {
                cells.put("how", "judged");
            }
            day.readings.putIfAbsent(
                    id, read(LedgerFormat.READINGS, cells, Map.of("reading_id", id, "trip_id", day.id, "at", at)));
        }
    }

    private static Map<String, Object> of(Table<Reading> table, Reading reading) {
        Map<String, Object> cells = new LinkedHashMap<>();
        Set<String> own = Set.of("reading_id", "trip_id", "at", "source", "how");
        table.columns().stream().filter(c -> !own.contains(c.name())).forEach(c -> {
            Object value = c.value().apply(reading);
            if (value != null) {
                cells.put(c.name(), value);
            }
        });
        return cells;
    }

    /** Cells of a file of the record, by column. */
    private static Map<String, Object> of(Table<?> table, Entry entry) {
        Map<String, Object> cells = new LinkedHashMap<>();
        for (FileColumn<?> column : table.columns()) {
            Object value = entry.cells().get(table.name() + "." + column.name());
            if (value != null) {
                cells.put(column.name(), value);
            }
        }
        return cells;
    }

    private static <T> T read(Table<T> table, Map<String, ?> cells, Map<String, ?> own) {
        Cells all = new Cells();
        cells.forEach(all::with);
        own.forEach(all::with);
        return table.read(all);
    }

    /** All records, with those of the club that they stand on. */
    Ledger ledger(Consumer<Fault> faults) {
        List<Trip> trips = new ArrayList<>();
        List<Reading> readings = new ArrayList<>();
        List<Stint> stints = new ArrayList<>();
        List<Catch> catches = new ArrayList<>();
        List<Loss> losses = new ArrayList<>();
        for (Day day : days.values()) {
            List<Stint> ofDay = new ArrayList<>();
            for (Span span : day.spans.values()) {
                try {
                    List<Catch> landed = landed(span);
                    Stint stint = stint(day, span);
                    if (span.lost > 0) {
                        losses.add(new Loss(id("loss", span.id), span.id, null, UNNAMED, span.lost));
                    }
                    catches.addAll(landed);
                    ofDay.add(stint);
                } catch (Invalid e) {
                    e.problems()
                            .forEach(p ->
                                    faults.accept(new Fault(span.place, span.first.line(), p.column(), p.message())));
                }
            }
            if (!ofDay.isEmpty()) {
                trips.add(trip(day, ofDay));
                readings.addAll(day.readings.values());
                stints.addAll(ofDay);
            }
        }
        List<Spot> places = new ArrayList<>(spots.values());
        Set<String> used = new java.util.HashSet<>();
        stints.forEach(s -> used.add(String.valueOf(s.spotId())));
        known.spots().stream().filter(s -> used.contains(s.id())).forEach(places::add);
        return new Ledger(
                List.copyOf(anglers.values()),
                List.copyOf(waters.values()),
                places,
                List.copyOf(setUps.values()),
                List.copyOf(rods.values()),
                trips,
                readings,
                stints,
                catches,
                List.of(),
                List.of(),
                losses);
    }

    private static Trip trip(Day day, List<Stint> stints) {
        Instant start =
                stints.stream().map(Stint::startedAt).min(Instant::compareTo).orElseThrow();
        Instant end = stints.stream()
                .map(s -> s.startedAt().plus(Duration.ofSeconds(Math.round(s.minutes() * 60))))
                .max(Instant::compareTo)
                .orElseThrow();
        String note = String.join("\n", day.notes);
        return new Trip(
                day.id,
                day.water.id(),
                start,
                end,
                note.isEmpty() ? null : note.length() > 10_000 ? note.substring(0, 10_000) : note,
                day.angler.id());
    }

    private static Stint stint(Day day, Span span) {
        boolean timed = span.minutes != null;
        boolean placed = span.from != null;
        double minutes = span.minutes != null ? span.minutes : STAND_IN_MINUTES;
        Instant noon = at(span.first, NOON, day.zone).minusSeconds(Math.round(minutes * 30));
        Instant from = span.from != null ? span.from : noon;
        if (span.minutes == null && span.lastFish != null && span.from != null) {
            minutes =
                    Math.max(minutes, Duration.between(span.from, span.lastFish).toSeconds() / 60.0);
        }
        int landed = span.landings.stream().mapToInt(Landing::count).sum();
        long hooked = Math.max(count(span, "hooked"), landed + span.lost);
        span.cells
                .with("stint_id", span.id)
                .with("trip_id", day.id)
                .with("angler_id", day.angler.id())
                .with("started_at", from)
                .with("minutes", minutes)
                .with("follows", count(span, "follows"))
                .with("hooked", hooked)
                .with("bites", Math.max(count(span, "bites"), hooked));
        if (!timed || !placed) {
            span.cells.with("not_recorded", timed ? Stint.NO_TIME : placed ? Stint.NO_MINUTES : Stint.NEITHER);
        }
        return LedgerFormat.STINTS.read(span.cells);
    }

    private static long count(Span span, String of) {
        return span.stintCells.get(of) instanceof Long number ? number : 0;
    }

    private static List<Catch> landed(Span span) {
        List<Catch> landed = new ArrayList<>();
        for (Landing one : span.landings) {
            Map<String, Object> cells = of(LedgerFormat.CATCHES, one.entry());
            cells.remove("species");
            cells.remove("count");
            boolean measured = cells.containsKey("length_mm") || cells.containsKey("mass_g");
            // of several fish in one row the length is of the best of them
            int first = measured && one.entry().fish().size() == 1 ? 1 : one.count();
            if (one.entry().fish().size() > 1) {
                cells.keySet().removeAll(Set.of("length_mm", "mass_g"));
            }
            how(cells, "length_mm", "length_how", one.entry());
            how(cells, "mass_g", "mass_how", one.entry());
            landed.add(fish(cells, one, span.id, one.id(), first));
            if (first < one.count()) {
                cells.keySet().removeAll(Set.of("length_mm", "length_how", "mass_g", "mass_how"));
                landed.add(fish(cells, one, span.id, id("others", one.id()), one.count() - first));
            }
        }
        return landed;
    }

    private static void how(Map<String, Object> cells, String figure, String how, Entry entry) {
        if (cells.containsKey(figure) && entry.guessed().contains("catches." + figure)) {
            cells.putIfAbsent(how, "estimated");
        }
    }

    private static Catch fish(Map<String, Object> cells, Landing one, String stintId, String id, int count) {
        Map<String, Object> own = new HashMap<>();
        own.put("catch_id", id);
        own.put("stint_id", stintId);
        own.put("species", one.species());
        own.put("count", (long) count);
        if (one.at() != null) {
            own.put("at", one.at());
        }
        return read(LedgerFormat.CATCHES, cells, own);
    }

    /** A name made of what it names. */
    private static String id(@Nullable Object... parts) {
        StringBuilder text = new StringBuilder("sheet");
        for (Object part : parts) {
            text.append('\u0000').append(part);
        }
        return UUID.nameUUIDFromBytes(text.toString().getBytes(StandardCharsets.UTF_8))
                .toString();
    }
}
