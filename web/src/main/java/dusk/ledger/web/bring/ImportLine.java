package dusk.ledger.web.bring;

import dusk.ledger.web.store.Imports;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;

/** What came in once, as it is listed. */
record ImportLine(String id, String when, String what, String said, boolean takenBack) {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu, HH:mm", Locale.ENGLISH);

    static List<ImportLine> of(List<Imports.Import> imports) {
        return imports.stream()
                .map(i -> new ImportLine(
                        i.id(), DAY.format(i.at().atZone(ZoneOffset.UTC)) + " UTC", i.what(), i.said(), i.takenBack()))
                .toList();
    }
}
