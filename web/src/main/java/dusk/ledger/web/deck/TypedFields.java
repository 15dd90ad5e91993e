package dusk.ledger.web.deck;

import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.form.RecordForm;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The typed fields of a sheet: they stand as the record has them, or as they were typed and refused. */
final class TypedFields {
    private TypedFields() {}

    /**
     * Lays them out.
     *
     * @param held what stands in them otherwise, by column
     * @param refused whether what was just typed is this sheet's
     */
    static <T> List<FormField> of(RecordForm<T> form, T record, Map<String, String> held, Just just, boolean refused) {
        Map<String, String> shown = new HashMap<>(held);
        if (refused) {
            shown.putAll(just.typed());
        }
        return form.form(
                        new Form("", "", "", "", "", List.of(), List.of()),
                        shown,
                        refused ? just.problems() : List.of(),
                        record)
                .main();
    }
}
