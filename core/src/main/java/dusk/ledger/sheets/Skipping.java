package dusk.ledger.sheets;

import java.util.Optional;
import java.util.regex.Pattern;

/** Rows that are no record: totals, averages, headers that are repeated, remarks. */
final class Skipping {
    private static final Pattern TOTAL = Pattern.compile(
            "(?i)(grand |sub ?|season |year |month(ly)? )?(total|totals|sum|summe|gesamt|average|averages|avg|mean|median|mittelwert|durchschnitt|moyenne|somme|best|max|min|maximum|minimum|count)\\b.*");

    private Skipping() {}

    static boolean total(Sheet.Line line) {
        return line.cells().stream()
                .filter(c -> !c.isEmpty())
                .limit(2)
                .anyMatch(c -> TOTAL.matcher(c).matches());
    }

    /** Why a row without a date is no record; nothing where it may be one that lacks its date. */
    static Optional<String> why(Sheet.Line line, Head head) {
        if (total(line)) {
            return Optional.of("a total, not a record");
        }
        long again = line.cells().stream()
                .filter(c -> !c.isEmpty() && head.names().contains(c))
                .count();
        if (again > 1 && again * 2 > line.filled()) {
            return Optional.of("the header again");
        }
        if (line.filled() == 1) {
            String only =
                    line.cells().stream().filter(c -> !c.isEmpty()).findFirst().orElse("");
            return Optional.of("a remark: “" + (only.length() > 60 ? only.substring(0, 60) + "…" : only) + "”");
        }
        return Optional.empty();
    }
}
