package dusk.ledger.web.bring;

import dusk.ledger.interchange.PackageReading;
import dusk.ledger.web.store.Intake;
import dusk.ledger.web.words.LedgerWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * A package before it is brought in.
 *
 * @param said what it holds
 * @param files with the rows of each by what becomes of them
 * @param conflicts rows that stand here otherwise, the first of them
 * @param more conflicts that are not shown
 * @param words outside the vocabulary, by column
 * @param keptOut files and columns that are not read
 */
record PackageView(
        String said,
        List<File> files,
        List<Conflict> conflicts,
        int more,
        boolean nothingNew,
        List<String> words,
        List<String> keptOut) {
    record File(String name, int fresh, int same, int conflicting, int back) {}

    record Conflict(String file, String id, List<String> differences) {}

    static PackageView of(PackageReading reading, Intake.Compared compared) {
        List<String> words = new ArrayList<>();
        reading.wordsOutside().forEach((column, some) -> words.add(column + ": " + String.join(", ", some)));
        List<Conflict> conflicts = conflicts(compared);
        return new PackageView(
                LedgerWords.of(reading.ledger()),
                files(compared),
                conflicts,
                compared.conflicting() - conflicts.size(),
                compared.fresh() + compared.back() + compared.conflicting() == 0,
                words,
                reading.keptOut());
    }

    static List<File> files(Intake.Compared compared) {
        return compared.files().entrySet().stream()
                .map(e -> new File(
                        e.getKey(),
                        e.getValue().fresh(),
                        e.getValue().same(),
                        e.getValue().conflicting(),
                        e.getValue().back()))
                .toList();
    }

    static List<Conflict> conflicts(Intake.Compared compared) {
        return compared.conflicts().stream()
                .map(c -> new Conflict(
                        c.file(),
                        c.id(),
                        c.columns().stream()
                                .map(d -> d.column() + ": here " + shown(d.ours()) + ", comes as " + shown(d.theirs()))
                                .toList()))
                .toList();
    }

    private static String shown(@org.jspecify.annotations.Nullable String value) {
        String text = Objects.requireNonNullElse(value, "not recorded");
        return text.length() > 80 ? text.substring(0, 80) + "…" : text;
    }
}
