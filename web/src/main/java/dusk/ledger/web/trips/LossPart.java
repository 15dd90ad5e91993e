package dusk.ledger.web.trips;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Loss;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.store.NotYours;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Fish hooked and lost in a stint, with what became of them: it tells where a hook, a line or a hand gives way. */
@Component
class LossPart implements TripPart<Loss> {
    private final Trips trips;
    private final TripRows rows;
    private final Deletions deletions;

    LossPart(Trips trips, TripRows rows, Deletions deletions) {
        this.trips = trips;
        this.rows = rows;
        this.deletions = deletions;
    }

    @Override
    public String path() {
        return "losses";
    }

    @Override
    public Table<Loss> table() {
        return LedgerFormat.LOSSES;
    }

    @Override
    public RecordForm<Loss> form(TripContext on) {
        return new RecordForm<>(LedgerFormat.LOSSES, on.text())
                .ask("cause", "What became of it", "")
                .ask("count", "How many", "")
                .ask("at", "When", "");
    }

    @Override
    public Form head(TripContext on, @Nullable String id) {
        String stint = on.asked().getOrDefault("stint", "");
        return new Form(
                "loss-form",
                id == null ? "Fish lost" : "Change what was lost",
                on.page() + "/losses" + (id == null ? "?stint=" + stint : "/" + id),
                "Save the loss",
                on.page(),
                List.of(),
                List.of());
    }

    @Override
    public Map<String, String> fresh(TripContext on) {
        return Map.of("count", "1");
    }

    @Override
    public Map<String, Object> given(TripContext on, String id, @Nullable Loss before) {
        String stintId = before == null ? on.asked().getOrDefault("stint", "") : before.stintId();
        if (rows.stint(on.viewer(), on.trip().id(), stintId).isEmpty() || !mayChange(on, stintId)) {
            throw new NotYours();
        }
        return Map.of("loss_id", id, "stint_id", stintId);
    }

    @Override
    public List<Invalid.Problem> problems(TripContext on, Loss loss) {
        return List.of();
    }

    @Override
    public void store(TripContext on, Loss loss, boolean fresh) {
        rows.storeHooked(on.viewer(), LedgerFormat.LOSSES, loss, loss.stintId(), fresh);
    }

    @Override
    public boolean of(TripContext on, Loss loss) {
        return rows.stint(on.viewer(), on.trip().id(), loss.stintId()).isPresent();
    }

    @Override
    public boolean mayChange(TripContext on, Loss loss) {
        return mayChange(on, loss.stintId());
    }

    private boolean mayChange(TripContext on, String stintId) {
        return trips.changeableStints(on.viewer(), on.trip().id()).contains(stintId);
    }

    @Override
    public String delete(TripContext on, Loss loss) {
        return deletions.loss(on.viewer(), loss.id(), "the lost fish, " + loss.cause());
    }
}
