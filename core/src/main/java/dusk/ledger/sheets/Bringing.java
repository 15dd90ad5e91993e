package dusk.ledger.sheets;

import dusk.ledger.interchange.Fault;
import dusk.ledger.journal.Bounds;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Ledger;
import dusk.ledger.units.Figures;
import dusk.ledger.vocabulary.Words;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Turns the rows of a spreadsheet into records, by a mapping for each of its sheets. */
public final class Bringing {
    private static final String SPECIES_UNSAID = "species not noted";

    private final SheetFile file;
    private final Ledger known;
    private final Instant now;
    private final List<Fate> fates = new ArrayList<>();
    private final List<Fault> faults = new ArrayList<>();
    private final SortedMap<String, SortedSet<String>> outside = new TreeMap<>();

    private Bringing(SheetFile file, Ledger known, Instant now) {
        this.file = file;
        this.known = known;
        this.now = now;
    }

    /**
     * Brings a spreadsheet in, as far as what is read of it goes; nothing is stored by this.
     *
     * @param known what the club has: waters, anglers, places, set-ups and rods of the same name or make are those
     * @param now no row may be of a later day
     */
    public static Brought of(SheetFile file, List<SheetMapping> mappings, Ledger known, Instant now) {
        return new Bringing(file, known, now).brought(mappings);
    }

    private Brought brought(List<SheetMapping> mappings) {
        Gathered gathered = new Gathered(known);
        for (SheetMapping mapping : mappings) {
            sheet(file.sheet(mapping.sheet()), mapping, gathered);
        }
        Ledger ledger = gathered.ledger(faults::add);
        Map<String, Integer> fish = new LinkedHashMap<>();
        ledger.catches().stream()
                .collect(Collectors.groupingBy(c -> c.species(), TreeMap::new, Collectors.summingInt(c -> c.count())))
                .forEach(fish::put);
        Map<String, Integer> stints = new LinkedHashMap<>();
        ledger.stints().forEach(s -> stints.merge(s.timed() ? "timed" : "without hours", 1, Integer::sum));
        return new Brought(ledger, List.copyOf(fates), List.copyOf(faults), fish, stints, outside);
    }

    private void sheet(Sheet sheet, SheetMapping mapping, Gathered gathered) {
        String place = file.place(sheet);
        Map<String, Integer> seen = new HashMap<>();
        for (Rows.Row row : Rows.of(sheet, mapping).all()) {
            if (!row.why().isEmpty()) {
                fates.add(new Fate(sheet.name(), row.line(), Fate.Kind.SKIPPED, row.why()));
                continue;
            }
            List<Fault> own = new ArrayList<>();
            Entry.read(row, mapping, place, own).ifPresent(entry -> {
                String content = row.texts().entrySet().stream()
                        .map(e -> e.getKey() + "="
                                + mapping.word(e.getKey(), e.getValue().text()))
                        .sorted()
                        .collect(Collectors.joining("\u0001"));
                int times = seen.merge(content, 1, Integer::sum);
                if (Bounds.toCome(
                        entry.date()
                                .atStartOfDay(java.time.ZoneOffset.UTC)
                                .toInstant()
                                .minusSeconds(50_000),
                        now)) {
                    own.add(new Fault(place, row.line(), "date", "still to come, expected a day that has been"));
                } else {
                    try {
                        gathered.add(entry, mapping, place, content + "\u0001" + times, SPECIES_UNSAID);
                    } catch (Invalid e) {
                        e.problems().forEach(p -> own.add(new Fault(place, row.line(), p.column(), p.message())));
                    }
                }
                noteWords(row, mapping);
                if (own.isEmpty()) {
                    fates.add(fate(sheet, entry));
                }
            });
            if (!own.isEmpty()) {
                faults.addAll(own);
                fates.add(new Fate(
                        sheet.name(),
                        row.line(),
                        Fate.Kind.FAULT,
                        own.stream().map(f -> f.column() + ": " + f.message()).collect(Collectors.joining("; "))));
            }
        }
    }

    private void noteWords(Rows.Row row, SheetMapping mapping) {
        row.texts().forEach((key, text) -> {
            String column = Target.name(key);
            String word = mapping.word(key, text.text()).strip();
            boolean blank = key.equals(Target.SPECIES) && Entry.blank(word);
            if (!blank && Target.column(key).isPresent() && Words.outside(column, word)) {
                outside.computeIfAbsent(column, c -> new TreeSet<>()).add(word);
            }
        });
    }

    /** What was understood of tackle, fish and water, as the record has it. */
    private static String told(Entry entry) {
        List<String> told = new ArrayList<>();
        entry.cells().forEach((key, value) -> {
            if (!key.equals(Target.NOTE)) {
                String shown = value instanceof Double number
                        ? Figures.trimmed(number, 1) + unit(Target.name(key))
                        : value.toString();
                told.add(shown);
            }
        });
        return String.join(", ", told);
    }

    private static String unit(String column) {
        String[] units = {"_mm", " mm", "_mps", " m/s", "_m", " m", "_g", " g", "_c", " °C", "_n", " N", "_deg", "°"};
        for (int i = 0; i < units.length; i += 2) {
            if (column.endsWith(units[i])) {
                return units[i + 1];
            }
        }
        return "";
    }

    private static Fate fate(Sheet sheet, Entry entry) {
        List<String> said = new ArrayList<>();
        entry.fish()
                .forEach((species, count) ->
                        said.add((count == 1 ? "" : count + " ") + (species.isEmpty() ? SPECIES_UNSAID : species)));
        String fish = said.isEmpty() ? "no fish" : String.join(", ", said);
        String effort = entry.minutes() == null
                ? "hours not recorded"
                : Figures.trimmed(entry.minutes() / 60, 2) + " rod-hours";
        String rest = entry.lure().isEmpty() ? "" : "; of “" + entry.lure() + "” not all was understood";
        String how = told(entry);
        return new Fate(
                sheet.name(),
                entry.line(),
                entry.fish().isEmpty() ? Fate.Kind.BLANK : Fate.Kind.FISH,
                Stream.of(entry.date().toString(), fish, effort).collect(Collectors.joining(", "))
                        + (how.isEmpty() ? "" : "; " + how)
                        + rest);
    }
}
