package dusk.ledger.interchange;

import dusk.ledger.format.Cells;
import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.journal.Bounds;
import dusk.ledger.journal.Consistency;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Trip;
import dusk.ledger.vocabulary.Words;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reads a ledger package whole, or refuses it whole with every fault found. */
public final class PackageReader {
    private static final int FAULTS_SHOWN = 200;

    private final PackageFiles files;
    private final Faults faults;
    private long rowsLeft;
    private @Nullable Instant now;
    private final Map<String, String> paths = new HashMap<>();
    private final Map<String, List<?>> records = new HashMap<>();
    private final Map<String, List<Long>> lines = new HashMap<>();
    private final Map<String, Set<String>> ids = new HashMap<>();
    private final Map<String, Integer> counts = new LinkedHashMap<>();
    private final SortedMap<String, SortedSet<String>> wordsOutside = new TreeMap<>();
    private final List<String> keptOut = new ArrayList<>();

    private PackageReader(PackageFiles files, Room room, int faultsKept) {
        this.files = files;
        rowsLeft = room.rows();
        faults = new Faults(faultsKept);
    }

    /**
     * @param place a folder or a zip archive
     * @throws Refused with its faults counted and the first {@value #FAULTS_SHOWN}
     * @throws IOException where the disk fails
     */
    public static PackageReading read(Path place) throws IOException, Refused {
        return read(place, FAULTS_SHOWN);
    }

    /**
     * @param place a folder or a zip archive
     * @param faultsKept how many faults are told one by one
     * @throws Refused with its faults counted and the first of them
     * @throws IOException where the disk fails
     */
    public static PackageReading read(Path place, int faultsKept) throws IOException, Refused {
        Room room = Room.ofHeap();
        return new PackageReader(PackageFiles.of(place, room), room, faultsKept).read();
    }

    /**
     * @param name of the archive, for faults of the archive itself
     * @param zip bytes of a zip archive
     * @throws Refused with its faults counted and the first {@value #FAULTS_SHOWN}
     */
    public static PackageReading read(String name, InputStream zip) throws IOException, Refused {
        return read(name, zip, Room.ofHeap());
    }

    static PackageReading read(String name, InputStream zip, Room room) throws IOException, Refused {
        return new PackageReader(PackageFiles.ofZip(name, zip, room), room, FAULTS_SHOWN).read();
    }

    /**
     * The same for records that are to be stored: none may have begun after now.
     *
     * @throws Refused with its faults counted and the first {@value #FAULTS_SHOWN}
     */
    public static PackageReading toStore(String name, InputStream zip, Instant now) throws IOException, Refused {
        Room room = Room.ofHeap();
        return toStore(PackageFiles.ofZip(name, zip, room), room, now);
    }

    /**
     * The same of a folder or a zip archive.
     *
     * @throws Refused with its faults counted and the first {@value #FAULTS_SHOWN}
     */
    public static PackageReading toStore(Path place, Instant now) throws IOException, Refused {
        Room room = Room.ofHeap();
        return toStore(PackageFiles.of(place, room), room, now);
    }

    private static PackageReading toStore(PackageFiles files, Room room, Instant now) throws Refused {
        PackageReader reader = new PackageReader(files, room, FAULTS_SHOWN);
        reader.now = now;
        return reader.read();
    }

    private PackageReading read() throws Refused {
        descriptor();
        for (Table<?> table : LedgerFormat.ALL) {
            paths.putIfAbsent(table.name(), table.name() + ".csv");
            read(table);
        }
        Set<String> known = new HashSet<>(paths.values());
        for (String name : files.names()) {
            if (!known.contains(name) && !name.equals(PackageFiles.DESCRIPTOR)) {
                keptOut.add(name);
            }
        }
        Ledger ledger = ledger();
        if (faults.none()) {
            agree(ledger);
        }
        if (!faults.none()) {
            throw new Refused(faults);
        }
        return new PackageReading(ledger, counts, wordsOutside, keptOut);
    }

    private void descriptor() {
        byte[] bytes = files.get(PackageFiles.DESCRIPTOR);
        if (bytes == null) {
            whole(PackageFiles.DESCRIPTOR, "missing, expected a tabular data package's description");
            return;
        }
        try {
            for (JsonNode resource : JsonMapper.shared().readTree(bytes).path("resources")) {
                String name = resource.path("name").asString("");
                String path = resource.path("path").asString("");
                if (!name.isEmpty() && !path.isEmpty()) {
                    paths.put(name, path);
                }
            }
        } catch (JacksonException e) {
            long line =
                    e.getLocation() == null ? 0 : Math.max(0, e.getLocation().getLineNr());
            faults.add(new Fault(
                    PackageFiles.DESCRIPTOR, line, "", "not JSON, expected a tabular data package's description"));
        }
    }

    private <T> void read(Table<T> table) {
        String file = paths.getOrDefault(table.name(), table.name() + ".csv");
        byte[] bytes = files.get(file);
        records.put(table.name(), List.of());
        ids.put(table.name(), new HashSet<>());
        if (bytes == null) {
            if (table.required()) {
                whole(file, "missing, expected this file in every package");
            }
            return;
        }
        List<CsvRows.Row> rows = CsvRows.read(file, bytes, rowsLeft, faults).rows();
        rowsLeft -= rows.size();
        if (rows.isEmpty()) {
            whole(file, "empty, expected a header row");
            return;
        }
        Header<T> header = header(table, file, rows.get(0));
        List<T> made = new ArrayList<>();
        List<Long> madeOn = new ArrayList<>();
        for (CsvRows.Row row : rows.subList(1, rows.size())) {
            T one = header == null ? null : row(table, file, header, row);
            if (one != null) {
                made.add(one);
                madeOn.add(row.line());
            }
        }
        counts.put(file, rows.size() - 1);
        records.put(table.name(), made);
        lines.put(table.name(), madeOn);
        if (header != null) {
            references(file, header, made, madeOn);
        }
    }

    /** Which cell holds which column. */
    private record Header<T>(int width, Map<FileColumn<T>, Integer> places) {}

    private <T> @Nullable Header<T> header(Table<T> table, String file, CsvRows.Row row) {
        long before = faults.count();
        Map<FileColumn<T>, Integer> places = new LinkedHashMap<>();
        for (FileColumn<T> column : table.columns()) {
            int at = row.cells().indexOf(column.name());
            if (at >= 0) {
                places.put(column, at);
                if (row.cells().lastIndexOf(column.name()) != at) {
                    faults.add(new Fault(file, row.line(), column.name(), "column stands twice, expected once"));
                }
            } else if (column.required()) {
                faults.add(new Fault(file, row.line(), column.name(), "column missing, expected in the header"));
            }
        }
        for (String name : row.cells()) {
            if (table.columns().stream().noneMatch(c -> c.name().equals(name))) {
                keptOut.add(file + ": " + name);
            }
        }
        return faults.count() == before ? new Header<>(row.cells().size(), places) : null;
    }

    private <T> @Nullable T row(Table<T> table, String file, Header<T> header, CsvRows.Row row) {
        if (row.cells().size() != header.width()) {
            faults.add(new Fault(
                    file,
                    row.line(),
                    "",
                    row.cells().size() + " cells, expected " + header.width() + " as in the header"));
            return null;
        }
        Cells cells = new Cells();
        header.places().forEach((column, at) -> {
            String text = row.cells().get(at).strip();
            if (text.isEmpty()) {
                if (column.required()) {
                    cells.wrong(column.name(), "empty, expected a value");
                }
            } else {
                CellText.read(column, text, cells);
                if (Words.outside(column.name(), text)) {
                    wordsOutside
                            .computeIfAbsent(column.name(), c -> new TreeSet<>())
                            .add(text);
                }
            }
        });
        String id = cells.text(table.idColumn());
        if (id != null && !ids.getOrDefault(table.name(), Set.of()).add(id)) {
            cells.wrong(table.idColumn(), "\"" + id + "\" stands twice, expected an id of its own in each row");
        }
        try {
            T one = table.read(cells);
            if (now != null && one instanceof Trip trip && Bounds.toCome(trip.startedAt(), now)) {
                faults.add(new Fault(file, row.line(), "started_at", "still to come, expected a trip that has begun"));
            }
            return one;
        } catch (Invalid e) {
            for (Invalid.Problem problem : e.problems()) {
                faults.add(new Fault(file, row.line(), problem.column(), problem.message()));
            }
            return null;
        }
    }

    private <T> void references(String file, Header<T> header, List<T> made, List<Long> madeOn) {
        for (FileColumn<T> column : header.places().keySet()) {
            String target = column.references();
            if (target == null) {
                continue;
            }
            Set<String> there = ids.getOrDefault(target, Set.of());
            for (int i = 0; i < made.size(); i++) {
                Object id = column.value().apply(made.get(i));
                if (id != null && !there.contains(id)) {
                    faults.add(new Fault(
                            file,
                            madeOn.get(i),
                            column.name(),
                            "\"" + id + "\" is not in " + paths.getOrDefault(target, target + ".csv")
                                    + ", expected an id that is"));
                }
            }
        }
    }

    private void agree(Ledger ledger) {
        List<Long> stintLines = lines.getOrDefault("stints", List.of());
        for (Consistency.Breach breach : Consistency.breaches(ledger)) {
            faults.add(new Fault(
                    paths.getOrDefault("stints", "stints.csv"),
                    stintLines.get(breach.stint()),
                    breach.problem().column(),
                    breach.problem().message()));
        }
    }

    private void whole(String file, String message) {
        faults.add(file, message);
    }

    private Ledger ledger() {
        return LedgerFormat.ledger(new LedgerFormat.Source() {
            @Override
            @SuppressWarnings("unchecked") // records holds under a table's name only what that table read
            public <T> List<T> of(Table<T> table) {
                return (List<T>) records.getOrDefault(table.name(), List.of());
            }
        });
    }
}
