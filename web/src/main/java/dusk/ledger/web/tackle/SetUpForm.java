package dusk.ledger.web.tackle;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.Rig;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.words.FieldWords;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The form of a set-up: asks what its rig has and nothing else, starts from the rig's usual parts.
 *
 * @param rig may be a word outside the vocabulary, which has all parts
 */
record SetUpForm(String rig, UnitSystem units) {
    private static final Set<String> NAMES = Set.of("setup_id", "from_setup_id", "rig");

    RecordForm<SetUp> record() {
        RecordForm<SetUp> form = new RecordForm<>(LedgerFormat.SETUPS, new UnitText(units, ZoneOffset.UTC));
        for (String column : columns()) {
            form.ask(column, FieldWords.label(column), FieldWords.hint(column));
        }
        for (String column : Rig.of(rig).map(Rig::more).orElse(Rig.LINE)) {
            form.askMore(column, FieldWords.label(column), FieldWords.hint(column));
        }
        return form;
    }

    private List<String> columns() {
        return Rig.of(rig)
                .map(Rig::columns)
                .orElseGet(() -> LedgerFormat.SETUPS.columns().stream()
                        .map(FileColumn::name)
                        .filter(c -> !NAMES.contains(c) && !Rig.LINE.contains(c))
                        .toList());
    }

    /** What a new one starts with. */
    Map<String, String> usual() {
        return Rig.of(rig).map(Rig::usual).orElse(Map.of());
    }

    static Form head(String title, String action, String cancel) {
        return new Form("setup-form", title, action, "Save the set-up", cancel, List.of(), List.of());
    }
}
