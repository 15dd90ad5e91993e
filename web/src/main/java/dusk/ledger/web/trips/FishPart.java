package dusk.ledger.web.trips;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Invalid;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.records.FishCurves;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.store.NotYours;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Fish landed in a stint. A fish landed was hooked and bit: the stint's counts rise with it where they lag behind. */
@Component
class FishPart implements TripPart<Catch> {
    private final Trips trips;
    private final TripRows rows;
    private final Deletions deletions;
    private final FishCurves curves;

    FishPart(Trips trips, TripRows rows, Deletions deletions, FishCurves curves) {
        this.trips = trips;
        this.rows = rows;
        this.deletions = deletions;
        this.curves = curves;
    }

    @Override
    public String path() {
        return "fish";
    }

    @Override
    public Table<Catch> table() {
        return LedgerFormat.CATCHES;
    }

    @Override
    public RecordForm<Catch> form(TripContext on) {
        return new RecordForm<>(LedgerFormat.CATCHES, on.text())
                .ask("species", "Species", "")
                .ask("length_mm", "Length", "leave it out where it was not taken")
                .ask("length_how", "How the length was had", "")
                .ask("bite_on", "Taken on", "")
                .ask("at", "When", "")
                .askMore("count", "How many", "for several fish not measured one by one")
                .askMore("mass_g", "Weight", "")
                .askMore("mass_how", "How the weight was had", "")
                .askMore("kept", "Kept", "")
                .askMore("hooked_in", "Hooked in", "where the hook sat");
    }

    @Override
    public Form head(TripContext on, @Nullable String id) {
        String stint = on.asked().getOrDefault("stint", "");
        return new Form(
                "fish-form",
                id == null ? "Fish landed" : "Change the fish",
                on.page() + "/fish" + (id == null ? "?stint=" + stint : "/" + id),
                "Save the fish",
                on.page(),
                List.of(),
                List.of());
    }

    @Override
    public Map<String, String> fresh(TripContext on) {
        List<Catch> landed = rows.catches(on.viewer(), on.trip().id());
        String likely = landed.isEmpty() ? "" : landed.get(landed.size() - 1).species();
        return Map.of("species", likely, "at", on.asked().getOrDefault("at", ""));
    }

    @Override
    public Map<String, Object> given(TripContext on, String id, @Nullable Catch before) {
        String stintId = before == null ? on.asked().getOrDefault("stint", "") : before.stintId();
        if (!ofTrip(on, stintId)
                || !trips.changeableStints(on.viewer(), on.trip().id()).contains(stintId)) {
            throw new NotYours();
        }
        return Map.of("catch_id", id, "stint_id", stintId);
    }

    @Override
    public Catch completed(TripContext on, Catch fish) {
        return curves.weighed(on.viewer(), fish);
    }

    @Override
    public List<Invalid.Problem> problems(TripContext on, Catch fish) {
        if (fish.length() != null && fish.lengthHow() == null) {
            return List.of(new Invalid.Problem("length_how", "Say whether the length was measured or estimated."));
        }
        return List.of();
    }

    @Override
    public void store(TripContext on, Catch fish, boolean fresh) {
        rows.storeHooked(on.viewer(), LedgerFormat.CATCHES, fish, fish.stintId(), fresh);
    }

    @Override
    public boolean of(TripContext on, Catch record) {
        return ofTrip(on, record.stintId());
    }

    @Override
    public boolean mayChange(TripContext on, Catch record) {
        return trips.changeableStints(on.viewer(), on.trip().id()).contains(record.stintId());
    }

    private boolean ofTrip(TripContext on, String stintId) {
        return rows.stint(on.viewer(), on.trip().id(), stintId).isPresent();
    }

    @Override
    public String delete(TripContext on, Catch fish) {
        return deletions.fish(on.viewer(), fish.id(), "the " + fish.species());
    }
}
