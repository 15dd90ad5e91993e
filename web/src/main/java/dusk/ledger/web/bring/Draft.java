package dusk.ledger.web.bring;

import dusk.ledger.interchange.PackageReading;
import dusk.ledger.sheets.SheetFile;
import dusk.ledger.sheets.SheetMapping;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** A file that was read and is looked at; nothing of it is stored yet. */
final class Draft {
    private final String id;
    private final String clubId;
    private final String name;
    private final Instant at;
    private final @Nullable PackageReading reading;
    private final @Nullable SheetFile sheets;

    /** By the name of the sheet, those that are brought in. */
    private final Map<String, SheetMapping> mappings = new LinkedHashMap<>();

    private Draft(
            String id,
            String clubId,
            String name,
            Instant at,
            @Nullable PackageReading reading,
            @Nullable SheetFile sheets) {
        this.id = id;
        this.clubId = clubId;
        this.name = name;
        this.at = at;
        this.reading = reading;
        this.sheets = sheets;
    }

    static Draft of(String id, String clubId, String name, Instant at, PackageReading reading) {
        return new Draft(id, clubId, name, at, reading, null);
    }

    static Draft of(String id, String clubId, String name, Instant at, SheetFile sheets, List<SheetMapping> mappings) {
        Draft draft = new Draft(id, clubId, name, at, null, sheets);
        draft.understand(mappings);
        return draft;
    }

    String id() {
        return id;
    }

    String clubId() {
        return clubId;
    }

    String name() {
        return name;
    }

    Instant at() {
        return at;
    }

    /** Null for a spreadsheet. */
    @Nullable
    PackageReading reading() {
        return reading;
    }

    /** Null for a package. */
    @Nullable
    SheetFile sheets() {
        return sheets;
    }

    synchronized List<SheetMapping> mappings() {
        return new ArrayList<>(mappings.values());
    }

    synchronized void understand(List<SheetMapping> all) {
        mappings.clear();
        all.forEach(m -> mappings.put(m.sheet(), m));
    }

    synchronized void understand(SheetMapping one) {
        mappings.put(one.sheet(), one);
    }

    synchronized void leaveOut(String sheet) {
        if (mappings.size() > 1) {
            mappings.remove(sheet);
        }
    }
}
