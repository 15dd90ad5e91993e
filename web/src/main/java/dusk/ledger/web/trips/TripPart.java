package dusk.ledger.web.trips;

import dusk.ledger.format.Table;
import dusk.ledger.journal.Invalid;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.RecordForm;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A kind of record that hangs on a trip and is added, changed and deleted by form: readings, stints, fish, losses, signs, places.
 *
 * @param <T> the record
 */
interface TripPart<T> {
    /** The part's name in addresses, such as {@code stints}. */
    String path();

    Table<T> table();

    RecordForm<T> form(TripContext on);

    /** The form's head: title, button, where it goes. */
    Form head(TripContext on, @Nullable String id);

    /** What a new one starts with. */
    Map<String, String> fresh(TripContext on);

    /** The cells a form does not ask for; for a new record its id and what it hangs on. */
    Map<String, Object> given(TripContext on, String id, @Nullable T before);

    /**
     * The record with what follows from what was typed.
     *
     * @throws Invalid where it cannot follow
     */
    default T completed(TripContext on, T record) {
        return record;
    }

    /** What is wrong with it beside the rest of the record. */
    List<Invalid.Problem> problems(TripContext on, T record);

    /** Whether a record hangs on this trip and may be changed from it. */
    boolean of(TripContext on, T record);

    /** Whether whoever is on the trip may change it. */
    default boolean mayChange(TripContext on, T record) {
        return true;
    }

    /** Stores a record: a new one, or over the one with its id. */
    void store(TripContext on, T record, boolean fresh);

    /** Deletes one; the deletion's id. Null where this part is never deleted. */
    @Nullable
    String delete(TripContext on, T record);
}
