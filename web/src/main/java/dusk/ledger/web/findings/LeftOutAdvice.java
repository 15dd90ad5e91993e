package dusk.ledger.web.findings;

import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.LedgerRows.LeftOut;
import dusk.ledger.web.store.RecentTables;
import java.util.List;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Says on every page of the findings which stored rows are not in them because they cannot be. */
@ControllerAdvice(basePackageClasses = LeftOutAdvice.class)
class LeftOutAdvice {
    private static final int SHOWN = 5;

    private final RecentTables tables;

    LeftOutAdvice(RecentTables tables) {
        this.tables = tables;
    }

    /** How many rows are left out, and the first of them in words. */
    record Said(int rows, List<String> first) {}

    @ModelAttribute("leftOut")
    Said leftOut(Person person) {
        List<LeftOut> all = tables.leftOut(person.viewer());
        return new Said(
                all.size(),
                all.stream()
                        .limit(SHOWN)
                        .map(row -> row.table() + " " + row.id() + ": " + row.why())
                        .toList());
    }
}
